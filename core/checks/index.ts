/** Cardo's judgement: findings(design) gives sentences with numbers, a level, a place and, where there is one, a remedy. */
export * from "./findings";
export * from "./virtualBench";
export * from "./compare";
