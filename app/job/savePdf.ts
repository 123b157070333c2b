import labelFont from "@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url";
import textFont from "@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff?url";
import type { PdfPart } from "core/drawing";

/** Makes a PDF of pages and saves it. The writer is loaded when something is printed. */
export async function savePdf(parts: readonly PdfPart[], title: string, file: string): Promise<void> {
  const bytesOf = async (url: string): Promise<Uint8Array> => new Uint8Array(await (await fetch(url)).arrayBuffer());
  const [{ toPdf }, label, text] = await Promise.all([import("core/drawing"), bytesOf(labelFont), bytesOf(textFont)]);
  const bytes = await toPdf(parts, { title, date: new Date(), fonts: { label, text } });
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([new Uint8Array(bytes)], { type: "application/pdf" }));
  link.download = file;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
