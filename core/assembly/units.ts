import { wholeId, type Frame, type Resolved } from "../frame";
import { dot, type Vec3 } from "../geometry";
import type { StructureDesign } from "../job";
import { bodyOf } from "./body";

/** What is put together by itself on a board, and how it lies there: its eye looks at the ceiling. */
export interface Unit {
  readonly id: string;
  readonly name: string;
  readonly sticks: readonly Resolved[];
  /** Of those what the rest lies on: the frame of a wall, the joists of a floor. */
  readonly base: ReadonlySet<Resolved>;
  readonly right: Vec3;
  readonly up: Vec3;
  readonly eye: Vec3;
}
const X: Vec3 = [1, 0, 0];
const Y: Vec3 = [0, 1, 0];
const Z: Vec3 = [0, 0, 1];
/** Of what is flat, how thick it is at most for its lesser side. */
const FLAT = 0.45;

/** How a flat group of sticks lies on a board, its thin way up; undefined for what is not flat. */
function lying(sticks: readonly Resolved[]): Pick<Unit, "right" | "up" | "eye"> | undefined {
  const reach = (n: Vec3): number => {
    const h = sticks.flatMap((k) => k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => dot(c, n)))));
    return h.reduce((a, b) => Math.max(a, b), -Infinity) - h.reduce((a, b) => Math.min(a, b), Infinity);
  };
  // a bent on skewed track stands as its cap does
  const long = [...sticks].sort((a, b) => reachOf(b) - reachOf(a))[0]!;
  const flat: Vec3 = [long.axes.u[0], long.axes.u[1], 0];
  const l = Math.hypot(...flat);
  const level: Vec3 = l > 0.1 ? [flat[0] / l, flat[1] / l, 0] : Y;
  const across: Vec3 = [-level[1], level[0], 0];
  const tries: readonly (readonly [Vec3, Vec3, Vec3])[] = [
    [Y, Z, X],
    [X, Z, [0, -1, 0]],
    [X, Y, Z],
    [level, Z, [across[0], across[1], 0]],
  ];
  const [best] = tries.map(([right, up, eye]) => ({ right, up, eye, thin: reach(eye), least: Math.min(reach(right), reach(up)) })).sort((a, b) => a.thin - b.thin); // prettier-ignore
  return best && best.thin <= FLAT * best.least ? best : undefined;
}
const reachOf = (k: Resolved): number => {
  const b = bodyOf(k.id, [k]);
  return Math.max(...[0, 1, 2].map((i) => b.max[i]! - b.min[i]!));
};

/**
 * Sub-assemblies of a structure: what its kind builds by itself (a wall and what clads it lie on one board), and what
 * else stands together flat, such as each bent of a trestle; single sticks are none. Each stick is in one at most.
 */
export function unitsOf(s: StructureDesign): readonly Unit[] {
  const taken = new Set<string>();
  const units: Unit[] = [];
  const add = (
    id: string,
    name: string,
    sticks: readonly Resolved[],
    how: Pick<Unit, "right" | "up" | "eye">,
    isBase: (k: Resolved) => boolean = () => true,
  ): void => {
    const own = sticks.filter((k) => !taken.has(k.id));
    const groups = together(own).filter((g) => g.length > 1);
    groups.forEach((g, i) => {
      g.forEach((k) => taken.add(k.id));
      const [more, words] = groups.length > 1 ? [`#${i + 1}`, ` ${i + 1}`] : ["", ""];
      units.push({
        id: `${id}${more}`,
        name: `${name}${words}`,
        sticks: g,
        base: new Set(g.filter(isBase)),
        right: how.right,
        up: how.up,
        eye: how.eye,
      });
    });
  };
  const partner = partnersOf(s.resolved.frame);
  /** Sticks in groups that hang together by their own joints: planks that lie side by side on nothing are none. */
  const together = (sticks: readonly Resolved[]): Resolved[][] => {
    const left = new Map<string, Resolved[]>();
    for (const k of sticks) left.set(k.member.id, [...(left.get(k.member.id) ?? []), k]);
    const out: Resolved[][] = [];
    for (const [start] of left) {
      const group: Resolved[] = [];
      const open = [start];
      while (open.length > 0) {
        const id = open.pop()!;
        const own = left.get(id);
        if (!own) continue;
        left.delete(id);
        group.push(...own);
        open.push(...(partner.get(id) ?? []));
      }
      if (group.length > 0) out.push(group);
    }
    return out;
  };
  const builds = s.kind.builds?.(s.variant.params, s.context) ?? [];
  const groups = byAssembly(s.resolved.sticks);
  for (const b of builds) {
    // a plan of what stands apart is no sub-assembly, nor is a pattern of one of many
    if (/^Plan of|alike$|, covering$/.test(b.name)) continue;
    if (builds.some((o) => o !== b && b.name === coverOf(o.name))) continue;
    const cover = builds.find((o) => o.name === coverOf(b.name));
    add(b.id, b.name.replace(/, joists$/, ""), s.resolved.sticks.filter((k) => b.has(k) || cover?.has(k)), b, b.has); // prettier-ignore
  }
  for (const [name, sticks] of groups) {
    const own = sticks.filter((k) => !taken.has(k.id));
    if (own.length < 3) continue;
    const how = lying(own);
    if (how) add(`assembly:${name}`, spoken(name), own, how);
  }
  // two of one name are told apart
  const named = new Map<string, number>();
  return units.map((u) => {
    const n = (named.get(u.name) ?? 0) + 1;
    named.set(u.name, n);
    return n > 1 ? { ...u, name: `${u.name} (${n})` } : u;
  });
}
/** What goes on a frame while it lies on its board: the boards of a wall, the planks of a floor. */
const coverOf = (name: string): string => (/, joists$/.test(name) ? name.replace(/, joists$/, ", planks") : `${name}, cladding`); // prettier-ignore
/** Members that a member is joined to. */
export function partnersOf(frame: Frame): ReadonlyMap<string, ReadonlySet<string>> {
  const out = new Map<string, Set<string>>();
  const join = (a: string, b: string): void => {
    if (a === b) return;
    out.set(a, (out.get(a) ?? new Set()).add(b));
    out.set(b, (out.get(b) ?? new Set()).add(a));
  };
  for (const j of frame.joints) {
    if ("b" in j) join(wholeId(j.a), wholeId(j.b));
    if (j.kind === "notch") for (const o of j.also ?? []) join(wholeId(j.a), wholeId(o));
  }
  for (const n of frame.nodes) {
    const all = [...n.tiers.flat().map((e) => wholeId(e.member)), ...(n.passing ?? []).map(wholeId)];
    all.forEach((a, i) => all.slice(i + 1).forEach((b) => join(a, b)));
  }
  return out;
}
function byAssembly(sticks: readonly Resolved[]): Map<string, Resolved[]> {
  const out = new Map<string, Resolved[]>();
  for (const k of sticks) {
    const own = out.get(k.member.assembly);
    if (own) own.push(k);
    else out.set(k.member.assembly, [k]);
  }
  return out;
}
/** "bent12" as one says it: "Bent 12". */
const spoken = (name: string): string => {
  const last = name.split("/").at(-1) ?? name;
  const words = last.replace(/([a-z])(\d)/gi, "$1 $2").replace(/[-_]/g, " ");
  return words.charAt(0).toUpperCase() + words.slice(1);
};
