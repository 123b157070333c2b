/** Pictures of the prototype: pixels count x to the right and y down from the upper left corner; lengths are prototype mm. */
export * from "./calibration";
export * from "./knownLengths";
export * from "./sheetScale";
export * from "./measure";
export * from "./snap";
export * from "./homography";
export * from "./lens";
export * from "./straighten";
export * from "./trust";
export * from "./camera";
