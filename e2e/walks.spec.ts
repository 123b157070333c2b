import { expect, test, type Locator, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
const SHEET = "examples/plan-sheet-12.jpg";

/** Acts of a walk: every press, every text typed, every choice. A walk that takes more than it may has a detour in it. */
class Walk {
  acts = 0;
  constructor(
    readonly page: Page,
    readonly by: "pointer" | "keyboard",
  ) {}
  async press(target: Locator): Promise<void> {
    this.acts++;
    await target.waitFor();
    if (this.by === "pointer") return target.click();
    await target.focus();
    await this.page.keyboard.press("Enter");
  }
  async type(target: Locator, text: string): Promise<void> {
    this.acts++;
    await target.fill(text);
    await this.page.keyboard.press("Enter");
  }
  async choose(target: Locator, label: string): Promise<void> {
    this.acts++;
    await target.selectOption({ label });
  }
  /** Changes a figure of the drawing: pressed, typed over, Enter. */
  async figure(name: RegExp, text: string): Promise<void> {
    await this.press(this.page.getByRole("button", { name }).first());
    this.acts++;
    await this.page.keyboard.type(text);
    await this.page.keyboard.press("Enter");
  }
  stage = (name: string): Promise<void> =>
    this.press(this.page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: new RegExp(`^${name}`) })); // prettier-ignore
  async newJob(name: string): Promise<void> {
    await this.page.goto("/");
    await this.page.waitForLoadState("networkidle");
    await this.type(this.page.getByLabel("Name of a new job"), name);
    await this.page.getByRole("main", { name: "Brief" }).waitFor();
  }
}
for (const by of ["pointer", "keyboard"] as const) {
  test(`walk: a bent from nothing to its sheet, by ${by}`, async ({ page }) => {
    const w = new Walk(page, by);
    await w.newJob(`Bent by ${by}`);
    await w.stage("Framing");
    await w.press(page.getByRole("button", { name: "Frame: Bent of two stories" }));
    await w.figure(/^Height, top of cap/, "18'6");
    await w.figure(/^Cap length/, "14");
    await expect(page.getByText("✓ Nothing to object to.")).toBeVisible();
    await w.stage("Stock");
    await w.press(page.getByRole("button", { name: /^Take .* as proposed/ }));
    await w.stage("Jigs");
    const download = page.waitForEvent("download");
    await w.press(page.getByRole("button", { name: "Print jigs (PDF)" }));
    expect(
      readFileSync(await (await download).path())
        .subarray(0, 5)
        .toString(),
    ).toBe("%PDF-");
    await w.press(page.getByRole("link", { name: /^Cut \d+ pieces/ }));
    await w.press(page.getByRole("button", { name: "Mark as cut" }).first());
    await expect(page.getByText(/^Marked as cut: 1 × C1/)).toBeVisible();
    await w.stage("Bench");
    await w.press(page.getByRole("tab", { name: "Pieces" }));
    await expect(page.getByRole("heading", { name: "1 of 15 pieces are cut and fit" })).toBeVisible();
    expect(w.acts).toBeLessThanOrEqual(21);
  });

  test(`walk: a trestle over its ground, by ${by}`, async ({ page }) => {
    const w = new Walk(page, by);
    await w.newJob(`Trestle by ${by}`);
    await w.stage("Framing");
    await w.press(page.getByRole("button", { name: "Frame: Framed trestle" }));
    await w.press(page.getByRole("tab", { name: "Parameters" }));
    await w.type(page.getByLabel("Find a parameter"), "ground");
    // a profile pasted from a levelling book
    w.acts++;
    const ground = page.getByRole("textbox", { name: "Ground profile" });
    await ground.fill("station,height\n0,-8\n40,-30\n80,-34\n120,-8");
    await ground.blur();
    await w.press(page.getByRole("button", { name: "Draw the ground" }));
    const points = page.getByRole("button", { name: /^Point \d of the ground/ });
    await expect(points).toHaveCount(4);
    // a point is moved, by a drag or by the arrow keys; it is never taken away unasked
    w.acts++;
    if (by === "pointer") {
      const box = (await points.nth(1).boundingBox())!;
      await page.mouse.move(box.x + 12, box.y + 12);
      await page.mouse.down();
      await page.mouse.move(box.x + 12, box.y + 30, { steps: 3 });
      await page.mouse.up();
    } else {
      await points.nth(1).focus();
      await page.keyboard.press("ArrowDown");
    }
    await expect(points.nth(1)).not.toHaveAccessibleName(/30′-0″/);
    await expect(points).toHaveCount(4);
    w.acts++;
    await page.keyboard.press("Escape");
    await expect(points).toHaveCount(0);
    await w.figure(/^Bent spacing/, "14");
    await w.stage("Stock");
    await w.press(page.getByRole("button", { name: /^Take .* as proposed/ }));
    await w.stage("Jigs");
    await expect(page.getByText(/template, all bents/).first()).toBeAttached();
    const download = page.waitForEvent("download");
    await w.press(page.getByRole("button", { name: "Print jigs (PDF)" }));
    await download;
    await w.stage("Cutting");
    await w.press(page.getByRole("tab", { name: "Stick layout" }));
    await expect(page.getByRole("button", { name: "Mark as cut" }).first()).toBeVisible();
    expect(w.acts).toBeLessThanOrEqual(25);
  });

  test(`walk: a shed with doors and windows in O from inch strip, in metres, by ${by}`, async ({ page }) => {
    const w = new Walk(page, by);
    await w.newJob(`Shed by ${by}`);
    await w.choose(page.getByLabel("Scale", { exact: true }), "O 1:48");
    await w.press(page.getByRole("radio", { name: "m", exact: true }));
    await w.stage("Framing");
    await w.press(page.getByRole("button", { name: "Frame: Tool house" }));
    await w.figure(/^Length, outside/, "5,2");
    await w.press(page.getByRole("tab", { name: "Parameters" }));
    await w.press(page.getByRole("button", { name: "Openings", exact: true }));
    // an opening more, and one that becomes another kind takes along what it has to
    await w.press(page.getByRole("button", { name: "Add another opening" }));
    await w.press(page.getByRole("button", { name: /^1\. Front, Door/ }));
    await w.choose(page.getByLabel("Kind", { exact: true }).first(), "Window");
    await expect(page.getByText(/^Goes along with it:/)).toBeVisible();
    await w.stage("Stock");
    await w.press(page.getByRole("checkbox", { name: /inch/i }).first());
    await w.press(page.getByRole("button", { name: /^Take .* as proposed/ }));
    await w.stage("Framing");
    // not a word of feet or inches is left in a metric job
    await expect(page.getByRole("main")).not.toContainText(/\d′/);
    await w.stage("Cutting");
    await expect(page.getByRole("table").first()).not.toContainText(/\d′/);
    await w.stage("Jigs");
    expect(w.acts).toBeLessThanOrEqual(30);
  });

  test(`walk: a deck truss compared, by ${by}`, async ({ page }) => {
    const w = new Walk(page, by);
    await w.newJob(`Truss by ${by}`);
    await w.stage("Framing");
    await w.press(page.getByRole("button", { name: "Frame: Warren deck truss" }));
    await w.figure(/^Span/, "80");
    await w.press(page.getByRole("button", { name: "Warren deck truss", exact: true }));
    await w.press(page.getByRole("menuitem", { name: "Copy as a variant" }));
    await w.press(page.getByRole("tab", { name: "Parameters" }));
    await w.type(page.getByLabel("Find a parameter"), "kind");
    await w.choose(page.getByRole("combobox", { name: /Kind of truss|Truss is|Kind/ }).first(), "Pratt");
    await w.press(page.getByRole("button", { name: "Compare", exact: true }));
    await expect(page.getByRole("row", { name: /^Pieces \d+ \d+$/ })).toBeVisible({ timeout: 20_000 });
    // what the comparison counts is what the board counts
    const row = await page.getByRole("row", { name: /^Pieces/ }).innerText();
    await w.press(page.getByRole("button", { name: "Back to the drawing" }));
    const shown = await page.getByText(/\d+ pieces · \d+ marks/).innerText();
    expect(row.split(/\s+/)).toContain(/^(\d+) pieces/.exec(shown)![1]!);
    expect(w.acts).toBeLessThanOrEqual(15);
  });
}

