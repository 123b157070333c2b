import type { Face, Frame } from "../../frame";
import { planeAt, type Vec2, type Vec3 } from "../../geometry";
import { builder, type Builder } from "../builder";
import type { Context } from "../kind";
import { panelMember, rectangleHole, rectangleOf } from "../panel";
import { touching } from "../touching";
import { atWall, between, canopyLayout, onBoard, outwards, upwards, type CanopyLayout } from "./layout";
import type { CanopyValues } from "./parameters";

/**
 * Everything of a canopy: the board, smaller by its edges; each edge a stack of sheets whose corners are made layer by
 * layer, the front running through; ledger along the wall, ribs from it to the front, and a rod, a bracket or a post at
 * every rib. An edge of .015 on .030 in takes 1.143 mm (.045 in) off the board's front and off both ends. Model mm.
 */
export function canopyFrame(v: CanopyValues, ctx: Context): Frame {
  const l = canopyLayout(v, ctx);
  const b = builder(ctx.structure);
  b.datums.under = planeAt([0, 0, l.high], upwards(l));
  b.datums.wall = planeAt([0, 0, 0], [0, 1, 0]);
  board(b, l, ctx);
  edges(b, l, ctx);
  ledgers(b, l, ctx);
  l.frames.forEach((x, i) => frame(b, l, ctx, x, i));
  return b.frame();
}
const at = (ctx: Context, part: string): string => `${ctx.structure}/${part}`;
const glue = (b: Builder, a: string, to: string, aFace: Face, bFace: Face): void => b.join(touching(a, to, aFace, bFace)); // prettier-ignore

