import { useEffect, useRef, useState } from "react";
import { cautionsOf, minutesWords, type Joining, type StepState } from "core/assembly";
import { glueChosen, isGlued, usualOf } from "core/buildOrder";
import { emptyBuild, type GlueDoc } from "core/job";
import { printArea, tellIn } from "core/units";
import { useJob } from "~/job/JobContext";
import { clockOf } from "~/job/useKeeping";
import { useUnits } from "~/job/units";
import type { ShownStep } from "~/workers/assembler";
import { LogNote } from "./LogNote";
import { Cautions } from "./Cautions";
import { StepTools } from "./StepTools";
import { StepPictureView } from "./StepPictureView";
import type { BenchOrder } from "./useBench";

const DOT: Readonly<Record<StepState["state"], string>> = {
  done: "bg-verdigris border-verdigris",
  skipped: "bg-edge border-edge",
  drying: "border-ochre bg-ochre/40",
  open: "border-vermilion",
  waiting: "border-edge",
};
const SAID: Readonly<Record<StepState["state"], string>> = {
  done: "done",
  skipped: "skipped",
  drying: "waits for glue",
  open: "can be done now",
  waiting: "waits for a step before",
};
/** "at once", "after 45 min". */
const afterWords = (minutes: number): string => (minutes <= 0 ? "at once" : `after ${minutesWords(minutes)}`);
/** "in 25 min", "tomorrow 08:10". */
function whenWords(at: number, now: number): string {
  const min = Math.ceil((at - now) / 60_000);
  if (min <= 1) return "in a minute";
  if (min < 90) return `in ${min} min`;
  const day = new Date(at).toDateString() === new Date(now).toDateString() ? "at" : "on " + new Date(at).toISOString().slice(0, 10) + " at"; // prettier-ignore
  return `${day} ${clockOf(new Date(at))}`;
}

/** One step after another: what is new, what it takes, how it is joined and checked; done, skipped, noted. */
export function Steps({
  order,
  joinings,
  large,
  setLarge,
}: {
  order: BenchOrder;
  joinings: readonly Joining[];
  large: boolean;
  setLarge: (on: boolean) => void;
}) {
  const { steps, states, next, now } = order;
  const [picked, pick] = useState<string>();
  const [prompt, setPrompt] = useState<ShownStep>();
  const [writing, setWriting] = useState(false);
  const step = steps.find((s) => s.id === picked) ?? next ?? steps[0];
  useAwake(large);
  if (!step) return null;
  const at = steps.indexOf(step);
  const go = (n: number): void => pick(steps[Math.max(0, Math.min(steps.length - 1, n))]!.id);
  const drying = steps.filter((s) => (states.get(s.id)?.handle ?? 0) > now);
  const list = <StepList order={order} step={step} pick={pick} />;
  const page = (
    <StepPage
      key={step.id}
      step={step}
      n={at + 1}
      order={order}
      joinings={joinings}
      large={large}
      after={(s) => {
        setPrompt(s);
        setWriting(false);
        pick(undefined);
      }}
    />
  );
  return (
    <div className="flex min-h-0 flex-1">
      {!large && list}
      <div className="flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-center gap-2 px-6 pt-2">
          <button className={big(large)} disabled={at === 0} onClick={() => go(at - 1)}>
            ‹ Back
          </button>
          <button className={big(large)} disabled={at === steps.length - 1} onClick={() => go(at + 1)}>
            Next ›
          </button>
          {next && next !== step && (
            <button className={big(large)} onClick={() => pick(undefined)}>
              To what can be done now
            </button>
          )}
          <button className={`${big(large)} ml-auto`} onClick={() => setLarge(!large)} aria-pressed={large}>
            {large ? "Leave large view" : "Large, for the bench"}
          </button>
        </div>
        <p className="truncate px-6 pt-1 text-[16px] text-ink-2" role="status">
          {steps.filter((s) => states.get(s.id)?.state === "done").length} of {steps.length} steps done
          {drying.length > 0 &&
            ` · drying: ${drying
              .slice(0, 2)
              .map((s) => `${s.title} (${whenWords(states.get(s.id)!.handle!, now)})`)
              .join(", ")}${drying.length > 2 ? ` and ${drying.length - 2} more` : ""}`}
        </p>
        {prompt && (
          <section
            aria-label={`Note on ${prompt.title}`}
            className="mx-6 mt-2 border-l-[3px] border-verdigris bg-shade px-4 py-2"
          >
            <p className="flex flex-wrap items-center gap-4">
              <b>Done: {prompt.title}.</b>
              {!writing && (
                <button className="btn min-h-11" onClick={() => setWriting(true)}>
                  Note, picture or length
                </button>
              )}
              <button className="btn min-h-11" onClick={() => setPrompt(undefined)}>
                Nothing to note
              </button>
            </p>
            {writing && <LogNote step={prompt} done={() => setPrompt(undefined)} />}
          </section>
        )}
        {page}
      </div>
    </div>
  );
}
const big = (large: boolean): string => `btn ${large ? "min-h-[56px] !px-6 !text-[22px]" : "min-h-11"}`;

