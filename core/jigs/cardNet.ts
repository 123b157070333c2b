import { line, outline, rectangle, text, type Drawing, type Entity } from "../drawing";
import { polygonArea, type Vec2 } from "../geometry";
import { model, printMm } from "../units";

/** How wide a glue tab is, and what stands clear between two rows, mm. */
const [TAB, APART] = [6, 10];

/** A wall of a mock-up, seen from outside: its top from left to right over the level of its foot's neighbours, what is printed on it. Model mm. */
export interface CardWall {
  readonly name: string;
  readonly length: number;
  /** Where its foot lies; all of a strip count from one level. */
  readonly foot: number;
  /** Two points under an eave, more under a gable. */
  readonly top: readonly Vec2[];
  /** Whether a roof lies on it, which a tab carries. */
  readonly eave: boolean;
  readonly gaps: readonly { readonly door: boolean; readonly from: number; readonly to: number; readonly sill: number; readonly head: number }[]; // prettier-ignore
}
/** A slope of a mock-up in its true shape, counter-clockwise, and which of its edges get a tab. */
export interface CardSlope {
  readonly words: string;
  readonly shape: readonly Vec2[];
  readonly tabbed: (edge: number) => boolean;
}

/** The middle of the widest stretch of a wall's foot that no door takes. */
function clearOf({ length, gaps }: CardWall): number {
  const doors = gaps.filter((g) => g.door).sort((a, b) => a.from - b.from);
  const stops = [0, ...doors.flatMap((g) => [g.from, g.to]), length];
  let best: readonly [number, number] = [0, 0];
  for (let i = 0; i < stops.length; i += 2) if (stops[i + 1]! - stops[i]! > best[1] - best[0]) best = [stops[i]!, stops[i + 1]!]; // prettier-ignore
  return (best[0] + best[1]) / 2;
}
/** Buildings in card at full size: the walls of each strip to fold at the corners, openings printed on, and slopes with tabs. Card stays on the outside of the lines. Model mm. */
export function cardNet(strips: readonly (readonly CardWall[])[], slopes: readonly CardSlope[]): Drawing {
  const [card, folds, printed]: [Entity[], Entity[], Entity[]] = [[], [], []];
  let y = 0;
  for (const walls of strips) {
    if (walls.length === 0) continue;
    y -= Math.max(...walls.flatMap((w) => w.top.map((p) => p[1]))) - Math.min(0, ...walls.map((w) => w.foot)) + TAB + APART + 6; // prettier-ignore
    let x = TAB + 2;
    walls.forEach((w, i) => {
      const put = ([s, z]: Vec2): Vec2 => [x + s, y + z];
      const [left, right] = [w.top[0]![1], w.top.at(-1)![1]];
      card.push(outline(([[0, w.foot], [w.length, w.foot], ...[...w.top].reverse()] as Vec2[]).map(put), "outline"));
      // the first one's left edge meets the last one's right
      if (i === 0) {
        const foot = Math.max(w.foot, walls.at(-1)!.foot);
        const high = Math.min(left, walls.at(-1)!.top.at(-1)![1]);
        card.push(outline(([[0, foot], [0, high], [-TAB, high - 3], [-TAB, foot + 3]] as Vec2[]).map(put), "thin")); // prettier-ignore
        printed.push(text(put([-TAB / 2, (foot + high) / 2]), "glue", 1.8, "middle", "text", 90));
      } else {
        const before = walls[i - 1]!;
        folds.push(line(put([0, Math.max(w.foot, before.foot)]), put([0, Math.min(left, before.top.at(-1)![1])]), "hidden")); // prettier-ignore
      }
      if (w.eave) card.push(outline([put([0, left]), put([w.length, right]), put([w.length - 4, right + TAB]), put([4, left + TAB])], "thin")); // prettier-ignore
      for (const g of w.gaps) {
        const low = g.door ? Math.min(g.sill, w.foot) : g.sill;
        printed.push(outline(rectangle(x + g.from, y + low, g.to - g.from, g.head - low), "outline", "grey"));
      }
      printed.push(text(put([clearOf(w), w.foot + 3]), `${w.name}: ${printMm(model(w.length), 2)}`, 2.2, "middle", "label")); // prettier-ignore
      x += w.length;
    });
  }
  for (const { shape, words, tabbed } of slopes) {
    if (shape.length < 3 || Math.abs(polygonArea(shape)) < 1) continue;
    const [xs, ys] = [shape.map((p) => p[0]), shape.map((p) => p[1])];
    const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
    y -= Math.max(...ys) - y0 + TAB + APART;
    const put = (p: Vec2): Vec2 => [p[0] - x0 + TAB + 2, p[1] - y0 + y];
    card.push(outline(shape.map(put), "outline"));
    shape.forEach((p, i) => {
      const q = shape[(i + 1) % shape.length]!;
      const d = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (!tabbed(i) || d < 10) return;
      const u: Vec2 = [(q[0] - p[0]) / d, (q[1] - p[1]) / d];
      const tab = (t: number, w: number): Vec2 => put([p[0] + u[0] * t + u[1] * w, p[1] + u[1] * t - u[0] * w]);
      card.push(outline([put(p), put(q), tab(d - 4, TAB), tab(4, TAB)], "thin"));
    });
    printed.push(text(put([x0 + (Math.max(...xs) - x0) / 2, y0 + 2]), words, 2.2, "middle", "label"));
  }
  return {
    layers: [
      { name: "card", entities: card },
      { name: "folds", entities: folds },
      { name: "printed", entities: printed },
    ],
  };
}
