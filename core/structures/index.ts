/**
 * Kinds of structures: parameters (prototype mm, inches per foot), layout, frame (model mm), dimensions.
 * Example: framerOf("trestle-bent").frame(defaultsOf(bentSpec), { structure: "gulch", scale, stock }).
 */
export * from "./spec";
export * from "./kind";
export * from "./registry";
export * from "./newRow";
export * from "./changeParam";
export * from "./building/shapes";
export * from "./traced";
export {
  forcesOf,
  outlineOf,
  spanUnderTrain,
  whyOf,
  SPAN_LIMITS,
  type MemberForces,
  type SpanCheck,
  type TrussValues,
} from "./truss";
export * from "./whole-trestle";
