import type { Context } from "../kind";
import { buildingFrame } from "./frame";
import type { BuildingValues } from "./parameters";

/** The same building with everything in view. */
const allSeen = (v: BuildingValues): BuildingValues => ({
  ...v,
  unseenRooms: [],
  seenFront: true,
  seenRight: true,
  seenBack: true,
  seenLeft: true,
  seenRoof: true,
});
/** Whether anything of a building is marked as unseen. */
const hides = (v: BuildingValues): boolean =>
  v.unseenRooms.length > 0 || !(v.seenFront && v.seenRight && v.seenBack && v.seenLeft && v.seenRoof);

/** How many sticks a building has less because nobody sees them: those of the whole building, less those that are left. */
export const unseenSticks = (v: BuildingValues, ctx: Context): number =>
  hides(v) ? Math.max(0, buildingFrame(allSeen(v), ctx).members.length - buildingFrame(v, ctx).members.length) : 0;
