import type { IntegerProblem } from "./problem";

/** Slack of a bound before it is rounded up to a cost that can occur. */
const ROUNDING = 1e-6;

/** The step in which total costs move: the common divisor of all costs when they are whole thousandths, else 0. */
export function costStep(p: IntegerProblem): number {
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  const milli = p.stock.map((s) => Math.round(s.cost * 1000));
  return milli.every((m, i) => Math.abs(m - p.stock[i]!.cost * 1000) < 1e-6) ? milli.reduce(gcd, 0) / 1000 : 0;
}

/** A lower bound raised to the next cost that can occur. */
export function roundUp(bound: number, step: number): number {
  if (step <= 0) return bound;
  return Math.round(Math.ceil(bound / step - ROUNDING) * step * 1000) / 1000;
}

/** What the material alone costs: total length on the best-rated stock, within its counts. */
export function materialBound(p: IntegerProblem): number {
  let need = p.sizes.reduce((s, size, i) => s + size * p.demand[i]!, 0);
  let cost = 0;
  for (const s of [...p.stock].filter((x) => x.cap > 0).sort((a, b) => a.cost / a.cap - b.cost / b.cap)) {
    const got = Math.min(need, s.limit * s.cap);
    cost += (got / s.cap) * s.cost;
    need -= got;
    if (need <= 0) break;
  }
  return cost;
}

/**
 * Sticks that any plan on a single stock length needs, by dual feasible functions u^(k) and the rounding of items over
 * half (Fekete and Schepers, "New classes of fast lower bounds for bin packing problems", 2001: from memory).
 */
export function dualFeasibleBound(p: IntegerProblem): number {
  const cap = p.stock[0]!.cap;
  let best = 0;
  for (let k = 1; k <= 20; k++) {
    let sum = 0;
    for (const [i, size] of p.sizes.entries()) {
      const x = ((k + 1) * size) / cap;
      sum += p.demand[i]! * (Number.isInteger(x) ? size / cap : Math.floor(x) / k);
    }
    best = Math.max(best, sum);
  }
  // items over cap − e count whole, items under e not at all, the rest by their length
  for (const e of [0, ...p.sizes.filter((s) => s <= cap / 2)]) {
    let sum = 0;
    for (const [i, size] of p.sizes.entries()) sum += p.demand[i]! * (size > cap - e ? 1 : size < e ? 0 : size / cap);
    best = Math.max(best, sum);
  }
  return best;
}
