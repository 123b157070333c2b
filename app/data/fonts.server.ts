import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { PdfFonts } from "core/drawing";

const read = (file: string): Uint8Array => readFileSync(createRequire(import.meta.url).resolve(file));
/** The fonts that go into a PDF made on the server or the command line. */
export const pdfFonts = (): PdfFonts => ({
  label: read("@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff"),
  text: read("@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff"),
});
