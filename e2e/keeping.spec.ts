import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";

/** A new job with a bent in it, open on its framing. */
async function bent(page: Page, name: string): Promise<void> {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Name of a new job").fill(name);
  await page.keyboard.press("Enter");
  await page.getByRole("main", { name: "Brief" }).waitFor();
  await page.keyboard.press("4");
  await page.getByRole("button", { name: "Frame: Bent of two stories" }).click();
  await kept(page);
}
const kept = (page: Page): Promise<void> => expect(page.getByText(/^Kept at \d\d:\d\d/).first()).toBeVisible();
const height = (page: Page, feet: string) => page.getByRole("button", { name: new RegExp(`^Height, top of cap to foot of sill, ${feet} feet`) }); // prettier-ignore
async function type(page: Page, feet: string): Promise<void> {
  await page.getByRole("button", { name: /^Height, top of cap/ }).click();
  await page.keyboard.type(feet);
  await page.keyboard.press("Enter");
}

test("answers that come late: an undo and an edit after it stay in step with the server", async ({ page }) => {
  await bent(page, "Slow");
  await page.route("**/revisions", async (r) => {
    await new Promise((done) => setTimeout(done, 1200));
    await r.continue();
  });
  await type(page, "24");
  await page.keyboard.press("Control+z");
  await expect(page.getByText("Undone: Height, top of cap to foot of sill: 24′-0″")).toBeVisible();
  await expect(height(page, "21")).toBeVisible();
  await page.getByRole("button", { name: /^Cap length/ }).click();
  await page.keyboard.type("15");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Keeping …").first()).toBeVisible();
  await kept(page);
  await page.unroute("**/revisions");
  await page.reload();
  await expect(height(page, "21")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Cap length, 15 feet/ })).toBeVisible();
});

test("a server that is away: the header says so, what is typed outlives a reload and a walk through the stages, and is kept when it is back", async ({
  page,
}) => {
  await bent(page, "Cut off");
  await page.route("**/revisions", (r) => r.abort());
  await type(page, "26");
  await expect(page.getByText("Not kept yet").first()).toBeVisible();
  await expect(page.getByText("The server does not answer.").first()).toBeVisible();
  page.on("dialog", (d) => void d.accept());
  await page.reload();
  await expect(height(page, "26")).toBeVisible();
  await page.keyboard.press("5");
  await page.getByRole("main", { name: "Stock" }).waitFor();
  await page.keyboard.press("6");
  await page.getByRole("button", { name: "Mark as cut" }).first().click();
  await expect(page.getByText("Not kept yet").first()).toBeVisible();
  await page.unroute("**/revisions");
  await kept(page);
  await page.keyboard.press("4");
  // reloaded sooner it would be the stage before that comes back
  await page.getByRole("main", { name: "Framing" }).waitFor();
  await page.reload();
  await expect(height(page, "26")).toBeVisible();
  await page.keyboard.press("8");
  await page.getByRole("tab", { name: "Pieces" }).click();
  await expect(page.getByRole("heading", { name: "1 of 15 pieces are cut and fit" })).toBeVisible();
});

test("a job that is deleted in another tab: told once, put back, and what was typed is in it", async ({
  page,
  context,
}) => {
  await bent(page, "Lost and found");
  const shelf = await context.newPage();
  await shelf.goto("/");
  await shelf.waitForLoadState("networkidle");
  await shelf.getByRole("button", { name: "More for Lost and found" }).click();
  await shelf.getByRole("menuitem", { name: "Delete" }).click();
  await expect(shelf.getByRole("button", { name: "More for Lost and found" })).toHaveCount(0);
  await page.bringToFront();
  await type(page, "27");
  await expect(page.getByText("Off the shelf").first()).toBeVisible();
  await expect(page.getByText(/taken off the shelf in another tab/)).toHaveCount(1);
  await page.getByRole("button", { name: "Put it back" }).click();
  await kept(page);
  await page.reload();
  await expect(height(page, "27")).toBeVisible();
});

