import { chromium, type Page } from "@playwright/test";
import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** Serves the built application on fresh demo data (and the job files given) and opens the shelf in headless Chromium at 1280 × 800. */
export async function openDemo(
  port: number,
  jobs: readonly string[] = [],
): Promise<{ readonly page: Page; close(): Promise<void> }> {
  const data = mkdtempSync(join(tmpdir(), "cardo-demo-"));
  const env = { ...process.env, CARDO_DATA: data, HOST: "127.0.0.1", PORT: String(port), NODE_ENV: "production" };
  spawnSync(process.execPath, ["--import", "tsx", "scripts/seed.ts", ...jobs], { env });
  const server = spawn(process.execPath, ["scripts/serve.mjs"], {
    env,
    stdio: "ignore",
  });
  const address = `http://127.0.0.1:${port}/`;
  const answers = (): Promise<boolean> =>
    fetch(address).then(
      (r) => r.ok,
      () => false,
    );
  for (let i = 0; i < 100 && !(await answers()); i++) await new Promise((r) => setTimeout(r, 100));
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage", "--enable-unsafe-swiftshader"],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  return {
    page,
    async close() {
      await browser.close();
      server.kill();
    },
  };
}

/** Begins to note how long each pointer move takes from the event's own time stamp to the frame after the one that it changed. */
export const watchMoves = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const w = window as unknown as { times: number[] };
    w.times = [];
    // no name of its own: the runner marks named functions in a way that the page does not know
    addEventListener(
      "pointermove",
      (e) => requestAnimationFrame(() => setTimeout(() => w.times.push(performance.now() - e.timeStamp), 0)),
      true,
    );
  });
/** The times noted, ms: how many, the median and the 90th percentile. */
export async function movesWatched(
  page: Page,
): Promise<{ readonly count: number; readonly median: number; readonly most: number }> {
  const times = await page.evaluate(() => (window as unknown as { times: number[] }).times.sort((a, b) => a - b));
  const at = (share: number): number => times[Math.floor(times.length * share)]!;
  return { count: times.length, median: at(0.5), most: at(0.9) };
}
