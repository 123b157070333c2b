import { differenceD, FillRule, intersectD, unionD, type PathsD } from "clipper2-ts";
import type { Vec2 } from "../geometry";

/** A flat area: outer contours counter-clockwise, holes clockwise, mm. */
export type Area = readonly (readonly Vec2[])[];
/** A plate of a jig to be cut: where material is, what is written or engraved on it, how thick it is, how many are wanted. */
export interface Plate {
  readonly name: string;
  readonly area: Area;
  readonly thickness: number;
  readonly count: number;
  readonly lines: readonly (readonly [Vec2, Vec2])[];
  readonly words: readonly { readonly at: Vec2; readonly text: string; readonly size: number }[];
}
/** Layers of a jig as one solid: each area from one height to the next, the lowest from 0; each lies wholly on the one below. */
export type Levels = readonly { readonly to: number; readonly area: Area }[];

/** Decimals that corners are taken to. */
const DECIMALS = 6;
const paths = (a: Area): PathsD => a.map((r) => r.map(([x, y]) => ({ x, y })));
const back = (p: PathsD): Vec2[][] => p.map((r) => r.map(({ x, y }): Vec2 => [x, y]));
export const joined = (...all: readonly Area[]): Area =>
  back(unionD(paths(all.flat()), [], FillRule.NonZero, DECIMALS));
export const without = (a: Area, b: Area): Area => back(differenceD(paths(a), paths(b), FillRule.NonZero, DECIMALS));
export const common = (a: Area, b: Area): Area => back(intersectD(paths(a), paths(b), FillRule.NonZero, DECIMALS));

/** A rectangle from one corner to the other. */
export const box = (x0: number, y0: number, x1: number, y1: number): Vec2[] => [[x0, y0], [x1, y0], [x1, y1], [x0, y1]]; // prettier-ignore
/** How far what stands for a circle is off it at most, mm. */
const OFF = 0.005;
/** A circle as a ring whose sides touch it from outside, so that what is round goes in; its corners are off by less than a hundredth of a millimetre. */
export function ringRound([x, y]: Vec2, diameter: number): Vec2[] {
  const sides = 4 * Math.ceil(Math.max(4, Math.min(60, (Math.PI / 4) * Math.sqrt(diameter / 4 / OFF))));
  return Array.from({ length: sides }, (_, i): Vec2 => {
    const a = (2 * Math.PI * (i + 0.5)) / sides;
    const r = diameter / 2 / Math.cos(Math.PI / sides);
    return [x + r * Math.cos(a), y + r * Math.sin(a)];
  });
}
/** A piece of a ring round a point, between two radii and two directions in degrees counter-clockwise from x; its corners are on the circles, its sides off by less than a hundredth of a millimetre. */
export function ringPiece([x, y]: Vec2, inner: number, outer: number, from: number, to: number): Vec2[] {
  const [a, b] = [from, to].map((d) => (d * Math.PI) / 180) as [number, number];
  const steps = Math.max(2, Math.ceil((b - a) / (2 * Math.acos(Math.max(0.5, 1 - OFF / outer)))));
  const arc = (r: number): Vec2[] => Array.from({ length: steps + 1 }, (_, i): Vec2 => { const t = a + ((b - a) * i) / steps; return [x + r * Math.cos(t), y + r * Math.sin(t)]; }); // prettier-ignore
  return [...arc(outer), ...arc(inner).reverse()];
}
/** A strip about a line through a point, as wide as said, reaching so far both ways. Degrees counter-clockwise from x. */
export function strip([x, y]: Vec2, degrees: number, wide: number, reach: number): Vec2[] {
  const a = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(a), Math.sin(a)];
  return box(-reach, -wide / 2, reach, wide / 2).map(([u, v]): Vec2 => [x + u * c - v * s, y + u * s + v * c]);
}
