import { evenly } from "../../carpentry";
import { sheetOf, type SheetItem } from "../../lumber";
import { scale, type Vec2, type Vec3 } from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { panelMember, rectangleOf, type PanelSeed } from "../panel";
import { touching } from "../touching";
import { leftEdge } from "./masonry";
import { onSheetWall, under, type SheetLayout, type SheetWall } from "./layout";
import { evenSeams } from "./seams";

const item = (id: string): SheetItem => sheetOf(`sheet/${id}`)!;
/** Ids of a wall's outermost layer and of the roof's panels. */
export interface On {
  readonly face: (w: SheetWall) => string;
  readonly roof: (side: "front" | "back") => string;
}
const Z: Vec3 = [0, 0, 1];
/** Where a strip on the outside of a wall lies across the building, at its wall's outside, further out by `out`. */
const across = (w: SheetWall, s: number, out = 0): number => onSheetWall(w, s, -out, 0)[1];

/** Corner boards: on every corner a plate on each wall, the long walls' running past to cover the others' edges; tops are cut to the roof. Of .020 in beside a 6 in board in HO the long wall's is 1.75 + 0.508 mm. */
export function cornerBoards(b: Builder, l: SheetLayout, ctx: Context, on: On): void {
  const wide = l.mm(l.v.cornerTrim);
  if (wide === 0) return;
  const sheet = item(l.v.stripSheet);
  const t = sheet.thickness;
  for (const w of l.walls)
    for (const end of ["left", "right"] as const) {
      const past = w.long ? t : 0;
      const [s0, s1] = end === "left" ? [-past, wide] : [w.length - wide, w.length + past];
      const slope = (Math.atan(l.k) * 180) / Math.PI;
      // on its inner face: under an eave one height, at an end the slope over it
      const tops: readonly [number, number] = w.long ? [under(l, across(w, 0)), under(l, across(w, 0))] : [under(l, across(w, s0)), under(l, across(w, s1))]; // prettier-ignore
      const rises = w.name === "back" && l.v.roof === "shed";
      const id = `${ctx.structure}/trim/corner/${w.name}-${end}`;
      b.add(
        panelMember(ctx.structure, {
          id,
          assembly: `${ctx.structure}/trim`,
          role: "corner board",
          letter: "CB",
          origin: onSheetWall(w, 0, 0, 0),
          u: w.e,
          v: Z,
          // a roof that rises outwards would stand off a square top
          outline: [[s0, w.foot], [s1, w.foot], [s1, tops[1]], [s0, tops[0]]], // prettier-ignore
          bevel: [0, 0, w.long ? (rises ? -slope : slope) : 0, 0],
          thickness: t,
          stock: sheet.id,
        }),
      );
      b.join(touching(id, on.face(w), "-w", "+w"));
      // a narrow one lies on the edge of the wall round the corner, or on the post between them
      const i = l.walls.indexOf(w);
      const other = l.walls[(i + (end === "left" ? 3 : 1)) % 4]!;
      b.join(touching(id, on.face(other), "-w", end === "left" ? "e1" : leftEdge(l, other)));
      const [first, second] = end === "left" ? [other, w] : [w, other];
      if (l.v.corner === "post") for (const f of ["+v", "-v", "+w", "-w"] as const) b.join(touching(id, `${ctx.structure}/corner-post/${first.name}-${second.name}`, "-w", f)); // prettier-ignore
    }
}
/** What of an end's length corner boards or quoins take on a wall's face. */
export const cornerTake = (l: SheetLayout): number =>
  l.v.quoins > 0 ? l.mm(Math.max(l.v.quoinLong, l.v.quoinShort)) : l.mm(l.v.cornerTrim);

/** How far what is on the walls' faces stands out at most, but for bands: corner boards, quoins, trim and sills of openings. Model mm. */
export const proudOn = (l: SheetLayout): number =>
  Math.max(
    l.v.cornerTrim > 0 ? item(l.v.stripSheet).thickness : 0,
    l.v.quoins > 0 ? item(l.v.stoneSheet).thickness : 0,
    ...l.walls.flatMap((w) => w.made.flatMap((m) => m.opening.parts.map((x) => -x.depth))),
  );
/** How far the fascias' outer side lies from the wall, and that of the barge boards, level, model mm; 0 where there is no room under the overhang. */
export function fasciasOut(l: SheetLayout): { readonly eaves: number; readonly ends: number } {
  if (l.v.fascia === 0 || l.k === 0) return { eaves: 0, ends: 0 };
  const t = item(l.v.stripSheet).thickness;
  const proud = proudOn(l);
  const room = (over: number): number => (over >= t + proud ? over : 0);
  return { eaves: room(l.mm(l.v.overhang)), ends: room(l.mm(l.v.gableOverhang)) };
}
/**
 * Boards under the edges of an overhanging roof: at each eave a level one whose top is bevelled to the slope, between the
 * barge boards, which run up under the ends to a plumb joint at the ridge and cover its ends. What is longer than a sheet is parted
 * into equal lengths, a barge board plumb as it is at the ridge.
 */
