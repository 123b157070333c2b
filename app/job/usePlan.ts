import { proxy, wrap, type Remote } from "comlink";
import { useEffect, useMemo, useRef, useState } from "react";
import { stockLengths, wantedByItem, type ItemPlan, type Progress } from "core/cutting";
import { serves } from "core/job";
import { catalogue } from "core/lumber";
import type { Planner, PlanRequest } from "~/workers/planner.worker";
import { useJob } from "./JobContext";

let planner: Remote<Planner> | undefined;
let ticket = 0;
function start(): Remote<Planner> {
  planner ??= wrap<Planner>(new Worker(new URL("../workers/planner.worker.ts", import.meta.url), { type: "module" }));
  return planner;
}

/** The stick plan of what is still to be cut, made in a worker; while it is sought, how far it is and a way to stop. */
export function usePlan(): {
  readonly plans: readonly ItemPlan[] | undefined;
  readonly progress: (Progress & { readonly name: string }) | undefined;
  readonly fault: string | undefined;
  stop(): void;
} {
  const { design, doc, statuses } = useJob();
  const [plans, setPlans] = useState<readonly ItemPlan[]>();
  const [progress, setProgress] = useState<Progress & { name: string }>();
  const [fault, setFault] = useState<string>();
  const mine = useRef(0);
  const requests = useMemo(() => {
    const items = new Map(catalogue(design.scale).map((i) => [i.id, i]));
    const done = new Set(statuses.filter(serves).map((s) => s.stick));
    return [...wantedByItem(design.pieces, doc.cutting, done)]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([id, wanted]): PlanRequest => ({
        item: items.get(id)!,
        wanted,
        lengths: stockLengths(items.get(id)!, doc.stock.sticks[id]),
        settings: { ...doc.cutting },
      }));
  }, [design, doc, statuses]);
  const key = useMemo(() => JSON.stringify(requests), [requests]);
  useEffect(() => {
    const n = ++ticket;
    mine.current = n;
    const w = start();
    void w.stop(n - 1);
    setFault(undefined);
    w.plan(
      requests,
      n,
      proxy((name: string, p: Progress) => void (n === ticket && setProgress({ name, ...p }))),
    )
      .then((p) => n === ticket && setPlans(p))
      .catch((e: unknown) => n === ticket && setFault(`The plan could not be made: ${(e as Error).message}`))
      .finally(() => n === ticket && setProgress(undefined));
    return () => void w.stop(n);
    // the key says when anything the plan depends on has changed
  }, [key]);
  return { plans, progress, fault, stop: () => void start().stop(mine.current) };
}
