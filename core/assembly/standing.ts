import type { Resolved } from "../frame";
import { dot, type Vec3 } from "../geometry";
import type { StructureDesign } from "../job";
import { bodyOf, type Body } from "./body";
import type { Path } from "./clear";
import { usualJoining } from "./joinings";
import { lateness } from "./late";
import { made, movesOf } from "./regroup";
import { sequence, type Placing } from "./sequence";
import type { Built, Step, Way } from "./step";
import { back, capital, checksOfJoin, countOf, stuckWords, wayWords } from "./stepWords";
import type { Unit } from "./units";

/** How far beside its place a stick is lowered in at least, model mm. */
const BESIDE = 0.5;
/** How far before its wall a hand holds what it lowers in, model mm. */
const HAND = 12;
/** What stands on the ground, at whatever height that is. */
const STANDS = /^(mudsill|sill|footing|pier|base plate|foundation post|pile)$/;
const Z: Vec3 = [0, 0, 1];
const SIDES: readonly Vec3[] = [Z, [0, -1, 0], [0, 1, 0], [-1, 0, 0], [1, 0, 0]];

/** Sub-assemblies and single sticks where they stand. */
export function join(
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
