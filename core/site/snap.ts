import { addScaled, dot, sub, type Vec2 } from "../geometry";
import type { PlacedWall } from "./placedWall";

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
