import { sheetOf, type SheetItem } from "../../lumber";
import type { Vec3 } from "../../geometry";
import type { PanelBody } from "../../frame";
import { prototype } from "../../units";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { panelMember, rectangleOf, type PanelSeed } from "../panel";
import { touching } from "../touching";
import { endOf, slopesOf, type Slope } from "./slopes";
import { under, type SheetLayout } from "./layout";

/** Where a chimney stands: from where to where along and across the building, the foot and the top of its shaft. Model mm. */
export interface Shaft {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  readonly foot: number;
  readonly top: number;
}
/** How far a shaft goes down below the roof's underside, model mm. */
const BELOW = 3;
/** The chimneys of a building: none where no roof slopes. */
export function shaftsOf(l: SheetLayout): Shaft[] {
  if (l.k === 0) return [];
  return l.v.chimneys.map((c) => {
    const [mx, my, w, d] = [l.mm(c.at) - l.long / 2, l.mm(c.in) - l.wide / 2, l.mm(c.width) / 2, l.mm(c.depth) / 2];
    const y = [my - d, my + d] as const;
    const at = [...y, ...(l.v.roof === "gable" && y[0] < 0 && y[1] > 0 ? [0] : [])].map((p) => under(l, p));
    const over = l.roof.thickness * Math.hypot(1, l.k);
    return { x: [mx - w, mx + w], y, foot: Math.min(...at) - BELOW, top: Math.max(...at) + over + l.mm(c.high) };
  });
}
/** A plane of sheet over the building whose u lies along the front, one way or the other. */
type Sloping = Pick<PanelSeed, "origin" | "u" | "v">;
/** From where to where a shaft goes through the underside of such a sheet, along its u and its v, with room all round; and the bevels of a plumb hole there. */
export function throughAt(
  s: Shaft,
  sheet: Sloping,
  room: number,
): { readonly u: readonly [number, number]; readonly v: readonly [number, number]; readonly bevel: readonly number[] } {
  // prettier-ignore
  const sign = sheet.u[0];
  const u = [sign * (s.x[0] - sheet.origin[0]) - sign * room, sign * (s.x[1] - sheet.origin[0]) + sign * room].sort((a, b) => a - b); // prettier-ignore
  const v = [s.y[0] - room, s.y[1] + room].map((y) => (y - sheet.origin[1]) / sheet.v[1]).sort((a, b) => a - b);
  const tilt = (Math.atan2(sheet.v[2], Math.abs(sheet.v[1])) * 180) / Math.PI;
  return { u: [u[0]!, u[1]!], v: [v[0]!, v[1]!], bevel: [tilt, 0, -tilt, 0] };
}
/** Plumb holes for the shafts that go through a sheet of such an outline, from where to where along u and v. */
export function shaftHoles(
  shafts: readonly Shaft[],
  sheet: Sloping,
  [u0, u1]: readonly [number, number],
  [v0, v1]: readonly [number, number],
  room: number,
): PanelBody["holes"] {
  // prettier-ignore
  return shafts.flatMap((s, i) => {
    const h = throughAt(s, sheet, room);
    if (h.u[1] <= u0 || h.u[0] >= u1 || h.v[1] <= v0 || h.v[0] >= v1) return [];
    return [{ name: `chimney${i + 1}`, outline: rectangleOf(h.u, h.v), bevel: h.bevel }];
  });
}
/** The brick sheet of the chimneys. */
export const chimneyBrick = (l: SheetLayout, ctx: Context): SheetItem => ctx.sheet({ texture: "brick", pitch: prototype(l.v.chimneyPitch) }).item; // prettier-ignore

/**
 * Chimneys: a shaft of four plates mitred at its corners, from below the roof to its corbels; corbel courses each further
 * out; a cap as large as the last. Courses count from the top, so that the shaft ends on a whole one. `holds` gives what a
 * flashing lies on on either slope: its id and how far its top lies over the roof's underside.
 */
