import type { Frame, Resolved } from "../frame";
import { wholeId } from "../frame";
import { dot, scale, volumeOf, type Vec3 } from "../geometry";
import type { StructureDesign } from "../job";
import { bodyOf, type Body } from "./body";
import type { Path } from "./clear";
import { usualJoining } from "./joinings";
import { lateness } from "./late";
import { sequence, type Placing } from "./sequence";
import { partnersOf, unitsOf, type Unit } from "./units";

/** One step of a build: what is new in it, where it is done, and what has to be done before. */
export interface Step {
  /** Stays the same as long as what it is about does. */
  readonly id: string;
  readonly structure: string;
  /** "Front wall: 12 studs". */
  readonly title: string;
  /** On a template, put together lying; or where it stands. */
  readonly place: "board" | "join";
  /** The sub-assembly that it is of or that it places. */
  readonly unit: string | undefined;
  /** What is new, sticks by id. */
  readonly sticks: readonly string[];
  /** What is there already when it begins: on its board, or standing. */
  readonly there: readonly string[];
  /** How it is looked at. */
  readonly view: { readonly right: Vec3; readonly up: Vec3; readonly eye: Vec3 };
  /** How it comes to its place, in words: "from above". */
  readonly way: string;
  /** The same as paths: what is moved as one, and the path on which it could be taken away again. */
  readonly moves: readonly { readonly sticks: readonly string[]; readonly path: Path }[];
  /** Steps that must be done before. What neither comes before nor after another may be done in any order. */
  readonly after: readonly string[];
  readonly joining: string;
  /** What to check, and what to know, a sentence each. */
  readonly checks: readonly string[];
  /** It lifts or turns what was put together before: that has to hold. */
  readonly lifts: boolean;
  /** What holds it while the glue sets, where nothing does that is there already. */
  readonly fixture: string | undefined;
}
/** A piece that cannot be brought to its place in a straight line, with what closes its way. */
export interface NoWay {
  readonly sticks: readonly string[];
  readonly unit: string | undefined;
  readonly text: string;
}
export interface Assembly {
  readonly steps: readonly Step[];
  readonly noWay: readonly NoWay[];
}
/** Which way round a structure is put together: standing, or upside down from its deck. */
export type Way = "up" | "down";

/** What share of the wood may lie below the rest to be put on when it is turned over. */
const LITTLE = 0.15;
/** What stands out below the rest by more cannot lie on the board with it, model mm. */
const STANDS_OUT = 0.5;
/** How far beside its place a stick is lowered in at least, model mm. */
const BESIDE = 0.5;
/** How far before its wall a hand holds what it lowers in, model mm. */
const HAND = 12;
/** What stands on the ground, at whatever height that is. */
const STANDS = /^(mudsill|sill|footing|pier|base plate|foundation post|pile)$/;
const Z: Vec3 = [0, 0, 1];
const SIDES: readonly Vec3[] = [Z, [0, -1, 0], [0, 1, 0], [-1, 0, 0], [1, 0, 0]];
const back = (v: Vec3): Vec3 => scale(v, -1);

/** What members hang on by their joints, and how deep: one that is cut to another, or lies on it, is deeper. Loops end where they are. */
function hanging(frame: Frame): {
  readonly deep: (member: string) => number;
  readonly on: ReadonlyMap<string, readonly string[]>;
} {
  const on = new Map<string, string[]>();
  const hang = (a: string, b: string): void => {
    if (a !== b) on.set(wholeId(a), [...(on.get(wholeId(a)) ?? []), wholeId(b)]);
  };
  for (const j of frame.joints) if (j.kind === "butt" || j.kind === "lap" || j.kind === "notch" || j.kind === "bearing") hang(j.a, j.b); // prettier-ignore
  for (const n of frame.nodes)
    n.tiers.forEach((tier, t) => tier.forEach((e) => n.tiers.slice(0, t).flat().forEach((o) => hang(e.member, o.member)))); // prettier-ignore
  const known = new Map<string, number>();
  const open = new Set<string>();
  const deep = (m: string): number => {
    if (known.has(m)) return known.get(m)!;
    if (open.has(m)) return 0;
    open.add(m);
    const d = Math.min(8, Math.max(0, ...(on.get(m) ?? []).map((o) => deep(o) + 1)));
    open.delete(m);
    known.set(m, d);
    return d;
  };
  return { deep, on };
}
/** Steps of one sub-assembly on its board. */
interface Built {
  readonly steps: Step[];
  readonly noWay: readonly NoWay[];
}
type Phase = "first" | "main" | "over" | "under";

