import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { designOf, readJobFile, stickJobs } from "core/job";
import { planner, type PlanNews } from "./planner";

const { doc } = readJobFile(readFileSync("examples/gulch-trestle.json", "utf8"));
const requests = stickJobs(designOf(doc));

describe("planning off the main thread", () => {
  it("is over only when the last news of every section has been heard, however slowly it travels", async () => {
    const heard: PlanNews[] = [];
    await planner().plan(requests, async (news) => {
      await new Promise((r) => setTimeout(r, 30));
      heard.push(news);
    });
    expect(requests.length).toBeGreaterThan(1);
    for (const at of requests.keys()) expect(heard.filter((n) => n.at === at).at(-1)?.seeking, `${at}`).toBe(false);
    // the whole trestle's sections are small enough that each is proven
    for (const at of requests.keys())
      expect(heard.filter((n) => n.at === at).at(-1)?.plan.result, `${at}`).toMatchObject({ proven: true });
  });
});
