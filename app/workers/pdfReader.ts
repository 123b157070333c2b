import { checkPdf, checkStreams, readPdfPage, SourceError, type SheetLines } from "core/sources";
import * as lib from "pdfjs-dist";
import workerUrl from "pdfjs-dist/build/pdf.worker.min.mjs?url";
import { readLines, type ReadLines } from "./readLines";

/** Pixels of a page that is rendered because pictures lie on it: 300 to the inch, or as many as this. */
const MOST_PIXELS = 40e6;
/** Largest picture inside a PDF that is unpacked, pixels: an A0 sheet at 300 dpi. */
const LARGEST_PICTURE = 160e6;

/** Canvases of a worker, which has no page to make them of. */
class Canvases {
  create(width: number, height: number): { canvas: OffscreenCanvas; context: OffscreenCanvasRenderingContext2D } {
    const canvas = new OffscreenCanvas(width, height);
    return { canvas, context: canvas.getContext("2d", { willReadFrequently: true })! };
  }
  reset(c: { canvas: OffscreenCanvas }, width: number, height: number): void {
    c.canvas.width = width;
    c.canvas.height = height;
  }
  destroy(c: { canvas: OffscreenCanvas | null; context: unknown }): void {
    if (c.canvas) c.canvas.width = c.canvas.height = 0;
    c.canvas = c.context = null;
  }
}
/** Filters colour pages as a reader may want them; a drawing is shown as it is. */
class NoFilters {
  addFilter = (): string => "none";
  addHCMFilter = (): string => "none";
  addAlphaFilter = (): string => "none";
  addLuminosityFilter = (): string => "none";
  addHighlightHCMFilter = (): string => "none";
  destroy(): void {}
}

/** A PDF in a worker of its own. */
export class PdfReader {
  private constructor(private readonly doc: lib.PDFDocumentProxy) {}
  get pages(): number {
    return this.doc.numPages;
  }
  /** Opens a PDF and checks that it carries nothing but pages. Errors: a sentence. */
  static async open(data: ArrayBuffer): Promise<PdfReader> {
    await checkStreams(new Uint8Array(data));
    lib.GlobalWorkerOptions.workerPort ??= new Worker(workerUrl, { type: "module" });
    let doc: lib.PDFDocumentProxy;
    try {
      doc = await lib.getDocument({
        data,
        enableXfa: false,
        isEvalSupported: false,
        stopAtErrors: false,
        disableFontFace: true,
        maxImageSize: LARGEST_PICTURE,
        CanvasFactory: Canvases,
        FilterFactory: NoFilters,
      }).promise;
    } catch (e) {
      throw new SourceError(
        (e as Error).name === "PasswordException"
          ? "The PDF asks for a password. Save it without one and upload that."
          : "The PDF is damaged or is none, so it cannot be read. Save it again.",
      );
    }
    await inWords(checkPdf(doc));
    return new PdfReader(doc);
  }
  /** A page as a picture, so many pixels wide. */
  async picture(number: number, wide: number): Promise<ImageBitmap> {
    const page = await this.doc.getPage(number);
    return (await this.render(number, wide / page.getViewport({ scale: 1 }).width)).transferToImageBitmap();
  }
  /** A page: its lines, and where it carries pictures, the page as one; lines are then told in the picture's pixels. */
  async page(number: number): Promise<{ readonly lines?: ReadLines; readonly picture?: Blob; readonly unit: number }> {
    const page = await inWords(readPdfPage(this.doc, number, lib.OPS as never));
    if (!page.pictures && page.lines) return { lines: readLines(page.lines), unit: 25.4 / 72 };
    const scale = Math.min(300 / 72, Math.sqrt(MOST_PIXELS / (page.width * page.height)));
    const canvas = await inWords(this.render(number, scale));
    const { width, height } = canvas;
    const picture = await canvas.convertToBlob({ type: "image/png" });
    const k = width / page.width;
    const lines = page.lines && readLines(scaled(page.lines, k, width, height));
    return { picture, unit: 25.4 / 72 / k, ...(lines ? { lines } : {}) };
  }
  /** Draws a page, so many pixels to the point. */
  private async render(number: number, scale: number): Promise<OffscreenCanvas> {
    const page = await this.doc.getPage(number);
    const viewport = page.getViewport({ scale });
    const canvas = new OffscreenCanvas(Math.max(1, Math.round(viewport.width)), Math.max(1, Math.round(viewport.height))); // prettier-ignore
    const context = canvas.getContext("2d") as unknown as CanvasRenderingContext2D;
    await page.render({ canvas: null, canvasContext: context, viewport }).promise;
    return canvas;
  }
}
/** What pdf.js says of a broken file is no sentence of Cardo's. */
async function inWords<T>(work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (e) {
    throw e instanceof SourceError
      ? e
      : new SourceError("The PDF is damaged, so this page cannot be read. Print it to a new PDF and upload that.");
  }
}
function scaled(s: SheetLines, k: number, width: number, height: number): SheetLines {
  const p = ([x, y]: readonly [number, number]): [number, number] => [x * k, y * k];
  return {
    ...s,
    width,
    height,
    unit: s.unit / k,
    entities: s.entities.map((e) =>
      e.kind === "path"
        ? { ...e, pen: e.pen * k, points: e.points.map(p) }
        : e.kind === "circle"
          ? { ...e, centre: p(e.centre), radius: e.radius * k }
          : { ...e, at: p(e.at), size: e.size * k },
    ),
  };
}
