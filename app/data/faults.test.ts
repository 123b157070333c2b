import Database from "better-sqlite3";
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { eq } from "drizzle-orm";
import sharp from "sharp";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { action as uploadAction } from "../routes/drawings/upload";
import { action as revisionsAction } from "../routes/job/revisions";
import { loader as start } from "../routes/job/start";
import { formOf, jsonOf, limited, Queue, TooLarge } from "./body.server";
import { closeDb, db } from "./db.server";
import { faultWords } from "./faults.server";
import { createJob, readJob } from "./jobs.server";
import { jobs, pictures } from "./schema.server";
import { addPicture } from "./pictures.server";
import { letGo, makeReady } from "./start.server";

let dir = "";
beforeEach(() => {
  dir = mkdtempSync(join(tmpdir(), "cardo-faults-"));
  process.env.CARDO_DATA = dir;
});
afterEach(() => {
  letGo();
  closeDb();
  rmSync(dir, { recursive: true, force: true });
});
/** A body that goes on for as long as it is read, and counts what was. */
function endless(): { readonly body: ReadableStream<Uint8Array>; readonly read: () => number } {
  let sent = 0;
  const chunk = new Uint8Array(65536).fill(0x20);
  return {
    read: () => sent,
    body: new ReadableStream({
      pull(c) {
        sent += chunk.length;
        c.enqueue(chunk);
      },
    }),
  };
}
const post = (body: BodyInit, headers: Record<string, string> = {}): Request =>
  new Request("http://127.0.0.1/x", { method: "POST", body, headers, duplex: "half" } as RequestInit);

describe("a body", () => {
  it("is read no further than it may be long, also when it does not say how long it is", async () => {
    const { body, read } = endless();
    await expect(jsonOf(post(body), 1e6)).rejects.toThrow(TooLarge);
    expect(read()).toBeLessThan(2e6);
    const form = endless();
    await expect(formOf(post(form.body, { "content-type": "multipart/form-data; boundary=b" }), 1e6)).rejects.toThrow(/larger than 977 kB/); // prettier-ignore
    expect(form.read()).toBeLessThan(2e6);
  });
  it("that says it is too long is not read at all", () => {
    const { body, read } = endless();
    expect(() => limited(post(body, { "content-length": "99999999" }), 20 * 1048576)).toThrow("larger than 20 MB, which is the most here"); // prettier-ignore
    expect(read()).toBeLessThanOrEqual(65536);
  });
  it("is JSON or nothing, a form or a sentence", async () => {
    expect(await jsonOf(post('{"a":1}'), 100)).toEqual({ a: 1 });
    expect(await jsonOf(post("wood"), 100)).toBeUndefined();
    await expect(formOf(post("wood", { "content-type": "multipart/form-data; boundary=b" }), 100)).rejects.toThrow(/broke off or is no form/); // prettier-ignore
  });
  it("waits its turn where much memory is taken, and is sent away when too many wait", async () => {
    const q = new Queue(3);
    let inside = 0;
    let most = 0;
    const work = async (): Promise<number> => {
      most = Math.max(most, ++inside);
      await new Promise((r) => setTimeout(r, 5));
      return inside--;
    };
    const all = await Promise.allSettled(Array.from({ length: 5 }, () => q.run(work)));
    expect(most).toBe(1);
    expect(all.map((r) => r.status)).toEqual(["fulfilled", "fulfilled", "fulfilled", "rejected", "rejected"]);
    await expect(q.run(() => Promise.reject(new Error("one that fails")))).rejects.toThrow("one that fails");
    expect(await q.run(() => Promise.resolve(7))).toBe(7);
  });
});

