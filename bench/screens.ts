/**
 * What a screen weighs and how soon it says something: compressed bytes and time to the first useful paint of the Shelf,
 * a bent and the depot, the size of an edit's answer, the start of the command line. node --import tsx bench/screens.ts
 */
import { spawnSync } from "node:child_process";
import { openDemo } from "../scripts/demoBrowser";

const demo = await openDemo(4196);
const { page } = demo;
const shelf = page.url();
// the first visit draws missing pictures; what is measured is the one after
await page.waitForTimeout(15_000);
const links = await page
  .locator("main li a.head")
  .evaluateAll((all) => all.map((a) => [a.textContent ?? "", (a as HTMLAnchorElement).href] as const));
const of = (name: string): string => `${links.find(([n]) => n === name)![1]}/framing`;

async function measure(name: string, url: string, useful: string): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send("Network.enable");
  await session.send("Network.clearBrowserCache");
  let [bytes, scripts] = [0, 0];
  const types = new Map<string, string>();
  session.on("Network.responseReceived", (e) => types.set(e.requestId, e.type));
  session.on("Network.loadingFinished", (e) => {
    bytes += e.encodedDataLength;
    if (types.get(e.requestId) === "Script") scripts += e.encodedDataLength;
  });
  await page.goto("about:blank");
  const start = Date.now();
  await page.goto(url, { waitUntil: "commit" });
  const first = await page.waitForSelector("main, img", { state: "attached" }).then(() => Date.now() - start);
  await page.waitForSelector(useful, { state: "visible" });
  const done = Date.now() - start;
  const [b, s] = [bytes, scripts];
  console.log(
    `${name.padEnd(8)} ${(s / 1000).toFixed(0).padStart(5)} kB script, ${(b / 1000).toFixed(0).padStart(5)} kB in all; first words ${first} ms, useful ${done} ms`,
  );
  await session.detach();
}
for (let round = 0; round < 3; round++) {
  await measure("shelf", shelf, "main li img");
  await measure("bent", of("Gulch trestle"), "[data-stick], canvas");
  await measure("depot", of("Pellam depot"), "[data-stick], canvas");
}
await page.goto(of("Gulch trestle"));
const answer = page.waitForResponse((r) => r.url().endsWith("/revisions"));
await page.getByRole("slider", { name: /Height/ }).first().press("ArrowUp"); // prettier-ignore
const r = await answer;
console.log(`an edit: ${r.request().postData()!.length} bytes sent, ${(await r.body()).length} bytes answered`);
await demo.close();

for (const args of [
  ["solve", "--help"],
  ["rafters", "6"],
  ["pieces", "examples/gulch-trestle.json"],
]) {
  const times = Array.from({ length: 5 }, () => {
    const start = performance.now();
    spawnSync("npm", ["run", "-s", "cardo", "--", ...args]);
    return performance.now() - start;
  });
  console.log(`cardo ${args[0]}: ${Math.min(...times).toFixed(0)} ms at best, ${times.sort((a, b) => a - b)[2]!.toFixed(0)} in the middle`); // prettier-ignore
}
