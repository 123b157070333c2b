import { describe, expect, it } from "vitest";
import "../structures/all";
import kept from "./kept.json";
import { KEPT_JOBS, papersOf } from "./kept.fixture";

// What demo jobs come to on paper. Where a sheet, a list or a finding changed on purpose, look at it, then keep it anew by
// npx tsx scripts/keep-frames.ts
describe("papers of the demo jobs are as they were", () => {
  it.each(KEPT_JOBS)("%s", (job) => expect(papersOf(job)).toEqual(kept[job]));
});
