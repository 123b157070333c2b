import type { Scale } from "../units";
import { apart, matches, matchOf, type Match, type Wanted } from "./match";
import type { SeriesId, StockItem } from "./series";
import { strippedFor } from "./stripped";

/** How one comes by a section. */
export type Way = "drawer" | "shop" | "plies" | "sheet";
export const WAYS: Readonly<Record<Way, string>> = {
  drawer: "From the drawer",
  shop: "From the shop",
  plies: "Glued of two plies",
  sheet: "Ripped off a sheet",
};
/** The best of a way, and how far it is off to the eye: `apart`, 0 is the wanted section. */
export interface WayFound {
  readonly way: Way;
  readonly match: Match;
  readonly apart: number;
}

/** The best that each way gives for a section, the nearest first; a way that gives nothing is left out. `held` are the items that lie in the drawer. */
export function waysFor(
  wanted: Wanted,
  series: readonly SeriesId[],
  held: readonly StockItem[],
  material: "wood" | "styrene",
  scale: Scale,
): WayFound[] {
  const offered = matches(wanted, series, scale);
  const fit = held.filter((i) => i.profile === undefined && (i.shape === "round") === (wanted.round === true));
  const best = (way: Way, of: readonly Match[]): WayFound[] => {
    const [first] = of.map((match) => ({ way, match, apart: apart(match.error, wanted) })).sort((a, b) => a.apart - b.apart); // prettier-ignore
    return first ? [first] : [];
  };
  const single = (i: StockItem): Match => matchOf(i, 1, "thickness", wanted, scale);
  return [
    ...best("drawer", fit.map(single)),
    ...best("shop", offered.filter((m) => m.plies === 1)),
    ...best("plies", offered.filter((m) => m.plies === 2)),
    ...best("sheet", wanted.round ? [] : strippedFor(wanted, material).slice(0, 1).map(single)),
  ].sort((a, b) => a.apart - b.apart); // prettier-ignore
}

/** An error so small is not seen, and glue takes it up, percent of a side. Common practice. */
const [UNSEEN, SEEN] = [4, 12];
/** What a match does to the look and to the fit, in a sentence. `print` tells model mm. */
export function effectWords(m: Match, print: (mm: number) => string): string {
  const { thickness, width } = m.error;
  const size = (e: number, what: string): string => `${print(Math.abs(e))} too ${e > 0 ? (what === "width" ? "wide" : "thick") : what === "width" ? "narrow" : "thin"}`; // prettier-ignore
  const off = [
    ...(Math.abs(width.percent) < 0.5 ? [] : [size(width.model, "width")]),
    ...(Math.abs(thickness.percent) < 0.5 ? [] : [size(thickness.model, "thickness")]),
  ];
  if (off.length === 0) return "True to size.";
  const worst = m.error.worstPercent;
  const look = worst < UNSEEN ? "not seen" : worst < SEEN ? "seen beside a true one" : "seen at a glance";
  return `${off.join(", ")}: ${look}; the frame stands at the real size, so joints fit.`.replace(/^./, (c) => c.toUpperCase()); // prettier-ignore
}
