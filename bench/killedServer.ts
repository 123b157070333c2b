/**
 * Two tabs of one job in real Chromium while the server is killed again and again: node --import tsx bench/killedServer.ts KILLS SEED.
 * At rest both tabs, the server and a fresh page have to agree, and every edit that was shown has to be there.
 */
import { chromium, type Page } from "@playwright/test";
import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const [kills = 60, seed = 13] = process.argv.slice(2).map(Number);
const PORT = 4197;
const address = `http://127.0.0.1:${PORT}`;
const data = mkdtempSync(join(tmpdir(), "cardo-killed-"));
const env = { ...process.env, CARDO_DATA: data, HOST: "127.0.0.1", PORT: String(PORT), NODE_ENV: "production" };
spawnSync(process.execPath, ["--import", "tsx", "scripts/seed.ts"], { env });
let server: ChildProcess | undefined;
const up = (): Promise<boolean> => fetch(`${address}/`).then((r) => r.ok, () => false); // prettier-ignore
async function serve(): Promise<void> {
  server = spawn(process.execPath, ["scripts/serve.mjs"], { env, stdio: "ignore" }); // prettier-ignore
  while (!(await up())) await new Promise((r) => setTimeout(r, 50));
}
let state = seed;
const random = (): number => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
const pause = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));

await serve();
const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage"],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const shelf = await context.newPage();
await shelf.goto(address);
await shelf.getByRole("link", { name: "Gulch trestle", exact: true }).first().click();
await shelf.waitForURL(/framing/);
const job = shelf.url().split("/")[4]!;
const tabs: Page[] = [shelf, await context.newPage()];
for (const t of tabs) {
  await t.goto(`${address}/jobs/${job}/brief`);
  await t.getByLabel("New decision").waitFor();
}
/** A dialog that another tab was first is answered with “Keep mine”. */
const settle = async (t: Page): Promise<void> => {
  const mine = t.getByRole("button", { name: "Keep mine", exact: true });
  if (await mine.isVisible()) await mine.click({ timeout: 2000 }).catch(() => undefined);
};
const listed = (t: Page): Promise<string[]> =>
  t.getByLabel(/^Decision \d+$/).evaluateAll((all) => all.map((x) => (x as HTMLInputElement).value).sort());
const shown: string[] = [];
/** Notes a decision in a tab; once it stands on the screen it may not be lost. */
async function edit(t: Page): Promise<void> {
  const words = `decision ${shown.length}`;
  // a tab behind the other paints nothing, so nothing can be pressed in it
  await t.bringToFront();
  for (let n = 0; n < 40; n++) {
    await settle(t);
    try {
      await t.getByLabel("New decision").fill(words, { timeout: 800 });
      await t.getByRole("button", { name: "Note it" }).click({ timeout: 800 });
      break;
    } catch {
      // a dialog came between
    }
  }
  for (let n = 0; n < 20 && !(await listed(t)).includes(words); n++) await pause(50);
  if ((await listed(t)).includes(words)) shown.push(words);
}
let lost = 0;
for (let k = 0; k < kills; k++) {
  const gone = pause(random() * 400).then(() => server!.kill("SIGKILL"));
  for (let i = 0; i < 2; i++) await edit(tabs[Math.floor(random() * 2)]!);
  await gone;
  if (random() < 0.3) await edit(tabs[0]!);
  await serve();
  await pause(random() * 600);
  if (random() < 0.15) await tabs[1]!.reload();
}
for (let round = 0; round < 60; round++) {
  for (const t of tabs) {
    await t.bringToFront();
    await settle(t);
  }
  const kept = await Promise.all(tabs.map((t) => t.getByText(/^Kept at/).isVisible()));
  if (kept.every(Boolean)) break;
  await pause(500);
}
const fresh = await context.newPage();
await fresh.goto(`${address}/jobs/${job}/brief`);
await fresh.getByLabel("New decision").waitFor();
const there = await listed(fresh);
lost = shown.filter((d) => !there.includes(d)).length;
const same = (await Promise.all(tabs.map(listed))).every((l) => JSON.stringify(l) === JSON.stringify(there));
console.log(
  `${kills} kills, ${shown.length} edits shown, ${lost} lost; tabs and a fresh page ${same ? "agree" : "DIFFER"}`,
);
await browser.close();
server!.kill("SIGKILL");
process.exit(lost === 0 && same ? 0 : 1);
