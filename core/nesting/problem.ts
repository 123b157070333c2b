import type { Vec2 } from "../geometry";

/** How a part lies on its sheet: so many quarter turns counter-clockwise from the way it is listed. */
export type Turn = 0 | 1 | 2 | 3;
/** A part to be cut from sheet, as often as it has sticks. Model mm, its lower left corner at 0, 0. */
export interface NestPart {
  readonly mark: string;
  readonly sticks: readonly string[];
  /** What it covers, convex and counter-clockwise. */
  readonly outline: readonly Vec2[];
  /** The ways it may lie: what has lines or a grain keeps to theirs. */
  readonly turns: readonly Turn[];
  /** Lines on its face, square to its length ("x") or along it ("y"): the first so far from its left or lower edge, then one every pitch. */
  readonly lines?: { readonly across: "x" | "y"; readonly pitch: number; readonly first: number };
}
/** A sheet that can be bought or taken: `wide` across its lines or grain, `long` along them, model mm; count null is as many as wanted. */
export interface SheetSize {
  readonly wide: number;
  readonly long: number;
  readonly count: number | null;
  /** What one costs, in any unit. */
  readonly cost: number;
  /** It lies in the drawer. */
  readonly drawer?: true;
}
/** "snap": each cut goes right across what is cut, for knife and rule, and what breaks along a scored line. "free": led round, for a cutter or a knife. */
export type CutBy = "snap" | "free";
/** Parts to be laid on sheets. `apart` is left between two of them, what the saw or the beam takes, and `edge` along the sheet's edges, mm. Lines of a sheet stand at its left edge and every pitch from there. */
export interface NestProblem {
  readonly parts: readonly NestPart[];
  readonly sizes: readonly SheetSize[];
  readonly apart: number;
  readonly edge: number;
  readonly by: CutBy;
}
/** One part in its place: `at` is the lower left corner of what it takes, turned as it lies. */
export interface Placed {
  readonly part: number;
  readonly stick: string;
  readonly turn: Turn;
  readonly at: Vec2;
}
export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}
/** A cut from edge to edge of what it cuts: along x at a height, or along y at a distance, from one place to another. */
export interface SnapCut {
  readonly along: "x" | "y";
  readonly at: number;
  readonly from: number;
  readonly to: number;
}
/** One sheet with its parts; `cuts` in the order they are made, none where it is cut freely; `left` is what remains of it as rectangles. */
export interface NestedSheet {
  /** Which of the problem's sizes. */
  readonly size: number;
  readonly placed: readonly Placed[];
  readonly cuts: readonly SnapCut[];
  readonly left: readonly Rect[];
}
/** A plan, or why there is none: parts that no sheet carries, or what finds no place on the sheets there are. */
export type NestResult =
  | {
      readonly status: "planned";
      readonly sheets: readonly NestedSheet[];
      readonly cost: number;
      /** What has to be bought costs at least so much, from areas alone. */
      readonly bound: number;
    }
  | { readonly status: "too large"; readonly parts: readonly number[] }
  | { readonly status: "not enough"; readonly left: readonly number[] };

/** Lengths that differ by less are one, mm. */
export const NEAR = 1e-6;

/** A point of a part when its outline is turned by quarters and its lower left corner is at 0, 0 again. */
export function turnedPoint(outline: readonly Vec2[], turn: Turn, [x, y]: Vec2): Vec2 {
  const [wide, high] = sizeOf(outline, 0);
  if (turn === 1) return [high - y, x];
  if (turn === 2) return [wide - x, high - y];
  return turn === 3 ? [y, wide - x] : [x, y];
}
/** An outline turned by quarters, its lower left corner at 0, 0 again. */
export const turnedOutline = (outline: readonly Vec2[], turn: Turn): Vec2[] =>
  outline.map((p) => turnedPoint(outline, turn, p));
/** How wide and high an outline from 0, 0 is as it lies. */
export function sizeOf(outline: readonly Vec2[], turn: Turn): readonly [number, number] {
  const [wide, high] = [0, 1].map((i) => Math.max(...outline.map((p) => p[i]!))) as [number, number];
  return turn % 2 === 0 ? [wide, high] : [high, wide];
}
/** How far from its left edge, less than a pitch, the first line of a part stands that lies so; undefined where it has none. Errors: lines that would not run along the sheet's. */
export function firstLine(part: NestPart, turn: Turn): number | undefined {
  const { lines } = part;
  if (!lines) return undefined;
  const along = sizeOf(part.outline, 0)[lines.across === "x" ? 0 : 1];
  // upright lines lie as they are or upside down; level ones are turned to the right or to the left
  const reads: Readonly<Record<"x" | "y", Partial<Record<Turn, boolean>>>> = { x: { 0: true, 2: false }, y: { 3: true, 1: false } }; // prettier-ignore
  const onwards = reads[lines.across][turn];
  if (onwards === undefined)
    throw new Error(`${part.mark} turned by ${turn} quarters has its lines across its sheet's.`);
  const at = onwards ? lines.first : along - lines.first;
  return ((at % lines.pitch) + lines.pitch) % lines.pitch;
}
/** How far a part has to be moved on from a place so that its lines fall on the sheet's, mm. */
export function onToLine(x: number, part: NestPart, turn: Turn): number {
  const first = firstLine(part, turn);
  if (first === undefined) return 0;
  const { pitch } = part.lines!;
  const off = (((-x - first) % pitch) + pitch) % pitch;
  return pitch - off < NEAR ? 0 : off;
}
