/** Table cells up to which a knapsack is solved by the table straight away. */
const TABLE_CELLS = 4_000_000;
/** Nodes of a quick search. */
const QUICK_NODES = 1500;
/** Kinds already on a load can be at most this many when its last piece is looked up. */
const LAST_CHOICES = 6;
/** Nodes the search may look at before the table takes over. */
const SEARCH_NODES = 300_000;
/** A table of this many cells costs about what one node of the search does. */
const CELLS_A_NODE = 30;

/**
 * The most valuable load: counts a_i ≤ limit_i with Σ size_i·a_i ≤ cap. Values are real, sizes and cap whole. A
 * depth-first search with the ratio bound goes first, and the table (dynamic programming) takes over where that is long. Exact unless
 * `quick`, which takes the best that a short search has seen.
 */
export function knapsack(
  values: readonly number[],
  sizes: readonly number[],
  limits: readonly number[],
  cap: number,
  quick = false,
): { readonly value: number; readonly counts: number[] } {
  const order = values
    .map((_, i) => i)
    .filter((i) => values[i]! > 1e-12 && limits[i]! > 0 && sizes[i]! <= cap)
    .sort((a, b) => values[b]! / sizes[b]! - values[a]! / sizes[a]! || a - b);
  const cells = order.length * cap;
  // a search that has looked at as much as the table would cost gives way to it
  const nodes = quick ? QUICK_NODES : cells > TABLE_CELLS ? SEARCH_NODES : Math.floor(cells / CELLS_A_NODE);
  const found = search(order, values, sizes, limits, cap, nodes);
  if (found.exact || quick) return found;
  return table(order, values, sizes, limits, cap);
}

function search(
  order: readonly number[],
  values: readonly number[],
  sizes: readonly number[],
  limits: readonly number[],
  cap: number,
  budget: number,
) {
  const take = new Int32Array(values.length);
  let best = 0;
  let bestTake = Array.from(take);
  let nodes = budget;
  const ratio = order.map((i) => values[i]! / sizes[i]!);
  const smallest = new Array<number>(order.length + 1).fill(Infinity);
  for (let k = order.length - 1; k >= 0; k--) smallest[k] = Math.min(smallest[k + 1]!, sizes[order[k]!]!);
  // for the last piece of a load: by size, the most valuable few among all that are no longer
  const bySize = [...order].sort((a, b) => sizes[a]! - sizes[b]!);
  const ends = bySize.map((i) => sizes[i]!);
  const top: number[][] = [];
  bySize.forEach((i, k) => {
    const l = [...(top[k - 1] ?? []), i].sort((a, b) => values[b]! - values[a]!);
    top.push(l.slice(0, LAST_CHOICES));
  });
  const keep = (value: number): void => {
    if (value > best + 1e-12) {
      best = value;
      bestTake = Array.from(take);
    }
  };
  /** Adds the best single piece that still fits. Only right where two do not. */
  const last = (room: number, value: number): void => {
    let [lo, hi] = [0, ends.length];
    while (lo < hi) {
      const mid = (lo + hi) >> 1;
      if (ends[mid]! <= room) lo = mid + 1;
      else hi = mid;
    }
    const i = lo > 0 ? top[lo - 1]!.find((x) => take[x]! < limits[x]!) : undefined;
    if (i === undefined || value + values[i]! <= best + 1e-12) return;
    take[i]!++;
    keep(value + values[i]!);
    take[i]!--;
  };
  const go = (k: number, room: number, value: number, depth: number): void => {
    keep(value);
    if (room < 2 * ends[0]! && depth < LAST_CHOICES) return last(room, value);
    for (let x = k; x < order.length && nodes > 0; x++) {
      if (room < smallest[x]!) return;
      if (value + room * ratio[x]! <= best + 1e-12) return;
      const i = order[x]!;
      const max = Math.min(limits[i]!, Math.floor(room / sizes[i]!));
      for (let n = max; n >= 1; n--) {
        nodes--;
        take[i] = n;
        go(x + 1, room - n * sizes[i]!, value + n * values[i]!, depth + 1);
        if (nodes <= 0) break;
      }
      take[i] = 0;
    }
  };
  if (order.length > 0) go(0, cap, 0, 0);
  return { value: best, counts: bestTake, exact: nodes > 0 };
}

/** Bounded counts as bundles of 1, 2, 4 … so that each bundle is taken or not. */
function table(
  order: readonly number[],
  values: readonly number[],
  sizes: readonly number[],
  limits: readonly number[],
  cap: number,
) {
  const bundles: { i: number; n: number }[] = [];
  for (const i of order) {
    let left = Math.min(limits[i]!, Math.floor(cap / sizes[i]!));
    for (let n = 1; left > 0; n *= 2) {
      const k = Math.min(n, left);
      bundles.push({ i, n: k });
      left -= k;
    }
  }
  const best = new Float64Array(cap + 1);
  const taken = bundles.map(() => new Uint8Array((cap >> 3) + 1));
  bundles.forEach(({ i, n }, b) => {
    const size = sizes[i]! * n;
    const value = values[i]! * n;
    const bits = taken[b]!;
    for (let c = cap; c >= size; c--) {
      const v = best[c - size]! + value;
      if (v > best[c]! + 1e-12) {
        best[c] = v;
        bits[c >> 3]! |= 1 << (c & 7);
      }
    }
  });
  const counts = new Array<number>(values.length).fill(0);
  let c = cap;
  for (let b = bundles.length - 1; b >= 0; b--)
    if (taken[b]![c >> 3]! & (1 << (c & 7))) {
      const { i, n } = bundles[b]!;
      counts[i]! += n;
      c -= sizes[i]! * n;
    }
  return { value: best[cap]!, counts };
}
