import type { Pattern } from "./problem";

export interface CoverSolution {
  readonly objective: number;
  /** How often each column is used, in the order they were added. */
  readonly x: readonly number[];
  /** What one more of each item would cost (≥ 0). */
  readonly itemPrice: readonly number[];
  /** What one more stick of each limited stock would save (≤ 0). */
  readonly stockPrice: readonly number[];
  /** Some item is not covered by any column within the stock's counts. */
  readonly uncovered: boolean;
}
/** A covering program that is kept and changed: minimise Σ cost·x, every item covered, no stock over its count. */
export interface CoverMaster {
  add(columns: readonly Pattern[], costs: readonly number[]): void;
  setNeeds(demand: readonly number[], limits: readonly number[]): void;
  relax(): CoverSolution | undefined;
  /** Whole numbers of the columns there are, within a limit of branch-and-bound nodes. */
  whole(
    maxNodes: number,
  ): { readonly x: readonly number[]; readonly objective: number; readonly optimal: boolean } | undefined;
  dispose(): void;
}
export interface LinearSolver {
  master(items: number, stocks: number, maxCost: number): CoverMaster;
}

/** HiGHS's numbers for its simplex strategies. */
const [DUAL, PRIMAL] = [1, 4] as const;

/** A LinearSolver on HiGHS (WASM). `locate` gives the address of its binary where the loader cannot find it, as in a browser. */
export async function loadLinearSolver(locate?: (file: string) => string): Promise<LinearSolver> {
  const { default: loader } = await import("highs");
  const highs = await loader(locate ? { locateFile: locate } : {});
  const { optimal } = highs.constants.modelStatus;
  return {
    master(items, stocks, maxCost) {
      const model = highs.createModel();
      model.options.set({
        output_flag: false,
        random_seed: 1,
        presolve: "off",
        solver: "simplex",
      });
      const none = { indices: [] as number[], values: [] as number[] };
      for (let i = 0; i < items; i++) model.addRow(0, highs.infinity, none);
      for (let j = 0; j < stocks; j++) model.addRow(-highs.infinity, highs.infinity, none);
      // one dear column per item keeps the program solvable while patterns or sticks are still missing
      const dear = 1000 * maxCost + 1000;
      for (let i = 0; i < items; i++) model.addCol(dear, 0, highs.infinity, { indices: [i], values: [1] });
      let columns = 0;
      let changed = true;
      return {
        add(patterns, costs) {
          patterns.forEach((p, k) =>
            model.addCol(costs[k]!, 0, highs.infinity, {
              indices: [...p.counts.map(([i]) => i), items + p.stock],
              values: [...p.counts.map(([, n]) => n), 1],
            }),
          );
          columns += patterns.length;
        },
        setNeeds(demand, limits) {
          changed = true;
          demand.forEach((d, i) => model.changeRowBounds(i, d, highs.infinity));
          limits.forEach((l, j) =>
            model.changeRowBounds(items + j, -highs.infinity, Number.isFinite(l) ? l : highs.infinity),
          );
        },
        relax() {
          // after new needs the old basis is still dual feasible, after new columns still primal feasible
          model.options.set("simplex_strategy", changed ? DUAL : PRIMAL);
          changed = false;
          model.run();
          if (model.getModelStatus() !== optimal) return undefined;
          const s = model.getSolution();
          return {
            objective: model.getObjectiveValue(),
            x: Array.from(s.colValue.subarray(items)),
            itemPrice: Array.from(s.rowDual.subarray(0, items), (d) => Math.max(0, d)),
            stockPrice: Array.from(s.rowDual.subarray(items), (d) => Math.min(0, d)),
            uncovered: s.colValue.subarray(0, items).some((v) => v > 1e-7),
          };
        },
        whole(maxNodes) {
          const integer = highs.constants.variableType.integer;
          for (let k = 0; k < items + columns; k++) model.changeColIntegrality(k, integer);
          model.options.set({
            solver: "choose",
            presolve: "on",
            mip_max_nodes: maxNodes,
            mip_rel_gap: 0,
            mip_abs_gap: 1e-6,
          });
          try {
            model.run();
            const x = Array.from(model.getSolution().colValue, Math.round);
            const uncovered = x.slice(0, items).some((v) => v > 0);
            if (x.length !== items + columns || uncovered || !Number.isFinite(model.getObjectiveValue()))
              return undefined;
            return {
              x: x.slice(items),
              objective: model.getObjectiveValue(),
              optimal: model.getModelStatus() === optimal,
            };
          } catch {
            return undefined;
          } finally {
            model.clearIntegrality();
            model.options.set({ solver: "simplex", presolve: "off" });
          }
        },
        dispose: () => model.dispose(),
      };
    },
  };
}
