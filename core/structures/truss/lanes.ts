import { profileBoxes } from "../../frame";
import { NEAR } from "../../geometry";
import type { ChordSection, TrussLayout } from "./layout";
import type { TrussValues } from "./parameters";
import type { Web } from "./topology";

/** Whether a web is an end post: a vertical over a bearing of a truss with upright ends. */
export const isEndPost = (v: TrussValues, l: TrussLayout, w: Web): boolean =>
  w.role === "vertical" && (w.a === "L0" || w.a === l.topology.supports[1]) && v.ends === "vertical";
/** Whether the verticals are rods that go through both chords. */
export const throughRods = (v: TrussValues, l: TrussLayout): boolean =>
  !!l.timbers.vertical.round && ["howe", "king", "queen"].includes(v.kind);
/** Whether a web is such a rod. */
export const isThroughRod = (v: TrussValues, l: TrussLayout, w: Web): boolean =>
  throughRods(v, l) && w.role === "vertical" && !isEndPost(v, l, w);

/**
 * How far a web's sticks stand off the middle of the truss, across it, model mm: one in the middle, or a pair. Diagonals
 * that pass counters stand outside of those; rods of a Howe stand in pairs beside single diagonals, and beside the web of
 * an I. An 8×8 diagonal and 2 in rods in HO: 1.17 + 0.29, and 0.1 clear, so 1.56 mm off the middle.
 */
export function lanesOf(v: TrussValues, l: TrussLayout, w: Web): number[] {
  if (isEndPost(v, l, w)) return [0];
  const { counter, diagonal, vertical } = l.timbers;
  const own = l.timbers[w.role];
  if (w.lane === 2 || w.lane === -2) return [(Math.sign(w.lane) * diagonal.w) / 2];
  if (w.lane === 1) {
    // rods of a Howe pass between its two timbers too
    const inner = Math.max(counter.w, vertical.round ? vertical.w + 0.1 : 0);
    return [-1, 1].map((k) => (k * (inner + own.w)) / 2);
  }
  if (!isThroughRod(v, l, w)) return [0];
  const { webs } = l.topology;
  const single = webs.some((x) => x.role === "diagonal" && x.lane === 0) ? diagonal.w : 0;
  // between paired diagonals they keep to the middle
  const web = l.inner.part && webs.every((x) => x.lane !== 1) ? l.inner.w : 0;
  const between = Math.max(single, web);
  return between > 0 ? [-1, 1].map((k) => k * ((between + own.w) / 2 + 0.1)) : [0];
}
/** Whether a rod so thick at y across a truss goes through wood of a chord, and not between its plies. */
export const pierces = (s: ChordSection, y: number, thick: number): boolean =>
  wood(s).some((c) => Math.abs(c.at - y) < (c.w + thick) / 2 - NEAR);
/** What of a chord such a rod would cut in two: a ply or a web that is no thicker than it. */
export const parted = (
  s: ChordSection,
  y: number,
  thick: number,
): { readonly name: string; readonly w: number } | undefined =>
  // prettier-ignore
  wood(s).find((c) => Math.abs(c.at - y) + c.w / 2 < thick / 2 + NEAR);
/** What of a section stands across a truss: its plies and strips, of a shape its web and flanges. */
const wood = (s: ChordSection): readonly { readonly name: string; readonly w: number; readonly at: number }[] =>
  s.components.flatMap((c) => profileBoxes(c).map((b) => ({ name: c.profile ? b.name : c.name, w: b.size[1], at: c.at[1] + b.at[1] }))); // prettier-ignore
