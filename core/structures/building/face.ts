import type { KindFace, Params } from "../kind";
import { defaultsOf } from "../spec";
import { buildsOf } from "./builds";
import { buildingFollow } from "./follow";
import { aboutStick } from "./about";
import { buildingRow } from "./newRows";
import { reachRemarks } from "./judgement/reach";
import { counting } from "./floorAlone";
import { buildingCheck } from "./judgement/check";
import { buildingRemarks } from "./judgement/remarks";
import { buildingShown } from "./shown";
import { buildingDimensions } from "./dimensions";
import { buildingLayout } from "./plan/layout";
import { outerWalls } from "./plan/outerWalls";
import { BUILDING_STARTS } from "./starts";
import { buildingView } from "./judgement/viewLine";
import { noteRemarks } from "./openings/notes";
import { BuildingParams, buildingSpec, type BuildingValues } from "./parameters";

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

/** Framed buildings and sheds: all that a screen asks of one whose sticks a worker makes. */
export const buildingFace: KindFace = {
  id: "building",
  name: "Framed building",
  purpose: "Walls, floor and roof of sticks, clad, with wings, platforms and what stands under them.",
  headline: [
    { dimension: "height", words: "from floor to peak" },
    { dimension: "wallHeight", words: "high walls" },
  ],
  offers: ["fit", "unseen"],
  stiffenedBy: "the cladding or a sheet behind",
  version: 5,
  spec: buildingSpec,
  Params: BuildingParams,
  home: "side",
  initial: () => ({ ...defaultsOf(buildingSpec) }),
  starts: BUILDING_STARTS,
  check: (p, context) => buildingCheck(of(p), context),
  shown: (p, path) => buildingShown(p as BuildingValues, path),
  dimensions: (p, ctx) => buildingDimensions(of(p), ctx),
  centreLine: () => undefined,
  builds: (p, ctx) => buildsOf(buildingLayout(of(p), ctx)),
  remarks: (p, ctx) => [...buildingRemarks(of(p), ctx), ...(ctx ? reachRemarks(of(p), ctx.scale) : [])],
  notes: (p, noted) => noteRemarks(of(p), noted),
  viewLine: (p, ctx) => buildingView(of(p), ctx),
  outerWalls: (p, ctx) => outerWalls(buildingLayout(of(p), ctx)),
  newRow: (p, path) => buildingRow(p as BuildingValues, path),
  follow: (p, path) => buildingFollow(p as BuildingValues, path),
  about: aboutStick,
  describe: (p) => {
    const v = of(p);
    const wings = v.wings.length === 0 ? "" : `, ${v.wings.length} wing${v.wings.length > 1 ? "s" : ""}`;
    return `${v.framing === "posts" ? "Post-and-girt" : "Stud-framed"} building, ${ROOFS[v.roof]}${wings}`;
  },
};
