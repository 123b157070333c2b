import type { IntegerProblem, Pattern } from "./problem";

/** Every load that leaves no room for another piece, for all stock; undefined when there are more than `most`. */
export function enumeratePatterns(p: IntegerProblem, most: number): Pattern[] | undefined {
  const out: Pattern[] = [];
  const take = p.sizes.map(() => 0);
  for (const [j, stock] of p.stock.entries()) {
    if (stock.limit < 1) continue;
    let nodes = most * 50;
    const go = (i: number, room: number): boolean => {
      if (out.length > most || nodes-- <= 0) return false;
      if (i === p.sizes.length) {
        const full = p.sizes.every((size, k) => size > room || take[k]! >= p.demand[k]!);
        if (full) out.push({ stock: j, counts: take.map((n, k) => [k, n] as const).filter(([, n]) => n > 0) });
        return true;
      }
      for (let n = Math.min(p.demand[i]!, Math.floor(room / p.sizes[i]!)); n >= 0; n--) {
        take[i] = n;
        if (!go(i + 1, room - n * p.sizes[i]!)) return false;
      }
      take[i] = 0;
      return true;
    };
    if (!go(0, stock.cap)) return undefined;
  }
  return out.filter((q) => q.counts.length > 0);
}
