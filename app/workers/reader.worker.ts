import { expose, transfer } from "comlink";
import { readDxf, readSvg } from "core/sources";
import type { PdfReader } from "./pdfReader";
import { readLines, type ReadLines } from "./readLines";

let pdf: PdfReader | undefined;
/** Reads what people bring, off the main thread: a file that is made to take for ever takes only this worker with it. */
const reader = {
  async vector(kind: "svg" | "dxf", file: Blob): Promise<ReadLines> {
    const text = (await file.text()).replace(/^\uFEFF/, "");
    return readLines(kind === "svg" ? readSvg(text) : readDxf(text));
  },
  /** Opens a PDF; answers how many pages it has. */
  async openPdf(file: Blob): Promise<number> {
    const { PdfReader } = await import("./pdfReader");
    pdf = await PdfReader.open(await file.arrayBuffer());
    return pdf.pages;
  },
  /** A page of the PDF, so many pixels wide. */
  async thumbnail(page: number, wide: number): Promise<ImageBitmap> {
    const picture = await pdf!.picture(page, wide);
    return transfer(picture, [picture]);
  },
  page: (page: number): ReturnType<PdfReader["page"]> => pdf!.page(page),
};
export type Reader = typeof reader;
expose(reader);
