import { NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { onCentres, onWall } from "../plan/sides";
import { rootOf, type BuildingLayout, type Part } from "../plan/layout";
import { panel } from "./panel";
import { placed } from "../../place";
import { wallOn } from "./slopes";
import { postsOf, studsOf } from "../walls/uprights";
import { TOP, touching } from "../walls/wallKit";

/** A flat roof behind a parapet: ledgers on the inside of the long walls, joists on them, a coping on the plates. */
export function flatRoof(b: Builder, l: BuildingLayout, part: Part): void {
  const { v, t, mm } = l;
  const local = placed(b, part.place);
  const root = `${rootOf(l, part.name)}/roof`;
  const assembly = `${root}/frame`;
  const top = mm(v.wallHeight);
  const under = top - t.rafter.v;
  const [q0, q1] = [part.q[0] + l.wall, part.q[1] - l.wall];
  const [p0, p1] = [part.p[0] + l.wall, part.p[1] - l.wall];
  const ledgers = (["S", "N"] as const).map((side) => {
    const w = wallOn(part, side)!;
    const q = side === "S" ? q0 : q1;
    const id = local.stick({
      id: `${root}/ledger-${side}`,
      assembly,
      role: "ledger",
      letter: "LG",
      timber: t.lookout,
      a: [p0, q, under],
      b: [p1, q, under],
      up: [0, 0, 1],
      seat: ["+", side === "S" ? "+" : "-"],
      square: true,
    }).id;
    const foot = l.plate;
    const uprights = (v.framing === "posts" ? postsOf(l, w, foot, w.top) : studsOf(l, w, foot, w.top)).filter(
      (u) =>
        u.role !== "cripple" &&
        !u.turned &&
        u.timber.v >= w.thick - NEAR &&
        u.s > w.from + l.wall + u.half &&
        u.s < w.to - l.wall - u.half,
    );
    const held = w.seen ? [uprights[0], uprights[uprights.length - 1]] : [];
    for (const u of new Set(held))
      if (u)
        b.join({
          kind: "lap",
          id: `${id}>${u.id}`,
          a: id,
          b: `${rootOf(l, w.name)}/${u.id}`,
          aFace: side === "S" ? "+w" : "-w",
          bFace: "-v",
          contact: "line",
        });
    // its ends meet the corners of the end walls, which stand whether they are seen or not
    const corners = b.members.filter(
      (m) =>
        ["E", "W"].some((x) => m.id.startsWith(`${rootOf(l, wallOn(part, x as "E")!.name)}/`)) &&
        /stud|post/.test(m.role),
    );
    for (const m of corners) b.join(touching(id, m.id, "+v", "-v"));
    return id;
  });
  const half = t.rafter.w / 2;
  const stations = [
    p0 + half,
    ...onCentres(p1 - p0, mm(v.rafterSpacing), "left")
      .map((s) => p0 + s)
      .filter((p) => p > p0 + 3 * half + 0.2 && p < p1 - 3 * half - 0.2),
    p1 - half,
  ];
  const joists = stations.map((p, i) => {
    const id = local.stick({
      id: `${root}/joist/${i + 1}`,
      assembly,
      role: "roof joist",
      letter: "R",
      timber: t.rafter,
      a: [p, q0, under],
      b: [p, q1, under],
      up: [0, 0, 1],
      seat: ["-", "centre"],
      square: true,
    }).id;
    ledgers.forEach((g) =>
      b.join({ kind: "lap", id: `${id}>${g.slice(-1)}`, a: id, b: g, aFace: "-v", bFace: "+v", contact: "face" }),
    );
    return id;
  });
  if (v.covering === "sheet" || !v.seenRoof) {
    const id = panel(b, l, part.place, {
      id: `${root}/sheet`,
      assembly: `${root}/cover`,
      role: "roof sheet",
      letter: "RS",
      origin: [p0, q0, top],
      u: [1, 0, 0],
      v: [0, 1, 0],
      outline: [
        [0, 0],
        [p1 - p0, 0],
        [p1 - p0, q1 - q0],
        [0, q1 - q0],
      ],
      thickness: v.roofSheet,
    });
    for (const j of joists) b.join(touching(id, j, "-w", "+v"));
  } else if (v.covering === "boards" || v.covering === "spaced") {
    const board = t.roofBoard;
    const rows = Math.ceil((q1 - q0 - NEAR) / board.v);
    for (let i = 0; i < rows; i++) {
      const q = q0 + i * board.v;
      const id = `${root}/board/${i + 1}`;
      local.stick({
        id,
        assembly: `${root}/cover`,
        role: "roof board",
        letter: "RD",
        timber: board,
        a: [p0, q, top],
        b: [p1, q, top],
        up: [0, 1, 0],
        seat: ["-", "-"],
        square: true,
      });
      if (q + board.v > q1 + NEAR)
        b.join({
          kind: "trim",
          id: `${id}/rip`,
          a: id,
          datum: local.datum(`${root}/inside`, { n: [0, 1, 0], d: q1 }),
          as: "length",
          contact: "gap",
        });
      for (const j of [joists[0]!, joists[joists.length - 1]!])
        b.join({
          kind: "lap",
          id: `${id}>${j.split("/").pop()}`,
          a: id,
          b: j,
          aFace: "-w",
          bFace: "+v",
          contact: "line",
        });
    }
  }
  // the coping lies on the plates, over both faces of the wall by the same
  for (const w of part.walls) {
    const proud = Math.max(0, (t.plank.v - l.wall) / 2);
    const id = `${rootOf(l, w.name)}/coping`;
    const [s0, s1] = w.through ? [-proud, w.length + proud] : [l.wall + proud, w.length - l.wall - proud];
    const inward = l.wall / 2;
    b.stick({
      id,
      assembly: rootOf(l, w.name),
      role: "coping",
      letter: "CO",
      timber: t.plank,
      a: onWall(w, s0, inward, w.top),
      b: onWall(w, s1, inward, w.top),
      up: w.n,
      seat: ["centre", "+"],
      square: true,
    });
    b.join({
      kind: "lap",
      id: `${id}>plate`,
      a: id,
      b: `${rootOf(l, w.name)}/plate/${v.framing === "posts" ? 1 : v.topPlates}`,
      aFace: "+w",
      bFace: TOP,
      contact: "line",
    });
  }
}
