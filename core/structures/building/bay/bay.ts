import { planeAt, type Vec2, type Vec3, ALIKE, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { frameOutline } from "../floors/outlineFloor";
import { gapsOf, slopeOf } from "../plan/parts";
import { onCentres, onWall } from "../plan/sides";
import { rootOf, type BuildingLayout, type Slope, type Wall } from "../plan/layout";
import type { SideName } from "../parameters";
import { panel, plumbBevels, UNMOVED } from "../roof/panel";
import { placed, quartersOf } from "../plan/place";
import { buttJoint, OUTER, TOP, touching } from "../walls/wallKit";
import { frameWall } from "../walls/walls";

/** A bay window: three walls before a wall of the main part, the outer two slanting, under a roof of three slopes. Model mm. */
export interface Bay {
  readonly name: string;
  readonly main: Wall;
  /** Left outer corner on the main wall, from its left corner. */
  readonly at: number;
  readonly length: number;
  readonly depth: number;
  /** From the main wall to a slanting one. */
  readonly angle: number;
  /** Left, front and right, seen from outside. */
  readonly walls: readonly [Wall, Wall, Wall];
  readonly slope: Slope;
  readonly out: number;
  readonly top: number;
  /** Where the hips meet the main wall, in from both corners. */
  readonly hipAt: number;
}
const AROUND: readonly SideName[] = ["front", "right", "back", "left"];
/** How the three walls of a bay are called: as walls of a wing that look about the same way. */
export function bayNames(side: SideName): readonly [SideName, SideName, SideName] {
  const i = AROUND.indexOf(side);
  return [AROUND[(i + 3) % 4]!, side, AROUND[(i + 1) % 4]!];
}
const plies = (l: BuildingLayout): number => (l.v.framing === "posts" ? 1 : l.v.topPlates);

/** The bays of a building. */
export function baysOf(l: BuildingLayout): Bay[] {
  const { v, mm } = l;
  return v.wings.flatMap((w, i): Bay[] => {
    const main = l.main.walls.find((x) => x.name === w.side);
    if (w.kind !== "bay" || !main) return [];
    const [at, length, depth, top] = [mm(w.at), mm(w.length), mm(w.depth), mm(w.height)];
    const angle = (v.baySlant * Math.PI) / 180;
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
    const name = `wing${i + 1}`;
    const half = Math.tan(angle / 2);
    const turn = (k: number): Vec3 => [main.e[0] * cos + main.n[0] * sin * k, main.e[1] * cos + main.n[1] * sin * k, 0];
    const long = depth / sin;
    const names = bayNames(w.side as SideName);
    const wall = (k: 0 | 1 | 2, origin: Vec3, e: Vec3, size: number): Wall => {
      // a square end stands clear of the mitre, and of the main wall
      const mitre = l.wall * half + 0.02;
      const main = l.wall / Math.tan(angle) + 0.02;
      return {
        name: `${name}-${names[k]}`,
        side: "E",
        through: false,
        origin,
        e,
        n: [e[1], -e[0], 0],
        length: size,
        from: k === 0 ? main : mitre,
        to: size - (k === 2 ? main : mitre),
        runs: [0, size],
        thick: l.wall,
        top,
        foot: 0,
        gaps: gapsOf(l, i + 1, names[k]).map((g) => ({ ...g, door: false })),
        seen: true,
      };
    };
    const shift = (p: Vec3, d: Vec3, by: number): Vec3 => [p[0] + d[0] * by, p[1] + d[1] * by, 0];
    const wide = length - (2 * depth) / Math.tan(angle);
    const a = onWall(main, at, 0, 0);
    const c = shift(a, turn(1), long);
    const d = shift(c, main.e, wide);
    return [
      {
        name,
        main,
        at,
        length,
        depth,
        angle,
        walls: [wall(0, a, turn(1), long), wall(1, c, main.e, wide), wall(2, d, turn(-1), long)],
        slope: slopeOf(l, "S", v.rise, top),
        out: mm(v.bayOverhang),
        top,
        hipAt: depth / Math.tan(angle) + depth * half,
      },
    ];
  });
}
/** Height of a bay's slopes in from the outside of their walls. */
const zOf = (b: Bay, inward: number): number => b.top + b.slope.above + b.slope.k * inward;
/** How high a bay's roof reaches on the main wall. */
export const bayPeak = (b: Bay): number => zOf(b, b.depth);

/** Walls, floor and roof of every bay. */
export function bays(b: Builder, l: BuildingLayout): void {
  for (const bay of baysOf(l)) {
    floor(b, l, bay);
    walls(b, l, bay);
    roof(b, l, bay);
  }
}

/** A floor of the bay's outline under its walls, its rear rim on the main one. */
function floor(b: Builder, l: BuildingLayout, bay: Bay): void {
  if (l.v.floor !== "under") return;
  const [x, y] = onWall(bay.main, bay.at, 0, 0);
  const root = rootOf(l, `${bay.name}/floor`);
  const back = bay.depth / Math.tan(bay.angle);
  frameOutline(
    placed(b, { quarters: quartersOf(bay.main.e), at: [x, y] }),
    l,
    {
      root,
      top: 0,
      outline: [
        [0, 0],
        [back, -bay.depth],
        [bay.length - back, -bay.depth],
        [bay.length, 0],
      ],
    },
    false,
  );
  const rear = `${root}/rim/4`;
  for (const m of b.members.filter(
    (x) => x.id.startsWith(`${rootOf(l, l.main.name)}/floor/`) && /rim|end joist/.test(x.role),
  ))
    for (const face of ["+w", "-w"] as const) b.join(touching(rear, m.id, "+w", face));
  for (const m of b.members.filter((x) => x.id.startsWith(`${rootOf(l, l.main.name)}/floor/joist/`)))
    for (const face of ["end0", "end1"] as const) b.join(touching(m.id, rear, face, "+w"));
}

/** The three walls, mitred with each other and cut to the main wall. */
function walls(b: Builder, l: BuildingLayout, bay: Bay): void {
  for (const w of bay.walls) frameWall(b, l, w);
  b.datums[`${rootOf(l, bay.name)}/main`] = planeAt(onWall(bay.main, 0, 0, 0), [-bay.main.n[0], -bay.main.n[1], 0]);
  const rows = ["sole/1", ...Array.from({ length: plies(l) }, (_, i) => `plate/${i + 1}`)];
  const [left, front, right] = bay.walls.map((w) => rootOf(l, w.name)) as [string, string, string];
  for (const row of rows) {
    b.join({
      kind: "mitre",
      id: `${left}/${row}>front`,
      a: `${left}/${row}`,
      end: 1,
      b: `${front}/${row}`,
      bEnd: 0,
      contact: "face",
    });
    b.join({
      kind: "mitre",
      id: `${front}/${row}>right`,
      a: `${front}/${row}`,
      end: 1,
      b: `${right}/${row}`,
      bEnd: 0,
      contact: "face",
    });
    for (const [wall, end] of [
      [left, "end0"],
      [right, "end1"],
    ] as const) {
      const id = `${wall}/${row}`;
      b.join({ kind: "trim", id: `${id}/main`, a: id, datum: `${rootOf(l, bay.name)}/main`, as: end, contact: "gap" });
      for (const m of b.members.filter((x) => x.assembly === rootOf(l, bay.main.name)))
        b.join(touching(id, m.id, end, m.role === "wall sheet" || m.role === "header" ? "+w" : OUTER));
    }
  }
  // the soles stand on the bay's planks
  for (const w of bay.walls)
    for (const m of b.members.filter((x) => x.id.startsWith(`${rootOf(l, `${bay.name}/floor`)}/plank/`)))
      b.join(touching(`${rootOf(l, w.name)}/sole/1`, m.id, "+w", "+w"));
}

/** A ledger on the main wall, commons of the front, hips backed to both slopes, jacks of the sides, a sheet on each slope. */
function roof(b: Builder, l: BuildingLayout, bay: Bay): void {
  const { t, mm, v } = l;
  const root = `${rootOf(l, bay.name)}/roof`;
  const { main, depth, length, angle, hipAt, out } = bay;
  const half = Math.tan(angle / 2);
  const back = depth / Math.tan(angle);
  const assembly = `${root}/frame`;
  const onMain = `${rootOf(l, bay.name)}/main`;
  /** A place before the main wall: along from the bay's left corner, out from the framing, height. */
  const at = (x: number, away: number, z: number): Vec3 => onWall(main, bay.at + x, -away, z);
  const eave = bay.walls.map((w, i) => {
    const name = `${root}/eave${i + 1}`;
    b.datums[name] = planeAt(onWall(w, 0, -out, 0), w.n);
    return name;
  });
  const slopes = bay.walls.map((w, i) => {
    const name = `${root}/slope${i + 1}`;
    const stretch = Math.hypot(1, bay.slope.k);
    b.datums[name] = planeAt(onWall(w, 0, 0, zOf(bay, 0)), [
      (w.n[0] * bay.slope.k) / stretch,
      (w.n[1] * bay.slope.k) / stretch,
      1 / stretch,
    ]);
    return name;
  });
  const z = zOf(bay, depth - t.ridge.w);
  const ledger = b.stick({
    id: `${root}/ledger`,
    assembly,
    role: "ledger",
    letter: "LG",
    timber: t.ridge,
    a: at(hipAt - t.hip.w, 0, z),
    b: at(length - hipAt + t.hip.w, 0, z),
    up: [0, 0, 1],
    seat: ["+", "-"],
    square: true,
  }).id;
  b.join({ kind: "trim", id: `${ledger}/left`, a: ledger, datum: slopes[0]!, as: "end0", contact: "gap" });
  b.join({ kind: "trim", id: `${ledger}/right`, a: ledger, datum: slopes[2]!, as: "end1", contact: "gap" });
  const behind = b.members.filter((x) => x.assembly === rootOf(l, main.name));
  for (const m of behind)
    b.join(touching(ledger, m.id, "-w", m.role === "wall sheet" || m.role === "header" ? "+w" : OUTER));
  const plate = (w: Wall, ply = plies(l)): string => `${rootOf(l, w.name)}/plate/${ply}`;
  const deep = t.rafter.v * Math.hypot(1, bay.slope.k);
  const notch = (id: string, ws: readonly Wall[]): void =>
    b.join({
      kind: "notch",
      id: `${id}>plate`,
      a: id,
      b: plate(ws[0]!),
      also: [...new Set(ws.flatMap((w) => [plate(w), plate(w, 1)]))].filter((p) => p !== plate(ws[0]!)),
      contact: ws.length === 1 ? "face" : "line",
      faces: [{ of: plate(ws[0]!), face: TOP }, ...ws.map((w) => ({ of: plate(w, 1), face: OUTER }))],
    });
  const rafter = (id: string, role: string, w: Wall, s: number, to: number): string => {
    const full = b.stick({
      id: `${root}/${id}`,
      assembly,
      role,
      letter: role === "common rafter" ? "R" : "J",
      timber: t.rafter,
      a: onWall(w, s, -out, zOf(bay, -out)),
      b: onWall(w, s, to, zOf(bay, to)),
      up: [0, 0, 1],
      seat: ["+", "centre"],
      theoretical: to * Math.hypot(1, bay.slope.k),
    }).id;
    b.join({
      kind: "trim",
      id: `${full}/tail`,
      a: full,
      datum: eave[bay.walls.indexOf(w)]!,
      as: "end0",
      contact: "gap",
    });
    notch(full, [w]);
    return full;
  };
  const hips = ([0, 1] as const).map((side) => {
    const left = side === 0;
    const w = bay.walls[left ? 0 : 2];
    const x = (away: number): number => {
      // from the corner of the eaves to where it meets the main wall
      const inward = depth - away;
      return left ? back + inward * half : length - back - inward * half;
    };
    const id = b.stick({
      id: `${root}/hip-${left ? "left" : "right"}`,
      assembly,
      role: "hip rafter",
      letter: "HR",
      timber: t.hip,
      a: at(x(depth + out), depth + out, zOf(bay, -out)),
      b: at(x(0), 0, zOf(bay, depth)),
      up: [0, 0, 1],
      seat: ["+", "centre"],
      theoretical: depth * Math.hypot(1, half, bay.slope.k),
    }).id;
    for (const k of left ? [0, 1] : [1, 2]) {
      b.join({ kind: "trim", id: `${id}/tail${k}`, a: id, datum: eave[k]!, as: "end0", contact: "gap" });
      b.join({ kind: "trim", id: `${id}/back${k}`, a: id, datum: slopes[k]!, as: "length", contact: "gap" });
    }
    b.join({ kind: "trim", id: `${id}/main`, a: id, datum: onMain, as: "end1", contact: "gap" });
    b.join(buttJoint(id, 1, ledger, "+w", "gap"));
    notch(id, [bay.walls[1], w]);
    return id;
  });
  const clear = (t.hip.w / 2) * Math.hypot(1, half) + t.rafter.w;
  const front = bay.walls[1];
  // between the hips where they meet the ledger
  const span = front.length - 2 * (depth * half + clear);
  const middle = front.length / 2;
  const places =
    span < 0
      ? []
      : onCentres(front.length, mm(v.rafterSpacing), "middle").filter((s) => Math.abs(s - middle) <= span / 2);
  places.forEach((s, i) => {
    const id = rafter(`common${i + 1}`, "common rafter", front, s, depth);
    b.join(buttJoint(id, 1, ledger, "+w", deep <= t.ridge.v + NEAR ? "face" : "line"));
  });
  // jacks of the front at both hips, and of the sides
  const jack = (name: string, w: Wall, s: number, to: number, hip: string, face: "+w" | "-w", wall: boolean): void => {
    if (to < l.wall + t.rafter.v) return;
    const id = rafter(name, "jack rafter", w, s, to);
    if (wall) b.join({ kind: "trim", id: `${id}/main`, a: id, datum: onMain, as: "end1", contact: "gap" });
    else b.join(buttJoint(id, 1, hip, face, "line"));
  };
  const spacing = mm(v.rafterSpacing);
  for (let s = spacing / 2, n = 1; s < depth * half + clear && s < middle - t.rafter.w; s += spacing, n++) {
    const to = s / half;
    if (to > depth - t.ridge.w - clear / half) break;
    jack(`front-left${n}`, front, s, to, hips[0]!, "+w", false);
    jack(`front-right${n}`, front, front.length - s, to, hips[1]!, "-w", false);
  }
  const long = bay.walls[0].length;
  for (let s = spacing / 2, n = 1; s < long; s += spacing, n++) {
    const [toWall, toHip] = [s * Math.tan(angle), (long - s) / half];
    // beside where hip, ledger and wall meet there is no room
    if (Math.abs(toWall - toHip) < 4 * t.rafter.w) continue;
    const wall = toWall < toHip;
    const to = Math.min(toWall, toHip);
    jack(`left${n}`, bay.walls[0], s, to, hips[0]!, "-w", wall);
    jack(`right${n}`, bay.walls[2], long - s, to, hips[1]!, "+w", wall);
  }
  sheets(b, l, bay, root);
}

/** The true shapes of a bay's three slopes in their own planes: along their walls, and up from the eave. */
export function bayShapes(bay: Bay): Vec2[][] {
  const { depth, angle, hipAt, out } = bay;
  const half = Math.tan(angle / 2);
  const long = bay.walls[0].length;
  const wide = bay.walls[1].length;
  const side: Vec2[] = [
    [-out / Math.tan(angle), -out],
    [long + out * half, -out],
    [hipAt * Math.cos(angle), hipAt * Math.sin(angle)],
  ];
  const level: Vec2[][] = [
    side,
    [
      [-out * half, -out],
      [wide + out * half, -out],
      [wide - depth * half, depth],
      [depth * half, depth],
    ],
    side.map(([s, i]): Vec2 => [long - s, i]).reverse(),
  ];
  const stretch = Math.hypot(1, bay.slope.k);
  return level.map((shape) => shape.map(([s, inward]): Vec2 => [s, (inward + out) * stretch]));
}

/** A sheet of each slope's true shape, bevelled plumb over the hips. */
function sheets(b: Builder, l: BuildingLayout, bay: Bay, root: string): void {
  const { v } = l;
  if (v.covering === "none" && v.seenRoof) return;
  const { out } = bay;
  const shapes = bayShapes(bay);
  const stretch = Math.hypot(1, bay.slope.k);
  bay.walls.forEach((w, i) => {
    const up: Vec3 = [-w.n[0] / stretch, -w.n[1] / stretch, bay.slope.k / stretch];
    const outline = shapes[i]!;
    const id = panel(b, l, UNMOVED, {
      id: `${root}/sheet${i + 1}`,
      assembly: root,
      role: "roof sheet",
      letter: "RS",
      origin: onWall(w, 0, -out, zOf(bay, -out)),
      u: w.e,
      v: up,
      outline,
      thickness: v.roofSheet,
      bevel: plumbBevels(
        w.e,
        up,
        outline,
        (k) => outline[k]![1] < ALIKE && outline[(k + 1) % outline.length]![1] < ALIKE,
      ),
    });
    for (const m of b.members.filter((x) => x.assembly === `${root}/frame` && /rafter/.test(x.role)))
      b.join(touching(id, m.id, "-w", "+v"));
  });
}
