import type { PaperColoursDoc } from "../job";

/** Papers that a mock-up begins with: buff walls, a brown roof, darker trim. */
export const PAPERS: PaperColoursDoc = { walls: "#d2b277", roof: "#6d5240", rest: "#8c5f38" };
