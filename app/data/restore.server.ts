import Database from "better-sqlite3";
import { eq, sql } from "drizzle-orm";
import { randomUUID } from "node:crypto";
import {
  closeSync,
  copyFileSync,
  createWriteStream,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  statfsSync,
} from "node:fs";
import { basename, join } from "node:path";
import { pipeline } from "node:stream/promises";
import yauzl from "yauzl";
import { BACKUP_VERSION, DATABASE, hashOfFile, MANIFEST, type Manifest } from "./backup.server";
import { closeDb, dataDir, databaseFile, db, migrationsOf, openDatabase } from "./db.server";
import { makeFolder } from "./folder.server";
import { faultWords } from "./faults.server";
import { originalOf, picturesFolder } from "./pictures.server";
import { cards, jobs } from "./schema.server";

/** Why a file is no backup that can be put in place, in a sentence. */
export class BackupError extends Error {}

export interface Restored {
  readonly madeAt: string;
  readonly jobs: number;
  readonly pictures: number;
  /** Name of the file beside the database that holds what was there before; undefined when nothing was. */
  readonly before: string | undefined;
}
const NAME = /^(?:manifest\.json|cardo\.sqlite|pictures\/[0-9a-f]{64})$/;
const MOST_MANIFEST = 10e6;

/**
 * Puts a backup in the place of everything: takes the file apart beside the database, checks every part, and only then
 * changes over in one step. What was there before stays beside it. A kill at any time leaves either the old or the new.
 * Errors: BackupError with what is wrong with the file; those of the disk.
 */
export async function restoreBackup(file: string): Promise<Restored> {
  makeFolder(dataDir());
  const apart = join(dataDir(), `restore-${randomUUID()}-half`);
  mkdirSync(apart);
  try {
    const manifest = await takeApart(file, apart);
    await checkDatabase(join(apart, DATABASE), manifest, apart);
    takePictures(apart);
    const before = changeOver(join(apart, DATABASE));
    return { madeAt: manifest.madeAt, jobs: manifest.jobs, pictures: manifest.pictures, before };
  } finally {
    rmSync(apart, { recursive: true, force: true });
  }
}

async function takeApart(file: string, into: string): Promise<Manifest> {
  const told = (e: unknown): Error =>
    e instanceof BackupError || faultWords(e) !== undefined
      ? (e as Error)
      : new BackupError("The file is no backup of Cardo's, or it breaks off or is damaged. Choose another.");
  try {
    const zip = await yauzl.openPromise(file, { lazyEntries: true, autoClose: false });
    try {
      const room = statfsSync(into);
      let left = room.bavail * room.bsize;
      for await (const entry of zip.eachEntry()) {
        if (!NAME.test(entry.fileName))
          throw new BackupError(`The file holds “${entry.fileName.slice(0, 80)}”, which no backup of Cardo's does.`);
        if (entry.fileName === MANIFEST && entry.uncompressedSize > MOST_MANIFEST) throw new Error("manifest");
        left -= entry.uncompressedSize;
        if (left < 0)
          throw new BackupError("There is not enough room on the disk for what the backup holds. Make room, then do it again."); // prettier-ignore
        const to = join(into, basename(entry.fileName));
        await pipeline(await zip.openReadStreamPromise(entry), createWriteStream(to, { flags: "wx" }));
        syncFile(to);
      }
    } finally {
      zip.close();
    }
    return manifestIn(into);
  } catch (e) {
    throw told(e);
  }
}
function manifestIn(folder: string): Manifest {
  const m = JSON.parse(readFileSync(join(folder, MANIFEST), "utf8")) as Partial<Manifest> | null;
  if (m?.cardo !== "backup" || typeof m.version !== "number") throw new Error("manifest");
  if (m.version > BACKUP_VERSION)
    throw new BackupError("The backup was made by a newer Cardo. Restore it with that one.");
  const whole =
    typeof m.database === "string" &&
    typeof m.madeAt === "string" &&
    !Number.isNaN(Date.parse(m.madeAt)) &&
    Number.isInteger(m.jobs) &&
    Number.isInteger(m.pictures) &&
    Array.isArray(m.missing);
  if (!whole) throw new Error("manifest");
  return m as Manifest;
}

