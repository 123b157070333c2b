/**
 * Cutting sticks. Lengths are mm; the cuts of a stick fit when Σ(length + kerf) ≤ stick + kerf.
 * Example: solveSticks({ kerf: 0, stock: [{ length: 5600, count: null, cost: 1 }], demand: [{ length: 1380, count: 22 }] }).
 */
export * from "./problem";
export * from "./fill";
export * from "./bounds";
export * from "./knapsack";
export * from "./linear";
export * from "./solve";
export * from "./aims";
export * from "./headToTail";
export * from "./plan";
export * from "./setups";
