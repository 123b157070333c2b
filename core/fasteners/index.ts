/**
 * What joins parts beside glue: pins, dowels, screws, bolts and magnets, at every face that two roles share; the same holes
 * in both parts, and what is too long, too short or too thick. Example: holesOf(design, { joint: "cap>stringer", … }).
 */
export * from "./holes";
export * from "./holeDrawing";
export * from "./judgement";
