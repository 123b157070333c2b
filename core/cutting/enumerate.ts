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

/** Steps that a search for tight loads may take: about a second. */
const STEPS = 4_000_000;
/**
 * Every load of the one length there is that wastes no more than `slack` of it: a plan of so many sticks that all of them
 * together have no more to spare is made of such loads alone. Undefined where there are more than `most`, or it takes too
 * long to find them. Lengths in the problem's own whole numbers.
 */
export function tightPatterns(p: IntegerProblem, slack: number, most: number): Pattern[] | undefined {
  const { sizes, demand } = p;
  const cap = p.stock[0]!.cap;
  // what all that is left to choose from can fill at most
  const rest = sizes.map(() => 0);
  for (let i = sizes.length - 1, sum = 0; i >= 0; i--) rest[i] = sum += sizes[i]! * demand[i]!;
  const least = sizes.at(-1)!;
  const out: Pattern[] = [];
  const take: (readonly [number, number])[] = [];
  let steps = STEPS;
  const go = (i: number, room: number): boolean => {
    if (out.length > most || steps-- <= 0) return false;
    if (room <= slack && take.length > 0) out.push({ stock: 0, counts: [...take] });
    if (room < least) return true;
    for (let k = i; k < sizes.length; k++) {
      if (sizes[k]! > room) continue;
      if (room - rest[k]! > slack) return true;
      for (let n = Math.min(demand[k]!, Math.floor(room / sizes[k]!)); n > 0; n--) {
        take.push([k, n]);
        const more = go(k + 1, room - n * sizes[k]!);
        take.pop();
        if (!more) return false;
      }
    }
    return true;
  };
  return go(0, cap) ? out : undefined;
}
