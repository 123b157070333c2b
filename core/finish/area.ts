import { profileOf, workLength, type Resolved } from "../frame";
import { areaOf } from "../geometry";

/** How much surface a stick has all round before it is joined, model mm²: of a panel both faces and its edges with those of its holes left out, of a stick its outside before notches. */
export function surfaceOf(k: Resolved): number {
  const body = k.member.body;
  if (body.shape === "panel") {
    const faces = k.parts.flatMap((p) => p.faces.filter((f) => f.tag === "+w" || f.tag === "-w"));
    const rim = body.outline.reduce((s, p, i) => { const q = body.outline[(i + 1) % body.outline.length]!; return s + Math.hypot(q[0] - p[0], q[1] - p[1]); }, 0); // prettier-ignore
    return faces.reduce((s, f) => s + areaOf(f.corners), 0) + rim * body.thickness;
  }
  const faces = k.whole.flatMap((p) => p.faces.filter((f) => f.tag !== "seam"));
  const all = faces.reduce((s, f) => s + areaOf(f.corners), 0);
  const shape = profileOf(k);
  if (!shape) return all;
  // where web and flange meet there is no surface on either
  const [meetings, thick] = shape.form === "angle" ? [1, shape.flange] : [2, shape.web];
  return all - 2 * meetings * thick * workLength(k.member);
}
