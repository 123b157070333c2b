import { dormersOf } from "./dormer";
import type { BuildingLayout, Part } from "./layout";
import { monitorOf } from "./monitor";

/** The parts that stand on the main roof: its monitor and its dormers. */
export function raisedOf(l: BuildingLayout): Part[] {
  const monitor = monitorOf(l);
  return [...(monitor ? [monitor] : []), ...dormersOf(l).map((d) => d.part)];
}
