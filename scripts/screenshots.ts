/** Takes docs/screenshots anew from the demo data, on the built application: npx tsx scripts/screenshots.ts. */
import { openDemo } from "./demoBrowser";

const { page, close } = await openDemo(4192);
const shot = async (name: string): Promise<void> => {
  await page.waitForLoadState("networkidle");
  await page.waitForTimeout(600);
  await page.mouse.move(640, 300);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const stage = (name: string) => page.getByRole("link", { name }).first().click();
await shot("shelf");
await page.getByRole("link", { name: "Open Gulch trestle" }).first().click();
await page.locator('[data-stick$="story1/post/R2"]').last().click();
await shot("framing");
await stage("Brief");
await shot("brief");
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
await shot("bench");
await close();
process.exit(0);
