import { proxy } from "comlink";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { stockLengths, wantedByItem, type ItemPlan } from "core/cutting";
import { serves, type CutStatus } from "core/job";
import { stockItem } from "core/lumber";
import type { Planner, PlanNews, PlanRequest } from "~/workers/planner";
import { drawerLengths, type Holding } from "core/drawer";
import { Endable, WorkStopped } from "./Endable";
import { useJob } from "./JobContext";

/** A plan as it is shown: `seeking` while a better one, or its proof, is still looked for. */
export interface ShownPlan {
  readonly plan: ItemPlan;
  readonly seeking: boolean;
}

const doneOf = (statuses: readonly CutStatus[]): ReadonlySet<string> =>
  new Set(statuses.filter(serves).map((s) => s.stick));
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
  const { statuses } = useJob();
  const [planned, setPlanned] = useState<ReadonlySet<string>>(() => doneOf(statuses));
  const done = useMemo(() => doneOf(statuses), [statuses]);
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

/** The stick plan of what is still to be cut, made in a worker: the first plan of each section at once, bettered behind. What lies in the drawer comes first; nothing is planned while that is not known. */
export function usePlan(held: readonly Holding[] | undefined): {
  /** In the order of the stock; undefined where not even the first plan is there yet. */
  readonly plans: readonly (ShownPlan | undefined)[];
  /** Whether anything is still sought. */
  readonly seeking: boolean;
  readonly fault: string | undefined;
  /** Ends the search at once; what is shown stays. */
  stop(): void;
  /** Takes the search up again. */
  again(): void;
} {
  const { design, doc } = useJob();
  const [plans, setPlans] = useState<readonly (ShownPlan | undefined)[]>([]);
  const [running, setRunning] = useState(false);
  const [fault, setFault] = useState<string>();
  const [round, setRound] = useState(0);
  const worker = useRef<Endable<Planner>>(undefined);
  const base = usePlannedAt(plans.flatMap((p) => p?.plan.sticks ?? []).map((s) => s.cuts.map((c) => c.stick)));
  const lying = useDrawerAt(held, design, doc, base);
  const requests = useMemo(() => {
    if (!lying) return [];
    return [...wantedByItem(design.pieces, doc.cutting, base)]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([id, wanted]): PlanRequest => {
        const item = stockItem(design.scale, id)!;
        const sold = stockLengths(item, doc.stock.sticks[id]);
        const had = doc.useDrawer === false ? [] : drawerLengths(lying, item, sold);
        return { item, wanted, lengths: [...had, ...sold], settings: { ...doc.cutting } };
      });
  }, [design, doc, base, lying]);
  const key = useMemo(() => JSON.stringify(requests), [requests]);
  const end = useCallback(() => {
    worker.current?.end();
    worker.current = undefined;
    setRunning(false);
  }, []);
  useEffect(() => {
    setFault(undefined);
    setPlans(requests.map(() => undefined));
    if (requests.length === 0) return;
    const own = new Endable<Planner>(
      new Worker(new URL("../workers/planner.worker.ts", import.meta.url), { type: "module" }),
    );
    worker.current = own;
    setRunning(true);
    const tell = ({ at, ...news }: PlanNews): void => {
      if (worker.current === own) setPlans((all) => all.map((p, i) => (i === at ? news : p)));
    };
    own
      .ask((w) => w.plan(requests, proxy(tell)))
      .catch((e: unknown) => {
        if (worker.current === own && !(e instanceof WorkStopped))
          setFault(`The plan could not be made: ${(e as Error).message}`);
      })
      .finally(() => worker.current === own && end());
    return end;
    // the key says when anything the plan depends on has changed
  }, [key, round, end]);
  const shown = running ? plans : plans.map((p) => p && { ...p, seeking: false });
  return {
    plans: shown,
    seeking: running,
    fault,
    stop: end,
    again: useCallback(() => setRound((n) => n + 1), []),
  };
}
