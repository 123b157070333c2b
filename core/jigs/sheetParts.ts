import polylabel from "polylabel";
import { hull, polygonArea, type Vec2 } from "../geometry";
import type { PieceShape, Resolved } from "../frame";
import { madeSticks, type Design, type SheetCuttingDoc } from "../job";
import { sheetOf, strippedItem, textureOf, type SheetItem } from "../lumber";
import { sizeOf, type NestPart, type NestProblem, type SheetSize, type Turn } from "../nesting";
import { cardMockups } from "./cardMockups";
import { flatSheet } from "./partSheets";

/** How sheets are cut where nothing else was said. */
export const USUAL_CUTTING: SheetCuttingDoc = { by: "snap", apart: 0, edge: 0, sizes: {} };

/** What is to be cut from one sheet: the problem, and each part as it is drawn, its lower left corner at 0, 0. */
export interface SheetJob {
  /** Id of the sheet, or "sheet" and its thickness where none was chosen from a series. */
  readonly stock: string;
  readonly name: string;
  readonly item: SheetItem | undefined;
  readonly problem: NestProblem;
  readonly flat: readonly Flat[];
}
export interface Flat {
  readonly role: string;
  /** Closed contours, outer ones counter-clockwise. */
  readonly rings: readonly (readonly Vec2[])[];
  readonly lines: readonly (readonly [Vec2, Vec2])[];
  /** Where its mark is read best, and how wide and high it may be there. */
  readonly label: { readonly at: Vec2; readonly wide: number; readonly high: number };
}

/** What of a sheet's size and price is told beside its plan. */
export function sheetSizes(
  d: Design,
  stock: string,
): { readonly wide: number; readonly long: number; readonly count: number | null; readonly price: number }[] {
  const own = d.doc.sheetCutting?.sizes[stock];
  if (own?.length) return own.map((s) => ({ ...s, count: s.count ?? null }));
  return (sheetOf(stock)?.sizes ?? sheetOf("sheet/styrene/40")!.sizes).map(([wide, long]) => ({ wide, long, count: null, price: 0 })); // prettier-ignore
}

/**
 * The ways a part may lie. Lines run as the sheet's do; where a texture looks one way up, what is up on the wall is up on
 * the sheet as it is drawn. Wood keeps its grain along the part. A plain sheet leaves all free, of which a rectangle has two.
 */
function turnsOf(
  k: Resolved,
  item: SheetItem | undefined,
  across: "x" | "y" | undefined,
  rectangle: boolean,
): readonly Turn[] {
  if (across) {
    const both: readonly [Turn, Turn] = across === "x" ? [0, 2] : [3, 1];
    const up = (across === "x" ? k.axes.u : k.axes.v)[2];
    if (!item?.texture || textureOf(item.texture.id).turns || Math.abs(up) < 1e-6) return both;
    return [both[up > 0 ? 1 : 0]];
  }
  if (item?.material === "wood") return rectangle ? [1] : [1, 3];
  return rectangle ? [0, 1] : [0, 1, 2, 3];
}

