/** Lists on paper: the cut list, the stick and sheet layouts and the findings of a design as pages, mm. */
export { CUT_CAUTION, listed, type Listed } from "./words";
export * from "./briefPages";
export * from "./booklet";
export * from "./bookletParts";
export * from "./cutListPages";
export * from "./stepPages";
export * from "./finishPages";
export * from "./stickPages";
export * from "./sheetPages";
export * from "./findingPages";
export * from "./labelGrid";
export * from "./labelPages";
export * from "./setUpPages";
export * from "./shoppingPages";
