import { eq, like, or } from "drizzle-orm";
import { createHash } from "node:crypto";
import {
  closeSync,
  existsSync,
  fsyncSync,
  openSync,
  readdirSync,
  readFileSync,
  readSync,
  renameSync,
  rmSync,
  writeSync,
} from "node:fs";
import { join } from "node:path";
import sharp, { type Metadata } from "sharp";
import type { DrawingFile } from "core/job";
import { readSheetLines } from "core/sources";
import { dataDir, db } from "./db.server";
import { makeFolder } from "./folder.server";
import { faultWords } from "./faults.server";
import { pictures, revisions } from "./schema.server";

/** Largest picture that is taken: 160 megapixels holds an A0 sheet at 300 dpi (139). */
export const MAX_MEGAPIXELS = 160;
export const MAX_BYTES = 120 * 1024 * 1024;
/** The most that all drawings of a job may weigh: so much still goes into a job file and out of it again. */
export const MOST_OF_A_JOB = 240 * 1024 * 1024;
/** Lines that may be kept at all, as text, weigh less. */
const MOST_LINES_BYTES = 64e6;
/** Sides that a drawing may have, pixels: a strip one pixel high and very wide takes minutes to cut and shows nothing. */
const NARROWEST = 16;
const LONGEST = 60_000;
const TILE = 512;
/** What the bytes say of themselves; names and declared types are never asked. */
const TYPES: Record<string, string> = { png: "image/png", jpeg: "image/jpeg", webp: "image/webp", tiff: "image/tiff" };
const LINES = "application/json";
/** A large picture that packs this many pixels into a byte holds nothing: a bomb, or blank paper. */
const EMPTIEST = 4000;
const LARGE = 20e6;
/** Longest that a picture may take to read, seconds. */
const SECONDS = 120;

export interface Picture {
  readonly hash: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
}
/** The folder of all pictures. */
export const picturesFolder = (): string => join(dataDir(), "pictures");
/** The file of a picture as it was taken in. */
export const originalOf = (hash: string): string => join(picturesFolder(), hash);
const tiles = (hash: string): string => join(picturesFolder(), `${hash}-tiles`);

/** Takes in an uploaded picture: checks what it really is, turns a JPEG upright, cuts it into tiles. Errors: a sentence. */
export async function addPicture(bytes: Buffer, name: string): Promise<Picture> {
  const image = await inspect(bytes, `“${name}”`);
  const upright = image.turned ? await sharp(bytes, LIMITS).rotate().toBuffer() : bytes;
  return keep(upright, image.type);
}
/** Takes in lines of a vector drawing, checked. Errors: SourceError with what is wrong. */
export function addLines(bytes: Buffer): Picture {
  if (bytes.length > MOST_LINES_BYTES) throw new Error("The lines weigh more than a drawing's.");
  const text = bytes.toString("utf8");
  const { width, height } = readSheetLines(text);
  return store(bytes, LINES, { width, height });
}
/** The lines kept under a hash, as text; undefined when there are none. */
export function readLines(hash: string): string | undefined {
  const known = db().select().from(pictures).where(eq(pictures.hash, hash)).get();
  return known?.type === LINES ? readFileSync(originalOf(hash), "utf8") : undefined;
}
/** Takes in a file of a job file, which has to be what its hash says. */
export async function importFile(bytes: Buffer, file: DrawingFile): Promise<void> {
  if (createHash("sha256").update(bytes).digest("hex") !== file.hash)
    throw new Error(`The ${file.kind} of “${file.drawing}” are not what their name says: the job file was damaged.`);
  if (file.kind === "lines") addLines(bytes);
  else await keep(bytes, (await inspect(bytes, "A picture of the job file")).type);
}

const diskFull = (cause: unknown): Error => Object.assign(new Error("disk full", { cause }), { code: "ENOSPC" });
const LIMITS = { limitInputPixels: MAX_MEGAPIXELS * 1e6, failOn: "error" } as const;

