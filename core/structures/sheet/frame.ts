import type { Face, Frame } from "../../frame";
import { NEAR, addScaled, dot, planeAt, scale, type Vec3 } from "../../geometry";
import { sheetOf, type TextureId } from "../../lumber";
import { prototype } from "../../units";
import { builder, type Builder } from "../builder";
import type { Context } from "../kind";
import { panelMember, rectangleHole, rectangleOf, type PanelSeed } from "../panel";
import { touching } from "../touching";
import { wallLines } from "../wallLines";
import { timberOf, type Timber } from "../timber";
import { holeIn, mountOf, type MadeOpening, type PartName } from "./layeredOpenings";
import { layerOutline, onSheetWall, sheetLayout, under, type SheetLayout, type SheetWall } from "./layout"; // prettier-ignore
import { gutters } from "./gutters";
import { coping, leftEdge, quoins } from "./masonry";
import { LAP, PLATE, insideOf, roofSeams, unbacked, wallSeams } from "./seams";
import { chimneys, shaftHoles, shaftsOf } from "./chimney";
import { roofCover } from "./cover";
import { slopesOf } from "./slopes";
import type { SheetValues } from "./parameters";
import { bandsAndCornices, cornerBoards, fascias, type On } from "./trim";

const ROLES = { face: ["facing", "FS"], core: ["core sheet", "WC"], back: ["lining sheet", "WB"] } as const;
/** Glued where their faces meet. */
const glue = (b: Builder, a: string, to: string, aFace: Face, bFace: Face): void =>
  b.join(touching(a, to, aFace, bFace));

/**
 * Everything of a building of sheet. Walls are stacks of panels that end layer by layer as their corners are made; tops
 * under an eave are bevelled to the roof's underside, ends run up to it; the roof is one panel, or two mitred at the
 * ridge. Walls of .040 on .060 in are 2.54 mm: butt ends are that much shorter at each corner. Model mm.
 */
export function sheetFrame(v: SheetValues, ctx: Context): Frame {
  const l = sheetLayout(v, ctx);
  const b = builder(ctx.structure);
  for (const w of l.walls) wall(b, l, ctx, w);
  corners(b, l, ctx);
  quoins(b, l, ctx, (w) => layerId(l, ctx, w, 0));
  if (v.roof === "flat") coping(b, l, ctx, (w, i) => layerId(l, ctx, w, i));
  if (v.roof === "flat") flatRoof(b, l, ctx);
  else if (v.roof !== "none") slopes(b, l, ctx);
  const on: On = { face: (w) => layerId(l, ctx, w, 0), roof: (side) => `${ctx.structure}/roof/${side}` };
  cornerBoards(b, l, ctx, on);
  bandsAndCornices(b, l, ctx, on);
  if (l.k > 0) {
    fascias(b, l, ctx, on);
    gutters(b, l, ctx);
    roofCover(b, l, ctx, on.roof, overFront(l, ctx));
    chimneys(b, l, ctx, flashingOn(l, ctx, on));
  }
  return b.frame();
}
/** What the flashing of a chimney lies on: the roof or its cover of sheet; on lapped strips it would not lie flat. */
function flashingOn(l: SheetLayout, ctx: Context, on: On): Parameters<typeof chimneys>[3] {
  const { cover, coverPitch } = l.v;
  if (cover === "strips" || cover === "seams") return undefined;
  const base = l.roof.thickness;
  if (cover === "none") return (side) => ({ id: on.roof(side), over: base });
  const { thickness } = ctx.sheet({ texture: cover as TextureId, pitch: prototype(coverPitch) }).item;
  return (side) => ({ id: `${ctx.structure}/cover/${side}/sheet`, over: base + thickness });
}
const wallId = (ctx: Context, w: Pick<SheetWall, "name">): string => `${ctx.structure}/${w.name}`;
const layerId = (l: SheetLayout, ctx: Context, w: Pick<SheetWall, "name">, i: number): string => `${wallId(ctx, w)}/${l.layers[i]!.name}`; // prettier-ignore

