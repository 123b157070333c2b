/**
 * The demo's depot, 22 × 66 ft with everything framed and clad, in the built application: from the Tab that leaves the
 * field with another wall height until the frame that shows the painted board is handed over. npx tsx bench/depotEdit.ts
 */
import { openDemo } from "../scripts/demoBrowser";
import { editToPaint, printEdits } from "./editToPaint";

const { page, close } = await openDemo(4193);
await page.getByRole("link", { name: "Open Pellam depot" }).first().click();
await page.getByRole("tab", { name: "Parameters" }).click();
await page.getByRole("button", { name: "Unfold all" }).click();
const pieces = await page.getByText(/\d+ pieces ·/).innerText();
const label = "Wall height, floor to top of plate";
for (const how of ["typed", "pasted"] as const) {
  const edits = await editToPaint(page, label, 30, (i) => `12' ${1 + (i % 9)}`, 1500, how);
  console.log(printEdits(`Depot, ${pieces}, ${how}`, edits));
}
await close();
