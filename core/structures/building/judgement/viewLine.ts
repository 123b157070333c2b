import { feet, prototype, toModel } from "../../../units";
import type { Context, ViewLine } from "../../kind";
import type { BuildingValues } from "../parameters";

/** How high a car stands over the rails. Common practice: house cars of 13 to 15 ft. */
const CAR = feet(14);

/** The line from people's eyes over the building to the cars on a track behind it; undefined where no track is, or it is between them and the building. */
export function buildingView(v: BuildingValues, { scale }: Context): ViewLine | undefined {
  if (v.track === "none" || v.viewFrom === "unknown" || v.viewFrom === v.track) return undefined;
  const mm = (p: number): number => toModel(scale, prototype(p));
  const rail = -mm(v.railBelow);
  // the front looks to −y
  const to = v.viewFrom === "front" ? 1 : -1;
  return {
    eye: [-to * (mm(v.width) / 2 + v.eyeAway), rail + v.eyeOver],
    seen: { y: to * mm(v.width / 2 + v.trackOff), low: rail, high: rail + mm(CAR) },
    words: "the cars on the track behind it",
  };
}