/** The database of a backup has to be the one that was written, whole, of a shape that this Cardo knows, with its pictures. */
async function checkDatabase(file: string, manifest: Manifest, apart: string): Promise<void> {
  const damaged = new BackupError("The database in the backup is damaged. Choose another backup.");
  if (!existsSync(file) || (await hashOfFile(file)) !== manifest.database) throw damaged;
  let client: Database.Database | undefined;
  let hashes: readonly string[];
  try {
    client = new Database(file, { readonly: true });
    const [check] = client.pragma("quick_check(1)") as { quick_check: string }[];
    // what runs by itself is nothing that Cardo makes
    const odd = client.prepare("SELECT name FROM sqlite_master WHERE type NOT IN ('table', 'index')").all();
    if (check?.quick_check !== "ok" || odd.length > 0) throw damaged;
    const { had, all } = migrationsOf(client);
    if (had > all) throw new BackupError("The backup was made by a newer Cardo. Restore it with that one.");
    if (had === 0) throw damaged;
    hashes = (client.prepare("SELECT hash FROM pictures").all() as { hash: string }[]).map((r) => r.hash);
  } catch (e) {
    throw e instanceof BackupError || faultWords(e)?.includes("disk") ? e : damaged;
  } finally {
    client?.close();
  }
  const missing = new Set(manifest.missing);
  for (const hash of hashes) {
    if (missing.has(hash)) continue;
    const picture = join(apart, hash);
    if (!existsSync(picture) || (await hashOfFile(picture)) !== hash)
      throw new BackupError("A picture in the backup is missing or damaged. Choose another backup.");
  }
}
/** Moves the pictures of a backup to the others: they are named by what is in them, so one takes the place of itself alone, whole where that was damaged. */
function takePictures(apart: string): void {
  makeFolder(picturesFolder());
  const client = new Database(join(apart, DATABASE), { readonly: true });
  try {
    for (const { hash } of client.prepare("SELECT hash FROM pictures").all() as { hash: string }[])
      if (existsSync(join(apart, hash))) renameSync(join(apart, hash), originalOf(hash));
  } finally {
    client.close();
  }
  syncFile(picturesFolder());
}

/** Puts a database in the place of the one that is there, in one step; answers the name under which that one stays. */
function changeOver(fresh: string): string | undefined {
  const file = databaseFile();
  const was = existsSync(file);
  goOnFrom(file, fresh);
  closeDb();
  let before: string | undefined;
  if (was) {
    let n = 1;
    while (existsSync(join(dataDir(), `cardo.before-restore-${n}.sqlite`))) n++;
    before = join(dataDir(), `cardo.before-restore-${n}.sqlite`);
    keepAs(file, before);
    // a log that could not be worked in belongs to the old one
    for (const end of ["-wal", "-shm"]) if (existsSync(file + end)) renameSync(file + end, before + end);
  }
  renameSync(fresh, file);
  syncFile(dataDir());
  try {
    db();
  } catch (e) {
    closeDb();
    if (before) renameSync(before, file);
    throw e;
  }
  return before && basename(before);
}
/** The same file under a second name, so that the first is never without one; a copy where the disk knows no second names. */
function keepAs(file: string, name: string): void {
  try {
    linkSync(file, name);
  } catch {
    copyFileSync(file, name);
  }
}
/**
 * Brings a restored database up to date, and lets the revisions of its jobs go on past those that pages still open may
 * have seen: what such a page sends was made on another state, and is asked about instead of taken.
 */
function goOnFrom(old: string, fresh: string): void {
  const d = openDatabase(fresh);
  try {
    const seen = revisionsIn(old);
    d.transaction((tx) => {
      for (const { id, revision } of tx.select({ id: jobs.id, revision: jobs.revision }).from(jobs).all()) {
        if (!seen.has(id)) continue;
        const next = Math.max(seen.get(id)!, revision) + 1;
        const drawn = sql`CASE WHEN ${cards.drawn} = ${cards.revision} THEN ${next} ELSE -1 END`;
        tx.update(jobs).set({ revision: next }).where(eq(jobs.id, id)).run();
        tx.update(cards).set({ revision: next, drawn }).where(eq(cards.job, id)).run();
      }
    });
    d.$client.pragma("wal_checkpoint(TRUNCATE)");
  } finally {
    d.$client.close();
  }
  syncFile(fresh);
}
/** The revision of each job in a database; none where it cannot be read any more: then no page is open on it. */
function revisionsIn(file: string): ReadonlyMap<string, number> {
  try {
    const client = new Database(file, { readonly: true, fileMustExist: true });
    try {
      const rows = client.prepare("SELECT id, revision FROM jobs").all() as { id: string; revision: number }[];
      return new Map(rows.map((r) => [r.id, r.revision]));
    } finally {
      client.close();
    }
  } catch {
    return new Map();
  }
}
/** Sees to it that a file, or the names in a folder, are on the disk. */
function syncFile(path: string): void {
  const f = openSync(path, "r");
  try {
    fsyncSync(f);
  } finally {
    closeSync(f);
  }
}