export function fascias(b: Builder, l: SheetLayout, ctx: Context, on: On): void {
  const out = fasciasOut(l);
  const sheet = item(l.v.stripSheet);
  const [t, high] = [sheet.thickness, l.mm(l.v.fascia)];
  const slope = (Math.atan(l.k) * 180) / Math.PI;
  const gable = l.v.roof === "gable";
  const put = (seed: Omit<PanelSeed, "assembly" | "thickness" | "stock" | "v">): string => b.add(panelMember(ctx.structure, { assembly: `${ctx.structure}/trim`, v: Z, thickness: t, stock: sheet.id, ...seed })).id; // prettier-ignore
  const half = (x: number): number => (x < 0 ? -1 : 1);
  const eaves: string[] = [];
  if (out.eaves > 0)
    for (const w of l.walls.filter((x) => x.long)) {
      const inner = across(w, 0, out.eaves - t);
      const top = under(l, inner);
      const end = l.long / 2 + l.mm(l.v.gableOverhang) - (out.ends > 0 ? t : 0);
      const rises = w.name === "back" && !gable;
      const id = put({ id: `${ctx.structure}/trim/fascia/${w.name}`, role: "fascia", letter: "FA", origin: onSheetWall(w, w.length / 2, t - out.eaves, 0), u: w.e, outline: rectangleOf([-end, end], [under(l, across(w, 0, out.eaves)) - high, top]), bevel: [0, 0, rises ? -slope : slope, 0], splices: evenSeams(-end, end, l.v.sheetLong) }); // prettier-ignore
      b.join(touching(id, on.roof(gable && w.name === "back" ? "back" : "front"), "e2", "-w"));
      eaves.push(id);
    }
  if (out.ends === 0) return;
  const plumb = high * Math.hypot(1, l.k);
  // along the slope a part with plumb ends takes its own length, and what its ends lean by
  const longest = (l.v.sheetLong - high * l.k) / Math.hypot(1, l.k);
  const edge = l.wide / 2 + l.mm(l.v.overhang);
  for (const w of l.walls.filter((x) => !x.long)) {
    const along = w.e[1];
    // from y to y; seen from outside the right end runs towards the back
    const spans: readonly (readonly [number, number, "front" | "back"])[] = gable ? [[-edge, 0, "front"], [0, edge, "back"]] : [[-edge, edge, "front"]]; // prettier-ignore
    const made = spans.map(([y0, y1, side]) => {
      const [a, c] = along > 0 ? [y0, y1] : [y1, y0];
      const at = (y: number, drop: number): Vec2 => [along * y, under(l, y) - drop];
      const id = put({ id: `${ctx.structure}/trim/barge/${w.name}${gable ? `-${side}` : ""}`, role: "barge board", letter: "BG", origin: [half(w.n[0]) * (l.long / 2 + out.ends - t), 0, 0], u: w.e, outline: [at(a, plumb), at(c, plumb), at(c, 0), at(a, 0)], splices: evenSeams(at(a, 0)[0], at(c, 0)[0], longest) }); // prettier-ignore
      b.join(touching(id, on.roof(side), "e2", "-w"));
      for (const e of eaves) b.join(touching(e, id, w.name === "right" ? (e.endsWith("front") ? "e1" : "e3") : e.endsWith("front") ? "e3" : "e1", "-w")); // prettier-ignore
      return id;
    });
    if (made.length > 1) for (const [f, g] of [["e1", "e3"], ["e3", "e1"]] as const) b.join(touching(made[0]!, made[1]!, f, g)); // prettier-ignore
  }
}

