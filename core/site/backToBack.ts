import { addScaled, dot, sub, TOLERANCE, type Vec3 } from "../geometry";
import type { OuterWall } from "../structures";
import { wallsAt, type PlacedWall } from "./placedWall";
import type { Standing } from "./standing";

/** A wall where it stands in the plan. */
export interface StandingWall extends OuterWall {
  readonly of: Standing;
}
/** How two walls look at each other. Model mm. */
export interface BackToBack {
  readonly a: PlacedWall;
  readonly b: PlacedWall;
  /** Between their outermost faces. */
  readonly gap: number;
  /** The stretch of a that b stands before, from a's left end, and the heights over the plan's level that both have. */
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
}

/** The outer walls of a structure in the plan. */
export const wallsIn = (s: Standing): StandingWall[] => {
  const own = s.design.kind.outerWalls?.(s.design.variant.params, s.design.context) ?? [];
  return wallsAt(own, s.place).map((w, i) => ({ ...w, openings: own[i]!.openings, of: s }));
};

/** A turn of one degree between two walls leaves a wedge, and no gap that one width tells. */
const PARALLEL = Math.cos(Math.PI / 180);

/** How two walls look at each other; undefined where they are not parallel, look away from each other, or nothing of one stands before the other. */
export function facing(a: PlacedWall, b: PlacedWall): BackToBack | undefined {
  if (dot(a.out, b.out) > -PARALLEL) return undefined;
  const ends = [b.from, addScaled(b.from, b.along, b.length)].map((p): Vec3 => sub(p, a.from));
  const at = ends.map((p) => dot(p, a.along));
  const [from, to] = [Math.max(0, Math.min(...at)), Math.min(a.length, Math.max(...at))];
  const [low, high] = [Math.max(a.from[2], b.from[2]), Math.min(a.from[2] + a.height, b.from[2] + b.height)];
  if (to <= from || high <= low) return undefined;
  const gap = Math.min(...ends.map((p) => dot(p, a.out)));
  // walls that look away from each other, each behind the other
  if (gap < -TOLERANCE.contact) return undefined;
  return { a, b, gap, from, to, low, high };
}
