import type { Piece } from "../frame";
import { otherStock, shapeOf, strippedItem, type StockItem } from "../lumber";
import { model, type Model } from "../units";
import { aimedLengths, arranged, type Aim } from "./aims";
import { costStep, materialBound, roundUp } from "./bounds";
import { fillPlan } from "./fill";
import { nestOf, type Nest } from "./headToTail";
import type { LinearSolver } from "./linear";
import { toIntegers, type StickProblem, type StickResult, type StockLength } from "./problem";
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
  /** It lies turned over along its length, so that its slanted end lies along that of the one before. */
  readonly turned?: true;
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
  /** Where it can lie head to tail with others. */
  readonly nest?: Nest;
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
    // a shape is not turned over: its flanges would lie the other way
    const nest = shapeOf(p.stock) ? undefined : nestOf(p.shape);
    for (const stick of p.sticks) {
      if (done.has(stick)) continue;
      const own = out.get(p.stock);
      const wanted: Wanted = { mark: p.mark, stick, length, ...(nest ? { nest } : {}) };
      if (own) own.push(wanted);
      else out.set(p.stock, [wanted]);
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
  const result = await solveSticks(problemOf(job).problem, {
    ...(lp ? { lp } : {}),
    ...(onProgress ? { onProgress } : {}),
  });
  if (!lp || !mostSaved(job.wanted) || !("lowerBound" in result)) return itemPlanOf(job, result);
  // whether plans of another kind could cost less is asked only when one is sought to the end
  const least = await solveSticks(relaxed(job), { lp, rounds: 300, nodes: 60 });
  return itemPlanOf(job, result, "lowerBound" in least ? least.lowerBound : undefined);
}
/** A job as a bare problem; `lengths` are what its pieces take there. Those that lie head to tail take less, and a stick holds as much less once; so it is where a first plan comes cheaper that way. */
function problemOf({ wanted, lengths, settings }: StickJob): {
  readonly problem: StickProblem;
  readonly takes: (w: Wanted) => number;
} {
  const stock = aimedLengths(lengths, settings.aim ?? "price");
  const of = (saved: Nest | undefined): StickProblem => ({
    kerf: settings.kerf,
    stock: saved ? stock.map((s) => ({ ...s, length: s.length - saved.saves })) : stock,
    demand: wanted.map((w) => ({ length: taken(w, saved), count: 1 })),
  });
  const plain = of(undefined);
  const best = mostSaved(wanted);
  if (best && stock.every((s) => s.length > best.saves)) {
    const nested = of(best);
    if (firstCost(nested) < firstCost(plain) - 1e-9) return { problem: nested, takes: (w) => taken(w, best) };
  }
  return { problem: plain, takes: (w) => taken(w, undefined) };
}
/** What a piece takes of its stick, less what lying head to tail saves where that counts; mm. */
const taken = (w: Wanted, saved: Nest | undefined): number => hundredths(saved && w.nest?.key === saved.key ? w.length - saved.saves : w.length) / 100; // prettier-ignore
function firstCost(p: StickProblem): number {
  const whole = toIntegers(p);
  return fillPlan(whole)?.reduce((s, q) => s + whole.stock[q.stock]!.cost, 0) ?? Infinity;
}
/** Of the pieces that can lie head to tail those that save most; none where there are not two of a kind. */
function mostSaved(wanted: readonly Wanted[]): Nest | undefined {
  const sums = new Map<string, { nest: Nest; n: number }>();
  for (const { nest } of wanted) {
    if (!nest) continue;
    const known = sums.get(nest.key);
    // what all of them save at least
    sums.set(nest.key, { nest: known && known.nest.saves < nest.saves ? known.nest : nest, n: (known?.n ?? 0) + 1 });
  }
  return [...sums.values()].filter((s) => s.n > 1).sort((a, b) => (b.n - 1) * b.nest.saves - (a.n - 1) * a.nest.saves)[0]?.nest; // prettier-ignore
}
/** The problem that no plan can beat, however its pieces lie: each that can lie head to tail takes what it saves less. */
function relaxed({ wanted, lengths, settings }: StickJob): StickProblem {
  const stock = aimedLengths(lengths, settings.aim ?? "price");
  const demand = wanted.map((w) => ({ length: Math.max(0.01, w.length - (w.nest?.saves ?? 0)), count: 1 }));
  return { kerf: settings.kerf, stock, demand };
}
/** What no plan costs less than, from the material alone. */
function leastCost(job: StickJob): number {
  const p = toIntegers(relaxed(job));
  return roundUp(materialBound(p), costStep(p));
}
/** Never less than what it is: a stick that is full to the last hundredth is not over-full. */
const hundredths = (length: number): number => Math.ceil(length * 100 - 1e-6);

