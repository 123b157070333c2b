import { flight } from "../../carpentry";
import type { Member } from "../../frame";
import { planeAt, type Vec3 } from "../../geometry";
import { prototype, toPrototype, model } from "../../units";
import type { Builder } from "../builder";
import { frameFloor } from "./floor";
import { onWall, rootOf, type BuildingLayout, type Wall } from "./layout";
import { placed, quartersOf, type Placement } from "./place";
import { buttJoint } from "./walls";

const wallNamed = (l: BuildingLayout, side: string): Wall => l.main.walls.find((w) => w.name === side)!;

/** Platforms along the walls of the main part: joists, rims and planks on beams and posts down to the ground; and the stairs. */
export function platforms(b: Builder, l: BuildingLayout): void {
  const { v, t, mm } = l;
  v.wings.forEach((w, i) => {
    if (w.kind !== "platform") return;
    const wall = wallNamed(l, w.side);
    const root = rootOf(l, `platform${i + 1}`);
    const middle = mm(w.at) + mm(w.length) / 2;
    const [x, y] = onWall(wall, middle, 0, 0);
    const place: Placement = { quarters: quartersOf(wall.e), at: [x, y] };
    const local = placed(b, place);
    const half = mm(w.length) / 2;
    const p = [-half, half] as const;
    const q = [-mm(w.depth), -l.proud - mm(v.plankGap)] as const;
    const top = mm(w.height);
    frameFloor(local, l, { root, p, q, top, loose: true, over: mm(v.plankOver) });
    const under = top - t.plank.w - t.joist.v;
    const wide = Math.max(t.sillBeam.v, t.pier.v) / 2;
    const beams = [q[0] + wide, q[1] - wide];
    const lowest = (at: number): number[] => beams.map((bq) => groundUnder(l, place, at, bq));
    const n = Math.max(1, Math.round((2 * half - t.pier.w) / mm(v.pierSpacing)));
    const stations = Array.from({ length: n + 1 }, (_, k) => -half + t.pier.w / 2 + ((2 * half - t.pier.w) * k) / n);
    const foot = under - t.sillBeam.w;
    // too low for beams and posts: its joists lie on sleepers of the scenery
    if (stations.some((s) => lowest(s).some((g) => foot - g < 0.5))) return;
    beams.forEach((bq, k) => {
      const beam = local.stick({
        id: `${root}/beam/${k + 1}`,
        assembly: root,
        role: "beam",
        letter: "SB",
        timber: t.sillBeam,
        a: [-half, bq, under],
        b: [half, bq, under],
        up: [0, 1, 0],
        seat: ["centre", "+"],
        square: true,
        loose: true,
      }).id;
      for (const m of b.members.filter((x) => x.id.startsWith(`${root}/joist/`)))
        b.join({ kind: "lap", id: `${m.id}>${k + 1}`, a: m.id, b: beam, aFace: "-v", bFace: "+w", contact: "line" });
      stations.forEach((s, j) => {
        const post = local.stick({
          id: `${root}/post/${k + 1}-${j + 1}`,
          assembly: root,
          role: "foundation post",
          letter: "FP",
          timber: t.pier,
          a: [s, bq, lowest(s)[k]!],
          b: [s, bq, foot],
          up: [0, 1, 0],
          square: [true, false],
          loose: true,
        }).id;
        b.join(buttJoint(post, 1, beam, "-w", t.pier.v <= t.sillBeam.v + 1e-6 ? "face" : "line"));
      });
    });
  });
  stairs(b, l);
}
function groundUnder(l: BuildingLayout, place: Placement, p: number, q: number): number {
  const [c, s] = [[1, 0, -1, 0][place.quarters]!, [0, 1, 0, -1][place.quarters]!];
  return l.ground(c * p - s * q + place.at[0], s * p + c * q + place.at[1]);
}

/** What a stair of a row comes to: its flight in prototype mm and where its foot stands. Errors: ground at or over the level it leads to. */
export function stairOf(l: BuildingLayout, row: BuildingLayout["v"]["stairs"][number]) {
  const wall = wallNamed(l, row.side);
  const top = l.mm(row.level);
  const at = (out: number): number => {
    const [x, y] = onWall(wall, l.mm(row.at), -out, 0);
    return l.ground(x, y);
  };
  const landing = l.mm(row.out) + (row.out > 0 ? l.mm(l.v.plankOver) : l.proud);
  // the ground may fall away under the flight: its foot is found in a few steps
  let ground = at(landing);
  for (let i = 0; i < 8; i++) {
    if (top - ground < 0.3)
      throw new Error(`Stair on the ${row.side}: the ground there is not below the level it leads to.`);
    const f = flight(toPrototype(l.ctx.scale, model(top - ground)), row.tread, row.riser);
    ground = at(landing + l.mm(prototype(f.run)));
  }
  if (top - ground < 0.3)
    throw new Error(`Stair on the ${row.side}: the ground there is not below the level it leads to.`);
  return {
    wall,
    top,
    ground,
    landing,
    flight: flight(toPrototype(l.ctx.scale, model(top - ground)), row.tread, row.riser),
  };
}

