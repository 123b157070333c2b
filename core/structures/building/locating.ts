import type { Builder } from "../builder";
import { rootOf, type BuildingLayout } from "./layout";
import { hasTrusses } from "./nominal";
import { placed } from "./place";
import { raisedOf } from "./raised";
import { planeZ } from "./slopes";
import { touching } from "./wallKit";

/** Model mm between a locating strip and the wall it slips inside of. */
const PLAY = 0.15;

/** A roof that lifts off: its sticks are loose, and strips under its rafters slip inside the long walls and keep light in. */
export function locatingStrips(b: Builder, l: BuildingLayout): void {
  const { v, t } = l;
  if (!v.locating) return;
  const root = `${rootOf(l, l.main.name)}/roof/`;
  const lifts = [
    root,
    ...raisedOf(l).flatMap((p) => [`${rootOf(l, p.name)}/`, ...p.walls.map((w) => `${rootOf(l, w.name)}/`)]),
  ];
  b.members.forEach((m, i) => {
    if (lifts.some((x) => m.id.startsWith(x))) b.members[i] = { ...m, loose: true };
  });
  const { main } = l;
  const local = placed(b, main.place);
  const inset = l.wall + (v.wallBrace === "inside" ? t.brace.w : 0) + PLAY;
  for (const side of ["S", "N"] as const) {
    const s = main.slopes[side];
    if (!s) continue;
    const valleys = l.parts.some((p) => p.valley);
    const hips = main.slopes.E || valleys ? t.hip.v * Math.hypot(1, s.k / Math.SQRT2) + 2 * t.hip.w * s.k : 0;
    const deep = Math.max(hips, t.rafter.v * Math.hypot(1, s.k));
    // against the rafters' undersides, or under the ceiling joists that tie them
    const top = v.ceiling === "none" && !hasTrusses(v) ? planeZ(s, inset) - deep : s.plate;
    const q = side === "S" ? main.q[0] + inset : main.q[1] - inset;
    const id = local.stick({
      id: `${root}locating-${side}`,
      assembly: `${root}frame`,
      role: "locating strip",
      letter: "LS",
      timber: t.lookout,
      a: [main.p[0] + inset, q, top],
      b: [main.p[1] - inset, q, top],
      up: [0, 0, 1],
      seat: ["+", side === "S" ? "+" : "-"],
      square: true,
      loose: true,
    }).id;
    for (const m of b.members.filter(
      (x) =>
        x.id.startsWith(root) &&
        (hasTrusses(v)
          ? x.role === "tie beam"
          : v.ceiling === "none"
            ? new RegExp(`/${side}/|/hip-`).test(x.id)
            : x.role === "ceiling joist"),
    ))
      b.join(touching(id, m.id, "+v", "-v"));
  }
}
