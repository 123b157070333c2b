import { NEAR } from "../../geometry";
import { printFeetInches } from "../../units";
import { nominalMm, parseNominal } from "../../lumber";
import type { Remark } from "../kind";
import { bentSpec, type BentValues } from "./parameters";
import { bentLayout, postAt } from "./layout";
import { storyTooLow } from "./swayRoom";
import { unusual } from "../unusual";

const fi = (mm: number): string => printFeetInches(mm);

/** Why a bent's values cannot go together, a sentence each; empty when they can. */
export function bentCheck(v: BentValues): string[] {
  const bad = (["cap", "post", "sill", "middleSill", "sash", "swayBrace"] as const).filter((k) => !parseNominal(v[k]));
  if (bad.length > 0)
    return bad.map((k) => `${bentSpec[k].label} is “${v[k]}”, which is no nominal size; write one such as 12×12.`);
  const lay = bentLayout(v);
  const out: string[] = [];
  const width = nominalMm(v.post).width;
  if (lay.sillTop >= lay.capUnder - width)
    out.push(`Height ${fi(v.height)} leaves no room for posts between cap and sill.`);
  lay.posts.slice(1).forEach((right, i) => {
    const left = lay.posts[i]!;
    for (const [where, z] of [
      ["under the cap", lay.capUnder],
      ["at the sill", lay.sillTop],
    ] as const) {
      const gap = postAt(right, z, lay.capUnder) - postAt(left, z, lay.capUnder);
      const need = (width / 2) * (Math.hypot(1, left.lean) + Math.hypot(1, right.lean));
      if (gap < need) {
        out.push(
          `Posts ${left.name} and ${right.name} would cross ${where}: their centres are ${fi(gap)} apart and the posts need ${fi(need)}. Widen the spacing or take batter off the inner one.`,
        );
        break;
      }
    }
  });
  const outer = lay.posts[lay.posts.length - 1]!;
  const reach = (z: number): number => postAt(outer, z, lay.capUnder) + lay.outerHalf;
  if (reach(lay.capUnder) > lay.capHalf + NEAR)
    out.push(
      `The outer posts reach ${fi(reach(lay.capUnder) - lay.capHalf)} past the ends of the cap. Make the cap at least ${fi(2 * reach(lay.capUnder))} long or move the posts in.`,
    );
  if (reach(lay.sillTop) > lay.sillHalf + NEAR)
    out.push(
      `The outer posts reach ${fi(reach(lay.sillTop) - lay.sillHalf)} past the ends of the sill. Make the sill at least ${fi(2 * reach(lay.sillTop))} long or take off batter.`,
    );
  const edges = [lay.capUnder, ...lay.levels.map((z) => z), lay.sillTop];
  edges.slice(1).forEach((z, i) => {
    if (edges[i]! - z < 2 * width)
      out.push(
        `Story ${i + 1} ${edges[i]! - z > 0 ? `is only ${fi(edges[i]! - z)} high` : "has no height"}; the stories above it leave too little of the ${fi(v.height)}.`,
      );
  });
  if (v.between === "both" && v.stories > 1 && nominalMm(v.sash).width > nominalMm(v.middleSill).width)
    out.push(
      `The sash braces (${v.sash}) are deeper than the sills (${v.middleSill}) they lie on. Choose a narrower brace.`,
    );
  if (out.length === 0) {
    const low = storyTooLow(v, nominalMm);
    if (low) out.push(low);
  }
  return out;
}

/** Whether a parameter plays a part for these values. */
export function bentShown(v: BentValues, path: string): boolean {
  const [name, index] = path.split(".");
  const i = Number(index ?? 0);
  const pairs = Math.floor(v.posts / 2);
  switch (name) {
    case "spacings":
    case "batters":
      return i < pairs;
    case "storyHeights":
      return i < v.stories - 1;
    case "capLength":
      return v.capSet === "length";
    case "capOverhang":
      return v.capSet === "overhang";
    case "sillLength":
      return v.sillSet === "length";
    case "sillOverhang":
      return v.sillSet === "overhang";
    case "between":
    case "levelOverhang":
      return v.stories > 1;
    case "middleSill":
      return v.stories > 1 && v.between !== "sash";
    case "sash":
      return v.stories > 1 && v.between !== "solid";
    case "swayTop":
    case "swayBottom":
    case "swayEnd":
    case "swayBrace":
      return v.sway;
    case "swayBeyond":
      return v.sway && v.swayEnd === "square";
    default:
      return true;
  }
}

/** What posts stand on or under: the parameter of its size, and how it is called. */
const bearersOf = (v: BentValues): readonly (readonly ["cap" | "sill" | "middleSill", string])[] => [
  ["cap", "cap"],
  ["sill", "sill"],
  ...(v.between !== "sash" && v.stories > 1 ? [["middleSill", "intermediate sill"] as const] : []),
];
/** Posts thicker than what they bear on stand past it on both sides; a prototype's caps and sills are at least as thick. */
export const thickPosts = (v: BentValues): Remark[] =>
  bearersOf(v).flatMap(([param, name]): Remark[] => {
    const [post, bearer] = [nominalMm(v.post), nominalMm(v[param])];
    if (bearer.thickness >= post.thickness) return [];
    const wide = v[param].split("×")[1]!;
    const size = `${v.post.split("×")[0]!}×${wide}`;
    return [
      {
        level: "warning",
        param,
        text: `The posts (${v.post}) are thicker than the ${name} (${v[param]}) and bear on ${fi(bearer.thickness)} of their ${fi(post.thickness)}; the rest stands past it. Give the ${name} at least the posts' thickness.`,
        fix: { label: `Take ${size}`, value: size },
      },
    ];
  });

/** Values out of the usual range of their parameter, for every parameter in play, and posts that stand past what they bear on. */
export function bentRemarks(v: BentValues): Remark[] {
  return [...unusual(bentSpec, v, (p) => bentShown(v, p)), ...thickPosts(v)];
}
