import { ready } from "./framed";
import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";

const open = async (page: Page, name: string): Promise<void> => {
  await page.goto("/");
  await page.getByRole("link", { name: `Open ${name}`, exact: true }).click();
  await ready(page);
  await page.getByRole("link", { name: "Framing" }).first().click();
};

test("a whole trestle: typed spacing, plan, the ground drawn and pasted, one template for all bents", async ({
  page,
}) => {
  await open(page, "Summit curve trestle");
  await expect(page.getByText("Framed trestle, 9 bents, curved, graded")).toBeVisible();
  await expect(page.getByText("✓ Nothing to object to.")).toBeVisible();
  await page.getByRole("button", { name: /^Bent spacing, / }).click();
  await page.getByRole("textbox", { name: /^Bent spacing/ }).fill("12");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Framed trestle, 11 bents, curved, graded")).toBeVisible();
  await page.getByRole("button", { name: "Plan", exact: true }).click();
  await expect(page.getByRole("region", { name: "Trestle over the gulch, plan elevation" })).toBeVisible();
  // the ground: a point more by a press, then pasted as CSV with a slip in it
  await page.getByRole("button", { name: "Elevation", exact: true }).click();
  await page.getByRole("tab", { name: "Parameters" }).click();
  await page.getByRole("button", { name: "Unfold all" }).click();
  const ground = page.getByRole("textbox", { name: "Ground profile" });
  const lines = async (): Promise<number> => (await ground.inputValue()).split("\n").length;
  expect(await lines()).toBe(11);
  await page.getByRole("button", { name: "Draw the ground" }).click();
  const board = page.getByRole("region", { name: "Trestle over the gulch, side elevation" });
  const box = (await board.boundingBox())!;
  await page.mouse.click(box.x + box.width / 2 + 70, box.y + box.height * 0.7);
  await expect.poll(lines).toBe(12);
  await ground.fill("station,height\n0,-10\nten,-20");
  await ground.blur();
  await expect(page.getByText("Line 3 reads “ten,-20”; write a station and a height")).toBeVisible();
  await ground.fill("station,height\n0,-10\n60,-30\n120,-9");
  await ground.blur();
  await expect.poll(lines).toBe(3);
  await page.getByRole("link", { name: "Jigs" }).first().click();
  for (const sheet of ["template, all bents", "track board, upside down", "ground and footings", "spacer blocks"])
    await expect(page.getByText(`Trestle over the gulch: ${sheet}`).first()).toBeAttached();
});

test("in space: the frame is drawn, a press selects the stick everywhere, a role is hidden, a picture saved", async ({
  page,
}) => {
  await open(page, "Howe truss");
  await page.getByRole("button", { name: "Space", exact: true }).click();
  const canvas = page.locator("canvas").first();
  await expect(canvas).toBeVisible();
  await expect(page.locator("[data-space]")).not.toHaveAttribute("data-space", "0");
  // software rendering shows wood: some pixels are neither film nor nothing
  const wood = (): Promise<number> =>
    canvas.evaluate((el) => {
      const c = document.createElement("canvas");
      c.width = 320;
      c.height = 200;
      const g = c.getContext("2d")!;
      g.drawImage(el as HTMLCanvasElement, 0, 0, 320, 200);
      const d = g.getImageData(0, 0, 320, 200).data;
      let n = 0;
      for (let i = 0; i < d.length; i += 4) if (d[i + 3]! > 200 && d[i]! > d[i + 2]! + 12) n++;
      return n;
    });
  await expect.poll(wood, { timeout: 20_000 }).toBeGreaterThan(400);
  const before = await wood();
  // press about until a stick is met
  const box = (await canvas.boundingBox())!;
  const ticket = page.getByRole("region", { name: /^Ticket of / });
  for (let i = 0; i < 40 && !(await ticket.isVisible()); i++)
    await page.mouse.click(box.x + box.width * (0.4 + 0.005 * i), box.y + box.height * (0.42 + 0.004 * i));
  await expect(ticket).toBeVisible();
  await page.getByText("Hide by role").click();
  await page.getByLabel("tie", { exact: true }).uncheck();
  await expect.poll(wood).not.toBe(before);
  await page.getByLabel("Cut open").selectOption("across");
  await page.getByRole("slider", { name: "Taken apart" }).fill("0.8");
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save this picture" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("bridge-over-the-notch-river.png");
  expect(
    readFileSync((await file.path())!)
      .subarray(1, 4)
      .toString(),
  ).toBe("PNG");
  // the same stick is selected in the elevation
  const mark = await ticket.getAttribute("aria-label");
  await page.getByRole("button", { name: "Elevation", exact: true }).click();
  await expect(page.getByRole("region", { name: mark! })).toBeVisible();
});

