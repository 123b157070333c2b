import type { Vec2 } from "../geometry";
import { boundsWithWords, LETTER, line, num, rectangle, solidShape, text, type Drawing, type Entity } from "./drawing";

export type PaperId = "A4" | "A3" | "Letter" | "Tabloid";
/** Sheet sizes, mm, upright. A series: ISO 216; Letter and Tabloid: ANSI/ASME Y14.1 A and B. */
export const PAPERS: Readonly<Record<PaperId, readonly [number, number]>> = {
  A4: [210, 297],
  A3: [297, 420],
  Letter: [215.9, 279.4],
  Tabloid: [279.4, 431.8],
};

/** Where things stand on a page, mm from its lower left corner. Printers leave the outer 8 mm. */
const MARGIN = 8;
const LEFT = 12;
const BAR_ROWS = 12;
const TITLE = 17;
/** Neighbouring pages show this much of each other, mm. */
export const OVERLAP = 10;
const INCH = 25.4;

/** One page: its size, the window through which the drawing shows, and what stands round it. */
export interface Page {
  readonly size: Vec2;
  /** Lower left corner and size of the window on the page. */
  readonly window: { readonly at: Vec2; readonly size: Vec2 };
  /** Add this to a point of the drawing to get its place on the page. */
  readonly shift: Vec2;
  readonly furniture: readonly Entity[];
  readonly column: number;
  readonly row: number;
}
export interface SheetText {
  readonly job: string;
  readonly title: string;
  readonly scale: string;
  readonly date: string;
  readonly issue: string;
  /** Model mm of 10 ft, or of 5 m, with its label, for the graphic scale. */
  readonly graphic: { readonly length: number; readonly label: string };
}
/** Pages that carry a drawing at full size, in reading order. */
export interface PagePlan {
  readonly drawing: Drawing;
  readonly pages: readonly Page[];
  readonly columns: number;
  readonly rows: number;
}

/** Lays a drawing on as few pages of a paper as it needs, upright or lying, with overlap, registration marks, check bars and a page map. */
export function paginate(drawing: Drawing, paper: PaperId, words: SheetText): PagePlan {
  const [short, long] = PAPERS[paper];
  const upright = layout(drawing, [short, long]);
  const lying = layout(drawing, [long, short]);
  const best = lying.columns * lying.rows < upright.columns * upright.rows ? lying : upright;
  const { size, window, columns, rows, start, net } = best;
  const pages: Page[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const corner: Vec2 = [start[0] + column * net[0], start[1] - (row + 1) * net[1] - OVERLAP];
      const shift: Vec2 = [window.at[0] - corner[0], window.at[1] - corner[1]];
      const furniture = [
        ...frameOf(window),
        ...registration(window),
        ...checkBars(size),
        ...titleBlock(size, words, paper, pages.length + 1, columns, rows, column, row),
      ];
      pages.push({ size, window, shift, furniture, column, row });
    }
  return { drawing, pages, columns, rows };
}

function layout(drawing: Drawing, size: Vec2) {
  const { min, max } = boundsWithWords(drawing);
  const at: Vec2 = [MARGIN + LEFT, MARGIN + TITLE + BAR_ROWS];
  const window = { at, size: [size[0] - at[0] - MARGIN, size[1] - at[1] - MARGIN] as Vec2 };
  const net: Vec2 = [window.size[0] - OVERLAP, window.size[1] - OVERLAP];
  const room = 4;
  const need: Vec2 = [max[0] - min[0] + 2 * room, max[1] - min[1] + 2 * room];
  const count = (k: 0 | 1): number => Math.max(1, Math.ceil((need[k] - OVERLAP) / net[k] - 1e-9));
  const [columns, rows] = [count(0), count(1)];
  const covered: Vec2 = [columns * net[0] + OVERLAP, rows * net[1] + OVERLAP];
  // the drawing stands in the middle of what the pages cover together
  const start: Vec2 = [(min[0] + max[0] - covered[0]) / 2, (min[1] + max[1] + covered[1]) / 2];
  return { size, window, columns, rows, start, net };
}

const frameOf = (w: Page["window"]): Entity[] => [
  { kind: "path", points: rectangle(w.at[0], w.at[1], w.size[0], w.size[1]), closed: true, line: "thin" },
];

/** A cross in a circle in the middle of the overlap at each corner: the same point of the drawing on all pages that show it. */
function registration(w: Page["window"]): Entity[] {
  const h = OVERLAP / 2;
  return [
    [0, 0],
    [1, 0],
    [0, 1],
    [1, 1],
  ].flatMap(([i, k]): Entity[] => {
    const c: Vec2 = [w.at[0] + (i ? w.size[0] - h : h), w.at[1] + (k ? w.size[1] - h : h)];
    return [
      line([c[0] - 3, c[1]], [c[0] + 3, c[1]], "thin"),
      line([c[0], c[1] - 3], [c[0], c[1] + 3], "thin"),
      { kind: "circle", centre: c, radius: 1.5, line: "thin" },
    ];
  });
}

