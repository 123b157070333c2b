import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { dragTo, press } from "./sheet";

type Point = readonly [number, number];
const read = (name: string) => JSON.parse(readFileSync(`examples/${name}.json`, "utf8")) as Record<string, never>;
/** A copy of a demo job of one's own, changed, on its Drawings stage. */
async function openCopy(
  page: Page,
  demo: string,
  name: string,
  change: (job: never) => void = () => undefined,
): Promise<void> {
  const job = { ...read(demo), name };
  change(job as never);
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Job file").setInputFiles({
    name: "job.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify(job)),
  });
  await expect(page.getByRole("heading", { name, level: 1 })).toBeVisible();
  await page.waitForLoadState("networkidle");
  await page.getByRole("link", { name: "Drawings" }).click();
  await expect(page.locator("[data-sheet]").first()).toBeVisible();
}
const sticks = (page: Page) => page.locator("[data-stick]");

test("calibrate by several lengths: the wrong one is named, and one that only checks shows its error", async ({
  page,
}) => {
  await openCopy(page, "gulch-trestle", "Several lengths");
  const { lengths } = (
    read("gulch-trestle").drawings as never as { calibration: { lengths: { from: Point; to: Point }[] } }[]
  )[0]!.calibration;
  const [cap, height] = lengths as [{ from: Point; to: Point }, { from: Point; to: Point }];
  await page.getByRole("tab", { name: "Scale" }).click();
  const add = async (from: Point, to: Point, length: string): Promise<void> => {
    await page.getByRole("button", { name: "Known length", exact: true }).click();
    await press(page, from);
    await press(page, to);
    await page.getByLabel(/Length between the two points/).fill(length);
    await page.keyboard.press("Enter");
    await expect(page.getByRole("button", { name: "Look", exact: true })).toHaveAttribute("aria-pressed", "true");
  };
  const middle: Point = [(cap.from[0] + cap.to[0]) / 2, (cap.from[1] + cap.to[1]) / 2];
  await add(cap.from, middle, "7'");
  // 21 ft typed as 12
  await add(height.from, height.to, "12'");
  await expect(page.getByText("One length disagrees with the rest")).toBeVisible();
  const wrong = page.getByRole("listitem").filter({ hasText: "wrong?" });
  await expect(wrong).toHaveCount(1);
  await expect(wrong).toContainText(/It measures 8′-11.* longer \(7[45]\.\d %\): wrong\?/);
  await wrong.getByLabel(/Length 4/).fill("21'");
  await page.keyboard.press("Enter");
  await expect(page.getByText("wrong?")).toHaveCount(0);
  // the drawing's own word: a stated scale makes all of them checks
  await page.getByRole("button", { name: "It states its scale …" }).click();
  await page.getByLabel("Scanned at, dots to the inch").fill("200");
  await page.keyboard.press("Enter");
  await page.getByLabel("The drawing says").fill("1/4 in = 1 ft");
  await page.keyboard.press("Enter");
  await expect(page.getByText("4 lengths disagree")).toBeVisible();
});

test("keystone: four corners of a wall make a drawing of their own that measures true", async ({ page }) => {
  await openCopy(page, "tool-house", "Slanted", (job: { drawings: unknown[] }) => void job.drawings.splice(1));
  const straight = (read("tool-house").drawings as never as { straightened?: { corners: Point[]; lens: number } }[])[1]!
    .straightened!;
  await page.getByRole("button", { name: "Straighten", exact: true }).click();
  for (const i of [2, 0, 3, 1]) await press(page, straight.corners[i]!);
  await page.getByLabel(/Width of the rectangle/).fill("14'");
  await page.keyboard.press("Enter");
  await page.getByLabel(/Height of the rectangle/).fill("9'");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/With each corner within a pixel, lengths are within 0\.\d+ %/)).toBeVisible();
  await page.getByLabel(/^Lens/).fill("0.05");
  await page.getByRole("button", { name: "Straighten it" }).click();
  await expect(page.getByRole("region", { name: "Drawing Front, from the track, straightened" })).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole("tab", { name: "Scale" }).click();
  await expect(page.getByText("Only what lies in the plane of the rectangle measures true")).toBeVisible();
  // the door, 3 ft by 6 ft 8 in, is where the demo's own straightened picture has it, within a press
  const demo = (read("tool-house").drawings as never as { openings: { from: Point; to: Point }[] }[])[1]!.openings[0]!;
  await page.getByRole("tab", { name: "Measures" }).click();
  await page.getByRole("button", { name: "Up", exact: true }).click();
  await press(page, demo.from);
  await press(page, demo.to);
  await expect(page.getByRole("listitem").filter({ has: page.getByLabel("Name of measure 1") })).toContainText(
    /6′-[78]/,
  );
  // and can be noted as an opening
  await page.getByRole("button", { name: "Opening", exact: true }).click();
  await press(page, demo.from);
  await press(page, demo.to);
  await page.getByLabel("What it is").selectOption("door");
  await page.getByLabel("Its frame stands").selectOption("proud");
  await page.getByLabel("Casting to buy").fill("plank door");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("listitem").filter({ has: page.getByLabel("Name of opening 1") })).toContainText(
    /3′-0.*proud/,
  );
});

