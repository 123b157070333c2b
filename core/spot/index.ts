/**
 * A structure and its spot: what of it is off the spot or in what is on it, and where it goes. Plan coordinates, model mm.
 * Example: fitOnSpot(designOf(doc), "s1").place is the nearest place at which it is clear of everything.
 */
export * from "./obstacles";
export * from "./onSpot";
export * from "./fit";
export * from "./section";
export * from "./levels";
export * from "./neighbour";
export * from "./onPhoto";
export * from "./papers";
export * from "./compress";
