import type { PDFDocumentProxy } from "pdfjs-dist";
import type { Vec2 } from "../geometry";
import { bezier, compose, growth, mapPoint, type Affine } from "./affine";
import { SheetBuilder, SourceError, type SheetLines } from "./sheetLines";

/** What pdf.js calls its operators, by name: pdfjs.OPS. */
export type Operators = Readonly<Record<string, number>>;
/** A page as lines, and whether pictures lie on it, which lines cannot show. */
export interface PdfPage {
  /** Absent where the page has no lines. */
  readonly lines?: SheetLines;
  readonly pictures: boolean;
  /** Size, points of 1/72 in. */
  readonly width: number;
  readonly height: number;
}
/** Most pages of a document, and its largest page, points: 5 m. */
export const MOST_PAGES = 500;
const LARGEST = (5000 / 25.4) * 72;
const POINT = 25.4 / 72;

/** Refuses what a drawing has no need of. Errors: SourceError for scripts and for too many pages. */
export async function checkPdf(doc: PDFDocumentProxy): Promise<void> {
  if (doc.numPages > MOST_PAGES)
    throw new SourceError(
      `The PDF has ${doc.numPages} pages; ${MOST_PAGES} is the most. Save the pages with the structure.`,
    );
  if (await doc.hasJSActions())
    throw new SourceError("The PDF carries JavaScript, so it is not taken. Print it to a plain PDF and upload that.");
}

interface State {
  readonly m: Affine;
  readonly pen: number;
  readonly dashed: boolean;
}

/** Lines and text of a page, y down from its upper left corner, in points. Errors: SourceError for scripts and for too much. */
export async function readPdfPage(doc: PDFDocumentProxy, number: number, ops: Operators): Promise<PdfPage> {
  const page = await doc.getPage(number);
  if (await page.getJSActions())
    throw new SourceError("The PDF carries JavaScript, so it is not taken. Print it to a plain PDF and upload that.");
  const view = page.getViewport({ scale: 1 });
  if (!(view.width > 0 && view.height > 0 && view.width <= LARGEST && view.height <= LARGEST))
    throw new SourceError("The PDF's page is larger than 5 m, so it is not taken.");
  const list = await page.getOperatorList();
  const out = new SheetBuilder();
  let state: State = { m: view.transform as unknown as Affine, pen: 1, dashed: false };
  const saved: State[] = [];
  const marks: (number | undefined)[] = [];
  const plain = out.layer("drawing");
  const groups = await layerNames(doc);
  let pictures = false;
  const drawn = new Set(
    [
      "stroke",
      "closeStroke",
      "fill",
      "eoFill",
      "fillStroke",
      "eoFillStroke",
      "closeFillStroke",
      "closeEOFillStroke",
    ].map((n) => ops[n]),
  );
  list.fnArray.forEach((fn, i) => {
    const args = list.argsArray[i] as unknown[];
    switch (fn) {
      case ops.save:
        return void saved.push(state);
      case ops.restore:
        return void (state = saved.pop() ?? state);
      case ops.transform:
        return void (state = { ...state, m: compose(state.m, args as unknown as Affine) });
      case ops.paintFormXObjectBegin:
        saved.push(state);
        if (Array.isArray(args[0])) state = { ...state, m: compose(state.m, args[0] as unknown as Affine) };
        return;
      case ops.paintFormXObjectEnd:
        return void (state = saved.pop() ?? state);
      case ops.setLineWidth:
        return void (state = { ...state, pen: Number(args[0]) });
      case ops.setDash:
        return void (state = { ...state, dashed: (args[0] as readonly number[]).some((d) => d > 0) });
      case ops.beginMarkedContentProps: {
        const id = (args[1] as { id?: string } | null)?.id;
        return void marks.push(id && groups.has(id) ? out.layer(groups.get(id)!) : undefined);
      }
      case ops.beginMarkedContent:
        return void marks.push(undefined);
      case ops.endMarkedContent:
        return void marks.pop();
      case ops.constructPath:
        if (drawn.has(args[0] as number)) addPath(args[0] as number, (args[1] as (Float32Array | null)[])[0]);
        return;
      case ops.paintImageXObject:
      case ops.paintInlineImageXObject:
      case ops.paintImageMaskXObject:
      case ops.shadingFill:
        pictures = true;
    }
  });
  function addPath(op: number, data: ArrayLike<number> | null | undefined): void {
    if (!data) return;
    const layer = [...marks].reverse().find((x) => x !== undefined) ?? plain;
    const stroked = op !== ops.fill && op !== ops.eoFill;
    for (const p of subpaths(data)) {
      if (p.points.length < 2) continue;
      const closed = p.closed || !stroked || op === ops.closeStroke;
      out.add({
        kind: "path",
        layer,
        points: p.points.map((q) => mapPoint(state.m, q)),
        closed,
        pen: stroked ? state.pen * growth(state.m) : 0,
        dash: state.dashed ? "dashed" : "solid",
        curved: p.curved,
      });
    }
  }
  const lines = out.count > 0;
  for (const item of (await page.getTextContent()).items) {
    if (!("str" in item) || !item.str.trim()) continue;
    const t = compose(view.transform as unknown as Affine, item.transform as unknown as Affine);
    out.add({
      kind: "text",
      layer: plain,
      at: [t[4], t[5]],
      text: item.str.slice(0, 500),
      size: Math.hypot(t[2], t[3]),
      turn: (-Math.atan2(t[1], t[0]) * 180) / Math.PI,
    });
  }
  const size = { width: view.width, height: view.height };
  if (!lines) return { pictures: true, ...size };
  const page_ = { min: [0, 0] as Vec2, max: [view.width, view.height] as Vec2 };
  return { lines: out.build({ unit: POINT, of: "paper", flip: false, page: page_ }), pictures, ...size };
}

/** Names of the document's layers, by the id that content is marked with. */
async function layerNames(doc: PDFDocumentProxy): Promise<ReadonlyMap<string, string>> {
  const config = (await doc.getOptionalContentConfig()) as unknown as Iterable<[string, { name?: string | null }]>;
  return new Map([...config].map(([id, g]) => [id, (g.name ?? id).slice(0, 200)]));
}

interface SubPath {
  readonly points: Vec2[];
  closed: boolean;
  curved: boolean;
}
/** pdf.js writes a path as numbers: 0 moves, 1 draws a line, 2 a cubic and 3 a quadratic curve, 4 closes. */
function subpaths(d: ArrayLike<number>): SubPath[] {
  const out: SubPath[] = [];
  let now: SubPath = { points: [], closed: false, curved: false };
  let i = 0;
  const next = (): Vec2 => [d[i++]!, d[i++]!];
  while (i < d.length) {
    const op = d[i++];
    const last = now.points[now.points.length - 1];
    if (op === 0) out.push((now = { points: [next()], closed: false, curved: false }));
    else if (op === 1) now.points.push(next());
    else if (op === 2 || op === 3) {
      const c = op === 2 ? [next(), next(), next()] : [next(), next()];
      if (last) now.points.push(...bezier([last, ...c]));
      now.curved = true;
    } else if (op === 4) {
      now.closed = true;
      const first = now.points[0];
      if (first) now = { points: [first], closed: false, curved: false };
    } else break;
  }
  return out;
}
