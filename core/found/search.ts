import type { MemberSearch } from "./members";

/** Narrowest and widest member looked for, prototype inches; without a scale, the widest is a share of the sheet's shorter side. */
const [NARROWEST, WIDEST] = [1.5, 26];
const SHARE = 1 / 12;

/**
 * What to look for on a sheet, in its pixels: on a scan with room for the pen and the scanner, on a vector sheet exactly.
 * `short` is the shorter side of what is searched, `width` the sheet's, `perInch` pixels to the prototype inch where known.
 */
export function searchOn(kind: "scan" | "vector", short: number, width: number, perInch?: number): MemberSearch {
  const most = perInch ? WIDEST * perInch : short * SHARE;
  const least = perInch ? NARROWEST * perInch : most / 20;
  const scale = perInch ? { perInch } : {};
  return kind === "vector"
    ? { least, most, skew: 0.15, slack: 0.0004 * width, ...scale }
    : { least: Math.max(4, least), most, skew: 1, slack: 2.5, ...scale };
}
