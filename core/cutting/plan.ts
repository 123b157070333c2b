import type { Piece } from "../frame";
import { otherStock, strippedItem, type StockItem } from "../lumber";
import { model, type Model } from "../units";
import { aimedLengths, arranged, type Aim } from "./aims";
import type { LinearSolver } from "./linear";
import type { StickProblem, StickResult, StockLength } from "./problem";
import { solveSticks, type Progress } from "./solve";

/** What a plan is made with: width of the saw's cut and what is left on each piece to sand off, model mm. */
export interface CutSettings {
  readonly kerf: number;
  readonly allowance: number;
  /** What is aimed at; the cheapest where nothing is said. */
  readonly aim?: Aim;
}
/** One piece on a stick: where it starts and how long it is cut (with its allowance), model mm. */
export interface PlannedCut {
  readonly mark: string;
  readonly stick: string;
  readonly start: Model;
  readonly length: Model;
}
/** One stick of stock with its cuts, in order; `offcut` is what is left at its end after the last kerf. */
export interface PlannedStick {
  readonly length: Model;
  /** The length of stock that it is one of. */
  readonly from: StockLength;
  readonly cuts: readonly PlannedCut[];
  readonly offcut: Model;
}
/** The plan for all pieces of one stock item. */
export interface ItemPlan {
  readonly item: string;
  readonly name: string;
  readonly lengths: readonly StockLength[];
  readonly result: StickResult;
  readonly sticks: readonly PlannedStick[];
}

/** Length a piece takes of its stick: tip to tip, the allowance, and what an angled blade takes more than a square one. Model mm. */
export function cutLength(p: Piece, s: CutSettings): Model {
  const slant = Math.max(
    0,
    ...p.shape.ends
      .flat()
      .map((e) => 1 / (Math.cos((e.mitre * Math.PI) / 180) * Math.cos((e.bevel * Math.PI) / 180)) - 1),
  );
  return model(p.shape.overall + s.allowance + s.kerf * slant);
}

/** A piece to be cut: id of its stick in the frame, mark and length. */
export interface Wanted {
  readonly mark: string;
  readonly stick: string;
  readonly length: Model;
}
export function wantedByItem(
  pieces: readonly Piece[],
  settings: CutSettings,
  done: ReadonlySet<string> = new Set(),
): ReadonlyMap<string, readonly Wanted[]> {
  const out = new Map<string, Wanted[]>();
  for (const p of pieces) {
    // castings, blocks, sheet parts and what is ripped off sheet come off no stick
    if (otherStock(p.stock) || strippedItem(p.stock)) continue;
    const length = cutLength(p, settings);
    for (const stick of p.sticks) {
      if (done.has(stick)) continue;
      const own = out.get(p.stock);
      if (own) own.push({ mark: p.mark, stick, length });
      else out.set(p.stock, [{ mark: p.mark, stick, length }]);
    }
  }
  return out;
}

/** What of a job still has to be cut from one item, and the lengths there are of it. */
export interface StickJob {
  readonly item: StockItem;
  readonly wanted: readonly Wanted[];
  readonly lengths: readonly StockLength[];
  readonly settings: CutSettings;
}

/** The lengths of an item to cut from: those given for it, else its usual ones at a cost of their length. */
export function stockLengths(
  item: StockItem,
  own?: readonly { readonly length: number; readonly count: number | null; readonly price: number }[],
): StockLength[] {
  return own?.length
    ? own.map((s) => ({ length: s.length, count: s.count, cost: s.price > 0 ? s.price : Math.round(s.length) }))
    : item.lengths.map((l) => ({ length: l, count: null, cost: Math.round(l) }));
}

/** Plans all sticks of one item. What no stick can carry, or too little stock, is an outcome in `result`. */
export async function planItem(
  job: StickJob,
  lp?: LinearSolver,
  onProgress?: (p: Progress) => boolean | Promise<boolean>,
): Promise<ItemPlan> {
  const result = await solveSticks(problemOf(job), { ...(lp ? { lp } : {}), ...(onProgress ? { onProgress } : {}) });
  return itemPlanOf(job, result);
}
function problemOf({ wanted, lengths, settings }: StickJob): StickProblem {
  const demand = wanted.map((w) => ({ length: hundredths(w.length) / 100, count: 1 }));
  return { kerf: settings.kerf, stock: aimedLengths(lengths, settings.aim ?? "price"), demand };
}
const hundredths = (length: number): number => Math.round(length * 100);

/** A solved problem as sticks with their pieces, each piece in its place. */
export function itemPlanOf(job: StickJob, result: StickResult): ItemPlan {
  const { item, wanted, settings } = job;
  const problem = problemOf(job);
  const lengths = problem.stock;
  const base = { item: item.id, name: item.name, lengths, result };
  if (result.status !== "optimal" && result.status !== "feasible") return { ...base, sticks: [] };
  const waiting = new Map<number, Wanted[]>();
  for (const w of wanted) {
    const own = waiting.get(hundredths(w.length));
    if (own) own.push(w);
    else waiting.set(hundredths(w.length), [w]);
  }
  const sticks = arranged(problem, result.layouts, settings.aim ?? "price").flatMap((l) =>
    Array.from({ length: l.count }, (): PlannedStick => {
      let at = 0;
      const length = lengths[l.stock]!.length;
      const cuts = l.cuts.map((c): PlannedCut => {
        const w = waiting.get(hundredths(c))!.shift()!;
        const cut = { mark: w.mark, stick: w.stick, start: model(at), length: w.length };
        at += w.length + settings.kerf;
        return cut;
      });
      return {
        length: model(length),
        from: lengths[l.stock]!,
        cuts,
        offcut: model(Math.max(0, length - at)),
      };
    }),
  );
  return { ...base, sticks };
}

/**
 * How far a plan can be from the best, in words: the sticks it may have too many where all cost the same, else the share
 * of its cost. Empty when it is proven.
 */
export function gapWords(plan: ItemPlan): string {
  const r = plan.result;
  if (r.status !== "optimal" && r.status !== "feasible") return "";
  if (r.proven) return "";
  const costs = new Set(plan.lengths.map((l) => l.cost));
  const [each] = costs;
  if (costs.size === 1 && each !== undefined && each > 0) {
    const most = r.sticks - Math.ceil(r.lowerBound / each - 1e-9);
    if (most > 0) return `at most ${most} ${most === 1 ? "stick" : "sticks"} more than the best there can be`;
  }
  return `at most ${((100 * (r.cost - r.lowerBound)) / r.cost).toFixed(1)} % dearer than the best there can be`;
}
