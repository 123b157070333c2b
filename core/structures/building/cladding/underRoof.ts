import { ALIKE, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { onWall } from "../plan/sides";
import type { Wall } from "../plan/layout";
import type { Hole } from "./cladFace";

/** From where to where along a wall a level lies under all slopes of a hole, in the face of its framing; undefined where it lies over them. Model mm. */
export function spanUnder(b: Builder, w: Wall, h: Hole, z: number): readonly [number, number] | undefined {
  let [from, to] = [h.from, h.to];
  for (const name of h.under ?? []) {
    const { n, d } = b.datums[name]!;
    const o = onWall(w, 0, 0, z);
    const [across, room] = [n[0] * w.e[0] + n[1] * w.e[1], d - n[0] * o[0] - n[1] * o[1] - n[2] * o[2]];
    if (Math.abs(across) < ALIKE) {
      if (room < 0) return undefined;
    } else if (across > 0) to = Math.min(to, room / across);
    else from = Math.max(from, room / across);
  }
  return to > from ? [from, to] : undefined;
}
/** How high the slopes of a hole lie over a place of a wall, in the face of its framing. Model mm. */
export function heightUnder(b: Builder, w: Wall, h: Hole, s: number): number {
  const o = onWall(w, s, 0, 0);
  return Math.min(
    h.high,
    ...(h.under ?? []).map((name) => {
      const { n, d } = b.datums[name]!;
      return (d - n[0] * o[0] - n[1] * o[1]) / n[2];
    }),
  );
}
/**
 * What a roof against a wall takes of a row of boards over its whole height, so that the row is in two pieces there: what lies
 * under its slopes at the row's top, and, where the row reaches below the eaves, what the walls under it take as well.
 */
export function coreOf(
  b: Builder,
  w: Wall,
  holes: readonly Hole[],
  [z0, z1]: readonly [number, number],
): (readonly [number, number])[] {
  // prettier-ignore
  return holes.flatMap((h): (readonly [number, number])[] => {
    const top = h.under && z1 > h.low ? spanUnder(b, w, h, z1) : undefined;
    if (!top) return [];
    if (z0 >= h.low - NEAR) return [top];
    const body = holes.find((x) => !x.under && x.low <= z0 && x.high >= h.low - NEAR && x.from < top[1] && x.to > top[0]); // prettier-ignore
    if (!body) return [];
    const core = [Math.max(top[0], body.from), Math.min(top[1], body.to)] as const;
    return core[1] > core[0] ? [core] : [];
  });
}
