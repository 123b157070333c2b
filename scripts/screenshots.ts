/** Takes docs/screenshots anew from the demo data, on the built application: npx tsx scripts/screenshots.ts. */
import { chromium } from "@playwright/test";
import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const env = {
  ...process.env,
  CARDO_DATA: mkdtempSync(join(tmpdir(), "cardo-shots-")),
  HOST: "127.0.0.1",
  PORT: "4192",
  NODE_ENV: "production",
};
spawnSync(process.execPath, ["--import", "tsx", "scripts/seed.ts"], { env });
const server = spawn(process.execPath, ["node_modules/@react-router/serve/bin.js", "./build/server/index.js"], {
  env,
  stdio: "ignore",
});
const address = "http://127.0.0.1:4192/";
for (
  let i = 0;
  i < 100 &&
  !(await fetch(address).then(
    (r) => r.ok,
    () => false,
  ));
  i++
)
  await new Promise((r) => setTimeout(r, 100));
const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage"],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shot = async (name: string): Promise<void> => {
  await page.waitForLoadState("networkidle");
  await page.waitForTimeout(600);
  await page.mouse.move(640, 300);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};
const stage = (name: string) => page.getByRole("link", { name }).first().click();
await page.goto(address);
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
await browser.close();
server.kill();
process.exit(0);
