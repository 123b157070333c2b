import type { Resolved } from "../frame";
import { dot, volumeOf } from "../geometry";
import { bodyOf, type Body } from "./body";
import type { Path } from "./clear";
import { usualJoining } from "./joinings";
import { made, movesOf } from "./regroup";
import { sequence, type Placing } from "./sequence";
import type { Built, Phase } from "./step";
import { back, checksOnBoard, countOf, stuckWords, wayWords } from "./stepWords";
import type { Unit } from "./units";

/** What share of the wood may lie below the rest to be put on when it is turned over. */
const LITTLE = 0.15;
/** What stands out below the rest by more cannot lie on the board with it, model mm. */
const STANDS_OUT = 0.5;

/** What lies on the board, on top of it, and on the side that is down: that comes on when it was lifted and turned. */
function phases(u: Unit): ReadonlyMap<Resolved, { readonly phase: Phase; readonly lo: number }> {
  const spans = u.sticks.map((k) => {
    const b = bodyOf(k.id, [k]);
    const h = b.parts.flatMap((p) => p.solid.faces.flatMap((f) => f.corners.map((c) => dot(c, u.eye))));
    const [lo, hi] = [h.reduce((a, x) => Math.min(a, x), Infinity), h.reduce((a, x) => Math.max(a, x), -Infinity)];
    const size = k.parts.reduce((t, p) => t + volumeOf(p), 0);
    return { k, lo, hi, size };
  });
  // the layer that most of the wood lies in
  const laid = spans.filter((x) => u.base.has(x.k));
  const sorted = (laid.length > 0 ? laid : [...spans]).sort((a, b) => a.lo + a.hi - b.lo - b.hi);
  const half = sorted.reduce((t, x) => t + x.size, 0) / 2;
  let sum = 0;
  const middle = sorted.find((x) => (sum += x.size) >= half) ?? sorted[0]!;
  const m = (middle.lo + middle.hi) / 2;
  const main = spans.filter((x) => u.base.has(x.k) && x.lo < m && x.hi > m);
  // where most of that layer begins and ends: a mudsill that stands out of it on both sides is no part of it
  const most = (of: (x: (typeof spans)[number]) => number): number => {
    const ends = [...main].sort((a, b) => of(a) - of(b));
    const all = ends.reduce((t, x) => t + x.size, 0) / 2;
    let got = 0;
    return of(ends.find((x) => (got += x.size) >= all) ?? ends[0]!);
  };
  const [low, high] = main.length > 0 ? [most((x) => x.lo), most((x) => x.hi)] : [m, m];
  const tol = 0.05;
  const standsOut = (x: (typeof spans)[number]): boolean => x.lo < low - STANDS_OUT && x.lo < m && x.hi > low + tol && main.length > 1; // prettier-ignore
  const below = (x: (typeof spans)[number]): boolean => x.hi <= low + tol;
  // what is little goes on the other face when the rest is turned over; of plies, and of a frame under its sheet, one begins at the bottom
  const whole = spans.reduce((t, x) => t + x.size, 0);
  const turns = spans.filter(below).reduce((t, x) => t + x.size, 0) <= LITTLE * whole;
  const phaseOf = (x: (typeof spans)[number]): Phase =>
    standsOut(x) || (turns && below(x)) ? "under" : below(x) ? "first" : x.lo >= Math.min(high, m) - tol && !main.includes(x) ? "over" : "main"; // prettier-ignore
  return new Map(spans.map((x) => [x.k, { lo: x.lo, phase: phaseOf(x) }]));
}

/** The steps of one sub-assembly on its board. */
export function onBoard(
  structure: string,
  u: Unit,
  deep: (m: string) => number,
  on: ReadonlyMap<string, readonly string[]>,
): Built {
  const phase = phases(u);
  const bodies = new Map(u.sticks.map((k) => [k.id, bodyOf(k.id, [k])] as const));
  const of = (b: Body): Resolved => b.sticks[0]!;
  const ways = (b: Body): readonly Path[] => {
    const k = of(b);
    const along = k.axes.u;
    const flat = [u.eye, u.up, back(u.up), u.right, back(u.right), along, back(along)];
    return (phase.get(k)!.phase === "under" ? [back(u.eye), ...flat.slice(1)] : flat).map((d) => ({ along: d }));
  };
  const order: Readonly<Record<Phase, number>> = { first: 0, main: 1, over: 2, under: 3 };
  const roles = [...new Set(u.sticks.map((k) => k.member.role))];
  const late = (b: Body): number => {
    const k = of(b);
    const p = phase.get(k)!;
    const level = p.phase === "main" || p.phase === "first" ? deep(k.member.id) : 0;
    return order[p.phase] * 1e6 + (p.phase === "over" || p.phase === "first" ? p.lo * 1e3 : p.phase === "under" ? -p.lo * 1e3 : level * 1e3) + roles.indexOf(k.member.role); // prettier-ignore
  };
  const found = sequence([...bodies.values()], ways, late);
  // what is cut to another is laid against it; a loop of such, and what is turned, keep the order that was found
  const at = new Map(found.order.map((p, i) => [p.body.sticks[0]!.member.id, i] as const));
  const bearers = (p: Placing, i: number): string[] =>
    (on.get(of(p.body).member.id) ?? []).flatMap((m) => (at.has(m) && at.get(m)! < i ? u.sticks.filter((k) => k.member.id === m).map((k) => k.id) : [])); // prettier-ignore
  const key = (p: Placing): string => `${phase.get(of(p.body))!.phase}/${of(p.body).member.role}`;
  const rank = (p: Placing): number => order[phase.get(of(p.body))!.phase];
  const steps = made(found.order, key, found.before, bearers, rank, (g, n, after) => {
    const own = g.flatMap((p) => p.body.sticks);
    const ph = phase.get(own[0]!)!.phase;
    const role = own[0]!.member.role;
    const stepId = `${structure}/${u.id}/${ph}/${role}${n > 0 ? `/${n + 1}` : ""}`;
    return {
      id: stepId,
      structure,
      place: "board" as const,
      unit: u.name,
      title: `${u.name}: ${countOf(own.length, role)}${ph === "under" ? ", turned over" : ""}`,
      sticks: own.map((k) => k.id),
      moves: movesOf(g),
      view:
        ph === "under"
          ? { right: back(u.right), up: u.up, eye: back(u.eye) }
          : { right: u.right, up: u.up, eye: u.eye },
      way: ph === "under" ? "once it is lifted and turned over" : wayWords(g[0]!.from, u),
      joining: usualJoining(own.map((k) => k.stock)),
      lifts: ph === "under",
      checks: checksOnBoard(u, after.length === 0, ph),
      fixture: undefined,
    };
  });
  return { steps, noWay: stuckWords(found.stuck, u.name) };
}
