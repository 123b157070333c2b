import { insideNotes, lampNotes, roomOf } from "../inside";
import { insideOf, type Design } from "../job";
import type { Finding } from "./findings";

/** What stands in the way inside the structures of a job, each with the move that cures it. */
export const insideFindings = (d: Design): Finding[] =>
  d.structures.flatMap((s) => {
    const inside = insideOf(d.doc, s.structure.id);
    const { things, lamps = [] } = inside;
    const room = things.length + lamps.length > 0 ? roomOf(s) : undefined;
    if (!room) return [];
    const notes = [...insideNotes(room, things, d.scale.ratio), ...lampNotes(s, room, inside, d.doc.build?.lights, d.scale.ratio)]; // prettier-ignore
    return notes.map((n): Finding => ({ key: `${s.structure.id}:inside:${n.key}`, level: n.level, text: n.text, sticks: [], structure: s.structure.id })); // prettier-ignore
  });
