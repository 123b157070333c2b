import { normalize, type Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import { coverThick, stock, type Dormer } from "./dormer";
import { rafterStations } from "./rafterStations";
import { onCentres } from "../plan/sides";
import { rootOf } from "../plan/layout";
import { placed } from "../../place";
import { birdsmouthOver, over, planeZ, rafter, slopePlane, tail, up, type RoofKit } from "./slopes";
import { buttJoint } from "../walls/wallKit";

/**
 * The roof and cheeks of a shed dormer: rafters from its front plates up to a nailer, a board that lies flat on the covering
 * with its upper edge in their plane; the outermost are flush with the cheeks, whose studs stand on the trimmers under them.
 */
export function shedDormer(b0: Builder, k: RoofKit, d: Dormer, trimmers: readonly string[]): void {
  const { b, l, part, root } = k;
  const { t } = l;
  const s = part.slopes.S!;
  const nailed = part.onRoof!.nailed!;
  const lift = coverThick(l) + t.casing.w;
  const top = placed(b0, l.main.place).datum(`${root}/nailer`, up(slopePlane(l.main, d.slope, lift)));
  // the slope under it rises along +q
  const n = normalize([0, -d.slope.k, 1] as Vec3);
  const edge = (p: number): Vec3 => {
    const at = over(part, "S", p, nailed, planeZ(s, nailed));
    return [at[0] - n[0] * t.casing.w, at[1] - n[1] * t.casing.w, at[2] - n[2] * t.casing.w];
  };
  const nailer = b.stick({
    id: `${root}/roof/nailer`,
    assembly: `${root}/roof/frame`,
    role: "nailer",
    letter: "NB",
    timber: t.casing,
    a: edge(part.p[0]),
    b: edge(part.p[1]),
    up: normalize([0, 1, d.slope.k]),
    seat: ["+", "-"],
    square: true,
  }).id;
  const stations = rafterStations(k);
  const ids = stations.map((at, i) => {
    const id = `S/${i + 1}`;
    const full = `${root}/roof/${id}`;
    rafter(k, {
      id,
      role: "common rafter",
      slope: s,
      at,
      from: -part.out,
      to: nailed,
      run: nailed,
      ends: [tail(k, full, s), undefined],
      assembly: "slope-S",
    });
    b.join(birdsmouthOver(k, full, s, at));
    b.join({ kind: "trim", id: `${full}/head`, a: full, datum: top, as: "end1", contact: "gap" });
    b.join({ kind: "bearing", id: `${full}>nailer`, a: full, b: nailer, aFace: "end1", bFace: "+w", contact: "line" });
    return full;
  });
  cheekStuds(k, d, [ids[0]!, ids[ids.length - 1]!], trimmers);
}

/** Studs of both cheeks, on centres from the front, between the trimmers and the outermost rafters. */
function cheekStuds(k: RoofKit, d: Dormer, rafters: readonly [string, string], trimmers: readonly string[]): void {
  const { b, l, part } = k;
  const s = part.slopes.S!;
  const t = stock(l);
  const deep = l.t.rafter.v * Math.hypot(1, s.k);
  const foot = (q: number): number => planeZ(d.slope, d.inward[0] + q);
  const head = (q: number): number => planeZ(s, q) - deep;
  // short of the covering under the nailer, and of where the rafters are cut to lie on that
  const sunk = deep / (d.slope.k - s.k);
  const behind = Math.min(d.opening[1] - d.inward[0] - coverThick(l) * d.slope.k, part.onRoof!.nailed! - sunk) - 0.2;
  (["left", "right"] as const).forEach((side, i) => {
    const root = rootOf(l, `${part.name}-${side}`);
    const p = side === "left" ? part.p[0] + t.v / 2 : part.p[1] - t.v / 2;
    onCentres(part.q[1], l.mm(l.v.studSpacing), "left").forEach((q, n) => {
      const [near, far] = [q - t.w / 2, q + t.w / 2];
      if (near < l.wall + 0.2 || far > behind || head(far) - foot(far) < 1.5 * t.v) return;
      const id = `${root}/stud/${n + 1}`;
      b.stick({
        id,
        assembly: root,
        role: "stud",
        letter: "S",
        timber: t,
        a: [p, q, foot(q)],
        b: [p, q, head(q)],
        up: [side === "left" ? -1 : 1, 0, 0],
      });
      b.join(buttJoint(id, 0, trimmers[i]!, "+v", "line"));
      b.join({ ...buttJoint(id, 1, rafters[i]!, "-v", "line"), id: `${id}>rafter` });
    });
  });
}
