/** Pictures of the prototype: pixels count x to the right and y down from the upper left corner; lengths are prototype mm. */
export * from "./calibration";
