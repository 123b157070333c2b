import { boundsOfDrawing, line, outline, text, toDxf, toSvg, type Drawing, type Entity } from "../drawing";
import { polygonArea, type Vec2 } from "../geometry";
import { grownBy } from "../geometry/grown";
import type { Design } from "../job";
import { sheetOf } from "../lumber";
import { model, printMm } from "../units";
import { flatSheet } from "./partSheets";

/** What a cutter takes off a job: the parts that are cut from one sheet. */
export interface CutFile {
  readonly stock: string;
  /** The sheet in words. */
  readonly name: string;
  readonly parts: number;
  /** Marks of parts with a hole that the kerf would close, or that it leaves nothing of. */
  readonly lost: readonly string[];
  readonly drawing: Drawing;
}
/** Clear between two parts besides the kerf, model mm. */
const APART = 3;
/** Where a sheet is not known by its size, rows fill this, model mm. */
const WIDE = 150;

/**
 * Files for a cutter, one for every sheet: each part as often as it is wanted, as closed contours of which the outer ones
 * run half a kerf outside and the holes half a kerf inside of what they leave. Holes come first, and outer contours last,
 * so that nothing is cut loose before all of it is cut. A kerf of 0.2 mm takes 0.1 mm off each side: a part of 10 × 5 mm
 * is led round at 10.2 × 5.2. Bevelled edges are cut square at the wider face, to be sanded. Model mm. Errors: a kerf below 0.
 */
export function cutFiles(d: Design, kerf: number): CutFile[] {
  if (!(kerf >= 0)) throw new RangeError(`A kerf of ${kerf} mm is below 0; give what the cutter takes away.`);
  const sticks = new Map(d.structures.flatMap((s) => s.resolved.sticks.map((k) => [k.id, k] as const)));
  const stocks = [...new Set(d.pieces.flatMap((p) => (p.shape.kind === "panel" ? [p.stock] : [])))];
  return stocks.map((stock) => {
    const lost: string[] = [];
    const parts = d.pieces
      .filter((p) => p.stock === stock && p.shape.kind === "panel")
      .flatMap((p) => {
        const flat = flatSheet(sticks.get(p.sticks[0]!)!);
        const rings = flat.rings.map((r) => {
          // a hole that is led round inside of what is left of it
          const moved = grownBy(r, polygonArea(r) > 0 ? kerf / 2 : -kerf / 2);
          if (moved.length === 0 && !lost.includes(p.mark)) lost.push(p.mark);
          return moved;
        });
        return p.sticks.map(() => ({ mark: p.mark, rings: rings.flat(), lines: flat.lines, wide: flat.wide + kerf, high: flat.high + kerf })); // prettier-ignore
      })
      .sort((a, b) => b.high - a.high || b.wide - a.wide);
    const most = Math.max(...(sheetOf(stock)?.sizes[0] ?? [WIDE]));
    const [inner, outer, engraved, marks]: [Entity[], Entity[], Entity[], Entity[]] = [[], [], [], []];
    let [x, y, row] = [0, 0, 0];
    for (const p of parts) {
      if (x > 0 && x + p.wide > most) [x, y, row] = [0, y - row - APART, 0];
      const to = ([px, py]: Vec2): Vec2 => [x + kerf / 2 + px, y - p.high + kerf / 2 + py];
      for (const r of p.rings) (polygonArea(r) > 0 ? outer : inner).push(outline(r.map(to), "outline"));
      for (const [a, b] of p.lines) engraved.push(line(to(a), to(b), "thin"));
      // on the part, or under it where a hole might take it away
      const holed = p.rings.some((r) => polygonArea(r) < 0);
      const size = Math.min(2, holed ? 2 : p.high / 3, p.wide / (p.mark.length + 0.5));
      marks.push(text(to([p.wide / 2, holed ? -size - kerf - 0.3 : (p.high - size) / 2]), p.mark, size, "middle"));
      x += p.wide + APART;
      row = Math.max(row, p.high);
    }
    const layers = [
      { name: "engrave", entities: engraved },
      { name: "marks", entities: marks },
      { name: "cut-holes", entities: inner },
      { name: "cut-outlines", entities: outer },
    ];
    return { stock, name: sheetOf(stock)?.name ?? stock, parts: parts.length, lost, drawing: { layers: layers.filter((l) => l.entities.length > 0) } }; // prettier-ignore
  });
}
/** A cutter's file as SVG, its size true, or as DXF in mm; each has its layers by name. */
export const cutFileAs = (f: CutFile, as: "svg" | "dxf"): string =>
  as === "dxf" ? toDxf(f.drawing) : toSvg(f.drawing, { title: f.name, margin: 2, words: true });
/** A name for its file: letters, digits and hyphens. */
export const cutFileName = (f: CutFile): string => `cut-${f.stock.replace(/^sheet\//, "").replace(/[^a-z0-9]+/gi, "-")}`; // prettier-ignore
/** How large it is, in words: "140.00 × 60.00 mm". */
export function cutFileSize(f: CutFile): string {
  const { min, max } = boundsOfDrawing(f.drawing);
  return `${(max[0] - min[0]).toFixed(1)} × ${printMm(model(max[1] - min[1]), 1)}`;
}
