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

/** A structure of a kind with its usual values. `id` is unique in the job. */
export function newStructure(kindId: string, id: string, name: string): StructureDoc {
  const params = kindOf(kindId).initial() as Record<string, unknown>;
  return {
    id,
    kind: kindId,
    name,
    chosen: "first",
    variants: [{ id: "first", name: "First", reason: "", params, overrides: {} }],
  };
}
