import { addScaled, type Vec2 } from "../geometry";
import { facing } from "./backToBack";
import type { PlacedWall } from "./placedWall";

/** Two walls look the same way when their directions differ by less than a degree. */
const SAME_WAY = Math.cos(Math.PI / 180);

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
      const f = facing(m, o);
      if (!f || f.gap < 0.005 || (best && f.gap >= best.gap)) continue;
      const p = addScaled(m.from, m.along, (f.from + f.to) / 2);
      const q = addScaled(p, m.out, f.gap);
      best = { from: [p[0], p[1]], to: [q[0], q[1]], gap: f.gap, out: [m.out[0], m.out[1]] };
    }
  return best;
}

/** The clear distances of a structure to what is nearest to it, one for each way that its walls look. */
export function clearances(own: readonly PlacedWall[], others: readonly (readonly PlacedWall[])[]): Clear[] {
  const near = others.flatMap((o) => clearance(own, o) ?? []).sort((a, b) => a.gap - b.gap);
  const same = (a: Clear, b: Clear): boolean => a.out[0] * b.out[0] + a.out[1] * b.out[1] > SAME_WAY;
  return near.filter((c, i) => !near.slice(0, i).some((d) => same(c, d)));
}
