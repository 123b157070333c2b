import type { Piece } from "../../frame";
import type { StructureDesign } from "../../job";
import { buildSheets } from "../buildSheets";
import type { NamedDrawing } from "../kindSheets";
import { partSheets } from "../partSheets";
import type { SheetValues } from "../../structures/sheet/parameters";
import { fitCoupon } from "./fitCoupon";

/** A building of sheet is built on a template of each layer of its walls, of its roof, the parts of its windows and doors by the sheet they are cut from, and a coupon where some are pushed in. */
export const sheetBuildingSheets = (s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] => [
  ...buildSheets(s, pieces),
  ...partSheets(s, pieces, (k) => k.member.assembly.startsWith(`${s.structure.id}/opening`)),
  ...((s.variant.params as unknown as SheetValues).openings.some((o) => o.mount === "layersIn") ? [{ what: "coupon to find the fit", drawing: fitCoupon() }] : []), // prettier-ignore
];
