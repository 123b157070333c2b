import { exitAlong, penetrationDepth, TOLERANCE, type Vec2, type Vec3 } from "../geometry";
import { AT_ORIGIN, directionIn, solidIn } from "./place";
import type { Standing, StandingStick } from "./standing";

/** Two structures that stand in each other. */
export interface Clash {
  readonly a: Standing;
  readonly b: Standing;
  /** How many pairs of sticks stand in each other, and the pair that does so the deepest. */
  readonly pairs: number;
  readonly worst: { readonly a: StandingStick; readonly b: StandingStick; readonly depth: number };
  /** The least move of b along one of a's own directions that parts them, in the plan, model mm. */
  readonly move: Vec2;
  /** How far b has to be lifted to stand on a, or clear over it. */
  readonly lift: number;
}
/** More steps than this to part two structures are not made: each step is out of what was in the way of the one before. */
const STEPS = 400;

const apart = (a: { min: Vec3; max: Vec3 }, b: { min: Vec3; max: Vec3 }, by: Vec3 = [0, 0, 0]): boolean =>
  [0, 1, 2].some(
    (k) =>
      b.min[k]! + by[k]! > a.max[k]! - TOLERANCE.penetration || a.min[k]! > b.max[k]! + by[k]! - TOLERANCE.penetration,
  );

/** Pairs of sticks whose boxes meet when b is moved by so much. */
function* near(a: Standing, b: Standing, by: Vec3): Generator<readonly [StandingStick, StandingStick]> {
  const inReach = b.sticks.filter((q) => !apart(a, q, by));
  for (const p of a.sticks) if (!apart(p, b, by)) for (const q of inReach) if (!apart(p, q, by)) yield [p, q];
}

/** Whether and how two structures stand in each other; undefined where they are apart or only touch. */
export function clashOf(a: Standing, b: Standing): Clash | undefined {
  if (apart(a, b)) return undefined;
  let pairs = 0;
  let worst: Clash["worst"] | undefined;
  for (const [p, q] of near(a, b, [0, 0, 0])) {
    let depth = 0;
    for (const x of p.parts) for (const y of q.parts) depth = Math.max(depth, penetrationDepth(x, y));
    if (depth <= TOLERANCE.penetration) continue;
    pairs++;
    if (!worst || depth > worst.depth) worst = { a: p, b: q, depth };
  }
  return worst && { a, b, pairs, worst, move: wayOut(a, b), lift: along(a, b, [0, 0, 1], Infinity) };
}

/** The shortest of the moves along a's own directions, forth and back, after which b is clear of a. */
function wayOut(a: Standing, b: Standing): Vec2 {
  const [e, n] = [directionIn(a.place, [1, 0, 0]), directionIn(a.place, [0, 1, 0])];
  const ways = [e, n, [-e[0], -e[1], 0] as Vec3, [-n[0], -n[1], 0] as Vec3]
    .map((d) => ({ d, most: boxExit(a, b, d, [0, 0, 0]) }))
    .sort((p, q) => p.most - q.most);
  let best = { d: ways[0]!.d, by: Infinity };
  for (const { d } of ways) {
    const by = along(a, b, d, best.by);
    if (by < best.by) best = { d, by };
  }
  return [best.d[0] * best.by, best.d[1] * best.by];
}
/** How far b goes along a direction until nothing of it stands in a; Infinity where that is no less than `least`. */
function along(a: Standing, b: Standing, d: Vec3, least: number): number {
  let by = 0;
  for (let step = 0; step < STEPS && by < least; step++) {
    const shift: Vec3 = [d[0] * by, d[1] * by, d[2] * by];
    let more = 0;
    for (const [p, q] of near(a, b, shift)) {
      if (boxExit(p, q, d, shift) <= more) continue;
      for (const y of q.parts) {
        const moved = solidIn({ ...AT_ORIGIN, x: shift[0], y: shift[1], z: shift[2] }, y);
        // what touches within the tolerance is not in the way
        for (const x of p.parts)
          if (penetrationDepth(x, moved) > TOLERANCE.penetration) more = Math.max(more, exitAlong(x, moved, d));
      }
    }
    if (more === 0) return by;
    by += more;
  }
  return Infinity;
}
/** How far the box of b, moved already by so much, goes along a direction until it is out of that of a: no less than what is in them needs. */
function boxExit(a: { min: Vec3; max: Vec3 }, b: { min: Vec3; max: Vec3 }, d: Vec3, by: Vec3): number {
  let out = Infinity;
  for (const k of [0, 1, 2] as const) {
    if (d[k] > 1e-9) out = Math.min(out, (a.max[k] - b.min[k] - by[k]) / d[k]);
    else if (d[k] < -1e-9) out = Math.min(out, (b.max[k] + by[k] - a.min[k]) / -d[k]);
  }
  return out;
}
