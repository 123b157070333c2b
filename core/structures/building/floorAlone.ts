import type { BuildingValues } from "./parameters";

/**
 * The values that count: a floor alone has no walls for openings, wings, a loft or partitions, and carries no roof, whatever
 * was asked before its walls were taken away; it keeps its platforms and its stairs. What is left out is kept in the job.
 */
export const counting = (v: BuildingValues): BuildingValues =>
  v.framing !== "none"
    ? v
    : {
        ...v,
        roof: "none",
        floor: "under",
        openings: [],
        partitions: [],
        dormers: [],
        roofHoles: [],
        loft: false,
        monitor: false,
        wings: v.wings.filter((w) => w.kind === "platform"),
      };
