import type { Issue } from "./issue";
import type { Calibration, SheetScale } from "../prototype";
import { calibrated } from "../prototype";
import type { DrawingDoc, JobDoc } from "./document";

/** A file that a drawing needs: a picture, or lines. */
export interface DrawingFile {
  readonly hash: string;
  readonly kind: "picture" | "lines";
  readonly drawing: string;
}
/** Every file that the drawings of a job need. */
export const drawingFiles = (doc: Pick<JobDoc, "drawings">): DrawingFile[] =>
  doc.drawings.flatMap((d) => [
    ...(d.picture ? [{ hash: d.picture.hash, kind: "picture" as const, drawing: d.name }] : []),
    ...(d.lines ? [{ hash: d.lines.hash, kind: "lines" as const, drawing: d.name }] : []),
  ]);

/** The files of a job: of its drawings, its printed papers, and the pictures of its log. */
export const jobFiles = (doc: Pick<JobDoc, "drawings" | "papers">, issues: readonly Issue[]): DrawingFile[] => [
  ...drawingFiles(doc),
  ...(doc.papers ?? []).map((p) => ({ hash: p.picture.hash, kind: "picture" as const, drawing: p.name })),
  ...issues.flatMap((i) => (i.bench?.picture ? [{ hash: i.bench.picture.hash, kind: "picture" as const, drawing: "a picture of the log" }] : [])), // prettier-ignore
];

/** Size of a drawing's sheet, in its pixels: the picture's, else the lines'. */
export function sheetSize(d: DrawingDoc): { readonly width: number; readonly height: number } {
  const s = d.picture ?? d.lines;
  if (!s) throw new Error(`The drawing “${d.name}” has neither a picture nor lines.`);
  return { width: s.width, height: s.height };
}
/** A drawing's scale; undefined while nothing gives one, or what should cannot. */
export function scaleOfDrawing(d: DrawingDoc): SheetScale | undefined {
  try {
    return d.calibration && calibrated(d.calibration as Calibration)?.scale;
  } catch {
    return undefined;
  }
}
