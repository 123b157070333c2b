import type { Plane, Vec3 } from "../geometry";
import type { Builder } from "./builder";

/** Where a part of a building stands: its own axes (p along its ridge, q across, z up) turned by quarters and moved, model mm. */
export interface Placement {
  /** Quarter turns, counter-clockwise from above: p comes to lie along x, y, −x or −y. */
  readonly quarters: 0 | 1 | 2 | 3;
  readonly at: readonly [number, number];
}
const COS = [1, 0, -1, 0] as const;
const SIN = [0, 1, 0, -1] as const;

/** The quarters that bring p to lie along a level direction of the building. */
export const quartersOf = (d: Vec3): Placement["quarters"] => (d[0] > 0.5 ? 0 : d[1] > 0.5 ? 1 : d[0] < -0.5 ? 2 : 3);

export function turn(p: Placement, d: Vec3): Vec3 {
  const [c, s] = [COS[p.quarters], SIN[p.quarters]];
  return [c * d[0] - s * d[1], s * d[0] + c * d[1], d[2]];
}
export function move(p: Placement, v: Vec3): Vec3 {
  const [x, y, z] = turn(p, v);
  return [x + p.at[0], y + p.at[1], z];
}
/** A point of the building in a part's own axes. */
export function inverse(p: Placement, v: Vec3): Vec3 {
  const back: Placement = { quarters: ((4 - p.quarters) % 4) as Placement["quarters"], at: [0, 0] };
  return turn(back, [v[0] - p.at[0], v[1] - p.at[1], v[2]]);
}
export function movePlane(p: Placement, plane: Plane): Plane {
  const n = turn(p, plane.n);
  return { n, d: plane.d + n[0] * p.at[0] + n[1] * p.at[1] };
}

/** A builder that takes sticks and datums in a part's own axes and puts them where the part stands. */
export interface Local extends Pick<Builder, "stick" | "add" | "join"> {
  readonly place: Placement;
  datum(name: string, plane: Plane): string;
}
export function placed(b: Builder, place: Placement): Local {
  return {
    place,
    add: (m) => b.add(m),
    join: (j) => b.join(j),
    stick: (s) => b.stick({ ...s, a: move(place, s.a), b: move(place, s.b), up: turn(place, s.up) }),
    datum: (name, plane) => ((b.datums[name] = movePlane(place, plane)), name),
  };
}