test("marking keeps its place: pressed twice it marks once, and says so with the way back beside it", async ({
  page,
}) => {
  await bent(page, "Twice");
  await page.keyboard.press("6");
  await page.getByRole("tab", { name: "Stick layout" }).click();
  const first = page.getByRole("button", { name: "Mark as cut" }).first();
  await first.waitFor();
  const marks = await page.getByRole("button", { name: "Mark as cut" }).count();
  await first.dblclick();
  await expect(page.getByText(/^Marked as cut: /)).toBeVisible();
  await expect(page.getByRole("button", { name: "Mark as cut" })).toHaveCount(marks - 1);
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect(page.getByRole("button", { name: "Mark as cut" })).toHaveCount(marks);
});

test("undo stays where the design is edited, and says elsewhere why it does nothing", async ({ page }) => {
  await bent(page, "Undone");
  await type(page, "23");
  await page.keyboard.press("7");
  await page.getByRole("main", { name: "Jigs" }).waitFor();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("Undo works where the design is edited")).toBeVisible();
  await page.keyboard.press("4");
  await expect(height(page, "23")).toBeVisible();
});

test("requests that are none get a sentence and a status, and reading one that is not there is no fault", async ({
  request,
  baseURL,
}) => {
  const headers = { origin: baseURL! };
  for (const [body, status] of [
    [{ keepMine: {} }, 400],
    [{ kind: "edit", id: "entry-1", base: 0, label: "x", patches: [] }, 410],
  ] as const) {
    const r = await request.post("/jobs/nothere/revisions", { data: body, headers });
    expect(r.status()).toBe(status);
  }
  expect((await request.get("/jobs/nothere/state?since=0")).status()).toBe(410);
  expect((await request.get("/jobs/nothere/card.svg")).status()).toBe(404);
  expect((await request.get("/jobs/nothere/constructor")).status()).toBe(404);
  expect((await request.post("/jobs/nothere/card.svg", { data: { picture: 5 }, headers })).status()).toBe(400);
});

test("what is marked as cut in one tab stands in the other, without loading it again", async ({ page, context }) => {
  await bent(page, "Two benches");
  const second = await context.newPage();
  await second.goto(page.url().replace("framing", "bench"));
  await second.getByRole("tab", { name: "Pieces" }).click();
  await expect(second.getByRole("heading", { name: "Nothing is cut yet" })).toBeVisible();
  await page.bringToFront();
  await page.keyboard.press("6");
  await page.getByRole("button", { name: "Mark as cut" }).first().click();
  await expect(second.getByRole("heading", { name: "1 of 15 pieces are cut and fit" })).toBeVisible();
});

test("a job imported while cards still get their pictures is opened all the same", async ({
  page,
  request,
  baseURL,
}) => {
  const text = (name: string) => JSON.stringify({ ...JSON.parse(readFileSync("examples/gulch-trestle.json", "utf8")), name }); // prettier-ignore
  const file = (name: string) => ({ name: "job.json", mimeType: "application/json", buffer: Buffer.from(text(name)) });
  const posted = {
    multipart: { do: "import", file: file("Without a picture") },
    headers: { origin: new URL(baseURL!).origin },
  };
  expect((await request.post("/?index", posted)).ok()).toBe(true);
  const drawn = page.waitForResponse((r) => r.url().endsWith("/card.svg") && r.request().method() === "POST");
  await page.route(
    (url) => url.searchParams.has("index"),
    async (route) => {
      // the list is asked for anew as soon as a picture is kept
      if (route.request().method() === "POST") await drawn.then(() => page.waitForTimeout(1500));
      await route.continue();
    },
  );
  await page.goto("/");
  await page.getByLabel("Job file").setInputFiles(file("Opened all the same"));
  await expect(page.getByRole("heading", { name: "Opened all the same", level: 1 })).toBeVisible();
});
