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

/** Convex hull, counter-clockwise, without points on its edges (monotone chain). Written with plain loops: a drawing asks for one for each stick. */
export function hull(points: readonly Vec2[], eps = 1e-9): Vec2[] {
  const same = TOLERANCE.samePoint;
  // points that are one but for rounding would be taken out of order
  const p: Vec2[] = [];
  for (const q of points) {
    let known = false;
    for (let i = 0; i < p.length && !known; i++)
      known = Math.abs(p[i]![0] - q[0]) < same && Math.abs(p[i]![1] - q[1]) < same;
    if (!known) p.push(q);
  }
  if (p.length < 3) return p;
  // points on one plumb line but for rounding go by their height, or the chain would leave corners out
  if (p.length > 24) p.sort((a, b) => column(a) - column(b) || a[1] - b[1]);
  else
    for (let i = 1; i < p.length; i++) {
      const q = p[i]!;
      const c = column(q);
      let k = i - 1;
      while (k >= 0) {
        const o = column(p[k]!);
        if (o < c || (o === c && p[k]![1] <= q[1])) break;
        p[k + 1] = p[k]!;
        k--;
      }
      p[k + 1] = q;
    }
  const h: Vec2[] = [];
  let base = 0;
  for (const dir of [1, -1]) {
    for (let n = 0; n < p.length; n++) {
      const q = p[dir > 0 ? n : p.length - 1 - n]!;
      while (h.length >= base + 2) {
        const [a, b] = [h[h.length - 2]!, h[h.length - 1]!];
        if ((b[0] - a[0]) * (q[1] - a[1]) - (b[1] - a[1]) * (q[0] - a[0]) > eps) break;
        h.pop();
      }
      h.push(q);
    }
    // the last of one half is the first of the other
    h.pop();
    base = h.length;
  }
  return h;
}
const column = (q: Vec2): number => Math.round(q[0] / TOLERANCE.samePoint);

/** Two unit vectors that span the plane of n, right-handed with it. */
export function axesIn(n: Vec3): readonly [Vec3, Vec3] {
  const helper: Vec3 = Math.abs(n[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0];
  const e1 = normalize(cross(n, helper));
  return [e1, cross(n, e1)];
}
/** A point's coordinates along two axes. */
export const flat = (p: Vec3, axes: readonly [Vec3, Vec3]): Vec2 => [dot(p, axes[0]), dot(p, axes[1])];