/** The snowshed's plan alone, and where its timbers stand on it, prototype inches from its centre line. */
async function openPlan(page: Page, name: string): Promise<(p: Point) => Point> {
  await openCopy(page, "snowshed", name, (job: { structures: unknown[]; drawings: { under: unknown[] }[] }) => {
    job.structures = [];
    job.drawings[0]!.under = [];
  });
  const [x, y] = (read("snowshed").drawings as never as { under: { anchor: Point }[] }[])[0]!.under[0]!.anchor;
  await page.getByRole("tab", { name: "Trace" }).click();
  return (p) => [x + p[0] * 25.4, y - p[1] * 25.4];
}

test("trace a half over a vector plan, mirror it, and the whole is framed true", async ({ page }) => {
  const at = await openPlan(page, "By hand");
  const trace = async (role: string, tool: string, points: readonly Point[], enter = false): Promise<void> => {
    await page.keyboard.press("Escape");
    if (await page.getByRole("button", { name: "Done" }).isVisible())
      await page.getByRole("button", { name: "Done" }).click();
    await page.getByRole("button", { name: "Pick", exact: true }).click();
    await page.getByLabel("What it is").fill(role);
    await page.keyboard.press("Tab");
    await page.getByRole("button", { name: tool, exact: true }).click();
    for (const p of points) await press(page, at(p));
    if (enter) await page.getByRole("button", { name: "That is all" }).click();
    await expect(page.getByRole("region", { name: "Picked member" })).toBeVisible();
  };
  // along an edge, the other edge tells the width: sill 10 or 12 wide, post 10; ends are caught by the plan's own corners
  await trace("sill", "Along an edge", [
    [-108, 0],
    [0, 0],
    [-60, 12],
  ]);
  const picked = page.getByRole("region", { name: "Picked member" });
  await expect(picked.getByLabel("Section, nominal inches")).toHaveValue("12×12");
  await picked.getByLabel("Section, nominal inches").fill("10x12");
  await page.keyboard.press("Enter");
  await trace("post", "Along an edge", [
    [-101, 12],
    [-101, 204],
    [-91, 100],
  ]);
  await expect(picked.getByLabel("Section, nominal inches")).toHaveValue("10×10");
  await expect(sticks(page)).toHaveCount(2);
  // the post's joint was proposed
  await expect(page.getByLabel("At the sill 10×12 it is")).toHaveValue("butt");
  await page.getByRole("button", { name: "Centre line", exact: true }).click();
  await press(page, at([0, 100]));
  await expect(sticks(page)).toHaveCount(3);
  await expect(page.getByText("Mirrored about its centre line.")).toBeVisible();
  // the post's head is dragged down by a foot; undo puts it back
  await page.getByRole("button", { name: "Done" }).click();
  await press(page, at([-96, 100]));
  const head = page.getByRole("button", { name: "End of the post" });
  const box = (await head.boundingBox())!;
  await dragTo(page, { x: box.x + 12, y: box.y + 12 }, at([-101, 180]));
  await expect(page.getByRole("region", { name: "Picked member" })).toContainText(/14′-\d|13′-1[01]/);
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("region", { name: "Picked member" })).toContainText("16′-0″ as drawn");
  // a frame like any other: pieces, one mark for both posts
  await page.getByRole("link", { name: "Framing" }).click();
  await expect(page.getByText("3 pieces · 2 marks")).toBeVisible();
  await page.getByRole("link", { name: "Cutting" }).click();
  await expect(page.locator('tr[data-mark="P1"]')).toContainText("56.0");
  await expect(page.locator('tr[data-mark="S1"]')).toContainText("63.0");
});

