import type { Design } from "../job";
import { model, printMm } from "../units";
import type { Finding } from "./findings";

/** Shorter than this a strip is hard to hold at the saw and to pick up, model mm. Common practice, no source. */
export const LEAST_PIECE = 2;

/** Strips shorter than can well be held and cut, as one matter. */
export function smallPieces(d: Design): Finding[] {
  const small = d.pieces.filter((p) => p.shape.kind === "strip" && p.shape.overall < LEAST_PIECE);
  if (small.length === 0) return [];
  const least = small.reduce((a, b) => (b.shape.overall < a.shape.overall ? b : a));
  const count = small.reduce((n, p) => n + p.sticks.length, 0);
  const marks = small.map((p) => p.mark);
  const named = marks.length > 5 ? `${marks.slice(0, 5).join(", ")} and ${marks.length - 5} more` : marks.join(", ");
  return [
    {
      key: "small",
      level: "remark",
      text: `${count === 1 ? "One stick is" : `${count} sticks are`} shorter than ${printMm(model(LEAST_PIECE), 0)} (${named}), the shortest ${printMm(least.shape.overall, 2)}: nick each off the end of a longer strip against a stop, and lift it with tweezers.`,
      sticks: small.flatMap((p) => p.sticks),
    },
  ];
}
