/**
 * The plan of a job: its structures as they stand beside and on top of one another, model mm, x to the right and y up as the
 * plan is drawn, z up. Example: standing(designOf(doc)) gives the structures that have a place; clashOf(a, b) what of them is in each other.
 */
export * from "./place";
export * from "./standing";
export * from "./clash";
export * from "./backToBack";
export * from "./planFacts";
export * from "./placedWall";
export * from "./snap";
export * from "./clearances";
