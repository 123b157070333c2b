import { inches } from "../../units";
import { withValue } from "../spec";
import type { BuildingValues } from "./parameters";

/** A window's bottom over the floor, and the least that a door is high. Common practice. */
const SILL = inches(30);
const LOW_DOOR = inches(76);

/**
 * What goes along with a change: an opening that becomes another kind keeps its head line; as a window it gets a sill, as
 * a door or a hatch it comes down to the floor.
 */
export function buildingFollow(v: BuildingValues, path: string): BuildingValues | undefined {
  const n = /^openings\.(\d+)\.kind$/.exec(path)?.[1];
  const o = n === undefined ? undefined : v.openings[Number(n)];
  if (!o) return undefined;
  const head = o.sill + o.height;
  const to = (sill: number, height: number): BuildingValues => withValue(v, `openings.${n}`, { ...o, sill, height });
  if (o.kind === "window" && o.sill === 0) return to(SILL, Math.max(head - SILL, inches(24)));
  if (o.kind === "door" && o.sill > 0) return to(0, Math.max(head, LOW_DOOR));
  if (o.kind === "hatch" && o.sill > 0) return to(0, o.height);
  return undefined;
}
