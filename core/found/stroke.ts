import type { Vec2 } from "../geometry";

/** A straight stroke on a sheet, in its pixels. */
export interface Stroke {
  readonly a: Vec2;
  readonly b: Vec2;
  /** Width of the pen, pixels; 0 is not known. */
  readonly pen: number;
  readonly dashed: boolean;
  /** Stretches along it, from a, where nothing is drawn because something lies over it. */
  readonly gaps: readonly (readonly [number, number])[];
  /** The closed outline it is an edge of, where the file says so. */
  readonly outline?: number;
}
/** A member offered: its centre line and width in pixels, ranked by how sure it is, 0 to 1. */
export interface FoundMember {
  readonly id: string;
  readonly a: Vec2;
  readonly b: Vec2;
  readonly width: number;
  readonly score: number;
  /** Drawn in dashes: it lies behind. */
  readonly hidden: boolean;
}

export const strokeLength = (s: { readonly a: Vec2; readonly b: Vec2 }): number =>
  Math.hypot(s.b[0] - s.a[0], s.b[1] - s.a[1]);
export function directionOf(s: { readonly a: Vec2; readonly b: Vec2 }): Vec2 {
  const l = strokeLength(s);
  return [(s.b[0] - s.a[0]) / l, (s.b[1] - s.a[1]) / l];
}
/** Distance of a point from the stroke's line, signed: positive to the left on the screen of one who goes from a to b with y down. */
export function offLine(s: { readonly a: Vec2; readonly b: Vec2 }, p: Vec2): number {
  const u = directionOf(s);
  return u[1] * (p[0] - s.a[0]) - u[0] * (p[1] - s.a[1]);
}
export function alongLine(s: { readonly a: Vec2; readonly b: Vec2 }, p: Vec2): number {
  const u = directionOf(s);
  return u[0] * (p[0] - s.a[0]) + u[1] * (p[1] - s.a[1]);
}
export const sineBetween = (s: { a: Vec2; b: Vec2 }, t: { a: Vec2; b: Vec2 }): number => {
  const [u, v] = [directionOf(s), directionOf(t)];
  return Math.abs(u[0] * v[1] - u[1] * v[0]);
};
