import { roundUp } from "./bounds";
import { knapsack } from "./knapsack";
import type { CoverMaster, CoverSolution } from "./linear";
import type { IntegerProblem, Pattern } from "./problem";

/** The patterns found so far and the program over them. */
export interface Pool {
  readonly p: IntegerProblem;
  readonly master: CoverMaster;
  readonly patterns: Pattern[];
  readonly seen: Set<string>;
}
const EPS = 1e-7;
/** Disjoint patterns taken from one round of prices. */
const PER_ROUND = 40;

const keyOf = (q: Pattern): string => `${q.stock}|${q.counts.map(([i, n]) => `${i}:${n}`).join(",")}`;
/** Adds patterns that are new; answers how many were. */
export function addPatterns(pool: Pool, patterns: readonly Pattern[]): number {
  const fresh = patterns.filter((q) => {
    const k = keyOf(q);
    return !pool.seen.has(k) && pool.seen.add(k);
  });
  pool.patterns.push(...fresh);
  pool.master.add(
    fresh,
    fresh.map((q) => pool.p.stock[q.stock]!.cost),
  );
  return fresh.length;
}

/**
 * One round of pricing: for each stock the most valuable load at the present prices, then further loads from the items
 * not yet used, so that one round brings many patterns that share none. `bound` is a valid lower bound for `demand`
 * by scaling the prices until no load is worth more than its stick (Farley); 0 where sticks are limited.
 */
export function price(
  pool: Pool,
  s: CoverSolution,
  demand: readonly number[],
  limits: readonly number[],
): { readonly found: Pattern[]; readonly bound: number; readonly gain: number } {
  const { p } = pool;
  let worst = 1;
  let gain = 0;
  const found: Pattern[] = [];
  for (const [j, stock] of p.stock.entries()) {
    if (limits[j]! < 1) continue;
    const left = demand.map((d) => d);
    const worth = stock.cost - s.stockPrice[j]!;
    for (let round = 0; round < PER_ROUND; round++) {
      const best = knapsack(s.itemPrice, p.sizes, left, stock.cap, round > 0);
      if (round === 0) {
        worst = Math.max(worst, worth > 0 ? best.value / worth : Infinity);
        gain = Math.max(gain, best.value - worth);
      }
      if (best.value <= worth + EPS) break;
      found.push({ stock: j, counts: best.counts.map((n, i) => [i, n] as const).filter(([, n]) => n > 0) });
      best.counts.forEach((n, i) => n > 0 && (left[i] = 0));
    }
  }
  const paid = demand.reduce((t, d, i) => t + d * s.itemPrice[i]!, 0);
  return { found, bound: limits.some(Number.isFinite) ? 0 : paid / worst, gain };
}

/** Rounds at the true prices first: while few patterns are known, smoothing only slows. */
const SMOOTH_FROM = 14;
/** Share of the best prices so far in the prices that patterns are sought at: damps their swings. */
const SMOOTHING = 0.7;
const mix = (best: readonly number[], now: readonly number[], share: number): number[] =>
  now.map((y, i) => share * best[i]! + (1 - share) * y);
/** What a pattern is worth at some prices beyond its stick. */
const gainOf = (p: IntegerProblem, s: CoverSolution, q: Pattern): number =>
  q.counts.reduce((t, [i, n]) => t + n * s.itemPrice[i]!, 0) + s.stockPrice[q.stock]! - p.stock[q.stock]!.cost;

/**
 * Column generation: relaxes and prices until no load is worth more than its stick, or `rounds` are over, or the bound
 * rounded up already meets the relaxation. Patterns are sought at prices smoothed towards those of the best bound
 * (Wentges); when that finds nothing new the true prices are asked. `from` are prices to smooth towards from the first
 * round. Answers the last solution, a valid bound, and the prices that gave it.
 */
export async function generate(
  pool: Pool,
  demand: readonly number[],
  limits: readonly number[],
  rounds: number,
  step: number,
  onRound: (bound: number) => Promise<boolean>,
  from?: CoverSolution,
): Promise<
  | { readonly solution: CoverSolution; readonly bound: number; readonly closed: boolean; readonly best: CoverSolution }
  | undefined
> {
  pool.master.setNeeds(demand, limits);
  let bound = 0;
  let best = from;
  for (let r = 0; ; r++) {
    const solution = pool.master.relax();
    if (!solution) return undefined;
    let closed = false;
    for (const share of best && (from || r >= SMOOTH_FROM) ? [SMOOTHING, 0] : [0]) {
      const at: CoverSolution =
        share === 0 || !best
          ? solution
          : {
              ...solution,
              itemPrice: mix(best.itemPrice, solution.itemPrice, share),
              stockPrice: mix(best.stockPrice, solution.stockPrice, share),
            };
      const round = price(pool, at, demand, limits);
      if (round.bound > bound || !best) {
        bound = Math.max(bound, round.bound);
        best = at;
      }
      const good = share === 0 ? round.found : round.found.filter((q) => gainOf(pool.p, solution, q) > EPS);
      if (good.length > 0 && addPatterns(pool, good) > 0) break;
      if (share === 0) {
        closed = true;
        if (round.gain <= 1e-5 && !solution.uncovered) bound = Math.max(bound, solution.objective - 1e-6);
      }
    }
    const met = !solution.uncovered && roundUp(bound, step) >= roundUp(solution.objective, step) - 1e-9;
    if (closed || met || r >= rounds || !(await onRound(bound)))
      return { solution, bound, closed: closed || met, best: best ?? solution };
  }
}

/** A repeatable stream of numbers from 0 to 1. */
export function seeded(seed: number): () => number {
  let state = 12345 + 7919 * seed;
  return () => (state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff) / 0x7fffffff;
}

/** More patterns from prices shaken a little, the same way every time: whole plans need patterns that the relaxation does not. */
export function shake(
  pool: Pool,
  s: CoverSolution,
  demand: readonly number[],
  limits: readonly number[],
  times: number,
): void {
  const random = seeded(0);
  for (let t = 0; t < times; t++) {
    const itemPrice = s.itemPrice.map((y) => y * (0.9 + 0.2 * random()));
    addPatterns(pool, price(pool, { ...s, itemPrice }, demand, limits).found);
  }
}
