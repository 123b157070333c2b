import type { Vec2 } from "../geometry";

/** An affine map: x′ = a x + c y + e, y′ = b x + d y + f. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];
export const SAME: Affine = [1, 0, 0, 1, 0, 0];
/** First `inner`, then `outer`. */
export const compose = (o: Affine, i: Affine): Affine => [
  o[0] * i[0] + o[2] * i[1],
  o[1] * i[0] + o[3] * i[1],
  o[0] * i[2] + o[2] * i[3],
  o[1] * i[2] + o[3] * i[3],
  o[0] * i[4] + o[2] * i[5] + o[4],
  o[1] * i[4] + o[3] * i[5] + o[5],
];
export const mapPoint = (m: Affine, [x, y]: Vec2): Vec2 => [m[0] * x + m[2] * y + m[4], m[1] * x + m[3] * y + m[5]];
/** How much lengths grow, on the whole. */
export const growth = (m: Affine): number => Math.sqrt(Math.abs(m[0] * m[3] - m[1] * m[2]));

/** Steps that a curve is followed in. */
const STEPS = 16;
/** Points of a Bézier curve after its start, of any degree (de Casteljau). */
export function bezier(points: readonly Vec2[]): Vec2[] {
  return Array.from({ length: STEPS }, (_, i) => {
    const t = (i + 1) / STEPS;
    let p = [...points];
    while (p.length > 1)
      p = p.slice(1).map((q, k): Vec2 => [p[k]![0] * (1 - t) + q[0] * t, p[k]![1] * (1 - t) + q[1] * t]);
    return p[0]!;
  });
}
/** Points of an arc from one angle to another, radians, both told, at most 5° apart. */
export function arcPoints(centre: Vec2, rx: number, ry: number, from: number, to: number, turn = 0): Vec2[] {
  const n = Math.max(2, Math.ceil(Math.abs(to - from) / (Math.PI / 36)));
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return Array.from({ length: n + 1 }, (_, i) => {
    const t = from + ((to - from) * i) / n;
    const [x, y] = [rx * Math.cos(t), ry * Math.sin(t)];
    return [centre[0] + x * c - y * s, centre[1] + x * s + y * c];
  });
}
