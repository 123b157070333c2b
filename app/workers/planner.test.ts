import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { stockLengths, wantedByItem } from "core/cutting";
import { designOf, readJobFile } from "core/job";
import { catalogue } from "core/lumber";
import { planner, type PlanNews, type PlanRequest } from "./planner";

const { doc } = readJobFile(readFileSync("examples/gulch-trestle.json", "utf8"));
const design = designOf(doc);
const items = new Map(catalogue(design.scale).map((i) => [i.id, i]));
const requests = [...wantedByItem(design.pieces, doc.cutting, new Set())].map(([id, wanted]): PlanRequest => ({
  item: items.get(id)!,
  wanted,
  lengths: stockLengths(items.get(id)!, doc.stock.sticks[id]),
  settings: { ...doc.cutting },
}));

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
