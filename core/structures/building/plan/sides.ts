import { ALIKE } from "../../../geometry";
import type { Vec3 } from "../../../geometry";
import type { BuildingValues, SideName } from "../parameters";
import { type Placement, turn } from "../../place";
import type { BuildingLayout, Part, Side, Wall } from "./layout";

/** Which wall looks the way a side of a part does. */
export function sideName(place: Placement, side: Side): SideName {
  const out: Vec3 = side === "S" ? [0, -1, 0] : side === "E" ? [1, 0, 0] : side === "N" ? [0, 1, 0] : [-1, 0, 0];
  const [x, y] = turn(place, out);
  return y < -0.5 ? "front" : x > 0.5 ? "right" : y > 0.5 ? "back" : "left";
}
/** Left outer corner, direction along and direction out of a side of a rectangle, in its own axes. */
export function sideFrame(p: Part["p"], q: Part["q"], side: Side): { origin: Vec3; e: Vec3; n: Vec3; length: number } {
  switch (side) {
    case "S":
      return { origin: [p[0], q[0], 0], e: [1, 0, 0], n: [0, -1, 0], length: p[1] - p[0] };
    case "E":
      return { origin: [p[1], q[0], 0], e: [0, 1, 0], n: [1, 0, 0], length: q[1] - q[0] };
    case "N":
      return { origin: [p[1], q[1], 0], e: [-1, 0, 0], n: [0, 1, 0], length: p[1] - p[0] };
    case "W":
      return { origin: [p[0], q[1], 0], e: [0, -1, 0], n: [-1, 0, 0], length: q[1] - q[0] };
  }
}

/** How high the inside of a wall is clear of rafters, `inward` of its outside: inside a shed's high wall they hang below its plates. Never over `most`. */
export function clearInside(l: BuildingLayout, w: Wall, inward: number, most: number): number {
  const part = l.parts.find((p) => p.walls.includes(w));
  const s = part?.slopes.S;
  if (part?.roof !== "shed" || w.side !== "N" || !s) return most;
  const run = part.q[1] - part.q[0] - inward;
  return Math.min(most, s.plate + s.above + s.k * run - l.t.rafter.v * Math.hypot(1, s.k));
}

/** A point of a wall: along it from its left outer corner, in from its outside, over the floor. */
export const onWall = (w: Pick<Wall, "origin" | "e" | "n">, s: number, inward: number, z: number): Vec3 => [
  w.origin[0] + w.e[0] * s - w.n[0] * inward,
  w.origin[1] + w.e[1] * s - w.n[1] * inward,
  z,
];
/** Places on centres: at multiples of the spacing from the left, the right or the middle of a length. */
export function onCentres(length: number, spacing: number, from: BuildingValues["studFrom"]): number[] {
  const out: number[] = [];
  if (from === "middle") {
    out.push(length / 2);
    for (let d = spacing; d < length / 2 - ALIKE; d += spacing) out.push(length / 2 - d, length / 2 + d);
    return out.sort((a, b) => a - b);
  }
  const n = Math.ceil(length / spacing - ALIKE);
  for (let i = 1; i < n; i++) out.push(from === "left" ? i * spacing : length - i * spacing);
  return out.sort((a, b) => a - b);
}