/** Everything of a design that is cut from sheet and not cut yet, by sheet, in the order of the cut list; card mock-ups last. */
export function sheetJobs(d: Design, done: ReadonlySet<string> = new Set()): SheetJob[] {
  const { by, apart, edge } = d.doc.sheetCutting ?? USUAL_CUTTING;
  const made = madeSticks(d);
  const sticks = new Map(d.structures.flatMap((s) => s.resolved.sticks.map((k) => [k.id, k] as const)));
  const groups = new Map<string, { parts: NestPart[]; flat: Flat[]; name: string; item: SheetItem | undefined }>();
  for (const p of d.pieces) {
    const wanted = p.sticks.filter((id) => !done.has(id) && !made.has(id));
    const stripped = strippedItem(p.stock);
    if ((p.shape.kind !== "panel" && !stripped) || wanted.length === 0) continue;
    const mm = p.shape.section[1].toFixed(2);
    const chosen = stripped?.sheet ?? sheetOf(p.stock);
    // what no series was chosen for is a plain sheet of its thickness: wood is not sawn thinner than 1/32 in
    const item = chosen ?? sheetOf(`sheet/own/${Number(mm) < 0.7 ? "styrene" : "wood"}-${Number(mm)}`);
    const stock = chosen?.id ?? `sheet ${mm} mm`;
    const k = sticks.get(p.sticks[0]!)!;
    const flat = stripped ? flatStrip(p.shape, stripped.sheet.thickness) : flatSheet(k);
    const outline = hull(flat.rings.flat());
    const rectangle = outline.length === 4 && Math.abs(polygonArea(outline) - flat.wide * flat.high) < 1e-6;
    // lines that are printed on a plain sheet are the part's alone
    const lines = item?.texture ? p.shape.lines : undefined;
    const across = lines && (lines.across === "u" ? "x" : "y");
    const group = groups.get(stock) ?? { parts: [], flat: [], name: chosen?.name ?? `Sheet ${mm} mm thick`, item };
    groups.set(stock, group);
    group.parts.push({
      mark: p.mark,
      sticks: wanted,
      outline,
      turns: turnsOf(k, chosen, across, rectangle),
      ...(lines && across ? { lines: { across, pitch: lines.pitch, first: lines.first } } : {}),
    });
    group.flat.push({ role: p.role, rings: flat.rings, lines: flat.lines, label: labelOf(flat.rings, outline) });
  }
  const card = sheetOf(d.doc.sheetCutting?.card ?? "");
  if (card) {
    const longest = Math.max(...sheetSizes(d, card.id).flatMap((s) => [s.wide, s.long])) - 2 * edge;
    const group = groups.get(card.id) ?? { parts: [], flat: [], name: card.name, item: card };
    for (const { part, role, rings, lines } of cardMockups(d, longest, done)) {
      group.parts.push(part);
      group.flat.push({ role, rings, lines, label: labelOf(rings, part.outline) });
    }
    if (group.parts.length > 0) groups.set(card.id, group);
  }
  return [...groups].map(([stock, { parts, flat, name, item }]) => ({
    stock,
    name,
    item,
    flat,
    problem: { parts, apart, edge, by, sizes: sheetSizes(d, stock).map((s): SheetSize => ({ wide: s.wide, long: s.long, count: s.count, cost: s.price > 0 ? s.price : s.wide * s.long })) }, // prettier-ignore
  }));
}

/** A strip as it lies on the sheet that it is ripped off, its lower left corner at 0, 0: its side that is as thick as the sheet stands upright. Notches are cut once it is off. */
function flatStrip(shape: PieceShape, thick: number): ReturnType<typeof flatSheet> {
  const across = Math.abs(shape.section[1] - thick) <= Math.abs(shape.section[0] - thick) ? 1 : 2;
  const seen = hull(shape.corners.map((c): Vec2 => [c[0], c[across]]));
  const least = [0, 1].map((i) => Math.min(...seen.map((q) => q[i]!))) as [number, number];
  const ring = seen.map(([x, y]): Vec2 => [x - least[0], y - least[1]]);
  const [wide, high] = sizeOf(ring, 0);
  return { rings: [ring], lines: [], wide, high };
}

/** The middle of a part; of one with holes or slanted edges the place furthest from all of them. */
function labelOf(rings: readonly (readonly Vec2[])[], outline: readonly Vec2[]): Flat["label"] {
  const [wide, high] = sizeOf(outline, 0);
  if (rings.length === 1 && Math.abs(polygonArea(rings[0]!) - wide * high) < 0.2 * wide * high) return { at: [wide / 2, high / 2], wide, high }; // prettier-ignore
  const spot = polylabel(
    rings.map((r) => r.map(([x, y]): [number, number] => [x, y])),
    0.1,
  );
  const side = Math.SQRT2 * spot.distance;
  return { at: [spot[0]!, spot[1]!], wide: side, high: side };
}
/** How large a mark of so many letters can be written on a part that lies so, its letters in a row along the first side, mm. */
export const markSize = (label: Flat["label"], letters: number, turn: Turn, most: number): number => {
  const [w, h] = turn % 2 === 0 ? [label.wide, label.high] : [label.high, label.wide];
  return Math.max(0, Math.min(most, 0.8 * h, (0.92 * w) / (0.6 * letters)));
};
