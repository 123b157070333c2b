import type { StockLength } from "../cutting";
import type { SheetItem, StockItem } from "../lumber";
import type { SheetSize } from "../nesting";
import type { CutMove, Holding } from "./ledger";
import { isOfItem, isOfSheet, sheetLot, stickLot, type Lot } from "./lot";

/** What a stick or sheet out of the drawer counts for, of what its length or area would cost new: it is paid, and used first, but a long one is not spent where a short one would do. */
const PAID = 0.01;
/** The least that a length or an area costs new, a mm or mm²; lengths or areas and their costs. */
const rateOf = (sold: readonly (readonly [number, number])[]): number => Math.min(...sold.map(([size, cost]) => cost / size), Infinity); // prettier-ignore
const paidFor = (size: number, rate: number, step: number): number => Math.max(step, Math.round((size * (Number.isFinite(rate) && rate > 0 ? rate : 1) * PAID) / step) * step); // prettier-ignore

/** The lengths of an item that lie in the drawer, as a plan takes them beside those that are sold; shortest first. Costs are whole where those of what is sold are, so that bounds can be rounded up. */
export function drawerLengths(all: readonly Holding[], item: StockItem, sold: readonly StockLength[]): StockLength[] {
  const rate = rateOf(sold.map((s) => [s.length, s.cost] as const));
  const step = sold.every((s) => s.cost >= 10 && Number.isInteger(s.cost)) ? 1 : 0.001;
  return all
    .filter((h) => isOfItem(h.lot, item))
    .map((h) => ({
      length: h.lot.length,
      count: h.count,
      cost: paidFor(h.lot.length, rate, step),
      drawer: true as const,
    })) // prettier-ignore
    .sort((a, b) => a.length - b.length);
}
/** The sheets of an item that lie in the drawer, beside those that are sold. */
export function drawerSheets(all: readonly Holding[], item: SheetItem, sold: readonly SheetSize[]): SheetSize[] {
  const rate = rateOf(sold.map((s) => [s.wide * s.long, s.cost] as const));
  return all
    .filter((h) => isOfSheet(h.lot, item))
    .map((h) => ({ wide: h.lot.width, long: h.lot.length, count: h.count, cost: paidFor(h.lot.width * h.lot.length, rate, 1e-4), drawer: true as const })); // prettier-ignore
}

/** The lot that a planned stick comes from: the drawer's own, so that it keeps its name, else a new one. */
const from = (all: readonly Holding[], lot: Lot, is: (l: Lot) => boolean): Lot =>
  all.find((h) => is(h.lot) && Math.abs(h.lot.length - lot.length) < 0.011 && (lot.form !== "sheet" || Math.abs(h.lot.width - lot.width) < 0.011))?.lot ?? lot; // prettier-ignore

/** What cutting a planned stick does to the drawer: offcuts of `least` mm and more are kept. */
export function moveOfStick(
  all: readonly Holding[],
  item: StockItem,
  stick: {
    readonly length: number;
    readonly drawer: boolean;
    readonly offcut: number;
    readonly sticks: readonly string[];
  },
  least: number,
): CutMove {
  const lot = stickLot(item, stick.length);
  const whole = stick.drawer ? from(all, lot, (l) => isOfItem(l, item)) : lot;
  const left = stick.offcut >= least ? [{ ...whole, length: Math.floor(stick.offcut * 10) / 10 }] : [];
  return { lot: whole, drawer: stick.drawer, left, sticks: stick.sticks };
}
/** What cutting a planned sheet does to the drawer: rectangles that are `least` mm and more both ways are kept. */
export function moveOfSheet(
  all: readonly Holding[],
  item: SheetItem,
  sheet: {
    readonly wide: number;
    readonly long: number;
    readonly drawer: boolean;
    readonly left: readonly { readonly wide: number; readonly high: number }[];
    readonly sticks: readonly string[];
  },
  least: number,
): CutMove {
  const lot = sheetLot(item, sheet.wide, sheet.long);
  const whole = sheet.drawer ? from(all, lot, (l) => isOfSheet(l, item)) : lot;
  const tenth = (x: number): number => Math.floor(x * 10) / 10;
  const left = sheet.left
    .filter((r) => Math.min(r.wide, r.high) >= least)
    .map((r): Lot => ({ ...whole, width: tenth(r.wide), length: tenth(r.high) }));
  return { lot: whole, drawer: sheet.drawer, left, sticks: sheet.sticks };
}
