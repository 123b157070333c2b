import { cornerCut, roughOpening, stackOf, type CornerCut } from "../../carpentry";
import { sheetOf, type SheetItem, type SheetMatch, type TextureId } from "../../lumber";
import type { Vec2, Vec3 } from "../../geometry";
import { prototype, toModel } from "../../units";
import type { Context, WallOpening } from "../kind";
import { madeOpening, type MadeOpening } from "./layeredOpenings";
import type { SheetValues } from "./parameters";

/** A layer of every wall: its sheet and how far its outer face lies in from the wall's outside. Model mm. */
export interface Layer {
  readonly name: "face" | "core" | "back";
  readonly item: SheetItem;
  readonly depth: number;
}
export type WallName = "front" | "right" | "back" | "left";
export const WALLS = ["front", "right", "back", "left"] as const;
/** A wall seen from outside: it runs to the right from its left outer corner along `e`, its outside looks along `n`. Model mm, heights over the floor. */
export interface SheetWall {
  readonly name: WallName;
  /** Under an eave, not a gable. */
  readonly long: boolean;
  readonly origin: Vec3;
  readonly e: Vec3;
  readonly n: Vec3;
  readonly length: number;
  readonly foot: number;
  readonly gaps: readonly WallOpening[];
  /** What is made for each of them, in the same order, and the row that it comes from. */
  readonly made: readonly { readonly row: number; readonly opening: MadeOpening }[];
}
export interface SheetLayout {
  readonly v: SheetValues;
  readonly mm: (prototypeMm: number) => number;
  readonly layers: readonly Layer[];
  /** Thickness of all layers. */
  readonly stack: number;
  readonly long: number;
  readonly wide: number;
  /** Height of the roof's underside over the outside of the front wall; of a flat roof, of its top. */
  readonly high: number;
  /** Rise per unit of run. */
  readonly k: number;
  readonly roof: SheetItem;
  readonly walls: readonly SheetWall[];
  /** How the layers of a long wall (first) and of an end (second) meet. */
  readonly cut: CornerCut;
  /** At a corner that is neither mitred nor on a post: the long walls run through. */
  readonly through: boolean;
  readonly face?: SheetMatch;
}
/** The sheets of the walls from the outside in. Errors: a sheet that is in no series. */
export function layersOf(
  v: SheetValues,
  ctx: Context,
): { readonly layers: readonly Layer[]; readonly face?: SheetMatch } {
  const face =
    v.face === "none" ? undefined : ctx.sheet({ texture: v.face as TextureId, pitch: prototype(v.facePitch) });
  const all = [
    ["face", face?.item],
    ["core", sheetOf(`sheet/${v.core}`)],
    ["back", sheetOf(`sheet/${v.back}`)],
  ] as const;
  let depth = 0;
  const layers = all.flatMap(([name, item]): Layer[] => {
    if (!item) return [];
    const layer = { name, item, depth };
    depth += item.thickness;
    return [layer];
  });
  return face ? { layers, face } : { layers };
}
const HOW = { sides: "first", ends: "second", rebateSides: "rebateFirst", rebateEnds: "rebateSecond", mitre: "mitre", post: "post" } as const; // prettier-ignore

