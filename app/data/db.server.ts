import Database from "better-sqlite3";
import { drizzle, type BetterSQLite3Database } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import { constants, copyFileSync, existsSync, readFileSync, statSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { makeMissingCards } from "./cards.server";
import { makeFolder } from "./folder.server";
import * as schema from "./schema.server";

/** Folder that holds the database and the pictures. */
export const dataDir = (): string => resolve(process.env.CARDO_DATA ?? "data");
const MIGRATIONS = resolve("app/data/migrations");

export type Db = BetterSQLite3Database<typeof schema> & { $client: Database.Database };
let open: { readonly folder: string; readonly db: Db } | undefined;

/** Closes the database; the next use opens it again. */
export function closeDb(): void {
  open?.db.$client.close();
  open = undefined;
}

/** The file of the database. */
export const databaseFile = (): string => join(dataDir(), "cardo.sqlite");

/** How many migrations a database has had, and how many there are. */
export function migrationsOf(client: Database.Database): { readonly had: number; readonly all: number } {
  const known = client.prepare("SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'").get();
  const had = known ? (client.prepare("SELECT count(*) AS n FROM __drizzle_migrations").get() as { n: number }).n : 0;
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, "meta/_journal.json"), "utf8")) as { entries: unknown[] };
  return { had, all: journal.entries.length };
}

/**
 * Opens a database and brings it up to date. Foreign keys are off while it migrates, since a table that is rebuilt would
 * take its children with it, and are checked before they go on. A copy is kept before a migration, one for each state that
 * it came from, and never overwritten. Errors: those of the disk and the database, which `faultWords` tells.
 */
export function openDatabase(file: string): Db {
  const existed = existsSync(file) && statSync(file).size > 0;
  const client = new Database(file);
  try {
    client.pragma("journal_mode = WAL");
    client.pragma("busy_timeout = 5000");
    client.pragma("foreign_keys = OFF");
    // what was acknowledged is on the disk
    client.pragma("synchronous = FULL");
    const d = drizzle(client, { schema });
    const { had, all } = migrationsOf(client);
    if (existed && had < all) {
      client.pragma("wal_checkpoint(TRUNCATE)");
      const copy = join(dirname(file), `cardo.before-migration-${had + 1}.sqlite`);
      if (!existsSync(copy)) copyFileSync(file, copy, constants.COPYFILE_EXCL);
    }
    migrate(d, { migrationsFolder: MIGRATIONS });
    const broken = client.pragma("foreign_key_check") as unknown[];
    if (broken.length > 0)
      throw new Error(
        `The migration left ${broken.length} rows that refer to nothing; the copy before it is kept beside the database.`,
      );
    client.pragma("foreign_keys = ON");
    makeMissingCards(d);
    return d;
  } catch (e) {
    client.close();
    throw e;
  }
}
/** The database, opened and brought up to date once. Errors: those of the disk and the database, which `faultWords` tells. */
export function db(): Db {
  const folder = dataDir();
  if (open?.folder === folder) return open.db;
  closeDb();
  makeFolder(folder);
  open = { folder, db: openDatabase(databaseFile()) };
  return open.db;
}
