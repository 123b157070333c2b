import { expect, test, type Page } from "@playwright/test";
import { execFileSync } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { press } from "./sheet";

const SHEET = "examples/plan-sheet-12.jpg";
const demo = JSON.parse(readFileSync("examples/gulch-trestle.json", "utf8")) as {
  drawings: { calibration: { lengths: { from: number[]; to: number[] }[] }; under: { anchor: number[] }[] }[];
};
const calibration = demo.drawings[0]!.calibration.lengths[0]!;
const under = demo.drawings[0]!.under[0]!;

const kept = (page: Page) => expect(page.getByRole("status").filter({ hasText: /^Kept at/ })).toBeVisible();
async function openDemo(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: "Open Gulch trestle" }).first().click();
  await expect(page.getByRole("heading", { name: "Gulch trestle" })).toBeVisible();
  // the page answers once its script has taken over
  await expect(page.locator("[data-stick]").first()).toBeVisible();
}

test("from a drawing of a bent to the jig it is built on", async ({ page }) => {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Name of a new job").fill("Bent by hand");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Bent by hand" })).toBeVisible();
  await page.waitForLoadState("networkidle");

  // the plan sheet: upload, calibrate by the cap's 14 ft, measure the height
  await page.keyboard.press("3");
  const chooser = page.waitForEvent("filechooser");
  await page.getByRole("button", { name: "Upload a drawing" }).click();
  await (await chooser).setFiles(SHEET);
  await expect(page.locator("svg image").first()).toBeVisible();
  await page.getByRole("button", { name: "Known length", exact: true }).first().click();
  await press(page, calibration.from);
  await press(page, calibration.to);
  await page.getByLabel(/Length between the two points/).fill("14 furlongs");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("Read “14 furlongs”; write a length such as 14'6");
  await page.getByLabel(/Length between the two points/).fill("14'");
  await page.keyboard.press("Enter");
  await expect(page.getByText("pixels to a prototype inch")).toBeVisible();
  await page.keyboard.press("m");
  await expect(page.getByRole("button", { name: "Length", exact: true })).toHaveAttribute("aria-pressed", "true");
  const [ax, ay] = under.anchor as [number, number];
  // straight down the sheet by 21 ft, which is 1.5 caps, square to the cap
  const [ux, uy] = [calibration.to[0]! - calibration.from[0]!, calibration.to[1]! - calibration.from[1]!];
  await press(page, [ax, ay]);
  await press(page, [ax - 1.5 * uy, ay + 1.5 * ux]);
  const measure = page.getByRole("listitem").filter({ has: page.getByLabel("Name of measure 1") });
  await expect(measure).toContainText(/2[01]′-\d/);
  await measure.getByLabel("Name of measure 1").fill("Height over all");
  await page.keyboard.press("Enter");

  // frame it, send the measure in, put the sheet under it
  await page.keyboard.press("Escape");
  await page.getByRole("heading", { name: "Bent by hand" }).click();
  await page.keyboard.press("4");
  await page.getByRole("button", { name: "Frame: Bent of two stories" }).click();
  await expect(page.getByRole("button", { name: /^Height, top of cap to foot of sill, 21 feet/ })).toBeVisible();
  await page.getByRole("link", { name: "Drawings" }).click();
  const height = page.getByLabel("Send Height over all to");
  await height.selectOption({ label: "Height, top of cap to foot of sill" });
  await expect(page.getByText("is now the height")).toBeVisible();
  await page.getByRole("tab", { name: "Scale" }).click();
  await page.getByRole("button", { name: "Put under the frame" }).click();
  await press(page, under.anchor);
  await page.getByRole("link", { name: "Framing" }).click();
  await expect(page.locator("svg image").first()).toBeVisible();
  await expect(page.getByText("plan-sheet-12 under the frame")).toBeVisible();

  // a dimension is a button: press, type, Enter; what cannot be is refused and stays out
  const figure = page.getByRole("button", { name: /^Height, top of cap/ });
  await figure.click();
  await page.keyboard.type("200");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("is 200′-0″; it may be from 5′-0″ to 90′-0″");
  await page.keyboard.press("Escape");
  await figure.click();
  await page.keyboard.type("21' 6");
  await page.keyboard.press("Enter");
  await expect(
    page.getByRole("button", { name: "Height, top of cap to foot of sill, 21 feet 6 inches" }),
  ).toBeVisible();
  // and a handle is a slider: an inch up the arrow
  await page.getByRole("slider", { name: "Drag: Cap length" }).last().focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("button", { name: "Cap length, 14 feet 1 inches" })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("button", { name: "Cap length, 14 feet 0 inches" })).toBeVisible();
  // dragged by the pointer, the figures follow before it is let go
  const foot = page.getByRole("slider", { name: "Drag: Height, top of cap to foot of sill" });
  const box = (await foot.boundingBox())!;
  await page.mouse.move(box.x + 12, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 12, box.y + 40, { steps: 4 });
  await expect(page.getByRole("button", { name: /^Height, top of cap to foot of sill, 2[2-9] feet/ })).toBeVisible();
  await page.mouse.up();
  await kept(page);
  await page.keyboard.press("Control+z");
  await expect(
    page.getByRole("button", { name: "Height, top of cap to foot of sill, 21 feet 6 inches" }),
  ).toBeVisible();

  // point at a stick: its ticket stays from stage to stage
  await page.locator('[data-stick$="story1/post/R2"]').last().click();
  await expect(page.getByRole("region", { name: "Ticket of P1" })).toContainText("batter post");

  // stock: 1/8 in strip for the 12×12, and what that makes of it
  await page.keyboard.press("5");
  await page.getByRole("button", { name: "Section 12×12: show what would do" }).click();
  await page.getByRole("button", { name: /^Strip wood 1\/8 × 1\/8 in/ }).click();
  await expect(page.getByRole("row", { name: /12×12/ })).toContainText("-9.3 %".replace("-", "−"));
  await expect(
    page.getByText(/12×12 is not to be had: Strip wood 1\/8 × 1\/8 in is 0\.3[23] mm too small/),
  ).toBeVisible();
  await kept(page);

  // the cut list: sort it, mark the posts as cut
  await page.keyboard.press("6");
  await expect(page.getByRole("region", { name: "Ticket of P1" })).toBeVisible();
  const row = page.locator('tr[data-mark="P1"]');
  await expect(row).toContainText("both 11.8° mitre, parallel");
  await page.getByRole("columnheader", { name: "Tip to tip" }).getByRole("button").click();
  await row.getByRole("button", { name: "Mark as cut" }).click();
  await expect(row).toContainText("✓ 2 cut");
  await page.getByRole("tab", { name: "Stick layout" }).click();
  await expect(page.getByText("Proven: no plan costs less.").first()).toBeVisible();

  // the jig: printed at true size
  await page.keyboard.press("7");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Print jigs (PDF)" }).click();
  const pdf = await (await download).path();
  expect(readFileSync(pdf).subarray(0, 5).toString()).toBe("%PDF-");
  if (existsSync("/usr/bin/pdftoppm")) {
    const pgm = execFileSync("/usr/bin/pdftoppm", ["-r", "254", "-gray", "-singlefile", pdf], { maxBuffer: 1e8 });
    const [, w, h] = /^P5\s(\d+)\s(\d+)\s\d+\s/.exec(pgm.subarray(0, 40).toString("latin1"))!.map(Number) as [
      number,
      number,
      number,
    ];
    const pixels = pgm.subarray(pgm.length - w * h);
    // ten pixels to the mm: somewhere in the foot of the page lies a dark run of 150 mm
    const runs = Array.from({ length: 400 }, (_, i) => {
      let [run, best] = [0, 0];
      for (let x = 0; x < w; x++) best = Math.max(best, (run = pixels[(h - 1 - i) * w + x]! < 128 ? run + 1 : 0));
      return best;
    });
    expect(runs.some((n) => Math.abs(n - 1500) <= 1)).toBe(true);
  }
  await expect(page.getByText("✓ as the design is")).toBeVisible();

  // a later edit: the print is stale and what was cut is too long
  await page.keyboard.press("4");
  await page.getByRole("button", { name: /^Top story/ }).click();
  await page.keyboard.type("9'");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Top story, 9 feet 0 inches" })).toBeVisible();
  await kept(page);
  await page.keyboard.press("7");
  await expect(page.getByText("stale: the design has changed")).toBeVisible();
  await page.keyboard.press("8");
  const pieces = page.getByRole("tab", { name: "Pieces" });
  await pieces.click();
  await expect(page.getByText(/mm too long: trim/)).toBeVisible();

  // a reload shows the same, and undo still knows what was done
  await page.reload();
  await pieces.click();
  await expect(page.getByText(/mm too long: trim/)).toBeVisible();
  await page.waitForLoadState("networkidle");
  await page.getByRole("button", { name: /^Undo: Top story/ }).click();
  await expect(page.getByText("still valid")).toBeVisible();
});

