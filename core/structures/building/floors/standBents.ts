import { nominalMm } from "../../../lumber";
import { feet, prototype } from "../../../units";
import { defaultsOf } from "../../spec";
import { trestleCheck } from "../../whole-trestle/check";
import { trestleSpec, type TrestleValues } from "../../whole-trestle/parameters";
import type { BuildingValues } from "../parameters";

/** The bents of a heavy stand as a trestle's: as many as asked for, their caps as long as the floor is wide, the outer ones flush with its ends. */
export function standValues(v: BuildingValues): TrestleValues {
  const cap = nominalMm(v.standCap);
  const n = v.standBents;
  const bay = (v.length - cap.thickness) / (n - 1);
  const post = nominalMm(v.standPost);
  // outer posts half a foot in from the ends of the caps, the others evenly between
  const outer = v.width - post.thickness - feet(1);
  const gap = outer / (v.standPosts - 1);
  return {
    ...defaultsOf(trestleSpec),
    bentSet: "each",
    bays: Array.from({ length: n - 1 }, () => bay),
    groundBy: "heights",
    heights: Array.from({ length: n }, () => v.standHeight),
    posts: v.standPosts,
    spacings: [gap, gap, gap],
    batters: [v.standBatter, v.standPosts > 4 ? v.standBatter / 2 : 0, 0],
    capSet: "length",
    capLength: v.width,
    cap: v.standCap,
    post: v.standPost,
    sill: v.standCap,
    middleSill: v.standCap,
    swayBrace: v.standBrace,
    brace: v.standBrace,
    girt: v.standGirt,
    topStory: v.standStory,
    story: v.standStory,
    leastStory: prototype(v.standStory / 2),
    footing: v.standFooting,
    girts: "outer",
    braces: "every",
    braceFaces: "outside",
    stringers: false,
    ties: false,
    bulkheads: false,
  };
}
/** Why a stand cannot be framed, in the words of its bents. */
export const standFaults = (v: BuildingValues): string[] => trestleCheck(standValues(v)).map((s) => `Stand: ${s}`);
