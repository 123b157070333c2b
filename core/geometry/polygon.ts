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

/** Whether a point lies inside a ring, by how often a line from it crosses the ring. */
export function insideRing(
  [x, y]: readonly [number, number, ...number[]],
  ring: readonly (readonly [number, number, ...number[]])[],
): boolean {
  let odd = false;
  ring.forEach(([ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length]!;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) odd = !odd;
  });
  return odd;
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

/** Of more points than this the hulls of so many at a time are taken first: what is inside one of them is inside all. */
const [MANY, AT_A_TIME] = [256, 48];
/** Convex hull, counter-clockwise, without points on its edges (monotone chain). */
export function hull(points: readonly Vec2[], eps = 1e-9): Vec2[] {
  if (points.length > MANY) {
    const left: Vec2[] = [];
    for (let i = 0; i < points.length; i += AT_A_TIME) left.push(...hull(points.slice(i, i + AT_A_TIME), eps));
    // what lies round about in a ring is thinned no further
    if (left.length < 0.7 * points.length) return hull(left, eps);
    points = left;
  }
  roomFor(points.length);
  for (let i = 0; i < points.length; i++) {
    px[i] = points[i]![0];
    py[i] = points[i]![1];
  }
  const chain = hullOfScratch(points.length, eps);
  return Array.from({ length: chain.length / 2 }, (_, i): Vec2 => [chain[2 * i]!, chain[2 * i + 1]!]);
}
/** Convex hull of a solid's corners, given as numbers one after another, looked at along right × up: x and y by turns. A drawing asks for one for each stick. */
export function hullSeen(corners: readonly number[], right: Vec3, up: Vec3, eps: number): number[] {
  const n = corners.length / 3;
  roomFor(n);
  for (let i = 0; i < n; i++) {
    const [a, b, c] = [corners[3 * i]!, corners[3 * i + 1]!, corners[3 * i + 2]!];
    px[i] = a * right[0] + b * right[1] + c * right[2];
    py[i] = a * up[0] + b * up[1] + c * up[2];
  }
  return hullOfScratch(n, eps);
}
let px = new Float64Array(64);
let py = new Float64Array(64);
let column = new Float64Array(64);
let order = new Int32Array(64);
let chain = new Int32Array(130);
function roomFor(n: number): void {
  if (n <= px.length) return;
  [px, py, column] = [new Float64Array(2 * n), new Float64Array(2 * n), new Float64Array(2 * n)];
  [order, chain] = [new Int32Array(2 * n), new Int32Array(4 * n + 2)];
}
function hullOfScratch(count: number, eps: number): number[] {
  const same = TOLERANCE.samePoint;
  // points that are one but for rounding would be taken out of order
  let n = 0;
  for (let i = 0; i < count; i++) {
    let known = false;
    for (let k = 0; k < n && !known; k++) known = Math.abs(px[k]! - px[i]!) < same && Math.abs(py[k]! - py[i]!) < same;
    if (known) continue;
    px[n] = px[i]!;
    py[n] = py[i]!;
    // points on one plumb line but for rounding go by their height, or the chain would leave corners out
    column[n] = Math.round(px[i]! / same);
    order[n] = n;
    n++;
  }
  if (n < 3) return Array.from({ length: 2 * n }, (_, i) => (i % 2 === 0 ? px[i >> 1]! : py[i >> 1]!));
  if (n > 24) order.subarray(0, n).sort((a, b) => column[a]! - column[b]! || py[a]! - py[b]!);
  else
    for (let i = 1; i < n; i++) {
      const q = order[i]!;
      let k = i - 1;
      while (k >= 0) {
        const o = order[k]!;
        if (column[o]! < column[q]! || (column[o]! === column[q]! && py[o]! <= py[q]!)) break;
        order[k + 1] = o;
        k--;
      }
      order[k + 1] = q;
    }
  let h = 0;
  let base = 0;
  for (let back = 0; back < 2; back++) {
    for (let i = 0; i < n; i++) {
      const q = order[back === 0 ? i : n - 1 - i]!;
      while (h >= base + 2) {
        const [a, b] = [chain[h - 2]!, chain[h - 1]!];
        if ((px[b]! - px[a]!) * (py[q]! - py[a]!) - (py[b]! - py[a]!) * (px[q]! - px[a]!) > eps) break;
        h--;
      }
      chain[h++] = q;
    }
    // the last of one half is the first of the other
    h--;
    base = h;
  }
  const out = new Array<number>(2 * h);
  for (let i = 0; i < h; i++) {
    out[2 * i] = px[chain[i]!]!;
    out[2 * i + 1] = py[chain[i]!]!;
  }
  return out;
}

/** Two unit vectors that span the plane of n, right-handed with it. */
export function axesIn(n: Vec3): readonly [Vec3, Vec3] {
  const helper: Vec3 = Math.abs(n[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0];
  const e1 = normalize(cross(n, helper));
  return [e1, cross(n, e1)];
}
/** A point's coordinates along two axes. */
export const flat = (p: Vec3, axes: readonly [Vec3, Vec3]): Vec2 => [dot(p, axes[0]), dot(p, axes[1])];
