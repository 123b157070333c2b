import type { Vec2 } from "../../geometry";
import { parseLength, type BareUnit } from "../../units";
import { placeAt } from "./alignment";
import type { TrestleLayout } from "./layout";

export type Profile = readonly (readonly [number, number])[];
/** Stations nearer than this are one, prototype mm. */
const SAME = 1;

/** Points in the order of their stations; of two at one station the later one stays. */
export function sortedProfile(points: Profile): Profile {
  const out: (readonly [number, number])[] = [];
  for (const p of [...points].sort((a, b) => a[0] - b[0])) {
    if (out.length > 0 && p[0] - out[out.length - 1]![0] < SAME) out.pop();
    out.push(p);
  }
  return out;
}

/**
 * Reads a ground profile from lines of station and height, separated by comma, semicolon, tab or spaces round a bar;
 * a heading line is passed over. Lengths in any notation; `bare` is the unit of bare numbers. Heights over the base of
 * rail at the first bent, so below it they are negative. Answers prototype mm, or which line could not be read.
 */
export function readProfile(
  text: string,
  bare: BareUnit,
): { readonly ok: true; readonly points: Profile } | { readonly ok: false; readonly error: string } {
  const points: [number, number][] = [];
  const lines = text.split(/\r?\n/).filter((l) => l.trim() !== "");
  for (const [i, line] of lines.entries()) {
    const cells = /[;\t|]/.test(line) ? line.split(/\s*[;\t|]\s*/) : line.split(/\s*,\s*/);
    const read = cells.slice(0, 2).map((c) => signed(c, bare));
    const [a, b] = read;
    if (cells.length < 2 || a === undefined || b === undefined) {
      if (i === 0 && lines.length > 1) continue;
      return {
        ok: false,
        error: `Line ${i + 1} reads “${line.trim().slice(0, 60)}”; write a station and a height with a comma or a tab between, such as 45, -20.`,
      };
    }
    points.push([a, b]);
  }
  if (points.length === 0)
    return { ok: false, error: "Nothing was read; write a station and a height on each line, such as 45, -20." };
  return { ok: true, points: sortedProfile(points) };
}
function signed(cell: string, bare: BareUnit): number | undefined {
  const t = cell.trim().replace(/^["“]|["”]$/g, "");
  const minus = /^[-−–]/.test(t);
  const p = parseLength(minus ? t.slice(1) : t.replace(/^\+/, ""), bare);
  return p.ok ? (minus ? -p.mm : p.mm) : undefined;
}

/** The profile as lines of station and height, in feet or metres. */
export const printProfile = (points: Profile, bare: "ft" | "m"): string =>
  points.map((p) => p.map((n) => Number((n / (bare === "ft" ? 304.8 : 1000)).toFixed(3))).join(", ")).join("\n");

/** A profile pressed on a calibrated drawing: first the base of rail at the first bent, then the ground. Points in upright prototype mm. */
export const profileFromDrawing = (points: readonly Vec2[]): Profile => {
  const [rail, ...ground] = points;
  return rail ? sortedProfile(ground.map((p) => [p[0] - rail[0], p[1] - rail[1]] as const)) : [];
};

/** The station, prototype mm, whose centre stands at x of the side elevation (model mm): the elevation's x grows along the track. */
export function stationAt(l: TrestleLayout, x: number, ratio: number): number {
  let [lo, hi] = [-l.alignment.length, 2 * l.alignment.length];
  for (let i = 0; i < 60; i++) {
    const mid = (lo + hi) / 2;
    if (placeAt(l.alignment, mid).at[0] < x) lo = mid;
    else hi = mid;
  }
  return ((lo + hi) / 2) * ratio;
}
/** A point of the ground on the side elevation, model mm. */
export const groundPoint = (l: TrestleLayout, p: readonly [number, number], ratio: number): Vec2 => [
  placeAt(l.alignment, p[0] / ratio).at[0],
  p[1] / ratio,
];