export function chimneys(
  b: Builder,
  l: SheetLayout,
  ctx: Context,
  holds: ((side: Slope["side"]) => { readonly id: string; readonly over: number }) | undefined,
): void {
  // prettier-ignore
  const shafts = shaftsOf(l);
  if (shafts.length === 0) return;
  const brick = chimneyBrick(l, ctx);
  const corbel = sheetOf(`sheet/${l.v.corbelSheet}`)!;
  const { pitch } = brick.texture!;
  shafts.forEach((s, i) => {
    const root = `${ctx.structure}/chimney${i + 1}`;
    const put = (seed: Omit<PanelSeed, "assembly">): string => b.add(panelMember(ctx.structure, { assembly: root, ...seed })).id; // prettier-ignore
    const t = brick.thickness;
    const sides: readonly (readonly [string, Vec3, Vec3, number])[] = [
      ["front", [s.x[0], s.y[0], 0], [1, 0, 0], s.x[1] - s.x[0]],
      ["right", [s.x[1], s.y[0], 0], [0, 1, 0], s.y[1] - s.y[0]],
      ["back", [s.x[1], s.y[1], 0], [-1, 0, 0], s.x[1] - s.x[0]],
      ["left", [s.x[0], s.y[1], 0], [0, -1, 0], s.y[1] - s.y[0]],
    ];
    const plates = sides.map(([name, [x, y], u, long]) => {
      // its inner face: in by its thickness, shorter by it at both mitres
      const origin: Vec3 = [x - u[1] * t, y + u[0] * t, 0];
      const id = put({ id: `${root}/${name}`, role: "chimney side", letter: "CH", origin, u, v: [0, 0, 1], outline: rectangleOf([t, long - t], [s.foot, s.top]), bevel: [0, -45, 0, -45], thickness: t, stock: brick.id, loose: true, texture: { across: "v", pitch, first: s.top, turns: true } }); // prettier-ignore
      return id;
    });
    plates.forEach((p, n) => b.join(touching(p, plates[(n + 1) % 4]!, "e1", "e3")));
    let below = plates;
    const out = l.mm(l.v.corbelOut);
    const count = l.v.chimneys[i]!.corbels;
    for (let n = 1; n <= count + 1; n++) {
      const past = Math.min(n, count) * out;
      const cap = n > count;
      const [x, y] = [s.x, s.y].map(([a, c]) => [a - past, c + past] as const) as [readonly [number, number], readonly [number, number]]; // prettier-ignore
      const id = put({ id: `${root}/${cap ? "cap" : `corbel${n}`}`, role: cap ? "chimney cap" : "corbel", letter: cap ? "CC" : "CO", origin: [0, 0, s.top + (n - 1) * corbel.thickness], u: [1, 0, 0], v: [0, 1, 0], outline: rectangleOf(x, y), thickness: corbel.thickness, stock: corbel.id, loose: true }); // prettier-ignore
      for (const p of below) b.join(touching(id, p, "-w", n === 1 ? "e2" : "+w"));
      below = [id];
    }
    const wide = l.mm(l.v.flashing);
    if (wide === 0 || !holds) return;
    const lead = sheetOf("sheet/styrene/5")!;
    for (const x of slopesOf(l)) {
      const { id: on, over } = holds(x.side);
      const sheet = { origin: [x.origin[0] + x.n[0] * over, x.origin[1] + x.n[1] * over, x.origin[2] + x.n[2] * over] as Vec3, u: x.u, v: x.v }; // prettier-ignore
      const h = throughAt(s, sheet, l.v.fit);
      // up to the ridge, or to the cap that lies over it
      const cap = x.ridge && l.v.cover !== "none" ? l.mm(l.v.ridgeCap) : 0;
      const end = endOf(x, over) - cap;
      const [v0, v1] = [h.v[0] - wide, Math.min(h.v[1] + wide, end)];
      if (v0 >= end - 0.5 || h.v[0] >= end) continue;
      const [u0, u1] = [h.u[0] - wide, h.u[1] + wide];
      const ridge = x.ridge && cap === 0 && v1 === end;
      const id = put({ id: `${root}/flashing-${x.side}`, role: "flashing", letter: "FL", ...sheet, outline: rectangleOf([u0, u1], [v0, v1]), bevel: [0, 0, ridge ? (-x.tilt * 180) / Math.PI : 0, 0], thickness: lead.thickness, stock: lead.id, loose: true, holes: shaftHoles([s], sheet, [u0, u1], [v0, v1], l.v.fit) }); // prettier-ignore
      b.join(touching(id, on, "-w", "+w"));
    }
  });
}
