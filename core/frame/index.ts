/**
 * The kernel. Frames are in model mm, x along the track or ridge, y across, z up. A member is the body of its stock
 * ∩ half-spaces − convex cutters; generators place members and declare joints, the joints cut.
 * Example: a post butted under a cap is
 * { kind: "butt", id: "post>cap", a: "post", end: 1, b: "cap", face: "-v", contact: "face" }.
 */
export * from "./member";
export * from "./moved";
export * from "./section";
export * from "./ring";
export * from "./axes";
export * from "./stock-body";
export * from "./alignment";
export * from "./component";
export * from "./cuts";
export * from "./resolve";
export * from "./splice";
export * from "./textureLines";
export * from "./shownEdges";
export * from "./interference";
export * from "./joinedPairs";
export * from "./bearing";
export * from "./pieceShape";
export * from "./profileOf";
export * from "./entry";
export * from "./samePiece";
export * from "./pieces";
export * from "./lying";
export * from "./bend";
export * from "./gluedUp";
