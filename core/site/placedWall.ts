import type { OuterWall } from "../structures";
import { directionIn, pointIn, type Place } from "./place";

/** A wall where it stands in the plan. */
export type PlacedWall = Pick<OuterWall, "name" | "from" | "along" | "out" | "length" | "height">;
/** The walls of a structure where a place puts them. */
export const wallsAt = (walls: readonly OuterWall[], place: Place): PlacedWall[] =>
  walls.map(({ name, length, height, from, along, out }) => ({
    name,
    length,
    height,
    from: pointIn(place, from),
    along: directionIn(place, along),
    out: directionIn(place, out),
  }));
/** The stretches of a wall between its openings, from its left end. */
export function solidStretches({ openings, length }: OuterWall): (readonly [number, number])[] {
  const gaps = [...openings].sort((a, b) => a.from - b.from);
  const ends = [0, ...gaps.flatMap((o) => [o.from, o.to]), length];
  return ends.flatMap((from, i) => (i % 2 === 0 ? [[from, ends[i + 1]!] as const] : []));
}
