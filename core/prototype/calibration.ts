import { fitLengths, type Fit, type KnownLength } from "./knownLengths";
import type { SheetScale } from "./sheetScale";

/** A scale that the drawing states: `unit` mm of paper to the pixel (25.4 / dpi; 25.4 / 72 for PDF points), times `ratio`. */
export interface StatedScale {
  readonly ratio: number;
  readonly unit: number;
}
/** What is known of a sheet's scale: lengths on it, or what it says of itself, and how far it is turned. */
export interface Calibration {
  readonly lengths: readonly KnownLength[];
  readonly stated?: StatedScale;
  /** Whether across and up may have scales of their own. */
  readonly stretch: "auto" | "apart" | "together";
  readonly tilt: number;
}
export interface Calibrated extends Fit {
  readonly scale: SheetScale;
}

/** Prototype mm per pixel of a stated scale. */
export const statedScale = (s: StatedScale): number => s.ratio * s.unit;

/**
 * The scale of a sheet, and how far each known length is off it. A stated scale stands before lengths, which then only
 * check it. Answers undefined while nothing gives a scale. Errors: two points too close to tell a length.
 */
export function calibrated(c: Calibration): Calibrated | undefined {
  if (!c.stated && !c.lengths.some((l) => l.use === "scale")) return undefined;
  const fit = fitLengths(c.lengths, c.stretch, c.stated ? statedScale(c.stated) : undefined);
  return { ...fit, scale: { kx: fit.kx, ky: fit.ky, tilt: c.tilt } };
}
