import { expect, test, type Page } from "@playwright/test";
import type Axe from "axe-core";
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { ready } from "./framed";

const RULES = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"];
// evaluated, not added to the page: the pages' own content policy refuses scripts that are not Cardo's
const AXE = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** What axe objects to on a page, as short lines: every rule by film, contrast by lamp too. */
async function objections(page: Page, where: string): Promise<string[]> {
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(AXE);
  return page.evaluate(
    async ([name, rules]) => {
      const { axe } = window as unknown as { axe: typeof Axe };
      const root = document.documentElement;
      const out: string[] = [];
      // rows after the sixth are made like those before them, and so are the sticks of a drawing and of a layout
      const context = {
        include: [["html"]],
        exclude: [
          ["tbody tr:nth-child(n+7)"],
          ["[data-stick]:nth-of-type(n+13)"],
          ["main ol > li:nth-child(n+7)"],
          ["main section > ol > li:nth-child(n+4)"],
        ],
      };
      for (const theme of ["film", "lamp"] as const) {
        root.dataset.theme = theme;
        const { violations } = await axe.run(context, {
          resultTypes: ["violations"],
          runOnly: theme === "film" ? { type: "tag", values: rules } : { type: "rule", values: ["color-contrast"] },
          // an open menu hangs outside its landmark and hides the rest of the page from readers
          rules: { region: { enabled: false }, "page-has-heading-one": { enabled: false } },
        });
        for (const v of violations)
          out.push(
            `${name}, ${theme}: ${v.id}: ${v.nodes
              .slice(0, 3)
              .map((n) => n.target.join(" "))
              .join(" | ")}`,
          );
      }
      root.dataset.theme = "film";
      return out;
    },
    [where, RULES] as const,
  );
}
// every stage and tab of a job is much for one test: on a slow machine it takes minutes
test.setTimeout(400_000);
// they only look: two at a time disturb nothing
test.describe.configure({ mode: "parallel" });
const STAGES = ["Brief", "Drawings", "Framing", "Stock", "Cutting", "Jigs", "Bench"];

test("axe finds nothing on the shelf, its menu and its dialogs", async ({ page }) => {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  const found = await objections(page, "Shelf");
  await page.getByRole("button", { name: "More for Gulch trestle" }).first().click();
  found.push(...(await objections(page, "Shelf menu")));
  await page.getByRole("menuitem", { name: "Put into a folder" }).click();
  await page.getByLabel(/^Folder: one that is there/).waitFor();
  found.push(...(await objections(page, "Shelf dialog")));
  expect(found).toEqual([]);
});

// one job of every make of page: what its likes show is made by the same components
for (const job of [
  "Gulch trestle",
  "Pellam depot",
  "Howe truss",
  "Empty job",
  "Company store",
  "Agent's cottage",
  "Silos at Cray siding",
])
  // prettier-ignore
  test(`axe finds nothing on any stage or tab of “${job}”`, async ({ page }) => {
    await page.goto("/");
    const link = page.getByRole("link", { name: `Open ${job}`, exact: true }).first();
    await link.click();
    await ready(page);
    const found: string[] = [];
    for (const stage of STAGES) {
      await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: new RegExp(`^${stage}`) }).click(); // prettier-ignore
      await page.getByRole("main", { name: stage }).waitFor();
      await page.waitForTimeout(120);
      found.push(...(await objections(page, stage)));
      for (const tab of await page.getByRole("tab", { selected: false }).all()) {
        const name = await tab.innerText();
        // made by figures alone: the same in every job
        if (name === "Workshop jigs" && job !== "Gulch trestle") continue;
        await tab.click();
        await page.waitForTimeout(80);
        found.push(...(await objections(page, `${stage}, ${name}`)));
      }
    }
    expect(found).toEqual([]);
  });

test("axe finds nothing in the drawer", async ({ page }) => {
  await page.goto("/drawer");
  await page.waitForLoadState("networkidle");
  const found = await objections(page, "Drawer");
  await page.getByLabel(/^From/).selectOption("own");
  found.push(...(await objections(page, "Drawer, a size of one's own")));
  await page.goto("/drawer/together");
  await page.getByRole("checkbox", { name: /Gulch trestle/ }).check();
  await page.getByRole("checkbox", { name: /Silos/ }).check();
  await page.getByText("Proven").first().waitFor();
  found.push(...(await objections(page, "Several jobs")));
  for (const tab of ["Sheet layout", "To buy"]) {
    await page.getByRole("tab", { name: tab }).click();
    await page.waitForTimeout(400);
    found.push(...(await objections(page, `Several jobs, ${tab}`)));
  }
  expect(found).toEqual([]);
});

test("axe finds nothing in the dialogs and menus of a job", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Open Howe truss" }).first().click();
  await page.getByRole("main", { name: "Framing" }).waitFor();
  const found: string[] = [];
  const look = async (where: string): Promise<void> => void found.push(...(await objections(page, where)));
  await page.keyboard.press("?");
  await page.getByRole("heading", { name: "Shortcuts" }).waitFor();
  await look("Shortcuts");
  await page.keyboard.press("Escape");
  await page.keyboard.press("/");
  await page.getByLabel("Piece mark, role or place").fill("B");
  await look("Finder");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Show", exact: true }).click();
  await look("Show");
  await page.keyboard.press("Escape");
  await page
    .locator("main")
    .getByRole("button", { name: /bridge/i })
    .first()
    .click();
  await page.getByRole("menuitem", { name: "Frame another structure" }).waitFor();
  await look("Variant menu");
  await page.getByRole("menuitem", { name: "Frame another structure" }).click();
  await page.getByRole("button", { name: "Frame: Low bent, one story" }).waitFor();
  await look("Chooser");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Compare", exact: true }).click();
  await page.getByRole("region", { name: "Variants side by side" }).waitFor();
  await look("Compare");
  expect(found).toEqual([]);
});
