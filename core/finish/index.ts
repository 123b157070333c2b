/**
 * How a job is finished: what is coated when and with what, how much it takes, and the masks for its glue faces.
 * Example: usualFinish(design).finish[0] is { structure: "house", group: "framing", when: "loose", coats: ["stain"] }.
 */
export * from "./area";
export * from "./coats";
export * from "./groups";
export * from "./plan";
export * from "./masks";
