/**
 * A 120-bent curved, graded trestle in the built application: from the Tab that leaves the field with another bay in it
 * until the frame that shows the painted board is handed over. npx tsx bench/trestleEdit.ts [bents]
 */
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { emptyJob, newStructure, writeJobFile } from "../core/job";
import { openDemo } from "../scripts/demoBrowser";
import { editToPaint, printEdits } from "./editToPaint";
import { largeTrestle } from "./largeTrestleValues";

const bents = Number(process.argv[2] ?? 120);
const s = newStructure("trestle", "large", "Large trestle");
s.variants[0]!.params = { ...largeTrestle(bents) };
const file = join(mkdtempSync(join(tmpdir(), "cardo-large-")), "large.json");
writeFileSync(file, writeJobFile({ doc: { ...emptyJob("Large trestle"), structures: [s] }, issues: [], files: {} }));
const { page, close } = await openDemo(4193, [file]);
await page.getByRole("link", { name: "Open Large trestle" }).first().click();
await page.getByRole("tab", { name: "Parameters" }).click();
await page.getByRole("button", { name: "Unfold all" }).click();
const next = (i: number, old: string): string => {
  const bays = old.split(", ");
  bays[4] = `15'${1 + (i % 9)}`;
  return bays.join(", ");
};
for (const how of ["typed", "pasted"] as const)
  console.log(printEdits(`${bents} bents, ${how}`, await editToPaint(page, "Bays", 30, next, 2500, how)));
await close();
