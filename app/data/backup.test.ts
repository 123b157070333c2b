import Database from "better-sqlite3";
import { createWriteStream, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { buffer } from "node:stream/consumers";
import { finished } from "node:stream/promises";
import sharp from "sharp";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import yauzl from "yauzl";
import yazl from "yazl";
import { writeBackup, type Manifest } from "./backup.server";
import { closeDb, db } from "./db.server";
import { clearDeleted, createJob, deleteJob, duplicateJob, exportJob, importJob, readJob } from "./jobs.server";
import { keepEntry } from "./keep.server";
import { addPicture, clearHalves, originalOf, readTile } from "./pictures.server";
import { BackupError, restoreBackup } from "./restore.server";
import { listCards } from "./shelf.server";

let here = "";
let there = "";
beforeEach(() => {
  here = mkdtempSync(join(tmpdir(), "cardo-backup-"));
  there = mkdtempSync(join(tmpdir(), "cardo-backup-"));
  process.env.CARDO_DATA = here;
});
afterEach(() => {
  closeDb();
  for (const dir of [here, there]) rmSync(dir, { recursive: true, force: true });
});
const at = (name: string): string => join(there, name);
async function backup(name = "all.zip"): Promise<Manifest> {
  return writeBackup(createWriteStream(at(name)));
}
const names = (): string[] => listCards().map((c) => c.name).sort(); // prettier-ignore
let entries = 0;
const rename = (id: string, name: string, base = readJob(id)!.confirmed.revision) =>
  keepEntry(id, { kind: "edit", id: `entry-${entries++}`, base, label: "Rename the job", patches: [{ op: "set", path: ["name"], value: name }] }); // prettier-ignore
const GULCH = readFileSync("examples/gulch-trestle.json", "utf8");
/** The files of a zip. */
async function filesOf(name: string): Promise<Map<string, Buffer>> {
  const zip = await yauzl.openPromise(at(name), { lazyEntries: true });
  const out = new Map<string, Buffer>();
  for await (const e of zip.eachEntry()) out.set(e.fileName, await buffer(await zip.openReadStreamPromise(e)));
  return out;
}
/** A zip of such files. */
async function zipOf(name: string, files: Iterable<readonly [string, Buffer]>): Promise<void> {
  const zip = new yazl.ZipFile();
  for (const [n, bytes] of files) zip.addBuffer(bytes, n);
  zip.end();
  await finished(zip.outputStream.pipe(createWriteStream(at(name))));
}

describe("a backup", () => {
  it("brings everything back: jobs, undo, what was deleted lately, pictures and their tiles", async () => {
    const id = await importJob(GULCH);
    rename(id, "Gulch, measured again");
    const gone = createJob("Coal shed");
    deleteJob(gone);
    const before = {
      doc: readJob(id)!.confirmed.doc,
      past: readJob(id)!.confirmed.past,
      file: [...exportJob(id)!.pieces].join(""),
    };
    const { hash } = before.doc.drawings[0]!.picture!;
    const manifest = await backup();
    expect(manifest).toMatchObject({ cardo: "backup", version: 1, jobs: 1, missing: [] });
    expect(manifest.pictures).toBeGreaterThan(0);

    closeDb();
    process.env.CARDO_DATA = join(there, "elsewhere");
    expect(await restoreBackup(at("all.zip"))).toEqual({
      madeAt: manifest.madeAt,
      jobs: 1,
      pictures: manifest.pictures,
      before: undefined,
    });
    expect(readJob(id)!.confirmed).toMatchObject({ doc: before.doc, past: before.past });
    expect([...exportJob(id)!.pieces].join("")).toBe(before.file);
    expect(readFileSync(originalOf(hash))).toEqual(readFileSync(join(here, "pictures", hash)));
    expect((await sharp(await readTile(hash, 0, 0, 0)).metadata()).format).toBe("jpeg");
    const undone = keepEntry(id, { kind: "undo", id: "undo-1", base: readJob(id)!.confirmed.revision, label: "Rename the job" } as never); // prettier-ignore
    expect(undone).toMatchObject({ ok: true });
    expect(names()).toEqual(["Gulch trestle"]);
    expect(readdirSync(join(there, "elsewhere")).filter((n) => /half|restore-/.test(n))).toEqual([]);
  });

  it("takes the place of what is there, which stays beside it, and none of its pictures is lost", async () => {
    const id = await importJob(GULCH);
    await backup();
    rename(id, "Thrown away");
    createJob("Thrown away too");
    const { hash } = await addPicture(await sharp({ create: { width: 400, height: 300, channels: 3, background: "#321" } }).png().toBuffer(), "late.png"); // prettier-ignore
    expect(await restoreBackup(at("all.zip"))).toMatchObject({ before: "cardo.before-restore-1.sqlite" });
    expect(names()).toEqual(["Gulch trestle"]);
    const old = new Database(join(here, "cardo.before-restore-1.sqlite"), { readonly: true });
    expect((old.prepare("SELECT name FROM jobs ORDER BY name").all() as { name: string }[]).map((r) => r.name)).toEqual(["Thrown away", "Thrown away too"]); // prettier-ignore
    old.close();
    clearDeleted();
    expect(existsSync(join(here, "pictures", hash))).toBe(true);
    // once more: nothing that was kept aside is written over
    expect(await restoreBackup(at("all.zip"))).toMatchObject({ before: "cardo.before-restore-2.sqlite" });
  });

  it("asks about what a page that was open before sends, whatever its revision, and keeps the card's picture", async () => {
    const id = await importJob(GULCH);
    rename(id, "One");
    await backup();
    rename(id, "Two");
    rename(id, "Three");
    const seen = readJob(id)!.confirmed.revision;
    await restoreBackup(at("all.zip"));
    expect(readJob(id)!.confirmed.revision).toBe(seen + 1);
    expect(listCards()[0]).toMatchObject({ name: "One", revision: seen + 1 });
    expect(rename(id, "Typed in the old page", seen)).toMatchObject({ ok: false, why: "conflict" });
    expect(rename(id, "Typed now")).toMatchObject({ ok: true });
    expect(readJob(id)!.confirmed.past.at(-1)!.label).toBe("Rename the job");
  });

  it("is put in place where the database and a picture are damaged", async () => {
    const id = await importJob(GULCH);
    const { hash } = readJob(id)!.confirmed.doc.drawings[0]!.picture!;
    const whole = readFileSync(originalOf(hash));
    await backup();
    closeDb();
    writeFileSync(originalOf(hash), whole.subarray(0, 500));
    writeFileSync(join(here, "cardo.sqlite"), "this was a database once".repeat(400));
    expect(await restoreBackup(at("all.zip"))).toMatchObject({ jobs: 1, before: "cardo.before-restore-1.sqlite" });
    expect(names()).toEqual(["Gulch trestle"]);
    expect(readFileSync(originalOf(hash))).toEqual(whole);
  });

  it("is whole while edits go on", async () => {
    const id = createJob("Busy");
    for (let i = 0; i < 20; i++) duplicateJob(id);
    const making = backup();
    for (let i = 0; i < 40; i++) {
      rename(id, `Busy ${i}`);
      await new Promise((r) => setImmediate(r));
    }
    await making;
    const kept = readJob(id)!.confirmed.doc.name;
    expect(kept).toBe("Busy 39");
    await restoreBackup(at("all.zip"));
    expect(names().filter((n) => n.startsWith("Busy"))).toHaveLength(21);
  });

  it("tells of pictures that were lost before it was made, and comes back without them", async () => {
    const id = await importJob(GULCH);
    const { hash } = readJob(id)!.confirmed.doc.drawings[0]!.picture!;
    rmSync(originalOf(hash));
    expect((await backup()).missing).toEqual([hash]);
    expect(await restoreBackup(at("all.zip"))).toMatchObject({ jobs: 1 });
  });

  it("is refused, and nothing changed, when anything in it is not as it was written", async () => {
    const id = await importJob(GULCH);
    const manifest = await backup();
    const files = await filesOf("all.zip");
    const { hash } = readJob(id)!.confirmed.doc.drawings[0]!.picture!;
    const flipped = (b: Buffer, i: number): Buffer => (((b = Buffer.from(b))[i]! ^= 4), b);
    const withManifest = (m: Partial<Manifest> | null) => new Map(files).set("manifest.json", Buffer.from(JSON.stringify(m))); // prettier-ignore
    const without = (n: string) => [...files].filter(([name]) => name !== n);
    const trigger = Buffer.from(files.get("cardo.sqlite")!);
    writeFileSync(at("t.sqlite"), trigger);
    const t = new Database(at("t.sqlite"));
    t.exec("CREATE TRIGGER away AFTER INSERT ON jobs BEGIN DELETE FROM revisions; END");
    t.pragma("wal_checkpoint(TRUNCATE)");
    t.close();
    const withTrigger = readFileSync(at("t.sqlite"));
    const { createHash } = await import("node:crypto");
    const sha = (b: Buffer): string => createHash("sha256").update(b).digest("hex");
    const cases: [string, Iterable<readonly [string, Buffer]>, RegExp][] = [
      ["empty", [], /is no backup of Cardo's/],
      ["no manifest", without("manifest.json"), /is no backup of Cardo's/],
      ["null", withManifest(null), /is no backup of Cardo's/],
      ["another's", withManifest({ ...manifest, cardo: "else" as never }), /is no backup/],
      ["newer", withManifest({ ...manifest, version: 2 }), /made by a newer Cardo/],
      ["no date", withManifest({ ...manifest, madeAt: "soon" }), /is no backup/],
      ["no database", without("cardo.sqlite"), /database in the backup is damaged/],
      ["a bit in the database", new Map(files).set("cardo.sqlite", flipped(files.get("cardo.sqlite")!, 5000)), /database in the backup is damaged/],
      ["no picture", without(`pictures/${hash}`), /picture in the backup is missing or damaged/],
      ["a bit in a picture", new Map(files).set(`pictures/${hash}`, flipped(files.get(`pictures/${hash}`)!, 99)), /picture in the backup/],
      ["a trigger", new Map(withManifest({ ...manifest, database: sha(withTrigger) })).set("cardo.sqlite", withTrigger), /database in the backup is damaged/],
      ["something else", [...files, ["pictures/x.sh", Buffer.from("echo")]], /holds “pictures\/x\.sh”/],
    ]; // prettier-ignore
    for (const [name, list, words] of cases) {
      await zipOf(`${name}.zip`, list);
      const e = await restoreBackup(at(`${name}.zip`)).catch((x: unknown) => x);
      expect(e, name).toBeInstanceOf(BackupError);
      expect((e as Error).message, name).toMatch(words);
    }
    writeFileSync(at("text.zip"), "no zip at all");
    writeFileSync(at("short.zip"), readFileSync(at("all.zip")).subarray(0, 9000));
    for (const name of ["text.zip", "short.zip"]) await expect(restoreBackup(at(name))).rejects.toThrow(/is no backup of Cardo's, or it breaks off/); // prettier-ignore
    expect(names()).toEqual(["Gulch trestle"]);
    expect(readdirSync(here).filter((n) => /restore|half/.test(n))).toEqual([]);
  });

  it("leaves nothing behind when it is broken off, and what a kill leaves is cleared at the next start", async () => {
    await importJob(GULCH);
    const out = createWriteStream(at("broken.zip"));
    setTimeout(() => out.destroy(new Error("gone")), 0);
    await expect(writeBackup(out)).rejects.toThrow();
    expect(readdirSync(here).filter((n) => /backup/.test(n))).toEqual([]);
    for (const n of ["backup-1-half", "backup-1-half-wal", "upload-2-half"]) writeFileSync(join(here, n), "x");
    clearHalves();
    expect(readdirSync(here).filter((n) => /half/.test(n))).toEqual([]);
    expect(db().$client.open).toBe(true);
  });
});
