import type { Drawing } from "../drawing";
import type { Piece } from "../frame";
import type { StructureDesign } from "../job";
import type { CardModel } from "./cardNet";

/** A drawing with the words that follow the structure's name on its sheet. */
export interface NamedDrawing {
  readonly what: string;
  readonly drawing: Drawing;
}
/** All that a structure of a kind is built on, drawn at full size. */
export type KindSheets = (s: StructureDesign, pieces: readonly Piece[]) => NamedDrawing[];

const known = new Map<string, KindSheets>();
/** Gives a kind sheets of its own, in place of a template for each of its builds. */
export const registerSheets = (kind: string, sheets: KindSheets): void => void known.set(kind, sheets);
/** The sheets that a kind brings along; undefined where it has none of its own. */
export const sheetsOfKind = (kind: string): KindSheets | undefined => known.get(kind);

const cards = new Map<string, (s: StructureDesign) => CardModel | undefined>();
/** Lets a kind be tried in card before anything is cut. */
export const registerCard = (kind: string, card: (s: StructureDesign) => CardModel | undefined): void =>
  void cards.set(kind, card);
/** A structure in card; undefined where its kind has none. */
export const cardOf = (s: StructureDesign): CardModel | undefined => cards.get(s.kind.id)?.(s);
