import { feet } from "../../../units";
import { options } from "../../spec";

export { options, span } from "../../spec";
export const zero = feet(0);

/** Walls as they are called from outside: the front looks to the right of the track in the elevation. */
export const SIDES = ["front", "right", "back", "left"] as const;
export type SideName = (typeof SIDES)[number];
export const sides = options({ front: "Front", right: "Right end", back: "Back", left: "Left end" });
