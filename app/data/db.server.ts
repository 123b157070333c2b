import Database from "better-sqlite3";
import { drizzle, type BetterSQLite3Database } from "drizzle-orm/better-sqlite3";
import { migrate } from "drizzle-orm/better-sqlite3/migrator";
import { copyFileSync, existsSync, mkdirSync } from "node:fs";
import { join, resolve } from "node:path";
import { makeMissingCards } from "./cards.server";
import * as schema from "./schema.server";

/** Folder that holds the database and the pictures. */
export const dataDir = (): string => resolve(process.env.CARDO_DATA ?? "data");
const MIGRATIONS = resolve("app/data/migrations");

export type Db = BetterSQLite3Database<typeof schema> & { $client: Database.Database };
let open: Db | undefined;

/**
 * The database, opened and brought up to date once. Foreign keys are off while it migrates, since a table that is rebuilt
 * would take its children with it, and are checked before they go on. A copy is kept before a migration.
 */
export function db(): Db {
  if (open) return open;
  mkdirSync(dataDir(), { recursive: true });
  const file = join(dataDir(), "cardo.sqlite");
  const existed = existsSync(file);
  const client = new Database(file);
  client.pragma("journal_mode = WAL");
  client.pragma("busy_timeout = 5000");
  client.pragma("foreign_keys = OFF");
  const d = drizzle(client, { schema });
  if (existed) {
    client.pragma("wal_checkpoint(TRUNCATE)");
    copyFileSync(file, join(dataDir(), "cardo.before-migration.sqlite"));
  }
  migrate(d, { migrationsFolder: MIGRATIONS });
  const broken = client.pragma("foreign_key_check") as unknown[];
  if (broken.length > 0)
    throw new Error(
      `The migration left ${broken.length} rows that refer to nothing; the copy before it is kept beside the database.`,
    );
  client.pragma("foreign_keys = ON");
  makeMissingCards(d);
  return (open = d);
}