/** Where the walls and roof of a building of sheet stand. The middle of its floor is the origin, x along the front. Errors: a stack thicker than its post. */
export function sheetLayout(v: SheetValues, ctx: Context): SheetLayout {
  const mm = (x: number): number => toModel(ctx.scale, prototype(x));
  const [long, wide] = [mm(v.length), mm(v.width)];
  const { layers, face } = layersOf(v, ctx);
  const thick = layers.map((x) => x.item.thickness);
  const post = v.corner === "post" ? ctx.stock(v.cornerPost).section.thickness : 0;
  const at: Readonly<Record<WallName, readonly [origin: Vec3, e: Vec3, n: Vec3, length: number, foot: number]>> = {
    front: [[-long / 2, -wide / 2, 0], [1, 0, 0], [0, -1, 0], long, v.footFront],
    right: [[long / 2, -wide / 2, 0], [0, 1, 0], [1, 0, 0], wide, v.footRight],
    back: [[long / 2, wide / 2, 0], [-1, 0, 0], [0, 1, 0], long, v.footBack],
    left: [[-long / 2, wide / 2, 0], [0, -1, 0], [-1, 0, 0], wide, v.footLeft],
  };
  return {
    v,
    mm,
    layers,
    ...(face ? { face } : {}),
    stack: stackOf(thick),
    long,
    wide,
    high: mm(v.wallHeight),
    k: v.roof === "gable" || v.roof === "shed" ? v.rise / 12 : 0,
    roof: sheetOf(`sheet/${v.roofSheet}`)!,
    cut: cornerCut(HOW[v.corner as keyof typeof HOW], thick, thick, post),
    through: v.corner === "sides" || v.corner === "rebateSides",
    walls: WALLS.map((name) => {
      const [origin, e, n, length, foot] = at[name];
      const made = v.openings.flatMap((o, i): SheetWall["made"][number][] => {
        if (o.wall !== name) return [];
        const r = roughOpening({ ...o, at: 0, width: mm(o.width), height: mm(o.height), sill: mm(o.sill), lap: mm(o.lap) } as never, v.fit); // prettier-ignore
        const middle = mm(o.at);
        const gap: WallOpening = { name: `opening${i + 1}`, door: o.kind === "door", from: middle - r.width / 2, to: middle + r.width / 2, sill: r.sill, head: r.head }; // prettier-ignore
        return [{ row: i, opening: madeOpening({ v, ctx, mm, thick }, o, gap) }];
      });
      return { name, long: name === "front" || name === "back", origin, e, n, length, foot: 0 - mm(foot), gaps: made.map((m) => m.opening.gap), made }; // prettier-ignore
    }),
  };
}
/** A point of a wall: so far from its left end, in from its outside, and high. */
export const onSheetWall = (w: SheetWall, s: number, inward: number, z: number): Vec3 => [
  w.origin[0] + w.e[0] * s - w.n[0] * inward,
  w.origin[1] + w.e[1] * s - w.n[1] * inward,
  z,
];
/** Height of what the walls end under, over a place across the building: the roof's underside, or a flat top. */
export function under(l: SheetLayout, y: number): number {
  const { roof } = l.v;
  if (roof === "gable") return l.high + l.k * (l.wide / 2 - Math.abs(y));
  if (roof === "shed") return l.high + l.k * (y + l.wide / 2);
  return l.high + (roof === "flat" ? l.mm(l.v.parapet) : 0);
}
/** A layer of a wall on its inner face: from where to where it reaches, its corners from the lower left, and the bevel of each edge. */
export function layerOutline(
  l: SheetLayout,
  w: SheetWall,
  i: number,
): { readonly outline: readonly Vec2[]; readonly bevel: readonly number[] } {
  // prettier-ignore
  const { depth, item } = l.layers[i]!;
  const inner = depth + item.thickness;
  const mitre = l.v.corner === "mitre";
  const back = mitre ? inner : (w.long ? l.cut.first : l.cut.second)[i]!;
  const [s0, s1] = [back, w.length - back];
  const side = mitre ? -l.cut.bevel[0] : 0;
  if (w.long) {
    const y = (d: number): number => (w.name === "front" ? d - l.wide / 2 : l.wide / 2 - d);
    const square = l.v.tops === "square" || l.k === 0;
    const top = square ? Math.min(under(l, y(0)), under(l, y(l.stack))) : under(l, y(inner));
    const slope = square ? 0 : (Math.atan(l.k) * 180) / Math.PI;
    const falls = w.name === "front" || l.v.roof === "gable" ? slope : -slope;
    return { outline: [[s0, w.foot], [s1, w.foot], [s1, top], [s0, top]], bevel: [0, side, falls, side] }; // prettier-ignore
  }
  const yAt = (s: number): number => (w.name === "right" ? s - l.wide / 2 : l.wide / 2 - s);
  const peak: readonly Vec2[] = l.v.roof === "gable" ? [[l.wide / 2, under(l, 0)]] : [];
  return {
    outline: [[s0, w.foot], [s1, w.foot], [s1, under(l, yAt(s1))], ...peak, [s0, under(l, yAt(s0))]],
    bevel: [0, side, 0, ...peak.map(() => 0), side],
  };
}
