/**
 * Input to paint while a handle of the demo bent is dragged: npx tsx bench/drag.ts, on the built application. Prints the
 * median and the 90th percentile over 100 moves in headless Chromium, and checks that the figure follows.
 */
import { openDemo } from "../scripts/demoBrowser";

const { page, close } = await openDemo(4191);
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
await close();
process.exit(Number(at(0.5)) <= 50 && seen.size > 3 ? 0 : 1);
