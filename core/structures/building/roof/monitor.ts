import { NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { gableRoof } from "./gable";
import { rootOf, type BuildingLayout, type Part, type Side, type Slope, type Wall } from "../plan/layout";
import { move, placed, turn } from "../../place";
import type { RoofHole } from "./roofHoles";
import { inwardOf, over, planeZ, roofKit } from "./slopes";

/** The raised part over the ridge of a gable roof, as a part of its own: two low walls on the main rafters and a roof of the same slope. Undefined where there is none. */
export function monitorOf(l: BuildingLayout): Part | undefined {
  const { v, mm, main } = l;
  if (!v.monitor || v.roof !== "gable") return undefined;
  const half = mm(v.monitorWidth) / 2;
  const [p0, p1] = main.p;
  const inset = mm(v.monitorInset);
  const p = [p0 + inset, p1 - inset] as const;
  const q = [-half, half] as const;
  const s = main.slopes.S!;
  const foot = planeZ(s, (main.q[1] - main.q[0]) / 2 - half);
  const top = foot + mm(v.monitorHeight);
  const slope = (side: "S" | "N"): Slope => ({ ...s, side, plate: top });
  const wall = (side: Side): Wall => {
    const name = `monitor-${side === "S" ? "front" : "back"}`;
    const e: readonly [number, number, number] = side === "S" ? [1, 0, 0] : [-1, 0, 0];
    return {
      name,
      side,
      through: true,
      origin: move(main.place, side === "S" ? [p[0], q[0], 0] : [p[1], q[1], 0]),
      e: turn(main.place, e),
      n: turn(main.place, [-inwardOf(side)[0], -inwardOf(side)[1], 0]),
      length: p[1] - p[0],
      from: 0,
      to: p[1] - p[0],
      thick: l.wall,
      top,
      foot: 0,
      gaps: [],
      seen: true,
    };
  };
  return {
    name: "monitor",
    place: main.place,
    p,
    q,
    roof: "gable",
    valley: false,
    out: main.out,
    gableOut: main.gableOut,
    walls: [wall("S"), wall("N")],
    slopes: { S: slope("S"), N: slope("N") },
    peak: [0, top + s.above + half * s.k],
  };
}
/** Where the main covering stops under it. */
export function monitorHoles(l: BuildingLayout): RoofHole[] {
  const m = monitorOf(l);
  if (!m) return [];
  const run = (l.main.q[1] - l.main.q[0]) / 2;
  return (["S", "N"] as const).map((side) => ({
    name: `monitor-${side}`,
    side,
    x: side === "S" ? m.p : [-m.p[1], -m.p[0]],
    // with room for the feet of its studs and what clads them
    inward: [run + m.q[0] - l.proud, run + 1],
  }));
}

/** Studs on the main rafters, plates on them, and its own rafters and ridge. */
export function frameMonitor(b: Builder, l: BuildingLayout): void {
  const m = monitorOf(l);
  if (!m) return;
  const local = placed(b, m.place);
  const k = roofKit(local, l, m);
  const stud = l.v.framing === "posts" ? l.t.girt : l.t.stud;
  const plates = l.v.framing === "posts" ? 1 : l.v.topPlates;
  const plate = l.v.framing === "posts" ? l.t.post : l.t.stud;
  const main = `${rootOf(l, l.main.name)}/roof/`;
  const rafters = b.members.filter(
    (x) => x.id.startsWith(main) && x.role === "common rafter" && x.body.shape === "straight",
  );
  for (const w of m.walls) {
    const side = w.side as "S" | "N";
    const root = rootOf(l, w.name);
    const under = w.top - plates * plate.w;
    const at = (p: number, z: number, depth: number) => over(m, side, p, depth, z);
    const [a, c] = side === "S" ? m.p : [m.p[1], m.p[0]];
    const ids = Array.from({ length: plates }, (_, i) => {
      const z = under + (i + 0.5) * plate.w;
      return local.stick({
        id: `${root}/plate/${i + 1}`,
        assembly: root,
        role: "top plate",
        letter: "T",
        timber: plate,
        a: at(a, z, plate.v / 2),
        b: at(c, z, plate.v / 2),
        up: [0, side === "S" ? -1 : 1, 0],
        square: true,
      }).id;
    });
    if (ids[1])
      b.join({ kind: "lap", id: `${ids[1]}>1`, a: ids[1], b: ids[0]!, aFace: "+w", bFace: "-w", contact: "face" });
    for (const r of rafters.filter((x) => x.id.startsWith(`${main}${side}/`))) {
      const body = r.body as { a: readonly [number, number, number] };
      const p = m.place.quarters === 0 ? body.a[0] : body.a[1];
      if (p < m.p[0] + stud.w / 2 || p > m.p[1] - stud.w / 2) continue;
      const id = `${root}/stud/${r.id.split("/").pop()}`;
      local.stick({
        id,
        assembly: root,
        role: "stud",
        letter: "S",
        timber: stud,
        a: at(p, under - l.mm(l.v.monitorHeight), stud.v / 2),
        b: at(p, under, stud.v / 2),
        up: [0, side === "S" ? -1 : 1, 0],
      });
      b.join({
        kind: "butt",
        id: `${id}>rafter`,
        a: id,
        end: 0,
        b: r.id,
        face: "+v",
        contact: stud.w <= l.t.rafter.w + NEAR ? "face" : "line",
      });
      const whole = stud.v <= plate.v + NEAR ? "face" : "line";
      b.join({ kind: "butt", id: `${id}>plate`, a: id, end: 1, b: ids[0]!, face: "+w", contact: whole });
    }
  }
  gableRoof(k, []);
}
