import { boundsOfDrawing, line, outline, text, toDxf, toSvg, type Entity, type Drawing } from "../drawing";
import { polygonArea, type Vec2 } from "../geometry";
import { grownBy } from "../geometry/grown";
import type { Design } from "../job";
import { nestings, sizeOf, turnedPoint, type NestedSheet, type NestProblem } from "../nesting";
import { model, printMm } from "../units";
import { markSize, sheetJobs, type SheetJob } from "./sheetParts";

/** What a cutter takes off a job: the parts that are cut from one sheet. */
export interface CutFile {
  readonly stock: string;
  /** Which of several it is. */
  readonly sheet: number | undefined;
  /** The sheet in words. */
  readonly name: string;
  readonly parts: number;
  /** Marks of parts with a hole that the kerf would close, or that it leaves nothing of. */
  readonly lost: readonly string[];
  readonly drawing: Drawing;
}
/** Clear between two parts besides the kerf, and along the edges of a sheet, model mm. */
const [APART, EDGE] = [1, 2];
/** Of more parts than these the first layout is taken: a better one takes too long to wait for. */
const MANY = 60;

/**
 * Files for a cutter, one for each sheet, laid out as parts lie freely: each part as often as it is wanted, as closed
 * contours of which the outer ones run half a kerf outside and the holes half a kerf inside of what they leave. Holes come
 * first, and outer contours last, so that nothing is cut loose before all of it is cut. A kerf of 0.2 mm takes 0.1 mm off
 * each side: a part of 10 × 5 mm is led round at 10.2 × 5.2. Bevelled edges are cut square at the wider face, to be sanded.
 * What is larger than the sheets there are gets one of its own size. Model mm. Errors: a kerf below 0.
 */
export function cutFiles(d: Design, kerf: number): CutFile[] {
  if (!(kerf >= 0)) throw new RangeError(`A kerf of ${kerf} mm is below 0; give what the cutter takes away.`);
  return sheetJobs(d).flatMap((job) => {
    const sheets = laidFreely(job, kerf);
    return sheets.map((s, i): CutFile => {
      const of = sheets.length > 1 ? `, sheet ${i + 1} of ${sheets.length}` : "";
      return { stock: job.stock, sheet: sheets.length > 1 ? i + 1 : undefined, name: `${job.name}${of}`, parts: s.placed.length, ...contours(job, s, kerf) }; // prettier-ignore
    });
  });
}
function laidFreely(job: SheetJob, kerf: number): readonly NestedSheet[] {
  const { parts, sizes } = job.problem;
  const all = parts.flatMap((p) => p.sticks.map(() => Math.max(...sizeOf(p.outline, 0))));
  const side = Math.max(...all) + 2 * EDGE + Math.max(0, ...parts.map((p) => p.lines?.pitch ?? 0));
  const cost = 2 * Math.max(side * side, ...sizes.map((s) => s.cost));
  const problem: NestProblem = { parts, by: "free", apart: APART + kerf, edge: EDGE + kerf / 2, sizes: [...sizes.map((s) => ({ ...s, count: null })), { wide: side + kerf, long: side + kerf, count: null, cost }] }; // prettier-ignore
  let best: readonly NestedSheet[] = [];
  for (const r of nestings(problem, 0)) {
    if (r.status === "planned") best = r.sheets;
    if (all.length > MANY) break;
  }
  return best;
}
function contours(job: SheetJob, s: NestedSheet, kerf: number): Pick<CutFile, "lost" | "drawing"> {
  const [inner, outer, engraved, marks]: [Entity[], Entity[], Entity[], Entity[]] = [[], [], [], []];
  const lost: string[] = [];
  for (const p of [...s.placed].sort((a, b) => a.part - b.part)) {
    const { mark, outline: taken } = job.problem.parts[p.part]!;
    const { rings, lines, label } = job.flat[p.part]!;
    const to = (q: Vec2): Vec2 => {
      const [x, y] = turnedPoint(taken, p.turn, q);
      return [x + p.at[0], y + p.at[1]];
    };
    for (const r of rings) {
      // a hole is led round inside of what is left of it
      const outside = polygonArea(r) > 0;
      const moved = grownBy(r, outside ? kerf / 2 : -kerf / 2);
      if (moved.length === 0 && !lost.includes(mark)) lost.push(mark);
      for (const m of moved) (outside ? outer : inner).push(outline(m.map(to), "outline"));
    }
    // a sheet that is sold with its texture has it already
    if (!job.item?.texture) for (const [a, b] of lines) engraved.push(line(to(a), to(b), "thin"));
    const size = markSize(label, mark.length, p.turn, 2);
    const [x, y] = to(label.at);
    if (size >= 0.5) marks.push(text([x, y - size / 2], mark, size, "middle"));
  }
  const layers = [
    { name: "engrave", entities: engraved },
    { name: "marks", entities: marks },
    { name: "cut-holes", entities: inner },
    { name: "cut-outlines", entities: outer },
  ];
  return { lost, drawing: { layers: layers.filter((l) => l.entities.length > 0) } };
}
/** A cutter's file as SVG, its size true, or as DXF in mm; each has its layers by name. */
export const cutFileAs = (f: CutFile, as: "svg" | "dxf"): string =>
  as === "dxf" ? toDxf(f.drawing) : toSvg(f.drawing, { title: f.name, margin: 2, words: true });
/** A name for its file: letters, digits and hyphens. */
export const cutFileName = (f: CutFile): string => `cut-${[f.stock.replace(/^sheet[/ ]/, ""), f.sheet ?? ""].join(" ").trim().replace(/[^a-z0-9]+/gi, "-")}`; // prettier-ignore
/** How large it is, in words: "140.00 × 60.00 mm". */
export function cutFileSize(f: CutFile): string {
  const { min, max } = boundsOfDrawing(f.drawing);
  return `${(max[0] - min[0]).toFixed(1)} × ${printMm(model(max[1] - min[1]), 1)}`;
}
