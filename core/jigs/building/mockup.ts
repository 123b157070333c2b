import { line, outline, rectangle, text, type Drawing, type Entity } from "../../drawing";
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
import { printMm } from "../../units";

/** How wide a glue tab is, mm. */
const TAB = 6;

/**
 * A building in card at full size: the walls of each part as a strip to fold at the corners, openings printed on, and its
 * slopes, with tabs. Outside of the framing; card stays on the outside of the lines. Model mm.
 */
export function cardMockup(l: BuildingLayout): Drawing {
  const card: Entity[] = [];
  const folds: Entity[] = [];
  const printed: Entity[] = [];
  let y = 0;
  for (const part of l.parts) {
    const order = (["S", "E", "N", "W"] as const).flatMap((side) => part.walls.filter((w) => w.side === side));
    if (order.length === 0) continue;
    const tall = Math.max(...order.flatMap((w) => topLine(l, part, w).map((p) => p[1])));
    y -= tall + TAB + 16;
    let x = TAB + 2;
    order.forEach((w, i) => {
      const top = topLine(l, part, w);
      const put = ([s, z]: Vec2): Vec2 => [x + s, y + z];
      const path: Vec2[] = [[0, 0], [w.length, 0], ...[...top].reverse()];
      card.push(outline(path.map(put), "outline"));
      if (i === 0) {
        const h = top[0]![1];
        card.push(outline([put([0, 0]), put([0, h]), [x - TAB, y + h - 3], [x - TAB, y + 3]], "thin"));
        printed.push(text([x - TAB / 2, y + h / 2], "glue", 1.8, "middle", "text", 90));
      } else folds.push(line(put([0, 0]), put([0, top[0]![1]]), "hidden"));
      // tabs along eaves carry the roof
      if (top.length === 2) {
        const [a, c] = top as [Vec2, Vec2];
        card.push(outline([put(a), put(c), put([c[0] - 4, c[1] + TAB]), put([a[0] + 4, a[1] + TAB])], "thin"));
      }
      for (const g of w.gaps) {
        const low = g.door ? 0 : g.sill;
        printed.push(outline(rectangle(x + g.from, y + low, g.to - g.from, g.head - low), "outline", "grey"));
      }
      printed.push(text([x + w.length / 2, y + 3], `${w.name}: ${printMm(w.length, 2)}`, 2.2, "middle", "label"));
      x += w.length;
    });
  }
  const cuts = interruptionsOf(l);
  for (const part of l.parts)
    for (const f of facetsOf(l, part, part === l.main ? cuts : [])) {
      const { outline: shape, edges } = trueShape(f);
      if (shape.length < 3) continue;
      const [x0, y0] = [Math.min(...shape.map((p) => p[0])), Math.min(...shape.map((p) => p[1]))];
      const high = Math.max(...shape.map((p) => p[1])) - y0;
      y -= high + TAB + 10;
      const put = (p: Vec2): Vec2 => [p[0] - x0 + TAB + 2, p[1] - y0 + y];
      card.push(outline(shape.map(put), "outline"));
      // a tab on the top and on the right edge: each seam gets one
      shape.forEach((p, i) => {
        const q = shape[(i + 1) % shape.length]!;
        if (edges[i] !== "top" && !(edges[i] === "right" && f.right.some((b) => b.m !== 0))) return;
        const d = Math.hypot(q[0] - p[0], q[1] - p[1]);
        if (d < 10) return;
        const u: Vec2 = [(q[0] - p[0]) / d, (q[1] - p[1]) / d];
        const n: Vec2 = [u[1], -u[0]];
        const tab = (t: number, w: number): Vec2 => put([p[0] + u[0] * t + n[0] * w, p[1] + u[1] * t + n[1] * w]);
        card.push(outline([put(p), put(q), tab(d - 4, TAB), tab(4, TAB)], "thin"));
      });
      printed.push(
        text(
          put([x0 + (Math.max(...shape.map((p) => p[0])) - x0) / 2, y0 + 2]),
          facetWords(part, f),
          2.2,
          "middle",
          "label",
        ),
      );
    }
  return {
    layers: [
      { name: "card", entities: card },
      { name: "folds", entities: folds },
      { name: "printed", entities: printed },
    ],
  };
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
