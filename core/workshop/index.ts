/**
 * Jigs as things: made by a few figures, as plates for a cutter and as a solid to print. Model mm, which are the bench's own.
 * Example: makeJig(workshopKind("spacer")!, { gap: 5, long: 40, high: 6, count: 2 }).plates[0].area is one rectangle.
 */
export * from "./plate";
export * from "./kinds";
export * from "./files";
