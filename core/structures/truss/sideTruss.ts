import { ALIKE } from "../../geometry";
import type { Member } from "../../frame";
import type { Timber } from "../timber";
import type { SidePlace, TrussLayout } from "./layout";
import type { Chord, Web } from "./topology";

/** A straight piece of a chord between two panel points, with those it passes. */
export interface ChordStick {
  readonly id: string;
  readonly chord: Chord["id"];
  readonly role: string;
  readonly points: readonly string[];
  readonly member: Member;
}
/** A web as it is framed: one stick, or a pair at ±`y`. */
export interface WebStick {
  readonly id: string;
  readonly web: Web;
  readonly y: number;
  readonly timber: Timber;
  readonly member: Member;
}
export interface SideTruss {
  readonly place: SidePlace;
  readonly chords: readonly ChordStick[];
  readonly webs: readonly WebStick[];
  /** Its chords are pairs of planks. */
  readonly lattice: boolean;
}
/** Where something `wide` lies across a chord of a truss at x, on its upper (1) or lower side: how high over the truss's own axis, and on which sticks. Of a cambered chord it is the highest or lowest place. */
export function chordSeat(
  l: TrussLayout,
  t: SideTruss,
  chord: "bottom" | "top",
  x: number,
  wide: number,
  side: 1 | -1,
): { readonly z: number; readonly on: readonly string[] } {
  const at = l.topology.points;
  const found: { z: number; id: string }[] = [];
  // that side of each stick as a line; two that meet in a mitre end where their lines cross, not over the panel point
  const runs = t.chords
    .filter((k) => k.chord === chord && k.role !== "end post")
    .map((c) => {
      const [p, q] = [at[c.points[0]!]!, at[c.points[c.points.length - 1]!]!];
      const slope = (q[1] - p[1]) / (q[0] - p[0]);
      const over = (side * l.chord.v * Math.hypot(1, slope)) / 2;
      return { c, p, q, slope, z: (k: number): number => p[1] + slope * (k - p[0]) + over };
    });
  type Run = (typeof runs)[number];
  const meet = (m: Run, n: Run): number =>
    Math.abs(m.slope - n.slope) < ALIKE ? n.p[0] : n.p[0] + (m.z(n.p[0]) - n.z(n.p[0])) / (n.slope - m.slope);
  runs.forEach((r, i) => {
    const { c, p, q } = r;
    const [before, after] = [runs[i - 1], runs[i + 1]];
    const from = Math.max(before ? meet(before, r) : c.member.ends[0] ? -Infinity : p[0], x - wide / 2);
    const to = Math.min(after ? meet(r, after) : c.member.ends[1] ? Infinity : q[0], x + wide / 2);
    if (from > to + ALIKE) return;
    const z = [from, to].map(r.z);
    found.push({ z: side > 0 ? Math.max(...z) : Math.min(...z), id: c.id });
  });
  const z = side > 0 ? Math.max(...found.map((f) => f.z)) : Math.min(...found.map((f) => f.z));
  if (t.lattice)
    return { z, on: found.length > 0 ? [`${t.place.root}/${chord}/near`, `${t.place.root}/${chord}/far`] : [] };
  return { z, on: found.filter((f) => Math.abs(f.z - z) < 0.005).map((f) => f.id) };
}
