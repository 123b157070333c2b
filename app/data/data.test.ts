import { readSvg } from "core/sources";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { crc32, deflateSync } from "node:zlib";
import { eq } from "drizzle-orm";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type * as Jobs from "./jobs.server";
import type * as Pictures from "./pictures.server";
import { newStructure, type JobDoc } from "core/job";
import { feet } from "core/units";

let dir = "";
let jobs: typeof Jobs;
let pictures: typeof Pictures;
beforeAll(async () => {
  dir = mkdtempSync(join(tmpdir(), "cardo-data-"));
  process.env.CARDO_DATA = dir;
  jobs = await import("./jobs.server");
  pictures = await import("./pictures.server");
});
afterAll(() => rmSync(dir, { recursive: true, force: true }));

const rename = (value: string) => [{ op: "replace" as const, path: ["name"], value }];
const ok = (r: ReturnType<typeof jobs.editJob>) => {
  if (!r.ok) throw new Error(JSON.stringify(r));
  return r.state;
};

describe("jobs on the shelf", () => {
  it("of an earlier version are brought up where they stand, and go on from there", async () => {
    const { db } = await import("./db.server");
    const { jobs: table } = await import("./schema.server");
    const id = jobs.createJob("Old");
    const picture = { hash: "a".repeat(64), type: "image/png", width: 900, height: 700 };
    const calibration = { from: [1, 2], to: [300, 40], length: 900, tilt: 1 };
    const under = { structure: "g", anchor: [5, 6], opacity: 0.4 };
    const doc = jobs.readJob(id)!.doc;
    const old = {
      ...doc,
      version: 1,
      drawings: [{ id: "d", name: "Sheet", picture, calibration, measures: [], under }],
    };
    db()
      .update(table)
      .set({ doc: old, undo: [1], redo: [2] })
      .where(eq(table.id, id))
      .run();
    const now = jobs.readJob(id)!;
    expect([now.doc.version, now.canUndo, now.canRedo]).toEqual([2, false, false]);
    expect(now.doc.drawings[0]).toMatchObject({
      openings: [],
      calibration: { lengths: [{ from: [1, 2], length: 900, use: "scale" }], tilt: 1 },
      under: [{ structure: "g", view: "front", anchor: [5, 6] }],
    });
    expect(jobs.listJobs().find((j) => j.id === id)!.doc.version).toBe(2);
    expect(ok(jobs.editJob(id, now.revision, "Rename", rename("New"))).doc.name).toBe("New");
    jobs.deleteJob(id);
  });
  it("undo and redo as revisions of their own, across reading the job again", () => {
    const id = jobs.createJob("One");
    ok(jobs.editJob(id, 0, "Rename", rename("Two")));
    ok(jobs.editJob(id, 1, "Rename again", rename("Three")));
    const back = ok(jobs.undoJob(id, 2));
    expect([back.doc.name, back.revision, back.redoLabel, back.undoLabel]).toEqual([
      "Two",
      3,
      "Rename again",
      "Rename",
    ]);
    expect(ok(jobs.undoJob(id, 3)).doc.name).toBe("One");
    expect(ok(jobs.redoJob(id, 4)).doc.name).toBe("Two");
    const branch = ok(jobs.editJob(id, 5, "Other way", rename("Four")));
    expect([branch.canRedo, jobs.readJob(id)!.doc.name]).toEqual([false, "Four"]);
    expect(jobs.undoJob(jobs.createJob("New"), 0)).toMatchObject({
      ok: false,
      sentences: ["There is nothing to undo."],
    });
  });
  it("tell the later of two tabs, and keep its structure as a variant", () => {
    const id = jobs.createJob("Shared");
    const add = [{ op: "add" as const, path: ["structures", 0], value: newStructure("trestle-bent", "g", "Bent") }];
    const first = ok(jobs.editJob(id, 0, "Frame", add));
    const height = (v: number) => [
      { op: "replace" as const, path: ["structures", 0, "variants", 0, "params", "height"], value: v },
    ];
    ok(jobs.editJob(id, 1, "Height", height(feet(25))));
    const late = jobs.editJob(id, 1, "Height", height(feet(30)));
    expect(late).toMatchObject({ ok: false, conflict: true });
    const mine = structuredClone(first.doc) as JobDoc;
    mine.structures[0]!.variants[0]!.params.height = feet(30);
    const both = ok(jobs.keepMine(id, mine, "20:14")).doc.structures[0]!;
    expect(both.variants.map((v) => [v.name, v.params.height])).toEqual([
      ["First", feet(25)],
      ["First, mine of 20:14", feet(30)],
    ]);
  });
  it("refuse a change that would break the document, and stay as they were", () => {
    const id = jobs.createJob("Sound");
    expect(
      jobs.editJob(id, 0, "Break", [{ op: "replace", path: ["brief", "scale", "ratio"], value: -1 }]),
    ).toMatchObject({ ok: false, conflict: false });
    expect(jobs.readJob(id)!.revision).toBe(0);
  });
  it("go and come back, are copied, and travel with their pictures", async () => {
    const id = await jobs.importJob(readFileSync("examples/gulch-trestle.json", "utf8"));
    const copy = jobs.duplicateJob(id)!;
    expect(jobs.readJob(copy)!.doc.name).toBe("Gulch trestle, copy");
    jobs.deleteJob(id);
    expect(jobs.readJob(id)).toBeUndefined();
    jobs.restoreJob(id);
    const text = jobs.exportJob(id)!.text;
    const again = await jobs.importJob(text);
    expect(jobs.readJob(again)!.doc).toEqual(jobs.readJob(id)!.doc);
    await expect(jobs.importJob(text.replace(/"files": \{[\s\S]*/, '"files": {}}'))).rejects.toThrow(
      "has no picture in the file",
    );
  });
});

describe("pictures", () => {
  const blank = (w: number, h: number) =>
    sharp({ create: { width: w, height: h, channels: 3, background: "#fff" }, limitInputPixels: false });
  it("take TIFF, and refuse bombs and headers that lie, before they are unpacked", async () => {
    const tiff = await blank(700, 300).tiff({ compression: "lzw" }).toBuffer();
    expect(await pictures.addPicture(tiff, "scan.tif")).toMatchObject({ type: "image/tiff", width: 700, height: 300 });
    // a PNG whose header promises more than there is: width and height stand at 16 and 20, the header's check at 29
    const lying = (width: number, height: number, png: Buffer): Buffer => {
      const out = Buffer.from(png);
      out.writeUInt32BE(width, 16);
      out.writeUInt32BE(height, 20);
      out.writeUInt32BE(crc32(out.subarray(12, 29)), 29);
      return out;
    };
    const png = await blank(700, 300).png().toBuffer();
    await expect(pictures.addPicture(lying(60_000, 60_000, png), "big.png")).rejects.toThrow(
      /^“big.png” has 3600 megapixels \(60000 × 60000\); 160 is the most/,
    );
    await expect(pictures.addPicture(lying(4000, 4000, png), "lies.png")).rejects.toThrow("breaks off or is damaged");
    const bomb = await blank(12_000, 12_000)
      .toColourspace("b-w")
      .tiff({ compression: "ccittfax4", bitdepth: 1 })
      .toBuffer();
    expect(bomb.length).toBeLessThan(40_000);
    await expect(pictures.addPicture(bomb, "bomb.tif")).rejects.toThrow(
      /^“bomb.tif” says it has 144 megapixels in only \d+ kB, so there is hardly anything on it/,
    );
  });
  it("keep lines of vector drawings, checked, and give them back", () => {
    const lines = readSvg('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 50"><path d="M0 0L90 50"/></svg>');
    const kept = pictures.addLines(Buffer.from(JSON.stringify(lines)));
    expect(JSON.parse(pictures.readLines(kept.hash)!)).toEqual(lines);
    expect(pictures.readLines("0".repeat(64))).toBeUndefined();
    expect(() => pictures.addLines(Buffer.from('{"format":"cardo-lines"}'))).toThrow("These are no lines of a drawing");
  });
  it("are what their bytes say, not what they are called", async () => {
    const png = await blank(700, 300).png().toBuffer();
    expect(await pictures.addPicture(png, "plan.exe")).toMatchObject({ type: "image/png", width: 700, height: 300 });
    await expect(
      pictures.addPicture(Buffer.from("<svg xmlns='http://www.w3.org/2000/svg'><script>1</script></svg>"), "a.png"),
    ).rejects.toThrow(/^“a\.png” is .*Upload a PNG, JPEG, WebP or TIFF picture, a PDF, an SVG or a DXF\.$/);
    await expect(pictures.addPicture(Buffer.from("hello"), "b.png")).rejects.toThrow(
      "is no picture that can be read here",
    );
    await expect(pictures.addPicture(png.subarray(0, png.length / 2), "c.png")).rejects.toThrow(
      "breaks off or is damaged",
    );
    await expect(pictures.addPicture(Buffer.alloc(0), "d.png")).rejects.toThrow("“d.png” is empty");
  });
  it("of 200 megapixels are refused by their size", async () => {
    // only the header of one: its size has to be asked before its pixels
    const chunk = (type: string, data: Buffer): Buffer => {
      const body = Buffer.concat([Buffer.from(type), data]);
      const [length, crc] = [Buffer.alloc(4), Buffer.alloc(4)];
      length.writeUInt32BE(data.length);
      crc.writeUInt32BE(crc32(body));
      return Buffer.concat([length, body, crc]);
    };
    const size = Buffer.alloc(13);
    size.writeUInt32BE(20000, 0);
    size.writeUInt32BE(10000, 4);
    size.set([8, 2], 8);
    const huge = Buffer.concat([
      Buffer.from("89504e470d0a1a0a", "hex"),
      chunk("IHDR", size),
      chunk("IDAT", deflateSync(Buffer.alloc(64))),
      chunk("IEND", Buffer.alloc(0)),
    ]);
    await expect(pictures.addPicture(huge, "wall.png")).rejects.toThrow(
      "“wall.png” has 200 megapixels (20000 × 10000); 160 is the most",
    );
  });
  it("lie in tiles, the whole of it in the first", async () => {
    const { hash } = await pictures.addPicture(await blank(1300, 900).jpeg().toBuffer(), "x.jpg");
    const tile = async (...at: [number, number, number]) =>
      pictures.readTile(hash, ...at) && (await sharp(pictures.readTile(hash, ...at)!).metadata()).width;
    expect([await tile(0, 0, 0), await tile(2, 2, 1), await tile(2, 3, 0), await tile(9, 0, 0)]).toEqual([
      512,
      512,
      undefined,
      undefined,
    ]);
  });
});
