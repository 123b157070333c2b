import type { Builder } from "../../builder";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { hasTrusses } from "../plan/nominal";
import { placed } from "../../place";
import { raisedOf } from "../plan/raised";
import { rest } from "../cladding/rest";
import { planeZ } from "../roof/slopes";
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
    // a flat roof lifts out of its parapet and leaves the ledgers on the walls
    if (m.role === "ledger" && l.main.roof === "flat") return;
    if (lifts.some((x) => m.id.startsWith(x))) b.members[i] = { ...m, loose: true };
  });
  const { main } = l;
  const local = placed(b, main.place);
  const inset = l.wall + (v.wallBrace === "inside" ? t.brace.w : 0) + (v.lined ? t.lining.w : 0) + PLAY;
  // partitions stand in the way of strips along the front and the back
  const across = main.place.quarters % 2 === 0 ? l.partitions : [];
  const runs = rest(
    [main.p[0] + inset, main.p[1] - inset],
    across.map((w) => [w.origin[0] - w.thick - PLAY, w.origin[0] + PLAY] as const),
  );
  for (const side of ["S", "N"] as const) {
    const s = main.slopes[side];
    if (!s) continue;
    const valleys = l.parts.some((p) => p.valley);
    const hips = main.slopes.E || valleys ? t.hip.v * Math.hypot(1, s.k / Math.SQRT2) + 2 * t.hip.w * s.k : 0;
    const deep = Math.max(hips, t.rafter.v * Math.hypot(1, s.k));
    // against the rafters' undersides, or under the ceiling joists that tie them
    const top = v.ceiling === "none" && !hasTrusses(v) ? planeZ(s, inset) - deep : s.plate;
    const q = side === "S" ? main.q[0] + inset : main.q[1] - inset;
    runs.forEach(([from, to], i) => {
      const id = local.stick({
        id: `${root}locating-${side}${runs.length > 1 ? i + 1 : ""}`,
        assembly: `${root}frame`,
        role: "locating strip",
        letter: "LS",
        timber: t.lookout,
        a: [from, q, top],
        b: [to, q, top],
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
    });
  }
}
