import { model } from "../../units";
import { onWall } from "./layout";
import { TOP, type Upright, type WallKit } from "./wallKit";

/** The sheet of a wall whose framing is not seen: between its corners, its openings cut out. */
export function sheetWall(
  k: WallKit,
  full: readonly Upright[],
  foot: number,
  under: number,
  soles: readonly string[],
): void {
  const { b, l, w, root } = k;
  const middle = w.length / 2;
  const from = Math.max(...full.filter((u) => u.s < middle).map((u) => u.s + u.half));
  const to = Math.min(...full.filter((u) => u.s > middle).map((u) => u.s - u.half));
  const thickness = Math.min(l.v.roofSheet, w.thick);
  const id = `${root}/sheet`;
  b.add({
    id,
    structure: l.ctx.structure,
    assembly: root,
    role: "wall sheet",
    letter: "WS",
    kind: "panel",
    nominal: [0, 0],
    ends: [undefined, undefined],
    body: {
      shape: "panel",
      origin: onWall(w, from, thickness, foot),
      u: w.e,
      v: [0, 0, 1],
      outline: [
        [0, 0],
        [to - from, 0],
        [to - from, under - foot],
        [0, under - foot],
      ],
      bevel: [0, 0, 0, 0],
      thickness: model(thickness),
      stock: "sheet",
      holes: w.gaps.map((g) => {
        const [a, c] = [g.from - from, g.to - from];
        const [lo, hi] = [g.door ? -1 : g.sill - foot, g.head - foot];
        return {
          name: g.name,
          outline: [
            [a, lo],
            [c, lo],
            [c, hi],
            [a, hi],
          ],
          bevel: [0, 0, 0, 0],
        };
      }),
    },
  });
  soles.forEach((sole, i) =>
    b.join({ kind: "bearing", id: `${id}>sole${i + 1}`, a: id, b: sole, aFace: "e0", bFace: TOP, contact: "line" }),
  );
}
