import type { Vec2 } from "../geometry";
import { alongLine, offLine, sineBetween, strokeLength, type Stroke } from "./stroke";

/** A side of the border is at least this share of the sheet, and stands within this share of its edge. */
const LONG = 0.7;
const EDGE = 0.14;

/** Strokes without the sheet's border and the title block that hangs on it. A sheet of which most would go has no border. */
export function withoutBorder(strokes: readonly Stroke[], slack: number): Stroke[] {
  const solid = strokes.filter((s) => !s.dashed);
  const points = solid.flatMap((s) => [s.a, s.b]);
  if (points.length === 0) return [...strokes];
  const of = (k: 0 | 1, f: (...n: number[]) => number): number => f(...points.map((p) => p[k]));
  const [x0, x1, y0, y1] = [of(0, Math.min), of(0, Math.max), of(1, Math.min), of(1, Math.max)];
  const [w, h] = [x1 - x0, y1 - y0];
  const sides: ((s: Stroke) => boolean)[] = [
    (s) => level(s) && strokeLength(s) > LONG * w && Math.max(s.a[1], s.b[1]) < y0 + EDGE * h,
    (s) => level(s) && strokeLength(s) > LONG * w && Math.min(s.a[1], s.b[1]) > y1 - EDGE * h,
    (s) => plumb(s) && strokeLength(s) > LONG * h && Math.max(s.a[0], s.b[0]) < x0 + EDGE * w,
    (s) => plumb(s) && strokeLength(s) > LONG * h && Math.min(s.a[0], s.b[0]) > x1 - EDGE * w,
  ];
  const found = sides.map((is) => solid.filter(is));
  if (found.some((f) => f.length === 0)) return [...strokes];
  const border = new Set(found.flat());
  // all that touches it belongs to it, and what touches that
  for (let grown = true; grown;) {
    grown = false;
    for (const s of solid)
      if (!border.has(s) && [...border].some((b) => touches(s, b, 2.5 * slack))) {
        border.add(s);
        grown = true;
      }
  }
  const sidesOnly = new Set(found.flat());
  const inside = strokes.filter((s) => !border.has(s));
  // nothing but its sides: a timber alone
  if (border.size === sidesOnly.size && inside.length === 0) return [...strokes];
  const total = (list: readonly Stroke[]): number =>
    list.filter((s) => !sidesOnly.has(s)).reduce((t, s) => t + strokeLength(s), 0);
  if (total([...border]) <= 0.6 * total(solid)) return inside;
  // the structure itself touches the border, or what looks like one is its own outer edge
  return hasPartner(sidesOnly, solid, 2.5 * slack) ? [...strokes] : strokes.filter((s) => !sidesOnly.has(s));
}
/** Whether what looks like the border's sides are the edges of timbers: most have a stroke as long beside them, and a short one across from end to end. */
function hasPartner(sides: ReadonlySet<Stroke>, solid: readonly Stroke[], slack: number): boolean {
  const beside = [...sides].filter((s) => {
    const l = strokeLength(s);
    return solid.some(
      (o) =>
        o !== s &&
        sineBetween(s, o) < 0.02 &&
        strokeLength(o) > 0.7 * l &&
        Math.abs(offLine(s, o.a)) < 0.15 * l &&
        solid.some(
          (c) => sineBetween(s, c) > 0.5 && strokeLength(c) < 0.2 * l && touches(c, s, slack) && touches(c, o, slack),
        ),
    );
  });
  return 2 * beside.length > sides.size;
}
const level = (s: Stroke): boolean => Math.abs(s.b[1] - s.a[1]) < 0.1 * Math.abs(s.b[0] - s.a[0]);
const plumb = (s: Stroke): boolean => Math.abs(s.b[0] - s.a[0]) < 0.1 * Math.abs(s.b[1] - s.a[1]);
/** Whether an end of either lies on the other. */
function touches(p: Stroke, q: Stroke, slack: number): boolean {
  const on = (s: Stroke, e: Vec2): boolean => {
    const t = alongLine(s, e);
    return Math.abs(offLine(s, e)) < slack && t > -slack && t < strokeLength(s) + slack;
  };
  return [p.a, p.b].some((e) => on(q, e)) || [q.a, q.b].some((e) => on(p, e));
}
