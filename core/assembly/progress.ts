import type { Issue } from "../job";
import type { Task } from "./evenings";
import type { Step } from "./step";

/** How a step stands. Times are ms since 1970. */
export interface StepState {
  /** "done": done; "skipped": left out, with a reason; "drying": what it builds on is not to be handled yet; "open": it can be done now; "waiting": something has to be done before. */
  readonly state: "done" | "skipped" | "drying" | "open" | "waiting";
  /** When it was done. */
  readonly at?: number;
  /** Until when what it made is not to be handled, and when it is as strong as it gets. */
  readonly handle?: number;
  readonly full?: number;
  /** When what it waits for can be handled. */
  readonly ready?: number;
  /** Its pieces are not what they were when it was done. */
  readonly touched?: boolean;
  readonly reason?: string;
}
const MINUTE = 60_000;

/** The last word on each step: done, with its event, skipped, or neither. */
export function lastWords(issues: readonly Issue[]): ReadonlyMap<string, Issue> {
  const out = new Map<string, Issue>();
  for (const i of issues) {
    const step = i.bench?.step;
    if (step === undefined) continue;
    if (i.kind === "done" || i.kind === "skipped") out.set(step, i);
    if (i.kind === "undone") out.delete(step);
  }
  return out;
}
/** A step that has to hold before another, or to be as strong or dry as it gets. */
export interface Rest {
  readonly id: string;
  readonly until: "handle" | "full";
}
/** What has to hold before a step: all of the sub-assembly that it lifts, and sub-assemblies that it is joined to where they stand; a coat has to be dry to the touch, and dry enough for the next one. On a board one lays on while the glue is wet. */
export function holdingOf(steps: readonly Step[]): (s: Step) => readonly Rest[] {
  const of = new Map(steps.map((s) => [s.id, s] as const));
  return (s) => {
    const own = s.lifts ? steps.filter((o) => o !== s && o.place === "board" && o.structure === s.structure && o.unit === s.unit) : []; // prettier-ignore
    const stand = s.place === "join" ? s.after.filter((x) => of.get(x)?.place === "join" && of.get(x)?.lifts) : [];
    const coats = s.after.filter((x) => of.get(x)?.place === "finish" || of.get(x)?.place === "own");
    const wet = s.place === "finish" ? s.after.filter((x) => of.get(x)?.place === "board" || of.get(x)?.place === "join") : []; // prettier-ignore
    return [
      ...[...own.map((o) => o.id), ...stand, ...wet].map((id): Rest => ({ id, until: "handle" })),
      ...coats.map((id): Rest => ({ id, until: s.place === "finish" ? "full" : "handle" })),
    ];
  };
}
/** How every step stands at a moment. `prints` are what the steps' pieces are like now. A clock runs from the time that stands in the log, so that it goes on while nothing is open. */
export function stepStates(
  steps: readonly Step[],
  issues: readonly Issue[],
  now: number,
  prints: ReadonlyMap<string, string> = new Map(),
): ReadonlyMap<string, StepState> {
  const last = lastWords(issues);
  const out = new Map<string, StepState>();
  const clock = (id: string): { handle: number; full: number } | undefined => {
    const e = last.get(id);
    const at = e ? Date.parse(e.at) : NaN;
    const j = e?.bench?.joining;
    return Number.isFinite(at) && e?.kind === "done" ? { handle: at + (j?.handle ?? 0) * MINUTE, full: at + (j?.full ?? 0) * MINUTE } : undefined; // prettier-ignore
  };
  const holding = holdingOf(steps);
  for (const s of steps) {
    const e = last.get(s.id);
    if (e) {
      const c = clock(s.id);
      const was = e.bench?.print;
      const is = prints.get(s.id);
      out.set(s.id, {
        state: e.kind === "done" ? "done" : "skipped",
        at: Date.parse(e.at),
        ...c,
        ...(was !== undefined && is !== undefined && was !== is ? { touched: true } : {}),
        ...(e.kind === "skipped" ? { reason: e.bench?.text ?? "" } : {}),
      });
      continue;
    }
    if (s.after.some((x) => !last.has(x))) {
      out.set(s.id, { state: "waiting" });
      continue;
    }
    const ready = Math.max(0, ...holding(s).map((x) => clock(x.id)?.[x.until] ?? 0));
    out.set(s.id, ready > now ? { state: "drying", ready } : { state: "open" });
  }
  return out;
}
/** Steps that the log has as done but the order has no more: the design went on. */
export const forgotten = (steps: readonly Step[], issues: readonly Issue[]): readonly Issue[] => {
  const known = new Set(steps.map((s) => s.id));
  return [...lastWords(issues).values()].filter((i) => i.kind === "done" && !known.has(i.bench!.step!));
};
/** The step to be done next: the first that is open; else the one that is ready first. */
export function nextStep<S extends Step>(steps: readonly S[], states: ReadonlyMap<string, StepState>): S | undefined {
  const open = steps.find((s) => states.get(s.id)?.state === "open");
  if (open) return open;
  const drying = steps.filter((s) => states.get(s.id)?.state === "drying");
  return drying.sort((a, b) => states.get(a.id)!.ready! - states.get(b.id)!.ready!)[0];
}

