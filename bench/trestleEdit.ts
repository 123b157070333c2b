/**
 * A 120-bent curved, graded trestle in the built application: how long it takes until it is drawn after it is opened, and
 * from leaving the field with another bay in it (the event's own time stamp) to the painted board. npx tsx bench/trestleEdit.ts [bents]
 */
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { emptyJob, newStructure, writeJobFile } from "../core/job";
import { openDemo } from "../scripts/demoBrowser";
import { largeTrestle } from "./largeTrestleValues";

const bents = Number(process.argv[2] ?? 120);
const s = newStructure("trestle", "large", "Large trestle");
s.variants[0]!.params = { ...largeTrestle(bents) };
const file = join(mkdtempSync(join(tmpdir(), "cardo-large-")), "large.json");
writeFileSync(file, writeJobFile({ doc: { ...emptyJob("Large trestle"), structures: [s] }, issues: [], files: {} }));
const { page, close } = await openDemo(4193, [file]);
await page.getByRole("link", { name: "Open Large trestle" }).first().click();
await page.getByRole("tab", { name: "Parameters" }).click();
const field = page.getByLabel("Bays", { exact: true });
await field.waitFor({ timeout: 60_000 });
await page.waitForTimeout(6000);
await page.evaluate(() => {
  const w = window as unknown as { times: number[]; from: number };
  w.times = [];
  w.from = 0;
  addEventListener("focusout", (e) => void (w.from = e.timeStamp), true);
  new PerformanceObserver((list) => {
    if (w.from === 0 || !list.getEntriesByName("cardo:painted").length) return;
    const from = w.from;
    w.from = 0;
    // the frame after the one in which the canvas was painted is on the screen
    requestAnimationFrame(() => setTimeout(() => w.times.push(performance.now() - from), 0));
  }).observe({ type: "mark" });
});
const cdp = process.env.PROFILE ? await page.context().newCDPSession(page) : undefined;
if (cdp) {
  await cdp.send("Profiler.enable");
  await cdp.send("Profiler.start");
}
for (let i = 0; i < 15; i++) {
  const bays = (await field.inputValue()).split(", ");
  bays[4] = `15'${1 + (i % 9)}`;
  await field.fill(bays.join(", "));
  await field.blur();
  await page.waitForTimeout(2500);
}
if (cdp) writeFileSync(process.env.PROFILE!, JSON.stringify((await cdp.send("Profiler.stop")).profile));
const times = await page.evaluate(() => (window as unknown as { times: number[] }).times);
times.sort((a, b) => a - b);
console.log(
  `${bents} bents: ${times.length} edits, edit to paint: median ${times[Math.floor(times.length / 2)]!.toFixed(0)} ms, least ${times[0]!.toFixed(0)}, most ${times[times.length - 1]!.toFixed(0)} ms`,
);
await close();
