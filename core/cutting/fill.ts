import type { IntegerProblem, Pattern } from "./problem";

/** Nodes one fill may look at before it takes the best it has seen. */
const FILL_NODES = 20_000;

/**
 * The fullest load of a stick that holds the largest item left, by depth-first subset sums (minimum bin slack). Answers
 * counts per item; undefined when not even the largest fits.
 */
export function fullestFill(
  sizes: readonly number[],
  left: readonly number[],
  cap: number,
  nodes = FILL_NODES,
): number[] | undefined {
  const first = left.findIndex((n, i) => n > 0 && sizes[i]! <= cap);
  if (first < 0) return undefined;
  const items: number[] = [];
  for (let i = first; i < sizes.length; i++) if (left[i]! > 0) items.push(i);
  const take = new Array<number>(sizes.length).fill(0);
  take[first] = 1;
  let best = [...take];
  let bestSlack = cap - sizes[first]!;
  const smallest = sizes[items[items.length - 1]!]!;
  let budget = nodes;
  const search = (k: number, slack: number): boolean => {
    if (slack < bestSlack) {
      bestSlack = slack;
      best = [...take];
      if (slack === 0) return true;
    }
    if (slack < smallest || budget-- <= 0) return budget <= 0;
    for (let x = k; x < items.length; x++) {
      const i = items[x]!;
      const room = Math.min(Math.floor(slack / sizes[i]!), left[i]! - take[i]!);
      if (room <= 0) continue;
      take[i]!++;
      const done = search(x, slack - sizes[i]!);
      take[i]!--;
      if (done) return true;
    }
    return false;
  };
  search(0, bestSlack);
  return best;
}

const patternOf = (stock: number, counts: readonly number[]): Pattern => ({
  stock,
  counts: counts.map((n, i) => [i, n] as const).filter(([, n]) => n > 0),
});

/** A plan by fullest fills, largest items first; the stick taken each time is the one that costs least for what it carries. Undefined when stock runs out. */
export function fillPlan(
  p: IntegerProblem,
  demand: readonly number[] = p.demand,
  used: readonly number[] = [],
): Pattern[] | undefined {
  const left = [...demand];
  const limit = p.stock.map((s, j) => s.limit - (used[j] ?? 0));
  const out: Pattern[] = [];
  let rest = left.reduce((s, n, i) => s + n * p.sizes[i]!, 0);
  while (rest > 0) {
    const largest = p.sizes[left.findIndex((n) => n > 0)]!;
    let best: { j: number; fill: number[]; rate: number; sum: number } | undefined;
    for (const [j, s] of p.stock.entries()) {
      if (limit[j]! < 1 || s.cap < largest) continue;
      const fill = fullestFill(p.sizes, left, s.cap);
      if (!fill) continue;
      const sum = fill.reduce((t, n, i) => t + n * p.sizes[i]!, 0);
      const rate = s.cost / sum;
      if (!best || rate < best.rate - 1e-12) best = { j, fill, rate, sum };
    }
    if (!best) return undefined;
    const { j, fill, sum } = best;
    let times = limit[j]!;
    fill.forEach((n, i) => n > 0 && (times = Math.min(times, Math.floor(left[i]! / n))));
    for (let t = 0; t < times; t++) out.push(patternOf(j, fill));
    fill.forEach((n, i) => (left[i]! -= n * times));
    limit[j]! -= times;
    rest -= sum * times;
  }
  return out;
}

/** First-fit, longest first: each piece goes on the first stick with room, else on a new stick of the cheapest rate that takes it. Undefined when stock runs out. */
export function firstFit(p: IntegerProblem): Pattern[] | undefined {
  const open: { j: number; room: number; counts: Map<number, number> }[] = [];
  const limit = p.stock.map((s) => s.limit);
  const byRate = p.stock.map((s, j) => ({ j, rate: s.cost / s.cap })).sort((a, b) => a.rate - b.rate || a.j - b.j);
  let from = 0;
  for (const [i, size] of p.sizes.entries()) {
    from = 0;
    for (let n = 0; n < p.demand[i]!; n++) {
      while (from < open.length && open[from]!.room < size) from++;
      let stick = open[from];
      if (!stick) {
        const j = byRate.find((r) => p.stock[r.j]!.cap >= size && limit[r.j]! >= 1)?.j;
        if (j === undefined) return undefined;
        limit[j]!--;
        open.push((stick = { j, room: p.stock[j]!.cap, counts: new Map() }));
      }
      stick.room -= size;
      stick.counts.set(i, (stick.counts.get(i) ?? 0) + 1);
    }
  }
  return open.map((s) => ({ stock: s.j, counts: [...s.counts] }));
}
