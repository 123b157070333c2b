import { feet, inches } from "../../units";
import type { Build, StructureKind } from "../kind";
import { sheetBuilding } from "../sheet";
import { defaultsOf } from "../spec";
import { tubesDimensions } from "./dimensions";
import { tubesFrame } from "./frame";
import { tubesCheck, tubesRemarks, tubesShown } from "./judgement";
import { houseValues, tubesLayout } from "./layout";
import { TubesParams, tubesSpec, type TubesValues } from "./parameters";

/** Upright tubes in a row: silos, tanks, stacks, from the pipe one has, with what goes round, between and on them. */
export const tubes: StructureKind = {
  id: "tubes",
  name: "Row of tubes",
  purpose: "Silos, tanks or stacks from the pipe that you have: wraps, hoops, panels between, a deck and a headhouse.",
  headline: [{ dimension: "height", words: "high" }],
  version: 1,
  spec: tubesSpec,
  Params: TubesParams,
  home: "side",
  initial: () => ({ ...defaultsOf(tubesSpec) }),
  starts: [
    { name: "Concrete silos with a headhouse", params: { headhouse: "flat", infill: "front" } },
    { name: "Water tank of staves", params: { tubes: 1, wrap: "scribed", hoops: 7, height: feet(16), hoopMargin: inches(9), deckOver: inches(9) } }, // prettier-ignore
    { name: "Stack cut aslant", params: { tubes: 1, diameter: feet(3), height: feet(24), fall: 6 } },
  ],
  check: (p, ctx) => tubesCheck(p as TubesValues, ctx),
  shown: (p, path) => tubesShown(p as TubesValues, path),
  frame: (p, ctx) => tubesFrame(p as TubesValues, ctx),
  dimensions: (p, ctx) => tubesDimensions(p as TubesValues, ctx),
  centreLine: () => undefined,
  builds: (p, ctx) => {
    const v = p as TubesValues;
    const l = tubesLayout(v, ctx);
    const s = ctx.structure;
    const out: Build[] = [
      { id: "plan", name: "Deck over the tubes", right: [1, 0, 0], up: [0, 1, 0], eye: [0, 0, 1], has: (k) => k.member.id === `${s}/deck` }, // prettier-ignore
    ];
    for (const [side, sign] of [["front", 1], ["back", -1]] as const) // prettier-ignore
      out.push({ id: `infill-${side}`, name: `Panels between, ${side}`, right: [sign, 0, 0], up: [0, 0, 1], eye: [0, -sign, 0], has: (k) => k.member.role === "infill panel" && k.member.id.endsWith(side) }); // prettier-ignore
    if (!l.deck || v.headhouse === "none") return out;
    const inner = { ...ctx, structure: `${s}/headhouse` };
    for (const b of sheetBuilding.builds!(houseValues(v) as never, inner)) out.push({ ...b, id: `house-${b.id}`, name: `Headhouse, ${b.name.charAt(0).toLowerCase()}${b.name.slice(1)}` }); // prettier-ignore
    return out;
  },
  remarks: (p, ctx) => tubesRemarks(p as TubesValues, ctx),
  shrinks: {
    length: {
      part: ["tube", "tubes"],
      less: (p, n) => {
        const tubes = (p.tubes as number) - n;
        return tubes >= 1 ? { ...p, tubes } : undefined;
      },
    },
  },
  about: ({ role, id }) =>
    id.includes("/headhouse/") ? ["Headhouse"] : role === "deck" ? ["Deck"] : role === "infill panel" ? ["Between them"] : role === "tube" ? ["Tubes"] : ["Round them"], // prettier-ignore
  newRow: (p, path) => {
    const row = path === "houseOpenings" ? sheetBuilding.newRow!(houseValues(p as TubesValues) as never, "openings") : undefined; // prettier-ignore
    return row;
  },
  describe: (p) => {
    const v = p as TubesValues;
    return `${v.tubes} ${v.tubes === 1 ? "tube" : "tubes"}${v.hoops > 0 ? `, ${v.hoops} hoops` : ""}${v.headhouse !== "none" ? ", headhouse" : ""}`; // prettier-ignore
  },
};
