/** Lists on paper: the cut list, the stick layout and the findings of a design as pages, mm. */
export * from "./cutListPages";
export * from "./stickPages";
export * from "./findingPages";
