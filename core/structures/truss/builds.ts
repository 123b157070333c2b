import type { Resolved } from "../../frame";
import { cross, normalize, type Vec3 } from "../../geometry";
import type { Build, Context } from "../kind";
import { lateralsOf, portalOf, swayOf } from "./assemblies";
import { trussLayout } from "./layout";
import type { TrussValues } from "./parameters";
import type { Topology } from "./topology";

/** What of a truss bridge is put together by itself, span by span: each truss on its side, floor, deck and laterals from above, portals and sway frames as one looks along the track. */
export function trussBuilds(v: TrussValues, ctx: Context): Build[] {
  const l = trussLayout(v, ctx);
  const capital = (s: string): string => s[0]!.toUpperCase() + s.slice(1);
  return l.starts.flatMap((_, i) => {
    const span = i + 1;
    const sides = l.sides.filter((s) => s.span === span);
    const { turn } = sides[0]!;
    const root = `${ctx.structure}/span${span}`;
    const [along, across, up] = [turn([1, 0, 0]), turn([0, 1, 0]), turn([0, 0, 1])];
    const before = v.spans > 1 ? `Span ${span}, ` : "";
    const build = (
      id: string,
      name: string,
      [right, top, eye]: readonly [Vec3, Vec3, Vec3],
      has: (s: Resolved) => boolean,
    ): Build => ({ id: `span${span}-${id}`, name: before ? before + name : capital(name), right, up: top, eye, has });
    const of =
      (assembly: string, roles?: readonly string[]) =>
      ({ member: m }: Resolved): boolean =>
        m.assembly === assembly && (!roles || roles.includes(m.role));
    const side = [along, up, [-across[0], -across[1], -across[2]]] as const;
    const plan = [along, across, up] as const;
    const end = [across, up, [-along[0], -along[1], -along[2]]] as const;
    // knees lie in the plane of the end posts
    const portal = (p: string): readonly [Vec3, Vec3, Vec3] => {
      const to = endPostAt(l.topology, p);
      if (!to) return end;
      const [[x, z], [x0, z0]] = [l.topology.points[p]!, l.topology.points[to]!];
      const lean = normalize(turn([x - x0, 0, z - z0]));
      return [across, lean, cross(across, lean)];
    };
    return [
      ...sides.map((s) => {
        const name = s.root.slice(root.length + 1);
        return build(name, name === "truss" ? "truss" : `${name} truss`, side, of(s.root));
      }),
      build("floor", "floor beams and stringers", plan, of(`${root}/floor`, ["floor beam", "stringer"])),
      build("deck", "ties and guard timbers", plan, of(`${root}/floor`, ["tie", "guard timber"])),
      build("lower", "lower laterals", plan, of(lateralsOf(ctx, span, "lower"))),
      build("upper", "upper laterals", plan, of(lateralsOf(ctx, span, "upper"))),
      ...Object.keys(l.topology.points).flatMap((p) => [
        build(`portal-${p}`, `strut and knees at ${p}`, portal(p), of(portalOf(ctx, span, p))),
        build(`sway-${p}`, `sway braces at ${p}`, end, of(swayOf(ctx, span, p))),
      ]),
    ];
  });
}
/** The panel point at the other end of the end post that comes to a point from below; undefined where none does. */
function endPostAt(t: Topology, point: string): string | undefined {
  for (const c of t.chords)
    for (let i = 0; i < c.roles.length; i++)
      if (c.roles[i] === "end post") {
        const [a, b] = [c.points[i]!, c.points[i + 1]!];
        if (a === point || b === point) {
          const other = a === point ? b : a;
          if (t.points[other]![1] < t.points[point]![1]) return other;
        }
      }
  return undefined;
}
