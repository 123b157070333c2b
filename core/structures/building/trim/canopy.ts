import { NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import type { Vec3 } from "../../../geometry";
import { onWall } from "../plan/sides";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { placed, quartersOf } from "../../place";
import { buttJoint } from "../walls/wallKit";

/** Canopies: rafters falling away from a ledger on the wall to a beam that knee brackets carry. */
export function canopies(b: Builder, l: BuildingLayout): void {
  const { v, t, mm } = l;
  v.wings.forEach((w, i) => {
    if (w.kind !== "canopy") return;
    const wall = l.main.walls.find((x) => x.name === w.side)!;
    const root = rootOf(l, `canopy${i + 1}`);
    const [x, y] = onWall(wall, mm(w.at) + mm(w.length) / 2, 0, 0);
    const local = placed(b, { quarters: quartersOf(wall.e), at: [x, y] });
    const half = mm(w.length) / 2;
    const depth = mm(w.depth);
    const fall = 2 / 12;
    const top = mm(w.height);
    const bracket = t.knee;
    const n = Math.max(1, Math.round((2 * half - bracket.w) / mm(v.canopyBracket)));
    const stick = (
      id: string,
      role: string,
      letter: string,
      timber: typeof bracket,
      a: Vec3,
      c: Vec3,
      up: Vec3,
      seat: readonly ["centre" | "+" | "-", "centre" | "+" | "-"],
      square: boolean,
    ) =>
      local.stick({ id: `${root}/${id}`, assembly: root, role, letter, timber, a, b: c, up, seat, square, loose: true })
        .id;
    const wallQ = -l.proud;
    // a strip on the wall for the feet of the brackets, arms out to the beam, struts under them
    const deep = t.rafter.v * Math.hypot(1, fall);
    const beamQ = -depth + mm(12 * 25.4);
    const beamTop = top - deep + (beamQ - wallQ) * fall;
    const arm = beamTop - t.lookout.v;
    const ledger = stick(
      "ledger",
      "ledger",
      "LG",
      t.ridge,
      [-half, wallQ, top - t.ridge.w * fall],
      [half, wallQ, top - t.ridge.w * fall],
      [0, 0, 1],
      ["+", "-"],
      true,
    );
    const beam = stick(
      "beam",
      "beam",
      "SB",
      t.lookout,
      [-half, beamQ, beamTop],
      [half, beamQ, beamTop],
      [0, 0, 1],
      ["+", "centre"],
      true,
    );
    for (let k = 0; k <= n; k++) {
      const p = -half + bracket.w / 2 + ((2 * half - bracket.w) * k) / n;
      const reach = -(beamQ - wallQ) + t.lookout.w / 2;
      const strip = stick(
        `bracket${k + 1}/upright`,
        "bracket",
        "BK",
        bracket,
        [p, wallQ - bracket.v / 2, arm - reach],
        [p, wallQ - bracket.v / 2, top - t.ridge.w * fall - t.ridge.v],
        [0, 1, 0],
        ["centre", "centre"],
        [true, false] as never,
      );
      b.join(buttJoint(strip, 1, ledger, "-v", "line"));
      const out = stick(
        `bracket${k + 1}/arm`,
        "bracket",
        "BK",
        bracket,
        [p, wallQ - bracket.v, arm],
        [p, wallQ - reach, arm],
        [0, 0, 1],
        ["+", "centre"],
        [false, true] as never,
      );
      b.join(buttJoint(out, 0, strip, "-v", "face"));
      b.join({ kind: "lap", id: `${beam}>${k + 1}`, a: beam, b: out, aFace: "-v", bFace: "+v", contact: "line" });
      const strut = stick(
        `bracket${k + 1}/strut`,
        "bracket",
        "BK",
        bracket,
        [p, wallQ - bracket.v, arm - reach + bracket.v],
        [p, wallQ - reach + bracket.v * 1.5, arm - bracket.v],
        [0, 0, 1],
        ["centre", "centre"],
        false,
      );
      b.join(buttJoint(strut, 0, strip, "-v", "line"));
      b.join(buttJoint(strut, 1, out, "-v", "line"));
    }
    const rafters: number[] = [-half + t.rafter.w / 2];
    for (let p = -half + mm(v.rafterSpacing); p < half - 1.5 * t.rafter.w - 0.2; p += mm(v.rafterSpacing))
      rafters.push(p);
    rafters.push(half - t.rafter.w / 2);
    rafters.forEach((p, k) => {
      const z = (q: number): number => top + (q - wallQ) * fall;
      const id = stick(
        `rafter/${k + 1}`,
        "canopy rafter",
        "CR",
        t.rafter,
        [p, -depth, z(-depth)],
        [p, wallQ, z(wallQ)],
        [0, 0, 1],
        ["+", "centre"],
        false,
      );
      b.join(buttJoint(id, 1, ledger, "+w", deep <= t.ridge.v + NEAR ? "face" : "line"));
      b.joints.push({
        kind: "trim",
        id: `${id}/tail`,
        a: id,
        datum: local.datum(`${root}/edge`, { n: [0, -1, 0], d: depth }),
        as: "end0",
        contact: "gap",
      });
      b.join({
        kind: "notch",
        id: `${id}>beam`,
        a: id,
        b: beam,
        contact: "line",
        faces: [
          { of: beam, face: "+v" },
          { of: beam, face: "+w" },
        ],
      });
    });
  });
}