function wall(b: Builder, l: SheetLayout, ctx: Context, w: SheetWall): void {
  const lowest = Math.min(...l.walls.map((x) => x.foot));
  const seams = wallSeams(l, w);
  l.layers.forEach(({ name, item, depth }, i) => {
    const { outline, bevel } = layerOutline(l, w, i);
    const [role, letter] = ROLES[name];
    const id = layerId(l, ctx, w, i);
    b.add(
      panelMember(ctx.structure, {
        id,
        assembly: wallId(ctx, w),
        role,
        letter,
        origin: onSheetWall(w, 0, depth + item.thickness, 0),
        u: w.e,
        v: [0, 0, 1],
        outline,
        bevel,
        thickness: item.thickness,
        stock: item.id,
        splices: seams[i]!,
        ...(name === "face" ? { texture: wallLines(item, lowest, outline[0]![0]) } : {}),
        holes: w.made.map(({ row, opening }) => holeIn(opening, l.v.openings[row]!, i, w.foot)),
      }),
    );
    if (i > 0) glue(b, layerId(l, ctx, w, i - 1), id, "-w", "+w");
  });
  splicePlates(b, l, ctx, w, seams);
  for (const { row, opening } of w.made) openingParts(b, l, ctx, w, row, opening);
}
/** What a splice plate stays clear of what is above and below it, model mm. */
const ROOM = 1;
/** Behind each seam that no other layer runs across, a plate on the wall's inside. */
function splicePlates(
  b: Builder,
  l: SheetLayout,
  ctx: Context,
  w: SheetWall,
  seams: readonly (readonly number[])[],
): void {
  const plate = sheetOf(PLATE)!;
  const open = [...new Set(l.layers.flatMap((_, i) => unbacked(seams, i)))];
  const ledge = l.v.roof === "flat" ? l.roof.thickness + timberOf(l.v.ledge, ctx.stock(l.v.ledge)).v : 0;
  const inmost = layerId(l, ctx, w, l.layers.length - 1);
  open.forEach((x, n) => {
    const over = [x - LAP, x + LAP].map((s) => (w.long ? under(l, onSheetWall(w, s, l.stack, 0)[1]) : under(l, onSheetWall(w, s, 0, 0)[1]))); // prettier-ignore
    // inwards under a slope that rises a plate on the wall's inside has more room than at its outside
    const top = Math.min(...over, l.v.roof === "flat" ? l.high - ledge : Infinity, w.long ? under(l, onSheetWall(w, x, l.stack + plate.thickness, 0)[1]) : Infinity) - ROOM; // prettier-ignore
    const id = `${wallId(ctx, w)}/splice${n + 1}`;
    b.add(
      panelMember(ctx.structure, {
        id,
        assembly: wallId(ctx, w),
        role: "splice plate",
        letter: "SP",
        origin: onSheetWall(w, 0, l.stack + plate.thickness, 0),
        u: w.e,
        v: [0, 0, 1],
        outline: rectangleOf([x - LAP, x + LAP], [w.foot + ROOM, top]),
        thickness: plate.thickness,
        stock: plate.id,
      }),
    );
    glue(b, id, inmost, "+w", "-w");
  });
}
const LETTERS: Readonly<Record<PartName, string>> = { frame: "WF", "upper sash": "US", "lower sash": "LS", sash: "SA", glazing: "GL", "door face": "DF", "door back": "DB", boards: "BD", "lower boards": "BD", "upper boards": "BD", ledge: "DL", brace: "DX", casing: "CA", sill: "SI", shutter: "ST", lintel: "LI", voussoir: "VO", "stone sill": "SS", panel: "XP", "panel back": "XB", "panel stop": "XS", "panel key": "XK" }; // prettier-ignore
const PART_ROLES: Readonly<Partial<Record<PartName, string>>> = { frame: "opening frame", boards: "door boards", "lower boards": "door boards", "upper boards": "door boards", ledge: "door ledge", brace: "door brace", sill: "window sill", panel: "exchange panel" }; // prettier-ignore
/** The layers, trim and shutters of an opening, glued to what lies before and behind them. */
function openingParts(b: Builder, l: SheetLayout, ctx: Context, w: SheetWall, row: number, o: MadeOpening): void {
  const assembly = `${ctx.structure}/${o.gap.name}`;
  const id = (name: string): string => `${assembly}/${name.replaceAll(" ", "-")}`;
  const middle = (o.gap.from + o.gap.to) / 2;
  // what layers of the wall an inner face before or an outer face behind meets
  const seat = mountOf(l.v.openings[row]!) === "layers" ? 0 : l.layers.length - 1;
  const wallAt = (layer: number): string => layerId(l, ctx, w, layer);
  for (const p of o.parts) {
    const { item } = p;
    b.add(
      panelMember(ctx.structure, {
        id: id(p.name),
        assembly,
        role: PART_ROLES[p.part] ?? p.part,
        letter: LETTERS[p.part],
        origin: onSheetWall(w, middle, p.depth + item.thickness, o.gap.sill),
        u: w.e,
        v: [0, 0, 1],
        outline: p.outline,
        thickness: item.thickness,
        stock: item.id,
        holes: p.holes,
        loose: p.loose ?? (o.loose && p.depth >= 0),
        ...(item.texture ? { texture: wallLines(item, 0, p.outline[0]![0]) } : {}),
      }),
    );
    for (const x of p.front) glue(b, id(p.name), x === "wall" ? wallAt(seat) : id(x), "+w", "-w");
    for (const x of p.behind) glue(b, id(p.name), x === "wall" ? wallAt(0) : id(x), "-w", "+w");
  }
}

