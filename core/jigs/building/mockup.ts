import type { Vec2 } from "../../geometry";
import {
  facetsOf,
  facetWords,
  interruptionsOf,
  trueShape,
  type BuildingLayout,
  type Part,
  type Wall,
} from "../../structures";
import type { CardModel, CardSlope, CardWall } from "../cardNet";

/**
 * A building in card: the walls of each part as a strip to fold at the corners, openings printed on, and its
 * slopes, with tabs. Outside of the framing; card stays on the outside of the lines. Model mm.
 */
export function cardMockup(l: BuildingLayout): CardModel {
  const strips = l.parts.map((part) =>
    (["S", "E", "N", "W"] as const).flatMap((side) =>
      part.walls
        .filter((w) => w.side === side)
        .map((w): CardWall => {
          const top = topLine(l, part, w);
          // tabs along eaves carry the roof
          return { name: w.name, length: w.length, foot: 0, top, eave: top.length === 2, gaps: w.gaps };
        }),
    ),
  );
  const cuts = interruptionsOf(l);
  const slopes = l.parts.flatMap((part) =>
    facetsOf(l, part, part === l.main ? cuts : []).map((f): CardSlope => {
      const { outline: shape, edges } = trueShape(f);
      // a tab on the top and on the right edge: each seam gets one
      const tabbed = (i: number): boolean => edges[i] === "top" || (edges[i] === "right" && f.right.some((b) => b.m !== 0)); // prettier-ignore
      return { words: facetWords(part, f), shape, tabbed };
    }),
  );
  return { strips, slopes };
}

/** The top of a wall from left to right as the slopes' undersides' planes cut it: two points under an eave, more under a gable. */
function topLine(l: BuildingLayout, part: Part, w: Wall): Vec2[] {
  const over = (side: "S" | "N" | "E" | "W", inward: number): number => {
    const s = part.slopes[side]!;
    return s.plate + s.above + s.k * inward;
  };
  const own = part.slopes[w.side];
  if (own)
    return [
      [0, over(w.side, 0)],
      [w.length, over(w.side, 0)],
    ];
  if (part.roof === "flat" || part.roof === "none")
    return [
      [0, w.top],
      [w.length, w.top],
    ];
  const wide = part.q[1] - part.q[0];
  if (part.roof === "shed" || part.roof === "lean") {
    const high = over("S", wide);
    const line: [number, number] =
      w.side === "N" ? [high, high] : w.side === "E" ? [over("S", 0), high] : [high, over("S", 0)];
    return [
      [0, line[0]],
      [w.length, line[1]],
    ];
  }
  const at = part.peak[0] - part.q[0];
  const points: Vec2[] = [[0, over("S", 0)]];
  if (part.roof === "gambrel") {
    const b = (wide / 2) * (l.v.breakAt / 100);
    points.push([b, over("S", b)], [at, part.peak[1]], [wide - b, over("N", b)]);
  } else points.push([at, part.peak[1]]);
  points.push([wide, over("N", 0)]);
  // an E wall has S at its left, a W wall at its right
  return w.side === "E" ? points : points.map(([s, z]): Vec2 => [wide - s, z]).reverse();
}
