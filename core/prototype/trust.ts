import type { Vec2 } from "../geometry";
import { angleAt } from "./measure";
import { onPlane, pixelsPerMm, type Keystone } from "./straighten";
import { inches } from "../units";
import type { Four } from "./homography";

/** How far a press on a corner may be off each way, pixels. */
export const CORNER_PRESS = 1;
/** So many standard deviations of the errors of all four corners together: more than 95 in 100 stay within (97 of a normal distribution). */
const COVER = 2.2;

/** How far a straightened picture can be trusted. */
export interface Trust {
  /** Pixels of the photograph per prototype inch, where it is coarsest and where it is finest on the rectangle. */
  readonly perInch: readonly [number, number];
  /** Most by which a length as long as the rectangle's diagonal is off, share of it. */
  readonly lengths: number;
  /** Most by which a right angle is off, degrees. */
  readonly angles: number;
}

/**
 * How far a value taken from the plane is off when each corner is pressed within a pixel each way: first-order
 * propagation, the root of the summed squares of what a pixel at each corner's x and y changes, times COVER.
 */
export function stated(k: Keystone, value: (k: Keystone) => number): number {
  const step = 0.25;
  let sum = 0;
  k.corners.forEach((_, i) =>
    [0, 1].forEach((axis) => {
      const at = (by: number): number =>
        value({
          ...k,
          corners: k.corners.map((p, n) =>
            n === i ? (axis ? [p[0], p[1] + by] : [p[0] + by, p[1]]) : p,
          ) as unknown as Four,
        });
      sum += (((at(step) - at(-step)) / (2 * step)) * CORNER_PRESS) ** 2;
    }),
  );
  return COVER * Math.sqrt(sum);
}
/** How far the length between two pixels of the photograph is off at most, prototype mm. */
export const trustOfLength = (k: Keystone, a: Vec2, b: Vec2): number =>
  stated(k, (x) => {
    const [p, q] = [onPlane(x, a), onPlane(x, b)];
    return Math.hypot(q[0] - p[0], q[1] - p[1]);
  });

/** How far the straightened picture can be trusted as a whole. It holds only for what lies in the rectangle's plane. */
export function trustOf(k: Keystone): Trust {
  const { width: w, height: h } = k;
  const corners: Vec2[] = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
  const fine = corners.map((c) => pixelsPerMm(k, c) * inches(1));
  const [a, b, c, d] = k.corners;
  const mid = (p: Vec2, q: Vec2): Vec2 => [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  const along = Math.max(trustOfLength(k, a, c), trustOfLength(k, b, d)) / Math.hypot(w, h);
  const angles = [
    [d, a, b],
    [a, b, c],
    [b, c, d],
    [c, d, a],
    [mid(a, b), mid(mid(a, b), mid(c, d)), mid(b, c)],
  ].map(([p, q, r]) => stated(k, (x) => angleAt(onPlane(x, p!), onPlane(x, q!), onPlane(x, r!))));
  return { perInch: [Math.min(...fine), Math.max(...fine)], lengths: along, angles: Math.max(...angles) };
}
