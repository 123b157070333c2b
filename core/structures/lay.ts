import { addScaled, dot, normalize, scale, sub, type Plane, type Vec3 } from "../geometry";

/** What a stick is laid on: the face it should touch and the two sides that bound the face across. */
export interface Support {
  readonly face: Plane;
  readonly sides: readonly [Plane, Plane];
}
/** A stick laid on two supports: the line of its underside, the way out of it, and how far each support's corners lie below it, least and most. */
export interface Laid {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly out: Vec3;
  readonly gaps: readonly [readonly [number, number], readonly [number, number]];
}
/** A crossing all of whose corners lie this near bears on its face, mm. */
export const FLUSH = 0.0015;
/** Most rounds of laying on: each leaves a remainder that is small against the last, less so where the supports lie much askew. */
const ROUNDS = 60;

/**
 * How far a support's corners under a strip stand out of the strip's underside (line a to b, `out` from it), least and
 * most. `ends` are the planes in which the strip ends: where it has ended nothing is under it, and where it ends before
 * the support does, its end counts. Nothing at all under it is [Infinity, -Infinity].
 */
export function standsOut(
  s: Support,
  a: Vec3,
  d: Vec3,
  out: Vec3,
  width: number,
  ends?: readonly [Plane, Plane],
): readonly [number, number] {
  const { n, d: high } = s.face;
  const rise = dot(n, out);
  const slope = dot(n, d);
  // the way across the strip, out × d
  const ax = out[1] * d[2] - out[2] * d[1];
  const ay = out[2] * d[0] - out[0] * d[2];
  const az = out[0] * d[1] - out[1] * d[0];
  let least = Infinity;
  let most = -Infinity;
  for (let w = -width / 2, i = 0; i < 2; w = width / 2, i++) {
    const px = a[0] + ax * w;
    const py = a[1] + ay * w;
    const pz = a[2] + az * w;
    const t0 = meets(s.sides[0], px, py, pz, d);
    const t1 = meets(s.sides[1], px, py, pz, d);
    let from = Math.min(t0, t1);
    let to = Math.max(t0, t1);
    if (ends) {
      from = Math.max(from, meets(ends[0], px, py, pz, d));
      to = Math.min(to, meets(ends[1], px, py, pz, d));
      if (from > to) continue;
    }
    const at = high - n[0] * px - n[1] * py - n[2] * pz;
    const h0 = (at - slope * from) / rise;
    const h1 = (at - slope * to) / rise;
    least = Math.min(least, h0, h1);
    most = Math.max(most, h0, h1);
  }
  return [least, most];
}
/** How far along d from a point a plane is met. */
function meets(p: Plane, x: number, y: number, z: number, d: Vec3): number {
  return (p.d - p.n[0] * x - p.n[1] * y - p.n[2] * z) / (p.n[0] * d[0] + p.n[1] * d[1] + p.n[2] * d[2]);
}

/**
 * Lays a strip `width` mm wide on two supports that need not be in one plane, so that it touches both and enters
 * neither: from a first guess at its underside's line and the way out.
 */
export function layOnTwo(on: readonly [Support, Support], a: Vec3, b: Vec3, out: Vec3, width: number): Laid {
  let [p, q, n] = [a, b, out];
  let gaps: Laid["gaps"] = [
    [0, 0],
    [0, 0],
  ];
  for (let i = 0; i < ROUNDS; i++) {
    const d = normalize(sub(q, p));
    n = normalize(addScaled(n, d, -dot(n, d)));
    const [h, k] = [standsOut(on[0], p, d, n, width), standsOut(on[1], p, d, n, width)];
    gaps = [h, k];
    p = addScaled(p, n, h[1]);
    q = addScaled(q, n, k[1]);
    if (Math.abs(h[1]) + Math.abs(k[1]) < 1e-10) break;
  }
  return { a: p, b: q, out: n, gaps: gaps.map(([lo, hi]) => [0, hi - lo] as const) as unknown as Laid["gaps"] };
}

/** Whether a crossing with such a spread of heights shows a face or only a line. */
export const contactOf = (gap: readonly [number, number]): "face" | "line" =>
  gap[1] - gap[0] < FLUSH ? "face" : "line";
export const midpoint = (a: Vec3, b: Vec3): Vec3 => scale([a[0] + b[0], a[1] + b[1], a[2] + b[2]], 0.5);
