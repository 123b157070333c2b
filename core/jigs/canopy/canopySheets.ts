import type { Piece } from "../../frame";
import type { StructureDesign } from "../../job";
import { buildSheets } from "../buildSheets";
import type { NamedDrawing } from "../kindSheets";
import { partSheets } from "../partSheets";

const EDGES = ["front", "ends"] as const;
/** A canopy is built on a template of its board and of a frame; its edges stand together by the sheet they are cut from. */
export const canopySheets = (s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] => [
  ...buildSheets(s, pieces),
  ...partSheets(s, pieces, (k) => EDGES.some((e) => k.member.assembly === `${s.structure.id}/${e}`)),
];
