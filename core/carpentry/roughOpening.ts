/** A casting and how it is mounted: a door stands on the floor, `sill` is its bottom over it. */
export interface Casting {
  readonly kind: string;
  readonly mount: string;
  readonly width: number;
  readonly height: number;
  readonly sill: number;
  readonly lap: number;
}
/** What an opening's framing leaves free: model or prototype mm, as its row. */
export interface Rough {
  readonly width: number;
  readonly height: number;
  readonly sill: number;
  readonly head: number;
}

/**
 * The rough opening a casting needs. With a flange outside only its body goes in: the flange overlaps by `lap` on each
 * side. From behind it lies on the inner face and shows less by `lap` on each side. Trimmed to sit inside it goes in
 * whole. Made in layers the opening is as it is seen. Built up, the jambs of thickness `lap` stand inside. A door's
 * foot stands on the floor. `fit` is left free on each side that is not the floor; all in one unit.
 */
export function roughOpening(o: Casting, fit: number): Rough {
  const door = o.kind !== "window";
  const [grow, room] =
    o.mount === "flange"
      ? [-o.lap, fit]
      : o.mount === "behind"
        ? [-o.lap, 0]
        : o.mount === "inside"
          ? [0, fit]
          : o.mount.startsWith("layers")
            ? [0, 0]
            : [o.lap, fit];
  const side = grow + room;
  const sill = door ? 0 : o.sill - side;
  const head = o.sill + o.height + side;
  return { width: o.width + 2 * side, height: head - sill, sill, head };
}
