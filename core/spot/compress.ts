import { boundsOf } from "../geometry";
import { resolve } from "../frame";
import type { StructureDesign } from "../job";
import { framerOf, type Params } from "../structures";
import { model, printMm } from "../units";

/** A structure made to fit a spot by whole parts: its values, and what was given up for it, a sentence each. */
export interface Smaller {
  readonly values: Params;
  readonly given: readonly string[];
  readonly fits: boolean;
}
/** A frame may be this much over and still fits, model mm; more parts than this are not taken out one by one. */
const [SLACK, MOST] = [0.05, 200];
const mm = (x: number): string => printMm(model(x), 1);
/** Which walls run along which way of the plan. */
const RUNS: Readonly<Record<string, "length" | "depth">> = { front: "length", back: "length", left: "depth", right: "depth", end: "depth" }; // prettier-ignore

/** How far a structure with these values reaches along its length and from front to back, model mm; undefined where it cannot be framed. */
function reach(s: StructureDesign, values: Params): Readonly<Record<"length" | "depth", number>> | undefined {
  if (s.kind.check(values, s.context).length > 0) return undefined;
  try {
    const { sticks } = resolve(framerOf(s.kind.id).frame(values, s.context));
    const { min, max } = boundsOf(sticks.flatMap((k) => k.parts));
    return { length: max[0] - min[0], depth: max[1] - min[1] };
  } catch {
    return undefined;
  }
}
/** The values with rows of tables (openings, stairs) that stand along a way slid in proportion. */
function slid(s: StructureDesign, values: Params, way: "length" | "depth", share: number): Params {
  const out: Record<string, unknown> = { ...values };
  for (const [key, spec] of Object.entries(s.kind.spec))
    if (spec.type === "table" && Array.isArray(values[key]))
      out[key] = (values[key] as readonly Record<string, unknown>[]).map((row) => {
        const side = row.wall ?? row.side;
        return typeof row.at === "number" && typeof side === "string" && RUNS[side] === way ? { ...row, at: row.at * share } : row; // prettier-ignore
      });
  return out;
}
/** How much is left of the side that was made shorter, of 1. */
function shareOf(s: StructureDesign, before: Params, now: Params): number {
  const changed = Object.keys(now).filter((k) => typeof now[k] === "number" && now[k] !== before[k]);
  const key = changed.find((k) => s.kind.spec[k]?.type === "length") ?? changed[0];
  return key === undefined ? 1 : (now[key] as number) / (before[key] as number);
}
/** The values that can be framed: as they are, or with rows of tables left out one after another, the last first; undefined where that does not help. */
function without(s: StructureDesign, values: Params, given: string[]): Params | undefined {
  if (s.kind.check(values, s.context).length === 0) return values;
  for (const [key, spec] of Object.entries(s.kind.spec)) {
    if (spec.type !== "table" || !Array.isArray(values[key])) continue;
    const rows = values[key] as readonly unknown[];
    for (let i = rows.length - 1; i >= 0; i--) {
      const less = { ...values, [key]: rows.filter((_, k) => k !== i) };
      if (s.kind.check(less, s.context).length >= s.kind.check(values, s.context).length) continue;
      const said = [...given, `The ${spec.noun} ${i + 1}: there is no room for it.`];
      const more = without(s, less, said);
      if (!more) continue;
      given.splice(0, given.length, ...said);
      return more;
    }
  }
  return undefined;
}

/**
 * Takes whole bays, panels, boards or tubes out of a structure until it fits a spot, model mm (0 is as much as it likes):
 * each time it is framed and measured, so that what overhangs counts. Openings slide in proportion and keep their sizes; those
 * that no longer go in are left out. Undefined where the kind is not made smaller by parts.
 */
export function compress(
  s: StructureDesign,
  spot: { readonly length: number; readonly depth: number },
): Smaller | undefined {
  // prettier-ignore
  const { shrinks } = s.kind;
  if (!shrinks || s.fault) return undefined;
  // a structure that is turned by a quarter has its length along the spot's depth
  const turned = Math.round((s.structure.place?.turn ?? 0) / 90) % 2 !== 0;
  const room = turned ? { length: spot.depth, depth: spot.length } : spot;
  let values: Params = s.variant.params;
  let size = reach(s, values)!;
  const given: string[] = [];
  for (const way of ["length", "depth"] as const) {
    const by = shrinks[way];
    if (!by || room[way] <= 0) continue;
    const [start, before] = [values, size[way]];
    let taken = 0;
    for (let n = 1; n <= MOST && size[way] > room[way] + SLACK; n++) {
      const less = by.less(start, n);
      if (!less) break;
      // a number of parts that cannot be framed is passed over
      const said = [...given];
      const goes = without(s, slid(s, less, way, shareOf(s, start, less)), said);
      const now = goes && reach(s, goes);
      if (!now) continue;
      [values, size, taken] = [goes, now, n];
      given.splice(0, given.length, ...said);
    }
    if (taken > 0) given.unshift(`${taken} ${by.part[taken === 1 ? 0 : 1]}: ${mm(before)} ${way === "length" ? "long" : "deep"} became ${mm(size[way])}, ${Math.round((100 * size[way]) / before)} % of it.`); // prettier-ignore
  }
  const over = (["length", "depth"] as const).filter((w) => room[w] > 0 && size[w] > room[w] + SLACK);
  if (over.length > 0) given.push(`It still takes ${mm(size.length)} by ${mm(size.depth)} of a spot of ${room.length > 0 ? mm(room.length) : "any length"} by ${room.depth > 0 ? mm(room.depth) : "any depth"}: shorten what overhangs, or give it more room.`); // prettier-ignore
  return { values, given, fits: over.length === 0 };
}
