import { proxy } from "comlink";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { drawerSheets, type Holding } from "core/drawer";
import { sheetJobs, type SheetJob } from "core/jigs/sheetParts";
import type { NestResult } from "core/nesting";
import type { NestNews, Planner } from "~/workers/planner";
import { Endable, WorkStopped } from "./Endable";
import { useJob } from "./JobContext";
import { useDrawerAt, usePlannedAt } from "./usePlan";

/** A sheet's plan as it is shown: nothing of it while not even the first one is there, `seeking` while a better one is looked for. */
export interface ShownSheets {
  readonly job: SheetJob;
  readonly result: NestResult | undefined;
  readonly seeking: boolean;
}

/** Plans of all sheets of what is still to be cut, made in a worker: the first plan of each at once, bettered behind. */
export function useSheetPlans(held: readonly Holding[] | undefined): {
  readonly plans: readonly ShownSheets[];
  readonly seeking: boolean;
  readonly fault: string | undefined;
  /** Ends the search at once; what is shown stays. */
  stop(): void;
} {
  const { design, doc } = useJob();
  const [state, setState] = useState<{ readonly key: string; readonly news: readonly NestNews[]; readonly running: boolean; readonly fault?: string }>({ key: "", news: [], running: false }); // prettier-ignore
  const worker = useRef<Endable<Planner>>(undefined);
  const laid = state.news.flatMap((n) => (n.result.status === "planned" ? n.result.sheets : []));
  const base = usePlannedAt(laid.map((x) => x.placed.map((p) => p.stick)));
  const lying = useDrawerAt(held, design, doc, base);
  const jobs = useMemo(() => {
    if (!lying) return [];
    const had = ({ item, problem }: SheetJob) => (item && doc.useDrawer !== false ? drawerSheets(lying, item, problem.sizes) : []); // prettier-ignore
    return sheetJobs(design, base).map((j): SheetJob => ({ ...j, problem: { ...j.problem, sizes: [...had(j), ...j.problem.sizes] } })); // prettier-ignore
  }, [design, doc, base, lying]);
  const key = useMemo(() => JSON.stringify(jobs.map((j) => j.problem)), [jobs]);
  const end = useCallback(() => {
    worker.current?.end();
    worker.current = undefined;
    setState((s) => ({ ...s, running: false }));
  }, []);
  useEffect(() => {
    setState({ key, news: [], running: jobs.length > 0 });
    if (jobs.length === 0) return;
    const own = new Endable<Planner>(
      new Worker(new URL("../workers/planner.worker.ts", import.meta.url), { type: "module" }),
    );
    worker.current = own;
    const tell = (news: NestNews): void => {
      if (worker.current === own) setState((s) => ({ ...s, news: [...s.news.filter((n) => n.at !== news.at), news] }));
    };
    own
      .ask((w) =>
        w.nest(
          jobs.map((j) => j.problem),
          proxy(tell),
        ),
      )
      .catch((e: unknown) => {
        if (worker.current === own && !(e instanceof WorkStopped))
          setState((s) => ({ ...s, fault: `The sheets could not be laid out: ${(e as Error).message}` }));
      })
      .finally(() => worker.current === own && end());
    return () => {
      own.end();
      worker.current = undefined;
    };
    // the key says when anything the plans depend on has changed
  }, [key, end]);
  const news = state.key === key ? state.news : [];
  return {
    plans: jobs.map((job, at) => {
      const known = news.find((n) => n.at === at);
      return { job, result: known?.result, seeking: state.running && known?.seeking !== false };
    }),
    seeking: state.running,
    fault: state.fault,
    stop: end,
  };
}
