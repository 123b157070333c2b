import { onWall } from "../plan/sides";
import { panel, UNMOVED } from "../roof/panel";
import { rectangleHole } from "../../panel";
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
  const high = under - foot;
  const id = panel(b, l, UNMOVED, {
    id: `${root}/sheet`,
    assembly: root,
    role: "wall sheet",
    letter: "WS",
    origin: onWall(w, from, thickness, foot),
    u: w.e,
    v: [0, 0, 1],
    outline: [
      [0, 0],
      [to - from, 0],
      [to - from, high],
      [0, high],
    ],
    thickness,
    holes: w.gaps.map((g) =>
      rectangleHole(g.name, [g.from - from, g.to - from], [g.door ? -1 : g.sill - foot, g.head - foot]),
    ),
  });
  soles.forEach((sole, i) =>
    b.join({ kind: "bearing", id: `${id}>sole${i + 1}`, a: id, b: sole, aFace: "e0", bFace: TOP, contact: "line" }),
  );
}
