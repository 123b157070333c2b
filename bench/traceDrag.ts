/**
 * Input to paint while the end of a traced member of the demo snowshed is dragged: npx tsx bench/traceDrag.ts, on the
 * built application. Prints the median and the 90th percentile over 100 moves in headless Chromium.
 */
import { movesWatched, openDemo, watchMoves } from "../scripts/demoBrowser";

const { page, close } = await openDemo(4194);
await page.getByRole("link", { name: "Open Snowshed" }).first().click();
await page.getByRole("link", { name: "Drawings" }).click();
await page.getByRole("tab", { name: "Trace" }).click();
await page.locator('[data-stick$="n1"]').first().click();
const handle = page.getByRole("button", { name: "End of the knee brace" });
await handle.waitFor();
await watchMoves(page);
const box = (await handle.boundingBox())!;
const before = await page.locator('[data-stick$="n1"]').first().getAttribute("d");
await page.mouse.move(box.x + 12, box.y + 12);
await page.mouse.down();
for (let i = 0; i < 100; i++)
  await page.mouse.move(box.x + 12 + 30 * Math.sin(i / 8), box.y + 12 + 20 * Math.cos(i / 9));
await page.waitForTimeout(200);
const after = await page.locator('[data-stick$="n1"]').first().getAttribute("d");
const { count, median, most } = await movesWatched(page);
await page.mouse.up();
console.log(
  `${count} moves: median ${median.toFixed(1)} ms, 90 % within ${most.toFixed(1)} ms; the stick ${before === after ? "did not follow" : "followed"}`,
);
await close();
process.exit(median <= 50 && before !== after ? 0 : 1);
