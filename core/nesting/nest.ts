import { polygonArea } from "../geometry";
import { stream } from "../cutting/stream";
import { freeSheet, type PairsKnown } from "./free";
import type { Item, OpenSheet } from "./open";
import { NEAR, onToLine, sizeOf, type NestedSheet, type NestProblem, type NestResult, type SheetSize } from "./problem";
import { snapSheet, type SnapRules } from "./snap";

const RULES: readonly SnapRules[] = [
  { choose: "first", split: "level" },
  { choose: "short side", split: "level" },
  { choose: "short side", split: "short" },
  { choose: "short side", split: "long" },
  { choose: "area", split: "short" },
  { choose: "area", split: "long" },
];
/** What parts are sorted by, the greatest first. */
const ORDERS: readonly ((wide: number, high: number) => number)[] = [
  (w, h) => w * h,
  (w, h) => Math.max(w, h),
  (_, h) => h,
  (w) => w,
  (w, h) => w + h,
  (w, h) => Math.min(w, h),
];
type Make = (size: number) => OpenSheet;

/**
 * Lays parts on sheets: a first plan at once, then each better one as it is found, in so many tries. Better is what costs
 * less; of plans that cost the same, the one that leaves the largest rectangle whole. Parts are taken in several orders
 * and by several rules, then in orders drawn by chance from the best one on; what is drawn depends on the seed alone.
 * What a saw cuts from edge to edge can be cut freely too, so those plans are tried for "free" as well. Ends at once with
 * what has no plan.
 */
export function* nestings(p: NestProblem, tries = 300, seed = 1): Generator<NestResult, void> {
  const items = p.parts.flatMap((part, i) => part.sticks.map((stick): Item => ({ part: i, stick })));
  const tooLarge = p.parts.flatMap((_, i) => (p.sizes.some((s) => fits(p, i, s)) ? [] : [i]));
  if (tooLarge.length > 0) return yield { status: "too large", parts: tooLarge };
  const bound = leastCost(p);
  let best: { readonly sheets: readonly NestedSheet[]; readonly cost: number; readonly whole: number; order: readonly Item[] } | undefined; // prettier-ignore
  let short: readonly number[] = [];
  const known: PairsKnown = new Map();
  const makes: Make[] = RULES.map((r) => (size) => snapSheet(p, size, r));
  const free: Make = (size) => freeSheet(p, size, known);
  const unlimited = p.sizes.flatMap((s, i) => (s.count === null ? [i] : []));
  const attempt = (order: readonly Item[], make: Make, prefer: number | undefined): NestResult | undefined => {
    const filled = fill(p, order, make, prefer);
    if (filled.left.length > 0) {
      if (short.length === 0 || filled.left.length < short.length) short = filled.left;
      return undefined;
    }
    const sheets = smaller(p, filled.sheets, make);
    const cost = costOf(p, sheets);
    const whole = Math.max(0, ...sheets.flatMap((s) => s.left.map((r) => r.wide * r.high)));
    if (best && (cost > best.cost + NEAR || (cost > best.cost - NEAR && whole <= best.whole + NEAR))) return undefined;
    best = { sheets, cost, whole, order };
    return { status: "planned", sheets, cost, bound };
  };
  const prefers = unlimited.length > 0 ? unlimited : [undefined];
  for (const by of ORDERS) {
    const order = sorted(p, items, by);
    for (const make of p.by === "free" ? [makes[0]!, makes[2]!, free] : makes)
      for (const prefer of prefers) {
        const better = attempt(order, make, prefer);
        if (better) yield better;
      }
  }
  const random = stream(seed);
  // free places are sought past all that lies there already: many parts have fewer tries
  const most = p.by === "free" ? Math.min(tries, Math.ceil((tries * 900) / items.length ** 2)) : tries;
  for (let t = 0; t < most && best && items.length > 2; t++) {
    // where no plan can cost less, the larger offcut is worth a few tries alone
    if (boughtCost(p, best.sheets) <= bound + NEAR && t > most / 10) break;
    const order = [...best.order];
    for (let n = 1 + Math.floor(random() * 3); n > 0; n--) {
      const [i, j] = [random(), random()].map((x) => Math.floor(x * order.length)) as [number, number];
      [order[i], order[j]] = [order[j]!, order[i]!];
    }
    const make = p.by === "free" && random() < 0.7 ? free : makes[Math.floor(random() * makes.length)]!;
    const better = attempt(order, make, prefers[Math.floor(random() * prefers.length)]);
    if (better) yield better;
  }
  if (!best) yield { status: "not enough", left: [...new Set(short)] };
}

