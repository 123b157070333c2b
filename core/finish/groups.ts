import type { Resolved } from "../frame";
import { lookOf } from "../lumber";
import type { FinishGroup, FinishTime } from "../job";

export const GROUP_WORDS: Readonly<Record<FinishGroup, string>> = {
  framing: "frame members",
  walls: "walls and siding",
  trim: "trim pieces",
  openings: "windows and doors",
  roof: "roof surfaces",
  floors: "floors and decks",
  rods: "rods and castings",
  ground: "footings and piers",
};
/** When a group is finished, in words. */
export const TIME_WORDS: Readonly<Record<FinishTime, string>> = {
  loose: "loose, before glue",
  board: "on its board",
  standing: "where it stands",
};
/** Roles that are no framing, the first that fits. */
const ROLES: readonly (readonly [RegExp, FinishGroup])[] = [
  [/^(footing|pier|base plate|foundation post)$/, "ground"],
  [/sash|^door|^opening frame$|^exchange panel$|^shutter$|^ledge$|^gate /, "openings"],
  [/casing|window sill|barge|fascia|frieze|water table|corner board|^band$|quoin|lintel|stone sill|dentil|^bracket$|eave bracket|^shelf$|edge facing|cover strip|parapet cap|railing|handrail|picket|rail post|^rail$/, "trim"], // prettier-ignore
  [/roof (board|plank|sheet|cover)|shingle|starter strip|standing seam|ridge cap|flashing|gutter|downpipe|^outlet$|^neck$|chimney|corbel|canopy board/, "roof"], // prettier-ignore
  [/^(deck|deck plank|plank|tread|walkway plank|stair stringer)$/, "floors"],
  [/^(board|clapboard|batten|facing|core sheet|wall sheet|gable sheet|lining (sheet|plank)|infill panel|tube|wrap|hoop|bulkhead plank)$/, "walls"], // prettier-ignore
];
/** Whether one sees through a stick: it takes no coat. */
export const isGlazing = (k: Resolved): boolean => k.member.role === "glazing" || lookOf(k.stock) === "glass";
/** What a stick is finished with; undefined for glazing. */
export function finishGroupOf(k: Resolved): FinishGroup | undefined {
  if (isGlazing(k)) return undefined;
  if (k.stock === "cast" || k.member.kind === "round") return k.member.role === "pile" ? "framing" : "rods";
  return ROLES.find(([r]) => r.test(k.member.role))?.[1] ?? "framing";
}