test("a truss: forces and their tints, the model under a train, Howe and Pratt side by side, one chosen with its reason", async ({
  page,
}) => {
  await open(page, "Howe truss");
  await page.getByRole("tab", { name: "Forces" }).click();
  await expect(page.getByRole("row", { name: /^vertical L1–U1 \+/ })).toBeVisible();
  await expect(page.getByText("Stiff and strong enough under this train.")).toBeVisible();
  await expect(page.getByText(/The girders must stand/)).toBeVisible();
  await page.getByRole("button", { name: "Show" }).click();
  await page.getByLabel("Forces in tints").check();
  await expect(page.locator('[data-stick="bridge/span1/left/vertical/L1-U1"]').first()).toHaveCSS(
    "fill",
    "rgb(47, 111, 143)",
  );
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Compare" }).click();
  await expect(page.getByRole("row", { name: /^Pieces 1\d\d 1\d\d$/ })).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole("row", { name: /^Weight of the model \d+\.\d g/ })).toBeVisible();
  await page.getByRole("textbox", { name: "Why" }).last().fill("Tried with the trains of 1912.");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "Choose Pratt" }).click();
  await expect(page.getByRole("button", { name: "Choose Howe" })).toBeVisible();
  await page.reload();
  await expect(page.getByText("Pratt truss, through").first()).toBeVisible();
});

test("a framed building: an opening added, a part of it looked at, its jigs, a copy fitted into the spot", async ({
  page,
}) => {
  await open(page, "Section tool house, framed");
  await expect(page.getByText("Stud-framed building, hip roof")).toBeVisible();
  await page.getByRole("tab", { name: "Parameters" }).click();
  await page.getByRole("button", { name: "Unfold all" }).click();
  await page.getByRole("button", { name: "Add another opening" }).click();
  const fourth = page.getByRole("button", { name: /^4\. / });
  await expect(fourth).toBeVisible();
  await fourth.click();
  // too high for the wall: refused with what would do, and nothing is lost
  const high = page.getByRole("textbox", { name: "Height of casting" });
  await high.fill("12");
  await high.press("Tab");
  await expect(page.getByRole("alert")).toContainText("there is room up to");
  await high.fill("3'6");
  await high.press("Tab");
  await expect(high).toHaveValue("3′-6″");
  await page.getByRole("button", { name: "Part by part" }).click();
  await page.getByRole("button", { name: "Front slope, rafters" }).click();
  await page.locator('[data-stick$="S/jack-W1"]').first().click({ force: true });
  await page.getByRole("tab", { name: "Piece and findings" }).click();
  // 2 ft short of a run of 6 ft at 6 in 12: 4 × 13.42 in
  await expect(page.getByRole("row", { name: /^Theoretical/ })).toContainText("4′-5 11/16″");
  await page.getByRole("button", { name: "Tool house", exact: true }).click();
  await page.getByRole("menuitem", { name: "Fit a copy into the spot" }).click();
  await expect(page.getByRole("region", { name: "Variants side by side" })).toContainText("Fitted to the spot");
  await page.getByRole("link", { name: "Jigs" }).first().click();
  for (const sheet of ["Front wall, outside face up", "rafters in profile", "wrap-round patterns", "card mock-up"])
    await expect(page.getByText(`Tool house: ${sheet}`).first()).toBeAttached();
});

test("a roof that gains a dormer, then trusses in its place; a room that nobody sees", async ({ page }) => {
  await open(page, "Section tool house, framed");
  await page.getByRole("tab", { name: "Parameters" }).click();
  await page.getByRole("button", { name: "Unfold all" }).click();
  await page.getByRole("combobox", { name: "Roof", exact: true }).selectOption("gable");
  await expect(page.getByText("Stud-framed building, gable roof")).toBeVisible();
  for (const [name, value] of [
    ["Width, outside of the framing", "24"],
    ["Rise (in 12)", "12"],
  ] as const) {
    const field = page.getByRole("textbox", { name, exact: true }).first();
    await field.fill(value);
    await field.press("Tab");
  }
  await page.getByRole("button", { name: "Add a dormer" }).click();
  await expect(page.locator('[data-stick="house/dormer1/roof/ridge"]').first()).toBeAttached();
  // trusses and dormers want the same rafters: refused, and nothing is lost
  const carried = page.getByRole("combobox", { name: "Roof is carried by" });
  await carried.selectOption("trusses");
  await expect(page.getByText(/cross the dormers' openings/).first()).toBeVisible();
  await expect(page.locator('[data-stick="house/dormer1/roof/ridge"]').first()).toBeAttached();
  await page.getByRole("button", { name: "Take out dormer 1" }).click();
  await carried.selectOption("trusses");
  await expect(page.locator('[data-stick="house/main/roof/truss1/king"]').first()).toBeAttached();
  await page.getByRole("button", { name: "Add a room" }).click();
  await expect(page.locator('[data-stick="house/front/sheet"]').first()).toBeAttached();
  await expect(page.getByText(/· \d\d+ left out, unseen/)).toBeVisible({ timeout: 10_000 });
});
