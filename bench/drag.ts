/**
 * Input to paint while a handle of the demo bent is dragged: npx tsx bench/drag.ts, on the built application. Prints the
 * median and the 90th percentile over 100 moves in headless Chromium, and checks that the figure follows.
 */
import { chromium } from "@playwright/test";
import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const env = {
  ...process.env,
  CARDO_DATA: mkdtempSync(join(tmpdir(), "cardo-bench-")),
  HOST: "127.0.0.1",
  PORT: "4191",
  NODE_ENV: "production",
};
spawnSync(process.execPath, ["--import", "tsx", "scripts/seed.ts"], { env });
const server = spawn(process.execPath, ["node_modules/@react-router/serve/bin.js", "./build/server/index.js"], {
  env,
  stdio: "ignore",
});
const address = "http://127.0.0.1:4191/";
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
await page.goto(address);
await page.getByRole("link", { name: "Open Gulch trestle" }).first().click();
const handle = page.locator('[data-handle="height"]');
await handle.waitFor();
await page.waitForTimeout(1500);
await page.evaluate(() => {
  const w = window as unknown as { times: number[] };
  w.times = [];
  // from the event's own time stamp to the frame after the one that it changed
  addEventListener(
    "pointermove",
    (e) => requestAnimationFrame(() => setTimeout(() => w.times.push(performance.now() - e.timeStamp), 0)),
    true,
  );
});
const box = (await handle.boundingBox())!;
const figure = page.getByRole("button", { name: /^Height, top of cap/ });
const before = await figure.textContent();
await page.mouse.move(box.x + 12, box.y + 12);
await page.mouse.down();
const seen = new Set<string | null>();
for (let i = 0; i < 100; i++) {
  await page.mouse.move(box.x + 12, box.y + 12 + 40 * Math.sin(i / 8));
  if (i % 10 === 0) seen.add(await figure.textContent());
}
await page.waitForTimeout(200);
const times = await page.evaluate(() => (window as unknown as { times: number[] }).times.sort((a, b) => a - b));
await page.mouse.up();
const at = (share: number): string => times[Math.floor(times.length * share)]!.toFixed(1);
console.log(
  `${times.length} moves: median ${at(0.5)} ms, 90 % within ${at(0.9)} ms; the figure showed ${seen.size} values from ${before}`,
);
await browser.close();
server.kill();
process.exit(Number(at(0.5)) <= 50 && seen.size > 3 ? 0 : 1);
