import { model, type Model } from "../units";
import type { Component, ComponentProfile } from "./member";

/** A single stick, v deep and w thick, model mm; milled to a shape where it is one. */
export const single = (v: Model, w: Model, stock: string, profile?: ComponentProfile): readonly Component[] => [
  { name: "", v, w, at: [model(0), model(0)], stock, ...(profile ? { profile } : {}) },
];

/** A box of a shape: its name, its size along v and w, and its centre from the shape's. */
export interface ProfileBox {
  readonly name: "web" | "upper" | "lower";
  readonly size: readonly [number, number];
  readonly at: readonly [number, number];
}
/**
 * The boxes that a component is made of: one, or the web and flanges of a shape. A channel's web and an angle's leg are
 * on its -w side (its -v side where it is deep along w), the angle's flange on the side that is near then.
 */
export function profileBoxes({ v, w, profile: p }: Pick<Component, "v" | "w" | "profile">): readonly ProfileBox[] {
  if (!p) return [{ name: "web", size: [v, w], at: [0, 0] }];
  const [deep, reach] = p.deep === "v" ? [v, w] : [w, v];
  // along the depth, along the reach
  const k = p.turned ? -1 : 1;
  const box = (name: ProfileBox["name"], size: readonly [number, number], at: readonly [number, number]): ProfileBox =>
    p.deep === "v"
      ? { name, size, at: [k * at[0], k * at[1]] }
      : { name, size: [size[1], size[0]], at: [k * at[1], -k * at[0]] };
  const aside = (reach - p.web) / 2;
  if (p.form === "angle")
    return [
      box("web", [deep, p.web], [0, -aside]),
      box("lower", [p.flange, reach - p.web], [-(deep - p.flange) / 2, p.web / 2]),
    ];
  const up = (deep - p.flange) / 2;
  return [
    box("web", [deep - 2 * p.flange, p.web], [0, p.form === "channel" ? -aside : 0]),
    box("upper", [p.flange, reach], [up, 0]),
    box("lower", [p.flange, reach], [-up, 0]),
  ];
}

/** A section glued up from equal plies stacked along v or w: one axis, offset components. v and w are of the whole. */
export function laminated(v: Model, w: Model, plies: number, along: "v" | "w", stock: string): readonly Component[] {
  const size = (along === "v" ? v : w) / plies;
  return Array.from({ length: plies }, (_, i) => {
    const off = model((i - (plies - 1) / 2) * size);
    return {
      name: String(i + 1),
      v: along === "v" ? model(size) : v,
      w: along === "w" ? model(size) : w,
      at: along === "v" ? [off, model(0)] : [model(0), off],
      stock,
    };
  });
}

/** Size and centre of the box round all components, along v and w. */
export function envelope(components: readonly Component[]): {
  readonly size: readonly [number, number];
  readonly centre: readonly [number, number];
} {
  const lo = [0, 1].map((k) => Math.min(...components.map((c) => c.at[k]! - (k ? c.w : c.v) / 2)));
  const hi = [0, 1].map((k) => Math.max(...components.map((c) => c.at[k]! + (k ? c.w : c.v) / 2)));
  return { size: [hi[0]! - lo[0]!, hi[1]! - lo[1]!], centre: [(hi[0]! + lo[0]!) / 2, (hi[1]! + lo[1]!) / 2] };
}
