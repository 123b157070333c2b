import { planeAt, type Vec3, ALIKE, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { frameOutline } from "../floors/outlineFloor";
import { onCentres, onWall } from "../plan/sides";
import { rootOf, type BuildingLayout, type Wall } from "../plan/layout";
import { panel, plumbBevels, UNMOVED } from "../roof/panel";
import { placed, quartersOf } from "../../place";
import { buttJoint, OUTER, TOP, touching } from "../walls/wallKit";
import { frameWall } from "../walls/walls";
import { bayShapes, baysOf, plies, zOf, type Bay } from "./bayPlan";

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
