import { entryOf, type Piece, type PieceShape } from "../frame";
import { polygonArea, type Vec2 } from "../geometry";
import { sheetOf, type SheetItem } from "../lumber";

/** What a sheet part takes, model mm and mm²: the rectangle that it is cut from, its longer side along its own length, and what it keeps of that. */
export interface SheetTaken {
  readonly long: number;
  readonly wide: number;
  readonly net: number;
}
/** What one panel takes of its sheet, or what is bent of one; its face is measured on the side that is larger where an edge is bevelled. Undefined for what is neither. */
export function sheetTaken(shape: PieceShape): SheetTaken | undefined {
  if (shape.kind === "bent")
    return { long: shape.overall, wide: shape.section[0], net: shape.overall * shape.section[0] };
  if (shape.kind !== "panel") return undefined;
  const { outline, notches, overall, width } = entryOf(shape);
  if (!outline || "corners" in outline) return { long: overall, wide: width, net: overall * width };
  const area = (p: readonly Vec2[]): number => Math.abs(polygonArea(p));
  const whole = Math.max(area(outline.lower), area(outline.upper));
  const out = notches.reduce((s, n) => s + ("corners" in n ? 0 : Math.min(area(n.lower), area(n.upper))), 0);
  return { long: overall, wide: width, net: whole - out };
}
/** What all panels of one sheet take together. */
export interface SheetSum {
  readonly item: SheetItem;
  readonly panels: number;
  /** Of their rectangles, and of what they keep of these, mm². */
  readonly gross: number;
  readonly net: number;
  /** The longest and the widest panel, whichever way they lie. */
  readonly long: number;
  readonly wide: number;
  /** The least number of its largest sheets that their rectangles can come from, by area alone. */
  readonly atLeast: number;
}
/** Sheets that pieces are cut from, in the order of the series, and how much of each they take. Parts of a sheet that is not chosen from a series are left out. */
export function sheetSums(pieces: readonly Piece[]): SheetSum[] {
  const sums = new Map<string, { panels: number; gross: number; net: number; long: number; wide: number }>();
  for (const p of pieces) {
    const taken = sheetOf(p.stock) && sheetTaken(p.shape);
    if (!taken) continue;
    const n = p.sticks.length;
    const s = sums.get(p.stock) ?? { panels: 0, gross: 0, net: 0, long: 0, wide: 0 };
    sums.set(p.stock, {
      panels: s.panels + n,
      gross: s.gross + n * taken.long * taken.wide,
      net: s.net + n * taken.net,
      long: Math.max(s.long, taken.long, taken.wide),
      wide: Math.max(s.wide, Math.min(taken.long, taken.wide)),
    });
  }
  return [...sums].map(([id, s]) => {
    const item = sheetOf(id)!;
    const [a, b] = item.sizes.at(-1)!;
    return { item, ...s, atLeast: Math.ceil(s.gross / (a * b) - 1e-9) };
  });
}
