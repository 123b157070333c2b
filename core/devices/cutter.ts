import type { Vec2 } from "../geometry";

/** A machine that cuts along lines: how large its bed is, and how fast it goes, mm and mm/s. */
export interface CutterBed {
  readonly wide: number;
  readonly high: number;
  readonly cutting: number;
  readonly engraving: number;
  /** Between two lines, with the beam off or the knife up. */
  readonly moving: number;
}
/** What it does in turn, with the second at which it begins and ends. Points in mm from the upper left corner of the bed. */
export interface CutStep {
  readonly does: "cut" | "engrave" | "move";
  readonly points: readonly Vec2[];
  readonly from: number;
  readonly to: number;
}
/** What a machine says of a file: what is wrong with it, in sentences, and what it would do. */
export interface CutReport {
  readonly faults: readonly string[];
  readonly steps: readonly CutStep[];
  readonly seconds: number;
  readonly size: readonly [number, number];
}
/** A cutter that takes a file, SVG or DXF, for a material in words. Errors: a file that cannot be read, a material that is not cut; in a sentence. */
export interface Cutter {
  readonly bed: CutterBed;
  take(file: string, material: string): Promise<CutReport>;
}
