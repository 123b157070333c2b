/**
 * Statics of plane trusses and beams: tension is positive, y is up; any one unit of length and of force, unless said.
 * Example: solveTruss({ nodes, bars, supports }, [loads]) gives a force for each bar.
 */
export * from "./solve";
export * from "./beam";