/** A bar of exact length from end to end, with a tick at every cm or inch, along x or y. */
export function checkBar(at: Vec2, length: number, step: number, label: string, upright: boolean): Entity[] {
  const p = (along: number, across: number): Vec2 =>
    upright ? [at[0] - across, at[1] + along] : [at[0] + along, at[1] + across];
  const ticks = Array.from({ length: Math.floor(length / step + 1e-9) - 1 }, (_, i) => (i + 1) * step);
  return [
    solidShape([p(0, 0), p(length, 0), p(length, 0.8), p(0, 0.8)], "black"),
    ...ticks.map((t) => line(p(t, 0.8), p(t, 2), "thin")),
    text(p(length / 2, 2.2), label, 1.9, "middle", "text", upright ? 90 : 0),
  ];
}
const BARS = [
  { length: 150, step: 10, label: "150 mm: measure this bar; print at 100 %, never “fit to page”" },
  { length: 6 * INCH, step: INCH, label: "6 in" },
] as const;
function checkBars(size: Vec2): Entity[] {
  const bottom = MARGIN + TITLE;
  return [
    ...checkBar([MARGIN + LEFT, bottom + 6.4], BARS[0].length, BARS[0].step, BARS[0].label, false),
    ...checkBar([MARGIN + LEFT, bottom + 1], BARS[1].length, BARS[1].step, BARS[1].label, false),
    ...checkBar([MARGIN + 10.5, size[1] - MARGIN - BARS[0].length], BARS[0].length, BARS[0].step, "150 mm", true),
    ...checkBar([MARGIN + 5, size[1] - MARGIN - BARS[1].length], BARS[1].length, BARS[1].step, "6 in", true),
  ];
}

/** Words made smaller until they go in, down to two thirds; what still does not is cut off with dots. */
export function fittedText(at: Vec2, words: string, height: number, width: number, font: keyof typeof LETTER): Entity {
  const size = Math.max((height * 2) / 3, Math.min(height, width / (words.length * LETTER[font])));
  const most = Math.floor(width / (size * LETTER[font]));
  return text(at, words.length > most ? `${words.slice(0, most - 1)}…` : words, size, "start", font);
}

function titleBlock(
  size: Vec2,
  t: SheetText,
  paper: PaperId,
  page: number,
  columns: number,
  rows: number,
  column: number,
  row: number,
): Entity[] {
  const [x0, y0, w, h] = [MARGIN, MARGIN, size[0] - 2 * MARGIN, TITLE - 1.5];
  const mapWidth = 30;
  const cut1 = x0 + w * 0.48;
  const cut2 = x0 + w - mapWidth - 2;
  const cell = Math.min(4.5, (mapWidth - 4) / columns, (h - 3) / rows);
  const map: Entity[] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const box = rectangle(x0 + w - 2 - (columns - c) * cell, y0 + h - 1.5 - (r + 1) * cell, cell, cell);
      map.push({
        kind: "path",
        points: box,
        closed: true,
        line: "thin",
        ...(r === row && c === column ? { fill: "black" as const } : {}),
      });
    }
  const g = Math.min(t.graphic.length, cut2 - cut1 - 6);
  return [
    { kind: "path", points: rectangle(x0, y0, w, h), closed: true, line: "outline" },
    line([cut1, y0], [cut1, y0 + h], "thin"),
    line([cut2, y0], [cut2, y0 + h], "thin"),
    fittedText([x0 + 2, y0 + h - 4.6], t.title, 3, cut1 - x0 - 4, "label"),
    fittedText([x0 + 2, y0 + h - 9], t.job, 2.3, cut1 - x0 - 4, "text"),
    text([x0 + 2, y0 + 1.8], `Issue ${t.issue}`, 2.3),
    text([cut1 + 2, y0 + h - 4.4], `Full size for ${t.scale}`, 2.5, "start", "label"),
    text([cut1 + 2, y0 + h - 8.4], `${t.date} · ${paper}`, 2.1),
    ...(g === t.graphic.length
      ? [
          solidShape(rectangle(cut1 + 2, y0 + 1.6, g / 2, 1), "black"),
          { kind: "path" as const, points: rectangle(cut1 + 2, y0 + 1.6, g, 1), closed: true, line: "thin" as const },
          text([cut1 + 3 + g, y0 + 1.4], t.graphic.label, 1.9),
        ]
      : []),
    ...map,
    text([cut2 + 2, y0 + 1.8], `Page ${num(page)} of ${num(columns * rows)}`, 2.3),
  ];
}