async function inspect(bytes: Buffer, what: string): Promise<{ type: string; turned: boolean }> {
  const wanted = "Upload a PNG, JPEG, WebP or TIFF picture, a PDF, an SVG or a DXF";
  if (bytes.length === 0) throw new Error(`${what} is empty. ${wanted}.`);
  if (bytes.length > MAX_BYTES)
    throw new Error(
      `${what} has ${Math.round(bytes.length / 1048576)} MB; ${Math.round(MAX_BYTES / 1048576)} MB is the most.`,
    );
  let meta: Metadata;
  try {
    meta = await sharp(bytes, { limitInputPixels: false }).metadata();
  } catch {
    throw new Error(`${what} is no picture that can be read here. ${wanted}.`);
  }
  const type = TYPES[meta.format ?? ""];
  if (!type) throw new Error(`${what} is of the kind ${(meta.format ?? "unknown").toUpperCase()}. ${wanted}.`);
  const [short, long] = [Math.min(meta.width, meta.height), Math.max(meta.width, meta.height)];
  if (short < NARROWEST || long > LONGEST)
    throw new Error(
      `${what} has ${meta.width} × ${meta.height} pixels; a drawing has at least ${NARROWEST} on its short side and at most ${LONGEST} on its long one.`,
    );
  const megapixels = (meta.width * meta.height) / 1e6;
  if (megapixels > MAX_MEGAPIXELS)
    throw new Error(
      `${what} has ${Math.round(megapixels)} megapixels (${meta.width} × ${meta.height}); ${MAX_MEGAPIXELS} is the most, which is an A0 sheet at 300 dpi. Scan it at a lower resolution.`,
    );
  if (megapixels * 1e6 > LARGE && (megapixels * 1e6) / bytes.length > EMPTIEST)
    throw new Error(
      `${what} says it has ${Math.round(megapixels)} megapixels in only ${Math.round(bytes.length / 1024)} kB, so there is hardly anything on it. Scan it again.`,
    );
  return { type, turned: (meta.orientation ?? 1) !== 1 };
}

/** Pictures that are being cut into tiles: one that comes twice at once is cut once. */
const underWay = new Map<string, Promise<Picture>>();
function keep(bytes: Buffer, type: string): Promise<Picture> {
  const hash = createHash("sha256").update(bytes).digest("hex");
  const known = underWay.get(hash);
  if (known) return known;
  const mine = cut(bytes, type, hash).finally(() => underWay.delete(hash));
  underWay.set(hash, mine);
  return mine;
}
async function cut(bytes: Buffer, type: string, hash: string): Promise<Picture> {
  const known = db().select().from(pictures).where(eq(pictures.hash, hash)).get();
  if (known && existsSync(tiles(hash))) return known;
  makeFolder(picturesFolder());
  let size: { width: number; height: number };
  const building = `${tiles(hash)}-new`;
  rmSync(building, { recursive: true, force: true });
  try {
    size = await sharp(bytes, LIMITS).metadata();
    await sharp(bytes, LIMITS)
      .flatten({ background: "#ffffff" })
      .toColourspace("srgb")
      .jpeg({ quality: 88 })
      .timeout({ seconds: SECONDS })
      .tile({ size: TILE, overlap: 0, layout: "google", skipBlanks: -1, centre: false })
      .toFile(building);
  } catch (e) {
    rmSync(building, { recursive: true, force: true });
    if (faultWords(e) || /no space left|write error/i.test((e as Error).message)) throw diskFull(e);
    throw new Error(
      "The picture breaks off or is damaged, so it cannot be read to its end. Save it again and upload that.",
    );
  }
  rmSync(tiles(hash), { recursive: true, force: true });
  renameSync(building, tiles(hash));
  return store(bytes, type, size);
}
/** Writes a file whole and on disk under another name, then gives it its own: no half of one is ever seen. Errors: those of the disk. */
function writeWhole(path: string, bytes: Buffer): void {
  const half = `${path}-half`;
  const file = openSync(half, "w");
  try {
    // a disk that fills up takes a part and says how much
    for (let at = 0; at < bytes.length;) at += writeSync(file, bytes, at);
    fsyncSync(file);
  } catch (e) {
    closeSync(file);
    rmSync(half, { force: true });
    throw e;
  }
  closeSync(file);
  renameSync(half, path);
}
/** Clears what a server that was killed in the middle of an upload, a backup or a restore left behind. */
export function clearHalves(): void {
  for (const folder of [dataDir(), picturesFolder()])
    if (existsSync(folder))
      for (const name of readdirSync(folder))
        if (/-(half|new)(-journal|-wal|-shm)?$/.test(name) || name === "vips-properties.xml")
          rmSync(join(folder, name), { recursive: true, force: true });
}
/** Writes a file and its row: on disk before the row says so. */
function store(bytes: Buffer, type: string, size: { readonly width: number; readonly height: number }): Picture {
  const hash = createHash("sha256").update(bytes).digest("hex");
  makeFolder(picturesFolder());
  writeWhole(originalOf(hash), bytes);
  const row = {
    hash,
    type,
    width: Math.round(size.width),
    height: Math.round(size.height),
    bytes: bytes.length,
    addedAt: new Date().toISOString(),
  };
  db().insert(pictures).values(row).onConflictDoNothing().run();
  return row;
}

