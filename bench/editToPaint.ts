import type { Page } from "@playwright/test";
import { writeFileSync } from "node:fs";

/** Times of edits, ms: from the key that leaves the field to the frame that shows the painted board, and what the browser itself says (in steps of 8 ms). */
export interface Edits {
  readonly times: readonly number[];
  readonly shown: readonly number[];
}
/** Milliseconds from key to key of somebody who types well. */
export const KEY_MS = 120;
/**
 * Puts `count` values into a field of the parameters, key after key or pasted at once, and leaves it with Tab each time.
 * PROFILE names a file for a CPU profile.
 */
export async function editToPaint(
  page: Page,
  label: string,
  count: number,
  next: (i: number, old: string) => string,
  wait: number,
  how: "typed" | "pasted",
): Promise<Edits> {
  const field = page.getByLabel(label, { exact: true });
  await field.waitFor({ timeout: 60_000 });
  await page.waitForTimeout(4000);
  await page.evaluate(() => {
    const w = window as unknown as { times: number[]; shown: number[]; from: number };
    const again = w.times !== undefined;
    w.times = [];
    w.from = 0;
    w.shown = [];
    if (again) return;
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
  for (let i = 0; i < count; i++) {
    const old = await field.inputValue();
    const words = next(i, old);
    if (how === "pasted") await field.fill(words);
    else {
      // only what differs is typed, as one would
      let [from, back] = [0, 0];
      while (from < words.length && words[from] === old[from]) from++;
      while (back < Math.min(words.length, old.length) - from && words.at(-1 - back) === old.at(-1 - back)) back++;
      await field.evaluate((el: HTMLInputElement, [a, b]) => (el.focus(), el.setSelectionRange(a!, b!)), [from, old.length - back]); // prettier-ignore
      if (old.length - back > from) await page.keyboard.press("Delete");
      await page.keyboard.type(words.slice(from, words.length - back), { delay: KEY_MS });
      await page.waitForTimeout(KEY_MS);
    }
    await field.press("Tab");
    await page.waitForTimeout(wait);
  }
  if (cdp) writeFileSync(process.env.PROFILE!, JSON.stringify((await cdp.send("Profiler.stop")).profile));
  return page.evaluate(() => {
    const w = window as unknown as { times: number[]; shown: number[] };
    return { times: w.times, shown: w.shown };
  });
}
const middle = (t: readonly number[]): number => [...t].sort((a, b) => a - b)[Math.floor(t.length / 2)]!;
/** The times in words. */
export const printEdits = (what: string, { times, shown }: Edits): string =>
  `in order: ${times.map(Math.round).join(" ")}\n${what}: ${times.length} edits, edit to paint: median ${middle(times).toFixed(0)} ms, least ${Math.min(...times).toFixed(0)}, most ${Math.max(...times).toFixed(0)} ms; by event timing median ${middle(shown)} ms of ${shown.length}`;
