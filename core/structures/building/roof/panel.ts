import { addScaled, cross, dot, normalize, scale, type Vec2, type Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import { panelMember, type PanelSeed } from "../../panel";
import type { BuildingLayout } from "../plan/layout";
import { move, turn, type Placement } from "../../place";

/** Axes of the building itself, for what is given in them. */
export const UNMOVED: Placement = { quarters: 0, at: [0, 0] };

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
/** Places a panel, given in its part's own axes, where its part stands. */
export const panel = (b: Pick<Builder, "add">, l: BuildingLayout, place: Placement, s: PanelSeed): string =>
  b.add(panelMember(l.ctx.structure, { ...s, origin: move(place, s.origin), u: turn(place, s.u), v: turn(place, s.v) })).id; // prettier-ignore
