import { itemPlanOf, loadLinearSolver, planItem, type ItemPlan, type StickJob } from "core/cutting";
import { nestings, type NestProblem, type NestResult } from "core/nesting";

export interface PlanNews {
  /** Which of the requests. */
  readonly at: number;
  readonly plan: ItemPlan;
  /** Whether a better one is still sought, or the proof of this one. */
  readonly seeking: boolean;
}

export interface NestNews {
  /** Which of the problems. */
  readonly at: number;
  readonly result: NestResult;
  readonly seeking: boolean;
}

const open = (p: ItemPlan): boolean => p.result.status === "feasible" && !p.result.proven;

/**
 * Plans sticks off the main thread. A first plan of every item is told at once; then each that is not proven is bettered,
 * those with the fewest lengths first, and every better plan is told. It is stopped by ending the worker: what was told
 * is what one has. What ends a section is waited for until it has been heard: news and the end of the work come by
 * different ports, and the end could overtake the proof. `wasm` is where a browser finds the solver.
 */
export const planner = (wasm?: string) => ({
  async plan(requests: readonly StickJob[], tell: (news: PlanNews) => unknown): Promise<void> {
    const rest: { at: number; sizes: number; told: number }[] = [];
    for (const [at, r] of requests.entries()) {
      const plan = await planItem(r);
      const seeking = open(plan);
      await tell({ at, plan, seeking });
      if (seeking) rest.push({ at, sizes: new Set(r.wanted.map((w) => w.length)).size, told: costOf(plan) });
    }
    if (rest.length === 0) return;
    const lp = await loadLinearSolver(wasm === undefined ? undefined : () => wasm);
    for (const next of rest.sort((a, b) => a.sizes - b.sizes)) {
      const r = requests[next.at]!;
      let bound = 0;
      const done = await planItem(r, lp, (p) => {
        const found = p.cost < next.told || p.lowerBound > bound ? p.inHand() : undefined;
        if (found) {
          next.told = p.cost;
          bound = p.lowerBound;
          tell({ at: next.at, plan: itemPlanOf(r, found), seeking: true });
        }
        return true;
      });
      await tell({ at: next.at, plan: done, seeking: false });
    }
  },
  /** Lays parts on sheets: a first plan of every problem, then each better one, and at last what stays of each. */
  async nest(problems: readonly NestProblem[], tell: (news: NestNews) => unknown): Promise<void> {
    const going = problems.map((p, at) => ({ at, found: nestings(p), best: undefined as NestResult | undefined }));
    for (const g of going) await tellNext(g);
    for (const g of going) {
      while (await tellNext(g));
      await tell({ at: g.at, result: g.best!, seeking: false });
    }
    async function tellNext(g: (typeof going)[number]): Promise<boolean> {
      const { value, done } = g.found.next();
      if (done) return false;
      await tell({ at: g.at, result: (g.best = value), seeking: true });
      return true;
    }
  },
});
const costOf = (p: ItemPlan): number =>
  p.result.status === "optimal" || p.result.status === "feasible" ? p.result.cost : Infinity;
export type Planner = ReturnType<typeof planner>;
