/**
 * The order in which a job is built as its builder decided it: the order of assembly with the coats of its finish and what
 * was changed by hand in it, and the mistakes it would make. Example: buildOrder(design).mistakes is [] where nothing is wrong.
 */
export * from "./beforeRoof";
export * from "./edited";
export * from "./finishSteps";
export * from "./glues";
export * from "./masterSteps";
export * from "./mistakes";
export * from "./order";
export * from "./partialOrder";
