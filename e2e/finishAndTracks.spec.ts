import { expect, test } from "@playwright/test";
import { execFileSync } from "node:child_process";
import { framed, printed, ready, stage } from "./framed";

test("a finish is planned and painted, the order is changed by hand, and all of it is there after a restart of the page", async ({
  page,
}) => {
  await framed(page, "Painted bent", "Low bent, one story");
  await stage(page, "Bench");
  await page.getByRole("tab", { name: "Finish" }).click();
  await page.getByRole("button", { name: "Take the usual finish" }).click();
  await expect(page.getByText("1. Weathered wood stain")).toBeVisible();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Print the plan (PDF)" }).click();
  const words = execFileSync("pdftotext", ["-layout", await (await download).path(), "-"], { encoding: "utf8" });
  expect(words).toMatch(/frame members\s+\d+\s+[\d.]+ cm²\s+loose, before glue\s+Weathered wood stain/);
  await page.getByRole("tab", { name: "Steps" }).click();
  const list = page.getByRole("navigation", { name: "Steps" });
  await expect(list.getByRole("button").first()).toContainText("Stain the frame members");
  await page.getByRole("button", { name: "Done, start the clock" }).click();
  await page.getByRole("button", { name: "Nothing to note" }).click();
  await expect(list.getByRole("button").nth(1)).toContainText("waits for glue");
  await page.getByText("Change the order by hand").click();
  await page.getByRole("button", { name: "Add a step after it …" }).click();
  await page.getByLabel("What is done").fill("Nut castings on the cap");
  await page.getByRole("button", { name: "Add the step" }).click();
  await expect(list.getByText(/Nut castings on the cap/)).toBeVisible();
  await expect(page.getByText(/^Kept at/)).toBeVisible();
  await page.reload();
  await expect(list.getByText(/Nut castings on the cap/)).toBeVisible();
  await expect(page.getByText(/drying: Stain the frame members/)).toBeVisible();
  await page.getByRole("tab", { name: "Finish" }).click();
  await page.getByText("Your own coats, for every job").click();
  await expect(page.getByRole("region", { name: "Painted before" })).toContainText("Painted bent");
});

test("a track is laid before a shed: the clash is found, one press cures it, and the job goes into another scale and back", async ({
  page,
}) => {
  await framed(page, "Team yard", "Shed");
  await stage(page, "Brief");
  await page.getByRole("tab", { name: "Plan of the spot" }).click();
  await page.getByRole("button", { name: "Put it on the plan" }).click();
  await page.getByRole("button", { name: "Add a track" }).click();
  await page.getByLabel("Longest car on it").selectOption("coach-85");
  const across = page.getByLabel(/^Begins, up/);
  await across.fill("-30 mm");
  await across.press("Tab");
  await expect(page.getByText(/The longest car on Track 1 goes into the .* by \d+\.\d mm/)).toBeVisible();
  await page.getByRole("button", { name: "Move it clear" }).click();
  await expect(page.getByText(/goes into the/)).toHaveCount(0);
  await page.getByRole("tab", { name: "The job" }).click();
  await page.getByRole("combobox", { name: "Scale" }).selectOption("O");
  await expect(page.getByText(/A foot of the prototype is 6\.350 mm/)).toBeVisible();
  await page.getByRole("combobox", { name: "Scale" }).selectOption("HO");
  await expect(page.getByText(/A foot of the prototype is 3\.500 mm/)).toBeVisible();
  await page.getByRole("tab", { name: "Plan of the spot" }).click();
  await page.getByRole("button", { name: "Track 1", exact: true }).click();
  await expect(page.getByLabel(/^Begins, up/)).toHaveValue("−30.00 mm");
  await expect(page.getByText(/goes into the/)).toHaveCount(0);
});

test("a sign and a floor are printed at their true size on one page", async ({ page }) => {
  await framed(page, "Papered", "Shed");
  await stage(page, "Jigs");
  await page.getByRole("tab", { name: "Printed papers" }).click();
  await page.getByLabel("Picture to print").setInputFiles("examples/plan-sheet-12.jpg");
  const paper = page.getByRole("region", { name: "plan-sheet-12" });
  await paper.getByLabel(/^It is wide/).fill("8 ft");
  await paper.getByLabel(/^It is wide/).press("Enter");
  await expect(paper.getByText(/^Printed 28\.0 mm/)).toBeVisible();
  await paper.getByLabel("It shows").selectOption("boards");
  await paper.getByLabel("Boards on it").fill("12");
  await paper.getByLabel("Boards on it").press("Enter");
  await expect(paper.getByText(/A board of plan-sheet-12 is 8′-0″/)).toBeVisible();
  await paper.getByLabel(/^One board is/).fill("6 in");
  await paper.getByLabel(/^One board is/).press("Enter");
  await expect(paper.getByText(/A board of plan-sheet-12/)).toHaveCount(0);
  await expect(page.getByText(/^Kept at/)).toBeVisible();
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "Print papers (PDF)" }).click();
  const words = execFileSync("pdftotext", ["-layout", await (await download).path(), "-"], { encoding: "utf8" });
  // 20 × 10 ft as it begins
  expect(words).toMatch(/plan-sheet-12: 70\.0 mm × 35\.0 mm/);
});

