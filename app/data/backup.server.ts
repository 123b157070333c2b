import { count, isNull } from "drizzle-orm";
import { createHash, randomUUID } from "node:crypto";
import { createReadStream, existsSync, rmSync } from "node:fs";
import { join } from "node:path";
import { pipeline } from "node:stream/promises";
import type { Writable } from "node:stream";
import yazl from "yazl";
import { dataDir, db } from "./db.server";
import { originalOf } from "./pictures.server";
import { now } from "./rows.server";
import { jobs, pictures } from "./schema.server";

/** What a backup says of itself, in its first file. */
export interface Manifest {
  readonly cardo: "backup";
  readonly version: number;
  readonly madeAt: string;
  /** Jobs on the shelf; those taken off it lately come along uncounted. */
  readonly jobs: number;
  readonly pictures: number;
  /** SHA-256 of the database. Pictures are named by theirs. */
  readonly database: string;
  /** Pictures that were not beside the database any more when the backup was made. */
  readonly missing: readonly string[];
}
export const BACKUP_VERSION = 1;
export const MANIFEST = "manifest.json";
export const DATABASE = "cardo.sqlite";

/** SHA-256 of a file. */
export async function hashOfFile(path: string): Promise<string> {
  const h = createHash("sha256");
  await pipeline(createReadStream(path), h);
  return h.digest("hex");
}

/** How many jobs a backup made now would hold, and what its pictures weigh, bytes. */
export function backupSize(): { readonly jobs: number; readonly bytes: number } {
  const [n] = db().select({ n: count() }).from(jobs).where(isNull(jobs.deletedAt)).all();
  const list = db().select({ bytes: pictures.bytes }).from(pictures).all();
  return { jobs: n!.n, bytes: list.reduce((sum, p) => sum + p.bytes, 0) };
}

/**
 * Writes everything that is kept as one zip: the database as it stood at one moment, and every picture under its hash.
 * Work goes on meanwhile. Errors: those of the disk, of the database, and of whoever reads the zip.
 */
export async function writeBackup(out: Writable): Promise<Manifest> {
  const copy = join(dataDir(), `backup-${randomUUID()}-half`);
  // whoever reads may leave before the first byte; the pipeline tells
  out.on("error", () => undefined);
  try {
    await db().$client.backup(copy);
    const kept = db().select().from(pictures).all();
    const there = kept.filter((p) => existsSync(originalOf(p.hash)));
    const manifest: Manifest = {
      cardo: "backup",
      version: BACKUP_VERSION,
      madeAt: now(),
      jobs: backupSize().jobs,
      pictures: there.length,
      database: await hashOfFile(copy),
      missing: kept.filter((p) => !there.includes(p)).map((p) => p.hash),
    };
    const zip = new yazl.ZipFile();
    zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`), MANIFEST);
    zip.addFile(copy, DATABASE);
    // pictures are packed already
    for (const p of there) zip.addFile(originalOf(p.hash), `pictures/${p.hash}`, { compress: false });
    zip.end();
    const failed = new Promise<never>((_, no) => zip.on("error", no));
    await Promise.race([pipeline(zip.outputStream, out), failed]);
    return manifest;
  } finally {
    for (const end of ["", "-journal", "-wal", "-shm"]) rmSync(copy + end, { force: true });
  }
}
