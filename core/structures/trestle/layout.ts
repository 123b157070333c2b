import { nominalMm } from "../../lumber";
import type { BentValues } from "./parameters";

/** One post's line at prototype size: y at the underside of the nominal cap, and how much further out it is per mm of drop. */
export interface PostLine {
  /** "L2", "R1" or "C": side and number from the middle. */
  readonly name: string;
  readonly side: -1 | 0 | 1;
  readonly yTop: number;
  /** dy per mm down; positive runs to +y. */
  readonly lean: number;
  /** Index into `batters`, undefined for a middle post. */
  readonly pair: number | undefined;
}
/** Where things are before any stock: prototype mm, y across from the centre line, z up from the top of the cap. */
export interface BentLayout {
  readonly capTop: number;
  readonly capUnder: number;
  readonly sillTop: number;
  readonly sillFoot: number;
  readonly posts: readonly PostLine[];
  /** Centre lines of the horizontals between stories, from the top. */
  readonly levels: readonly number[];
  /** Half lengths. */
  readonly capHalf: number;
  readonly sillHalf: number;
  readonly levelHalves: readonly number[];
  /** Horizontal half width of the outer post at its nominal size. */
  readonly outerHalf: number;
}

/** y of a post's centre line at a height. */
export const postAt = (p: PostLine, z: number, capUnder: number): number => p.yTop + p.lean * (capUnder - z);

/** Places the bent's lines: levels and post centres from nominal sizes, so that they stay when the stock differs. */
export function bentLayout(v: BentValues): BentLayout {
  let made = known.get(v);
  if (!made) known.set(v, (made = makeLayout(v)));
  return made;
}
const known = new WeakMap<BentValues, BentLayout>();

function makeLayout(v: BentValues): BentLayout {
  const capUnder = -nominalMm(v.cap).width;
  const sillFoot = -v.height;
  const sillTop = sillFoot + nominalMm(v.sill).width;
  const pairs = Math.floor(v.posts / 2);
  const odd = v.posts % 2 === 1;
  const posts: PostLine[] = odd ? [{ name: "C", side: 0, yTop: 0, lean: 0, pair: undefined }] : [];
  let y = 0;
  for (let k = 0; k < pairs; k++) {
    y += k === 0 && !odd ? v.spacings[0]! / 2 : v.spacings[k]!;
    const pair = pairs - 1 - k;
    const lean = v.batters[pair]! / 12;
    posts.unshift({ name: `L${k + 1}`, side: -1, yTop: -y, lean: -lean, pair });
    posts.push({ name: `R${k + 1}`, side: 1, yTop: y, lean, pair });
  }
  const outer = posts[posts.length - 1]!;
  const outerHalf = (nominalMm(v.post).width / 2) * Math.hypot(1, outer.lean);
  let z = 0;
  const levels = Array.from({ length: v.stories - 1 }, (_, i) => (z -= v.storyHeights[i]!));
  const edge = (at: number): number => postAt(outer, at, capUnder) + outerHalf;
  return {
    capTop: 0,
    capUnder,
    sillTop,
    sillFoot,
    posts,
    levels,
    capHalf: v.capSet === "length" ? v.capLength / 2 : edge(capUnder) + v.capOverhang,
    sillHalf: v.sillSet === "length" ? v.sillLength / 2 : edge(sillTop) + v.sillOverhang,
    levelHalves: levels.map((l) => edge(l - nominalMm(v.middleSill).width / 2) + v.levelOverhang),
    outerHalf,
  };
}
