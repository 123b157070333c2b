/**
 * A scan of an A0 sheet at 300 dpi, 139 megapixels, panned and zoomed: npx tsx bench/largeScan.ts, on the built
 * application. Prints how long it takes in, the script time per frame while it is moved (median and 99th percentile),
 * how many tiles stand on the page and how the browser's heap grows.
 */
import sharp from "sharp";
import { openDemo } from "../scripts/demoBrowser";

const [W, H] = [9933, 14_043];
const lines = Array.from({ length: 400 }, (_, i) => {
  const [x, y] = [((i * 37) % 97) / 97, ((i * 53) % 89) / 89];
  return `<path d="M${x * W} ${y * H}l${400 + (i % 7) * 90} ${(i % 5) * 60}v60l${-400 - (i % 7) * 90} ${-(i % 5) * 60}z" fill="none" stroke="#222" stroke-width="6"/>`;
}).join("");
const drawn = await sharp(
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${W / 4}" height="${H / 4}" viewBox="0 0 ${W} ${H}">${lines}</svg>`,
  ),
)
  .flatten({ background: "#efe6cf" })
  .png()
  .toBuffer();
const scan = await sharp(drawn, { limitInputPixels: false }).resize(W, H).jpeg({ quality: 70 }).toBuffer();

const { page, close } = await openDemo(4193);
await page.getByRole("link", { name: "Open Empty job" }).first().click();
await page.waitForLoadState("networkidle");
await page.getByRole("link", { name: "Drawings" }).click();
const started = Date.now();
await page
  .getByLabel("Picture", { exact: true })
  .setInputFiles({ name: "a0.jpg", mimeType: "image/jpeg", buffer: scan });
const board = page.getByRole("region", { name: "Drawing a0" });
await board.waitFor({ timeout: 120_000 });
console.log(
  `${((W * H) / 1e6).toFixed(0)} megapixels, ${(scan.length / 1e6).toFixed(1)} MB: on the board after ${((Date.now() - started) / 1000).toFixed(1)} s`,
);
await page.waitForTimeout(3000);

const client = await page.context().newCDPSession(page);
await client.send("Performance.enable");
const metric = async (name: string): Promise<number> =>
  (await client.send("Performance.getMetrics")).metrics.find((m) => m.name === name)!.value;
const box = (await board.boundingBox())!;
const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
const heapBefore = (await metric("JSHeapUsedSize")) / 1e6;
const script: number[] = [];
let most = 0;
const frame = async (move: () => Promise<void>): Promise<void> => {
  const before = await metric("ScriptDuration");
  await move();
  await page.evaluate(() => new Promise((r) => requestAnimationFrame(() => setTimeout(r, 0))));
  script.push(1000 * ((await metric("ScriptDuration")) - before));
};
for (let round = 0; round < 6; round++) {
  await page.mouse.move(cx, cy);
  for (let i = 0; i < 14; i++) await frame(() => page.mouse.wheel(0, round % 2 ? 160 : -160));
  await page.mouse.down();
  for (let i = 0; i < 30; i++)
    await frame(() => page.mouse.move(cx + 300 * Math.sin(i / 5), cy + 250 * Math.cos(i / 4)));
  await page.mouse.up();
  most = Math.max(most, await page.locator("svg image").count());
}
script.sort((a, b) => a - b);
const at = (share: number): string => script[Math.floor(script.length * share)]!.toFixed(1);
await client.send("HeapProfiler.collectGarbage");
const heapAfter = (await metric("JSHeapUsedSize")) / 1e6;
console.log(
  `${script.length} frames: script median ${at(0.5)} ms, 99 % within ${at(0.99)} ms; ${most} tiles on the page at most`,
);
console.log(
  `heap ${heapBefore.toFixed(0)} MB before, ${heapAfter.toFixed(0)} MB after; DOM nodes ${await metric("Nodes")}`,
);
await close();
process.exit(Number(at(0.5)) <= 8 ? 0 : 1);
