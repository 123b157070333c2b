import { fullestFill } from "./fill";
import {
  toIntegers,
  toLayouts,
  type IntegerProblem,
  type StickLayout,
  type StickProblem,
  type StockLength,
} from "./problem";

/** What a plan is made for, beside carrying every piece. */
export type Aim = "price" | "new" | "setups" | "offcuts";
/** The aims in words, as they are chosen. */
export const AIMS: Readonly<Record<Aim, { readonly name: string; readonly hint: string }>> = {
  price: { name: "Cheapest", hint: "The least that has to be paid." },
  new: { name: "Least new stock", hint: "The least length that has to be bought, whatever it costs." },
  setups: { name: "Fewest set-ups", hint: "Of the cheapest plans one whose sticks are cut alike, so that the stop is set less often." },
  offcuts: { name: "Longest offcuts", hint: "Of the cheapest plans one that leaves the longest offcut whole." },
}; // prettier-ignore

/** Lengths with the costs that an aim counts: for the least new stock each new one costs its length. What lies in the drawer costs what it did. */
export const aimedLengths = (lengths: readonly StockLength[], aim: Aim): readonly StockLength[] =>
  aim === "new" ? lengths.map((l) => (l.drawer ? l : { ...l, cost: Math.round(l.length) })) : lengths;

/** A stick in the making: how many of each size it carries. */
interface Load {
  readonly stock: number;
  readonly counts: readonly number[];
}
const sizeOf = (p: IntegerProblem, counts: readonly number[]): number => counts.reduce((s, n, i) => s + n * p.sizes[i]!, 0); // prettier-ignore
const slackOf = (p: IntegerProblem, l: Load): number => p.stock[l.stock]!.cap - sizeOf(p, l.counts);

/** How often a stop is set to cut a plan: sticks that are cut alike are cut together, one setting for each of their lengths. */
export const settingsOf = (layouts: readonly StickLayout[]): number =>
  layouts.reduce((s, l) => s + new Set(l.cuts).size, 0);

/** The same sticks with the pieces on them in another order of things, as the aim asks: what is paid stays the same. Answers the layouts as they are where nothing better is found. */
export function arranged(problem: StickProblem, layouts: readonly StickLayout[], aim: Aim): readonly StickLayout[] {
  if (aim === "price" || aim === "new" || layouts.length === 0) return layouts;
  const p = toIntegers(problem);
  const at = new Map(p.lengths.map((l, i) => [l, i] as const));
  const loads = layouts.flatMap((l): Load[] => {
    const counts = new Array<number>(p.sizes.length).fill(0);
    for (const c of l.cuts) counts[at.get(c)!]!++;
    const stock = p.stock.findIndex((s) => s.source === l.stock);
    return Array.from({ length: l.count }, () => ({ stock, counts }));
  });
  const other = aim === "offcuts" ? longestOffcut(p, loads) : fewestSettings(p, loads);
  return other ? toLayouts(other.map((l) => ({ stock: l.stock, counts: l.counts.map((n, i) => [i, n] as const).filter(([, n]) => n > 0) })), p) : layouts; // prettier-ignore
}

/** Pairs of sticks that are looked at for a longer offcut, and nodes that one fill may look at. */
const [PAIRS, NODES] = [20_000, 2000];
/** Sticks filled one after another, the longest one last; then pairs, one of the two as full as it goes. Undefined where no offcut becomes longer. */
function longestOffcut(p: IntegerProblem, loads: readonly Load[]): Load[] | undefined {
  const longest = (all: readonly Load[]): number[] => all.map((l) => slackOf(p, l)).sort((a, b) => b - a);
  const better = (a: readonly Load[], b: readonly Load[]): boolean => {
    const [x, y] = [longest(a), longest(b)];
    const i = x.findIndex((s, k) => s !== y[k]);
    return i >= 0 && x[i]! > y[i]!;
  };
  let best: readonly Load[] = loads;
  const inTurn = fillInTurn(p, loads);
  if (inTurn && better(inTurn, best)) best = inTurn;
  let budget = PAIRS;
  for (let moved = true; moved && budget > 0;) {
    moved = false;
    for (let a = 0; a < best.length && budget > 0; a++)
      for (let b = 0; b < best.length && budget > 0; b++) {
        if (a === b || slackOf(p, best[a]!) === 0) continue;
        budget--;
        const [x, y] = [best[a]!, best[b]!];
        const both = x.counts.map((n, i) => n + y.counts[i]!);
        const full = fullestFill(p.sizes, both, p.stock[x.stock]!.cap, NODES);
        if (!full) continue;
        const rest: Load = { stock: y.stock, counts: both.map((n, i) => n - full[i]!) };
        const least = Math.max(slackOf(p, x), slackOf(p, y));
        // a stick that is left empty would not have been in a plan that costs least
        if (slackOf(p, rest) <= least || sizeOf(p, rest.counts) === 0) continue;
        best = best.map((l, i) => (i === a ? { stock: x.stock, counts: full } : i === b ? rest : l));
        moved = true;
      }
  }
  return best === loads ? undefined : [...best];
}
function fillInTurn(p: IntegerProblem, loads: readonly Load[]): Load[] | undefined {
  const left = p.sizes.map((_, i) => loads.reduce((s, l) => s + l.counts[i]!, 0));
  const order = [...loads].sort((a, b) => p.stock[a.stock]!.cap - p.stock[b.stock]!.cap);
  const out: Load[] = [];
  for (const { stock } of order.slice(0, -1)) {
    const full = fullestFill(p.sizes, left, p.stock[stock]!.cap, NODES);
    if (!full) return undefined;
    full.forEach((n, i) => (left[i]! -= n));
    out.push({ stock, counts: full });
  }
  const last: Load = { stock: order.at(-1)!.stock, counts: left };
  if (slackOf(p, last) < 0 || sizeOf(p, left) === 0) return undefined;
  return [...out, last];
}