test("bad files are refused in a sentence and nothing is lost", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Drawings" }).click();
  const input = page.getByLabel("Picture", { exact: true });
  await input.setInputFiles({ name: "note.png", mimeType: "image/png", buffer: Buffer.from("this is a note") });
  await expect(page.getByRole("alert")).toContainText(
    "“note.png” is no picture that can be read here. Upload a PNG, JPEG, WebP or TIFF picture, a PDF, an SVG or a DXF.",
  );
  await input.setInputFiles({
    name: "a.svg",
    mimeType: "image/png",
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>window.hit=1</script></svg>',
    ),
  });
  await expect(page.getByRole("alert")).toContainText("The SVG holds a <script>, so it is not taken");
  expect(await page.evaluate(() => "hit" in window)).toBe(false);
  await expect(page.getByText("Plan sheet 12").first()).toBeVisible();
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  for (const [text, words] of [
    ['{"format":"cardo-job","version":9}', "is of version 9, and this Cardo reads up to 2"],
    ["{", "is no job file"],
    ["{}", "lacks"],
  ] as const) {
    await page
      .getByLabel("Job file")
      .setInputFiles({ name: "x.json", mimeType: "application/json", buffer: Buffer.from(text) });
    await expect(page.getByRole("alert")).toContainText(words);
  }
});

