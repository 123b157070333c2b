/** Takes docs/screenshots anew from the demo data, on the built application: npx tsx scripts/screenshots.ts. */
import { openDemo } from "./demoBrowser";

const { page, close } = await openDemo(4192);
const shot = async (name: string): Promise<void> => {
  await page.waitForLoadState("networkidle");
  await page.waitForTimeout(600);
  // what says what was done is gone by the time one reads
  await page.evaluate(() =>
    document.querySelector<HTMLElement>("[data-sonner-toaster]")?.style.setProperty("display", "none"),
  );
  await page.mouse.move(640, 300);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const stage = (name: string) =>
  page
    .getByRole("navigation", { name: "Stages" })
    .getByRole("link", { name: new RegExp(`^${name}`) })
    .click();
await shot("shelf");
await page.getByRole("link", { name: "Open Gulch trestle" }).first().click();
await page.locator('[data-stick$="story1/post/R2"]').last().click();
await shot("framing");
await stage("Drawings");
await shot("drawings");
await stage("Stock");
await shot("stock");
await stage("Cutting");
for (const mark of ["C1", "P1"]) {
  await page.locator(`tr[data-mark="${mark}"]`).getByRole("button", { name: "Mark as cut" }).click();
  await page.locator(`tr[data-mark="${mark}"]`).getByText("✓").waitFor();
}
await shot("cutting");
await page.getByRole("tab", { name: "Stick layout" }).click();
await page.getByText("Proven").first().waitFor();
await shot("stick-layout");
await stage("Jigs");
await shot("jigs");
await stage("Bench");
for (let n = 1; n <= 3; n++) {
  await page.getByRole("button", { name: "Done, start the clock" }).click();
  await page.getByText(new RegExp(`${n} of 7 steps done`)).waitFor();
}
await page.getByRole("button", { name: "Nothing to note" }).click();
await shot("bench");
const other = async (job: string): Promise<void> => {
  await page.goto(page.url().replace(/jobs.*/, ""));
  await page
    .getByRole("link", { name: `Open ${job}` })
    .first()
    .click();
  await page.waitForLoadState("networkidle");
  await stage("Drawings");
};
await other("Snowshed");
await page.getByRole("tab", { name: "Trace" }).click();
await page.locator('[data-stick$="n1"]').first().click();
await shot("trace");
const framing = async (job: string): Promise<void> => {
  await other(job);
  await stage("Framing");
  await page.waitForTimeout(1200);
};
await framing("Summit curve trestle");
await shot("trestle");
await page.getByRole("button", { name: "Space", exact: true }).click();
await page.waitForTimeout(4000);
await shot("space");
await other("Agent's cottage");
await stage("Brief");
await page.getByRole("tab", { name: "Plan of the spot" }).click();
await page.getByRole("button", { name: "Team track", exact: true }).click();
await page.waitForTimeout(3000);
await shot("plan");
await framing("Section tool house, framed");
await page.getByRole("tab", { name: "Parameters" }).click();
await page.getByRole("button", { name: "Openings", exact: true }).click();
await page.getByRole("button", { name: "Part by part" }).click();
await page.getByRole("button", { name: "Front wall", exact: true }).click();
await page.getByRole("button", { name: /^2\. / }).first().click();
await page.getByText("Doors and windows").scrollIntoViewIfNeeded();
await shot("building");
await other("Pellam depot");
await stage("Brief");
await page.getByRole("tab", { name: "Inside" }).click();
await page.getByRole("button", { name: "Stove" }).click();
await shot("inside");
await other("Agent's cottage");
await stage("Cutting");
await page.getByRole("tab", { name: "Sheet layout" }).click();
await page.getByText("No layout takes less").first().waitFor();
await shot("sheet-layout");
await stage("Bench");
await page.getByRole("tab", { name: "Finish" }).click();
await page.getByText("Coats of this job and their mixes").waitFor();
await shot("finish");
await page.getByRole("link", { name: "Drawer" }).click();
await page.getByRole("heading", { name: "Drawer", level: 1 }).waitFor();
await shot("drawer");
await page.goBack();
await framing("Howe truss");
await page.getByRole("tab", { name: "Forces" }).click();
await page.getByRole("button", { name: "Show" }).click();
await page.getByLabel("Forces in tints").check();
await page.keyboard.press("Escape");
await shot("forces");
await page.getByRole("button", { name: "Compare" }).click();
await page.getByRole("row", { name: /^Pieces \d/ }).waitFor({ timeout: 30_000 });
await shot("compare");
await close();
process.exit(0);
