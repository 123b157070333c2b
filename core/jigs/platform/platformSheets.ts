import type { Piece } from "../../frame";
import type { StructureDesign } from "../../job";
import { buildSheets } from "../buildSheets";
import type { NamedDrawing } from "../kindSheets";
import { partSheets } from "../partSheets";

/** A platform is built on a template of each place with columns, of its railings, gates, stairs and shelter; the plates its beams, deck and roof are built up of stand together by the sheet they are cut from. */
export const platformSheets = (s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] => [
  ...buildSheets(s, pieces),
  ...partSheets(s, pieces, () => true),
];
