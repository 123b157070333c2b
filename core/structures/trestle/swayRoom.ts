import { bentLayout, type BentLayout, type PostLine } from "./layout";
import type { BentValues } from "./parameters";
import { placeSway, type Band } from "./sway";

/** Told of a story, counted from 0. */
export const tooLow = (story: number): string =>
  `Story ${story + 1} has no room for its sway braces: make it higher or its posts wider apart, give the braces less clearance, or leave them off.`;

/** The work line of a story's sway brace between a top and a foot, by lengths in one unit that `mm` takes prototype mm to; undefined where it has no room. */
export function swayLine(
  v: BentValues,
  lay: BentLayout,
  mm: (n: number) => number,
  postHalf: number,
  half: number,
  top: number,
  foot: number,
): ReturnType<typeof placeSway> {
  const band = (p: PostLine): Band => {
    const l = Math.hypot(1, p.lean);
    return { at: [mm(p.yTop), mm(lay.capUnder)], dir: [-p.lean / l, 1 / l], half: postHalf };
  };
  const rule = { finish: v.swayEnd === "flush" ? "flush" : "square", beyond: mm(v.swayBeyond) } as const;
  const [left, right] = [band(lay.posts[0]!), band(lay.posts[lay.posts.length - 1]!)];
  return placeSway(left, right, half, top - mm(v.swayTop), foot + mm(v.swayBottom), rule);
}

/** The story, counted from 0, in which a sway brace at nominal sizes has no room; undefined when all have. Prototype mm. */
export function storyTooLow(v: BentValues, nominal: (name: string) => { readonly width: number }): string | undefined {
  if (!v.sway) return undefined;
  const lay = bentLayout(v);
  const half = nominal(v.between === "sash" ? v.sash : v.middleSill).width / 2;
  const above = [lay.capUnder, ...lay.levels.map((z) => z - half)];
  const below = [...lay.levels.map((z) => z + half), lay.sillTop];
  const s = above.findIndex(
    (top, i) => !swayLine(v, lay, (n) => n, nominal(v.post).width / 2, nominal(v.swayBrace).width / 2, top, below[i]!),
  );
  return s < 0 ? undefined : tooLow(s);
}
