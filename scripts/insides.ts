import { FITTING } from "../core/inside";
import type { Fitting, FittingDoc, InsideDoc, RoomLampDoc } from "../core/job";
import { feet } from "../core/units";

/** A body of its usual size, its middle so many feet from the left and from the front. */
const body = (
  id: string,
  kind: Fitting,
  name: string,
  x: number,
  y: number,
  turn = 0,
  more: Partial<FittingDoc> = {},
): FittingDoc => {
  const [length, depth, high] = FITTING[kind].size;
  return { id, name, kind, x: feet(x), y: feet(y), turn, length, depth, low: 0, high, ...more };
};
/** A lamp of the rooms, so many feet from the left and from the front, 9 ft over the floor. */
const lamp = (n: number, x: number, y: number): RoomLampDoc => ({ id: `lamp-${n}`, name: `Lamp ${n}`, of: "waiting", x: feet(x), y: feet(y), z: feet(9) }); // prettier-ignore
/** The depot inside: a waiting room with its stove, the agent's office with the counter, the freight room; two partitions between them. */
export const depotInside: InsideDoc = {
  structure: "house",
  things: [
    body("wall-1", "partition", "Partition", 28.5, 10.5, 90, { length: feet(20.5), high: feet(11) }),
    body("wall-2", "partition", "Partition 2", 43.8, 10.5, 90, { length: feet(20.5), high: feet(11) }),
    body("bench-1", "bench", "Bench", 4.2, 17, 0),
    body("bench-2", "bench", "Bench 2", 20, 17.5, 0),
    body("stove", "stove", "Stove", 18, 9),
    body("traveller", "person", "Traveller", 8, 12, 30),
    body("counter", "counter", "Ticket counter", 26, 13, 90),
    body("desk", "desk", "Telegraph desk", 37, 2.2),
    body("agent", "person", "Agent", 37, 4.8),
    body("shelf", "shelf", "Shelf", 39, 19.5),
    body("scale", "machine", "Freight scale", 52, 11),
    body("crate-1", "crate", "Crate", 61, 18),
    body("crate-2", "crate", "Barrels", 54, 18.5),
  ],
  box: 0.5,
  lamps: [lamp(1, 7, 10.5), lamp(2, 21, 10.5), lamp(3, 36, 10.5)],
  wires: "back right",
};
/** The cottage's one room, as the agent left it this morning. */
export const cottageInside: InsideDoc = {
  structure: "cottage",
  things: [
    body("bed", "bed", "Bed", 22, 14.2),
    body("table", "table", "Table", 13, 8),
    body("chair", "chair", "Chair", 13, 5.6),
    body("stove", "stove", "Stove", 5, 14.5),
    body("shelf", "shelf", "Shelf", 25.5, 2.6, 90),
  ],
};
