/**
 * The inside of a building: its room between the walls with its doors and windows, what stands in it as simple bodies, what
 * is in each other's way, what is seen of it from where one stands, its plan and section, and a box that slides in. The
 * room in model mm from its left front corner inside, x to the right, y to the back, z from the floor; bodies in prototype mm.
 */
export * from "./covers";
export * from "./drawings";
export * from "./fittings";
export * from "./judged";
export * from "./lampNotes";
export * from "./room";
export * from "./roomOf";
export * from "./seen";
export * from "./wiring";
