import { addScaled, type Vec3 } from "../../geometry";
import type { BentPlace } from "./layout";

/** Path of a bent: "gulch/bent7". */
export const bentRoot = (structure: string, b: Pick<BentPlace, "number">): string => `${structure}/bent${b.number}`;
/** From a bent's own axes (x along the track, y left, z up, the cap's top at 0) to the structure's. */
export const bentPoint =
  (b: BentPlace) =>
  (p: Vec3): Vec3 =>
    addScaled(addScaled([b.cap[0], b.cap[1], b.cap[2] + p[2]], b.place.along, p[0]), b.place.left, p[1]);
export const bentTurn =
  (b: BentPlace) =>
  (d: Vec3): Vec3 =>
    addScaled(addScaled([0, 0, d[2]], b.place.along, d[0]), b.place.left, d[1]);