/** So many pixels a side a picture has at most where nobody zooms into it. */
const SHOWN = 900;
/** A whole picture as JPEG, small enough to be looked at beside other things; undefined when there is none. */
export async function wholePicture(hash: string): Promise<Buffer | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash) || !existsSync(originalOf(hash))) return undefined;
  try {
    return await sharp(originalOf(hash), LIMITS).resize(SHOWN, SHOWN, { fit: "inside", withoutEnlargement: true }).flatten({ background: "#fff" }).jpeg({ quality: 85 }).toBuffer(); // prettier-ignore
  } catch {
    return undefined;
  }
}
/**
 * One tile as JPEG: `level` 0 is the whole picture in one tile; undefined when there is none. A picture that came out of
 * a backup has no tiles yet: they are cut when first looked at.
 */
export async function readTile(hash: string, level: number, column: number, row: number): Promise<Buffer | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash)) return undefined;
  const file = join(tiles(hash), String(level), String(row), `${column}.jpg`);
  if (!existsSync(tiles(hash))) {
    const known = db().select().from(pictures).where(eq(pictures.hash, hash)).get();
    if (known && known.type !== LINES && existsSync(originalOf(hash)))
      await keep(readFileSync(originalOf(hash)), known.type);
  }
  return existsSync(file) ? readFileSync(file) : undefined;
}
/** What kept pictures and lines weigh together, bytes. */
export function weightOf(hashes: ReadonlySet<string>): number {
  const list = db().select({ hash: pictures.hash, bytes: pictures.bytes }).from(pictures).all();
  return list.reduce((sum, p) => sum + (hashes.has(p.hash) ? p.bytes : 0), 0);
}
/** Bytes read at once: a multiple of three, so that pieces of base64 join. */
const PIECE = 3 * 1048576;
/** A picture's bytes as base64, a piece at a time, for a job file. */
export function* pictureBase64(hash: string): Generator<string> {
  const file = openSync(originalOf(hash), "r");
  try {
    const piece = Buffer.alloc(PIECE);
    for (let n = readWhole(file, piece); n > 0; n = readWhole(file, piece)) yield piece.toString("base64", 0, n);
  } finally {
    closeSync(file);
  }
}
/** Fills a buffer from a file as far as there is something: one read may bring less. */
function readWhole(file: number, into: Buffer): number {
  let n = 0;
  for (let got = -1; got !== 0 && n < into.length; n += got) got = readSync(file, into, n, into.length - n, null);
  return n;
}

const inRevisions = (hash: string): boolean =>
  db()
    .select({ job: revisions.job })
    .from(revisions)
    .where(or(like(revisions.patches, `%${hash}%`), like(revisions.inverse, `%${hash}%`)))
    .get() !== undefined;

/** A picture just taken in is kept this long though no job refers to it yet. */
const GRACE_MS = 864e5;
/** Deletes pictures that nothing refers to: no job, and no revision that an undo could bring back. */
export function forgetUnusedPictures(inUse: ReadonlySet<string>): void {
  const before = new Date(Date.now() - GRACE_MS).toISOString();
  for (const p of db().select().from(pictures).all())
    if (!inUse.has(p.hash) && p.addedAt < before && !inRevisions(p.hash)) {
      db().delete(pictures).where(eq(pictures.hash, p.hash)).run();
      rmSync(originalOf(p.hash), { force: true });
      rmSync(tiles(p.hash), { recursive: true, force: true });
    }
}
