import type { SheetLines } from "../sources";
import { strokeLength, type Stroke } from "./stroke";

/** More straight strokes than this are not searched: the shortest are left out. */
const MOST = 8000;

/** The straight strokes of a vector sheet on the layers that are on, exact. Edges of closed outlines remember which. */
export function vectorStrokes(sheet: SheetLines, hidden: ReadonlySet<string>): Stroke[] {
  const out: Stroke[] = [];
  sheet.entities.forEach((e, outline) => {
    if (e.kind !== "path" || e.curved || hidden.has(sheet.layers[e.layer]!)) return;
    const n = e.closed ? e.points.length : e.points.length - 1;
    for (let i = 0; i < n; i++) {
      const [a, b] = [e.points[i]!, e.points[(i + 1) % e.points.length]!];
      const stroke = { a, b, pen: e.pen, dashed: e.dash === "dashed", gaps: [], ...(e.closed ? { outline } : {}) };
      if (strokeLength(stroke) > 0) out.push(stroke);
    }
  });
  return out.sort((p, q) => strokeLength(q) - strokeLength(p)).slice(0, MOST);
}
