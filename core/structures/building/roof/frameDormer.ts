import { normalize, planeAt, type Vec3, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { coverThick, dormersOf, plates, plateStock, stock, type Dormer } from "./dormer";
import { dormerFront } from "./dormerFront";
import { shedDormer } from "./shedDormer";
import { gableRoof } from "./gable";
import { rafterStations } from "./rafterStations";
import { onCentres, sideName } from "../plan/sides";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { move, placed, turn } from "../../place";
import { over, planeZ, rafter, roofKit, slopePlane, up, type RoofKit } from "./slopes";
import { buttJoint, TOP, UNDER, touching } from "../walls/wallKit";

/** Dormers: walls on the trimmers and on the header under the front; over them rafters, ridge and jacks on valley boards that lie on the covering, or rafters of one slope on a nailer there. */
export function frameDormers(b: Builder, l: BuildingLayout): void {
  for (const d of dormersOf(l)) {
    const main = placed(b, l.main.place);
    const cover = coverThick(l);
    main.datum(d.part.onRoof!.datum, up(slopePlane(l.main, d.slope, cover)));
    const local = placed(b, d.part.place);
    const k = roofKit(local, l, d.part);
    const trimmers = ([0, 1] as const).map((i) => trimmer(b, l, d, i));
    dormerFront(b, l, d, trimmers);
    if (d.part.onRoof!.nailed !== undefined) {
      shedDormer(b, k, d, trimmers);
      continue;
    }
    cheeks(b, l, d, trimmers);
    gableRoof(k, []);
    onSlope(b, k, d, cover);
  }
}
/** The main rafter under a cheek: to the left or the right seen from outside. */
function trimmer(b: Builder, l: BuildingLayout, d: Dormer, i: 0 | 1): string {
  const sign = d.side === "S" ? 1 : -1;
  const at = sign * (i === 0 ? d.x[0] + l.t.rafter.w / 2 : d.x[1] - l.t.rafter.w / 2);
  const [x, y] = move(l.main.place, over(l.main, d.side, at, 0, 0));
  const prefix = `${rootOf(l, l.main.name)}/roof/${d.side}/`;
  const e = turn(l.main.place, [1, 0, 0]);
  const found = b.members.find(
    (m) =>
      m.id.startsWith(prefix) &&
      m.role === "common rafter" &&
      m.body.shape === "straight" &&
      Math.abs((m.body.a[0] - x) * e[0] + (m.body.a[1] - y) * e[1]) < NEAR,
  );
  if (!found)
    throw new Error(`No rafter of the ${sideName(l.main.place, d.side)} slope stands under a dormer's cheek.`);
  return found.id;
}

/** Plates of both cheeks, cut off on the trimmers, and studs between. */
function cheeks(b: Builder, l: BuildingLayout, d: Dormer, trimmers: readonly string[]): void {
  const { part } = d;
  const local = placed(b, part.place);
  const t = stock(l);
  const p = plateStock(l);
  const deep = part.walls[0]!.length;
  const under = part.walls[0]!.top - plates(l) * p.w;
  (["S", "N"] as const).forEach((side, i) => {
    const w = part.walls.find((x) => x.side === side)!;
    const root = rootOf(l, w.name);
    const rear = side === "S" ? 0 : 1;
    const rafterId = trimmers[i]!;
    for (let n = 1; n <= plates(l); n++) {
      // the front's upper plate laps over both
      const to = n === 2 ? deep - l.wall : deep;
      const z = under + (n - 0.5) * p.w;
      const at = (x: number): Vec3 => over(part, side, x, p.v / 2, z);
      const id = `${root}/plate/${n}`;
      const [from, end] = side === "S" ? [0, to] : [to, 0];
      local.stick({
        id,
        assembly: root,
        role: "top plate",
        letter: "T",
        timber: p,
        a: at(from),
        b: at(end),
        up: [0, side === "S" ? -1 : 1, 0],
        square: side === "S" ? [false, true] : [true, false],
      });
      b.join(buttJoint(id, rear, rafterId, "+v", "line"));
      if (n === 2)
        b.join({ kind: "lap", id: `${id}>1`, a: id, b: `${root}/plate/1`, aFace: UNDER, bFace: TOP, contact: "face" });
    }
    const foot = (x: number): number => planeZ(d.slope, d.inward[1] - x);
    const places = [deep - t.w / 2, ...onCentres(deep, l.mm(l.v.studSpacing), "right").reverse()];
    places.forEach((x, n) => {
      if (n > 0 && (x > deep - 1.5 * t.w - 0.2 || under - foot(x - t.w / 2) < 1.5 * t.v)) return;
      const id = `${root}/stud/${n + 1}`;
      local.stick({
        id,
        assembly: root,
        role: "stud",
        letter: "S",
        timber: t,
        a: over(part, side, x, t.v / 2, foot(x)),
        b: over(part, side, x, t.v / 2, under),
        up: [0, side === "S" ? -1 : 1, 0],
      });
      b.join(buttJoint(id, 0, rafterId, "+v", "line"));
      b.join(buttJoint(id, 1, `${root}/plate/1`, UNDER, t.v <= p.v + NEAR ? "face" : "line"));
    });
  });
}

/** What of the roof lies over the main slope: the ridge's end, tails beside it, jacks on their valley boards. */
function onSlope(b0: Builder, k: RoofKit, d: Dormer, cover: number): void {
  const { b, l, part, root } = k;
  const { t } = l;
  const on = part.onRoof!.ridged!;
  const { datum } = part.onRoof!;
  const half = part.q[1];
  const s = part.slopes.S!;
  const ridge = `${root}/roof/ridge`;
  b.join({ kind: "trim", id: `${ridge}/slope`, a: ridge, datum, as: "end0", contact: "gap" });
  // tails that reach down to the covering
  const low = planeZ(s, -part.out) - t.rafter.v * Math.hypot(1, s.k);
  const surface = (p: number): number => planeZ(s, 0) + (on.x - p) * d.slope.k;
  rafterStations(k).forEach((p, i) => {
    if (surface(p - t.rafter.w / 2) < low) return;
    for (const side of ["S", "N"] as const) {
      const id = `${root}/roof/${side}/${i + 1}`;
      b.join({ kind: "trim", id: `${id}/slope`, a: id, datum, as: "end0", contact: "gap" });
    }
  });
  const board = t.casing;
  // level along p: how much further out the upper side of the valley boards lies than the slope's rafters
  const x = ((cover + board.w) * Math.hypot(1, d.slope.k)) / d.slope.k;
  const z = (p: number): number => planeZ(s, 0) - d.slope.k * p;
  // the slope falls along +p
  const n = normalize([d.slope.k, 0, 1]);
  const top = placed(b0, l.main.place).datum(`${root}/valley-boards`, up(slopePlane(l.main, d.slope, cover + board.w)));
  const inside = (side: "S" | "N"): string =>
    k.b.datum(`${root}/inside-${side}`, planeAt(over(part, side, 0, l.wall, 0), [0, side === "S" ? -1 : 1, 0]));
  for (const side of ["S", "N"] as const) {
    // its outer upper edge lies in the plane of the dormer's rafters
    const at = (inward: number): Vec3 => {
      const p = x - on.m * inward;
      const edge = over(part, side, p, inward, z(p) + (cover + board.w) * Math.hypot(1, d.slope.k));
      return [edge[0] - n[0] * board.w, edge[1] - n[1] * board.w, edge[2] - n[2] * board.w];
    };
    const [a, c] = [at(0), at(half)];
    const u = normalize([c[0] - a[0], c[1] - a[1], c[2] - a[2]]);
    const v: Vec3 = [n[1] * u[2] - n[2] * u[1], n[2] * u[0] - n[0] * u[2], n[0] * u[1] - n[1] * u[0]];
    // the board lies to the side of the dormer's middle
    const inner = side === "S" ? v[1] > 0 : v[1] < 0;
    const id = `${root}/roof/valley-board-${side}`;
    b.stick({
      id,
      assembly: `${root}/roof/frame`,
      role: "valley board",
      letter: "VB",
      timber: board,
      a,
      b: c,
      up: v,
      seat: [inner ? "-" : "+", "-"],
    });
    b.join({ kind: "trim", id: `${id}/cheek`, a: id, datum: inside(side), as: "end0", contact: "gap" });
    b.join(buttJoint(id, 1, ridge, side === "S" ? "+w" : "-w", "gap"));
    let count = 0;
    const spacing = l.mm(l.v.rafterSpacing);
    for (let i = 1; ; i++) {
      const p = part.p[1] - t.rafter.w / 2 - i * spacing;
      const from = (x - p) / on.m;
      if (half - from < 2 * t.rafter.v) break;
      if (from < l.wall + 2 * t.rafter.w) continue;
      const name = `jack${++count}`;
      rafter(k, {
        id: `${side}/${name}`,
        role: "valley jack",
        slope: part.slopes[side]!,
        at: p,
        from,
        to: half,
        assembly: `slope-${side}`,
      });
      const full = `${root}/roof/${side}/${name}`;
      b.join({ kind: "trim", id: `${full}/foot`, a: full, datum: top, as: "end0", contact: "gap" });
      b.join({ kind: "bearing", id: `${full}>board`, a: full, b: id, aFace: "end0", bFace: "+w", contact: "line" });
      b.join(buttJoint(full, 1, ridge, side === "S" ? "+w" : "-w", "line"));
    }
  }
}

/** Joins valley boards and nailers to what they lie on: the covering, or the rafters of a slope that is left open. */
export function seatValleyBoards(b: Builder, l: BuildingLayout): void {
  for (const d of dormersOf(l)) {
    const root = `${rootOf(l, l.main.name)}/roof/`;
    const bare = coverThick(l) === 0;
    const on = b.members.filter((m) =>
      bare
        ? m.id.startsWith(`${root}${d.side}/`) && /rafter|header/.test(m.role)
        : m.id.startsWith(`${root}cover-${d.side}/`) && /^roof (board|sheet)$/.test(m.role),
    );
    const boards = d.part.onRoof!.ridged ? ["valley-board-S", "valley-board-N"] : ["nailer"];
    for (const name of boards) {
      const id = `${rootOf(l, d.part.name)}/roof/${name}`;
      for (const m of on) b.join(touching(id, m.id, "-w", bare ? "+v" : "+w"));
    }
  }
}