/** Straight flights: notched stringers, treads on them, railings. */
function stairs(b: Builder, l: BuildingLayout): void {
  const { v, t, mm } = l;
  v.stairs.forEach((row, i) => {
    const s = stairOf(l, row);
    const { flight: f } = s;
    if (f.treads < 1) return;
    const root = rootOf(l, `stair${i + 1}`);
    const [x, y] = onWall(s.wall, mm(row.at), 0, 0);
    const local = placed(b, { quarters: quartersOf(s.wall.e), at: [x, y] });
    const [rise, run] = [mm(f.riser), mm(f.tread)];
    const half = mm(row.width) / 2;
    // q runs in: the flight lands at −landing and its foot lies `run` times the treads further out
    const q0 = -s.landing;
    const stringers = [-half + t.stringer.w / 2, ...(mm(row.width) > mm(1500) ? [0] : []), half - t.stringer.w / 2];
    const treads = Array.from({ length: f.treads }, (_, k) => {
      // tread k + 1 from below, its back at the riser above it
      const z = s.ground + (k + 1) * rise;
      const back = q0 - (f.treads - 1 - k) * run;
      return local.stick({
        id: `${root}/tread/${k + 1}`,
        assembly: root,
        role: "tread",
        letter: "TR",
        timber: t.tread,
        a: [-half, back - t.tread.v, z],
        b: [half, back - t.tread.v, z],
        up: [0, 1, 0],
        seat: ["-", "+"],
        square: true,
        loose: true,
      }).id;
    });
    const landing = local.datum(`${root}/landing`, planeAt([0, q0, 0], [0, 1, 0]));
    const ground = local.datum(`${root}/ground`, planeAt([0, 0, s.ground], [0, 0, -1]));
    stringers.forEach((p, j) => {
      const id = `${root}/stringer/${j + 1}`;
      // its upper edge runs through the inner corners of the notches' upper ends, so that each notch is whole
      const lift = (k: number): Vec3 => [p, q0 - f.treads * run + k * run, s.ground + k * rise];
      local.stick({
        id,
        assembly: root,
        role: "stair stringer",
        letter: "ST",
        timber: t.stringer,
        a: lift(0),
        b: lift(f.treads),
        up: [0, 0, 1],
        seat: ["+", "centre"],
        loose: true,
      });
      b.join({ kind: "trim", id: `${id}/landing`, a: id, datum: landing, as: "end1", contact: "gap" });
      b.join({ kind: "trim", id: `${id}/ground`, a: id, datum: ground, as: "end0", contact: "gap" });
      treads.forEach((tr, k) => {
        const riser = local.datum(`${root}/riser-${k + 1}`, planeAt([0, q0 - (f.treads - 1 - k) * run, 0], [0, 1, 0]));
        b.join({
          kind: "notch",
          id: `${id}>${k + 1}`,
          a: id,
          b: tr,
          contact: "line",
          faces: [{ of: tr, face: "-w" }, { datum: riser }],
        });
      });
    });
    if (!row.rail) return;
    const size = l.t.lookout;
    for (const side of [-1, 1] as const) {
      const p = side * (half + size.w / 2);
      const high = mm(34 * 25.4);
      const post = (k: number): Member => {
        const tread = treads[k]!;
        const z = s.ground + (k + 1) * rise;
        const q = q0 - (f.treads - 1 - k) * run - t.tread.v / 2;
        const m = local.stick({
          id: `${root}/rail-post/${side}-${k + 1}`,
          assembly: root,
          role: "rail post",
          letter: "RP",
          timber: size,
          a: [p, q, z - t.tread.w],
          b: [p, q, z + high],
          up: [0, 1, 0],
          ends: [{ kind: "square", beyond: 0 }, undefined],
          loose: true,
        });
        b.join({
          kind: "bearing",
          id: `${m.id}>tread`,
          a: m.id,
          b: tread,
          aFace: side > 0 ? "+w" : "-w",
          bFace: "+w",
          contact: "gap",
        });
        return m;
      };
      const places = f.treads > 1 ? [0, f.treads - 1] : [0];
      const posts = places.map(post);
      if (posts.length < 2) {
        b.joints.push({
          kind: "trim",
          id: `${posts[0]!.id}/top`,
          a: posts[0]!.id,
          datum: local.datum(`${root}/rail-top`, planeAt([0, 0, s.ground + rise + high], [0, 0, 1])),
          as: "end1",
          contact: "gap",
        });
        continue;
      }
      const at = (k: number): Vec3 => [
        p,
        q0 - (f.treads - 1 - k) * run - t.tread.v / 2,
        s.ground + (k + 1) * rise + high,
      ];
      const ends = places.map(at);
      const slope = (ends[1]![2] - ends[0]![2]) / (ends[1]![1] - ends[0]![1]);
      const past = size.v;
      const ext = (e: Vec3, d: number): Vec3 => [e[0], e[1] + d, e[2] + d * slope];
      const rail = local.stick({
        id: `${root}/rail/${side}`,
        assembly: root,
        role: "railing",
        letter: "HL",
        timber: size,
        a: ext(ends[0]!, -past),
        b: ext(ends[1]!, past),
        up: [0, 0, 1],
        seat: ["-", "centre"],
        ends: [
          { kind: "plumb", beyond: 0 },
          { kind: "plumb", beyond: 0 },
        ],
        loose: true,
      }).id;
      posts.forEach((m) => b.join(buttJoint(m.id, 1, rail, "-v", "line")));
    }
  });
}
