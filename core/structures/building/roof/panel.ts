import type { Member, PanelBody } from "../../../frame";
import { addScaled, cross, dot, normalize, scale, type Vec2, type Vec3 } from "../../../geometry";
import { model } from "../../../units";
import type { Builder } from "../../builder";
import type { BuildingLayout } from "../plan/layout";
import { move, turn, type Placement } from "../plan/place";

/** A sheet part in a part's own axes: its lower face lies in the plane of u and v, its thickness along u × v. Model mm. */
export interface PanelSeed {
  readonly id: string;
  readonly assembly: string;
  readonly role: string;
  readonly letter: string;
  readonly origin: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
  readonly outline: readonly Vec2[];
  readonly thickness: number;
  readonly bevel?: readonly number[];
  readonly holes?: Extract<Member["body"], { shape: "panel" }>["holes"];
  readonly loose?: boolean;
  /** A sheet that is sold, and what is on its face; plain sheet of that thickness where it does not say. */
  readonly stock?: string;
  readonly texture?: NonNullable<PanelBody["texture"]>;
}
/** Axes of the building itself, for what is given in them. */
export const UNMOVED: Placement = { quarters: 0, at: [0, 0] };

/** A square-edged opening in a panel, from where to where along u and v. */
export const rectangleHole = (
  name: string,
  u: readonly [number, number],
  v: readonly [number, number],
): NonNullable<PanelSeed["holes"]>[number] => ({
  name,
  outline: [
    [u[0], v[0]],
    [u[1], v[0]],
    [u[1], v[1]],
    [u[0], v[1]],
  ],
  bevel: [0, 0, 0, 0],
});
/** The bevels, in degrees, that make the edges of a sloping panel plumb; `square` are those that stay square to it. */
export function plumbBevels(u: Vec3, v: Vec3, outline: readonly Vec2[], square: (edge: number) => boolean): number[] {
  const w = cross(u, v);
  return outline.map((p, i) => {
    if (square(i)) return 0;
    const q = outline[(i + 1) % outline.length]!;
    const [du, dv] = [q[0] - p[0], q[1] - p[1]];
    const along = addScaled(scale(u, du), v, dv);
    const out = normalize(addScaled(scale(u, dv), v, -du));
    // the plumb plane through the edge
    const raw = normalize([along[1], -along[0], 0]);
    const n = dot(raw, out) > 0 ? raw : scale(raw, -1);
    return (Math.atan2(dot(n, w), dot(n, out)) * 180) / Math.PI;
  });
}
/** Places a panel where its part stands. */
export function panel(b: Pick<Builder, "add">, l: BuildingLayout, place: Placement, s: PanelSeed): string {
  return b.add({
    id: s.id,
    structure: l.ctx.structure,
    assembly: s.assembly,
    role: s.role,
    letter: s.letter,
    kind: "panel",
    nominal: [0, 0],
    ends: [undefined, undefined],
    ...(s.loose ? { loose: true } : {}),
    ...(s.texture ? { turning: s.texture.turns ? "face" : "none" } : {}),
    body: {
      shape: "panel",
      origin: move(place, s.origin),
      u: turn(place, s.u),
      v: turn(place, s.v),
      outline: s.outline,
      bevel: s.bevel ?? s.outline.map(() => 0),
      thickness: model(s.thickness),
      stock: s.stock ?? "sheet",
      ...(s.texture ? { texture: s.texture } : {}),
      holes: s.holes ?? [],
    },
  }).id;
}
