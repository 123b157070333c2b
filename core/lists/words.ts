import type { TableWords } from "../drawing";
import { designHash, shortHash, type Design } from "../job";
import { scaleLabel } from "../units";

/** What stands at the head and foot of a printed list. */
export const wordsOf = (d: Design, title: string, date: string): TableWords => ({
  title,
  job: [d.doc.name, d.doc.brief.railroad, scaleLabel(d.scale)].filter(Boolean).join(" · "),
  note: `Issue ${shortHash(designHash(d))}. Cut away from the hand; wear eye protection at saws and when sticks snap.`,
  date,
});
