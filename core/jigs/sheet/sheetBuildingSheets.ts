import type { Piece } from "../../frame";
import type { StructureDesign } from "../../job";
import { buildSheets } from "../buildSheets";
import type { NamedDrawing } from "../kindSheets";
import { partSheets } from "../partSheets";

/** A building of sheet is built on a template of each layer of its walls, of its roof, and the parts of its windows and doors by the sheet they are cut from. */
export const sheetBuildingSheets = (s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] => [
  ...buildSheets(s, pieces),
  ...partSheets(s, pieces, (k) => k.member.assembly.startsWith(`${s.structure.id}/opening`)),
];
