import { textureOf, type SheetItem } from "../../lumber";
import { layerOutline, type SheetLayout, type SheetWall } from "./layout";

/** What a splice plate reaches past a seam on either side, model mm. */
export const LAP = 6;
/** What stays clear between a seam and an opening with what is glued behind it, and between the seams of two layers, model mm. */
const [CLEAR, APART] = [1.5, 8];
/** What is left of the longest sheet at hand once it was trued: its lines run off by so much across its other side. Model mm. */
export function longestTrue(l: SheetLayout, item: SheetItem): number {
  return l.v.sheetLong - (item.texture ? truedOff(l, item) : 0);
}
/** What truing takes off a sheet whose lines run off, at most: as much as they do across its shorter side. Model mm. */
export const truedOff = (l: SheetLayout, item: SheetItem): number =>
  (l.v.outOfTrue / 100) * Math.min(...item.sizes[0]!);
/** The least length of a part, model mm. */
const LEAST = 10;

/**
 * Where the layers of a wall are parted, from its left end: into as few parts as the longest sheet allows, about as long as
 * each other; on a line where boards stand upright, clear of openings, and each layer elsewhere than those before it, so
 * that it backs their seams. A layer that has no such place is left whole, which is told. Model mm.
 */
export function wallSeams(l: SheetLayout, w: SheetWall): readonly (readonly number[])[] {
  const made: (readonly number[])[] = [];
  // a wall of one layer has a plate behind its seam
  const clear = l.layers.length > 1 ? CLEAR : LAP + CLEAR;
  l.layers.forEach(({ item }, i) => {
    const { outline } = layerOutline(l, w, i);
    const xs = outline.map((p) => p[0]);
    const [from, to] = [Math.min(...xs), Math.max(...xs)];
    const upright = item.texture && textureOf(item.texture.id).runs === "upright" ? item.texture.pitch : undefined;
    const barred = w.made.map(({ opening: { gap, reach } }) => [gap.from - reach.inner - clear, gap.to + reach.inner + clear] as const); // prettier-ignore
    const free = (x: number): boolean => barred.every(([a, b]) => x < a || x > b);
    const seams: number[] = [];
    const longest = longestTrue(l, item);
    for (let start = from; to - start > longest;) {
      const parts = Math.ceil((to - start) / longest - 1e-9);
      const wanted = start + (to - start) / parts;
      const last = Math.min(start + longest, to - LEAST);
      const step = upright ?? 0.5;
      const lines = Array.from({ length: Math.max(0, Math.floor((last - from) / step + 1e-9)) }, (_, k) => from + (k + 1) * step); // prettier-ignore
      const places = lines.filter((x) => x >= start + LEAST && free(x));
      const own = places.filter((x) => made.every((s) => s.every((y) => Math.abs(x - y) >= APART)));
      const of = own.length > 0 ? own : places;
      if (of.length === 0) break;
      const best = of.reduce((a, x) => (Math.abs(x - wanted) < Math.abs(a - wanted) ? x : a));
      seams.push(best);
      start = best;
    }
    made.push(seams);
  });
  return made;
}
/** The seams of a layer that no other layer of the wall runs across. */
export const unbacked = (all: readonly (readonly number[])[], i: number): readonly number[] => all[i]!.filter((x) => all.length === 1 || all.every((s, k) => k === i || s.some((y) => Math.abs(x - y) < APART / 2))); // prettier-ignore
