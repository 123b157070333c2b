import { expect, test } from "@playwright/test";
import type { JobDoc } from "../core/job";
import { stage } from "./framed";

test("the plan of the spot: a shed is dragged against the house, turned, typed elsewhere, and what stands in the way is told", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Open Section houses", exact: true }).first().click();
  await stage(page, "Brief");
  await page.getByRole("tab", { name: "Plan of the spot" }).click();
  await expect(page.getByText(/3 of 3 placed/)).toBeVisible();
  const id = /jobs\/([^/]+)/.exec(page.url())![1]!;
  const place = async (name: string) => {
    await expect(page.getByText(/^Kept at/)).toBeVisible();
    const doc = (await (await page.request.get(`/jobs/${id}/file`)).json()) as JobDoc;
    return doc.structures.find((s) => s.name === name)!.place!;
  };
  const board = page.getByRole("region", { name: "Plan of the spot" });
  const before = await place("Coal shed");
  // pressed on the drawing
  await board.locator("[data-stick=coal]").click();
  const hold = page.getByRole("button", { name: "Move Coal shed", exact: true });
  // the gap to the house is the figure at its left
  const middle = async (what: ReturnType<typeof board.locator>): Promise<[number, number]> => {
    const box = (await what.boundingBox())!;
    return [box.x + box.width / 2, box.y + box.height / 2];
  };
  const [x, y] = await middle(hold);
  const figures = board.locator("text").filter({ hasText: /^\d+\.\d mm$/ });
  let gap = Infinity;
  for (const f of await figures.all()) {
    const [fx, fy] = await middle(f);
    if (fx < x && Math.abs(fy - y) < 60) gap = Math.min(gap, Number((await f.textContent())!.replace(" mm", "")));
  }
  expect(gap).toBeLessThan(60);
  // the outline of the spot, 330 mm long, tells how many pixels a millimetre is
  const k = (await board.locator("rect[stroke-dasharray]").boundingBox())!.width / 330;
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (const part of [0.3, 0.7, 1]) await page.mouse.move(x - (gap - 1.5) * k * part, y, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await place("Coal shed")).x).toBeCloseTo(before.x - gap, 0);
  const there = await place("Coal shed");
  // the figure is rounded to a tenth
  expect(Math.abs(there.x - (before.x - gap))).toBeLessThan(0.06);
  expect(there.y).toBeCloseTo(before.y, 0);

  await page.getByRole("button", { name: "Turn Coal shed", exact: true }).press("Shift+ArrowLeft");
  await expect.poll(async () => (await place("Coal shed")).turn).toBe(15);
  const clash = page.getByRole("listitem").filter({ hasText: /Section house and Coal shed stand in each other/ });
  await expect(clash).toBeVisible({ timeout: 20_000 });
  await clash.getByRole("button", { name: "Move Coal shed clear" }).click();
  await expect(clash).toHaveCount(0, { timeout: 20_000 });

  const across = page.getByLabel(/^Its middle, across/);
  await across.fill("52.5 mm");
  await across.press("Enter");
  await expect.poll(async () => (await place("Coal shed")).x).not.toBe(there.x);
  await expect(across).toHaveValue("52.50 mm");
  await page.getByRole("tab", { name: "Plan of the spot" }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press("Control+z");
  await expect.poll(async () => await place("Coal shed")).toEqual(before);
});
