import { kindOf } from "../structures";
import { JOB_FORMAT, JOB_VERSION, type JobDoc, type StructureDoc } from "./document";

/** A job to start from: HO, feet and inches, scale lumber pinned as its series, nothing in it. */
export function emptyJob(name: string): JobDoc {
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    name,
    brief: {
      scale: { id: "HO", ratio: 304.8 / 3.5 },
      units: { prototype: "ft-in", model: "mm" },
      railroad: "",
      place: "",
      spotLength: 0,
      spotDepth: 0,
      track: "over",
      era: "",
      decisions: [],
    },
    drawings: [],
    structures: [],
    stock: { milling: "full-sawn", series: ["scale"], choices: {}, sticks: {} },
    cutting: { kerf: 0, allowance: 0 },
    aside: {},
  };
}

/** A structure of a kind with its usual values, or those given in their place. `id` is unique in the job. */
export function newStructure(
  kindId: string,
  id: string,
  name: string,
  values: Readonly<Record<string, unknown>> = {},
): StructureDoc {
  const params: Record<string, unknown> = { ...kindOf(kindId).initial(), ...values };
  return {
    id,
    kind: kindId,
    name,
    chosen: "first",
    variants: [{ id: "first", name: "First", reason: "", params, overrides: {} }],
  };
}
