import { deflateSync } from "node:zlib";
import { PDFDocument } from "pdf-lib";
import { describe, expect, it } from "vitest";
import { checkStreams } from "./pdfStreams";

const stream = (bytes: Uint8Array, end = "\nendstream"): Uint8Array =>
  Buffer.concat([Buffer.from("1 0 obj << /Filter /FlateDecode >> stream\r\n"), bytes, Buffer.from(`${end} endobj\n`)]);
const pdf = (...streams: Uint8Array[]): Uint8Array => Buffer.concat([Buffer.from("%PDF-1.4\n"), ...streams]);
const spaces = (n: number): Buffer => Buffer.alloc(n, 32);
const REFUSED = /unfolds to far more than any drawing needs/;

describe("a PDF's packed streams", () => {
  it("are taken as drawings have them, whole or broken off", async () => {
    const d = await PDFDocument.create();
    d.addPage([300, 200]).drawLine({ start: { x: 1, y: 2 }, end: { x: 200, y: 150 } });
    await checkStreams(await d.save());
    await checkStreams(pdf(stream(deflateSync(spaces(5e6)))));
    await checkStreams(pdf(stream(deflateSync(spaces(5e6)).subarray(0, 900))));
    await checkStreams(pdf(stream(Buffer.from("78da is no beginning of anything"))));
    await checkStreams(pdf(stream(Buffer.from([0x78, 0xda, 1, 2, 3, 4, 5]))));
    await checkStreams(pdf(Buffer.from("stream without an end")));
    await checkStreams(new Uint8Array());
  });
  it("are refused when a small one holds a hundred megabytes, all that came out counted where junk follows", async () => {
    const bomb = deflateSync(spaces(100e6), { level: 9 });
    await expect(checkStreams(pdf(stream(bomb)))).rejects.toThrow(REFUSED);
    await expect(checkStreams(pdf(stream(bomb, "junk\nendstream")))).rejects.toThrow(REFUSED);
    await expect(checkStreams(pdf(stream(bomb, "")))).rejects.toThrow(REFUSED);
  });
  it("are refused when packed twice, but not a grey picture that begins as if it were packed", async () => {
    const twice = deflateSync(deflateSync(spaces(60e6), { level: 9 }));
    await expect(checkStreams(pdf(stream(twice)))).rejects.toThrow(REFUSED);
    const grey = Buffer.alloc(1e6, 200);
    grey.set([0x78, 0x9c]);
    await checkStreams(pdf(stream(deflateSync(grey))));
  });
  it("are refused when one or all together unfold to more than may be", async () => {
    const part = stream(deflateSync(spaces(1e6), { level: 1 }));
    const most = { one: 2e6, all: 9e6 };
    await checkStreams(pdf(...Array.from({ length: 9 }, () => part)), most);
    await expect(checkStreams(pdf(...Array.from({ length: 10 }, () => part)), most)).rejects.toThrow(REFUSED);
    await expect(checkStreams(pdf(stream(deflateSync(spaces(2_000_001)))), most)).rejects.toThrow(REFUSED);
  });
});
