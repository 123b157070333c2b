import { useState } from "react";
import { joinFault, moveFault } from "core/buildOrder";
import { emptyBuild, type OrderEditDoc } from "core/job";
import { parseNumber } from "core/units";
import { askLooker } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import type { ShownStep } from "~/workers/assembler";
import type { BenchOrder } from "./useBench";

/** Changes the order by hand: a step done earlier or later, parted, joined with another, or one of one's own beside it. What cannot be built is refused with the reason. */
export function StepTools({ step, order }: { step: ShownStep; order: BenchOrder }) {
  const { doc, ask, edit } = useJob();
  const [said, setSaid] = useState<string>();
  const [tool, setTool] = useState<"split" | "add">();
  const own = order.steps.filter((s) => s.structure === step.structure);
  const at = own.indexOf(step);
  const change = (label: string, e: OrderEditDoc): void => {
    setSaid(undefined);
    setTool(undefined);
    edit(label, (d) => void (d.build ??= emptyBuild()).order.push(e));
  };
  const move = (before: string | undefined): void => {
    const wrong = moveFault(own, step.id, before);
    if (wrong) return setSaid(wrong);
    change(`Move “${step.title}”`, { kind: "move", step: step.id, title: step.title, ...(before === undefined ? {} : { before }) }); // prettier-ignore
  };
  const join = (other: ShownStep): void => {
    const wrong = joinFault(own, step.id, other.id);
    if (wrong) return setSaid(wrong);
    change(`Join “${step.title}”`, { kind: "join", step: step.id, with: other.id, title: step.title });
  };
  const split = async (sticks: readonly string[]): Promise<void> => {
    const e: OrderEditDoc = { kind: "split", step: step.id, sticks: [...sticks], title: step.title };
    const wrong = await askLooker((w) => w.orderFault(ask, order.way, step.structure, e));
    if (wrong) return setSaid(wrong);
    change(`Part “${step.title}”`, e);
  };
  const edits = (doc.build?.order ?? []).filter((e) => e.step.startsWith(`${step.structure}/`));
  return (
    <details className="mt-3">
      <summary className="link min-h-6 cursor-pointer">Change the order by hand</summary>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button className="btn min-h-11" disabled={at === 0} onClick={() => move(own[at - 1]!.id)}>
          Earlier
        </button>
        <button className="btn min-h-11" disabled={at === own.length - 1} onClick={() => move(own[at + 2]?.id)}>
          Later
        </button>
        <label className="flex items-center gap-2 text-[16px]">
          Right before
          <select className="field !w-72 min-h-11" value="" onChange={(e) => move(e.target.value)}>
            <option value="">choose a step …</option>
            {own.map((s, i) => (s === step ? null : <option key={s.id} value={s.id}>{`${i + 1}. ${s.title}`}</option>))}
          </select>
        </label>
        {step.sticks.length > 1 && !step.coat && (
          <button
            className="btn min-h-11"
            aria-expanded={tool === "split"}
            onClick={() => setTool(tool === "split" ? undefined : "split")}
          >
            Part it …
          </button>
        )}
        {own[at + 1] && !step.coat && !step.own && (
          <button className="btn min-h-11" onClick={() => join(own[at + 1]!)}>
            Join with the next
          </button>
        )}
        <button
          className="btn min-h-11"
          aria-expanded={tool === "add"}
          onClick={() => setTool(tool === "add" ? undefined : "add")}
        >
          Add a step after it …
        </button>
        {edits.length > 0 && (
          <button
            className="link min-h-11"
            onClick={() => edit("The order as it was found", (d) => void (d.build!.order = d.build!.order.filter((e) => !e.step.startsWith(`${step.structure}/`))))} // prettier-ignore
          >
            {`The order as it was found (${edits.length} ${edits.length === 1 ? "change" : "changes"} by hand)`}
          </button>
        )}
      </div>
      {said && (
        <p role="alert" className="mt-2 border-l-[3px] border-fault bg-shade px-4 py-1.5">
          {said}
        </p>
      )}
      {tool === "split" && <Split step={step} take={(sticks) => void split(sticks)} />}
      {tool === "add" && (
        <Add
          take={(title, text, minutes, rest) => {
            const id = `${step.structure}/own/${Date.now().toString(36)}`;
            const next = own[at + 1];
            change(`Add “${title}”`, { kind: "add", step: id, with: step.id, title, text, minutes, rest, ...(next && moveFault(own, next.id, step.id) ? { before: next.id } : {}) }); // prettier-ignore
          }}
        />
      )}
    </details>
  );
}
/** Which of a step's pieces become a step of their own: by mark, so many of them, the last ones. */
function Split({ step, take }: { step: ShownStep; take: (sticks: readonly string[]) => void }) {
  const [count, setCount] = useState(() => Math.floor(step.sticks.length / 2));
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        const moved = step.moves.flatMap((m) => m.sticks);
        take(moved.slice(moved.length - count));
      }}
    >
      <label className="flex flex-col text-[15px]">
        {`The last pieces, of ${step.sticks.length}`}
        <input
          type="number"
          className="field !w-28 min-h-11"
          min={1}
          max={step.sticks.length - 1}
          value={count}
          onChange={(e) => setCount(Number(e.target.value))}
        />
      </label>
      <button className="btn min-h-11">Make them a step of their own</button>
    </form>
  );
}

function Add({ take }: { take: (title: string, text: string, minutes: number, rest: number) => void }) {
  const [fields, setFields] = useState({ title: "", text: "", minutes: "15", rest: "0" });
  const set = (k: keyof typeof fields) => (e: { target: { value: string } }) => setFields({ ...fields, [k]: e.target.value }); // prettier-ignore
  const [minutes, rest] = [parseNumber(fields.minutes, "min"), parseNumber(fields.rest, "min")];
  const good = fields.title.trim() !== "" && minutes >= 0 && minutes <= 10_000 && rest >= 0 && rest <= 100_000;
  return (
    <form
      className="mt-2 grid max-w-2xl grid-cols-4 items-end gap-3 text-[15px]"
      onSubmit={(e) => {
        e.preventDefault();
        take(fields.title.trim().slice(0, 120), fields.text.trim().slice(0, 1000), minutes, rest);
      }}
    >
      <label className="col-span-2 flex flex-col">
        What is done
        <input className="field min-h-11" value={fields.title} onChange={set("title")} autoFocus />
      </label>
      <label className="flex flex-col">
        Takes, min
        <input className="field min-h-11" value={fields.minutes} onChange={set("minutes")} />
      </label>
      <label className="flex flex-col">
        Rests then, min
        <input className="field min-h-11" value={fields.rest} onChange={set("rest")} />
      </label>
      <label className="col-span-3 flex flex-col">
        How, or what to look at
        <input className="field min-h-11" value={fields.text} onChange={set("text")} />
      </label>
      <button className="btn min-h-11" disabled={!good}>
        Add the step
      </button>
    </form>
  );
}
