import type { Plane, Solid, Vec2, Vec3 } from "../geometry";

/**
 * Where a structure stands in the plan of its job: its own origin from the plan's, model mm, and how far it is turned
 * counter-clockwise seen from above, degrees. `z` lifts it: a tower on a roof, a shed on a platform.
 */
export interface Place {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly turn: number;
}
export const AT_ORIGIN: Place = { x: 0, y: 0, z: 0, turn: 0 };

/** Cosine and sine of a turn, exact for quarters, so that walls that are square stay so. */
function turned({ turn }: Place): readonly [number, number] {
  const quarters = turn / 90;
  if (Number.isInteger(quarters)) {
    const k = ((quarters % 4) + 4) % 4;
    return [[1, 0, -1, 0][k]!, [0, 1, 0, -1][k]!];
  }
  const a = (turn * Math.PI) / 180;
  return [Math.cos(a), Math.sin(a)];
}
/** A direction of a structure in the plan. */
export function directionIn(place: Place, [x, y, z]: Vec3): Vec3 {
  const [c, s] = turned(place);
  return [c * x - s * y, s * x + c * y, z];
}
/** A point of a structure in the plan, model mm. */
export function pointIn(place: Place, p: Vec3): Vec3 {
  const [x, y, z] = directionIn(place, p);
  return [x + place.x, y + place.y, z + place.z];
}
/** A point of a structure seen from above in the plan, model mm. */
export function planPoint(place: Place, [x, y]: Vec2): Vec2 {
  const p = pointIn(place, [x, y, 0]);
  return [p[0], p[1]];
}
/** A solid of a structure where it stands in the plan. */
export function solidIn(place: Place, solid: Solid): Solid {
  const plane = ({ n, d }: Plane): Plane => {
    const m = directionIn(place, n);
    return { n: m, d: d + m[0] * place.x + m[1] * place.y + m[2] * place.z };
  };
  return {
    faces: solid.faces.map((f) => ({
      corners: f.corners.map((c) => pointIn(place, c)),
      plane: plane(f.plane),
      tag: f.tag,
    })),
  };
}
