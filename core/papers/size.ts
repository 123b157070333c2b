import type { PaperDoc } from "../job";

/** A width and a height, model mm. */
export interface Size {
  readonly wide: number;
  readonly high: number;
}
/** How large the whole picture of a paper is, by what it shows: so many of a thing across it or up it. `ratio` is prototype to model. */
export function pictureSize(p: Pick<PaperDoc, "picture" | "along" | "units" | "unit">, ratio: number): Size {
  const long = (p.units * p.unit) / ratio;
  const shape = p.picture.height / p.picture.width;
  return p.along === "across" ? { wide: long, high: long * shape } : { wide: long / shape, high: long };
}
/** How large one print of a paper is when it is cut out: the picture, or what it covers. */
export const cutSize = (p: PaperDoc, ratio: number): Size =>
  p.cover ? { wide: p.cover.length / ratio, high: p.cover.height / ratio } : pictureSize(p, ratio);
/** Dots of the picture to an inch of the paper. */
export const dotsPerInch = (p: PaperDoc, ratio: number): number => (25.4 * p.picture.width) / pictureSize(p, ratio).wide; // prettier-ignore
