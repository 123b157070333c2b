/**
 * Points are [x, y, z] in model mm: x along the track or ridge, y across, z up, right-handed. A plane's inside is
 * n·p ≤ d. A solid is convex: faces with corners counter-clockwise seen from outside.
 */
export * from "./vec";
export * from "./tolerance";
export * from "./plane";
export * from "./hexahedron";
export * from "./solid";
export * from "./convex";
export * from "./penetration";
export * from "./polygon";
export * from "./contour";
