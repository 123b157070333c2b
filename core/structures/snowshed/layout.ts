import { addScaled, type Vec3 } from "../../geometry";
import { prototype, toModel } from "../../units";
import type { Context } from "../kind";
import { timberOf, type Timber } from "../timber";
import { placeAt, type Alignment, type Place } from "../whole-trestle/alignment";
import { radiusOf } from "../whole-trestle/layout";
import type { SnowshedValues } from "./parameters";

/** Everything a snowshed's frame, dimensions and jigs share. Model mm; z = 0 is the top of the mudsills. */
export interface SnowshedLayout {
  readonly v: SnowshedValues;
  readonly places: readonly Place[];
  readonly mm: (p: number) => number;
  readonly curved: boolean;
  readonly t: Readonly<
    Record<"post" | "cap" | "rafter" | "knee" | "mudsill" | "girt" | "purlin" | "plank" | "roofPlank", Timber>
  >;
  /** Half the clear width, and half the cap's length. */
  readonly half: number;
  readonly capHalf: number;
  readonly capTop: number;
  readonly k: number;
  /** A point of frame i: along the track, to its left and over the mudsills. */
  readonly at: (i: number, along: number, left: number, z: number) => Vec3;
}

export function snowshedLayout(v: SnowshedValues, ctx: Context): SnowshedLayout {
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  const timber = (n: string): Timber => timberOf(n, ctx.stock(n));
  const radius = radiusOf(v, ctx.scale.ratio);
  const length = mm(v.bays * v.bay);
  const alignment: Alignment = {
    length,
    curve: [0, radius === undefined ? 0 : length],
    curvature: radius === undefined ? 0 : (v.hand === "left" ? 1 : -1) / mm(radius),
    grade: 0,
  };
  const places = Array.from({ length: v.bays + 1 }, (_, i) => placeAt(alignment, mm(v.bay) * i));
  const t = {
    post: timber(v.post),
    cap: timber(v.cap),
    rafter: timber(v.rafter),
    knee: timber(v.knee),
    mudsill: timber(v.mudsill),
    girt: timber(v.girt),
    purlin: timber(v.purlin),
    plank: timber(v.plank),
    roofPlank: timber(v.roofPlank),
  };
  const half = mm(v.clear) / 2;
  return {
    v,
    places,
    mm,
    curved: radius !== undefined,
    t,
    half,
    capHalf: half + t.post.v + mm(v.over),
    capTop: mm(v.height) + t.cap.v,
    k: v.rise / 12,
    at: (i, along, left, z) => {
      const p = places[i]!;
      const q = addScaled(addScaled(p.at, p.along, along), p.left, left);
      return [q[0], q[1], z];
    },
  };
}
/** Path of frame i, counted from 0. */
export const frameRoot = (ctx: Context, i: number): string => `${ctx.structure}/frame${i + 1}`;
