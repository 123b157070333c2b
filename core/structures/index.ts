/**
 * Kinds of structures: parameters (prototype mm, inches per foot), layout, frame (model mm), dimensions.
 * Example: kindOf("trestle-bent").frame(defaultsOf(bentSpec), { structure: "gulch", scale, stock }).
 */
export * from "./spec";
export * from "./kind";
export * from "./registry";
export * from "./traced";
