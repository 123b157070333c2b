import type { PdfPart } from "core/drawing";
import { pdfFonts } from "./pdfFonts";
import { saveFile } from "./saveFile";
import { correctionNow } from "./usePrinters";

/** Makes a PDF of pages and saves it. The writer is loaded when something is printed. */
export async function savePdf(parts: readonly PdfPart[], title: string, file: string): Promise<void> {
  const [{ toPdf }, fonts] = await Promise.all([import("core/drawing"), pdfFonts()]);
  const bytes = await toPdf(parts, { title, date: new Date(), fonts, ...correctionNow() });
  saveFile(new Blob([new Uint8Array(bytes)], { type: "application/pdf" }), file);
}
