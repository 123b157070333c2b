/** A point or direction in space, [x, y, z], model mm. */
export type Vec3 = readonly [number, number, number];
/** A point in a plane, [x, y], mm. */
export type Vec2 = readonly [number, number];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
export const addScaled = (a: Vec3, b: Vec3, k: number): Vec3 => [a[0] + b[0] * k, a[1] + b[1] * k, a[2] + b[2] * k];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** Far quicker than Math.hypot, and as true at layout size. */
export const length = (a: Vec3): number => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
export const distance = (a: Vec3, b: Vec3): number => length(sub(a, b));
export const negate = (a: Vec3): Vec3 => [-a[0], -a[1], -a[2]];
/** Unit vector. Errors: a vector without length. */
export function normalize(a: Vec3): Vec3 {
  const l = length(a);
  if (!(l > 1e-12)) throw new Error("A direction needs two different points.");
  return scale(a, 1 / l);
}
