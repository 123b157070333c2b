import { stage } from "./framed";
import { expect, test, type Page } from "@playwright/test";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";

/** What the page's policy refused. */
async function watch(page: Page): Promise<string[]> {
  const refused: string[] = [];
  await page.addInitScript(() =>
    document.addEventListener("securitypolicyviolation", (e) =>
      console.error(`policy: ${e.violatedDirective} ${e.blockedURI} ${e.sourceFile}`),
    ),
  );
  page.on("console", (m) => /policy|Refused to/i.test(m.text()) && refused.push(m.text()));
  page.on("pageerror", (e) => refused.push(e.message));
  page.on("request", (r) => !/^(http:\/\/127\.0\.0\.1:|data:|blob:)/.test(r.url()) && refused.push(r.url()));
  return refused;
}

test("the policy lets everything of Cardo's own run, and nothing is asked of the outside", async ({ page }) => {
  const refused = await watch(page);
  await page.goto("/");
  await page.getByRole("link", { name: "Open Howe truss" }).first().click();
  await page.getByRole("main", { name: "Framing" }).waitFor();
  await page.getByRole("button", { name: "Space", exact: true }).click();
  await page.locator("main canvas").first().waitFor();
  await page.getByRole("tab", { name: "Forces" }).click();
  await stage(page, "Cutting");
  await page.getByRole("tab", { name: "Stick layout" }).click();
  await expect(page.getByText(/\d+ sticks?/).first()).toBeVisible();
  const list = page.waitForEvent("download");
  await page.getByRole("button", { name: "Stick layout (PDF)" }).click();
  expect((await list).suggestedFilename()).toBe("Stick layout.pdf");
  await stage(page, "Jigs");
  const jigs = page.waitForEvent("download");
  await page.getByRole("button", { name: "Print jigs (PDF)" }).click();
  expect((await jigs).suggestedFilename()).toMatch(/\.pdf$/);
  expect(refused).toEqual([]);
});

test("members are found on a scan: the picture library may do in its worker what no page may", async ({ page }) => {
  const refused = await watch(page);
  await page.goto("/");
  await page.getByRole("link", { name: "Open Gulch trestle" }).first().click();
  await stage(page, "Drawings");
  await page.getByRole("tab", { name: "Trace" }).click();
  await page.getByRole("button", { name: /^Find/ }).first().click();
  await expect(page.getByRole("button", { name: "Accept all" })).toBeVisible({ timeout: 60_000 });
  expect(refused).toEqual([]);
});

test("a page of another site cannot make a job, rename one or look at one", async ({ page, request, baseURL }) => {
  const evil = createServer((_, res) => res.setHeader("content-type", "text/html").end("<h1>Free plans</h1>"));
  await new Promise<void>((up) => evil.listen(0, "127.0.0.1", () => up()));
  // by their name: other tests put jobs on the same shelf meanwhile
  const named = async (name: string): Promise<number> =>
    ((await (await request.get("/")).text()).match(new RegExp(`aria-label="Open ${name}"`, "g")) ?? []).length;
  expect(await named("Empty job")).toBeGreaterThan(0);
  await page.goto(`http://127.0.0.1:${(evil.address() as AddressInfo).port}/`);
  const tried = await page.evaluate(async (cardo) => {
    const send = (body: BodyInit, path: string, headers: Record<string, string> = {}): Promise<string> =>
      fetch(`${cardo}${path}`, { method: "POST", body, headers, mode: "no-cors" }).then((r) => r.type, (e: Error) => e.name); // prettier-ignore
    const seen = await fetch(`${cardo}/`).then(
      (r) => r.text(),
      () => "not seen",
    );
    return [
      seen,
      await send("do=new&name=Evil", "/?index", { "content-type": "application/x-www-form-urlencoded" }),
      await send(JSON.stringify({ kind: "edit" }), "/jobs/x/revisions", { "content-type": "text/plain" }),
    ];
  }, baseURL!);
  expect(tried[0]).toBe("not seen");
  // a form that is sent whole lands on the refusal
  await page.setContent(`<form method="post" action="${baseURL!}/?index"><input name="do" value="new"><input name="name" value="Evil"><button>Go</button></form>`); // prettier-ignore
  await page.getByRole("button", { name: "Go" }).click();
  await expect(page.getByText("Only Cardo's own page may change something.")).toBeVisible();
  expect(await named("Evil")).toBe(0);
  const framed = await request.get("/");
  expect(framed.headers()["content-security-policy"]).toContain("frame-ancestors 'none'");
  evil.close();
});

test("odd requests get a sentence and a status, never a fault", async ({ request, baseURL }) => {
  const own = { origin: baseURL! };
  const jobs = [...(await (await request.get("/")).text()).matchAll(/\/jobs\/([\w-]+)/g)].map((m) => m[1]!);
  const job = jobs[0]!;
  for (const [path, status, words] of [
    [`/jobs/${job}%00/state`, 400, /characters that no name has/],
    ["/restore", 405, /A backup is sent here; there is nothing to get\./],
    [`/jobs/${job}/pictures`, 405, /A picture is sent here; there is nothing to get\./],
    [`/jobs/${job}/revisions`, 405, /An edit is sent here; there is nothing to get\./],
    [`/jobs/${job}/constructor`, 404, /There is nothing at this address/],
    ["/jobs/nope/file", 404, /not on the shelf/],
  ] as const) {
    const r = await request.get(path);
    expect([path, r.status()]).toEqual([path, status]);
    expect(await r.text()).toMatch(words);
  }
  for (const body of ['{"keepMine":{}}', "[]", "null", '{"kind":"edit"}', "{", '{"kind":"constructor"}']) {
    const r = await request.post(`/jobs/${job}/revisions`, { data: Buffer.from(body), headers: { ...own, "content-type": "application/json" } }); // prettier-ignore
    expect([body, r.status()]).toEqual([body, 400]);
    expect(((await r.json()) as { sentences: string[] }).sentences[0]).toMatch(/^[A-Z].*\.$/);
  }
});
