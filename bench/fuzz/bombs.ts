import { crc32, deflateSync } from "node:zlib";
import sharp from "sharp";

/** A file that is made to cost far more than it weighs. */
export interface Bomb {
  readonly name: string;
  readonly bytes: Buffer;
}
const object = (n: number, body: string | Buffer, dict = ""): Buffer =>
  typeof body === "string" && dict === ""
    ? Buffer.from(`${n} 0 obj ${body} endobj\n`)
    : Buffer.concat([
        Buffer.from(`${n} 0 obj << /Length ${body.length} ${dict} >> stream\n`),
        Buffer.from(body),
        Buffer.from("\nendstream endobj\n"),
      ]);
/** A PDF of one page with that content. */
export function pdfOf(content: Buffer, filter: string): Buffer {
  return Buffer.concat([
    Buffer.from("%PDF-1.4\n"),
    object(1, "<< /Type /Catalog /Pages 2 0 R >>"),
    object(2, "<< /Type /Pages /Kids [3 0 R] /Count 1 >>"),
    object(3, "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 600 400] /Contents 4 0 R /Resources << >> >>"),
    object(4, content, filter),
    Buffer.from("trailer << /Root 1 0 R >>\n%%EOF\n"),
  ]);
}
/** A PNG that says it has so many pixels, all of them nothing. */
export function pngOf(width: number, height: number): Buffer {
  const chunk = (type: string, data: Buffer): Buffer => {
    const head = Buffer.concat([Buffer.from(type), data]);
    const out = Buffer.alloc(8 + head.length);
    out.writeUInt32BE(data.length, 0);
    head.copy(out, 4);
    out.writeUInt32BE(crc32(head) >>> 0, 4 + head.length);
    return out;
  };
  const size = Buffer.alloc(13);
  size.writeUInt32BE(width, 0);
  size.writeUInt32BE(height, 4);
  size.set([8, 0], 8);
  const row = Math.max(1, width + 1);
  return Buffer.concat([
    Buffer.from("89504e470d0a1a0a", "hex"),
    chunk("IHDR", size),
    chunk("IDAT", deflateSync(Buffer.alloc(Math.min(row * height, 200e6)))),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}

const FLATE = "/Filter /FlateDecode";
const blank = (): Buffer => deflateSync(Buffer.alloc(300_000_000, 32), { level: 9 });
const MAKERS: Readonly<Record<string, () => Buffer | Promise<Buffer>>> = {
  "million-lines.pdf": () => pdfOf(deflateSync("0 0 m 600 400 l S\n".repeat(1_000_000)), FLATE),
  "million-states.pdf": () => pdfOf(deflateSync("q 1 0 0 1 1 1 cm Q\n".repeat(1_000_000)), FLATE),
  "flate-bomb.pdf": () => pdfOf(blank(), FLATE),
  "flate-twice.pdf": () => pdfOf(deflateSync(blank()), "/Filter [/FlateDecode /FlateDecode]"),
  "large.dxf": () =>
    Buffer.from(`0\nSECTION\n2\nENTITIES\n${"0\nLINE\n8\n0\n10\n0\n20\n0\n11\n1\n21\n1\n".repeat(800_000)}0\nENDSEC\n0\nEOF\n`),
  "noise-40-megapixels.png": () =>
    sharp({ create: { width: 8000, height: 5000, channels: 3, background: "#fff", noise: { type: "gaussian", mean: 128, sigma: 40 } } }).png({ compressionLevel: 1 }).toBuffer(),
  "one-pixel-high.png": () => pngOf(100_000_000, 1),
  "wall.png": () => pngOf(20_000, 9_000),
  "deep.svg": () => Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${"<g>".repeat(200_000)}${"</g>".repeat(200_000)}</svg>`),
  "entities.svg": () =>
    Buffer.from(
      `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa">${[..."bcdefghij"].map((c, i) => `<!ENTITY ${c} "${`&${"abcdefghi"[i]};`.repeat(10)}">`).join("")}]><svg xmlns="http://www.w3.org/2000/svg"><text>&j;</text></svg>`,
    ),
}; // prettier-ignore

/** The files that once held the page or the server for a minute, or those of some names. */
export const bombs = (names = Object.keys(MAKERS)): Promise<readonly Bomb[]> =>
  Promise.all(names.map(async (name) => ({ name, bytes: await MAKERS[name]!() })));