type Band = SheetLayout["v"]["bands"][number];
/** What is in the line of brackets and dentils of a wall: middles of both from the wall's left end. A dentil that would stand in a bracket is left out. Model mm. */
export function ornament(
  l: SheetLayout,
  row: Band,
  w: SheetWall,
): { readonly brackets: readonly number[]; readonly dentils: readonly number[] } {
  // prettier-ignore
  const take = cornerTake(l);
  const length = w.length - 2 * take;
  const tb = item(l.v.bracketSheet).thickness;
  const front = l.walls[0]!.length - 2 * take;
  const shelf = row.out > 0;
  const n = !shelf || row.brackets === 0 ? 0 : w.name === "front" ? row.brackets : Math.max(1, Math.round((row.brackets * length) / front)); // prettier-ignore
  const brackets = n === 0 ? [] : evenly(length, n, tb).at.map((x) => x + take);
  const wide = l.mm(l.v.dentilWide);
  const m = row.dentils > 0 ? Math.max(1, Math.round(length / l.mm(row.dentils))) : 0;
  const dentils = m === 0 ? [] : evenly(length, m, wide).at.map((x) => x + take);
  return { brackets, dentils: dentils.filter((x) => brackets.every((y) => Math.abs(x - y) >= (tb + wide) / 2 - 1e-9)) };
}
/** What of a bracket's depth its shelf stands out past it, of the shelf's: common practice. */
const NOSE = 0.15;
/**
 * Bands and cornices: on the face of each wall a strip, on it a shelf, under the shelf brackets and dentils evenly spaced.
 * Round the building strips and shelves are mitred; on the front alone, and between corner boards or quoins, they end square.
 */
export function bandsAndCornices(b: Builder, l: SheetLayout, ctx: Context, on: On): void {
  const [strip, shelf, bracket, dentil] = [l.v.stripSheet, l.v.shelfSheet, l.v.bracketSheet, l.v.dentilSheet].map(item) as [SheetItem, SheetItem, SheetItem, SheetItem]; // prettier-ignore
  const take = cornerTake(l);
  l.v.bands.forEach((row, n) => {
    const root = `${ctx.structure}/band${n + 1}`;
    const [top, high, out] = [l.mm(row.at), l.mm(row.high), l.mm(row.out)];
    const mitred = row.walls === "all" && take === 0;
    for (const w of l.walls) {
      if (row.walls === "front" && w.name !== "front") continue;
      const put = (seed: Omit<PanelSeed, "assembly">): string => b.add(panelMember(ctx.structure, { assembly: root, ...seed })).id; // prettier-ignore
      const [s0, s1] = [take, w.length - take];
      const side = mitred ? -45 : 0;
      const band = put({ id: `${root}/${w.name}/strip`, role: "band", letter: "BA", origin: onSheetWall(w, 0, 0, 0), u: w.e, v: Z, outline: rectangleOf([s0, s1], [top - high, top]), bevel: [0, side, 0, side], thickness: strip.thickness, stock: strip.id, splices: evenSeams(s0, s1, l.v.sheetLong) }); // prettier-ignore
      b.join(touching(band, on.face(w), "-w", "+w"));
      let board: string | undefined;
      if (out > 0) {
        const past = mitred ? out : 0;
        board = put({ id: `${root}/${w.name}/shelf`, role: "shelf", letter: "SH", origin: onSheetWall(w, 0, 0, top), u: w.e, v: scale(w.n, -1), outline: [[s0 - past, -out], [s1 + past, -out], [s1, 0], [s0, 0]], thickness: shelf.thickness, stock: shelf.id, splices: evenSeams(s0 - past, s1 + past, l.v.sheetLong) }); // prettier-ignore
        b.join(touching(board, band, "-w", "e2"));
        b.join(touching(board, on.face(w), "e2", "+w"));
      }
      const { brackets, dentils } = ornament(l, row, w);
      const t = strip.thickness;
      const [deep, tall] = [(out - t) * (1 - NOSE), Math.min(l.mm(l.v.bracketHigh), high)];
      brackets.forEach((s, i) => {
        // cut back below: a third of its depth at the foot, all of it over the lower two thirds of its height
        const outline: readonly Vec2[] = [[t, top - tall], [t + deep / 3, top - tall], [t + deep, top - tall / 3], [t + deep, top], [t, top]]; // prettier-ignore
        const id = put({ id: `${root}/${w.name}/bracket${i + 1}`, role: "bracket", letter: "BR", origin: onSheetWall(w, s + bracket.thickness / 2, 0, 0), u: w.n, v: Z, outline, thickness: bracket.thickness, stock: bracket.id }); // prettier-ignore
        b.join(touching(id, band, "e4", "+w"));
        if (board) b.join(touching(id, board, "e3", "-w"));
      });
      const [dw, dh] = [l.mm(l.v.dentilWide), Math.min(l.mm(l.v.dentilHigh), high)];
      dentils.forEach((s, i) => {
        const id = put({ id: `${root}/${w.name}/dentil${i + 1}`, role: "dentil", letter: "DN", origin: onSheetWall(w, s, -t, 0), u: w.e, v: Z, outline: rectangleOf([-dw / 2, dw / 2], [top - dh, top]), thickness: dentil.thickness, stock: dentil.id }); // prettier-ignore
        b.join(touching(id, band, "-w", "+w"));
        if (board) b.join(touching(id, board, "e2", "-w"));
      });
    }
  });
}
