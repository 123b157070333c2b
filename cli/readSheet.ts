import { inkStrokes, membersAmong, searchOn, vectorStrokes, type FoundMember } from "../core/found";
import { checkPdf, readDxf, readPdfPage, readSvg, SourceError, type SheetLines } from "../core/sources";

/** The lines of a vector file. Errors: a sentence; a PDF's page without lines. */
export async function readSheet(bytes: Buffer, name: string, page: number): Promise<SheetLines> {
  const start = bytes.subarray(0, 1024).toString("latin1");
  if (start.includes("%PDF-")) {
    const pdfjs = await import("pdfjs-dist/legacy/build/pdf.mjs");
    const doc = await pdfjs.getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
    await checkPdf(doc);
    if (page > doc.numPages) throw new SourceError(`${name} has ${doc.numPages} pages; there is no page ${page}.`);
    const { lines } = await readPdfPage(doc, page, pdfjs.OPS as never);
    if (!lines) throw new SourceError(`Page ${page} of ${name} has no lines; it is a picture.`);
    return lines;
  }
  const text = bytes.toString("utf8");
  if (/^\s*<(\?xml|!--|!doctype|svg)/i.test(start)) return readSvg(text);
  return readDxf(text);
}

/** Members on a drawing: a vector file's exactly, a picture's by its ink. `perInch` is pixels or units to the prototype inch. */
export async function findMembers(bytes: Buffer, name: string, page: number, perInch?: number): Promise<FoundMember[]> {
  const { default: sharp } = await import("sharp");
  const start = bytes.subarray(0, 1024).toString("latin1");
  const vector = start.includes("%PDF-") || /^\s*<|^\s*(999|0)\s*\r?\n|\.dxf$/i.test(start) || /\.dxf$/i.test(name);
  if (vector) {
    const sheet = await readSheet(bytes, name, page);
    const hidden = new Set(sheet.off.map((i) => sheet.layers[i]!));
    const search = searchOn("vector", Math.min(sheet.width, sheet.height), sheet.width, perInch);
    return membersAmong(vectorStrokes(sheet, hidden), search);
  }
  let raw: { data: Buffer; info: { width: number; height: number; channels: number } };
  try {
    raw = await sharp(bytes, { limitInputPixels: 40e6 })
      .rotate()
      .flatten({ background: "#ffffff" })
      .grayscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
  } catch (e) {
    throw new SourceError(
      `${name} cannot be read as a picture of up to 40 megapixels: ${(e as Error).message.split("\n")[0]!.replace(/\.?$/, ".")}`,
    );
  }
  const { width, height, channels } = raw.info;
  const data = new Uint8Array(width * height);
  for (let i = 0; i < data.length; i++) data[i] = raw.data[i * channels]!;
  const strokes = await inkStrokes({ width, height, data });
  return membersAmong(strokes, searchOn("scan", Math.min(width, height), width, perInch));
}
