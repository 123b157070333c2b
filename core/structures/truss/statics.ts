import type { Vec2 } from "../../geometry";
import type { PlaneTruss, TrussForces } from "../../statics";
import type { Topology } from "./topology";

/** A bar of the statics model and the member it stands for: a web's id, or "bottom/L0-L1" for a part of a chord. */
export interface Bar {
  readonly member: string;
  readonly a: string;
  readonly b: string;
}
export interface TrussModel {
  readonly names: readonly string[];
  readonly bars: readonly Bar[];
  readonly truss: PlaneTruss;
}

const STIFF_POST = "stiffness of the end posts";
const STIFF_CHORD = "stiffness of the chords";
/** Whether a bar of the model is no stick but stands for the stiffness of some. */
export const standsForStiffness = (member: string): boolean => member === STIFF_POST || member === STIFF_CHORD;
/** What the chords' bending is worth against a plank of a lattice: a fiftieth of its stiffness, common practice for planks of two panels and more. */
const CHORD_SHARE = 0.02;

/** A truss as pinned bars: a pin at the left bearing, a roller at the right. Planks of a lattice run from chord to chord: what holds them where they cross is left out, which is on the safe side. With `stiffChords` the chords, which run through, hold their panel points against each other. `area` gives a bar's section over a unit one, where it matters. */
export function modelOf(t: Topology, area: (member: string) => number = () => 1, stiffChords = false): TrussModel {
  const points = new Map(Object.entries(t.points));
  const bars: Bar[] = t.chords.flatMap((c) =>
    c.points.slice(1).map((b, i) => ({ member: `${c.id}/${c.points[i]!}-${b}`, a: c.points[i]!, b })),
  );
  const on = new Map(t.webs.map((w) => [w.id, [w.a, w.b, ...(t.along?.[w.id] ?? [])]]));
  for (const [id, names] of on) {
    const sorted = [...new Set(names)].sort(
      (a, b) => points.get(a)![0] - points.get(b)![0] || points.get(a)![1] - points.get(b)![1],
    );
    sorted.slice(1).forEach((b, i) => bars.push({ member: id, a: sorted[i]!, b }));
  }
  // an end post that planks meet between its ends is held there by its own stiffness: a tie to the other post stands for it
  for (const [k] of points) if (/^E\d+$/.test(k)) bars.push({ member: STIFF_POST, a: k, b: k.replace("E", "F") });
  // and the end posts by their own bending what meets them between their ends
  const last = t.supports[1];
  if (stiffChords)
    for (const [k] of points) {
      const near = k.startsWith("E") ? "L1" : `L${Number(last.slice(1)) - 1}`;
      if (/^[EF]\d+$/.test(k)) bars.push({ member: STIFF_CHORD, a: k, b: near });
    }
  if (stiffChords)
    for (const [k] of points)
      if (/^L\d+$/.test(k) && points.has(k.replace("L", "U"))) bars.push({ member: STIFF_CHORD, a: k, b: k.replace("L", "U") }); // prettier-ignore
  const names = [...points.keys()];
  const index = new Map(names.map((n, i) => [n, i]));
  return {
    names,
    bars,
    truss: {
      nodes: names.map((n) => points.get(n)!),
      bars: bars.map((b) => ({
        a: index.get(b.a)!,
        b: index.get(b.b)!,
        stiffness: b.member === STIFF_CHORD ? CHORD_SHARE * area("diagonal") : area(b.member),
      })),
      supports: [
        { node: index.get(t.supports[0])!, x: true, y: true },
        { node: index.get(t.supports[1])!, x: false, y: true },
      ],
    },
  };
}

/** Downward loads of 1 at some panel points. */
export const unitLoads = (m: TrussModel, at: readonly string[]): readonly Vec2[] =>
  m.names.map((n): Vec2 => [0, at.includes(n) ? -1 : 0]);

/** Forces of a truss under a unit load at every loaded panel point, by member: a member of several bars shows the largest. */
export interface MemberForces {
  readonly ok: true;
  readonly forces: ReadonlyMap<string, number>;
  readonly redundant: number;
  /** Why the answer holds for part of what may come: the queen post's open panel. */
  readonly caveat?: string;
}
export interface NoForces {
  readonly ok: false;
  readonly reason: string;
}

/** The largest of a member's bars, with its sign. */
export function byMember(m: TrussModel, f: TrussForces): Map<string, number> {
  const out = new Map<string, number>();
  m.bars.forEach((b, i) => {
    if (standsForStiffness(b.member)) return;
    const before = out.get(b.member);
    if (before === undefined || Math.abs(f.forces[i]!) > Math.abs(before)) out.set(b.member, f.forces[i]!);
  });
  return out;
}
