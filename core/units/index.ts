/**
 * Lengths are mm with a brand, `Prototype` or `Model`; only a `Scale` crosses. Angles are degrees unless a name says
 * radians. Example: toModel(scaleOf("HO"), feet(21)) is 73.5 model mm.
 */
export * from "./brands";
export * from "./scale";
export * from "./parseLength";
export * from "./parseNumber";
export * from "./printArea";
export * from "./printLength";
export * from "./plain";
export * from "./tellIn";
export * from "./parseMarked";
export * from "./day";
