import { MM_PER_INCH, model, printFraction, printNumber, type Model } from "../units";
import type { StockItem } from "./series";

/** A tube or pipe: its outside is its section. */
export interface Tube extends StockItem {
  readonly wall: Model;
}
const tube = (id: string, name: string, outside: number, wall: number, lengths: readonly number[]): Tube => ({ id: `tube/${id}`, series: "tube", name, shape: "round", thickness: model(outside), width: model(outside), wall: model(wall), lengths: lengths.map(model) }); // prettier-ignore

/** Thirty-seconds of an inch. */
const STYRENE = [3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14, 16];
/** Outside and wall, mm. */
const PIPE = [[16, 1.2], [20, 1.5], [25, 1.5], [32, 1.8], [40, 1.8], [50, 1.8], [63, 2], [75, 1.8], [90, 1.8], [110, 2.7], [125, 3], [160, 4], [200, 4.9]] as const; // prettier-ignore
const CARD = [
  [22, 1],
  [30, 1],
  [43, 1.5],
  [50, 2],
  [76, 3],
  [100, 3],
] as const;
/** Generic tubes by diameter and wall, as sold. Sizes, walls and lengths from memory, common practice. */
export const TUBES: readonly Tube[] = [
  ...STYRENE.map((n) => tube(`styrene/${n}`, `Styrene tube ${printFraction(n / 32, 32)} in`, (n / 32) * MM_PER_INCH, 0.028 * MM_PER_INCH, [14 * MM_PER_INCH])), // prettier-ignore
  ...PIPE.map(([d, w]) => tube(`pipe/${d}`, `Plastic pipe ${d} mm`, d, w, [1000, 2000])),
  ...CARD.map(([d, w]) => tube(`card/${d}`, `Card tube ${d} mm`, d, w, [1000])),
];
/** Whether a stock item is a tube, sold or of one's own. */
export const isTube = (id: string): boolean => id.startsWith("tube/");
const byId = new Map(TUBES.map((t) => [t.id, t]));
/** A tube of one's own, as measured: outside and wall, model mm. */
export const ownTubeId = (outside: number, wall: number): string =>
  `tube/own/${Number(outside.toFixed(3))}x${Number(wall.toFixed(3))}`;
/** A tube by its id, "tube/pipe/110" or "tube/own/206x4"; undefined where it is none. One's own is as long as it needs to be, up to 2 m. */
export function tubeOf(id: string): Tube | undefined {
  const known = byId.get(id);
  const own = known ? undefined : /^tube\/own\/(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?)$/.exec(id);
  if (!own) return known;
  const [outside, wall] = [Number(own[1]), Number(own[2])];
  const made = tube(id.slice(5), `Tube ${printNumber(outside, 1).replace(/\.0$/, "")} mm, as measured`, outside, wall, [2000]); // prettier-ignore
  byId.set(id, made);
  return made;
}
/** The tube nearest to an outside diameter, model mm, by ratio: half is as far off as double. Of two as near the larger. */
export const nearestTube = (outside: number): Tube =>
  [...TUBES].sort((a, b) => Math.abs(Math.log(a.width / outside)) - Math.abs(Math.log(b.width / outside)) || b.width - a.width)[0]!; // prettier-ignore
