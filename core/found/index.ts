/**
 * Members found on a sheet, in its pixels, to be offered one by one. Example: membersAmong(await inkStrokes(image),
 * { least: 4, most: 60, skew: 1, slack: 2.5 }); on a vector sheet vectorStrokes takes the place of inkStrokes.
 */
export * from "./stroke";
export * from "./members";
export * from "./search";
export * from "./inkStrokes";
export * from "./vectorStrokes";