test("calibrating by keyboard: a cross is moved over the sheet, pressed with the space bar, and the field takes the keyboard", async ({
  page,
}) => {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Name of a new job").fill("By keys");
  await page.keyboard.press("Enter");
  await page.getByRole("main", { name: "Brief" }).waitFor();
  await page.keyboard.press("3");
  const chooser = page.waitForEvent("filechooser");
  await page.getByRole("button", { name: "Upload a drawing" }).press("Enter");
  await (await chooser).setFiles(SHEET);
  await expect(page.locator("svg image").first()).toBeVisible();
  await page.getByRole("button", { name: "Known length", exact: true }).first().press("Enter");
  const board = page.getByRole("region", { name: /^Drawing/ });
  await board.focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.locator("[data-cross]")).toBeVisible();
  for (let i = 0; i < 10; i++) await page.keyboard.press("ArrowLeft");
  await page.keyboard.press(" ");
  for (let i = 0; i < 20; i++) await page.keyboard.press("ArrowRight");
  await page.keyboard.press(" ");
  // "Now type at the right": the keyboard is there already
  await expect(page.getByLabel(/Length between the two points/)).toBeFocused();
  await page.keyboard.type("14'");
  await page.keyboard.press("Enter");
  await expect(page.getByText("pixels to a prototype inch")).toBeVisible();
});
