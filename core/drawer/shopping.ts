import type { ItemPlan } from "../cutting";
import type { NestProblem, NestResult } from "../nesting";
import type { SheetItem, StockItem } from "../lumber";
import { model, printModel, type Units, printArea } from "../units";
import { lotKey, lotWords, sheetLot, stickLot, type Lot } from "./lot";

/** What a shop asks for a lot: it is sold in packs of so many, at so much a pack. */
export interface Quote {
  readonly pack: number;
  readonly price: number;
}
/** Where prices come from: asked for lots, it answers in their order, with nothing where it has none. */
export interface PriceService {
  quote(lots: readonly Lot[]): Promise<readonly (Quote | undefined)[]>;
}
/** One thing of a shopping list. Lengths in model mm. */
export interface Wanted {
  readonly lot: Lot;
  /** How many the plans take of what there is, in the drawer or counted for the job, and new. */
  readonly had: number;
  readonly buy: number;
  /** Of sticks how long all pieces are together, with kerf and allowance; of sheets how large, mm². */
  readonly running: number;
  /** What of that comes off what is bought. */
  readonly fresh: number;
  /** Offcuts that are left of what is bought, the longest or largest first. */
  readonly left: readonly Lot[];
  /** The pieces that come off it. */
  readonly sticks: readonly string[];
}

/** What the plans of a job need, what of it there is, and what has to be bought; by size, sticks before sheets. `least` mm is the least offcut worth telling of. */
export function shoppingList(
  sticks: readonly { readonly item: StockItem; readonly plan: ItemPlan }[],
  sheets: readonly { readonly item: SheetItem; readonly problem: NestProblem; readonly result: NestResult }[],
  least: number,
): Wanted[] {
  const all = new Map<
    string,
    { lot: Lot; had: number; buy: number; running: number; fresh: number; left: Lot[]; sticks: string[] }
  >();
  const at = (lot: Lot) => {
    const key = lotKey(lot);
    const known = all.get(key) ?? { lot, had: 0, buy: 0, running: 0, fresh: 0, left: [], sticks: [] };
    all.set(key, known);
    return known;
  };
  for (const { item, plan } of sticks)
    for (const s of plan.sticks) {
      const row = at(stickLot(item, s.length));
      if (s.from.count !== null) row.had++;
      else {
        row.buy++;
        if (s.offcut >= least) row.left.push({ ...row.lot, length: s.offcut });
      }
      row.sticks.push(...s.cuts.map((c) => c.stick));
      const long = s.cuts.reduce((sum, c) => sum + c.length, 0);
      row.running += long;
      if (s.from.count === null) row.fresh += long;
    }
  for (const { item, problem, result } of sheets) {
    if (result.status !== "planned") continue;
    for (const s of result.sheets) {
      const size = problem.sizes[s.size]!;
      const row = at(sheetLot(item, size.wide, size.long));
      if (size.count !== null) row.had++;
      else {
        row.buy++;
        for (const r of s.left) if (Math.min(r.wide, r.high) >= least) row.left.push({ ...row.lot, width: r.wide, length: r.high }); // prettier-ignore
      }
      row.sticks.push(...s.placed.map((x) => x.stick));
      const net = s.placed.reduce((sum, x) => sum + areaOf(problem.parts[x.part]!.outline), 0);
      row.running += net;
      if (size.count === null) row.fresh += net;
    }
  }
  return [...all.values()].map((w) => ({ ...w, left: w.left.sort((a, b) => sizeOf(b) - sizeOf(a)) }));
}
const sizeOf = (l: Lot): number => (l.form === "sheet" ? l.width * l.length : l.length);
const areaOf = (o: readonly (readonly [number, number])[]): number =>
  Math.abs(o.reduce((s, [x, y], i) => s + x * o[(i + 1) % o.length]![1] - o[(i + 1) % o.length]![0] * y, 0)) / 2;

/** What is paid for one thing: how many packs, with so many percent more than the plan takes, what they cost, and how many are over. */
export interface Bought {
  readonly packs: number;
  readonly count: number;
  readonly over: number;
  /** Nothing where nobody named a price. */
  readonly cost: number | undefined;
}
/** Packs that carry what has to be bought, and `spare` percent more of what is cut from it where its offcuts do not hold that: sticks break and cuts go wrong. Of nothing to buy there is nothing. */
export function bought(w: Wanted, quote: Quote | undefined, spare: number): Bought {
  const count = w.buy === 0 ? 0 : Math.max(w.buy, Math.ceil((w.fresh * (1 + spare / 100)) / sizeOf(w.lot) - 1e-9));
  const pack = quote?.pack ?? 1;
  const packs = Math.ceil(count / pack);
  return { packs, count, over: packs * pack - w.buy, cost: quote && packs * quote.price };
}
/** How long or how large something is together, in words: "1.84 m", "72.4 in", "210.5 cm²". */
export function runningWords(w: Wanted, unit: "mm" | "in" | "64ths"): string {
  if (w.lot.form === "sheet") return printArea(w.running, unit);
  return unit === "mm" ? `${(w.running / 1000).toFixed(2)} m` : `${(w.running / 25.4).toFixed(1)} in`;
}

export const SHOPPING_COLUMNS = ["What", "Pieces together", "On hand", "To buy", "Packs", "Price", "Left after the build"] as const; // prettier-ignore
/** A shopping list in words, a row of cells for each thing, as screen, paper and table show it; lengths in the unit that is given. */
export function shoppingRows(
  wanted: readonly Wanted[],
  quotes: readonly (Quote | undefined)[],
  spare: number,
  unit: Units["model"],
): string[][] {
  const M = (mm: number): string => printModel(model(mm), unit, 1);
  return wanted.map((w, i) => {
    const b = bought(w, quotes[i], spare);
    const pack = quotes[i]?.pack ?? 1;
    const [offcut] = w.left;
    const offcuts = offcut && `${w.left.length} ${w.left.length === 1 ? "offcut" : "offcuts"} up to ${offcut.form === "sheet" ? `${M(offcut.width)} × ${M(offcut.length)}` : M(offcut.length)}`; // prettier-ignore
    return [
      lotWords(w.lot, M),
      runningWords(w, unit),
      w.had > 0 ? String(w.had) : "",
      b.count > 0 ? String(b.count) : "",
      b.count === 0 ? "" : pack > 1 ? `${b.packs} of ${pack}` : String(b.packs),
      b.count === 0 || b.cost === undefined ? "" : b.cost.toFixed(2),
      [b.over > 0 && w.buy > 0 ? `${b.over} over` : "", offcuts ?? ""].filter(Boolean).join("; "),
    ];
  });
}
/** What a list costs together; 0 where nobody named a price. */
export const shoppingTotal = (
  wanted: readonly Wanted[],
  quotes: readonly (Quote | undefined)[],
  spare: number,
): number => wanted.reduce((s, w, i) => s + (bought(w, quotes[i], spare).cost ?? 0), 0);
/** Names of what no layout was found for, and that a list made of the layouts lacks. */
export const unplanned = (
  sticks: readonly ItemPlan[],
  sheets: readonly { readonly name: string; readonly result: NestResult }[],
): string[] => [
  ...sticks.filter((p) => p.result.status === "too long" || p.result.status === "not enough stock").map((p) => p.name),
  ...sheets.filter((s) => s.result.status !== "planned").map((s) => s.name),
];
