import { stage } from "./framed";
import { expect, test } from "@playwright/test";
import { spawn } from "node:child_process";
import { cpSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

test("everything is backed up and restored from the Shelf: what came between is gone, and kept aside", async ({
  page,
  baseURL,
}) => {
  // a server of its own, since everything on it gives way
  const port = Number(new URL(baseURL!).port) + 1000;
  const data = mkdtempSync(join(tmpdir(), "cardo-restore-"));
  const env = { ...process.env, CARDO_DATA: data, HOST: "127.0.0.1", PORT: String(port), NODE_ENV: "production" };
  cpSync(".cache/interface-data-seeded", data, { recursive: true });
  const server = spawn(process.execPath, ["scripts/serve.mjs"], { env, stdio: ["ignore", "pipe", "inherit"] });
  try {
    await new Promise((up) => server.stdout.once("data", up));
    await page.goto(`http://127.0.0.1:${port}/`);
    await page.getByRole("button", { name: "Back up or restore" }).click();
    await expect(page.getByText(/A backup is one file with everything: 14 jobs/)).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "Download a backup" }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^cardo-\d{4}-\d\d-\d\d\.backup\.zip$/);
    const file = await download.path();
    await page.getByRole("button", { name: "Close" }).click();

    await page.getByLabel("Name of a new job").fill("Made in between");
    await page.getByRole("button", { name: "New job" }).click();
    await page.getByRole("main", { name: "Brief" }).waitFor();
    await page.goto(`http://127.0.0.1:${port}/`);
    await expect(page.getByText("15 jobs")).toBeVisible();

    await page.getByRole("button", { name: "Back up or restore" }).click();
    const input = page.getByLabel("Backup", { exact: true });
    const text = join(data, "text.zip");
    writeFileSync(text, "no zip");
    await input.setInputFiles(text);
    await page.getByRole("button", { name: "Restore it" }).click();
    await expect(page.getByText("The file is no backup of Cardo's, or it breaks off or is damaged. Choose another.")).toBeVisible(); // prettier-ignore
    await input.setInputFiles(file);
    await expect(page.getByText(/All 15 jobs on this shelf give way to what is in/)).toBeVisible();
    await page.getByRole("button", { name: "Restore it" }).click();
    await expect(page.getByText(/^14 jobs are back as of .* What was here before is kept as cardo\.before-restore-1\.sqlite\.$/)).toBeVisible(); // prettier-ignore
    await page.getByRole("button", { name: "Close" }).click();
    await expect(page.getByText("14 jobs", { exact: true })).toBeVisible();
    await expect(page.getByText("Made in between")).toHaveCount(0);
    expect(readdirSync(data)).toContain("cardo.before-restore-1.sqlite");
    // its drawings are there, tiles and all
    await page.getByRole("link", { name: "Open Gulch trestle" }).first().click();
    await stage(page, "Drawings");
    await expect(page.getByRole("region", { name: /^Drawing / })).toBeVisible();
  } finally {
    server.kill();
    rmSync(data, { recursive: true, force: true });
  }
});
