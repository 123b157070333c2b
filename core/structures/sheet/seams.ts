import type { PanelBody } from "../../frame";
import { sheetOf, textureOf, type SheetItem } from "../../lumber";
import { layerOutline, type SheetLayout, type SheetWall } from "./layout";

/** The sheet that splice plates are of: common practice. */
export const PLATE = "sheet/styrene/40";
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
/** How far in from the outside of a wall a roof's underside is clear: behind its layers, what of windows stands out into the room, and the plates behind its own seams. Model mm. */
export const insideOf = (l: SheetLayout): number => l.stack + Math.max(sheetOf(PLATE)!.thickness, ...l.walls.flatMap((w) => w.made.map(({ opening }) => opening.into))); // prettier-ignore
/** Into as few equal lengths as the longest sheet allows: the places of the seams from one end. */
export function evenSeams(from: number, to: number, longest: number): readonly number[] {
  const parts = Math.max(1, Math.ceil((to - from) / longest - 1e-9));
  return Array.from({ length: parts - 1 }, (_, i) => from + ((to - from) * (i + 1)) / parts);
}
/**
 * Where a roof sheet that reaches `half` to either side of the middle is parted: as evenly as what goes through it and the
 * walls under its ends allow, a plate being glued under every seam. One that has no such place is left whole, which is
 * told. Model mm.
 */
export function roofSeams(l: SheetLayout, half: number, holes: PanelBody["holes"]): readonly number[] {
  const longest = longestTrue(l, l.roof);
  const room = LAP + CLEAR;
  const ends = l.long / 2 - insideOf(l) - room;
  const barred = holes.map(({ outline }) => [Math.min(...outline.map((p) => p[0])) - room, Math.max(...outline.map((p) => p[0])) + room] as const); // prettier-ignore
  const free = (x: number): boolean => Math.abs(x) <= ends && barred.every(([a, b]) => x < a || x > b);
  const out: number[] = [];
  for (let start = -half; half - start > longest + 1e-9;) {
    const [wanted] = evenSeams(start, half, longest);
    const places = Array.from({ length: Math.ceil((longest - LEAST) / 0.5) }, (_, i) => start + longest - i * 0.5);
    const of = [wanted!, ...places].filter((x) => x >= start + LEAST && x <= half - LEAST && free(x));
    if (of.length === 0) break;
    out.push((start = of.reduce((a, x) => (Math.abs(x - wanted!) < Math.abs(a - wanted!) ? x : a))));
  }
  return out;
}
/** The seams of a layer that no other layer of the wall runs across. */
export const unbacked = (all: readonly (readonly number[])[], i: number): readonly number[] => all[i]!.filter((x) => all.length === 1 || all.every((s, k) => k === i || s.some((y) => Math.abs(x - y) < APART / 2))); // prettier-ignore