/** What a corner is glued by: layer by layer as it is made, a post, a block inside. */
function corners(b: Builder, l: SheetLayout, ctx: Context): void {
  const { v } = l;
  l.walls.forEach((w, n) => {
    const next = l.walls[(n + 1) % 4]!;
    const [right, left]: readonly Face[] = ["e1", leftEdge(l, next)];
    if (v.corner === "post") return cornerPost(b, l, ctx, w, next, [right!, left!]);
    if (v.corner.startsWith("rebate"))
      rebated(b, l, ctx, l.through === w.long ? [w, next, right!, left!] : [next, w, left!, right!]); // prettier-ignore
    else
      l.layers.forEach((_, i) => {
        const [mine, its] = [layerId(l, ctx, w, i), layerId(l, ctx, next, i)];
        if (v.corner === "mitre") glue(b, mine, its, right!, left!);
        else if (l.through === w.long) glue(b, its, mine, left!, "-w");
        else glue(b, mine, its, right!, "-w");
      });
    block(b, l, ctx, w, next);
  });
}
/** The end of one wall in the rebate of another: all its layers on the back of the face, the others of that wall on its inside. */
function rebated(
  b: Builder,
  l: SheetLayout,
  ctx: Context,
  [through, behind, edge, end]: readonly [SheetWall, SheetWall, Face, Face],
): void {
  const inmost = l.layers.length - 1;
  l.layers.forEach((_, i) => {
    glue(b, layerId(l, ctx, behind, i), layerId(l, ctx, through, 0), end, "-w");
    if (i > 0) glue(b, layerId(l, ctx, through, i), layerId(l, ctx, behind, inmost), edge, "-w");
  });
}
/** The face of an upright stick (v along x, w along y) that looks a level way. */
const faceTo = (d: Vec3): Face => (Math.abs(d[0]) > Math.abs(d[1]) ? (d[0] > 0 ? "+v" : "-v") : d[1] > 0 ? "+w" : "-w");
interface Upright {
  readonly role: string;
  readonly letter: string;
  readonly timber: Timber;
  /** How far its sides stand in from both outsides. */
  readonly clear: number;
  readonly z: readonly [number, number];
  readonly square: readonly [boolean, boolean];
}
/** A strip standing in the corner at a wall's right end, its wide way along the front. */
function upright(b: Builder, ctx: Context, w: SheetWall, next: SheetWall, x: Upright): string {
  const { v, w: across } = x.timber;
  const [along, inward] = w.long ? [v, across] : [across, v];
  const at = (h: number): Vec3 => onSheetWall(w, w.length - x.clear - along / 2, x.clear + inward / 2, h);
  return b.stick({
    id: `${ctx.structure}/${x.role.replace(" ", "-")}/${w.name}-${next.name}`,
    assembly: `${ctx.structure}/corners`,
    role: x.role,
    letter: x.letter,
    timber: x.timber,
    a: at(x.z[0]),
    b: at(x.z[1]),
    up: [1, 0, 0],
    square: x.square,
  }).id;
}
function cornerPost(
  b: Builder,
  l: SheetLayout,
  ctx: Context,
  w: SheetWall,
  next: SheetWall,
  edges: readonly Face[],
): void {
  const t = timberOf(l.v.cornerPost, ctx.stock(l.v.cornerPost));
  const y = w.origin[1] + w.e[1] * w.length;
  const sloped = l.k > 0;
  const id = upright(b, ctx, w, next, { role: "corner post", letter: "CP", timber: t, clear: 0, z: [Math.min(w.foot, next.foot), under(l, y)], square: [true, !sloped] }); // prettier-ignore
  if (sloped) b.join({ kind: "trim", id: `${id}>roof`, a: id, datum: y < 0 || l.v.roof === "shed" ? "under-front" : "under-back", as: "end1", contact: "gap" }); // prettier-ignore
  l.layers.forEach((_, i) => {
    glue(b, layerId(l, ctx, w, i), id, edges[0]!, faceTo(scale(w.e, -1)));
    glue(b, layerId(l, ctx, next, i), id, edges[1]!, faceTo(next.e));
  });
}
/** A strip glued into the angle of two walls, from the higher foot to under what the front wall carries. */
function block(b: Builder, l: SheetLayout, ctx: Context, w: SheetWall, next: SheetWall): void {
  const t = timberOf(l.v.blocks, ctx.stock(l.v.blocks));
  const top = l.v.roof === "flat" ? l.high - l.roof.thickness - timberOf(l.v.ledge, ctx.stock(l.v.ledge)).v : l.high;
  const id = upright(b, ctx, w, next, { role: "corner block", letter: "CB", timber: t, clear: l.stack, z: [Math.max(w.foot, next.foot), top], square: [true, true] }); // prettier-ignore
  const inmost = l.layers.length - 1;
  glue(b, id, layerId(l, ctx, w, inmost), faceTo(w.n), "-w");
  glue(b, id, layerId(l, ctx, next, inmost), faceTo(next.n), "-w");
}

