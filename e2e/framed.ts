import type { Page } from "@playwright/test";
import { execFileSync } from "node:child_process";

/** A new job with a start framed in it, its parameters unfolded. */
export async function framed(page: Page, name: string, start: string): Promise<void> {
  await page.goto("/");
  await page.waitForLoadState("networkidle");
  await page.getByLabel("Name of a new job").fill(name);
  await page.keyboard.press("Enter");
  await page.getByRole("main", { name: "Brief" }).waitFor();
  await stage(page, "Framing");
  await page.getByRole("button", { name: `Frame: ${start}` }).click();
  await page.getByRole("tab", { name: "Parameters" }).click();
  await page.getByRole("button", { name: "Unfold all" }).click();
}
/** Waits until the page of a job is itself: what is pressed while it is still the picture that stands for it can be lost. */
export async function ready(page: Page): Promise<void> {
  await page.waitForURL(/\/jobs\/[^/]+\/\w+/);
  await page.locator("main[aria-label]").waitFor();
}
/** Goes to a stage of the job that is open. */
export async function stage(page: Page, name: string): Promise<void> {
  await ready(page);
  await page
    .getByRole("navigation", { name: "Stages" })
    .getByRole("link", { name: new RegExp(`^${name}`) })
    .click();
}
export async function printed(page: Page): Promise<string> {
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Print jigs (PDF)" }).click();
  return execFileSync("pdftotext", ["-layout", await (await download).path(), "-"], { encoding: "utf8" });
}
