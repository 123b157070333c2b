import { parseLength } from "core/units";

/** Reads what a drawing says of its scale: "1:48", "1/48", "1/4 in = 1 ft". NaN when it is none. */
export function readRatio(words: string): number {
  const m = /^\s*1\s*[:/]\s*([\d.]+)\s*$/.exec(words);
  if (m) return Number(m[1]);
  const [paper, real] = words.split("=").map((w) => parseLength(w.trim(), "in"));
  return paper?.ok && real?.ok && paper.mm > 0 ? real.mm / paper.mm : NaN;
}
