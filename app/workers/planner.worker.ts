import { expose } from "comlink";
import wasmUrl from "highs/runtime?url";
import {
  loadLinearSolver,
  planItem,
  type CutSettings,
  type ItemPlan,
  type LinearSolver,
  type Progress,
  type StockLength,
} from "core/cutting";
import type { StockItem } from "core/lumber";
import type { Model } from "core/units";

export interface PlanRequest {
  readonly item: StockItem;
  readonly wanted: readonly { readonly mark: string; readonly stick: string; readonly length: Model }[];
  readonly lengths: readonly StockLength[];
  readonly settings: CutSettings;
}
let solver: Promise<LinearSolver> | undefined;
let stopped = 0;

/** Plans sticks off the main thread. A stop takes what is in hand. */
const planner = {
  async plan(
    requests: readonly PlanRequest[],
    ticket: number,
    onProgress: (name: string, p: Progress) => void,
  ): Promise<ItemPlan[]> {
    solver ??= loadLinearSolver(() => wasmUrl);
    const lp = await solver;
    const out: ItemPlan[] = [];
    for (const r of requests)
      out.push(
        await planItem(r.item, r.wanted, r.lengths, r.settings, lp, async (p) => {
          await onProgress(r.item.name, p);
          return ticket > stopped;
        }),
      );
    return out;
  },
  /** Ends all plans up to a ticket. */
  stop(ticket: number): void {
    stopped = Math.max(stopped, ticket);
  },
};
export type Planner = typeof planner;
expose(planner);
