import type { Page } from "@playwright/test";

/** Where a point of the sheet in hand, in its pixels, is on the screen. */
const onScreen = (page: Page, [x, y]: readonly number[]) =>
  page.evaluate(
    ([px, py]) => {
      const g = document.querySelector("[data-sheet]") as SVGGElement;
      const p = new DOMPoint(px, py).matrixTransform(g.getScreenCTM()!);
      return { x: p.x, y: p.y };
    },
    [x!, y!] as const,
  );
/** Presses on a point of the sheet in hand. */
export async function press(page: Page, pixel: readonly number[]): Promise<void> {
  const p = await onScreen(page, pixel);
  await page.mouse.click(p.x, p.y);
}
/** Drags something from where it is to a point of the sheet. */
export async function dragTo(page: Page, from: { x: number; y: number }, pixel: readonly number[]): Promise<void> {
  const p = await onScreen(page, pixel);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + p.x) / 2, (from.y + p.y) / 2, { steps: 3 });
  await page.mouse.move(p.x, p.y, { steps: 4 });
  await page.mouse.up();
}
