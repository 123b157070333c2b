import { polygonArea } from "../geometry";
import { boughtCost } from "./nest";
import type { NestProblem, NestResult, SnapCut } from "./problem";

type Planned = Extract<NestResult, { status: "planned" }>;

/** What a plan uses of its sheets, percent of their area. */
export function usedPercent(p: NestProblem, r: Planned): number {
  const whole = r.sheets.reduce((s, x) => s + p.sizes[x.size]!.wide * p.sizes[x.size]!.long, 0);
  const net = r.sheets
    .flatMap((s) => s.placed)
    .reduce((s, x) => s + Math.abs(polygonArea(p.parts[x.part]!.outline)), 0);
  return whole > 0 ? (100 * net) / whole : 0;
}
/** How much less could do, in words, by areas alone: nothing where no plan can cost less. */
export function sheetGapWords(p: NestProblem, r: Planned): string {
  const bought = boughtCost(p, r.sheets);
  if (bought <= r.bound + 1e-9) return "";
  const [each, ...others] = new Set(p.sizes.filter((s) => s.count === null).map((s) => s.cost));
  if (each !== undefined && others.length === 0) {
    const most = Math.round((bought - r.bound) / each);
    return `by area alone ${most} ${most === 1 ? "sheet" : "sheets"} fewer could do`;
  }
  return `by area alone ${((100 * r.bound) / bought).toFixed(0)} % of it could do`;
}
/** A cut of a plan in words, as the sheet is drawn: y to the right and x downwards, so that nothing is mirrored. "level, 50.0 mm down, from 0.0 mm to 100.0 mm". `length` prints mm. */
export const cutWordsOf = (c: SnapCut, length: (mm: number) => string): string =>
  `${c.along === "y" ? `level, ${length(c.at)} down` : `upright, ${length(c.at)} in`}, from ${length(c.from)} to ${length(c.to)}`;