/** Every step of a structure and their order; what cannot be brought to its place is told. */
export function assemblyOf(s: StructureDesign, way: Way = "up"): Assembly {
  const { sticks, frame } = s.resolved;
  if (s.fault || sticks.length === 0) return { steps: [], noWay: [] };
  const { deep, on } = hanging(frame);
  const partners = partnersOf(frame);
  const units = unitsOf(s);
  const id = s.structure.id;
  const steps: Step[] = [];
  const noWay: NoWay[] = [];
  for (const u of units) {
    const built = onBoard(id, u, deep, on);
    steps.push(...built.steps);
    noWay.push(...built.noWay);
  }
  const joined = join(s, units, deep, partners, way, steps);
  return { steps: [...steps, ...joined.steps], noWay: [...noWay, ...joined.noWay] };
}

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

function onBoard(
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

/** Sub-assemblies and single sticks where they stand. */
function join(
  s: StructureDesign,
  units: readonly Unit[],
  deep: (m: string) => number,
  partners: ReadonlyMap<string, ReadonlySet<string>>,
  way: Way,
  board: readonly Step[],
): Built {
  const structure = s.structure.id;
  const inUnit = new Set(units.flatMap((u) => u.sticks.map((k) => k.id)));
  const single = (k: Resolved): Body => bodyOf(k.id, [k]);
  let bodies: Body[] = [...units.map((u) => bodyOf(u.id, u.sticks)), ...s.resolved.sticks.filter((k) => !inUnit.has(k.id)).map(single)]; // prettier-ignore
  const builds = s.kind.builds?.(s.variant.params, s.context) ?? [];
  const eyes = new Map<string, Vec3>();
  for (const b of builds) for (const k of s.resolved.sticks) if (b.has(k)) eyes.set(k.id, b.eye);
  const [low, high] = [Math.min(...bodies.map((b) => b.min[2])), Math.max(...bodies.map((b) => b.max[2]))];
  const up = way === "up" ? 1 : -1;
  const height = (b: Body): number => (b.min[2] + b.max[2] - 2 * low) / (2 * Math.max(high - low, 1e-6));
  const late = (b: Body): number => {
    const own = b.sticks.map((k) => lateness(k.member.role));
    const classes = own.filter((x) => x !== undefined);
    // a sub-assembly comes as its first piece does
    const least = classes.length === own.length ? Math.min(...classes) : undefined;
    const at = up > 0 ? height(b) : 1 - height(b);
    return (
      (up > 0 ? (least ?? 1.5 + 4 * at) : 5 * at) * 1e3 + at * 100 + Math.min(...b.sticks.map((k) => deep(k.member.id)))
    );
  };
  const unitAxes = new Map(units.map((u) => [u.id, [u.eye, back(u.eye), u.right, back(u.right)]] as const));
  const unitIds = new Set(units.map((u) => u.id));
  const member = bodyOfMember(bodies);
  /** What joins sub-assemblies comes after them, whatever its height. */
  const lateOf = new Map<string, number>();
  const lastOf = (b: Body): number => {
    const known = lateOf.get(b.id);
    if (known !== undefined) return known;
    const own = late(b);
    const on = b.sticks.length > 1 || lateness(b.sticks[0]!.member.role) !== undefined ? [] : [...(partners.get(b.sticks[0]!.member.id) ?? [])].flatMap((m) => member.get(m) ?? []).filter((o) => unitIds.has(o.id)); // prettier-ignore
    const last = Math.max(own, ...(on.length > 1 ? on.map((o) => late(o) + 1) : []));
    lateOf.set(b.id, last);
    return last;
  };
  const ways = (b: Body): readonly Path[] => {
    const eye = eyes.get(b.sticks[0]!.id);
    const { u, v, w } = b.sticks[0]!.axes;
    const own = unitAxes.get(b.id) ?? (b.sticks.length === 1 ? [v, back(v), w, back(w), u, back(u)] : []);
    const first = up > 0 ? SIDES : [back(Z), ...SIDES.slice(1)];
    const straight = [...(eye ? [eye] : []), ...first, ...own, ...(eye ? [back(eye)] : []), up > 0 ? back(Z) : Z];
    if (b.sticks.length > 1) {
      // a window goes in from inside: down between the walls first, then to its wall
      const inward = (unitAxes.get(b.id) ?? []).slice(0, 2).map((d): Path => ({ along: first[0]!, first: { along: d, by: HAND } })); // prettier-ignore
      return [...straight.map((along) => ({ along })), ...inward];
    }
    // between what stands one lowers a stick beside its place and presses it on
    const by = 2 * Math.min(...b.sticks[0]!.size) + BESIDE;
    const beside = [v, back(v), w, back(w)].flatMap((d) => [...first, u, back(u)].filter((o) => Math.abs(dot(o, d)) < 0.9).map((along): Path => ({ along, first: { along: d, by } }))); // prettier-ignore
    return [...straight.map((along) => ({ along })), ...beside];
  };
  const touching = (all: readonly Body[]): ReadonlyMap<Body, ReadonlySet<Body>> => {
    const of = bodyOfMember(all);
    return new Map(all.map((b) => [b, new Set(b.sticks.flatMap((k) => [...(partners.get(k.member.id) ?? [])].flatMap((m) => of.get(m) ?? [])).filter((o) => o !== b))])); // prettier-ignore
  };
  const ground = (b: Body): boolean => (up > 0 ? b.min[2] < low + 0.5 : b.max[2] > high - 0.5) || b.sticks.some((k) => k.member.grounded === true || k.member.loose === true || STANDS.test(k.member.role)); // prettier-ignore
  const run = (all: readonly Body[], later: readonly Placing[]) => {
    const near = touching([...all, ...later.map((p) => p.body)]);
    const holds = (left: ReadonlySet<Body>, off: Body): boolean =>
      [...(near.get(off) ?? [])].every((q) => !left.has(q) || ground(q) || [...(near.get(q) ?? [])].some((o) => o !== off && left.has(o))); // prettier-ignore
    return sequence(all, ways, lastOf, [], holds);
  };
  let found = run(bodies, []);
  const order: Placing[] = [...found.order];
  const before = new Map(found.before);
  const split: string[] = [];
  // what is stuck as a whole may come stick by stick
  while (found.stuck.length > 0 && found.stuck.some((b) => b.sticks.length > 1)) {
    const whole = found.stuck.filter((b) => b.sticks.length > 1);
    // first those that hang on the most others come apart, as walls do not
    const worst = whole.sort((a, b) => late(b) - late(a))[0]!;
    split.push(worst.id);
    const rest = [...found.stuck.filter((b) => b !== worst), ...worst.sticks.map(single)];
    bodies = [...bodies.filter((b) => b !== worst), ...worst.sticks.map(single)];
    found = run(rest, order);
    order.unshift(...found.order);
    for (const [k, v] of found.before) before.set(k, [...v, ...order.filter((p) => !found.order.includes(p)).map((p) => p.body.id)]); // prettier-ignore
  }
  const near = touching(bodies);
  const unitOf = new Map(units.map((u) => [u.id, u] as const));
  const placed = new Set<Body>();
  const hung = new Map<Body, boolean>();
  for (const p of order) {
    const on = near.get(p.body) ?? new Set();
    hung.set(p.body, placed.size > 0 && !ground(p.body) && ![...on].some((o) => placed.has(o)));
    placed.add(p.body);
  }
  const key = (p: Placing): string => (unitOf.has(p.body.id) ? `unit:${p.body.id}` : `${p.body.sticks[0]!.member.role}|${dirKey(p.from.along)}`); // prettier-ignore
  const at = new Map(order.map((p, i) => [p.body, i] as const));
  const home = homeView(s);
  // what was there before and is joined to it carries it
  const bearers = (p: Placing, i: number): string[] => [...(near.get(p.body) ?? [])].filter((b) => (at.get(b) ?? Infinity) < i).map((b) => b.id); // prettier-ignore
  const steps = made(
    order,
    key,
    before,
    bearers,
    () => 0,
    (g, n, after) => {
      const u = unitOf.get(g[0]!.body.id);
      const own = g.flatMap((p) => p.body.sticks);
      const role = own[0]!.member.role;
      const hangs = g.some((p) => hung.get(p.body));
      return {
        id: u ? `${structure}/join/${u.id}` : `${structure}/join/${role}${n > 0 ? `/${n + 1}` : ""}`,
        structure,
        place: "join" as const,
        unit: u?.name,
        title: u ? `Place: ${u.name}` : `${capital(countOf(own.length, role))}`,
        sticks: own.map((k) => k.id),
        moves: movesOf(g),
        view: home,
        way: wayWords(g[0]!.from),
        joining: own.every((k) => k.member.loose) ? "dry" : usualJoining(own.map((k) => k.stock)),
        lifts: u !== undefined,
        checks: checksOfJoin(u, own, after.length === 0, up),
        fixture: hangs ? "Nothing that is there holds it yet: stand it against a block, or pin it, until what carries it is there." : undefined, // prettier-ignore
      };
    },
  );
  // a sub-assembly is put together before it is placed
  const own = (st: Step): readonly string[] => {
    const has = new Set(st.sticks);
    return board.filter((b) => b.sticks.some((k) => has.has(k))).map((b) => b.id);
  };
  const whole = steps.map((st) => ({ ...st, after: [...new Set([...own(st), ...st.after])] }));
  return { steps: whole, noWay: stuckWords(found.stuck, undefined) };
}

const bodyOfMember = (all: readonly Body[]) => new Map(all.flatMap((b) => b.sticks.map((k) => [k.member.id, b] as const))); // prettier-ignore
function homeView(s: StructureDesign): Step["view"] {
  const front: Step["view"] = { right: [0, 1, 0], up: Z, eye: [-1, 0, 0] };
  const side: Step["view"] = { right: [1, 0, 0], up: Z, eye: [0, -1, 0] };
  return s.kind.home === "front" ? front : side;
}
const dirKey = (d: Vec3): string => d.map((x) => Math.round(x * 10)).join();
/**
 * Placings as steps: those of a key together as far as what has to come before allows. A piece has to be there before those
 * that would stand in its way, and after those that carry it; of a higher rank after all of a lower. Each step knows the
 * steps that have to come before it.
 */
function made(
  order: readonly Placing[],
  keyOf: (p: Placing) => string,
  before: ReadonlyMap<string, readonly string[]>,
  bearers: (p: Placing, i: number) => readonly string[],
  rankOf: (p: Placing) => number,
  of: (g: readonly Placing[], n: number, after: readonly number[]) => Omit<Step, "there" | "after">,
): Step[] {
  const at = new Map(order.map((p, i) => [p.body.id, i] as const));
  /** Which placings have to come before each, all of them earlier in the order that was found. */
  const needs = order.map((): Set<number> => new Set());
  order.forEach((p, i) => {
    for (const o of before.get(p.body.id) ?? []) {
      const k = at.get(o);
      if (k !== undefined && k > i) needs[k]!.add(i);
    }
    for (const o of bearers(p, i)) {
      const k = at.get(o);
      if (k !== undefined && k < i) needs[i]!.add(k);
    }
  });
  const done = new Set<number>();
  const groups: number[][] = [];
  const groupOf = new Map<number, number>();
  const waiting = order.map((_, i) => i).sort((a, b) => rankOf(order[a]!) - rankOf(order[b]!) || a - b);
  while (done.size < order.length) {
    const open = (i: number): boolean => !done.has(i) && [...needs[i]!].every((k) => done.has(k));
    const first = waiting.find(open)!;
    const key = keyOf(order[first]!);
    const group: number[] = [];
    // what the same key opens up on the way comes along
    for (let more = [first]; more.length > 0; more = waiting.filter((i) => open(i) && keyOf(order[i]!) === key))
      for (const i of more) {
        done.add(i);
        group.push(i);
        groupOf.set(i, groups.length);
      }
    groups.push(group);
  }
  const after = groups.map((g, n) => [...new Set(g.flatMap((i) => [...needs[i]!].map((k) => groupOf.get(k)!)))].filter((k) => k !== n).sort((a, b) => a - b)); // prettier-ignore
  // what ranks higher comes after all that ranks lower
  groups.forEach((g, n) => {
    const rank = rankOf(order[g[0]!]!);
    groups.forEach((o, k) => k < n && rankOf(order[o[0]!]!) < rank && !after[n]!.includes(k) && after[n]!.push(k));
  });
  const seen = new Map<string, number>();
  const ids: string[] = [];
  return groups.map((g, n): Step => {
    const own = g.map((i) => order[i]!);
    const about = of(own, 0, after[n]!);
    const count = seen.get(about.id) ?? 0;
    seen.set(about.id, count + 1);
    const named = count > 0 ? of(own, count, after[n]!) : about;
    ids.push(named.id);
    const there = groups.slice(0, n).flatMap((x) => x.flatMap((i) => order[i]!.body.sticks.map((k) => k.id)));
    // what a step before needs itself goes without saying
    const direct = after[n]!.filter((k) => !after[n]!.some((o) => o !== k && reaches(after, o, k)));
    return { ...named, there, after: direct.map((k) => ids[k]!) };
  });
}
/** Whether one step comes after another by the steps between. */
function reaches(after: readonly (readonly number[])[], from: number, to: number): boolean {
  const seen = new Set<number>();
  const open = [from];
  while (open.length > 0) {
    const n = open.pop()!;
    if (n === to) return true;
    if (seen.has(n) || n < to) continue;
    seen.add(n);
    open.push(...after[n]!);
  }
  return false;
}

const movesOf = (g: readonly Placing[]): Step["moves"] =>
  g.map((p) => ({ sticks: p.body.sticks.map((k) => k.id), path: p.from }));
const capital = (t: string): string => t.charAt(0).toUpperCase() + t.slice(1);
/** "12 studs", "1 cap". */
export function countOf(n: number, role: string): string {
  if (n === 1) return `1 ${role}`;
  const plural = /(s|x|ch|sh)$/.test(role) ? `${role}es` : /[^aeiou]y$/.test(role) ? `${role.slice(0, -1)}ies` : `${role}s`; // prettier-ignore
  return `${n} ${/(glazing|blocking)$/.test(role) ? role : plural}`;
}
/** Where something comes from, in words: against the board's own directions, or the structure's. */
export function wayWords({ along: from, first }: Path, u?: Pick<Unit, "right" | "up" | "eye">): string {
  if (first) return `${wayWords({ along: from })}, beside its place, then pressed on`;
  const near = (a: Vec3): boolean => dot(from, a) > 0.99;
  if (u) {
    if (near(u.eye)) return "from above, onto the template";
    if (near(u.up) || near(back(u.up)) || near(u.right) || near(back(u.right))) return "slid in from the side, lying flat"; // prettier-ignore
    return "slid in along its length";
  }
  if (near(Z)) return "from above";
  if (near(back(Z))) return "from below";
  if (near([0, -1, 0])) return "from the front";
  if (near([0, 1, 0])) return "from the back";
  if (near([1, 0, 0])) return "from the right end";
  if (near([-1, 0, 0])) return "from the left end";
  return from[2] > 0.2 ? "from above, square to its slope" : from[2] < -0.2 ? "from below, square to its slope" : "straight along its own direction"; // prettier-ignore
}
function checksOnBoard(u: Unit, first: boolean, phase: Phase): string[] {
  if (phase === "under") return ["Lift it when the glue holds, turn it, and lay it flat again."];
  if (!first) return ["Flush with what it meets; wipe off what is squeezed out."];
  const span = (n: Vec3): number => {
    const h = u.sticks.flatMap((k) => k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => dot(c, n)))));
    return h.reduce((a, x) => Math.max(a, x), -Infinity) - h.reduce((a, x) => Math.min(a, x), Infinity);
  };
  const [w, h] = [span(u.right), span(u.up)];
  return [`On the lines of its template: ${w.toFixed(1)} mm by ${h.toFixed(1)} mm over all, corner to corner ${Math.hypot(w, h).toFixed(1)} mm where it is square.`]; // prettier-ignore
}
function checksOfJoin(u: Unit | undefined, own: readonly Resolved[], first: boolean, up: number): string[] {
  if (first) return [up > 0 ? "On a flat, level board: everything stands on it." : "Upside down on a flat board."];
  if (u) return ["Dry first. Upright and square: a right-angle block in the corner, a rule along it."];
  return own.length > 3 ? ["Equal spaces: the spacer block or the template beside it."] : [];
}
const stuckWords = (stuck: readonly Body[], unit: string | undefined): NoWay[] =>
  stuck.length === 0
    ? []
    : [{ unit, sticks: stuck.flatMap((b) => b.sticks.map((k) => k.id)), text: `${unit ? `${unit}: ` : ""}${countOf(stuck.flatMap((b) => b.sticks).length, "piece")} (${[...new Set(stuck.flatMap((b) => b.sticks.map((k) => k.member.role)))].slice(0, 4).join(", ")}) hold one another so that none comes in straight past the rest: tilt or spring one in, or leave a part of it loose until the others are there.` }]; // prettier-ignore
