import labelFont from "@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url";
import textFont from "@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff?url";
import type { PdfFonts } from "core/drawing";

/** The fonts that go into a PDF. */
export async function pdfFonts(): Promise<PdfFonts> {
  const bytesOf = async (url: string): Promise<Uint8Array> => new Uint8Array(await (await fetch(url)).arrayBuffer());
  const [label, text] = await Promise.all([bytesOf(labelFont), bytesOf(textFont)]);
  return { label, text };
}
