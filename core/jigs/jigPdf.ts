import { toPdf, type PaperId, type PdfFonts, type PdfOptions } from "../drawing";
import { pagesOf, type JigSheet } from "./sheets";

/** All sheets as one PDF at full size, corrected for a printer. */
export const jigPdf = (
  sheets: readonly JigSheet[],
  paper: PaperId,
  title: string,
  date: Date,
  fonts: PdfFonts,
  correct?: PdfOptions["correct"],
): Promise<Uint8Array> =>
  toPdf(
    sheets.map((s) => ({ name: s.words.title, plan: pagesOf(s, paper) })),
    { title, date, fonts, ...(correct ? { correct } : {}) },
  );
