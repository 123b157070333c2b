import { NEAR } from "../../../geometry";
import type { BuildingLayout, Gap, Wall } from "../plan/layout";
import { LEAST_GAP } from "../walls/wallKit";

/** Openings of a wall between the same two uprights that run from sole to plate: one, or several over each other. Model mm. */
export interface Stack {
  /** Of its lowest opening, which the uprights are called after. */
  readonly name: string;
  readonly from: number;
  readonly to: number;
  /** The lowest first. */
  readonly gaps: readonly Gap[];
}
/** How much of the wall beside an opening what holds its header takes: king and jack, a stud, an opening post. */
export function besideOf(l: BuildingLayout): number {
  const { v, t } = l;
  return v.framing === "posts" ? t.girt.w : (v.openingFrame === "jacks" ? 2 : 1) * t.stud.w;
}
/** Whether one opening lies over another, wherever they are along the wall. */
export const isOver = (upper: Pick<Gap, "sill" | "door">, lower: Pick<Gap, "head">): boolean =>
  !upper.door && upper.sill > lower.head - NEAR;

/**
 * The openings of a wall by the uprights they stand between: those that overlap along the wall, or leave no room for two
 * uprights between them, share one pair; it stands beside the outermost. A window of 3 ft over a door of 4 ft: both headers
 * run the door's 4 ft, and the window's own sides stand on the lower one.
 */
export function stacksOf(l: BuildingLayout, w: Pick<Wall, "gaps">): Stack[] {
  const room = 2 * besideOf(l) + LEAST_GAP;
  const out: Gap[][] = [];
  let to = -Infinity;
  for (const g of [...w.gaps].sort((a, b) => a.from - b.from)) {
    const last = out[out.length - 1];
    if (last && (g.from < to + NEAR || (g.from < to + room && last.some((x) => isOver(g, x) || isOver(x, g)))))
      last.push(g);
    else out.push([g]);
    to = Math.max(to, g.to);
  }
  return out.map((gaps) => {
    const rising = gaps.sort((a, b) => (a.door ? -1 : a.sill) - (b.door ? -1 : b.sill));
    const [from, end] = [Math.min(...gaps.map((g) => g.from)), Math.max(...gaps.map((g) => g.to))];
    return { name: rising[0]!.name, from, to: end, gaps: rising };
  });
}
/** Where openings of a stack stand side by side: the left and the right of each two. */
export function sideBySide(stack: Stack): (readonly [Gap, Gap])[] {
  const across = [...stack.gaps].sort((a, b) => a.from - b.from);
  return across.flatMap((a, i) => {
    const b = across.slice(i + 1).find((x) => !isOver(x, a) && !isOver(a, x));
    return b ? [[a, b] as const] : [];
  });
}
