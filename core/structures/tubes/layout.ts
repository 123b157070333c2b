import { evenly } from "../../carpentry";
import { nearestTube, ownTubeId, sheetOf, tubeOf, type SheetItem, type SheetMatch, type TextureId, type Tube } from "../../lumber"; // prettier-ignore
import { prototype, toModel } from "../../units";
import type { Context } from "../kind";
import { sheetSpec, type SheetValues } from "../sheet/parameters";
import { defaultsOf } from "../spec";
import { timberOf, type Timber } from "../timber";
import type { TubesValues } from "./parameters";

export interface TubesLayout {
  readonly v: TubesValues;
  readonly mm: (prototypeMm: number) => number;
  readonly tube: Tube;
  /** What the diameter asks of the tube, without its wrap. */
  readonly wanted: number;
  readonly high: number;
  /** Fall of the tops per unit, towards the front. */
  readonly k: number;
  readonly wrap?: { readonly item: SheetItem; readonly match?: SheetMatch };
  readonly hoop?: Timber;
  /** Heights of the middles of the hoops. */
  readonly hoops: readonly number[];
  /** Radius over tube and wrap, and over the hoops. */
  readonly radius: number;
  readonly outer: number;
  /** From axis to axis, and where the axes stand along the row. */
  readonly pitch: number;
  readonly axes: readonly number[];
  readonly infill: SheetItem;
  readonly deck?: SheetItem;
}
/** Where the tubes of a row stand: their axes on y = 0, along x from the middle, z up from the ground. Model mm. Errors: hoops without room. */
export function tubesLayout(v: TubesValues, ctx: Context): TubesLayout {
  const mm = (x: number): number => toModel(ctx.scale, prototype(x));
  const plain = sheetOf(`sheet/${v.wrap}`);
  const match = v.wrap === "none" || plain ? undefined : ctx.sheet({ texture: v.wrap as TextureId, pitch: prototype(v.wrapPitch) }); // prettier-ignore
  const item = plain ?? match?.item;
  const thick = item?.thickness ?? 0;
  const wanted = mm(v.diameter) - 2 * thick;
  const tube = v.pipe === "nearest" ? nearestTube(Math.max(1, wanted)) : tubeOf(v.pipe === "own" ? ownTubeId(v.ownDiameter, v.ownWall) : `tube/${v.pipe}`)!; // prettier-ignore
  const radius = tube.width / 2 + thick;
  const hoop = v.hoops > 0 ? timberOf(v.hoop, ctx.stock(v.hoop)) : undefined;
  const k = v.fall / 12;
  const [high, margin] = [mm(v.height), mm(v.hoopMargin)];
  const lowest = high - k * radius;
  // hoops of two tubes lie beside each other
  const pitch = 2 * radius + Math.max(mm(v.gap), 2 * (hoop?.w ?? 0));
  return {
    v,
    mm,
    tube,
    wanted,
    high,
    k,
    ...(item ? { wrap: match ? { item, match } : { item } } : {}),
    ...(hoop ? { hoop } : {}),
    hoops: hoop ? evenly(lowest, v.hoops, hoop.v, margin).at : [],
    radius,
    outer: radius + (hoop?.w ?? 0),
    pitch,
    axes: Array.from({ length: v.tubes }, (_, i) => (i - (v.tubes - 1) / 2) * pitch),
    infill: sheetOf(`sheet/${v.infillSheet}`)!,
    ...(v.deck === "none" || k > 0 ? {} : { deck: sheetOf(`sheet/${v.deck}`)! }),
  };
}
/**
 * A flat panel between two tubes: how wide it is outside and inside. Its edges lie along the tangents where the middle of
 * its thickness meets the circles, so that they touch there and nowhere stand in the tubes. Model mm.
 */
export function infillWidths(l: TubesLayout): {
  readonly outside: number;
  readonly inside: number;
  readonly y: number;
} {
  // prettier-ignore
  const y = l.radius - l.mm(l.v.infillBack);
  const half = l.infill.thickness / 2;
  const middle = y - half;
  const chord = Math.sqrt(Math.max(0, l.radius * l.radius - middle * middle));
  const lean = (half * middle) / chord;
  return { outside: l.pitch - 2 * (chord - lean), inside: l.pitch - 2 * (chord + lean), y };
}
/** Length of a sheet or strip of a thickness that goes once round a radius: π times the diameter of its middle. */
export const roundOnce = (radius: number, thickness: number): number => Math.PI * (2 * radius + thickness);
/** The headhouse as a building of sheet of its own. */
export const houseValues = (v: TubesValues): SheetValues => ({
  ...defaultsOf(sheetSpec),
  length: v.houseLength,
  width: v.houseWidth,
  wallHeight: v.houseHeight,
  roof: v.headhouse,
  face: v.houseFace,
  core: v.houseCore,
  rise: v.headhouse === "shed" ? 2 : 6,
  parapet: 0,
  openings: v.houseOpenings,
});
