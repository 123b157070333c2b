/**
 * Input to paint while a handle of the demo bent is dragged: npx tsx bench/drag.ts, on the built application. Prints the
 * median and the 90th percentile over 100 moves in headless Chromium, and checks that the figure follows.
 */
import { movesWatched, openDemo, watchMoves } from "../scripts/demoBrowser";

const { page, close } = await openDemo(4191);
await page.getByRole("link", { name: "Open Gulch trestle" }).first().click();
const handle = page.locator('[data-handle="height"]');
await handle.waitFor();
await page.waitForTimeout(1500);
await watchMoves(page);
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
const { count, median, most } = await movesWatched(page);
await page.mouse.up();
console.log(
  `${count} moves: median ${median.toFixed(1)} ms, 90 % within ${most.toFixed(1)} ms; the figure showed ${seen.size} values from ${before}`,
);
await close();
process.exit(median <= 50 && seen.size > 3 ? 0 : 1);
