import { expect, test } from "@playwright/test";
import { readFileSync } from "node:fs";
import { framed, printed, stage } from "./framed";

test("a platform on columns: a stair that lands, a gate, a second one across the track, its templates", async ({
  page,
}) => {
  await framed(page, "Halt", "Platform with stairs at its end");
  await expect(page.getByText(/^Platform on 5 × 2 columns/)).toBeVisible();
  const before = Number((await page.getByText(/^\d+ pieces/).innerText()).match(/^\d+/)![0]);
  await page.getByRole("button", { name: "Add a gate" }).click();
  // a leaf of five sticks, and one more length of railing: a handrail, two rails and a post
  await expect(page.getByText(new RegExp(`^${before + 9} pieces`))).toBeVisible();
  await page.getByLabel("A second one, mirrored", { exact: true }).click();
  await expect(page.getByText(new RegExp(`^${2 * (before + 9)} pieces`))).toBeVisible();
  await page.getByText("End", { exact: true }).click();
  await page.getByRole("button", { name: /^Between both, / }).first().click(); // prettier-ignore
  await page.keyboard.type("30");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: /^Between both, .*30′-0″$/ }).first()).toBeVisible();
  await stage(page, "Jigs");
  const words = await printed(page);
  expect(words).toContain("First: columns and girder 1");
  expect(words).toContain("stair stringer");
});

test("a cottage trimmed by its parameters: a cornice, shingles in strips, and the parts for a cutter with its kerf", async ({
  page,
}) => {
  await framed(page, "Trimmed", "House of clapboard sheet");
  const set = async (label: string, value: string): Promise<void> => {
    await page.getByLabel(label, { exact: true }).fill(value);
    await page.getByLabel(label, { exact: true }).press("Tab");
  };
  await set("Corner boards, width", `6"`);
  await expect(page.getByText(/^22 pieces/)).toBeVisible();
  await set("Fascias and barge boards, height", `8"`);
  await expect(page.getByText(/^28 pieces/)).toBeVisible();
  await page.getByLabel("Cover of the slopes", { exact: true }).selectOption("strips");
  // sixteen strips and a starter on either slope
  await expect(page.getByText(/^62 pieces/)).toBeVisible();
  await set("Ridge cap, width of each side", `4 ft`);
  await expect(page.getByText(/from 0′-0″ to 3′-0″/).first()).toBeVisible();
  await set("Ridge cap, width of each side", `9"`);
  await stage(page, "Jigs");
  await page.getByLabel(/^Kerf of the cutter/).fill("0.2");
  await page.getByLabel(/^Kerf of the cutter/).press("Tab");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Styrene sheet .060 in as DXF" }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe("cut-styrene-60.dxf");
  const dxf = readFileSync(await file.path(), "utf8");
  expect(dxf.match(/LWPOLYLINE/g)).toHaveLength(4);
  await page.reload();
  await expect(page.getByLabel(/^Kerf of the cutter/)).toHaveValue("0.20 mm");
  await page.getByLabel(/^Kerf of the cutter/).fill("9");
  await page.getByLabel(/^Kerf of the cutter/).press("Tab");
  await expect(page.getByText("Read 9.00 mm; it may be from 0 to 3.0 mm.")).toBeVisible();
});