/** What of a stick may be left over where it is cut like others, shares of it that are tried one after another. */
const WASTES = [0.01, 0.03, 0.06, 0.1, 0.16, 0.25, 0.4, 0.6, 1];
/** Sizes that are paired on a stick, at most. */
const PAIRED = 60;
/** Plans of sticks that are cut alike as often as can be, at several shares of waste; the one with the fewest settings of those that need no stick more. */
function fewestSettings(p: IntegerProblem, loads: readonly Load[]): Load[] | undefined {
  const settings = (all: readonly Load[]): number =>
    [...new Set(all.map((l) => `${l.stock}|${l.counts.join()}`))].reduce((s, k) => s + k.split("|")[1]!.split(",").filter((n) => n !== "0").length, 0); // prettier-ignore
  let best: Load[] | undefined;
  let least = settings(loads);
  for (const waste of WASTES) {
    const plan = alikeFirst(p, loads, waste);
    if (!plan) continue;
    const n = settings(plan);
    if (n < least) [best, least] = [plan, n];
  }
  return best;
}
function alikeFirst(p: IntegerProblem, loads: readonly Load[], waste: number): Load[] | undefined {
  const left = [...p.demand];
  const sticks = new Map<number, number>();
  for (const l of loads) sticks.set(l.stock, (sticks.get(l.stock) ?? 0) + 1);
  const out: Load[] = [];
  while (left.some((n) => n > 0)) {
    let best: { stock: number; counts: number[]; times: number; worth: number } | undefined;
    for (const [stock, there] of sticks) {
      if (there === 0) continue;
      const { cap } = p.stock[stock]!;
      for (const counts of mixes(p, left, cap)) {
        const sum = sizeOf(p, counts);
        const kinds = counts.filter((n) => n > 0).length;
        const times = counts.reduce((t, n, i) => (n > 0 ? Math.min(t, Math.floor(left[i]! / n)) : t), there);
        // the last of everything may leave what it leaves
        const all = counts.every((n, i) => n * times === left[i]);
        if (times === 0 || kinds === 0 || (!all && cap - sum > waste * cap)) continue;
        const worth = (times * sum) / kinds;
        if (!best || worth > best.worth) best = { stock, counts, times, worth };
      }
    }
    if (!best) return undefined;
    for (let t = 0; t < best.times; t++) out.push({ stock: best.stock, counts: best.counts });
    best.counts.forEach((n, i) => (left[i]! -= n * best!.times));
    sticks.set(best.stock, sticks.get(best.stock)! - best.times);
  }
  return out.length <= loads.length ? out : undefined;
}
/** Loads of one size, of two sizes, and the fullest there is. */
function* mixes(p: IntegerProblem, left: readonly number[], cap: number): Generator<number[]> {
  const none = p.sizes.map(() => 0);
  const full = fullestFill(p.sizes, left, cap, NODES);
  if (full) yield full;
  const there = left.flatMap((n, i) => (n > 0 && p.sizes[i]! <= cap ? [i] : [])).slice(0, PAIRED);
  for (const i of there)
    for (let n = Math.min(left[i]!, Math.floor(cap / p.sizes[i]!)); n > 0; n--) {
      const room = cap - n * p.sizes[i]!;
      yield none.map((_, k) => (k === i ? n : 0));
      for (const j of there) {
        const m = Math.min(left[j]!, Math.floor(room / p.sizes[j]!));
        if (j > i && m > 0) yield none.map((_, k) => (k === i ? n : k === j ? m : 0));
      }
    }
}
