import { baysOf } from "../bay/bayPlan";
import { dormersOf } from "../roof/dormer";
import type { BuildingLayout, Part, Wall } from "./layout";
import { monitorOf } from "../roof/monitor";

/** The parts that stand on the main roof: its monitor and its dormers. */
export function raisedOf(l: BuildingLayout): Part[] {
  const monitor = monitorOf(l);
  return [...(monitor ? [monitor] : []), ...dormersOf(l).map((d) => d.part)];
}

/** Every wall of a building: of its parts, of what stands on its roof, of its bays, and the partitions. */
export const wallsOf = (l: BuildingLayout): Wall[] => [
  ...[...l.parts, ...raisedOf(l)].flatMap((p) => p.walls),
  ...baysOf(l).flatMap((x) => x.walls),
  ...l.partitions,
];
