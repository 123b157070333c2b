import { expect, test, type Page } from "@playwright/test";
import { framed, stage } from "./framed";

/** A picture of some pixels, as a camera would send it. */
const photo = async (page: Page): Promise<Buffer> => {
  const url = await page.evaluate(() => {
    const c = document.createElement("canvas");
    [c.width, c.height] = [320, 240];
    const g = c.getContext("2d")!;
    for (let i = 0; i < 400; i++) {
      g.fillStyle = `hsl(${(i * 47) % 360} 60% 50%)`;
      g.fillRect((i * 31) % 320, (i * 17) % 240, 40, 30);
    }
    return c.toDataURL("image/png");
  });
  return Buffer.from(url.split(",")[1]!, "base64");
};

test("a bent built to the last step with one wrong length: clocks, a skip, what the stop cuts wrong, all found again", async ({
  page,
}) => {
  await framed(page, "Bench bent", "Low bent, one story");
  await stage(page, "Bench");
  const list = page.getByRole("navigation", { name: "Steps" });
  await expect(page.getByText(/0 of \d+ steps done/)).toBeVisible();
  const count = await list.getByRole("button").count();
  expect(count).toBeGreaterThanOrEqual(4);
  await page.getByText("Note, picture or length for this step").click();
  await page.getByLabel("It is").fill("48.7 mm");
  await page.getByRole("button", { name: "Keep the length" }).click();
  await expect(page.getByText("C1 is 0.30 mm too short.")).toBeVisible();
  for (let n = 1; n <= count; n++) {
    await page.getByRole("button", { name: /^Done/ }).click();
    await expect(page.getByText(new RegExp(`${n} of ${count} steps done`))).toBeVisible();
    await page.getByRole("button", { name: "Nothing to note" }).click();
  }
  await expect(page.getByText(/drying: .*in 4[45] min/)).toBeVisible();
  // another page, later: the clocks go on from the log
  await page.reload();
  await expect(page.getByText(new RegExp(`${count} of ${count} steps done · drying`))).toBeVisible();
  await page.getByRole("tab", { name: "Pieces" }).click();
  await expect(page.getByText(/C1 comes out 0\.30 mm too short: set the stop to 49\.30 mm/)).toBeVisible();
  await page.getByRole("tab", { name: "Steps" }).click();
  await list.getByRole("button").last().click();
  await page.getByRole("button", { name: "Not done after all" }).click();
  await expect(page.getByText(new RegExp(`${count - 1} of ${count} steps done`))).toBeVisible();
});

test("a photograph goes into the log and is found again, also in the job's file and the zip of the log", async ({
  page,
}) => {
  await framed(page, "Photo bent", "Bent of two stories");
  await stage(page, "Bench");
  await page.getByRole("tab", { name: "Log" }).click();
  await page.getByLabel("Note", { exact: true }).fill("The sill split; glued and pinned.");
  await page
    .getByLabel("Picture for the log")
    .setInputFiles({ name: "sill.png", mimeType: "image/png", buffer: await photo(page) });
  const shot = page.getByRole("img", { name: "The sill split; glued and pinned." });
  await expect(shot).toBeVisible();
  await expect.poll(() => shot.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBe(320);
  await page.reload();
  await page.getByRole("tab", { name: "Log" }).click();
  await expect(shot).toBeVisible();
  const id = /jobs\/([^/]+)/.exec(page.url())![1]!;
  const file = await (await page.request.get(`/jobs/${id}/file`)).json();
  expect(Object.keys(file.files)).toHaveLength(1);
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: /The log as text/ }).click();
  expect((await download).suggestedFilename()).toBe("photo-bent-log.zip");
});
