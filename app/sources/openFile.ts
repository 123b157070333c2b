import type { Reader } from "~/workers/reader.worker";
import type { ReadLines } from "~/workers/readLines";
import { Endable } from "~/job/Endable";

/** A file as it was read: a picture to be sent as it is, lines, or a PDF whose page is to be chosen. */
export type Opened =
  | { readonly kind: "picture"; readonly file: Blob }
  | { readonly kind: "lines"; readonly lines: ReadLines }
  | { readonly kind: "pdf"; readonly doc: OpenPdf };
/** Longest that reading may take, seconds, and the most that a file may weigh. */
const VECTOR = { seconds: 30, bytes: 60e6 };
const PDF = { seconds: 30, bytes: 300e6 };
const THUMBNAIL_SECONDS = 60;

const startReader = (): Endable<Reader> =>
  new Endable<Reader>(new Worker(new URL("../workers/reader.worker.ts", import.meta.url), { type: "module" }));

/** What a file is, by its first bytes; its name is asked only where they do not tell. */
function kindOf(start: string, name: string): "pdf" | "svg" | "dxf" | "picture" {
  if (start.slice(0, 1024).includes("%PDF-")) return "pdf";
  if (/^\s*<(\?xml|!--|!doctype|svg|[a-z]+:svg)/i.test(start)) return "svg";
  if (/^AutoCAD Binary DXF/.test(start) || /^(\s*999\s*\r?\n.*\r?\n)*\s*0\s*\r?\n\s*SECTION/.test(start)) return "dxf";
  return /\.dxf$/i.test(name) ? "dxf" : "picture";
}

/**
 * Reads a file as far as it can be without the server, in a worker that ends when it takes too long or `signal` says so.
 * `told` hears what is being read. Errors: a sentence; WorkStopped.
 */
export async function openFile(file: File, signal: AbortSignal, told: (what: string) => void): Promise<Opened> {
  const start = await file.slice(0, 4096).text();
  const kind = kindOf(start.replace(/^\uFEFF/, ""), file.name);
  if (kind === "picture") return { kind, file };
  const limit = kind === "pdf" ? PDF : VECTOR;
  const megabytes = Math.round(file.size / 1e6);
  if (file.size > limit.bytes)
    throw new Error(
      `“${file.name}” has ${megabytes} MB; ${limit.bytes / 1e6} MB is the most for a ${kind === "pdf" ? "PDF" : "vector drawing"}.`,
    );
  told(`Reading the ${kind.toUpperCase()}${megabytes > 1 ? `, ${megabytes} MB` : ""}`);
  const reader = startReader();
  const stop = (): void => reader.end();
  signal.addEventListener("abort", stop);
  try {
    const late = `“${file.name}” takes longer than ${limit.seconds} s to read, so it was given up. Export only the sheet with the structure.`;
    if (kind === "pdf") {
      const pages = await reader.ask((r) => r.openPdf(file), limit.seconds, late);
      return { kind, doc: new OpenPdf(reader, pages) };
    }
    const lines = await reader.ask((r) => r.vector(kind, file), limit.seconds, late);
    reader.end();
    return { kind: "lines", lines };
  } catch (e) {
    reader.end();
    throw e;
  } finally {
    signal.removeEventListener("abort", stop);
  }
}

/** An open PDF; its pages are read and drawn by its worker. */
export class OpenPdf {
  constructor(
    private readonly reader: Endable<Reader>,
    readonly pages: number,
  ) {}
  /** A page, so many pixels wide. */
  thumbnail(page: number, wide: number): Promise<ImageBitmap> {
    return this.reader.ask((r) => r.thumbnail(page, wide), THUMBNAIL_SECONDS);
  }
  /** A page: its lines, and where it carries pictures, the page as one. Errors: a sentence; WorkStopped. */
  async page(
    page: number,
    signal: AbortSignal,
  ): Promise<{ readonly lines?: ReadLines; readonly picture?: Blob; readonly unit: number }> {
    const stop = (): void => this.reader.end();
    signal.addEventListener("abort", stop);
    try {
      return await this.reader.ask(
        (r) => r.page(page),
        PDF.seconds,
        `Page ${page} takes longer than ${PDF.seconds} s to read, so it was given up. Print it to a new PDF, or upload it as a picture.`,
      );
    } finally {
      signal.removeEventListener("abort", stop);
    }
  }
  close(): void {
    this.reader.end();
  }
}