const roofPanel = (l: SheetLayout, ctx: Context, s: Pick<PanelSeed, "id" | "origin" | "u" | "v" | "outline" | "bevel" | "holes" | "over" | "splices">) => panelMember(ctx.structure, { assembly: `${ctx.structure}/roof`, role: "roof sheet", letter: "RS", thickness: l.roof.thickness, stock: l.roof.id, ...s }); // prettier-ignore
/** An eave hangs out over the front wall, and what covers the roof with it. */
const overFront = (l: SheetLayout, ctx: Context): NonNullable<PanelSeed["over"]> => ({ assembly: `${ctx.structure}/front`, role: ROLES[l.layers[0]!.name][0], group: `${ctx.structure}/roof` }); // prettier-ignore
/** A plate under each seam of a roof sheet, between the walls: from where to where across, on its own lower face. */
function roofPlates(
  b: Builder,
  ctx: Context,
  r: Pick<PanelSeed, "id" | "origin" | "u" | "v"> & {
    readonly splices: readonly number[];
    readonly y: readonly [number, number];
  },
): void {
  const plate = sheetOf(PLATE)!;
  r.splices.forEach((x, n) => {
    const id = `${r.id}/splice${n + 1}`;
    b.add(panelMember(ctx.structure, { id, assembly: `${ctx.structure}/roof`, role: "splice plate", letter: "SP", origin: r.origin, u: r.u, v: r.v, outline: rectangleOf([x - LAP, x + LAP], r.y), thickness: plate.thickness, stock: plate.id })); // prettier-ignore
    glue(b, id, r.id, "+w", "-w");
  });
}
/** One panel to each slope, its underside on the walls; two are mitred plumb at the ridge. */
function slopes(b: Builder, l: SheetLayout, ctx: Context): void {
  const gable = l.v.roof === "gable";
  for (const x of slopesOf(l)) {
    const id = `${ctx.structure}/roof/${x.side}`;
    const bevel = [0, 0, gable ? (-x.tilt * 180) / Math.PI : 0, 0];
    const holes = shaftHoles(shaftsOf(l), x, [-x.half, x.half], [x.from, x.to], l.v.fit);
    const splices = roofSeams(l, x.half, holes);
    b.add(roofPanel(l, ctx, { id, origin: x.origin, u: x.u, v: x.v, outline: rectangleOf([-x.half, x.half], [x.from, x.to]), bevel, over: overFront(l, ctx), holes, splices })); // prettier-ignore
    const [c, t] = [Math.cos(x.tilt), sheetOf(PLATE)!.thickness];
    // its lower edge lies further in up the slope
    const end = gable ? l.wide / 2 : l.wide - insideOf(l);
    roofPlates(b, ctx, { id, splices, y: [insideOf(l) / c + ROOM, (end - t * Math.sin(x.tilt)) / c - ROOM], origin: addScaled(x.origin, x.n, -t), u: x.u, v: x.v }); // prettier-ignore
    b.datums[`under-${x.side}`] = planeAt(x.origin, x.n);
    for (const w of l.walls)
      l.layers.forEach((_, i) => {
        // an end of a gable has an edge under each slope, seen from outside the right one first
        const edge = w.long || !gable || (x.side === "back") === (w.name === "right") ? "e2" : "e3";
        if (!w.long || w.name === x.side || !gable) glue(b, id, layerId(l, ctx, w, i), "-w", edge);
      });
  }
  if (gable) glue(b, `${ctx.structure}/roof/front`, `${ctx.structure}/roof/back`, "e2", "e2");
}
/** A panel inside the walls, its top at the front wall's height, on ledges all round. */
function flatRoof(b: Builder, l: SheetLayout, ctx: Context): void {
  const t = timberOf(l.v.ledge, ctx.stock(l.v.ledge));
  // a post that is thicker than the walls stands in the roof's corner
  const post = l.v.corner === "post" ? Math.max(0, timberOf(l.v.cornerPost, ctx.stock(l.v.cornerPost)).v - l.stack) : 0;
  const [x, y] = [l.long / 2 - l.stack, l.wide / 2 - l.stack];
  const z = l.high - l.roof.thickness;
  const id = `${ctx.structure}/roof/sheet`;
  const reach = (half: number, sign: number): readonly [number, number] =>
    sign < 0 ? [-half - 1, post - half] : [half - post, half + 1];
  const corner = (sx: number, sy: number) => rectangleHole(`post${sx}${sy}`, reach(x, sx), reach(y, sy));
  const holes = post > NEAR ? [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)] : [];
  const outline = [[-x, -y], [x, -y], [x, y], [-x, y]] as const; // prettier-ignore
  const splices = roofSeams(l, x, holes);
  b.add(roofPanel(l, ctx, { id, origin: [0, 0, z], u: [1, 0, 0], v: [0, 1, 0], outline, holes, splices }));
  // between the ledges
  const clear = l.wide / 2 - Math.max(insideOf(l), l.stack + t.w) - ROOM;
  roofPlates(b, ctx, { id, splices, y: [-clear, clear], origin: [0, 0, z - sheetOf(PLATE)!.thickness], u: [1, 0, 0], v: [0, 1, 0] }); // prettier-ignore
  const inmost = l.layers.length - 1;
  for (const w of l.walls) {
    // front and back run through, the ends stand between them
    const back = l.stack + Math.max(post, w.long ? 0 : t.w);
    const at = (s: number): Vec3 => onSheetWall(w, s, l.stack + t.w / 2, z - t.v / 2);
    const ledge = b.stick({
      id: `${ctx.structure}/roof/ledge/${w.name}`,
      assembly: `${ctx.structure}/roof`,
      role: "ledge",
      letter: "LG",
      timber: t,
      a: at(back),
      b: at(w.length - back),
      up: [0, 0, 1],
      square: true,
    }).id;
    // w of a stick along e with v up is e × up, outwards
    glue(b, ledge, layerId(l, ctx, w, inmost), dot([w.e[1], -w.e[0], 0], w.n) > 0 ? "+w" : "-w", "-w");
    glue(b, id, ledge, "-w", "+v");
  }
}
