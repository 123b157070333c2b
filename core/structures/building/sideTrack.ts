import type { Vec3 } from "../../geometry";

/** On which side of a plan the figures of a wall stand that looks out along n. */
export function sideTrack(n: Vec3): "left" | "right" | "top" | "bottom" {
  if (Math.abs(n[0]) > Math.abs(n[1])) return n[0] > 0 ? "right" : "left";
  return n[1] > 0 ? "top" : "bottom";
}
