import { checkBar, fittedText, line, outline, PAPERS, rectangle, type Drawing, type Entity, type Page, type PagePlan, type PaperId, type PictureBytes } from "../drawing"; // prettier-ignore
import type { Vec2 } from "../geometry";
import { nestings, type NestResult } from "../nesting";
import type { PaperDoc } from "../job";
import { model, printMm } from "../units";
import { cutSize, pictureSize } from "./size";

/** What a printer leaves white along the edges, the strip at the foot for bar and words, and room round a print for its cut marks, mm. */
const [MARGIN, FOOT, MARK] = [8, 14, 5];
/** Pages stand so far apart in the drawing that none shows a bit of the next, mm. */
const APART = 1000;
/** Layouts that are tried. */
const TRIES = 40;

/** One piece to be printed and cut out: where its lower left corner lies in the print it is a part of, and its size, model mm. */
interface Part {
  readonly paper: PaperDoc;
  readonly words: string;
  readonly from: Vec2;
  readonly wide: number;
  readonly high: number;
}
/** Prints as they go on pages with so much room: what is larger is parted into equal pieces. */
function partsOf(papers: readonly PaperDoc[], ratio: number, room: Vec2): Part[] {
  return papers.flatMap((paper) => {
    const { wide, high } = cutSize(paper, ratio);
    const side = (all: number, k: 0 | 1): number => Math.max(1, Math.ceil(all / (room[k] - 2 * (paper.bleed + MARK)) - 1e-9)); // prettier-ignore
    const [columns, rows] = [side(wide, 0), side(high, 1)];
    const [w, h] = [wide / columns, high / rows];
    const size = `${printMm(model(w), 1)} × ${printMm(model(h), 1)}`;
    return Array.from({ length: paper.count * columns * rows }, (_, i): Part => {
      const n = i % (columns * rows);
      const from: Vec2 = [(n % columns) * w, Math.floor(n / columns) * h];
      const of = columns * rows > 1 ? `, part ${n + 1} of ${columns * rows}` : "";
      return { paper, words: `${paper.name}${of}: ${size}`, from, wide: w, high: h };
    });
  });
}

/** A print with its bleed, its picture as often as it takes, cut marks at its corners and its name under it. `at` is the corner where its trim begins. */
function printed(p: Part, at: Vec2, ratio: number, picture: PictureBytes): Entity[] {
  const { bleed, cover } = p.paper;
  const one = pictureSize(p.paper, ratio);
  const out: Entity[] = [];
  const by = cover ? bleed : 0;
  const clip = { at: [at[0] - by, at[1] - by] as Vec2, wide: p.wide + 2 * by, high: p.high + 2 * by };
  const first = (k: 0 | 1, step: number): number => Math.floor((p.from[k] - by) / step + 1e-9);
  const last = (k: 0 | 1, step: number, size: number): number => Math.ceil((p.from[k] + size + by) / step - 1e-9);
  for (let j = first(1, one.high); j < last(1, one.high, p.high); j++)
    for (let i = first(0, one.wide); i < last(0, one.wide, p.wide); i++) {
      const corner: Vec2 = [at[0] - p.from[0] + i * one.wide, at[1] - p.from[1] + j * one.high];
      out.push({ kind: "image", at: corner, wide: one.wide, high: one.high, picture, clip });
    }
  const [x0, x1, y0, y1] = [at[0], at[0] + p.wide, at[1], at[1] + p.high];
  // what of the doors and windows is on this part, to be cut out
  for (const h of cover?.holes ?? []) {
    const [a, b] = ([0, 1] as const).map((k) => { const low = (k === 0 ? h.x : h.y) / ratio - p.from[k]; return [Math.max(0, low), Math.min(k === 0 ? p.wide : p.high, low + (k === 0 ? h.wide : h.high) / ratio)] as const; }) as [readonly [number, number], readonly [number, number]]; // prettier-ignore
    if (a[1] > a[0] && b[1] > b[0]) out.push(outline(rectangle(x0 + a[0], y0 + b[0], a[1] - a[0], b[1] - b[0]), "hidden")); // prettier-ignore
  }
  const [near, far] = [by + 0.5, by + 3.5];
  for (const x of [x0, x1]) for (const s of [-1, 1]) out.push(line([x, s < 0 ? y0 - near : y1 + near], [x, s < 0 ? y0 - far : y1 + far], "thin")); // prettier-ignore
  for (const y of [y0, y1]) for (const s of [-1, 1]) out.push(line([s < 0 ? x0 - near : x1 + near, y], [s < 0 ? x0 - far : x1 + far, y], "thin")); // prettier-ignore
  out.push(fittedText([x0 + 1, y0 - by - 3.4], p.words, 1.7, Math.max(8, p.wide - 2), "text"));
  return out;
}

