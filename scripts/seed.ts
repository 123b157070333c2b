/** Puts the demo jobs on the shelf, once: a shelf that somebody has cleared stays clear. */
import "reflect-metadata";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { dataDir, db } from "../app/data/db.server";
import { importJob } from "../app/data/jobs.server";

db();
const stamp = join(dataDir(), "demo-filled-in");
if (!existsSync(stamp)) {
  for (const name of ["empty-job", "tool-house", "snowshed", "howe-truss", "gulch-trestle-whole", "gulch-trestle"])
    await importJob(readFileSync(`examples/${name}.json`, "utf8"));
  writeFileSync(stamp, "");
}
