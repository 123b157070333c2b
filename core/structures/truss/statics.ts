import type { Vec2 } from "../../geometry";
import { solveTruss, type Mechanism, type PlaneTruss, type TrussForces } from "../../statics";
import { topologyOf, type Topology, type TopologyValues } from "./topology";

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

/**
 * Forces under a unit panel load. A queen post with an open middle panel is a mechanism; under symmetrical load it stands,
 * and what it then carries is found with a brace that carries nothing, and said. Any other mechanism is refused with the
 * reason.
 */
export function forcesOf(v: TopologyValues): MemberForces | NoForces {
  const t = topologyOf(v);
  const m = modelOf(t);
  const solved = solveTruss(m.truss, [unitLoads(m, t.loaded)]);
  if (!("ok" in solved)) return { ok: true, forces: byMember(m, solved[0]!), redundant: solved[0]!.redundant };
  if (v.kind === "queen") {
    const braced = { ...t, webs: [...t.webs, { id: "none", a: "L1", b: "U2", role: "counter", lane: 0 } as const] };
    const k = modelOf(braced);
    const held = solveTruss(k.truss, [unitLoads(k, t.loaded)]);
    if (!("ok" in held)) {
      const forces = byMember(k, held[0]!);
      if (Math.abs(forces.get("none") ?? 0) < 1e-9) {
        forces.delete("none");
        return { ok: true, forces, redundant: solved.redundant, caveat: OPEN_PANEL };
      }
    }
  }
  if (v.kind === "plank") {
    // planks of some numbers of panels meet in closed rounds, which only the chords hold
    const k = modelOf(t, () => 1, true);
    const held = solveTruss(k.truss, [unitLoads(k, t.loaded)]);
    if (!("ok" in held)) return { ok: true, forces: byMember(k, held[0]!), redundant: 0, caveat: STIFF_CHORDS };
  }
  return { ok: false, reason: whyNot(m, solved) };
}
export const STIFF_CHORDS =
  "With this number of panels the planks alone would give: what is found counts on the stiffness of the chords, which run through. One panel more or less makes the planks hold one another.";
export const OPEN_PANEL =
  "The middle panel is open, so the queen post carries symmetrical load only: under a load on one side it gives. Cross the panel with counters, or rely on stiff chords.";

const whyNot = (m: TrussModel, s: Mechanism): string => {
  const way = Math.abs(s.direction[0]) > Math.abs(s.direction[1]) ? "along" : "up and down";
  const short = s.redundant < 0 ? ` It is short of ${-s.redundant} member${s.redundant === -1 ? "" : "s"}.` : "";
  return `The truss is a mechanism: ${m.names[s.node]} moves ${way} and nothing holds it.${short}`;
};