/** What a step takes where nobody has measured it, minutes: to get ready, and for each piece. From memory, common practice. */
const [READY, EACH] = [4, 1.2];
/** The same of a coat: to get ready and clean the brush, and how much a brush covers in a minute, cm². From memory, common practice. */
const [READY_TO_PAINT, BRUSHED] = [12, 12];
/** Minutes that a step will take: as long as the bench's own steps took for their size, once some were timed. */
export function minutesOf(steps: readonly Step[], issues: readonly Issue[]): (s: Step) => number {
  const of = new Map(steps.map((s) => [s.id, s] as const));
  const guess = (s: Step): number => s.own?.minutes ?? (s.coat ? READY_TO_PAINT + s.coat.area / 100 / BRUSHED : READY + EACH * s.sticks.length); // prettier-ignore
  const ratios = issues.flatMap((i) => {
    const s = of.get(i.bench?.step ?? "");
    return s && i.bench?.minutes ? [i.bench.minutes / guess(s)] : [];
  });
  const middle = [...ratios].sort((a, b) => a - b)[Math.floor(ratios.length / 2)] ?? 1;
  return (s) => Math.max(1, Math.round(guess(s) * middle));
}
/** Tasks of a job beside those of others: under its id, and told by its name. */
export const underJob = (job: string, name: string, tasks: readonly Task[]): Task[] =>
  tasks.map((t) => ({ ...t, id: `${job}:${t.id}`, title: `${name}: ${t.title}`, after: t.after.map((a) => ({ ...a, id: `${job}:${a.id}` })) })); // prettier-ignore
/** How long after a step one has to wait, minutes. */
const restAfter = (s: Step, until: Rest["until"], handle: (joining: string) => number): number =>
  s.coat ? (until === "full" ? s.coat.over : s.coat.touch) : s.own ? s.own.rest : handle(s.joining);
/** What is still to be done as tasks for evenings: each with what has to come before, and how long that has to hold. `handle` tells of a joining how long that is, minutes; what dries already is waited for. */
export function tasksOf(
  steps: readonly Step[],
  states: ReadonlyMap<string, StepState>,
  issues: readonly Issue[],
  now: number,
  handle: (joining: string) => number,
): Task[] {
  const holding = holdingOf(steps);
  const minutes = minutesOf(steps, issues);
  const open = steps.filter((s) => states.get(s.id)?.state !== "done" && states.get(s.id)?.state !== "skipped");
  const left = new Map(open.map((s) => [s.id, s] as const));
  return open.map((s): Task => {
    const rests = new Map<string, number>();
    for (const x of s.after) if (left.has(x)) rests.set(x, 0);
    for (const x of holding(s)) {
      const before = left.get(x.id);
      if (before) rests.set(x.id, Math.max(rests.get(x.id) ?? 0, restAfter(before, x.until, handle)));
    }
    const wet = holding(s).flatMap((x) =>
      left.has(x.id) ? [] : [((states.get(x.id)?.[x.until] ?? 0) - now) / MINUTE],
    );
    const ready = Math.max(0, ...wet);
    return { id: s.id, title: s.title, minutes: minutes(s), after: [...rests].map(([id, rest]) => ({ id, rest })), ...(ready > 0 ? { ready } : {}) }; // prettier-ignore
  });
}
