import type { Vec2 } from "../geometry";

/**
 * A lens's barrel (positive) or pincushion (negative), one term of Brown's radial model: a point at distance r from the
 * picture's middle, in half diagonals, belongs at r·(1 + k·r²).
 */
export interface Lens {
  readonly k: number;
  readonly width: number;
  readonly height: number;
}
export const LENS_RANGE = 0.3;
const middle = (l: Lens): Vec2 => [l.width / 2, l.height / 2];
const unit = (l: Lens): number => Math.hypot(l.width, l.height) / 2;

/** Where a pixel belongs once the lens is taken out. */
export function unbend(l: Lens, p: Vec2): Vec2 {
  const [c, u] = [middle(l), unit(l)];
  const [x, y] = [p[0] - c[0], p[1] - c[1]];
  const f = 1 + (l.k * (x * x + y * y)) / (u * u);
  return [c[0] + x * f, c[1] + y * f];
}
/** The pixel that shows a point of the unbent picture: the inverse of unbend, by Newton's method on r. */
export function bend(l: Lens, p: Vec2): Vec2 {
  const [c, u] = [middle(l), unit(l)];
  const [x, y] = [p[0] - c[0], p[1] - c[1]];
  const wanted = Math.hypot(x, y) / u;
  if (wanted === 0 || l.k === 0) return p;
  let r = wanted;
  for (let i = 0; i < 12; i++) r -= (r + l.k * r ** 3 - wanted) / Math.max(0.1, 1 + 3 * l.k * r * r);
  return [c[0] + (x * r) / wanted, c[1] + (y * r) / wanted];
}

/** How far the points of a guide, unbent, stand off the straight line between its first and last at most, pixels. */
export function bow(l: Lens, guide: readonly Vec2[]): number {
  const p = guide.map((q) => unbend(l, q));
  const [a, b] = [p[0]!, p[p.length - 1]!];
  const d = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (d === 0) return 0;
  return Math.max(...p.map((q) => Math.abs((b[0] - a[0]) * (q[1] - a[1]) - (b[1] - a[1]) * (q[0] - a[0])) / d));
}
/** The k, to 0.0005, that makes guides of three or more points straightest. */
export function fitLens(size: Omit<Lens, "k">, guides: readonly (readonly Vec2[])[]): number {
  const cost = (k: number): number => guides.reduce((s, g) => s + bow({ ...size, k }, g) ** 2, 0);
  let best = 0;
  for (const step of [0.02, 0.004, 0.0005]) {
    const from = best;
    for (let k = from - 16 * step; k <= from + 16 * step; k += step)
      if (Math.abs(k) <= LENS_RANGE && cost(k) < cost(best) - 1e-12) best = k;
  }
  return Number(best.toFixed(4));
}