const fits = (p: NestProblem, part: number, s: SheetSize): boolean =>
  p.parts[part]!.turns.some((t) => {
    const [w, h] = sizeOf(p.parts[part]!.outline, t);
    return w + onToLine(p.edge, p.parts[part]!, t) <= s.wide - 2 * p.edge + NEAR && h <= s.long - 2 * p.edge + NEAR;
  });
const costOf = (p: NestProblem, sheets: readonly NestedSheet[]): number => sheets.reduce((sum, s) => sum + p.sizes[s.size]!.cost, 0); // prettier-ignore

/** What has to be bought costs at least so much: the area that is left when everything that is limited is used, at the least price there is; whole sheets where all prices are so many of the least. Where all sheets are limited, the area at the least price. */
export function leastCost(p: NestProblem): number {
  const area = p.parts.reduce((sum, part) => sum + part.sticks.length * Math.abs(polygonArea(part.outline)), 0);
  const usable = (s: SheetSize): number => Math.max(0, (s.wide - 2 * p.edge) * (s.long - 2 * p.edge));
  const sold = p.sizes.filter((s) => s.count === null);
  const offers = (sold.length > 0 ? sold : p.sizes).filter((s) => usable(s) > 0);
  const had = sold.length > 0 ? p.sizes.reduce((sum, s) => sum + (s.count ?? 0) * usable(s), 0) : 0;
  const rest = Math.max(0, area - had);
  if (rest < NEAR || offers.length === 0) return 0;
  const cost = rest * Math.min(...offers.map((s) => s.cost / usable(s)));
  const least = Math.min(...offers.map((s) => s.cost));
  const whole =
    sold.length > 0 && least > 0 && offers.every((s) => Math.abs(s.cost / least - Math.round(s.cost / least)) < NEAR);
  return whole ? Math.ceil(cost / least - NEAR) * least : cost;
}
/** What of a plan has to be bought costs: sheets that there are as many of as wanted; all of them where none is. */
export function boughtCost(p: NestProblem, sheets: readonly NestedSheet[]): number {
  const sold = p.sizes.some((s) => s.count === null);
  return sheets.reduce((sum, s) => sum + (sold && p.sizes[s.size]!.count !== null ? 0 : p.sizes[s.size]!.cost), 0);
}

/** Takes the items in turn, each on the first sheet that has a place for it, else on a new one: the least that is limited and would do, then the preferred size, then the least of the others. */
function fill(p: NestProblem, order: readonly Item[], make: Make, prefer: number | undefined) {
  const open: OpenSheet[] = [];
  const used = p.sizes.map(() => 0);
  const left: number[] = [];
  const area = (i: number): number => p.sizes[i]!.wide * p.sizes[i]!.long;
  const bySize = p.sizes.map((_, i) => i).sort((a, b) => area(a) - area(b));
  const limited = bySize.filter((i) => p.sizes[i]!.count !== null);
  const others = bySize.filter((i) => p.sizes[i]!.count === null && i !== prefer);
  for (const item of order) {
    if (open.some((s) => s.take(item))) continue;
    const sizes = [...limited, ...(prefer === undefined ? [] : [prefer]), ...others];
    const taken = sizes.some((size) => {
      if (used[size]! >= (p.sizes[size]!.count ?? Infinity) || !fits(p, item.part, p.sizes[size]!)) return false;
      const sheet = make(size);
      if (!sheet.take(item)) return false;
      used[size]!++;
      open.push(sheet);
      return true;
    });
    if (!taken) left.push(item.part);
  }
  return { sheets: open.map((s) => s.done()), left };
}

/** Each sheet as the cheapest one that carries the same parts. */
function smaller(p: NestProblem, sheets: readonly NestedSheet[], make: Make): NestedSheet[] {
  return sheets.map((s) => {
    const cheaper = p.sizes.flatMap((x, i) => (x.count === null && x.cost < p.sizes[s.size]!.cost ? [i] : [])).sort((a, b) => p.sizes[a]!.cost - p.sizes[b]!.cost); // prettier-ignore
    for (const size of cheaper) {
      const tried = make(size);
      if (s.placed.every((x) => tried.take(x))) return tried.done();
    }
    return s;
  });
}

function sorted(p: NestProblem, items: readonly Item[], by: (wide: number, high: number) => number): Item[] {
  const value = p.parts.map((part) => by(...sizeOf(part.outline, part.turns[0]!)));
  return [...items].sort((a, b) => value[b.part]! - value[a.part]! || a.part - b.part);
}
