import type { Vec2 } from "../geometry";
import { degrees, prototype, toDegrees, type Degrees, type Prototype } from "../units";

/** Two points of a picture, pixels (x right, y down), the prototype length between them, and its tilt, degrees counter-clockwise. */
export interface Calibration {
  readonly from: Vec2;
  readonly to: Vec2;
  /** Prototype mm. */
  readonly length: number;
  readonly tilt: number;
}
const apart = (a: Vec2, b: Vec2): number => Math.hypot(b[0] - a[0], b[1] - a[1]);

/** Prototype mm per pixel. Errors: two points less than 5 pixels apart, between which no length can be told. */
export function mmPerPixel(c: Calibration): number {
  const px = apart(c.from, c.to);
  if (px < 5)
    throw new Error(`The two points are only ${px.toFixed(1)} pixels apart; choose points far from each other.`);
  return c.length / px;
}
/** Prototype length between two pixels. */
export const measureLength = (c: Calibration, a: Vec2, b: Vec2): Prototype => prototype(apart(a, b) * mmPerPixel(c));

/** Angle at `corner` between the directions to a and b, 0 to 180°. Needs no calibration. */
export function measureAngle(a: Vec2, corner: Vec2, b: Vec2): Degrees {
  const [u, v] = [
    [a[0] - corner[0], a[1] - corner[1]],
    [b[0] - corner[0], b[1] - corner[1]],
  ] as const;
  return toDegrees(Math.abs(Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1])));
}

/** How far a picture is turned, given two points of a line that is level, or plumb, on the prototype: degrees counter-clockwise, −45 to 45. */
export function tiltOf(a: Vec2, b: Vec2): Degrees {
  const angle = (Math.atan2(-(b[1] - a[1]), b[0] - a[0]) * 180) / Math.PI;
  return degrees(angle - 90 * Math.round(angle / 90));
}

/**
 * A pixel in the picture's own upright directions, prototype mm from `anchor`: x to the right, y up. With no calibration a
 * pixel counts as one mm and nothing is turned.
 */
export function fromPixel(c: Calibration | undefined, anchor: Vec2, p: Vec2): Vec2 {
  const k = c ? mmPerPixel(c) : 1;
  const t = ((c?.tilt ?? 0) * Math.PI) / 180;
  const [x, y] = [(p[0] - anchor[0]) * k, (anchor[1] - p[1]) * k];
  return [x * Math.cos(t) + y * Math.sin(t), -x * Math.sin(t) + y * Math.cos(t)];
}
/** The inverse of fromPixel. */
export function toPixel(c: Calibration | undefined, anchor: Vec2, q: Vec2): Vec2 {
  const k = c ? mmPerPixel(c) : 1;
  const t = ((c?.tilt ?? 0) * Math.PI) / 180;
  const [x, y] = [q[0] * Math.cos(t) - q[1] * Math.sin(t), q[0] * Math.sin(t) + q[1] * Math.cos(t)];
  return [anchor[0] + x / k, anchor[1] - y / k];
}
