import { readSvg } from "core/sources";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { crc32, deflateSync } from "node:zlib";
import { eq } from "drizzle-orm";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type * as Jobs from "./jobs.server";
import type * as Keeper from "./keep.server";
import type * as Pictures from "./pictures.server";
import { newStructure } from "core/job";
import { HISTORY, type Patch } from "core/keeping";
import { feet } from "core/units";

let dir = "";
let jobs: typeof Jobs;
let keeper: typeof Keeper;
let pictures: typeof Pictures;
beforeAll(async () => {
  dir = mkdtempSync(join(tmpdir(), "cardo-data-"));
  process.env.CARDO_DATA = dir;
  jobs = await import("./jobs.server");
  keeper = await import("./keep.server");
  pictures = await import("./pictures.server");
});
afterAll(() => rmSync(dir, { recursive: true, force: true }));

const at = (value: string) => [{ op: "set" as const, path: ["name"], value }];
let serial = 0;
const ids = (): string => `entry-${serial++}`;
const edit = (id: string, base: number, label: string, patches: readonly Patch[], entry = ids()) =>
  keeper.keepEntry(id, { kind: "edit", id: entry, base, label, patches });
const step = (id: string, base: number, kind: "undo" | "redo") => keeper.keepEntry(id, { kind, id: ids(), base });
const ok = (r: ReturnType<typeof edit>) => {
  if (!r.ok) throw new Error(JSON.stringify(r));
  return r;
};
const read = (id: string) => jobs.readJob(id)!.confirmed;
const bent = (id: string) => ({ op: "put" as const, path: ["structures"], value: newStructure("trestle-bent", id, "Bent") }); // prettier-ignore
const height = (value: number, s = "g") => ({ op: "set" as const, path: ["structures", `#${s}`, "variants", "#first", "params", "height"], value }); // prettier-ignore

