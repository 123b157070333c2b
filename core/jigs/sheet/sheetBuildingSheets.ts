import type { Piece } from "../../frame";
import type { StructureDesign } from "../../job";
import { buildSheets } from "../buildSheets";
import type { NamedDrawing } from "../kindSheets";
import { partSheets } from "../partSheets";
import type { SheetValues } from "../../structures/sheet/parameters";
import { sheetLayout } from "../../structures/sheet/layout";
import { fitCoupon } from "./fitCoupon";
import { CARD_MOCKUP, cardNet, type CardModel } from "../cardNet";
import { sheetMockup } from "./sheetMockup";

/** What of a building of sheet has no template of its own: parts of openings, stones, caps, trim, covers of the roof, chimneys. */
export const isLoosePart = (id: string): boolean =>
  /\/(opening\d+|band\d+|chimney\d+|quoins|coping|trim|cover)\//.test(id);
/** The building in card. */
export const sheetCard = (s: StructureDesign): CardModel =>
  sheetMockup(sheetLayout(s.variant.params as unknown as SheetValues, s.context));
/** A building of sheet is built on a template of each layer of its walls, of its roof, the parts of its windows and doors by the sheet they are cut from, a coupon where some are pushed in, and the card mock-up. */
export const sheetBuildingSheets = (s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] => [
  ...buildSheets(s, pieces),
  ...partSheets(s, pieces, (k) => isLoosePart(k.member.id)),
  ...((s.variant.params as unknown as SheetValues).openings.some((o) => o.mount === "layersIn") ? [{ what: "coupon to find the fit", drawing: fitCoupon() }] : []), // prettier-ignore
  { what: CARD_MOCKUP, drawing: cardNet(sheetCard(s)) },
];
