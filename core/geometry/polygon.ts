import { TOLERANCE } from "./tolerance";
import { cross, dot, normalize, type Vec2, type Vec3 } from "./vec";

/** Signed area of a polygon, mm²; counter-clockwise is positive. */
export function polygonArea(p: readonly Vec2[]): number {
  let s = 0;
  for (let i = 0; i < p.length; i++) {
    const [x1, y1] = p[i]!;
    const [x2, y2] = p[(i + 1) % p.length]!;
    s += x1 * y2 - x2 * y1;
  }
  return s / 2;
}

/** Intersection of a polygon with a convex, counter-clockwise one (Sutherland–Hodgman). */
export function clipPolygon(subject: readonly Vec2[], convex: readonly Vec2[]): Vec2[] {
  let out: Vec2[] = [...subject];
  for (let i = 0; i < convex.length && out.length > 0; i++) {
    const a = convex[i]!;
    const b = convex[(i + 1) % convex.length]!;
    const side = (p: Vec2): number => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
    const next: Vec2[] = [];
    out.forEach((p, k) => {
      const q = out[(k + 1) % out.length]!;
      const sp = side(p);
      const sq = side(q);
      if (sp >= 0) next.push(p);
      if (sp * sq < 0) {
        const t = sp / (sp - sq);
        next.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]);
      }
    });
    out = next;
  }
  return out;
}

/** Convex hull, counter-clockwise, without points on its edges (monotone chain). */
export function hull(points: readonly Vec2[], eps = 1e-9): Vec2[] {
  // points that are one but for rounding would be taken out of order
  const distinct: Vec2[] = [];
  for (const q of points)
    if (
      !distinct.some((d) => Math.abs(d[0] - q[0]) < TOLERANCE.samePoint && Math.abs(d[1] - q[1]) < TOLERANCE.samePoint)
    )
      distinct.push(q);
  // points on one plumb line but for rounding go by their height, or the chain would leave corners out
  const column = (q: Vec2): number => Math.round(q[0] / TOLERANCE.samePoint);
  const p = distinct.sort((a, b) => column(a) - column(b) || a[1] - b[1]);
  const half = (pts: readonly Vec2[]): Vec2[] => {
    const h: Vec2[] = [];
    for (const q of pts) {
      while (h.length >= 2) {
        const [a, b] = [h[h.length - 2]!, h[h.length - 1]!];
        if ((b[0] - a[0]) * (q[1] - a[1]) - (b[1] - a[1]) * (q[0] - a[0]) > eps) break;
        h.pop();
      }
      h.push(q);
    }
    h.pop();
    return h;
  };
  return p.length < 3 ? p : [...half(p), ...half(p.reverse())];
}

/** Two unit vectors that span the plane of n, right-handed with it. */
export function axesIn(n: Vec3): readonly [Vec3, Vec3] {
  const helper: Vec3 = Math.abs(n[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0];
  const e1 = normalize(cross(n, helper));
  return [e1, cross(n, e1)];
}
/** A point's coordinates along two axes. */
export const flat = (p: Vec3, axes: readonly [Vec3, Vec3]): Vec2 => [dot(p, axes[0]), dot(p, axes[1])];