/** A solved problem as sticks with their pieces, each piece in its place. `least` is what no plan costs less than where pieces can lie head to tail; from the material alone where it is not known. */
export function itemPlanOf(job: StickJob, result: StickResult, least?: number): ItemPlan {
  const { item, wanted, settings } = job;
  const { problem, takes } = problemOf(job);
  const lengths = job.lengths.length > 0 ? aimedLengths(job.lengths, settings.aim ?? "price") : [];
  const base = { item: item.id, name: item.name, lengths };
  if (result.status !== "optimal" && result.status !== "feasible") return { ...base, result, sticks: [] };
  const waiting = new Map<number, Wanted[]>();
  for (const w of wanted) {
    const key = hundredths(takes(w));
    const own = waiting.get(key);
    if (own) own.push(w);
    else waiting.set(key, [w]);
  }
  const layouts = arranged(problem, result.layouts, settings.aim ?? "price");
  const sticks = layouts.flatMap((l) =>
    Array.from({ length: l.count }, (): PlannedStick => {
      const from = lengths[l.stock]!;
      const { cuts, end } = headToTail(
        l.cuts.map((c) => waiting.get(hundredths(c))!.shift()!),
        settings.kerf,
      );
      return { length: model(from.length), from, cuts, offcut: model(Math.max(0, from.length - end)) };
    }),
  );
  // an aim may have taken other sticks; and that none costs less is told of plans of every kind, not only of those that were sought
  const cost = Math.round(sticks.reduce((t, x) => t + x.from.cost, 0) * 1e6) / 1e6;
  const lowerBound = mostSaved(wanted) ? Math.min(result.lowerBound, least ?? leastCost(job)) : result.lowerBound;
  const proven =
    cost <= lowerBound + 1e-6 || (cost <= result.cost + 1e-9 && result.proven && lowerBound >= result.lowerBound);
  return { ...base, sticks, result: { ...result, sticks: sticks.length, cost, lowerBound, proven, status: proven ? "optimal" : "feasible" } }; // prettier-ignore
}
/** Pieces of one stick in their places: those that can lie head to tail one after another, each turned so that its slant lies along the last one's. */
function headToTail(
  pieces: readonly Wanted[],
  kerf: number,
): { readonly cuts: readonly PlannedCut[]; readonly end: number } {
  const runs = new Map<string, number>();
  for (const p of pieces) runs.set(p.nest?.key ?? "", (runs.get(p.nest?.key ?? "") ?? 0) + (p.nest ? 1 : 0));
  const order = [...pieces].sort((a, b) => (runs.get(b.nest?.key ?? "") ?? 0) - (runs.get(a.nest?.key ?? "") ?? 0) || (a.nest?.key ?? "").localeCompare(b.nest?.key ?? "")); // prettier-ignore
  let at = 0;
  let before: { key: string; saves: number; lean: number } | undefined;
  const cuts = order.map((w): PlannedCut => {
    const { nest } = w;
    const along = before !== undefined && nest?.key === before.key;
    if (along) at -= Math.min(before!.saves, nest!.saves);
    const turned = along && nest!.lean[0] !== before!.lean;
    const cut = { mark: w.mark, stick: w.stick, start: model(at), length: w.length, ...(turned ? { turned: true as const } : {}) }; // prettier-ignore
    before = nest && { key: nest.key, saves: nest.saves, lean: turned ? -nest.lean[1] : nest.lean[1] };
    at += w.length + kerf;
    return cut;
  });
  return { cuts, end: at };
}

/** How often a stop is set to cut a plan: sticks that are cut alike are cut together, one setting for each of their lengths. */
export function stopSettings(sticks: readonly PlannedStick[]): number {
  const alike = new Map<string, number>();
  for (const s of sticks) {
    const lengths = s.cuts.map((c) => c.length.toFixed(2));
    alike.set(`${s.length}|${[...lengths].sort().join()}`, new Set(lengths).size);
  }
  return [...alike.values()].reduce((a, b) => a + b, 0);
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
