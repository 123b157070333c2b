import { expect, test } from "@playwright/test";
import { execFileSync } from "node:child_process";

test("a building of sheet from nothing to its printed templates: corners, an opening, the sheet chosen, its paper read back", async ({
  page,
}) => {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Name of a new job").fill("Lamp house");
  await page.keyboard.press("Enter");
  await page.getByRole("main", { name: "Brief" }).waitFor();
  const stage = (name: string) =>
    page
      .getByRole("navigation", { name: "Stages" })
      .getByRole("link", { name: new RegExp(`^${name}`) })
      .click();
  await stage("Framing");
  await page.getByRole("button", { name: "Frame: House of clapboard sheet" }).click();
  await expect(page.getByText("Building of sheet, clapboards, gable roof")).toBeVisible();
  // the front is a figure of the drawing: 20 ft is 70 mm in HO
  await page
    .getByRole("button", { name: /^Length, outside, / })
    .first()
    .click();
  await page.keyboard.type("20");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: /^Length, outside/ }).first()).toContainText("20′-0″");
  await page.getByRole("tab", { name: "Parameters" }).click();
  await page.getByRole("button", { name: "Unfold all" }).click();
  // too thin a post is refused with its figure, and nothing is lost
  await page.getByRole("combobox", { name: "Corners", exact: true }).selectOption("post");
  await expect(page.getByText(/stand 0\.207 mm proud of it\. Take a thicker post/).first()).toBeVisible();
  await page.getByRole("combobox", { name: "Corners", exact: true }).selectOption("mitre");
  await page.getByRole("button", { name: "Add an opening" }).click();
  await expect(page.getByRole("button", { name: /^Middle from the left corner, / }).first()).toBeVisible();
  await stage("Stock");
  await page.getByLabel("Sheet for clapboards").selectOption("sheet/clapboard/80");
  await expect(page.getByRole("cell", { name: "Textured sheet, clapboards .080 in", exact: true })).toBeVisible();
  await stage("Cutting");
  await expect(page.getByText("facing", { exact: true }).first()).toBeVisible();
  await stage("Jigs");
  await expect(page.getByText("House of clapboard sheet: Front wall, face").first()).toBeAttached();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Print jigs (PDF)" }).click();
  const file = await (await download).path();
  const words = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
  expect(words).toContain("70.00 mm");
  expect(words).toMatch(/Front wall, face/);
  expect(words).toMatch(/sheet \.080/);
});
