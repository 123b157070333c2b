/**
 * Timber sizes and what is sold. Nominal sizes are inches of the prototype; sections of stock are model mm with
 * thickness ≤ width. Example: chooseStock({thickness: 12, width: 12}, "12×12", policy, HO) is scale lumber 3.5 × 3.5 mm.
 */
export * from "./nominal";
export * from "./series";
export * from "./own";
export * from "./match";
export * from "./choose";
export * from "./sheets";
export * from "./tubes";
export * from "./shapes";
export * from "./stripped";
export * from "./ways";
