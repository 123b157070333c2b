import type { TableWords } from "../drawing";
import type { PieceShape } from "../frame";
import { designHash, shortHash, type Design } from "../job";
import { scaleLabel, type Units } from "../units";

/** What a list is of: one job, or several that are cut together. */
export interface Listed {
  /** What stands at the head of each page beside its title. */
  readonly about: string;
  readonly note: string;
  readonly unit: Units["model"];
  /** The pieces that are listed, by mark. */
  readonly shapes: ReadonlyMap<string, PieceShape>;
}
export const CUT_CAUTION = "Cut away from the hand; wear eye protection at saws and when sticks snap.";
/** A job, as lists are made of it. */
export const listed = (d: Design): Listed => ({
  about: [d.doc.name, d.doc.brief.railroad, scaleLabel(d.scale)].filter(Boolean).join(" · "),
  note: `Issue ${shortHash(designHash(d))}. ${CUT_CAUTION}`,
  unit: d.doc.brief.units.model,
  shapes: new Map(d.pieces.map((p) => [p.mark, p.shape])),
});

/** What stands at the head and foot of a printed list. */
export const wordsOf = (l: Listed, title: string, date: string): TableWords => ({
  title,
  job: l.about,
  note: l.note,
  date,
});
