import type { Vec3 } from "../../geometry";
import type { SheetLayout } from "./layout";

/** A slope with its own axes: across it, up it and out of it, from the roof's underside over the outside of its wall. Model mm. */
export interface Slope {
  readonly side: "front" | "back";
  readonly origin: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
  readonly n: Vec3;
  /** Angle from level, radians. */
  readonly tilt: number;
  readonly half: number;
  /** Up the slope: from the eave to where the underside of the roof ends, at the ridge of a gable. */
  readonly from: number;
  readonly to: number;
  readonly ridge: boolean;
}
/** The slopes of a roof: two of a gable, one of a shed, none of a flat one. */
export function slopesOf(l: SheetLayout): Slope[] {
  if (l.k === 0) return [];
  const tilt = Math.atan(l.k);
  const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
  const half = l.long / 2 + l.mm(l.v.gableOverhang);
  const out = l.mm(l.v.overhang) / c;
  const ridge = l.v.roof === "gable";
  return (ridge ? (["front", "back"] as const) : (["front"] as const)).map((side) => {
    const sign = side === "front" ? 1 : -1;
    return { side, origin: [0, (-sign * l.wide) / 2, l.high], u: [sign, 0, 0], v: [0, sign * c, s], n: [0, -sign * s, c], tilt, half, from: -out, to: ridge ? l.wide / 2 / c : l.wide / c + out, ridge }; // prettier-ignore
  });
}
/** Up the slope, where a height over the roof's underside ends: plumb over the ridge, square at the top of a shed. */
export const endOf = (x: Slope, h: number): number => x.to + (x.ridge ? h * Math.tan(x.tilt) : 0);
