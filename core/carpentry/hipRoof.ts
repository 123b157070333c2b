import { printFeetInches } from "../units";
import { rafterTable } from "./rafterTable";

/** A hip roof over a rectangle, by its theoretical lines: from eave edge to ridge line. */
export interface HipRoof {
  /** Length of the ridge; 0 where the hips meet in a point. */
  readonly ridge: number;
  readonly common: number;
  readonly hip: number;
  /** Height of the ridge over the eaves. */
  readonly height: number;
  /** Of one panel along the ridge and of one across its end; both pairs together are `area`. */
  readonly side: number;
  readonly end: number;
  readonly area: number;
}

/** One slope all round, over walls of that length and width (either may be the longer) with the same overhang on all sides. Errors: sides that are not above 0. */
export function hipRoof(walls: { length: number; width: number; overhang: number; rise: number }): HipRoof {
  const { overhang, rise } = walls;
  const [long, short] = [Math.max(walls.length, walls.width), Math.min(walls.length, walls.width)].map(
    (x) => x + 2 * overhang,
  ) as [number, number];
  if (!(Math.min(walls.length, walls.width) > 0) || !(overhang >= 0))
    throw new Error(
      `Walls of ${printFeetInches(walls.length)} by ${printFeetInches(walls.width)} with an overhang of ${printFeetInches(overhang)} carry no roof; walls have to be above 0 and the overhang not below it.`,
    );
  const t = rafterTable(rise);
  const run = short / 2;
  const ridge = long - short;
  const common = (run * t.common) / 12;
  const side = ((long + ridge) / 2) * common;
  const end = (short * common) / 2;
  return { ridge, common, hip: (run * t.hip) / 12, height: (run * rise) / 12, side, end, area: 2 * (side + end) };
}
