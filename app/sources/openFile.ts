import type { PDFDocumentProxy } from "pdfjs-dist";
import type { SheetLines } from "core/sources";
import { runWork } from "./useWork";

/** A file as it was read: a picture to be sent as it is, lines, or a PDF whose page is to be chosen. */
export type Opened =
  | { readonly kind: "picture"; readonly file: Blob }
  | { readonly kind: "lines"; readonly lines: SheetLines }
  | { readonly kind: "pdf"; readonly doc: PDFDocumentProxy };
/** Longest that a vector file may take to read, seconds. */
const LIMIT = 30;

/** What a file is, by its first bytes; its name is asked only where they do not tell. */
function kindOf(start: string, name: string): "pdf" | "svg" | "dxf" | "picture" {
  if (start.slice(0, 1024).includes("%PDF-")) return "pdf";
  if (/^\s*<(\?xml|!--|!doctype|svg|[a-z]+:svg)/i.test(start)) return "svg";
  if (/^AutoCAD Binary DXF/.test(start) || /^(\s*999\s*\r?\n.*\r?\n)*\s*0\s*\r?\n\s*SECTION/.test(start)) return "dxf";
  return /\.dxf$/i.test(name) ? "dxf" : "picture";
}

/** Reads a file in the browser as far as it can be: vector files by a worker that is ended when they take too long. Errors: a sentence. */
export async function openFile(file: File): Promise<Opened> {
  const start = await file.slice(0, 4096).text();
  const kind = kindOf(start.replace(/^\uFEFF/, ""), file.name);
  if (kind === "picture") return { kind, file };
  if (kind === "pdf") return { kind, doc: await openPdf(await file.arrayBuffer()) };
  if (file.size > 64e6)
    throw new Error(`“${file.name}” has ${Math.round(file.size / 1e6)} MB; 60 MB is the most for a vector drawing.`);
  const text = (await file.text()).replace(/^\uFEFF/, "");
  const { result } = runWork(
    (w) => w.readVector(kind, text),
    () => undefined,
    LIMIT,
  );
  return { kind: "lines", lines: await result };
}

async function pdfjs() {
  const [lib, { default: workerUrl }] = await Promise.all([
    import("pdfjs-dist"),
    import("pdfjs-dist/build/pdf.worker.min.mjs?url"),
  ]);
  lib.GlobalWorkerOptions.workerSrc = workerUrl;
  return lib;
}

/** Opens a PDF and checks that it carries nothing but pages. Errors: a sentence. */
async function openPdf(data: ArrayBuffer): Promise<PDFDocumentProxy> {
  const lib = await pdfjs();
  const { checkPdf } = await import("core/sources");
  let doc: PDFDocumentProxy;
  try {
    doc = await lib.getDocument({ data, enableXfa: false, isEvalSupported: false, stopAtErrors: false }).promise;
  } catch (e) {
    const name = (e as Error).name;
    throw new Error(
      name === "PasswordException"
        ? "The PDF asks for a password. Save it without one and upload that."
        : "The PDF is damaged or is none, so it cannot be read. Save it again.",
    );
  }
  await checkPdf(doc);
  return doc;
}

/** Pixels of a page that is rendered because pictures lie on it: 300 to the inch, or as many as this. */
const MOST_PIXELS = 40e6;
/** A page of a PDF: its lines, and where it carries pictures, the page as one; lines are then told in the picture's pixels. */
export async function openPdfPage(
  doc: PDFDocumentProxy,
  number: number,
): Promise<{ readonly lines?: SheetLines; readonly picture?: Blob; readonly unit: number }> {
  const [lib, { readPdfPage }] = await Promise.all([pdfjs(), import("core/sources")]);
  const page = await readPdfPage(doc, number, lib.OPS as never);
  if (!page.pictures && page.lines) return { lines: page.lines, unit: 25.4 / 72 };
  const scale = Math.min(300 / 72, Math.sqrt(MOST_PIXELS / (page.width * page.height)));
  const canvas = await renderPage(doc, number, scale);
  const picture = await new Promise<Blob>((done, failed) =>
    canvas.toBlob((b) => (b ? done(b) : failed(new Error("The page could not be drawn."))), "image/png"),
  );
  const k = canvas.width / page.width;
  return {
    picture,
    unit: 25.4 / 72 / k,
    ...(page.lines ? { lines: scaled(page.lines, k, canvas.width, canvas.height) } : {}),
  };
}
/** Draws a page on a canvas, so many pixels to the point. */
export async function renderPage(doc: PDFDocumentProxy, number: number, scale: number): Promise<HTMLCanvasElement> {
  const page = await doc.getPage(number);
  const viewport = page.getViewport({ scale });
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(viewport.width));
  canvas.height = Math.max(1, Math.round(viewport.height));
  await page.render({ canvas, viewport }).promise;
  return canvas;
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
