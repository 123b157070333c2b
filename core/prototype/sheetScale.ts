import type { Vec2 } from "../geometry";
import { degrees, toDegrees, type Degrees } from "../units";

/**
 * How the pixels of a picture (or the units of a vector sheet: x right, y down) become prototype mm: so many mm per pixel
 * along its x and y, then turned clockwise by `tilt`, which is how far the picture is turned counter-clockwise, degrees.
 */
export interface SheetScale {
  readonly kx: number;
  readonly ky: number;
  readonly tilt: number;
}
/** A sheet of no known scale: a pixel counts as one mm and nothing is turned. */
export const UNSCALED: SheetScale = { kx: 1, ky: 1, tilt: 0 };

/** Mean mm per pixel. */
export const meanScale = (s: SheetScale): number => Math.sqrt(s.kx * s.ky);

/** A pixel in upright directions, prototype mm from `anchor`: x to the right, y up. */
export function fromPixel(s: SheetScale, anchor: Vec2, p: Vec2): Vec2 {
  const t = (s.tilt * Math.PI) / 180;
  const [x, y] = [(p[0] - anchor[0]) * s.kx, (anchor[1] - p[1]) * s.ky];
  return [x * Math.cos(t) + y * Math.sin(t), -x * Math.sin(t) + y * Math.cos(t)];
}
/** The inverse of fromPixel. */
export function toPixel(s: SheetScale, anchor: Vec2, q: Vec2): Vec2 {
  const t = (s.tilt * Math.PI) / 180;
  const [x, y] = [q[0] * Math.cos(t) - q[1] * Math.sin(t), q[0] * Math.sin(t) + q[1] * Math.cos(t)];
  return [anchor[0] + x / s.kx, anchor[1] - y / s.ky];
}

/**
 * How far a picture is turned, given two pixels of a line that is level, or plumb, on the prototype: degrees
 * counter-clockwise, −45 to 45. A stretched scan is unstretched first.
 */
export function tiltOf(s: Pick<SheetScale, "kx" | "ky">, a: Vec2, b: Vec2): Degrees {
  const angle = toDegrees(Math.atan2(-(b[1] - a[1]) * s.ky, (b[0] - a[0]) * s.kx));
  return degrees(angle - 90 * Math.round(angle / 90));
}