test("a spot over a photograph: a structure fitted, a clash found and cured", async ({ page }) => {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Job file").setInputFiles("examples/gulch-trestle.json");
  await ready(page);
  await stage(page, "Brief");
  await page.getByRole("tab", { name: "Plan of the spot" }).click();
  const under = page.getByRole("region", { name: "Picture under the plan" });
  await under.getByLabel("Picture").selectOption({ index: 1 });
  await under.getByLabel("What was measured on it").selectOption("prototype");
  const plan = page.getByRole("region", { name: "Plan of the spot" });
  await expect(plan.locator("image").first()).toBeVisible();
  await page.getByRole("button", { name: "Put it on the plan" }).first().click();
  await page.getByRole("button", { name: "Add a track" }).click();
  await page.getByLabel(/^Begins, up/).fill("0");
  await page.getByLabel(/^Begins, up/).press("Tab");
  await expect(page.getByText(/The longest car on Track 1 goes into/).first()).toBeVisible();
  await page.getByRole("button", { name: "Move it clear" }).first().click();
  await expect(page.getByText(/The longest car on Track 1 goes into/)).toHaveCount(0);
  // the track is pulled longer by its end, and looked at in section
  const end = page.getByRole("button", { name: "End of Track 1", exact: true });
  const long = page.getByLabel(/^Long \(/);
  const before = await long.inputValue();
  const box = (await end.boundingBox())!;
  await page.mouse.move(box.x + 16, box.y + 16);
  await page.mouse.down();
  await page.mouse.move(box.x - 90, box.y + 16, { steps: 5 });
  await page.mouse.up();
  await expect(long).not.toHaveValue(before);
  await page.getByRole("tab", { name: "In section" }).click();
  await expect(page.getByText(/car floor, Track 1/)).toBeVisible();
});

test("a cottage stands on the photograph of its place, and is looked at by years", async ({ page }) => {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Job file").setInputFiles("examples/agents-cottage.json");
  await ready(page);
  await stage(page, "Brief");
  await page.getByRole("tab", { name: "Plan of the spot" }).click();
  await page.getByRole("tab", { name: "On a photograph" }).click();
  await expect(page.getByText(/^Taken from 210 mm over the spot/)).toBeVisible();
  const painted = () => page.locator("canvas").evaluate((c: HTMLCanvasElement) => { const { data } = c.getContext("2d")!.getImageData(0, 0, c.width, c.height); let n = 0; for (let i = 3; i < data.length; i += 4) if (data[i]) n++; return n / (c.width * c.height); }); // prettier-ignore
  await expect.poll(painted).toBeGreaterThan(0.02);
  // the rectangle twice as long makes the house half as large
  const before = await painted();
  await page.getByLabel(/^Rectangle, along/).fill("260");
  await page.getByLabel(/^Rectangle, along/).press("Tab");
  await expect.poll(painted).toBeLessThan(before * 0.8);
  await page.getByRole("tab", { name: "Years" }).click();
  await page.getByLabel("What to give years to").fill("chimney");
  await page
    .getByRole("button", { name: /chimney/ })
    .first()
    .click();
  await page.getByLabel("First year").fill("1921");
  await page.getByLabel("First year").press("Tab");
  await expect(page.getByText(/was there from 1921 on, too late for 1909/)).toBeVisible();
  await page.getByRole("slider", { name: "Year that is shown" }).fill("1925");
  await expect(page.getByRole("img", { name: "Cottage in 1925, from the front" })).toBeVisible();
});

test("an inside with lamps is furnished, mended and printed", async ({ page }) => {
  await framed(page, "Furnished", "Tool house");
  await stage(page, "Brief");
  await page.getByRole("tab", { name: "Inside" }).click();
  await page.getByLabel("What stands in it").selectOption("table");
  await page.getByLabel("What stands in it").selectOption("stove");
  const way = page.getByRole("region", { name: "In the way" });
  await expect(way.getByText("Nothing is in the way.")).toBeVisible();
  // dragged through the wall on the left
  const stove = page.getByRole("region", { name: "Plan of the room" }).locator("[data-stick]", { hasText: "Stove" });
  const box = (await stove.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(200, box.y + box.height / 2 + 60, { steps: 6 });
  await page.mouse.up();
  await expect(way.getByText(/Stove reaches through a wall: move it/)).toBeVisible();
  await way.getByRole("button", { name: "Move it" }).first().click();
  await expect(way.getByText(/Stove reaches through a wall/)).toHaveCount(0);
  await page.getByRole("checkbox", { name: /in a box of card/ }).check();
  const lamps = page.getByRole("region", { name: "Lamps" });
  await lamps.getByRole("button", { name: "Hang a lamp" }).click();
  await lamps.getByRole("button", { name: "Hang a lamp" }).click();
  await expect(lamps.getByText(/^3 wires/)).toBeVisible();
  await stage(page, "Bench");
  await page.getByRole("tab", { name: "Steps" }).click();
  const list = page.getByRole("navigation", { name: "Steps" });
  await expect(list.getByText(/The inside: 2 bodies/)).toBeVisible();
  await expect(list.getByText(/Holes and wires for/)).toBeVisible();
  await stage(page, "Jigs");
  const words = await printed(page);
  expect(words).toMatch(/inside, plan and section/);
  expect(words).toMatch(/box that slides in/);
  expect(words).toMatch(/Wires, in the order they are laid/);
  expect(words).toMatch(/Supply to Lamp \d, cut \d+\.\d mm/);
});
