import { feet, type Prototype } from "../../../units";

/** From where to where a length may be, and is usual; prototype mm. Usual values are common practice. */
export const span = (min: Prototype, max: Prototype, usual: readonly [Prototype, Prototype]) => ({ min, max, usual });
/** What may be chosen, in words. */
export const options = (o: Readonly<Record<string, string>>) =>
  Object.entries(o).map(([value, label]) => ({ value, label }));
export const zero = feet(0);

/** Walls as they are called from outside: the front looks to the right of the track in the elevation. */
export const SIDES = ["front", "right", "back", "left"] as const;
export type SideName = (typeof SIDES)[number];
export const sides = options({ front: "Front", right: "Right end", back: "Back", left: "Left end" });
