import type { BuildingLayout } from "../plan/layout";
import type { BuildingValues } from "../parameters";

/** How far apart the formers under an unseen roof's sheets stand at most, model mm: a sheet of 0.5 mm stays flat over it. Common practice. */
const FORMERS = 40;

/** Whether tails show under the eaves: then every rafter stays, seen or not. */
export const tailsShow = (v: BuildingValues): boolean => v.fascia === "bare" && v.overhang > 0;
/** Of how many places for a rafter one is taken: all where the framing or its tails are seen, else so many that the roof's sheets lie on formers. */
export function everyRafter(l: Pick<BuildingLayout, "v" | "mm">): number {
  // a monitor's studs stand on them
  if (l.v.seenRoof || tailsShow(l.v) || (l.v.monitor && l.v.roof === "gable")) return 1;
  return Math.max(1, Math.floor(FORMERS / l.mm(l.v.rafterSpacing)));
}
