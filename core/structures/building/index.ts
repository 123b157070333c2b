import type { Params, StructureKind } from "../kind";
import { defaultsOf } from "../spec";
import { buildsOf } from "./builds";
import { buildingFollow } from "./follow";
import { aboutStick } from "./about";
import { buildingRow } from "./newRows";
import { reachRemarks } from "./judgement/reach";
import { unseenSticks } from "./unseen";
import { counting } from "./floorAlone";
import { buildingCheck } from "./judgement/check";
import { buildingRemarks } from "./judgement/remarks";
import { buildingShown } from "./shown";
import { buildingDimensions } from "./dimensions";
import { buildingFrame } from "./frame";
import { buildingLayout } from "./plan/layout";
import { BUILDING_STARTS } from "./starts";
import { buildingView } from "./judgement/viewLine";
import { noteRemarks } from "./openings/notes";
import { BuildingParams, buildingSpec, type BuildingValues } from "./parameters";

export { buildingLayout, type BuildingLayout, type Part, type Wall } from "./plan/layout";
export { facetsOf, trueShape, type Facet } from "./roof/facets";
export { compressBuilding, footprint, type Compressed } from "./compress";
export { bayShapes, baysOf } from "./bay/bay";
export { coverHoles } from "./roof/covering";
export { raisedOf, wallsOf } from "./plan/raised";
export { interruptionsOf } from "./roof/valley";
export { buildsOf, facetWords, type BuildingBuild } from "./builds";
export { isCladding } from "./cladding/cladRoles";
export type { BuildingValues } from "./parameters";

const ROOFS: Readonly<Record<BuildingValues["roof"], string>> = {
  none: "no roof",
  gable: "gable roof",
  saltbox: "saltbox roof",
  gambrel: "gambrel roof",
  shed: "shed roof",
  hip: "hip roof",
  hipdeck: "hip roof with a deck",
  flat: "flat roof",
};
const of = (p: Params): BuildingValues => counting(p as BuildingValues);

/** Framed buildings and sheds: floor, walls of studs or of posts and girts, roof, what covers them, wings and platforms. */
export const building: StructureKind = {
  id: "building",
  name: "Framed building",
  purpose: "Walls, floor and roof of sticks, clad, with wings, platforms and what stands under them.",
  headline: [
    { dimension: "height", words: "from floor to peak" },
    { dimension: "wallHeight", words: "high walls" },
  ],
  offers: ["fit"],
  stiffenedBy: "the cladding or a sheet behind",
  version: 4,
  spec: buildingSpec,
  Params: BuildingParams,
  home: "side",
  initial: () => ({ ...defaultsOf(buildingSpec) }),
  starts: BUILDING_STARTS,
  check: (p, context) => buildingCheck(of(p), context),
  shown: (p, path) => buildingShown(p as BuildingValues, path),
  frame: (p, ctx) => buildingFrame(of(p), ctx),
  dimensions: (p, ctx) => buildingDimensions(of(p), ctx),
  centreLine: () => undefined,
  builds: (p, ctx) => buildsOf(buildingLayout(of(p), ctx)),
  remarks: (p, ctx) => [...buildingRemarks(of(p), ctx), ...(ctx ? reachRemarks(of(p), ctx.scale) : [])],
  notes: (p, noted) => noteRemarks(of(p), noted),
  viewLine: (p, ctx) => buildingView(of(p), ctx),
  newRow: (p, path) => buildingRow(p as BuildingValues, path),
  follow: (p, path) => buildingFollow(p as BuildingValues, path),
  about: aboutStick,
  unseen: (p, ctx) => unseenSticks(of(p), ctx),
  describe: (p) => {
    const v = of(p);
    const wings = v.wings.length === 0 ? "" : `, ${v.wings.length} wing${v.wings.length > 1 ? "s" : ""}`;
    return `${v.framing === "posts" ? "Post-and-girt" : "Stud-framed"} building, ${ROOFS[v.roof]}${wings}`;
  },
};