describe("jobs on the shelf", () => {
  it("of an earlier version are read as this one's, nothing is written for that, and they go on from there", async () => {
    const { db } = await import("./db.server");
    const { jobs: table } = await import("./schema.server");
    const id = jobs.createJob("Old");
    const picture = { hash: "a".repeat(64), type: "image/png", width: 900, height: 700 };
    const calibration = { from: [1, 2], to: [300, 40], length: 900, tilt: 1 };
    const under = { structure: "g", anchor: [5, 6], opacity: 0.4 };
    const { doc } = read(id);
    const old = JSON.stringify({
      ...doc,
      version: 1,
      drawings: [{ id: "d", name: "Sheet", picture, calibration, measures: [], under }],
    });
    db()
      .update(table)
      .set({ doc: old, undo: [1], redo: [2] })
      .where(eq(table.id, id))
      .run();
    const now = read(id);
    expect([now.doc.version, now.past, now.future, now.older]).toEqual([2, [], [], 0]);
    expect(now.doc.drawings[0]).toMatchObject({
      openings: [],
      calibration: { lengths: [{ from: [1, 2], length: 900, use: "scale" }], tilt: 1 },
      under: [{ structure: "g", view: "front", anchor: [5, 6] }],
    });
    expect(db().select().from(table).where(eq(table.id, id)).get()!.doc).toBe(old);
    ok(edit(id, now.revision, "Rename", at("New")));
    expect([read(id).doc.name, read(id).past.map((s) => s.label)]).toEqual(["New", ["Rename"]]);
    jobs.deleteJob(id);
  });
  it("undo and redo as revisions of their own, across reading the job again", () => {
    const id = jobs.createJob("One");
    ok(edit(id, 0, "Rename", at("Two")));
    ok(edit(id, 1, "Rename again", at("Three")));
    expect(ok(step(id, 2, "undo")).revision).toBe(3);
    const back = read(id);
    expect([back.doc.name, back.future.map((s) => s.label), back.past.map((s) => s.label)]).toEqual([
      "Two",
      ["Rename again"],
      ["Rename"],
    ]);
    ok(step(id, 3, "undo"));
    expect(read(id).doc.name).toBe("One");
    ok(step(id, 4, "redo"));
    expect(read(id).doc.name).toBe("Two");
    ok(edit(id, 5, "Other way", at("Four")));
    expect([read(id).future, read(id).doc.name]).toEqual([[], "Four"]);
    expect(step(jobs.createJob("New"), 0, "undo")).toEqual({
      ok: false,
      why: "refused",
      sentences: ["There is nothing to undo."],
    });
  });
  it("keep an entry once, however often it is sent, and tell the later of two tabs with the job as it is", () => {
    const id = jobs.createJob("Shared");
    const first = edit(id, 0, "Frame", [bent("g")], "the-same-entry");
    expect(edit(id, 0, "Frame", [bent("g")], "the-same-entry")).toEqual(first);
    expect([read(id).revision, jobs.readJob(id)!.entries]).toEqual([1, ["the-same-entry"]]);
    ok(edit(id, 1, "Height", [height(feet(25))]));
    const late = edit(id, 1, "Height", [height(feet(30))]);
    expect(late).toMatchObject({ ok: false, why: "conflict", state: { confirmed: { revision: 2 } } });
  });
  it("answer with a number and a time, not with the job", () => {
    const id = jobs.createJob("Small");
    const answer = ok(edit(id, 0, "Frame", [bent("g")]));
    expect(JSON.stringify(answer).length).toBeLessThan(120);
  });
  it("refuse a change that would break the document, in a sentence, and stay as they were", () => {
    const id = jobs.createJob("Sound");
    const refused = edit(id, 0, "Break", [{ op: "set", path: ["brief", "scale", "ratio"], value: -1 }]);
    expect(refused).toMatchObject({ ok: false, why: "refused" });
    for (const path of [
      ["drawings", 1_000_000_000],
      ["__proto__", "polluted"],
      ["structures", "#none", "name"],
    ])
      // prettier-ignore
      expect(edit(id, 0, "Break", [{ op: "set", path, value: 1 }])).toMatchObject({ ok: false, why: "refused" });
    expect(read(id).revision).toBe(0);
  });
  it("tell of a job that is off the shelf, and keep on when it is put back", () => {
    const id = jobs.createJob("Away");
    jobs.deleteJob(id);
    expect(edit(id, 0, "Rename", at("Two"))).toEqual({ ok: false, why: "gone" });
    jobs.restoreJob(id);
    ok(edit(id, 0, "Rename", at("Two")));
  });
  it("can take back two hundred changes, and drop revisions nobody needs any more", async () => {
    const { db } = await import("./db.server");
    const { revisions } = await import("./schema.server");
    const id = jobs.createJob("Long");
    for (let n = 0; n < HISTORY + 60; n++) ok(edit(id, n, `To ${n}`, at(`Name ${n}`)));
    const rows = (): number[] => db().select({ n: revisions.number }).from(revisions).where(eq(revisions.job, id)).all().map((r) => r.n); // prettier-ignore
    expect([Math.min(...rows()), rows().length]).toEqual([60, HISTORY + 1]);
    let at_ = HISTORY + 60;
    for (let n = 0; n < HISTORY; n++) ok(step(id, at_++, "undo"));
    expect([read(id).doc.name, step(id, at_, "undo").ok]).toEqual(["Name 59", false]);
  });
  it("send no more of a long history than is soon needed, and the rest when it is asked for", () => {
    const id = jobs.createJob("Heavy");
    const reasons = (n: number) => [{ op: "set" as const, path: ["brief", "decisions"], value: Array.from({ length: 20 }, (_, i) => ({ id: `d${i}`, what: `w${n}`, reason: "r".repeat(900) })) }]; // prettier-ignore
    for (let n = 0; n < 6; n++) ok(edit(id, n, `To ${n}`, reasons(n)));
    const { past, older } = read(id);
    expect([past.length < 6, past.length + older, past.at(-1)!.label]).toEqual([true, 6, "To 5"]);
  });
  it("go and come back, are copied, and travel with their pictures", async () => {
    const id = await jobs.importJob(readFileSync("examples/gulch-trestle.json", "utf8"));
    const copy = jobs.duplicateJob(id)!;
    expect(read(copy).doc.name).toBe("Gulch trestle, copy");
    jobs.deleteJob(id);
    expect(jobs.readJob(id)).toBeUndefined();
    jobs.restoreJob(id);
    const text = [...jobs.exportJob(id)!.pieces].join("");
    const again = await jobs.importJob(text);
    expect(read(again).doc).toEqual(read(id).doc);
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
    const tile = async (...at: [number, number, number]) => {
      const bytes = await pictures.readTile(hash, ...at);
      return bytes && (await sharp(bytes).metadata()).width;
    };
    expect([await tile(0, 0, 0), await tile(2, 2, 1), await tile(2, 3, 0), await tile(9, 0, 0)]).toEqual([
      512,
      512,
      undefined,
      undefined,
    ]);
  });
});
