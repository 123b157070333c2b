import { useMemo, useRef, useState } from "react";
import type { ItemPlan, StickJob } from "core/cutting";
import { stickJobs } from "core/job";
import type { PlanNews } from "~/workers/planner";
import type { Holding } from "core/drawer";
import { useJob } from "./JobContext";
import { useDoneSticks } from "./useDoneSticks";
import { useRun } from "./useRun";

/** A plan as it is shown: `seeking` while a better one, or its proof, is still looked for. */
export interface ShownPlan {
  readonly plan: ItemPlan;
  readonly seeking: boolean;
}
export interface StickPlans {
  /** In the order of the stock; undefined where not even the first plan is there yet. */
  readonly plans: readonly (ShownPlan | undefined)[];
  readonly seeking: boolean;
  /** It was ended before it was through. */
  readonly stopped: boolean;
  readonly fault: string | undefined;
  stop(): void;
  again(): void;
}

/** Whether plans made when `planned` was cut still hold now that `done` is: nothing was taken back, and what came is all that comes of some of the planned sticks or sheets. */
export function fits(
  planned: ReadonlySet<string>,
  done: ReadonlySet<string>,
  groups: readonly (readonly string[])[],
): boolean {
  if (planned.size === done.size && [...planned].every((s) => done.has(s))) return true;
  if ([...planned].some((s) => !done.has(s))) return false;
  const whole = new Set(groups.filter((g) => g.every((s) => done.has(s))).flat());
  return [...done].every((s) => planned.has(s) || whole.has(s));
}
/** What was cut when the plans were made: it stays while what is cut since is whole sticks or sheets of them, so that what is marked keeps its place. */
export function usePlannedAt(groups: readonly (readonly string[])[]): ReadonlySet<string> {
  const done = useDoneSticks();
  const [planned, setPlanned] = useState(done);
  const base = fits(planned, done, groups) ? planned : done;
  if (base !== planned) setPlanned(base);
  return base;
}
/** The drawer as it lay when the rest of what is planned was last changed: what leaves it with a stick that is marked leaves the plan as it is. */
export function useDrawerAt(
  held: readonly Holding[] | undefined,
  ...rest: readonly unknown[]
): readonly Holding[] | undefined {
  const at = useRef<{ readonly rest: readonly unknown[]; readonly held: readonly Holding[] | undefined }>(undefined);
  const same = at.current?.held !== undefined && at.current.rest.every((x, i) => x === rest[i]);
  if (!same) at.current = { rest, held };
  return at.current!.held;
}

/** Plans of sticks, made in a worker: the first plan of each section at once, bettered behind. */
export function useStickPlans(jobs: readonly StickJob[]): StickPlans {
  const key = useMemo(() => JSON.stringify(jobs), [jobs]);
  const { news, seeking, ...run } = useRun<PlanNews>(jobs.length, key, (w, tell) => w.plan(jobs, tell));
  return {
    ...run,
    seeking,
    plans: news.map((n) => n && { plan: n.plan, seeking: seeking && n.seeking }),
  };
}
/** The stick plans of what is still to be cut of the job. What lies in the drawer comes first; nothing is planned while that is not known. */
export function usePlan(held: readonly Holding[] | undefined): StickPlans {
  const { design, doc } = useJob();
  const laid = useRef<readonly (readonly string[])[]>([]);
  const base = usePlannedAt(laid.current);
  const lying = useDrawerAt(held, design, doc, base);
  const jobs = useMemo(() => (lying ? stickJobs(design, base, lying) : []), [design, base, lying]);
  const shown = useStickPlans(jobs);
  laid.current = shown.plans.flatMap((p) => p?.plan.sticks ?? []).map((s) => s.cuts.map((c) => c.stick));
  return shown;
}
