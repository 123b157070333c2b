import { dot, negate, normalize, type Vec3 } from "./vec";

/** All points p with n·p = d; its inside is n·p ≤ d. n is a unit vector pointing out, d in model mm. */
export interface Plane {
  readonly n: Vec3;
  readonly d: number;
}
/** The plane through a point with its outward normal (of any length). */
export function planeAt(point: Vec3, outward: Vec3): Plane {
  const n = normalize(outward);
  return { n, d: dot(n, point) };
}
/** The same plane with inside and outside exchanged. */
export const flip = (p: Plane): Plane => ({ n: negate(p.n), d: -p.d });
/** Signed distance of a point, positive outside. */
export const heightOver = (p: Plane, point: Vec3): number => dot(p.n, point) - p.d;
/** Where a line meets a plane, as distance along a unit direction; undefined when parallel. */
export function meet(p: Plane, origin: Vec3, direction: Vec3): number | undefined {
  const along = dot(p.n, direction);
  return Math.abs(along) < 1e-12 ? undefined : -heightOver(p, origin) / along;
}
