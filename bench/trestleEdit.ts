/**
 * A 120-bent curved, graded trestle in the built application: how long it takes until it is drawn after it is opened, and
 * from the Tab that leaves the field with another bay in it (the key's own time stamp) until the frame that shows the painted board
 * is handed over, and beside it what the browser itself says (its event timing: from the key to the paint after it,
 * in steps of 8 ms). npx tsx bench/trestleEdit.ts [bents]
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
  const w = window as unknown as { times: number[]; shown: number[]; from: number };
  w.times = [];
  w.from = 0;
  w.shown = [];
  addEventListener("keydown", (e) => void (w.from = e.timeStamp), true);
  new PerformanceObserver((list) => {
    for (const e of list.getEntries()) if (e.name === "keydown") w.shown.push(e.duration);
  }).observe({ type: "event", durationThreshold: 16 } as PerformanceObserverInit);
  const mark = performance.mark.bind(performance);
  performance.mark = (...args: Parameters<typeof mark>) => {
    if (args[0] === "cardo:painted" && w.from !== 0) {
      const from = w.from;
      w.from = 0;
      // the next frame is the one that shows the canvas; a message posted from it is read when its painting is handed over
      requestAnimationFrame(() => {
        const done = new MessageChannel();
        done.port1.onmessage = () => w.times.push(performance.now() - from);
        done.port2.postMessage(0);
      });
    }
    return mark(...args);
  };
});
const cdp = process.env.PROFILE ? await page.context().newCDPSession(page) : undefined;
if (cdp) {
  await cdp.send("Profiler.enable");
  await cdp.send("Profiler.start");
}
for (let i = 0; i < 30; i++) {
  const bays = (await field.inputValue()).split(", ");
  bays[4] = `15'${1 + (i % 9)}`;
  await field.fill(bays.join(", "));
  await field.press("Tab");
  await page.waitForTimeout(2500);
}
if (cdp) writeFileSync(process.env.PROFILE!, JSON.stringify((await cdp.send("Profiler.stop")).profile));
const [times, shown] = await page.evaluate(() => {
  const w = window as unknown as { times: number[]; shown: number[] };
  return [w.times, w.shown];
});
const middle = (t: number[]): number => [...t].sort((a, b) => a - b)[Math.floor(t.length / 2)]!;
console.log(`in order: ${times.map(Math.round).join(" ")}`);
console.log(
  `${bents} bents: ${times.length} edits, edit to paint: median ${middle(times).toFixed(0)} ms, least ${Math.min(...times).toFixed(0)}, most ${Math.max(...times).toFixed(0)} ms; by event timing median ${middle(shown)} ms of ${shown.length}`,
);
await close();
