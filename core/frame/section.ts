import { model, type Model } from "../units";
import type { Component } from "./member";

/** A single stick, v deep and w thick, model mm. */
export const single = (v: Model, w: Model, stock: string): readonly Component[] => [
  { name: "", v, w, at: [model(0), model(0)], stock },
];

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
