/** Puts the demo jobs on the shelf, once: a shelf that somebody has cleared stays clear. */
import "../core/reflected";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { dataDir, db } from "../app/data/db.server";
import { importJob, readDesign } from "../app/data/jobs.server";
import { enter } from "../app/data/drawer.server";
import { keepPicture } from "../app/data/shelf.server";
import { readLot, sheetLot, stickLot, type Movement } from "../core/drawer";
import { jobPicture } from "../core/job";
import { sheetOf, stockItem } from "../core/lumber";
import { scaleOf } from "../core/units";

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
  // a drawer as one has it: some new sticks, a box of offcuts, sheet, and what was never bought for this
  const ho = scaleOf("HO");
  const stick = (id: string, length: number, count: number, more: Partial<Movement> = {}) => ({ lot: stickLot(stockItem(ho, id)!, length), count, why: "bought" as const, ...more }); // prettier-ignore
  const sheet = (id: string, wide: number, long: number, count: number, more: Partial<Movement> = {}) => ({ lot: sheetLot(sheetOf(id)!, wide, long), count, why: "bought" as const, ...more }); // prettier-ignore
  enter([
    stick("scale/12x12", 279.4, 6, { price: 0.6, place: "tray 1" }),
    stick("scale/2x8", 279.4, 12, { price: 0.45, place: "tray 1" }),
    stick("scale/2x4", 279.4, 20, { price: 0.4, place: "tray 1" }),
    stick("scale/6x6", 279.4, 4, { price: 0.5, place: "tray 2" }),
    stick("scale/12x12", 118.5, 2, { place: "offcuts" }),
    stick("scale/12x12", 64, 3, { place: "offcuts" }),
    stick("scale/2x4", 88, 5, { place: "offcuts" }),
    sheet("sheet/styrene/60", 152.4, 304.8, 2, { price: 3.2, place: "flat file" }),
    sheet("sheet/styrene/40", 140, 190, 1, { place: "flat file", note: "corner cut off" }),
    sheet("sheet/clapboard/60", 152.4, 304.8, 1, { price: 6.5, place: "flat file" }),
    { lot: readLot({ form: "strip", material: "wood", name: "Stirring stick", thickness: 1.5, width: 4.7, length: 178 }), count: 40, why: "bought", place: "jar" }, // prettier-ignore
    { lot: readLot({ form: "round", material: "wood", name: "Toothpick", thickness: 2, width: 2, length: 65 }), count: 100, why: "bought", place: "jar" }, // prettier-ignore
  ]);
  // job files named on the command line as well: what a benchmark opens
  for (const file of process.argv.slice(2)) await fill(file);
  writeFileSync(stamp, "");
}
