import { toPdf, type PaperId, type PdfFonts } from "../drawing";
import { pagesOf, type JigSheet } from "./sheets";

/** All sheets as one PDF at full size. */
export const jigPdf = (
  sheets: readonly JigSheet[],
  paper: PaperId,
  title: string,
  date: Date,
  fonts: PdfFonts,
): Promise<Uint8Array> =>
  toPdf(
    sheets.map((s) => ({ name: s.words.title, plan: pagesOf(s, paper) })),
    { title, date, fonts },
  );
