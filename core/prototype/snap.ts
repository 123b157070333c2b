import type { Vec2 } from "../geometry";

export type Segment = readonly [Vec2, Vec2];
/** What a press can catch on a sheet, in its pixels. */
export interface Targets {
  readonly points: readonly Vec2[];
  readonly segments: readonly Segment[];
}

/** The foot of a point on a segment, within its ends. */
export function footOn(p: Vec2, [a, b]: Segment): Vec2 {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const l = dx * dx + dy * dy;
  const t = l > 0 ? Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / l)) : 0;
  return [a[0] + t * dx, a[1] + t * dy];
}
/** Where two segments cross; undefined where they do not. */
export function crossingPoint([a, b]: Segment, [c, d]: Segment): Vec2 | undefined {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const det = ux * vy - uy * vx;
  if (Math.abs(det) < 1e-12 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) return undefined;
  const t = ((c[0] - a[0]) * vy - (c[1] - a[1]) * vx) / det;
  const s = ((c[0] - a[0]) * uy - (c[1] - a[1]) * ux) / det;
  return t >= 0 && t <= 1 && s >= 0 && s <= 1 ? [a[0] + t * ux, a[1] + t * uy] : undefined;
}

const crossings = (segments: readonly Segment[]): Vec2[] =>
  segments.flatMap((s, i) =>
    segments.slice(i + 1).flatMap((r) => {
      const p = crossingPoint(s, r);
      return p ? [p] : [];
    }),
  );

/** What a press within `reach` pixels catches: an end, then a crossing of lines, then the foot on a line; undefined when nothing is near. */
export function snap(
  p: Vec2,
  t: Targets,
  reach: number,
): { readonly at: Vec2; readonly on: "point" | "line" } | undefined {
  const away = (q: Vec2): number => Math.hypot(q[0] - p[0], q[1] - p[1]);
  const nearest = (list: readonly Vec2[]): Vec2 | undefined => {
    let best: Vec2 | undefined;
    for (const q of list) if (away(q) <= reach && (!best || away(q) < away(best))) best = q;
    return best;
  };
  const near = t.segments.filter((s) => away(footOn(p, s)) <= reach);
  const point = nearest([...t.points, ...near.flat()]) ?? nearest(crossings(near));
  if (point) return { at: point, on: "point" };
  const foot = nearest(near.map((s) => footOn(p, s)));
  return foot && { at: foot, on: "line" };
}
