import { addScaled, type Vec2, type Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import { coverThick } from "./dormer";
import { onFacet } from "./facets";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { panel } from "./panel";
import { roofHolesOf } from "./roofHoles";
import { alongOf, inwardOf, slopePlane, upslope } from "./slopes";
import { touching } from "../walls/wallKit";

/** Flashing round chimneys and stacks: a collar on the covering, and upstands against all four sides of what comes through. */
export function flashing(b: Builder, l: BuildingLayout): void {
  const { v, main, mm } = l;
  if (!v.flashing || coverThick(l) === 0 || v.covering === "spaced") return;
  const t = v.flashThick;
  const wide = mm(v.flashWidth);
  const high = mm(v.flashWidth);
  for (const h of roofHolesOf(l)) {
    const s = main.slopes[h.side]!;
    const stretch = Math.hypot(1, s.k);
    const root = `${rootOf(l, main.name)}/roof/${h.name}`;
    const n = slopePlane(main, s).n;
    const e = alongOf(h.side);
    const inward = inwardOf(h.side);
    const cover = coverThick(l);
    /** A place over the opening's edge, plumb over it, `lift` square over the rafters. */
    const at = (x: number, i: number, lift: number): Vec3 =>
      addScaled(onFacet(main, s, x, i + (lift / stretch) * s.k), n, lift);
    const [x0, x1] = h.x;
    const [i0, i1] = h.inward;
    const [w, d] = [x1 - x0, (i1 - i0) * stretch];
    const rect = (a: number, c: number, p: number, q: number): Vec2[] => [
      [a, p],
      [c, p],
      [c, q],
      [a, q],
    ];
    const collar = panel(b, l, main.place, {
      id: `${root}/collar`,
      assembly: root,
      role: "flashing collar",
      letter: "FL",
      origin: at(x0, i0, cover),
      u: e,
      v: upslope(s),
      outline: rect(-wide, w + wide, -wide, d + wide),
      thickness: t,
      holes: [{ name: h.name, outline: rect(0, w, 0, d), bevel: [0, 0, 0, 0] }],
    });
    const under = b.members.filter(
      (m) => m.id.startsWith(`${rootOf(l, main.name)}/roof/cover-${h.side}`) && /^roof (board|sheet)$/.test(m.role),
    );
    for (const m of under) b.join(touching(collar, m.id, "-w", "+w"));
    const top = cover + t;
    const upstand = (name: string, origin: Vec3, u: Vec3, outline: readonly Vec2[]): string => {
      const id = panel(b, l, main.place, {
        id: `${root}/${name}`,
        assembly: root,
        role: "flashing upstand",
        letter: "FU",
        thickness: t,
        v: [0, 0, 1],
        origin,
        u,
        outline,
      });
      b.join(touching(id, collar, "e0", "+w"));
      return id;
    };
    // their backs stand on the edges of the opening; front and back cover the ends of the sides
    const flat = rect(-t, w + t, 0, high);
    const rise = (i1 - i0) * s.k;
    const raised: Vec2[] = [
      [0, 0],
      [i1 - i0, rise],
      [i1 - i0, rise + high],
      [0, high],
    ];
    const front = upstand("front", at(x0, i0, top), e, flat);
    const back = upstand("back", at(x1, i1, top + t * s.k), [-e[0], -e[1], 0], flat);
    for (const [name, x] of [
      ["left", x0 - t],
      ["right", x1],
    ] as const) {
      const id = upstand(name, at(x, i0, top), inward, raised);
      b.join({ kind: "bearing", id: `${id}>front`, a: id, b: front, aFace: "e3", bFace: "-w", contact: "line" });
      b.join({ kind: "bearing", id: `${id}>back`, a: id, b: back, aFace: "e1", bFace: "-w", contact: "line" });
    }
  }
}
