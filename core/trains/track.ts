import type { Vec2 } from "../geometry";
import type { TrackDoc, TrackPieceDoc } from "../job";

/** A place on a track: where its centre line is, and which way it runs, radians. Model mm. */
export interface Station {
  readonly at: Vec2;
  readonly heading: number;
}
/** A stretch of curvature that changes evenly from one end to the other, 1/mm, positive to the left. */
interface Stretch {
  readonly from: number;
  readonly length: number;
  readonly k0: number;
  readonly k1: number;
  readonly start: Station;
}
/** The centre line of a track; beyond its ends it runs straight on. */
export interface CentreLine {
  readonly length: number;
  at(s: number): Station;
}
/** Steps of Simpson's rule over a stretch: an easement's error is far below a micrometre. */
const STEPS = 24;

/** A place on a stretch so far from its beginning: exact on straights and arcs, by Simpson's rule where the curvature changes. */
function onStretch({ start, k0, k1, length }: Stretch, t: number): Station {
  const turn = (x: number): number => start.heading + k0 * x + (length > 0 ? ((k1 - k0) * x * x) / (2 * length) : 0);
  const heading = turn(t);
  const [x, y] = start.at;
  if (Math.abs(k0) < 1e-12 && Math.abs(k1) < 1e-12) return { at: [x + t * Math.cos(start.heading), y + t * Math.sin(start.heading)], heading }; // prettier-ignore
  if (Math.abs(k0 - k1) < 1e-12) return { at: [x + (Math.sin(heading) - Math.sin(start.heading)) / k0, y - (Math.cos(heading) - Math.cos(start.heading)) / k0], heading }; // prettier-ignore
  let [sx, sy] = [0, 0];
  for (let i = 0; i <= STEPS; i++) {
    const w = i === 0 || i === STEPS ? 1 : i % 2 === 1 ? 4 : 2;
    const a = turn((t * i) / STEPS);
    [sx, sy] = [sx + w * Math.cos(a), sy + w * Math.sin(a)];
  }
  return { at: [x + (sx * t) / STEPS / 3, y + (sy * t) / STEPS / 3], heading };
}
/** A piece of track as stretches: a curve with its easements, each no longer than half of it. */
function curvatures(p: TrackPieceDoc): readonly (readonly [length: number, k0: number, k1: number])[] {
  if (p.kind === "straight" || !p.radius) return [[p.length, 0, 0]];
  const k = (p.kind === "left" ? 1 : -1) / p.radius;
  const ease = Math.min(p.ease ?? 0, p.length / 2);
  const all = [[ease, 0, k], [p.length - 2 * ease, k, k], [ease, k, 0]] as const; // prettier-ignore
  return all.filter(([l]) => l > 1e-9);
}
/** The centre line of a track. */
export function centreLine(t: Pick<TrackDoc, "x" | "y" | "turn" | "pieces">): CentreLine {
  const stretches: Stretch[] = [];
  let here: Station = { at: [t.x, t.y], heading: (t.turn * Math.PI) / 180 };
  let from = 0;
  for (const [length, k0, k1] of t.pieces.flatMap(curvatures)) {
    const s: Stretch = { from, length, k0, k1, start: here };
    stretches.push(s);
    here = onStretch(s, length);
    from += length;
  }
  const [first, last, whole] = [{ at: [t.x, t.y], heading: (t.turn * Math.PI) / 180 } as Station, here, from];
  const straight = (s: Station, d: number): Station => ({ at: [s.at[0] + d * Math.cos(s.heading), s.at[1] + d * Math.sin(s.heading)], heading: s.heading }); // prettier-ignore
  return {
    length: whole,
    at(s) {
      if (s <= 0) return straight(first, s);
      if (s >= whole) return straight(last, s - whole);
      const on = stretches.find((x) => s <= x.from + x.length) ?? stretches.at(-1)!;
      return onStretch(on, s - on.from);
    },
  };
}
/** The top of the rail of a track so far along it, over the spot, model mm. Example: 2 % over 500 mm is 10 mm. */
export const railAt = (t: Pick<TrackDoc, "rail" | "grade">, s: number): number => t.rail + ((t.grade ?? 0) * s) / 100;