/** What stands at the foot of a page. */
export interface PaperWords {
  readonly job: string;
  readonly scale: string;
  readonly date: string;
}
/**
 * All papers at true size on as few pages as they need, side by side: a bar to measure on each, cut marks at every corner,
 * pictures that are repeated with their bleed. `pictures` by hash; a paper whose picture is not among them is left out.
 * Model mm.
 */
export function paperPages(
  papers: readonly PaperDoc[],
  ratio: number,
  pictures: ReadonlyMap<string, PictureBytes>,
  paper: PaperId,
  words: PaperWords,
): PagePlan {
  const known = papers.filter((p) => pictures.has(p.picture.hash));
  const [short, long] = PAPERS[paper];
  const laid = [[short, long], [long, short]].map((size) => laidOn(known, ratio, size as unknown as Vec2)); // prettier-ignore
  const best = laid[1]!.pages.length < laid[0]!.pages.length ? laid[1]! : laid[0]!;
  const { size, room, parts, pages: sheets } = best;
  const drawing: Drawing = {
    layers: [
      {
        name: "papers",
        entities: sheets.flatMap((placed, n) =>
          placed.flatMap(({ part, at }) => {
            const p = parts[part]!;
            const edge = p.paper.bleed + MARK;
            return printed(p, [at[0] + edge, at[1] + edge - n * APART], ratio, pictures.get(p.paper.picture.hash)!);
          }),
        ),
      },
    ],
  };
  const at: Vec2 = [MARGIN, MARGIN + FOOT];
  const pages = sheets.map((_, n): Page => ({
    size,
    window: { at, size: room },
    shift: [at[0], at[1] + n * APART],
    column: 0,
    row: n,
    furniture: [
      ...checkBar(
        [MARGIN, MARGIN + 6],
        150,
        10,
        "150 mm: measure this bar; print at 100 %, never “fit to page”",
        false,
      ),
      fittedText([MARGIN, MARGIN], `${words.job}: papers at full size for ${words.scale} · ${words.date} · page ${n + 1} of ${sheets.length}`, 2.3, size[0] - 2 * MARGIN, "text"), // prettier-ignore
    ],
  }));
  return { drawing, pages, columns: 1, rows: Math.max(1, pages.length) };
}
/** Prints laid on pages of a size: the part and its corner with the room for its marks, by page. */
function laidOn(papers: readonly PaperDoc[], ratio: number, size: Vec2) {
  const room: Vec2 = [size[0] - 2 * MARGIN, size[1] - 2 * MARGIN - FOOT];
  const parts = partsOf(papers, ratio, room);
  let result: NestResult | undefined;
  const outlineOf = (p: Part): Vec2[] => {
    const [w, h] = [p.wide + 2 * (p.paper.bleed + MARK), p.high + 2 * (p.paper.bleed + MARK)];
    return [[0, 0], [w, 0], [w, h], [0, h]]; // prettier-ignore
  };
  if (parts.length > 0)
    for (const r of nestings({ parts: parts.map((p, i) => ({ mark: String(i), sticks: [String(i)], outline: outlineOf(p), turns: [0] })), sizes: [{ wide: room[0], long: room[1], count: null, cost: 1 }], apart: 0, edge: 0, by: "snap" }, TRIES)) result = r; // prettier-ignore
  return { size, room, parts, pages: result?.status === "planned" ? result.sheets.map((s) => s.placed) : [] };
}