/** Keeps the screen awake while it is on, where the browser lets it. */
function useAwake(on: boolean): void {
  useEffect(() => {
    if (!on) return;
    let lock: { release(): Promise<void> } | undefined;
    let gone = false;
    const wake = (navigator as { wakeLock?: { request(kind: "screen"): Promise<{ release(): Promise<void> }> } })
      .wakeLock;
    wake?.request("screen").then((l) => (gone ? void l.release() : (lock = l)), () => undefined); // prettier-ignore
    return () => {
      gone = true;
      void lock?.release();
    };
  }, [on]);
}

/** The steps one below the other, by what they are of. */
function StepList({ order, step, pick }: { order: BenchOrder; step: ShownStep; pick: (id: string) => void }) {
  const { steps, states } = order;
  const here = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    void here.current?.scrollIntoView({ block: "nearest" });
  }, [step.id]);
  const groupOf = (s: ShownStep | undefined): string | undefined =>
    s && (s.place === "join" || s.unit === undefined ? `${s.structureName}: ${s.place === "finish" ? "finish" : "where it stands"}` : `${s.unit} on its board`); // prettier-ignore
  return (
    <nav aria-label="Steps" className="w-[300px] shrink-0 overflow-auto border-r border-hair px-4 py-2">
      <ol>
        {steps.map((s, i) => {
          const head = groupOf(s) === groupOf(steps[i - 1]) ? undefined : groupOf(s);
          const st = states.get(s.id)?.state ?? "waiting";
          return (
            <li key={s.id}>
              {head && <h2 className="label mt-3">{head}</h2>}
              <button
                ref={s === step ? here : undefined}
                aria-current={s === step ? "step" : undefined}
                onClick={() => pick(s.id)}
                className={`flex min-h-11 w-full items-center gap-2 px-1 text-left text-[16px] hover:bg-shade ${s === step ? "bg-shade font-semibold" : ""} ${st === "waiting" ? "text-ink-2" : ""}`}
              >
                <span aria-hidden className={`size-3.5 shrink-0 rounded-full border-2 ${DOT[st]}`} />
                <span className="min-w-0">
                  {`${i + 1}. ${short(s)}`}
                  <span className="sr-only">, {SAID[st]}</span>
                  {states.get(s.id)?.touched && (
                    <b className="block text-[14px] text-ochre">its pieces changed since</b>
                  )}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
/** A step's title without the sub-assembly that stands over it. */
const short = (s: ShownStep): string => (s.place === "board" && s.unit && s.title.startsWith(`${s.unit}: `) ? s.title.slice(s.unit.length + 2) : s.title); // prettier-ignore

function StepPage({
  step,
  n,
  order,
  joinings,
  large,
  after,
}: {
  step: ShownStep;
  n: number;
  order: BenchOrder;
  joinings: readonly Joining[];
  large: boolean;
  after: (s: ShownStep) => void;
}) {
  const { note, edit } = useJob();
  const { M, units } = useUnits();
  const { states, steps, now } = order;
  const state = states.get(step.id)!;
  // what was just chosen, until the order has been made with it
  const [glue, setGlue] = useState<string>();
  useEffect(() => setGlue(undefined), [step.joining]);
  const [skipping, setSkipping] = useState<string>();
  const glued = isGlued(step);
  const choose = (label: string, g: Pick<GlueDoc, "step" | "instead">, to: Joining): void =>
    void edit(label, (d) => {
      const b = (d.build ??= emptyBuild());
      b.glues = glueChosen(b.glues ?? [], { ...g, with: to.id, name: to.name });
    });
  // steps of the same materials that are joined otherwise
  const others = steps.filter((s) => isGlued(s) && usualOf(s) === usualOf(step) && s.joining !== step.joining).length;
  const joining = joinings.find((j) => j.id === (glue ?? step.joining)) ?? joinings[0]!;
  const clock = step.coat
    ? { name: step.coat.name, handle: step.coat.touch, full: step.coat.over }
    : step.own
      ? { name: "rest", handle: step.own.rest, full: step.own.rest }
      : { name: joining.name, handle: joining.handle, full: joining.full };
  const waits = step.after.filter((x) => { const s = states.get(x)?.state; return s !== "done" && s !== "skipped"; }).map((x) => steps.find((s) => s.id === x)?.title ?? x); // prettier-ignore
  const about = { step: step.id, title: step.title };
  const text = large ? "text-[22px]" : "text-[17px]";
  return (
    <article className="flex min-h-0 flex-1 flex-col overflow-auto px-6 pb-3" aria-label={`Step ${n}`}>
      <h2 className={`head mt-2 ${large ? "text-[38px]" : "text-[27px]"}`}>{`${n}. ${step.title}`}</h2>
      <div className={`shrink-0 ${large ? "h-[54vh]" : "h-[36vh]"} min-h-[220px] bg-shade p-2`}>
        <StepPictureView step={step} steps={steps} />
      </div>
      <ul className={`mt-2 flex flex-wrap gap-x-5 gap-y-1 ${text}`} aria-label="Pieces">
        {step.marks.slice(0, 14).map((m) => (
          <li key={m.mark}>
            <b className="head">{m.mark}</b> {`${m.count} × ${m.role}, ${M(m.overall, 1)}`}
          </li>
        ))}
        {step.marks.length > 14 && <li className="text-ink-2">and {step.marks.length - 14} marks more</li>}
      </ul>
      {(step.place === "board" || step.place === "join") && (
        <p className={`mt-1 ${text}`}>
          {`It comes ${step.way}.${step.place === "board" && step.unit ? ` Template: ${step.unit}.` : ""}`}
        </p>
      )}
      {step.coat && (
        <p className={`mt-1 ${text}`}>
          {`${step.coat.name}, ${printArea(step.coat.area, units.model)}: dry to the touch ${afterWords(step.coat.touch)}, to be painted over ${afterWords(step.coat.over)}.`}
        </p>
      )}
      {step.fixture && <p className={`mt-1 border-l-[3px] border-ochre pl-3 ${text}`}>{step.fixture}</p>}
      {step.checks.map((c) => (
        <p key={c} className={`mt-1 ${text}`}>
          {glued && <b>Check:</b>} {tellIn(c, units)}
        </p>
      ))}
      {glued && (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <label className={`flex items-center gap-2 ${text}`}>
            Joined with
            <select
              className="field !w-56 min-h-11"
              value={joining.id}
              onChange={(e) => {
                const to = joinings.find((j) => j.id === e.target.value)!;
                setGlue(to.id);
                choose(`Join “${step.title}” with ${to.name.toLowerCase()}`, { step: step.id }, to);
              }}
            >
              {joinings.map((j) => (
                <option key={j.id} value={j.id}>
                  {j.name}
                </option>
              ))}
            </select>
          </label>
          {joining.full > 0 && (
            <span className="text-[16px] text-ink-2">
              handle after {minutesWords(joining.handle)}, strong after {minutesWords(joining.full)}
            </span>
          )}
          {step.chosen !== undefined && others > 0 && (
            <button
              className="btn"
              onClick={() =>
                choose(`Join all such steps with ${joining.name.toLowerCase()}`, { instead: usualOf(step) }, joining)
              }
            >
              {`Join ${others === 1 ? "the other" : `all ${others} others`} of this material so`}
            </button>
          )}
        </div>
      )}
      <Cautions all={cautionsOf(step, joining.id)} />
      {glued && joining.beware && <p className="mt-1 text-[16px] text-ink-2">{joining.beware}</p>}
      {state.touched && (
        <p className="mt-2 border-l-[3px] border-ochre bg-shade px-4 py-1.5">
          The design was changed after this step was done: its pieces are others now. Look whether what you built still
          serves.
        </p>
      )}
      <div
        className="sticky -bottom-3 mt-3 flex flex-wrap items-center gap-3 border-t border-hair bg-film py-2"
        role="status"
      >
        {state.state === "done" || state.state === "skipped" ? (
          <>
            <b className="text-verdigris">
              ✓ {state.state === "done" ? "Done" : `Skipped${state.reason ? `: ${state.reason}` : ""}`}{" "}
              {clockOf(new Date(state.at!))}
            </b>
            {(state.handle ?? 0) > now && (
              <span className="text-ochre">can be handled {whenWords(state.handle!, now)}</span>
            )}
            {(state.handle ?? 0) <= now && (state.full ?? 0) > now && (
              <span className="text-ink-2">strong {whenWords(state.full!, now)}</span>
            )}
            <button className={big(large)} onClick={() => note("undone", about)}>
              Not done after all
            </button>
          </>
        ) : (
          <>
            {state.state === "waiting" && (
              <span className="text-ink-2">
                Before it: {waits.slice(0, 4).join("; ")}
                {waits.length > 4 ? ` and ${waits.length - 4} more` : ""}.
              </span>
            )}
            {state.state === "drying" && (
              <span className="text-ochre">What it builds on can be handled {whenWords(state.ready!, now)}.</span>
            )}
            <button
              className={`act ${large ? "min-h-[56px] !px-8 !text-[24px]" : "min-h-11"}`}
              disabled={state.state === "waiting"}
              onClick={() => {
                note("done", { ...about, joining: clock, print: step.print, ...(step.coat ? { coat: { name: step.coat.name, mix: step.coat.mix } } : {}) }); // prettier-ignore
                after(step);
              }}
            >
              {state.state === "drying" ? "Done all the same" : clock.full > 0 ? "Done, start the clock" : "Done"}
            </button>
            <button
              className={big(large)}
              disabled={state.state === "waiting"}
              onClick={() => setSkipping(skipping === undefined ? "" : undefined)}
            >
              Skip …
            </button>
            {skipping !== undefined && (
              <form
                className="flex gap-2"
                onSubmit={(e) => {
                  e.preventDefault();
                  note("skipped", { ...about, text: skipping.trim() });
                  after(step);
                }}
              >
                <input
                  className="field !w-64"
                  aria-label="Why it is skipped"
                  placeholder="why"
                  value={skipping}
                  onChange={(e) => setSkipping(e.target.value)}
                  autoFocus
                />
                <button className="btn min-h-11" disabled={skipping.trim() === ""}>
                  Skip it
                </button>
              </form>
            )}
          </>
        )}
      </div>
      {!large && <StepTools key={step.id} step={step} order={order} />}
      {!large && (
        <details className="mt-3">
          <summary className="link min-h-6 cursor-pointer">Note, picture or length for this step</summary>
          <div className="mt-2 max-w-3xl">
            <LogNote step={step} />
          </div>
        </details>
      )}
    </article>
  );
}
