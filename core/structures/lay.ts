import { addScaled, cross, dot, normalize, scale, sub, type Plane, type Vec3 } from "../geometry";

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
/** Rounds of laying on: each one leaves a remainder that is second order in the last. */
const ROUNDS = 8;

/** How far a support's four corners under a strip stand out of the strip's underside (line a to b, `out` from it), least and most. */
export function standsOut(s: Support, a: Vec3, d: Vec3, out: Vec3, width: number): readonly [number, number] {
  const across = cross(out, d);
  let [least, most] = [Infinity, -Infinity];
  for (const side of s.sides)
    for (const k of [-0.5, 0.5]) {
      const p = addScaled(a, across, k * width);
      const q = addScaled(p, d, (side.d - dot(side.n, p)) / dot(side.n, d));
      const h = (s.face.d - dot(s.face.n, q)) / dot(s.face.n, out);
      least = Math.min(least, h);
      most = Math.max(most, h);
    }
  return [least, most];
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
  }
  return { a: p, b: q, out: n, gaps: gaps.map(([lo, hi]) => [0, hi - lo] as const) as unknown as Laid["gaps"] };
}

/** Whether a crossing with such a spread of heights shows a face or only a line. */
export const contactOf = (gap: readonly [number, number]): "face" | "line" =>
  gap[1] - gap[0] < FLUSH ? "face" : "line";
export const midpoint = (a: Vec3, b: Vec3): Vec3 => scale([a[0] + b[0], a[1] + b[1], a[2] + b[2]], 0.5);