/** Corners of a lamp's hole: it goes round the lamp. */
const ROUND = 16;
function circle([x, y]: Vec2, diameter: number): Vec2[] {
  const r = diameter / 2 / Math.cos(Math.PI / ROUND);
  return Array.from({ length: ROUND }, (_, i): Vec2 => {
    const a = ((i + 0.5) * 2 * Math.PI) / ROUND;
    return [x + r * Math.cos(a), y + r * Math.sin(a)];
  });
}
function board(b: Builder, l: CanopyLayout, ctx: Context): void {
  const [half, out] = [l.long / 2 - l.ends, l.deep - l.stack];
  const holes = [
    ...l.lights.map((x, i) => ({ name: `light${i + 1}`, outline: circle([x, -l.mm(l.v.lightOut) / l.cos], l.mm(l.v.lightSize)), bevel: Array.from({ length: ROUND }, () => 0) })), // prettier-ignore
    ...l.columns.map((c, i) => rectangleHole(`column${i + 1}`, [c.from, c.to], [-c.deep / l.cos, 2 * l.board.thickness + 1])), // prettier-ignore
  ];
  b.add(
    panelMember(ctx.structure, {
      id: at(ctx, "board"),
      assembly: at(ctx, "board"),
      role: "canopy board",
      letter: "CN",
      origin: [0, 0, l.high],
      u: [1, 0, 0],
      v: [0, l.cos, l.sin],
      outline: rectangleOf([-half, half], [-out, 0]),
      // plumb at the wall
      bevel: [0, 0, (-Math.atan(l.k) * 180) / Math.PI, 0],
      thickness: l.board.thickness,
      stock: l.board.id,
      holes,
      // seen from the front it hides what it slopes over
      over: { assembly: at(ctx, "ribs"), role: "rib", group: at(ctx, "board") },
    }),
  );
}
const LAYERS = ["face", "backing"] as const;
/** The sheets on the board's front and ends, outermost first: the front's run through, the ends' stop behind them. */
function edges(b: Builder, l: CanopyLayout, ctx: Context): void {
  const [top, foot] = [l.board.thickness, l.board.thickness - l.edgeHigh];
  let depth = 0;
  l.edge.forEach((item, i) => {
    const name = LAYERS[i]!;
    const before = LAYERS[i - 1];
    const outer = depth;
    depth += item.thickness;
    const seed = { role: i === 0 ? "edge facing" : "edge backing", letter: i === 0 ? "EF" : "EB", thickness: item.thickness, stock: item.id }; // prettier-ignore
    const half = l.long / 2 - (l.v.edges === "three" ? outer : 0);
    const front = at(ctx, `front/${name}`);
    b.add(
      panelMember(ctx.structure, {
        ...seed,
        id: front,
        assembly: at(ctx, "front"),
        origin: onBoard(l, 0, l.deep - depth, 0),
        u: [1, 0, 0],
        v: upwards(l),
        outline: rectangleOf([-half, half], [foot, top]),
      }),
    );
    if (before) glue(b, front, at(ctx, `front/${before}`), "+w", "-w");
    if (i === l.edge.length - 1) glue(b, front, at(ctx, "board"), "-w", "e0");
    if (l.v.edges !== "three") return;
    for (const side of [1, -1]) {
      const id = at(ctx, `${side > 0 ? "right" : "left"}/${name}`);
      // y and z of its corners; seen from outside the wall lies to the right on the right end, to the left on the left
      const corner = (out: number, over: number): Vec2 => {
        const p = onBoard(l, 0, out, over);
        return [side * p[1], p[2]];
      };
      const end = l.deep - depth;
      const round = [corner(end, foot), corner(atWall(l, foot), foot), corner(atWall(l, top), top), corner(end, top)];
      b.add(
        panelMember(ctx.structure, {
          ...seed,
          id,
          assembly: at(ctx, "ends"),
          origin: [side * (l.long / 2 - depth), 0, 0],
          u: [0, side, 0],
          v: [0, 0, 1],
          outline: side > 0 ? round : [...round].reverse(),
        }),
      );
      // its front edge stands behind the front's sheet of the same layer
      glue(b, id, front, "e3", "-w");
      if (before) glue(b, id, at(ctx, `${side > 0 ? "right" : "left"}/${before}`), "+w", "-w");
      if (i === l.edge.length - 1) glue(b, id, at(ctx, "board"), "-w", side > 0 ? "e1" : "e3");
    }
  });
}
const ledgerId = (ctx: Context, i: number): string => at(ctx, `ledger/${i + 1}`);
/** Along the wall under the board, between the columns; its top is ripped to the fall. */
function ledgers(b: Builder, l: CanopyLayout, ctx: Context): void {
  const t = l.timber.ledger;
  between(l).forEach(([from, to], i) => {
    const id = b.stick({
      id: ledgerId(ctx, i),
      assembly: at(ctx, "ledger"),
      role: "ledger",
      letter: "LG",
      timber: t,
      a: [from, -t.w / 2, l.high - t.v / 2],
      b: [to, -t.w / 2, l.high - t.v / 2],
      up: [0, 0, 1],
      square: true,
    }).id;
    if (l.k > 0) b.join({ kind: "trim", id: `${id}>under`, a: id, datum: "under", as: "length", contact: "gap" });
    if (l.k === 0) glue(b, id, at(ctx, "board"), "+v", "-w");
  });
}
/** A rib and what holds the board there. */
function frame(b: Builder, l: CanopyLayout, ctx: Context, x: number, i: number): void {
  const { rib, ledger, rod, bracket, post } = l.timber;
  const assembly = at(ctx, `frame${i + 1}`);
  const on = between(l).findIndex(([from, to]) => x > from && x < to);
  const id = b.stick({
    id: `${assembly}/rib`,
    assembly: at(ctx, "ribs"),
    role: "rib",
    letter: "RB",
    timber: rib,
    a: onBoard(l, x, ledger.w / l.cos, -rib.v / 2),
    b: onBoard(l, x, l.deep - l.stack, -rib.v / 2),
    up: upwards(l),
    square: [false, true],
  }).id;
  b.join({ kind: "butt", id: `${id}>ledger`, a: id, end: 0, b: ledgerId(ctx, on), face: "+w", contact: "line" });
  glue(b, id, at(ctx, "board"), "+v", "-w");
  const put = l.out / l.cos;
  if (l.v.held === "rods") {
    const wall: Vec3 = [x, 0, l.high + l.mm(l.v.rodRise)];
    const foot = onBoard(l, x, put, l.board.thickness);
    const r = b.stick({ id: `${assembly}/rod`, assembly, role: "rod", letter: "RD", timber: rod, a: wall, b: foot, up: [1, 0, 0] }).id; // prettier-ignore
    b.join({ kind: "trim", id: `${r}>wall`, a: r, datum: "wall", as: "end0", contact: "gap" });
    b.join({ kind: "butt", id: `${r}>board`, a: r, end: 1, b: at(ctx, "board"), face: "+w", contact: "line" });
  }
  if (l.v.held === "posts") {
    const top = onBoard(l, x, put, -rib.v);
    const p = b.stick({ id: `${assembly}/post`, assembly, role: "post", letter: "P", timber: post, a: [x, top[1], 0], b: top, up: [0, 1, 0], square: [true, false] }).id; // prettier-ignore
    b.join({ kind: "butt", id: `${p}>rib`, a: p, end: 1, b: id, face: "-v", contact: "line" });
  }
  if (l.v.held === "brackets") {
    // under the ledger, and under a rib that hangs lower where the upright is the thicker
    const head = Math.min(l.high - ledger.v, bracket.v > ledger.w ? l.high - bracket.v * l.k - rib.v / l.cos : Infinity); // prettier-ignore
    const foot = l.high - l.mm(l.v.bracketFall);
    const u = b.stick({ id: `${assembly}/upright`, assembly, role: "bracket upright", letter: "BU", timber: bracket, a: [x, -bracket.v / 2, foot], b: [x, -bracket.v / 2, head], up: [0, 1, 0], square: true }).id; // prettier-ignore
    b.join({ kind: "bearing", id: `${u}>ledger`, a: u, b: ledgerId(ctx, on), aFace: "end1", bFace: "-v", contact: "gap" }); // prettier-ignore
    const lower: Vec3 = [x, -bracket.v, foot + bracket.v];
    const upper = onBoard(l, x, put, -rib.v);
    const d = b.stick({ id: `${assembly}/brace`, assembly, role: "bracket brace", letter: "BB", timber: bracket, a: lower, b: upper, up: outwards(l) }).id; // prettier-ignore
    b.join({ kind: "butt", id: `${d}>upright`, a: d, end: 0, b: u, face: "-v", contact: "line" });
    b.join({ kind: "butt", id: `${d}>rib`, a: d, end: 1, b: id, face: "-v", contact: "line" });
  }
}