test("found lines: offered, refused, accepted, and framed", async ({ page }) => {
  await openPlan(page, "Found");
  await page.getByRole("button", { name: /^Find members/ }).click();
  await expect(page.getByText("8 members are offered, the surest first.")).toBeVisible();
  await expect(sticks(page)).toHaveCount(0);
  await page.getByRole("button", { name: "Refuse 8", exact: true }).click();
  await page.getByRole("button", { name: "Accept 1", exact: true }).click();
  await expect(sticks(page)).toHaveCount(1);
  await page.getByRole("button", { name: "Accept all" }).click();
  await expect(sticks(page)).toHaveCount(7);
  await page.keyboard.press("Control+z");
  await expect(sticks(page)).toHaveCount(1);
});

test("found lines in a scan can be stopped, and are offered with their sections", async ({ page }) => {
  await openCopy(page, "gulch-trestle", "Scanned");
  await page.getByRole("tab", { name: "Trace" }).click();
  await page.getByRole("button", { name: /^Find members/ }).click();
  await page.getByRole("button", { name: "Stop", exact: true }).click();
  await expect(page.getByText("Stopped; nothing was changed.")).toBeVisible();
  await page.getByRole("button", { name: /^Find members/ }).click();
  await expect(page.getByText(/^1[4-7] members are offered/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole("listitem").filter({ hasText: "12×12" }).first()).toBeVisible();
});

test("vector files and pages of a PDF are taken in, hostile ones refused, and layers go off", async ({ page }) => {
  await openCopy(page, "snowshed", "Sources");
  const input = page.getByLabel("Picture", { exact: true });
  await input.setInputFiles("examples/snowshed-plan.dxf");
  await expect(page.getByRole("region", { name: "Drawing snowshed-plan" })).toBeVisible();
  // in mm at full size: to scale as it is
  await expect(page.getByText("Not calibrated yet")).toHaveCount(0);
  const words = page.locator("[data-sheet] text");
  await page.getByRole("tab", { name: "Scale" }).click();
  const before = await words.count();
  await page.getByLabel("notes", { exact: true }).uncheck();
  await expect.poll(() => words.count()).toBeLessThan(before);
  const { PDFDocument } = await import("pdf-lib");
  const d = await PDFDocument.create();
  d.addPage([300, 200]).drawLine({ start: { x: 10, y: 10 }, end: { x: 200, y: 150 } });
  d.addPage([200, 300]).drawText("SECOND", { x: 20, y: 200 });
  const pdf = async (name: string) => ({ name, mimeType: "application/pdf", buffer: Buffer.from(await d.save()) });
  await input.setInputFiles(await pdf("two.pdf"));
  await page.getByRole("button", { name: "Page 1", exact: true }).click();
  await expect(page.getByRole("region", { name: "Drawing two, page 1" })).toBeVisible();
  d.addJavaScript("main", "app.alert(1)");
  await input.setInputFiles(await pdf("active.pdf"));
  await expect(page.getByRole("alert")).toHaveText(
    "The PDF carries JavaScript, so it is not taken. Print it to a plain PDF and upload that.",
  );
  const dxf = `0\nSECTION\n2\nENTITIES\n${"0\nLINE\n8\n0\n10\n0\n20\n0\n11\n1\n21\n1\n".repeat(400_000)}0\nENDSEC\n0\nEOF\n`;
  await input.setInputFiles({ name: "large.dxf", mimeType: "image/vnd.dxf", buffer: Buffer.from(dxf) });
  await expect(page.getByRole("alert")).toContainText("records; 300,000 is the most");
  await expect(page.getByRole("region", { name: "Drawing two, page 1" })).toBeVisible();
  // a million acts on one page: reading it is told, and can be stopped
  const { bombs } = await import("../bench/fuzz/bombs");
  for (const [name, words] of [
    ["flate-bomb.pdf", /unfolds to far more than any drawing needs/],
    ["million-states.pdf", "Stopped; nothing was taken in."],
  ] as const) {
    const { bytes } = (await bombs([name]))[0]!;
    await input.setInputFiles({ name, mimeType: "application/pdf", buffer: bytes });
    if (name === "million-states.pdf") {
      await expect(page.getByText("Reading the PDF …")).toBeVisible();
      await page.getByRole("button", { name: "Stop", exact: true }).click();
    }
    await expect(page.getByRole("alert")).toHaveText(words);
  }
  await expect(page.getByRole("button", { name: /^Remove the drawing/ })).toHaveCount(3);
});
