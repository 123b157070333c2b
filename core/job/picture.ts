import { elevation, thumbnail, VIEWS } from "../drawing";
import type { Design } from "./design";

/** The small picture of a job: its first structure that frames, as one looks at it. Empty when there is none. */
export function jobPicture(d: Pick<Design, "structures">): string {
  const first = d.structures.find((s) => !s.fault && s.resolved.sticks.length > 0);
  return first ? thumbnail(elevation(first.resolved.sticks, VIEWS[first.kind.home])) : "";
}
