import type { Vec2 } from "../geometry";
import { LETTER, line, solidShape, rectangle, text, type Entity } from "./drawing";
import { PAPERS, type Page, type PagePlan, type PaperId } from "./pages";

/** A column of a printed table. `width` is its share of the page's width. */
export interface TableColumn {
  readonly head: string;
  readonly width: number;
  readonly align?: "start" | "end";
  /** Words in it are set in the label's face. */
  readonly bold?: boolean;
}
/** A row of text, one cell a column; a heading over the rows that follow; or a picture of its own height, mm. */
export type TableLine =
  | { readonly kind: "row"; readonly cells: readonly string[] }
  | { readonly kind: "head"; readonly text: string }
  | { readonly kind: "words"; readonly text: string }
  | {
      readonly kind: "picture";
      readonly height: number;
      readonly draw: (at: Vec2, width: number) => readonly Entity[];
    };
export interface TableWords {
  readonly title: string;
  readonly job: string;
  readonly note: string;
  readonly date: string;
}

const MARGIN = 12;
const SIZE = 2.1;
const LEAD = 3.9;
/** Words broken into lines that fit a width; a word that is longer than a line is cut. */
export function wrapped(words: string, width: number, size: number, font: keyof typeof LETTER): string[] {
  const most = Math.max(1, Math.floor(width / (size * LETTER[font])));
  const out: string[] = [];
  let now = "";
  for (const word of words.split(/\s+/).flatMap((w) => w.match(new RegExp(`.{1,${most}}`, "gu")) ?? [])) {
    if (now && now.length + 1 + word.length > most) {
      out.push(now);
      now = word;
    } else now = now ? `${now} ${word}` : word;
  }
  return [...out, now];
}

/**
 * A table on as many upright pages as it takes: title and page number on each, the columns' heads repeated, no heading at
 * the foot of a page without a row under it, no row parted.
 */
export function tablePages(
  columns: readonly TableColumn[],
  lines: readonly TableLine[],
  paper: PaperId,
  words: TableWords,
): PagePlan {
  const size = PAPERS[paper];
  const width = size[0] - 2 * MARGIN;
  const whole = columns.reduce((s, c) => s + c.width, 0) || 1;
  const starts = columns.map((_, i) => (columns.slice(0, i).reduce((s, c) => s + c.width, 0) / whole) * width);
  const room = columns.map((c) => (c.width / whole) * width - 2);
  const top = size[1] - MARGIN - 16;
  const bottom = MARGIN + 8;
  const pages: Entity[][] = [];
  let page: Entity[] = [];
  let y = 0;
  const open = (): void => {
    page = [];
    pages.push(page);
    y = top;
    if (columns.some((c) => c.head)) {
      columns.forEach((c, i) => page.push(cell(c, i, c.head, y - SIZE, "label")));
      page.push(line([MARGIN, y - SIZE - 1.6], [MARGIN + width, y - SIZE - 1.6], "outline"));
      y -= SIZE + 2.6;
    }
  };
  const cell = (c: TableColumn, i: number, t: string, at: number, font: "label" | "text"): Entity =>
    text(
      [MARGIN + starts[i]! + (c.align === "end" ? room[i]! : 0), at],
      t,
      SIZE,
      c.align === "end" ? "end" : "start",
      font,
    );
  const layers = (l: TableLine): { readonly height: number; readonly put: () => void } => {
    if (l.kind === "picture")
      return { height: l.height, put: () => void page.push(...l.draw([MARGIN, y - l.height], width)) };
    if (l.kind === "head")
      return {
        height: 8,
        put: () =>
          void page.push(
            solidShape(rectangle(MARGIN, y - 7, width, 5.6), "grey"),
            text([MARGIN + 1.5, y - 5.5], l.text, 2.6, "start", "label"),
          ),
      };
    if (l.kind === "words") {
      const parts = wrapped(l.text, width, SIZE, "text");
      return {
        height: parts.length * LEAD + 2,
        put: () => parts.forEach((t, k) => page.push(text([MARGIN, y - SIZE - 1 - k * LEAD], t, SIZE))),
      };
    }
    const cells = columns.map((c, i) => wrapped(l.cells[i] ?? "", room[i]!, SIZE, c.bold ? "label" : "text"));
    const height = Math.max(...cells.map((p) => p.length)) * LEAD + 1.6;
    return {
      height,
      put: () => {
        cells.forEach((parts, i) => {
          const c = columns[i]!;
          parts.forEach((t, k) => page.push(cell(c, i, t, y - SIZE - 1 - k * LEAD, c.bold ? "label" : "text")));
        });
        page.push(line([MARGIN, y - height + 0.4], [MARGIN + width, y - height + 0.4], "thin"));
      },
    };
  };
  open();
  lines.forEach((l, i) => {
    const own = layers(l);
    // what leads takes its first follower along
    const next = (l.kind === "head" || l.kind === "words") && lines[i + 1] ? layers(lines[i + 1]!).height : 0;
    if (y - own.height - next < bottom && y < top - 12) open();
    layers(l).put();
    y -= own.height;
  });
  return {
    drawing: { layers: [] },
    columns: 1,
    rows: pages.length,
    pages: pages.map((entities, row): Page => ({
      size: [size[0], size[1]],
      window: { at: [0, 0], size: [0, 0] },
      shift: [0, 0],
      column: 0,
      row,
      furniture: [
        text([MARGIN, size[1] - MARGIN - 4.5], words.title, 4, "start", "label"),
        text([size[0] - MARGIN, size[1] - MARGIN - 4], words.date, SIZE, "end"),
        text([MARGIN, size[1] - MARGIN - 9.5], words.job, SIZE),
        ...entities,
        text([MARGIN, MARGIN], words.note, 1.9),
        text([size[0] - MARGIN, MARGIN], `Page ${row + 1} of ${pages.length}`, 1.9, "end"),
      ],
    })),
  };
}
