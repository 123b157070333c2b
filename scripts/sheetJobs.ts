import "../core/structures/all";
import { emptyJob, newStructure, type JobDoc } from "../core/job";
import { kindOf } from "../core/structures";
import { feet, inches } from "../core/units";

const window = (wall: string, at: number, width: number, height: number, sill: number) => ({ wall, kind: "window", at: feet(at), width: feet(width), height: feet(height), sill: feet(sill), mount: "flange", lap: inches(4) }); // prettier-ignore
const door = (wall: string, at: number, width: number, height: number) => ({ ...window(wall, at, width, height, 0), kind: "door", mount: "inside", lap: 0 }); // prettier-ignore

/** The railway's company store: brick sheet on a core of board, a flat roof behind its parapet, shop windows and a row of sashes over them. */
export function companyStore(): JobDoc {
  const job = emptyJob("Company store");
  const block = kindOf("sheet").starts!.find((s) => s.name === "Brick-faced block, flat roof")!;
  const sashes = [5, 35 / 3, 55 / 3, 25];
  const store = newStructure("sheet", "store", "Store", {
    ...block.params,
    parapet: feet(3),
    openings: [
      window("front", 7, 8, 7, 2),
      door("front", 15, 4, 9),
      window("front", 23, 8, 7, 2),
      ...sashes.map((at) => window("front", at, 3, 6, 14)),
      ...[6, 15, 25, 34].flatMap((at) => [window("right", at, 3, 5, 3.5), window("right", at, 3, 6, 14)]),
      door("back", 8, 6, 8),
      ...sashes.map((at) => window("back", at, 3, 6, 14)),
    ],
  });
  return {
    ...job,
    brief: {
      ...job.brief,
      railroad: "Pellam Notch Railway",
      place: "Across the road from the depot; its left end stands against the hill and has no windows.",
      spotLength: 160,
      spotDepth: 180,
      era: "Summer 1909",
      decisions: [
        {
          id: "ends",
          what: "The ends run through",
          reason: "The corner's seam then lies on the street side, where a downspout hides it.",
        },
      ],
    },
    structures: [store],
  };
}
