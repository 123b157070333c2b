import { kindOf, pathsOf, paramAt, valueAt, type SingleParam } from "../structures";
import { chosenVariant } from "./chosenVariant";
import type { SourceDoc, SourceKind, StructureDoc } from "./document";

/** What a source is called. */
export const SOURCE_WORDS: Readonly<Record<SourceKind, string>> = {
  measured: "measured",
  "stand-in": "from a plan that stands in",
  counted: "counted",
  estimated: "estimated",
  assumed: "assumed",
};
/** A dimension of a structure with where it comes from. */
export interface SourcedDimension {
  readonly path: string;
  readonly spec: SingleParam;
  readonly value: unknown;
  readonly source: SourceDoc | undefined;
  /** It has the value that one begins with. */
  readonly usual: boolean;
}
/** Sorts of parameters that are dimensions: a choice of what something is made of is none. */
const DIMENSIONS = new Set(["length", "number", "count", "batter", "section", "lengths", "points"]);

/** Every dimension of a structure that has an effect, in the order of its groups. */
export function sourcedDimensions(s: StructureDoc): SourcedDimension[] {
  const kind = kindOf(s.kind);
  const params = chosenVariant(s).params;
  return pathsOf(kind.spec)
    .filter((p) => kind.shown(params, p))
    .flatMap((path): SourcedDimension[] => {
      const spec = paramAt(kind.spec, path)!;
      if (!DIMENSIONS.has(spec.type)) return [];
      const value = valueAt(params, path);
      return [{ path, spec, value, source: s.sources?.[path], usual: JSON.stringify(value) === JSON.stringify((spec as { def?: unknown }).def) }]; // prettier-ignore
    });
}
/** Whether a dimension has still to be found out: nobody said where it comes from, or it is only assumed or estimated. */
export const toFindOut = (d: SourcedDimension): boolean =>
  d.source === undefined || d.source.how === "assumed" || d.source.how === "estimated";
/** How many dimensions come from what. */
export function sourceCounts(all: readonly SourcedDimension[]): Readonly<Record<SourceKind | "not said", number>> {
  const out = { measured: 0, "stand-in": 0, counted: 0, estimated: 0, assumed: 0, "not said": 0 };
  for (const d of all) out[d.source?.how ?? "not said"]++;
  return out;
}
