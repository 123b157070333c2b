/** Run of a hip or valley for 12 of common run: the diagonal of a square. */
export const HIP_RUN = 12 * Math.SQRT2;
const degrees = (radians: number): number => (radians * 180) / Math.PI;

/** What the rafter table of a framing square says for one slope. Errors: a slope that is not above 0. */
export interface RafterTable {
  readonly rise: number;
  /** Length of a common rafter for 12 of run: √(12² + rise²). */
  readonly common: number;
  /** Length of a hip or valley rafter for 12 of common run: √(12² + 12² + rise²). */
  readonly hip: number;
  /** Side cut of a jack against the hip, on 12: what is laid off along the other edge. 12 · 12 / common. */
  readonly jackSide: number;
  /** Side cut of a hip or valley against the ridge, on 12: 12 · 16.97 / hip. */
  readonly hipSide: number;
  /** Plumb and level cuts of a common or jack: the angle of its top edge from level. */
  readonly slope: number;
  /** The same of a hip or valley: rise in 16.97. */
  readonly hipSlope: number;
  /** Angle of a jack's cheek cut across its top edge, from square. */
  readonly jackCheek: number;
  /** The same of a hip or valley against the ridge, before its top edge is backed. */
  readonly hipCheek: number;
  /** Angle to which either half of a hip's top edge is planed to lie in its roof: atan(sin φ), tan φ = rise / 16.97. */
  readonly backing: number;
}

/** The table's line for a rise in 12. Source: the rafter table stamped on framing squares, by the formulas beside each entry. */
export function rafterTable(rise: number): RafterTable {
  if (!(rise > 0))
    throw new Error(`A roof that rises ${rise} in 12 has no rafter table; give a rise above 0, such as 6.`);
  const common = Math.hypot(12, rise);
  const hip = Math.hypot(HIP_RUN, rise);
  return {
    rise,
    common,
    hip,
    jackSide: (12 * 12) / common,
    hipSide: (12 * HIP_RUN) / hip,
    slope: degrees(Math.atan2(rise, 12)),
    hipSlope: degrees(Math.atan2(rise, HIP_RUN)),
    jackCheek: degrees(Math.atan2(common, 12)),
    hipCheek: degrees(Math.atan2(hip, HIP_RUN)),
    backing: degrees(Math.atan(Math.sin(Math.atan2(rise, HIP_RUN)))),
  };
}

/** By how much each jack is longer than the one before it, for jacks `spacing` apart: spacing · common / 12. */
export const jackDifference = (rise: number, spacing: number): number => (spacing / 12) * rafterTable(rise).common;
