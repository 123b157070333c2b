import type { Vec3 } from "../../geometry";

/** A track's centre line in plan, mm: a tangent, a circular curve and a tangent, with no spirals, on one grade. */
export interface Alignment {
  readonly length: number;
  /** Stations at which the curve begins and ends; equal where there is none. */
  readonly curve: readonly [number, number];
  /** 1/radius; positive turns to the left (+y), 0 is straight. */
  readonly curvature: number;
  /** Rise per mm along the plan. */
  readonly grade: number;
}
/** A place on it: the centre point at the grade line, the heading (radians from +x), and level unit vectors along and to the left. */
export interface Place {
  readonly at: Vec3;
  readonly heading: number;
  readonly along: Vec3;
  readonly left: Vec3;
}

/** Degree of curve by its chord definition: the radius, ft, on which a 100 ft chord turns by D degrees. R = 50 / sin(D/2), as railroad surveying handbooks give it. */
export const radiusOfDegree = (degree: number): number => 50 / Math.sin((degree * Math.PI) / 360);
/** Its inverse: degrees, for a radius in ft of at least 50. */
export const degreeOfRadius = (feet: number): number => (360 / Math.PI) * Math.asin(Math.min(1, 50 / feet));
/** Chord across an angle (radians) of a circle: C = 2·R·sin(θ/2). */
export const chordOf = (radius: number, angle: number): number => 2 * radius * Math.sin(angle / 2);
/** Middle ordinate of that chord: M = R·(1 − cos(θ/2)). */
export const middleOrdinate = (radius: number, angle: number): number => radius * (1 - Math.cos(angle / 2));

/**
 * The place at a station, mm along the centre line; also before 0 and past the end, where the tangents (or the curve) go
 * on. The middle of the length stands at x = y = 0, heading +x; the grade line is at z = 0 at station 0.
 */
export function placeAt(a: Alignment, station: number): Place {
  const mid = fromStart(a, a.length / 2);
  const p = fromStart(a, station);
  const [c, s] = [Math.cos(-mid.heading), Math.sin(-mid.heading)];
  const [dx, dy] = [p.x - mid.x, p.y - mid.y];
  const heading = p.heading - mid.heading;
  return {
    at: [dx * c - dy * s, dx * s + dy * c, a.grade * station],
    heading,
    along: [Math.cos(heading), Math.sin(heading), 0],
    left: [-Math.sin(heading), Math.cos(heading), 0],
  };
}

/** Plan position of a station with the start at the origin, heading +x. */
function fromStart(
  a: Alignment,
  station: number,
): { readonly x: number; readonly y: number; readonly heading: number } {
  const [from, to] = a.curve;
  const k = a.curvature;
  if (k === 0 || to <= from || station <= from) return { x: station, y: 0, heading: 0 };
  const on = Math.min(station, to) - from;
  const heading = k * on;
  const x = from + Math.sin(heading) / k;
  const y = (1 - Math.cos(heading)) / k;
  const past = Math.max(0, station - to);
  return { x: x + past * Math.cos(heading), y: y + past * Math.sin(heading), heading };
}
