import { normalize, planeAt, type Plane, type Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import { coverThick, dormersOf, plates, plateStock, stock, type Dormer } from "./dormer";
import { gableRoof } from "./gable";
import { rafterStations } from "./rafterStations";
import { onCentres, onWall, sideName } from "../plan/sides";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { move, placed, turn } from "../plan/place";
import { over, planeZ, rafter, roofKit, slopePlane, type RoofKit } from "./slopes";
import { buttJoint, LEFT, RIGHT, TOP, UNDER, wallKit, touching } from "../walls/wallKit";

/** Walls on the trimmers and on the header under the front, rafters, ridge, and jacks on valley boards that lie on the covering. */
export function frameDormers(b: Builder, l: BuildingLayout): void {
  for (const d of dormersOf(l)) {
    const main = placed(b, l.main.place);
    const cover = coverThick(l);
    main.datum(d.part.onRoof!.datum, up(slopePlane(l.main, d.slope, cover)));
    const local = placed(b, d.part.place);
    const k = roofKit(local, l, d.part);
    const trimmers = ([0, 1] as const).map((i) => trimmer(b, l, d, i));
    cheeks(b, l, d, trimmers);
    front(b, l, d);
    gableRoof(k, []);
    onSlope(b, k, d, cover);
  }
}
/** A plane that keeps what lies over it. */
const up = (p: Plane): Plane => ({ n: [-p.n[0], -p.n[1], -p.n[2]], d: -p.d });

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
      Math.abs((m.body.a[0] - x) * e[0] + (m.body.a[1] - y) * e[1]) < 1e-6,
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
      b.join(buttJoint(id, 1, `${root}/plate/1`, UNDER, t.v <= p.v + 1e-6 ? "face" : "line"));
    });
  });
}

/** The front: plates between and over the cheeks', studs on the header in the slope, the frame of its window. */
function front(b: Builder, l: BuildingLayout, d: Dormer): void {
  const w = d.part.walls.find((x) => x.side === "E")!;
  const k = wallKit(b, l, w);
  const t = stock(l);
  const p = plateStock(l);
  const under = w.top - plates(l) * p.w;
  const side = (s: "S" | "N", n: number): string =>
    `${rootOf(l, d.part.walls.find((x) => x.side === s)!.name)}/plate/${n}`;
  const lower = k.along("plate/1", "top plate", "T", p, w.from, w.to, under, { square: false });
  b.join(buttJoint(lower, 0, side("S", 1), "-v"));
  b.join(buttJoint(lower, 1, side("N", 1), "-v"));
  if (plates(l) === 2) {
    const upper = k.along("plate/2", "top plate", "T", p, 0, w.length, under + p.w);
    b.join({ kind: "lap", id: `${upper}>1`, a: upper, b: lower, aFace: UNDER, bFace: TOP, contact: "face" });
    for (const s of ["S", "N"] as const)
      b.join({ kind: "lap", id: `${upper}>${s}`, a: upper, b: side(s, 1), aFace: UNDER, bFace: TOP, contact: "face" });
  }
  const header = `${rootOf(l, l.main.name)}/roof/${d.side}/${d.part.name}-header1`;
  const foot = planeZ(d.slope, d.inward[0]);
  const gap = w.gaps[0];
  const upright = (path: string, role: string, s: number, z0: number, z1: number, on: string, over: string): string => {
    const id = `${k.root}/${path}`;
    b.stick({
      id,
      assembly: k.root,
      role,
      letter: role === "cripple" ? "C" : "S",
      timber: t,
      a: onWall(w, s, t.v / 2, z0),
      b: onWall(w, s, t.v / 2, z1),
      up: w.n,
    });
    b.join(buttJoint(id, 0, on, "+v", "line"));
    b.join(buttJoint(id, 1, over, UNDER));
    return id;
  };
  const kings = gap
    ? ([gap.from - t.w / 2, gap.to + t.w / 2] as const).map((s, i) =>
        upright(`${gap.name}/king/${i === 0 ? "left" : "right"}`, "king stud", s, foot, under, header, lower),
      )
    : [];
  if (gap) {
    const head = k.along(`${gap.name}/header/1`, "header", "H", t, gap.from, gap.to, gap.head, { square: false });
    const sill = k.along(`${gap.name}/sill`, "window sill", "W", t, gap.from, gap.to, gap.sill - t.w, {
      square: false,
    });
    for (const id of [head, sill]) {
      b.join(buttJoint(id, 0, kings[0]!, RIGHT));
      b.join(buttJoint(id, 1, kings[1]!, LEFT));
    }
    const middle = (gap.from + gap.to) / 2;
    if (gap.to - gap.from > l.mm(l.v.studSpacing) && gap.sill - t.w - foot > t.v)
      upright(`${gap.name}/foot/1`, "cripple", middle, foot, gap.sill - t.w, header, sill);
  }
  for (const s of onCentres(w.length, l.mm(l.v.studSpacing), "middle")) {
    const clear = 1.5 * t.w + 0.2;
    if (s < w.from + clear || s > w.to - clear) continue;
    if (gap && s > gap.from - t.w - clear && s < gap.to + t.w + clear) continue;
    upright(`stud/${Math.round(s / l.mm(25.4))}`, "stud", s, foot, under, header, lower);
  }
}

/** What of the roof lies over the main slope: the ridge's end, tails beside it, jacks on their valley boards. */
function onSlope(b0: Builder, k: RoofKit, d: Dormer, cover: number): void {
  const { b, l, part, root } = k;
  const { t } = l;
  const on = part.onRoof!;
  const half = part.q[1];
  const s = part.slopes.S!;
  const ridge = `${root}/roof/ridge`;
  b.join({ kind: "trim", id: `${ridge}/slope`, a: ridge, datum: on.datum, as: "end0", contact: "gap" });
  // tails that reach down to the covering
  const low = planeZ(s, -part.out) - t.rafter.v * Math.hypot(1, s.k);
  const surface = (p: number): number => planeZ(s, 0) + (on.x - p) * d.slope.k;
  rafterStations(k).forEach((p, i) => {
    if (surface(p - t.rafter.w / 2) < low) return;
    for (const side of ["S", "N"] as const) {
      const id = `${root}/roof/${side}/${i + 1}`;
      b.join({ kind: "trim", id: `${id}/slope`, a: id, datum: on.datum, as: "end0", contact: "gap" });
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

/** Joins the valley boards to what they lie on: the covering, or the rafters of a slope that is left open. */
export function seatValleyBoards(b: Builder, l: BuildingLayout): void {
  for (const d of dormersOf(l)) {
    const root = `${rootOf(l, l.main.name)}/roof/`;
    const bare = coverThick(l) === 0;
    const on = b.members.filter((m) =>
      bare
        ? m.id.startsWith(`${root}${d.side}/`) && /rafter|header/.test(m.role)
        : m.id.startsWith(`${root}cover-${d.side}/`) && /^roof (board|sheet)$/.test(m.role),
    );
    for (const side of ["S", "N"] as const) {
      const id = `${rootOf(l, d.part.name)}/roof/valley-board-${side}`;
      for (const m of on) b.join(touching(id, m.id, "-w", bare ? "+v" : "+w"));
    }
  }
}