test("two tabs: one follows the other; what was made meanwhile is kept, as a variant where both changed it", async ({
  page,
  context,
}) => {
  await openDemo(page);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.locator("[data-stick]").first()).toBeVisible();
  await second.waitForLoadState("networkidle");
  const type = async (p: Page, feet: string): Promise<void> => {
    await p.getByRole("button", { name: /^Height, top of cap/ }).click();
    await p.keyboard.type(feet);
    await p.keyboard.press("Enter");
  };
  await type(page, "24");
  await kept(page);
  // the second tab shows at once what the first one kept
  await expect(second.getByRole("button", { name: /^Height, top of cap to foot of sill, 24 feet/ })).toBeVisible();
  // cut off from the server it goes on, and says that it is not kept
  await second.route("**/revisions", (r) => r.abort());
  await type(second, "26");
  await expect(second.getByText("Not kept yet").first()).toBeVisible();
  await type(page, "25");
  await kept(page);
  await second.reload();
  await expect(second.getByRole("heading", { name: "Another tab changed this job first" })).toBeVisible();
  await second.unroute("**/revisions");
  await expect(second.getByRole("heading", { name: "Another tab changed this job first" })).toBeVisible();
  await second.getByRole("button", { name: "Keep mine", exact: true }).click();
  await expect(second.getByRole("button", { name: /^Height, top of cap to foot of sill, 25 feet/ })).toBeVisible();
  await second.getByRole("button", { name: /^Bent 4 of 9/ }).click();
  await second.getByRole("menuitem", { name: /mine of/ }).click();
  await expect(second.getByRole("button", { name: /^Height, top of cap to foot of sill, 26 feet/ })).toBeVisible();
});

test("the shelf: rename, duplicate, delete and take that back, export and import", async ({ page }) => {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  const more = (name: string) => page.getByRole("button", { name: `More for ${name}`, exact: true });
  await more("Empty job").click();
  await page.getByRole("menuitem", { name: "Duplicate" }).click();
  await expect(more("Empty job, copy")).toBeVisible();
  await more("Empty job, copy").click();
  await page.getByRole("menuitem", { name: "Rename" }).click();
  await page.getByLabel("Name of the job").fill("Sand house");
  await page.getByRole("button", { name: "Rename", exact: true }).click();
  await expect(more("Sand house")).toBeVisible();
  await more("Sand house").click();
  const download = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: "Export the job file" }).click();
  const file = await (await download).path();
  await more("Sand house").click();
  await page.getByRole("menuitem", { name: "Delete" }).click();
  await expect(more("Sand house")).toHaveCount(0);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(more("Sand house")).toBeVisible();
  await page
    .getByLabel("Job file")
    .setInputFiles({ name: "s.json", mimeType: "application/json", buffer: readFileSync(file) });
  await expect(page.getByRole("heading", { name: "Sand house" })).toBeVisible();
});

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
] as const)
  test(`every stage fits ${width} × ${height} without scrolling the page or a word of error`, async ({ page }) => {
    const errors: string[] = [];
    page.on("pageerror", (e) => errors.push(e.message));
    page.on("console", (m) => m.type() === "error" && errors.push(m.text()));
    await page.setViewportSize({ width, height });
    await openDemo(page);
    for (const stage of ["Brief", "Drawings", "Framing", "Stock", "Cutting", "Jigs", "Bench"]) {
      await page.getByRole("link", { name: stage }).first().click();
      await page.waitForLoadState("networkidle");
      const over = await page.evaluate(() => [
        document.documentElement.scrollWidth - innerWidth,
        document.documentElement.scrollHeight - innerHeight,
      ]);
      expect(
        over.every((n) => n <= 0),
        `${stage} ${over.join()}`,
      ).toBe(true);
    }
    expect(errors).toEqual([]);
  });
