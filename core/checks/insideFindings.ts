import { insideNotes, roomOf } from "../inside";
import { insideOf, type Design } from "../job";
import type { Finding } from "./findings";

/** What stands in the way inside the structures of a job, each with the move that cures it. */
export const insideFindings = (d: Design): Finding[] =>
  d.structures.flatMap((s) => {
    const { things } = insideOf(d.doc, s.structure.id);
    const room = things.length > 0 ? roomOf(s) : undefined;
    return (room ? insideNotes(room, things, d.scale.ratio) : []).map((n): Finding => ({ key: `${s.structure.id}:inside:${n.key}`, level: n.level, text: n.text, sticks: [], structure: s.structure.id })); // prettier-ignore
  });
