import type { PieceShape } from "../frame";

/** A piece's length and end cuts as a short text, to a hundredth of a millimetre and a tenth of a degree. */
export const cutLengthWords = (s: PieceShape): string =>
  `${s.overall.toFixed(2)} ${s.section.map((x) => x.toFixed(2)).join("×")} ${s.ends.map((e) => e.map((c) => `${c.mitre.toFixed(1)}/${c.bevel.toFixed(1)}`).join("+")).join(" ")} ${s.notches.length}`; // prettier-ignore
