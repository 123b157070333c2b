import { stopErrors, whereRanges } from "core/job";
import { useJob } from "~/job/JobContext";
import { useCutMarks } from "~/job/useCutMarks";
import { useUnits } from "~/job/units";
import { Fasteners } from "./Fasteners";
import { Masters } from "./Masters";
import type { BenchOrder } from "./useBench";

const INK = {
  valid: "text-verdigris",
  "too long": "text-ochre",
  "too short": "text-fault",
  "other ends": "text-fault",
  "other section": "text-fault",
  "not needed": "text-ink-2",
} as const;

/** What is cut and whether it still fits; what broke or was lost goes back on the cut list; what the stop cuts wrong. */
export function Pieces({ order }: { order: BenchOrder }) {
  const { design, statuses, issues, note } = useJob();
  const { M } = useUnits();
  const { takeBack } = useCutMarks();
  const all = design.pieces.reduce((n, p) => n + p.sticks.length, 0);
  const good = statuses.filter((s) => s.state === "valid").length;
  const groups = [...new Set(statuses.map((s) => `${s.mark}|${s.words}|${s.state}`))];
  return (
    <>
      <h2 className="head text-[26px]">
        {statuses.length === 0 ? "Nothing is cut yet" : `${good} of ${all} pieces are cut and fit`}
      </h2>
      {statuses.length === 0 && (
        <p className="my-2 max-w-2xl">
          Mark pieces as cut under Cutting, and print jigs under Jigs: both are noted here with what they were made
          from, and told when the design moves on.
        </p>
      )}
      {stopErrors(issues).map((e) => (
        <p key={e.mark} className="my-1 max-w-4xl border-l-[3px] border-ochre bg-shade px-4 py-1.5">
          <b className="head">{e.mark}</b> {e.count > 1 ? "come out" : "comes out"} {M(Math.abs(e.mean), 2)} too{" "}
          {e.mean > 0 ? "long" : "short"}
          {e.count > 1 ? `, ${e.count} measured, ${M(e.spread, 2)} between them` : ""}: set the stop to{" "}
          <b>{M(e.setTo, 2)}</b> for the next.
        </p>
      ))}
      <ul className="mt-3 max-w-4xl">
        {groups.map((g) => {
          const list = statuses.filter((s) => `${s.mark}|${s.words}|${s.state}` === g);
          const first = list[0]!;
          return (
            <li key={g} className="row flex min-h-[48px] flex-wrap items-center gap-x-5 gap-y-1 py-1">
              <b className="head w-16 text-[26px]">{first.mark}</b>
              <span className="w-56">
                {list.length} × {first.role}
              </span>
              <span className={`font-semibold ${INK[first.state]}`}>
                {first.state === "valid" ? "✓ " : ""}
                {first.words}
              </span>
              <span className="ml-auto text-[16px] text-ink-2">{whereRanges(list.map((s) => s.stick))}</span>
              <button className="btn shrink-0" onClick={() => takeBack(list.map((s) => s.stick))}>
                Take back
              </button>
              <button
                className="btn shrink-0"
                title="Broken or lost: it is cut again"
                onClick={() => note("lost", { title: `${first.mark}, one broken or lost` }, [list[0]!.stick])}
              >
                One broke
              </button>
            </li>
          );
        })}
      </ul>
      <Masters />
      <Fasteners order={order} />
    </>
  );
}
