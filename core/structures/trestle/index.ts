import type { StructureKind } from "../kind";
import { bentCheck, bentRemarks, bentShown } from "./check";
import { bentDimensions } from "./dimensions";
import { bentFrame } from "./frame";
import { feet } from "../../units";
import { defaultsOf } from "../spec";
import { BentParams, bentSpec, type BentValues } from "./parameters";

/** Framed trestle bent: stands in the plane x = 0, y across, top of the cap at z = 0, hanging down. */
export const trestleBent: StructureKind = {
  id: "trestle-bent",
  name: "Framed trestle bent",
  purpose: "One bent: cap, posts, sill and braces, over its drawing or from figures.",
  headline: [{ dimension: "height", words: "top of cap to foot of sill" }],
  version: 1,
  spec: bentSpec,
  Params: BentParams,
  home: "front",
  initial: () => ({ ...defaultsOf(bentSpec) }),
  starts: [
    { name: "Low bent, one story", params: { height: feet(12), stories: 1 } },
    { name: "Bent of two stories", params: {} },
    { name: "Tall bent, three stories", params: { height: feet(45), stories: 3 } },
  ],
  check: (p) => bentCheck(p as BentValues),
  shown: (p, path) => bentShown(p as BentValues, path),
  frame: (p, ctx) => bentFrame(p as BentValues, ctx),
  dimensions: (p, ctx) => bentDimensions(p as BentValues, ctx),
  centreLine: () => 0,
  about: ({ role }) =>
    /brace/.test(role) ? ["Sway braces"] : /post/.test(role) ? ["Posts", "Stories"] : ["Outline", "Timbers"],
  remarks: (p) => bentRemarks(p as BentValues),
  describe: (p) => {
    const v = p as BentValues;
    return `Framed bent, ${v.posts} posts, ${v.stories} ${v.stories === 1 ? "story" : "stories"}`;
  },
};
