import { addScaled, dot, sub, type Vec2 } from "../geometry";
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

/** Two walls count as parallel within this: a tenth of a degree. */
const STRAIGHT = Math.cos(Math.PI / 1800);

/**
 * Where a structure that is dragged comes to lie: its walls come to touch walls that look at them, or run on in one plane
 * with walls that look the same way, when they are within `reach` mm of that. At most one shift for each of two directions.
 */
export function snapped(moving: readonly PlacedWall[], others: readonly PlacedWall[], reach: number): Vec2 {
  const shifts: { readonly by: number; readonly out: Vec2 }[] = [];
  for (const m of moving)
    for (const o of others) {
      const same = dot(m.out, o.out);
      if (Math.abs(same) < STRAIGHT) continue;
      // how far the moving wall stands before the plane of the other one
      const by = -dot(sub(m.from, o.from), o.out);
      if (Math.abs(by) > reach || (same < 0 && !overlap(m, o, reach))) continue;
      shifts.push({ by, out: [o.out[0], o.out[1]] });
    }
  shifts.sort((a, b) => Math.abs(a.by) - Math.abs(b.by));
  const first = shifts[0];
  if (!first) return [0, 0];
  const second = shifts.find((s) => Math.abs(s.out[0] * first.out[0] + s.out[1] * first.out[1]) < 0.01);
  return [
    first.by * first.out[0] + (second ? second.by * second.out[0] : 0),
    first.by * first.out[1] + (second ? second.by * second.out[1] : 0),
  ];
}
/** Whether something of one wall stands before the other, or would within `reach`. */
function overlap(m: PlacedWall, o: PlacedWall, reach: number): boolean {
  const at = [m.from, addScaled(m.from, m.along, m.length)].map((p) => dot(sub(p, o.from), o.along));
  return Math.max(...at) > -reach && Math.min(...at) < o.length + reach;
}

/** A clear distance between two walls that look at each other: from and to on the plan, and how long. Model mm. */
export interface Clear {
  readonly from: Vec2;
  readonly to: Vec2;
  readonly gap: number;
  /** Which way the first one's wall looks. */
  readonly out: Vec2;
}
/** The least clear distance between walls of one structure and those of another that look at each other. */
export function clearance(a: readonly PlacedWall[], b: readonly PlacedWall[]): Clear | undefined {
  let best: Clear | undefined;
  for (const m of a)
    for (const o of b) {
      if (dot(m.out, o.out) > -STRAIGHT) continue;
      const at = [o.from, addScaled(o.from, o.along, o.length)].map((p) => dot(sub(p, m.from), m.along));
      const [from, to] = [Math.max(0, Math.min(...at)), Math.min(m.length, Math.max(...at))];
      const gap = dot(sub(o.from, m.from), m.out);
      if (to <= from || gap < 0.005 || (best && gap >= best.gap)) continue;
      const p = addScaled(m.from, m.along, (from + to) / 2);
      const q = addScaled(p, m.out, gap);
      best = { from: [p[0], p[1]], to: [q[0], q[1]], gap, out: [m.out[0], m.out[1]] };
    }
  return best;
}

/** The clear distances of a structure to what is nearest to it, one for each way that its walls look. */
export function clearances(own: readonly PlacedWall[], others: readonly (readonly PlacedWall[])[]): Clear[] {
  const near = others.flatMap((o) => clearance(own, o) ?? []).sort((a, b) => a.gap - b.gap);
  const same = (a: Clear, b: Clear): boolean => a.out[0] * b.out[0] + a.out[1] * b.out[1] > STRAIGHT;
  return near.filter((c, i) => !near.slice(0, i).some((d) => same(c, d)));
}
