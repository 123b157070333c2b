import type { StructureKind } from "../kind";
import { defaultsOf } from "../spec";
import { trestleCheck, trestleShown } from "./check";
import { trestleRemarks } from "./remarks";
import { trestleDimensions } from "./dimensions";
import { trestleFrame } from "./frame";
import { stationsOf, trestleLayout } from "./layout";
import { TrestleParams, trestleSpec, type TrestleValues } from "./parameters";

export * from "./alignment";
export * from "./profile";
export { trestleLayout, type BentPlace, type TrestleLayout } from "./layout";
export { footingsOf, type Footing } from "./footings";
export type { TrestleValues } from "./parameters";

/** Whole trestle along an alignment: bents, bracing, stringers, ties and deck, footings. See `placeAt` for where it lies. */
export const wholeTrestle: StructureKind = {
  id: "trestle",
  name: "Whole trestle",
  purpose: "All of it along its track: bents to the ground, bracing, stringers, ties and deck.",
  headline: [{ dimension: "height", words: "high at the tallest bent" }],
  shrinks: {
    length: {
      part: ["bay", "bays"],
      less: (p, n) => {
        const v = p as TrestleValues;
        const length = v.length - n * v.spacing;
        return length >= v.spacing ? { ...p, length } : undefined;
      },
    },
  },
  ground: (p, ctx) => trestleLayout(p as TrestleValues, ctx),
  version: 4,
  spec: trestleSpec,
  Params: TrestleParams,
  home: "side",
  initial: () => ({ ...defaultsOf(trestleSpec) }),
  starts: [
    { name: "Framed trestle", params: {} },
    { name: "Pile trestle", params: { bentKind: "pile" } },
    { name: "Trestle on a curve", params: { curve: "degree" } },
  ],
  check: (p, context) => trestleCheck(p as TrestleValues, context),
  shown: (p, path) => trestleShown(p as TrestleValues, path),
  frame: (p, ctx) => trestleFrame(p as TrestleValues, ctx),
  dimensions: (p, ctx) => trestleDimensions(p as TrestleValues, ctx),
  centreLine: () => undefined,
  about: ({ role }) =>
    /sway/.test(role)
      ? ["Sway braces"]
      : /brace|girt/.test(role)
        ? ["Bracing along the track", "Stories"]
        : /post|pile/.test(role)
          ? ["Posts", "Stories", "Bents"]
          : /stringer|corbel/.test(role)
            ? ["Stringers"]
            : /tie|guard|plank|walkway|rail/.test(role)
              ? ["Ties and deck"]
              : /mudsill|pedestal|footing|bulkhead/.test(role)
                ? ["Ground and footings"]
                : ["Outline", "Bents", "Timbers"],
  remarks: (p, ctx) => trestleRemarks(p as TrestleValues, ctx),
  describe: (p) => {
    const v = p as TrestleValues;
    const n = stationsOf(v).length;
    return `${v.bentKind === "pile" ? "Pile" : "Framed"} trestle, ${n} bents${v.curve === "none" ? "" : ", curved"}${v.grade ? ", graded" : ""}`;
  },
};
