import { EndType, inflatePathsD, JoinType } from "clipper2-ts";
import { polygonArea } from "./polygon";
import type { Vec2 } from "./vec";

/** Decimals that corners are taken to, mm. */
const DECIMALS = 6;
/** A mitre runs out to this many times the offset before it is cut off: corners down to about 12° stay sharp. */
const MITRE = 10;

/** A ring moved outwards by a distance, or inwards where it is below 0; corners stay sharp. Nothing where nothing is left; more than one where it parts. Turning as before. mm. */
export function grownBy(ring: readonly Vec2[], by: number): Vec2[][] {
  if (by === 0) return [[...ring]];
  const turns = Math.sign(polygonArea(ring));
  const path = (turns < 0 ? [...ring].reverse() : ring).map(([x, y]) => ({ x, y }));
  return inflatePathsD([path], by, JoinType.Miter, EndType.Polygon, MITRE, DECIMALS).map((r) => {
    const out = r.map(({ x, y }): Vec2 => [x, y]);
    return Math.sign(polygonArea(out)) === turns ? out : out.reverse();
  });
}
