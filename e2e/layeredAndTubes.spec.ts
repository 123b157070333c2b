import { execFileSync } from "node:child_process";
import { expect, test } from "@playwright/test";

import { readFileSync } from "node:fs";
import { framed, printed, stage } from "./framed";

test("a window in layers: mounted behind the face, divided, with shutters; its parts on one sheet for each thickness", async ({
  page,
}) => {
  await framed(page, "Layered", "House of clapboard sheet");
  await page.getByRole("button", { name: "Add an opening" }).click();
  const before = page.getByText(/^14 pieces/);
  await expect(before).toBeVisible();
  await page.getByRole("button", { name: /^1\. Front, Window/ }).click();
  await page.getByRole("combobox", { name: /Mounting$/i }).selectOption("layers");
  // frame, two sashes, glazing, trim and sill
  await expect(page.getByText(/^20 pieces/)).toBeVisible();
  await page.getByRole("combobox", { name: /made as$/i }).selectOption("casement");
  await expect(page.getByText(/^19 pieces/)).toBeVisible();
  await page.getByRole("combobox", { name: /shutters$/i }).selectOption("both");
  await expect(page.getByText(/^21 pieces/)).toBeVisible();
  // too many panes are refused with their size, and taken back by one press
  const panes = page.getByRole("combobox", { name: /panes across$/i });
  await panes.selectOption("12");
  await expect(page.getByText(/Opening 1 has (panes of|no room for)/).first()).toBeVisible();
  await panes.selectOption("2");
  await expect(page.getByText(/^21 pieces/)).toBeVisible();
  await stage(page, "Cutting");
  await expect(page.getByText("sash", { exact: true }).first()).toBeVisible();
  await stage(page, "Jigs");
  await expect(page.getByText("House of clapboard sheet: parts of styrene sheet .010 in").first()).toBeAttached();
  const words = await printed(page);
  expect(words).toContain("parts of clear sheet .010 in");
  // 3 × 5 ft is 10.5 × 17.5 mm, lapped by 4 in, 1.167 mm
  expect(words).toContain("12.83 × 19.83 mm");
});

test("a row of tubes from the pipe one has: wraps and hoops, a canopy beside it, their sheets printed", async ({
  page,
}) => {
  await framed(page, "Tank", "Water tank of staves");
  await page.getByLabel("Made from", { exact: true }).selectOption("own");
  const own = page.getByLabel(/^Its outside/);
  await own.fill("70");
  await own.press("Tab");
  await page.getByLabel("Hoops", { exact: true }).selectOption("5");
  // tube, wrap and five hoops in halves, deck
  await expect(page.getByText(/^14 pieces/)).toBeVisible();
  await stage(page, "Cutting");
  await expect(page.getByText("Tube 70 mm, as measured").first()).toBeVisible();
  await stage(page, "Jigs");
  await expect(page.getByText("Water tank of staves: wrap laid flat").first()).toBeAttached();
  // π × (70 + 1.016)
  expect(await printed(page)).toContain("223.10 mm once round a tube of 70.00 mm");
});

test("an awning by its figures: the board is smaller by its edges, a column notches it", async ({ page }) => {
  await framed(page, "Awning", "Canopy on rods");
  await page.getByRole("button", { name: /^Length, outside, / }).first().click(); // prettier-ignore
  await page.keyboard.type("20");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Add a column" }).click();
  // the ledger is parted round it
  await expect(page.getByText(/^19 pieces/)).toBeVisible();
  await stage(page, "Jigs");
  // 20 ft is 70 mm, less twice 1.143
  expect(await printed(page)).toContain("67.71 mm");
});

test("a piece is saved as a solid from its ticket", async ({ page }) => {
  await framed(page, "Solid", "Canopy on rods");
  await page.getByRole("tab", { name: "Piece and findings" }).click();
  await page
    .locator('[data-stick$="/board"]')
    .first()
    .click({ position: { x: 60, y: 8 } });
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as STL" }).click();
  const file = await (await download).path();
  // 84 bytes of head and 50 for each of at least twelve triangles
  const bytes = readFileSync(file);
  expect(bytes.length).toBe(84 + 50 * bytes.readUInt32LE(80));
  expect(bytes.readUInt32LE(80)).toBeGreaterThanOrEqual(12);
});

test("a chimney is saved as one solid to cast from: its library may do in its worker what no page may", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Open Agent's cottage" }).first().click();
  await stage(page, "Framing");
  await page.locator('[data-stick$="/chimney1/front"]').first().waitFor();
  await page.keyboard.press("/");
  await page.getByLabel("Piece mark, role or place").fill("CH1");
  await page.keyboard.press("Enter");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save the 7 glued up as one solid (STL)" }).click();
  const said = execFileSync("admesh", [await (await download).path()], { encoding: "utf8" });
  expect(said).toMatch(/Number of parts\s*:\s*1\s/);
  expect(said).toMatch(/Total disconnected facets\s*:\s*0\s+0/);
});
