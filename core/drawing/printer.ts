/** How a printer is corrected: what a page is drawn larger by, across and up it, so that it comes out true. 1 is as it is. */
export interface Printer {
  readonly name: string;
  readonly across: number;
  readonly up: number;
}
/** Length of the bars that a page carries to be measured, mm. */
export const BAR = 150;
/** A bar that is off by more was not measured, or the page was fitted to the paper. */
const MOST = 0.05;

/**
 * A printer with a bar of 150 mm measured on a page that it printed with the correction it has: what it was off by then is
 * taken off as well. A bar of 151.05 mm (0.7 % too long) makes the next page 0.7 % shorter. Errors: a length that no bar
 * printed at its size has, in a sentence.
 */
export function measured(p: Printer, axis: "across" | "up", mm: number): Printer {
  if (!(Math.abs(mm / BAR - 1) <= MOST)) throw new RangeError(`Read ${mm.toFixed(2)} mm for a bar of ${BAR} mm. Print at 100 %, never “fit to page”, and measure from tick to tick; it may be from ${BAR * (1 - MOST)} to ${BAR * (1 + MOST)} mm.`); // prettier-ignore
  return { ...p, [axis]: (p[axis] * BAR) / mm };
}
/** A correction in words: "−0.70 % across, +0.40 % up", or "none". */
export function correctionWords(p: Printer): string {
  const part = (k: number, way: string): string => {
    const percent = 100 * (k - 1);
    return Math.abs(percent) < 0.005 ? "" : `${percent < 0 ? "−" : "+"}${Math.abs(percent).toFixed(2)} % ${way}`;
  };
  return [part(p.across, "across"), part(p.up, "up")].filter(Boolean).join(", ") || "none";
}
