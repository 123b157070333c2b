import type { SheetLines } from "core/sources";

/** Lines that were read, as the page needs them: what is said of them, and all of them as the text that is sent to be kept. */
export interface ReadLines extends Pick<SheetLines, "width" | "height" | "unit" | "of" | "layers" | "off"> {
  readonly text: Blob;
}
/** Parts what is said of lines from the lines, so that the page never holds them. */
export function readLines(lines: SheetLines): ReadLines {
  const { width, height, unit, of, layers, off } = lines;
  const text = new Blob([JSON.stringify(lines)], { type: "application/json" });
  return { width, height, unit, of, layers, off, text };
}
