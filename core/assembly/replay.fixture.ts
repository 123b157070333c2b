import type { ResolvedFrame } from "../frame";
import { add, boundsOf, penetrationDepth, scale, type Solid, type Vec3 } from "../geometry";
import type { Assembly } from ".";

/** A solid somewhere else. */
const moved = (s: Solid, by: Vec3): Solid => ({ faces: s.faces.map((f) => ({ ...f, corners: f.corners.map((c) => add(c, by)), plane: { n: f.plane.n, d: f.plane.d + by[0] * f.plane.n[0] + by[1] * f.plane.n[1] + by[2] * f.plane.n[2] } })) }); // prettier-ignore
const apart = (a: { min: Vec3; max: Vec3 }, b: { min: Vec3; max: Vec3 }): boolean => [0, 1, 2].some((i) => a.min[i]! > b.max[i]! || b.min[i]! > a.max[i]!); // prettier-ignore

/**
 * What goes wrong when steps are done one after another: every stick once on its board and once where it stands, and each
 * moved along its path in short stretches past all that is there, tried by how deep solids stand in one another. Shares
 * nothing with what makes the order. `stretch` mm between two looks.
 */
export function replay(r: ResolvedFrame, a: Assembly, stretch = 1, deep = 0.08): string[] {
  const out: string[] = [];
  const solids = new Map(r.sticks.map((k) => [k.id, k.parts.map((s) => ({ s, ...boundsOf([s]) }))] as const));
  const whole = boundsOf(r.sticks.flatMap((k) => k.parts));
  const far = Math.hypot(...[0, 1, 2].map((i) => whole.max[i]! - whole.min[i]!));
  const boards = new Map<string, Set<string>>();
  const stands = new Set<string>();
  const done = new Set<string>();
  for (const st of a.steps) {
    for (const x of st.after) if (!done.has(x)) out.push(`${st.title}: ${x} is not done`);
    done.add(st.id);
    // a coat and what was added by hand move nothing
    if (st.place === "finish" || st.place === "own") continue;
    const there = st.place === "join" ? stands : (boards.get(st.unit!) ?? new Set<string>());
    if (st.place === "board") boards.set(st.unit!, there);
    if ([...st.there].sort().join() !== [...there].sort().join()) out.push(`${st.title}: told that other sticks are there`); // prettier-ignore
    for (const m of st.moves) {
      const legs: Vec3[] = [];
      const { first, along } = m.path;
      if (first) for (let t = 0; t < first.by; t += stretch / 2) legs.push(scale(first.along, t));
      const from = first ? scale(first.along, first.by) : ([0, 0, 0] as Vec3);
      for (let t = 0; t < far; t += t < 12 * stretch ? stretch / 2 : 4 * stretch) legs.push(add(from, scale(along, t)));
      const own = m.sticks.flatMap((id) => solids.get(id)!);
      const others = [...there].filter((id) => !m.sticks.includes(id)).flatMap((id) => solids.get(id)!.map((x) => ({ id, ...x }))); // prettier-ignore
      look: for (const by of legs)
        for (const p of own) {
          const box = { min: add(p.min, by), max: add(p.max, by) };
          const near = others.filter((o) => !apart(box, o));
          if (near.length === 0) continue;
          const at = moved(p.s, by);
          const hit = near.find((o) => penetrationDepth(at, o.s, deep) > deep);
          if (hit) {
            out.push(`${st.title}: ${m.sticks[0]} meets ${hit.id} ${Math.hypot(...by).toFixed(1)} mm from its place`);
            break look;
          }
        }
      for (const id of m.sticks) {
        if (there.has(id)) out.push(`${id} is placed twice`);
        there.add(id);
      }
    }
  }
  const left = new Set(a.noWay.flatMap((n) => n.sticks));
  for (const k of r.sticks) if (!stands.has(k.id) && !left.has(k.id)) out.push(`${k.id} is never placed`);
  return out;
}
