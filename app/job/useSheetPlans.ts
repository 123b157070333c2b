import { useEffect, useMemo, useRef, useState } from "react";
import { drawerSheets, type Holding } from "core/drawer";
import { sheetJobs, type SheetJob } from "core/jigs/sheetParts";
import type { NestResult } from "core/nesting";
import type { NestNews } from "~/workers/planner";
import { useJob } from "./JobContext";
import { useDrawerAt, usePlannedAt } from "./usePlan";
import { useRun } from "./useRun";

/** A sheet's plan as it is shown: nothing of it while not even the first one is there, `seeking` while a better one is looked for. */
export interface ShownSheets {
  readonly job: SheetJob;
  readonly result: NestResult | undefined;
  readonly seeking: boolean;
}
export interface SheetPlans {
  readonly plans: readonly ShownSheets[];
  readonly seeking: boolean;
  readonly stopped: boolean;
  readonly fault: string | undefined;
  stop(): void;
  again(): void;
}

/** Sheets of the drawer before those that are sold. */
export const withDrawer = (j: SheetJob, held: readonly Holding[]): SheetJob =>
  j.item ? { ...j, problem: { ...j.problem, sizes: [...drawerSheets(held, j.item, j.problem.sizes), ...j.problem.sizes] } } : j; // prettier-ignore

/** Plans of sheets, made in a worker: the first plan of each at once, bettered behind. */
export function useSheetRun(jobs: readonly SheetJob[]): SheetPlans {
  const problems = useMemo(() => jobs.map((j) => j.problem), [jobs]);
  const key = useMemo(() => JSON.stringify(problems), [problems]);
  const { news, seeking, ...run } = useRun<NestNews>(jobs.length, key, (w, tell) => w.nest(problems, tell));
  return {
    ...run,
    seeking,
    plans: jobs.map((job, at) => ({ job, result: news[at]?.result, seeking: seeking && news[at]?.seeking !== false })),
  };
}
/** Whether the drawings of mock-ups are at hand: they come when they are wanted. */
function useCards(wanted: boolean): boolean {
  const [here, setHere] = useState(false);
  useEffect(() => {
    if (wanted) void import("core/jigs/allSheets").then(() => setHere(true));
  }, [wanted]);
  return here;
}
/** Plans of all sheets of what is still to be cut of the job. */
export function useSheetPlans(held: readonly Holding[] | undefined): SheetPlans {
  const { design, doc } = useJob();
  const laid = useRef<readonly (readonly string[])[]>([]);
  const base = usePlannedAt(laid.current);
  const lying = useDrawerAt(held, design, doc, base);
  const card = doc.sheetCutting?.card;
  const cards = useCards(card !== undefined);
  const jobs = useMemo(() => {
    if (!lying) return [];
    return sheetJobs(design, base).map((j) => (doc.useDrawer === false ? j : withDrawer(j, lying)));
    // what draws a structure in card adds to what there is when it has come
  }, [design, doc, base, lying, cards]);
  const shown = useSheetRun(jobs);
  laid.current = shown.plans
    .flatMap((p) => (p.result?.status === "planned" ? p.result.sheets : []))
    .map((x) => x.placed.map((p) => p.stick));
  return shown;
}
