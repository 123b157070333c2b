import type { StructureKind } from "../kind";
import { buildingFace } from "./face";
import { counting } from "./floorAlone";
import { buildingFrame } from "./frame";
import type { BuildingValues } from "./parameters";
import { unseenSticks } from "./unseen";

/** Framed buildings and sheds: floor, walls of studs or of posts and girts, roof, what covers them, wings and platforms. */
export const building: StructureKind = {
  ...buildingFace,
  frame: (p, ctx) => buildingFrame(counting(p as BuildingValues), ctx),
  unseen: (p, ctx) => unseenSticks(counting(p as BuildingValues), ctx),
};