describe("a fault of the disk or the database", () => {
  it.each([
    ["SQLITE_FULL", /disk is full/],
    ["ENOSPC", /disk is full/],
    ["SQLITE_BUSY", /Another program holds/],
    ["SQLITE_READONLY", /may not write/],
    ["EROFS", /may not write/],
    ["SQLITE_NOTADB", /damaged/],
    ["SQLITE_IOERR_WRITE", /does not answer as it should/],
  ])("%s is told in words, and is no refusal of what was typed", (code, words) => {
    const said = faultWords(Object.assign(new Error("database or disk is full"), { code }));
    expect(said).toMatch(words);
    expect(said).not.toMatch(/SQLITE|database or disk/);
  });
  it("is nothing else's", () => {
    expect(faultWords(new TypeError("x is not a function"))).toBeUndefined();
    expect(faultWords("text")).toBeUndefined();
  });
  it("while another program holds the database answers 503, and the edit is kept once it is let go", async () => {
    const id = createJob("Held");
    db().$client.pragma("busy_timeout = 20");
    const other = new Database(join(dir, "cardo.sqlite"));
    other.exec("BEGIN IMMEDIATE");
    const entry = { kind: "edit", id: "entry-held", base: 0, label: "Name", patches: [{ op: "set", path: ["name"], value: "Let go" }] }; // prettier-ignore
    const send = (): Promise<Response> => revisionsAction({ request: post(JSON.stringify(entry)), params: { job: id } } as never); // prettier-ignore
    const held = await send();
    expect(held.status).toBe(503);
    expect(await held.json()).toEqual({
      fault: expect.stringMatching(/^Another program holds Cardo's database\./) as unknown,
    });
    expect(readJob(id)!.confirmed.revision).toBe(0);
    other.exec("ROLLBACK");
    other.close();
    expect((await send()).status).toBe(200);
    expect(readJob(id)!.confirmed.doc.name).toBe("Let go");
  });
  it("at the start is a sentence with what to do, and changes nothing", () => {
    writeFileSync(join(dir, "cardo.sqlite"), "this is no database, but somebody's notes".repeat(200));
    expect(makeReady()).toMatch(/cannot be served\. Cardo's database is damaged\. Stop Cardo, keep a copy/);
    expect(readFileSync(join(dir, "cardo.sqlite"), "utf8")).toMatch(/^this is no database/);
  });
  it("of a flipped bit is seen at the start", () => {
    for (let i = 0; i < 40; i++) createJob(`Job ${i}`);
    db().$client.pragma("wal_checkpoint(TRUNCATE)");
    closeDb();
    const file = join(dir, "cardo.sqlite");
    const bytes = readFileSync(file);
    // the header of the second page says what sort of page it is
    bytes[4096]! ^= 0x40;
    writeFileSync(file, bytes);
    expect(makeReady()).toMatch(/database is damaged/);
  });
  it("in a folder that may not be written is told", { skip: process.getuid?.() === 0 }, () => {
    const locked = join(dir, "locked");
    mkdirSync(locked);
    chmodSync(locked, 0o500);
    process.env.CARDO_DATA = locked;
    expect(makeReady()).toMatch(/may not write into its folder/);
  });
});

describe("a folder", () => {
  it("is served by one server: a second one says so, and one that died is no server", () => {
    expect(makeReady()).toBeUndefined();
    // this test's parent lives
    writeFileSync(join(dir, "server.lock"), String(process.ppid));
    expect(makeReady()).toMatch(new RegExp(`^Another Cardo serves .* already \\(process ${process.ppid}\\)`));
    writeFileSync(join(dir, "server.lock"), "999999999");
    expect(makeReady()).toBeUndefined();
    letGo();
    expect(existsSync(join(dir, "server.lock"))).toBe(false);
  });
  it("is cleared of what killed uploads left, and of nothing else", async () => {
    const png = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#fff" } })
      .png()
      .toBuffer();
    const { hash } = await addPicture(png, "whole");
    const folder = join(dir, "pictures");
    writeFileSync(join(folder, `${"a".repeat(64)}-half`), "half");
    mkdirSync(join(folder, `${"b".repeat(64)}-tiles-new`));
    expect(makeReady()).toBeUndefined();
    expect(readdirSync(folder).sort()).toEqual([hash, `${hash}-tiles`].sort());
  });
  it("keeps the copy before a migration whatever starts later", () => {
    // as the first Cardo left it
    const migrations = "app/data/migrations";
    const [first] = (JSON.parse(readFileSync(`${migrations}/meta/_journal.json`, "utf8")) as { entries: { when: number }[] }).entries; // prettier-ignore
    const file = new Database(join(dir, "cardo.sqlite"));
    file.exec(readFileSync(`${migrations}/0000_first.sql`, "utf8").replaceAll("--> statement-breakpoint", ""));
    file.exec("CREATE TABLE __drizzle_migrations (id INTEGER PRIMARY KEY, hash text NOT NULL, created_at numeric)");
    file.prepare("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('first', ?)").run(first!.when);
    file.close();
    db();
    const copy = join(dir, "cardo.before-migration-2.sqlite");
    const known = readFileSync(copy);
    createJob("After");
    closeDb();
    db();
    closeDb();
    expect(readFileSync(copy).equals(known)).toBe(true);
    expect(readdirSync(dir).filter((n) => n.includes("before-migration"))).toHaveLength(1);
    const before = new Database(copy, { readonly: true });
    expect(before.prepare("SELECT name FROM sqlite_master WHERE name = 'cards'").get()).toBeUndefined();
    before.close();
  });
});

describe("a job's first address", () => {
  it("is written as addresses are, whatever is asked for", () => {
    for (const job of ["né", "木", "a b", "%", "x\ny"])
      expect(start({ params: { job } } as never).headers.get("location")).toBe(
        `/jobs/${encodeURIComponent(job)}/brief`,
      );
  });
});

describe("a picture", () => {
  const upload = async (
    bytes: Buffer,
    name = "scan.png",
    job = "none",
  ): Promise<{ ok: boolean; sentence?: string; picture?: { hash: string } }> => {
    const form = new FormData();
    form.set("file", new File([new Uint8Array(bytes)], name));
    const r = await uploadAction({ request: post(form), params: { job } } as never);
    return (await r.json()) as never;
  };
  it("one pixel high and very wide is refused before it is read", async () => {
    const strip = await sharp({ create: { width: 60_000, height: 1, channels: 3, background: "#fff" } }).png().toBuffer(); // prettier-ignore
    const start = performance.now();
    expect(await upload(strip)).toEqual({ ok: false, sentence: "“scan.png” has 60000 × 1 pixels; a drawing has at least 16 on its short side and at most 60000 on its long one." }); // prettier-ignore
    expect(performance.now() - start).toBeLessThan(5000);
  });
  it("that would make a job heavier than a job file may be is refused, with what would do", async () => {
    const job = createJob("Heavy");
    const hashes = ["a", "b"].map((c) => c.repeat(64));
    for (const hash of hashes)
      db().insert(pictures).values({ hash, type: "image/png", width: 9000, height: 9000, bytes: 116e6, addedAt: "2026-11-01T00:00:00Z" }).run(); // prettier-ignore
    db().update(jobs).set({ doc: JSON.stringify({ drawings: hashes }) }).where(eq(jobs.id, job)).run(); // prettier-ignore
    const r = await upload(Buffer.alloc(22e6, 7), "third.png", job);
    expect(r).toEqual({ ok: false, sentence: "The drawings of this job have 221 MB already, and this one has 21; 240 MB is the most for a job. Remove one that is not needed, or save this one as JPEG." }); // prettier-ignore
    // in another job there is room, and then it is looked at
    expect((await upload(Buffer.alloc(22e6, 7), "third.png", createJob("Light"))).sentence).toMatch(/no picture that can be read/); // prettier-ignore
  });
  it("sent four times at once is taken in once", async () => {
    const png = await sharp({ create: { width: 900, height: 700, channels: 3, background: "#abc" } })
      .png()
      .toBuffer();
    const all = await Promise.all([1, 2, 3, 4].map(() => addPicture(png, "same")));
    expect(new Set(all.map((p) => p.hash)).size).toBe(1);
    const sent = await Promise.all([1, 2, 3, 4].map(() => upload(png)));
    expect(sent.map((s) => s.ok)).toEqual([true, true, true, true]);
    expect(readdirSync(join(dir, "pictures")).filter((n) => /half|new/.test(n))).toEqual([]);
  });
  it.each([
    [Buffer.from("wood"), /no picture that can be read/],
    [Buffer.alloc(0), /No file came|is empty/],
    [Buffer.from('{"lines":'), /lines|JSON|read/i],
  ])("that is none is refused in words: %s", async (bytes, words) => {
    const r = await upload(bytes);
    expect(r.ok).toBe(false);
    expect(r.sentence).toMatch(words);
    expect(r.sentence).not.toMatch(/Unexpected token|VipsJpeg|undefined/);
  });
});
