/**
 * The job document: what a person decided, stored as JSON (docs/job-format.md). Lengths of parameters are prototype mm,
 * of stock and cutting model mm. Everything else is computed by designOf(doc).
 */
export * from "./document";
export * from "./buildDoc";
export * from "./spotDoc";
export * from "./papersDoc";
export * from "./eraDoc";
export * from "./insideDoc";
export * from "./masters";
export * from "./rescale";
export * from "./sources";
export * from "./drawings";
export { completed, migrate } from "./migrations";
export * from "./error";
export { paramProblems } from "./params";
export * from "./read";
export * from "./create";
export * from "./design";
export * from "./freeze";
export * from "./issue";
export * from "./bench";
export * from "./issueDoc";
export * from "./progress";
export * from "./file";
export * from "./cutList";
export * from "./whereRanges";
export * from "./cutTable";
export * from "./sawWords";
export * from "./measured";
export * from "./chosenVariant";
export * from "./report";
export * from "./picture";
export * from "./look";
export * from "./sheetTaken";
export * from "./setUpWords";
export * from "./toCut";
