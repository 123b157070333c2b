import { fillPlan, fullestFill } from "./fill";
import {
  toIntegers,
  toLayouts,
  type IntegerProblem,
  type Pattern,
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
  setups: { name: "Fewest set-ups", hint: "Sticks cut alike, so that the stop is set less often; at most a seventh dearer than the cheapest." },
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

/** The same pieces in another order of things, as the aim asks: for the longest offcut on the same sticks, for the fewest settings on some more if need be. Answers the layouts as they are where nothing better is found. */
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
/** How much dearer a plan with fewer settings may be. */
const DEARER = 1.15;
/** Sizes that are paired on a stick, at most. */
const PAIRED = 40;
/** Plans of sticks that are cut alike as often as can be, at several shares of waste; the one with the fewest settings of those that are not much dearer. */
function fewestSettings(p: IntegerProblem, loads: readonly Load[]): Load[] | undefined {
  const settings = (all: readonly Load[]): number =>
    [...new Set(all.map((l) => `${l.stock}|${l.counts.join()}`))].reduce((s, k) => s + k.split("|")[1]!.split(",").filter((n) => n !== "0").length, 0); // prettier-ignore
  const costOf = (all: readonly Load[]): number => all.reduce((s, l) => s + p.stock[l.stock]!.cost, 0);
  const most = costOf(loads) * DEARER + 1e-9;
  let best: Load[] | undefined;
  let [least, cost] = [settings(loads), costOf(loads)];
  for (const waste of WASTES) {
    const plan = alikeFirst(p, loads, waste);
    if (!plan || costOf(plan) > most) continue;
    const [n, c] = [settings(plan), costOf(plan)];
    if (n < least || (n === least && c < cost - 1e-9)) [best, least, cost] = [plan, n, c];
  }
  return best;
}
function alikeFirst(p: IntegerProblem, loads: readonly Load[], waste: number): Load[] | undefined {
  const left = [...p.demand];
  const sticks = new Map<number, number>();
  for (const l of loads) sticks.set(l.stock, (sticks.get(l.stock) ?? 0) + 1);
  // of what there is without end some more may be taken
  const more = Math.ceil(loads.length * (DEARER - 1));
  for (const [stock, n] of sticks) sticks.set(stock, Math.min(p.stock[stock]!.limit, n + more));
  const out: Load[] = [];
  while (left.some((n) => n > 0)) {
    let best: { stock: number; counts: number[]; times: number; worth: number } | undefined;
    for (const [stock, there] of sticks) {
      if (there === 0) continue;
      const { cap } = p.stock[stock]!;
      /** Weighs a load of n of one size and m of another without writing it down. */
      const weigh = (i: number, n: number, j: number, m: number): void => {
        const [a, b] = [left[i]!, m > 0 ? left[j]! : 0];
        const times = Math.min(there, Math.floor(a / n), m > 0 ? Math.floor(b / m) : Infinity);
        if (times === 0) return;
        const sum = n * p.sizes[i]! + m * (m > 0 ? p.sizes[j]! : 0);
        const worth = (times * sum) / (m > 0 ? 2 : 1);
        if (cap - sum > waste * cap || (best && worth <= best.worth)) return;
        best = { stock, times, worth, counts: p.sizes.map((_, k) => (k === i ? n : k === j && m > 0 ? m : 0)) };
      };
      const fit = left.flatMap((n, i) => (n > 0 && p.sizes[i]! <= cap ? [i] : [])).slice(0, PAIRED);
      for (const i of fit)
        for (let n = Math.min(left[i]!, Math.floor(cap / p.sizes[i]!)); n > 0; n--) {
          const room = cap - n * p.sizes[i]!;
          weigh(i, n, i, 0);
          for (const j of fit) if (j > i) weigh(i, n, j, Math.min(left[j]!, Math.floor(room / p.sizes[j]!)));
        }
      // and the fullest load there is, of however many sizes
      const full = fullestFill(p.sizes, left, cap, NODES);
      if (!full) continue;
      const kinds = full.filter((n) => n > 0).length;
      const times = full.reduce((t, n, i) => (n > 0 ? Math.min(t, Math.floor(left[i]! / n)) : t), there);
      const worth = (times * sizeOf(p, full)) / kinds;
      if (times > 0 && cap - sizeOf(p, full) <= waste * cap && (!best || worth > best.worth)) best = { stock, counts: full, times, worth }; // prettier-ignore
    }
    if (!best || best.times < 2) {
      // of what is left no two sticks are alike: it is filled as full as it goes
      const used = p.stock.map((_, k) => out.filter((l) => l.stock === k).length);
      const rest = fillPlan(p, left, used);
      const counts = (q: Pattern): number[] => p.sizes.map((_, k) => q.counts.find(([i]) => i === k)?.[1] ?? 0);
      return rest && [...out, ...rest.map((q) => ({ stock: q.stock, counts: counts(q) }))];
    }
    for (let t = 0; t < best.times; t++) out.push({ stock: best.stock, counts: best.counts });
    best.counts.forEach((n, i) => (left[i]! -= n * best!.times));
    sticks.set(best.stock, sticks.get(best.stock)! - best.times);
  }
  return out;
}
