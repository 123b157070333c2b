import { openDemo } from "./demoBrowser";
const { page, close } = await openDemo(4377);
await page
  .getByRole("link", { name: /^Open .*(cottage)/i })
  .first()
  .click();
await page.waitForTimeout(2500);
await page.getByRole("navigation", { name: "Stages" }).getByRole("link", { name: /Bench/ }).click();
await page.waitForTimeout(2500);
await page.getByRole("tab", { name: "Finish" }).click();
await page.waitForTimeout(1500);
await page.getByRole("button", { name: "Take the usual finish" }).click();
await page.waitForTimeout(3500);
await page.screenshot({ path: "/tmp/f1.png" });
await page.getByText("Your own coats, for every job").click();
await page.getByText("Painted before").first().scrollIntoViewIfNeeded();
await page.waitForTimeout(300);
await page.screenshot({ path: "/tmp/f2.png" });
await page.getByRole("tab", { name: "Steps" }).click();
await page.waitForTimeout(2500);
await page.screenshot({ path: "/tmp/f3.png" });
await page.getByText("Change the order by hand").click();
await page.getByRole("button", { name: /Add a step after/ }).click();
await page.getByRole("button", { name: "Add the step" }).scrollIntoViewIfNeeded();
await page.waitForTimeout(300);
await page.screenshot({ path: "/tmp/f4.png" });
await close();
process.exit(0);
