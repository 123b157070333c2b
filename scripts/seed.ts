/** Puts the demo jobs on the shelf, once: a shelf that somebody has cleared stays clear. */
import "reflect-metadata";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { dataDir, db } from "../app/data/db.server";
import { importJob } from "../app/data/jobs.server";

db();
const stamp = join(dataDir(), "demo-filled-in");
if (!existsSync(stamp)) {
  for (const name of [
    "empty-job",
    "tool-house",
    "snowshed",
    "depot",
    "summit-snowshed",
    "ore-bin",
    "tool-house-framed",
    "howe-truss",
    "summit-curve-trestle",
    "gulch-trestle",
  ])
    await importJob(readFileSync(`examples/${name}.json`, "utf8"));
  // job files named on the command line as well: what a benchmark opens
  for (const file of process.argv.slice(2)) await importJob(readFileSync(file, "utf8"));
  writeFileSync(stamp, "");
}
