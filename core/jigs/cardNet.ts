import {
  line,
  moved,
  outline,
  rectangle,
  solidShape,
  text,
  type Drawing,
  type Entity,
  type Fill,
  type Layer,
  type Path,
} from "../drawing";
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
/** A building in card: strips of walls to fold at the corners, and slopes. */
export interface CardModel {
  readonly strips: readonly (readonly CardWall[])[];
  readonly slopes: readonly CardSlope[];
}
/** A piece of card: what is cut round, its folds, what is printed on it. `under` is how far it reaches below the row above. Model mm. */
export interface CardPart {
  readonly words: string;
  readonly card: readonly Path[];
  readonly folds: readonly Path[];
  readonly printed: readonly Entity[];
  /** The faces that are seen when it stands, without tabs, and whether they are of walls or of a roof. */
  readonly faces: readonly (readonly Vec2[])[];
  readonly of: "walls" | "roof";
  readonly under: number;
}

/** Strips that are no longer than the card there is: parted at a corner, where there is one, each with a tab of its own. */
const partedAt = (walls: readonly CardWall[], longest: number): (readonly number[])[] => {
  const out: number[][] = [];
  let long = 0;
  walls.forEach((w, i) => {
    if (i === 0 || long + w.length > longest) {
      out.push([]);
      long = TAB;
    }
    out.at(-1)!.push(i);
    long += w.length;
  });
  return out;
};

/** The pieces of card that a building is made of, openings printed on, none longer than `longest` that can be parted at a corner. Card stays on the outside of the lines. Model mm. */
export function cardParts({ strips, slopes }: CardModel, longest = Infinity): CardPart[] {
  return [
    ...strips.flatMap((walls) => partedAt(walls, longest).map((of) => wallPart(walls, of))),
    ...slopes.flatMap((x) => (x.shape.length < 3 || Math.abs(polygonArea(x.shape)) < 1 ? [] : [slopePart(x)])),
  ];
}
/** Walls of a strip that hang together. */
function wallPart(all: readonly CardWall[], of: readonly number[]): CardPart {
  const walls = of.map((i) => all[i]!);
  const [card, folds, printed]: [Path[], Path[], Entity[]] = [[], [], []];
  const faces: Vec2[][] = [];
  let x = 0;
  walls.forEach((w, i) => {
    const put = ([s, z]: Vec2): Vec2 => [x + s, z];
    const [left, right] = [w.top[0]![1], w.top.at(-1)![1]];
    const before = all[(of[i]! - 1 + all.length) % all.length]!;
    const [foot, high] = [Math.max(w.foot, before.foot), Math.min(left, before.top.at(-1)![1])];
    const face = ([[0, w.foot], [w.length, w.foot], ...[...w.top].reverse()] as Vec2[]).map(put);
    faces.push(face);
    card.push(outline(face, "outline"));
    // the first one's left edge meets the right one of the wall before it
    if (i === 0) {
      card.push(
        outline(
          (
            [
              [0, foot],
              [0, high],
              [-TAB, high - 3],
              [-TAB, foot + 3],
            ] as Vec2[]
          ).map(put),
          "thin",
        ),
      );
      printed.push(text(put([-TAB / 2, (foot + high) / 2]), "glue", 1.8, "middle", "text", 90));
    } else folds.push(line(put([0, foot]), put([0, high]), "hidden"));
    if (w.eave) card.push(outline([put([0, left]), put([w.length, right]), put([w.length - 4, right + TAB]), put([4, left + TAB])], "thin")); // prettier-ignore
    for (const g of w.gaps) {
      const low = g.door ? Math.min(g.sill, w.foot) : g.sill;
      printed.push(outline(rectangle(x + g.from, low, g.to - g.from, g.head - low), "outline", "grey"));
    }
    printed.push(text(put([clearOf(w), w.foot + 3]), `${w.name}: ${printMm(model(w.length), 2)}`, 2.2, "middle", "label")); // prettier-ignore
    x += w.length;
  });
  const under = Math.max(...walls.flatMap((w) => w.top.map((p) => p[1]))) - Math.min(0, ...walls.map((w) => w.foot)) + TAB + APART + 6; // prettier-ignore
  return { words: walls.map((w) => w.name).join(", "), card, folds, printed, faces, of: "walls", under };
}
function slopePart({ shape, words, tabbed }: CardSlope): CardPart {
  const [xs, ys] = [shape.map((p) => p[0]), shape.map((p) => p[1])];
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const put = (p: Vec2): Vec2 => [p[0] - x0, p[1] - y0];
  const card = [outline(shape.map(put), "outline")];
  shape.forEach((p, i) => {
    const q = shape[(i + 1) % shape.length]!;
    const d = Math.hypot(q[0] - p[0], q[1] - p[1]);
    if (!tabbed(i) || d < 10) return;
    const u: Vec2 = [(q[0] - p[0]) / d, (q[1] - p[1]) / d];
    const tab = (t: number, w: number): Vec2 => put([p[0] + u[0] * t + u[1] * w, p[1] + u[1] * t - u[0] * w]);
    card.push(outline([put(p), put(q), tab(d - 4, TAB), tab(4, TAB)], "thin"));
  });
  const name = text([(Math.max(...xs) - x0) / 2, 2], words, 2.2, "middle", "label");
  return {
    words,
    card,
    folds: [],
    printed: [name],
    faces: [shape.map(put)],
    of: "roof",
    under: Math.max(...ys) - y0 + TAB + APART,
  };
}

/** What the sheet of a mock-up is called. */
export const CARD_MOCKUP = "card mock-up";
/** A building in card at full size: its pieces one below the other, its faces in colours of paper where those are given. Model mm. */
export function cardNet(of: CardModel, papers?: { readonly walls: string; readonly roof: string }): Drawing {
  let y = 0;
  const parts = cardParts(of).map((p): Layer[] => {
    y -= p.under;
    const layers = [
      { name: "paper", entities: papers ? p.faces.map((f) => solidShape(f, papers[p.of] as Fill)) : [] },
      { name: "card", entities: p.card },
      { name: "folds", entities: p.folds },
      { name: "printed", entities: p.printed },
    ];
    return [...moved({ layers }, [TAB + 2, y]).layers];
  });
  const layer = (i: number, name: string): Layer => ({ name, entities: parts.flatMap((p) => p[i]!.entities) });
  return { layers: [...(papers ? [layer(0, "paper")] : []), layer(1, "card"), layer(2, "folds"), layer(3, "printed")] };
}
