import type { Face } from "../../frame";
import type { Vec2 } from "../../geometry";
import { sheetOf } from "../../lumber";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { panelMember, rectangleOf } from "../panel";
import { touching } from "../touching";
import { onSheetWall, under, type SheetLayout, type SheetWall } from "./layout";

/** A last stone lower than this is left out, model mm. */
const LEAST_STONE = 0.5;

/** The edge of a wall's layers at its left end, seen from outside: the ends under a gable have a corner more. */
export const leftEdge = (l: SheetLayout, w: SheetWall): Face => (w.long || l.v.roof !== "gable" ? "e3" : "e4");

/** From where to where each quoin of a corner reaches, from the higher foot to where the lower wall's outside ends: the last is as high as what is left. Model mm over the floor. */
export function quoinCourses(l: SheetLayout, w: SheetWall, next: SheetWall): readonly (readonly [number, number])[] {
  const each = l.mm(l.v.quoins);
  const t = sheetOf(`sheet/${l.v.stoneSheet}`)!.thickness;
  const y = w.origin[1] + w.e[1] * w.length;
  // a shed roof falls along the ends, over a plate's whole length
  const top = Math.min(...[y, y + Math.sign(y) * t, y - Math.sign(y) * Math.max(l.mm(l.v.quoinLong), l.mm(l.v.quoinShort))].map((at) => under(l, at))); // prettier-ignore
  const out: (readonly [number, number])[] = [];
  for (let z = Math.max(w.foot, next.foot); each > 0 && top - z > LEAST_STONE; z += each) out.push([z, Math.min(z + each, top)]); // prettier-ignore
  return out;
}
/**
 * Quoins at every corner, each of two plates, long on one wall and short on the other and the next the other way; the long
 * one runs past the corner and covers the short one's end. With stones of 18 and 9 in of .015 sheet in HO the long plate
 * is 5.25 + 0.381 mm, the short one 2.625.
 */
export function quoins(b: Builder, l: SheetLayout, ctx: Context, face: (w: SheetWall) => string): void {
  if (l.v.quoins === 0) return;
  const item = sheetOf(`sheet/${l.v.stoneSheet}`)!;
  const [long, short, t] = [l.mm(l.v.quoinLong), l.mm(l.v.quoinShort), item.thickness];
  l.walls.forEach((w, n) => {
    const next = l.walls[(n + 1) % 4]!;
    quoinCourses(l, w, next).forEach(([z0, z1], i) => {
      const first = i % 2 === 0;
      const plate = (wall: SheetWall, from: number, to: number, which: string): void => {
        const id = `${ctx.structure}/quoins/${w.name}-${next.name}/${i + 1}/${which}`;
        b.add(
          panelMember(ctx.structure, {
            id,
            assembly: `${ctx.structure}/quoins/${w.name}-${next.name}`,
            role: "quoin",
            letter: "QU",
            origin: onSheetWall(wall, 0, 0, 0),
            u: wall.e,
            v: [0, 0, 1],
            outline: rectangleOf([from, to], [z0, z1]),
            thickness: t,
            stock: item.id,
          }),
        );
        b.join(touching(id, face(wall), "-w", "+w"));
        // the end of a short one may lie on the edge of the wall round the corner alone
        b.join(touching(id, face(wall === w ? next : w), "-w", wall === w ? leftEdge(l, next) : "e1"));
        if (l.v.corner === "post") b.join(touching(id, `${ctx.structure}/corner-post/${w.name}-${next.name}`, "-w", "+v")); // prettier-ignore
      };
      plate(w, w.length - (first ? long : short), w.length + (first ? t : 0), "left");
      plate(next, first ? 0 : -t, first ? short : long, "right");
    });
  });
}
/** Caps on the walls round a flat roof, mitred where they meet. */
export function coping(b: Builder, l: SheetLayout, ctx: Context, layer: (w: SheetWall, i: number) => string): void {
  if (l.v.coping === "none") return;
  const item = sheetOf(`sheet/${l.v.coping}`)!;
  const over = l.mm(l.v.copingOver);
  const inner = l.stack + over;
  const top = under(l, 0);
  for (const w of l.walls) {
    const id = `${ctx.structure}/coping/${w.name}`;
    // along the wall from its left outer corner, and inwards from its outside
    const corners: readonly Vec2[] = [[-over, -over], [w.length + over, -over], [w.length - inner, inner], [inner, inner]]; // prettier-ignore
    b.add(
      panelMember(ctx.structure, {
        id,
        assembly: `${ctx.structure}/coping`,
        role: "parapet cap",
        letter: "PC",
        origin: onSheetWall(w, 0, 0, top),
        u: w.e,
        v: [-w.n[0], -w.n[1], 0],
        outline: corners,
        thickness: item.thickness,
        stock: item.id,
      }),
    );
    l.layers.forEach((_, i) => b.join(touching(id, layer(w, i), "-w", "e2")));
  }
}
