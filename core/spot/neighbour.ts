import { hull, type Vec2 } from "../geometry";
import type { Design, ThingDoc } from "../job";
import { standing } from "../site";
import { blocksOfStanding, within } from "../trains";

/** Slices that each structure of another job is taken in from its foot to its top. */
const SLICES = 8;
const tidy = (x: number): number => Math.round(x * 1000) / 1000;

/** The structures of another job as a thing on this one's spot: convex outlines in slices of their height, about the middle of them all, where that job's own plan has them. Undefined where it has placed none. */
export function asThing(d: Design, job: string, id: string): ThingDoc | undefined {
  const all = standing(d);
  if (all.length === 0) return undefined;
  const end = (k: 0 | 1 | 2, most: boolean): number => (most ? Math.max(...all.map((s) => s.max[k])) : Math.min(...all.map((s) => s.min[k]))); // prettier-ignore
  const [x, y] = ([0, 1] as const).map((k) => tidy((end(k, false) + end(k, true)) / 2)) as unknown as Vec2;
  const parts = all.flatMap((s) => {
    const blocks = blocksOfStanding(s);
    const [low, high] = [s.min[2], s.max[2]];
    return Array.from({ length: SLICES }, (_, i) => [low + ((high - low) * i) / SLICES, low + ((high - low) * (i + 1)) / SLICES] as const).flatMap(([from, to]) => { const ring = hull(blocks.flatMap((b) => within(b, from, to)?.ring ?? [])); return ring.length >= 3 ? [{ ring: ring.map((p): [number, number] => [tidy(p[0] - x), tidy(p[1] - y)]), low: tidy(from), high: tidy(to) }] : []; }); // prettier-ignore
  });
  return { id, name: d.doc.name.slice(0, 80), kind: "stands already", x, y, turn: 0, length: tidy(end(0, true) - end(0, false)), depth: tidy(end(1, true) - end(1, false)), low: tidy(end(2, false)), high: tidy(end(2, true)), parts, job }; // prettier-ignore
}
