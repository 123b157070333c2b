import { Matrix, solve } from "ml-matrix";
import type { Vec2 } from "../geometry";

/** A projective map of a plane, row by row: x′ = (h0 x + h1 y + h2) / (h6 x + h7 y + h8). */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];
export type Four = readonly [Vec2, Vec2, Vec2, Vec2];

/**
 * The map that takes four points to four others (direct linear transform with h8 = 1: Hartley and Zisserman, Multiple
 * View Geometry, 4.1, from memory). Errors: three of four points in a line.
 */
export function homographyOf(from: Four, to: Four): Homography {
  const rows = from.flatMap(([x, y], i) => {
    const [u, v] = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y],
      [0, 0, 0, x, y, 1, -v * x, -v * y],
    ];
  });
  let h: number[];
  try {
    h = solve(new Matrix(rows), Matrix.columnVector(to.flat())).to1DArray();
  } catch {
    h = [NaN];
  }
  if (!h.every(Number.isFinite))
    throw new Error("Three of the four corners lie in one line; they have to be the corners of a rectangle.");
  return [...h, 1] as unknown as Homography;
}

export function applyHomography(h: Homography, [x, y]: Vec2): Vec2 {
  const w = h[6] * x + h[7] * y + h[8];
  return [(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w];
}
/** The map back (the adjugate, which is the inverse but for a factor). */
export function invertHomography(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h;
  return [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ];
}
