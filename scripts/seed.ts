/** Puts the demo jobs on the shelf, once: a shelf that somebody has cleared stays clear. */
import "../core/reflected";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { dataDir, db } from "../app/data/db.server";
import { importJob, readDesign } from "../app/data/jobs.server";
import { keepPicture } from "../app/data/shelf.server";
import { jobPicture } from "../core/job";

/** Imports a job file, with the picture on its card. */
async function fill(file: string): Promise<void> {
  const id = await importJob(readFileSync(file, "utf8"));
  keepPicture(id, 0, jobPicture(readDesign(id)!));
}
db();
const stamp = join(dataDir(), "demo-filled-in");
if (!existsSync(stamp)) {
  for (const name of [
    "empty-job",
    "tool-house",
    "snowshed",
    "depot",
    "company-store",
    "agents-cottage",
    "silos",
    "section-houses",
    "summit-snowshed",
    "ore-bin",
    "tool-house-framed",
    "howe-truss",
    "summit-curve-trestle",
    "gulch-trestle",
  ])
    await fill(`examples/${name}.json`);
  // job files named on the command line as well: what a benchmark opens
  for (const file of process.argv.slice(2)) await fill(file);
  writeFileSync(stamp, "");
}
