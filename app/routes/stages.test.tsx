// @vitest-environment jsdom
import { screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { emptyJob, type JobDoc } from "core/job";
import { bare, example, openJob, setUpScreens, type Stage } from "~/screen.fixture";

setUpScreens();
const STAGES: readonly Stage[] = ["brief", "drawings", "framing", "stock", "cutting", "jigs", "bench"];
/** Small ones: of large drawings a page without a layout takes long, and they are looked at in a browser. */
const JOBS = ["gulch-trestle", "snowshed"] as const;
const PAIRS = JOBS.flatMap((j) => STAGES.map((s) => [j, s] as const));
const metric = (doc: JobDoc): JobDoc => ({ ...doc, brief: { ...doc.brief, units: { prototype: "m", model: "mm" } } });
/** What a person typed stays as it was typed: only what Cardo says is looked at. */
const untyped = (doc: JobDoc): JobDoc => ({
  ...doc,
  drawings: [],
  brief: { ...doc.brief, decisions: [], place: "" },
});

describe("every stage of a job", () => {
  it.each(PAIRS)("of %s says nothing broken: %s", async (name, stage) => {
    const job = await openJob(bare(example(name)), stage);
    expect(job.words()).not.toMatch(/\bNaN\b|undefined|Infinity|\[object|null\b|−0\.0/);
    expect(document.querySelectorAll("[role=alert]")).toHaveLength(0);
    expect(document.title).toMatch(/ · .* · Cardo$/);
  });
  it.each(PAIRS)("of %s reads metric in a metric job: %s", async (name, stage) => {
    const job = await openJob(metric(untyped(example(name))), stage);
    const words = job.words();
    // feet and inches of the prototype, and model inches; names of sizes, series and scales stay what they are called
    expect(words.match(/\d′.{0,20}/g) ?? []).toEqual([]);
    expect(
      words.match(/.{0,30}\d (in|ft) (of|on the model|long|wide|high|too|apart|short|under|over)\b.{0,20}/g) ?? [],
    ).toEqual([]);
  });
  it.each(STAGES)("of an empty job says what to do: %s", async (stage) => {
    const job = await openJob(emptyJob("Nothing yet"), stage);
    expect(job.words()).toMatch(/Frame|Upload|Choose|Note it|Nothing/);
    expect(job.words()).not.toMatch(/NaN|undefined|Infinity|\[object/);
  });
  it("are walked one after another, and the focus goes along", async () => {
    const job = await openJob(bare(example("gulch-trestle")), "brief");
    for (const name of ["Framing", "Stock", "Cutting", "Jigs", "Bench", "Drawings", "Brief"]) {
      await job.go(name);
      expect(document.activeElement?.id).toBe("main");
      expect(document.title).toBe(`${name} · Gulch trestle · Cardo`);
    }
  });
  it("points at the next undone thing, and never at itself", async () => {
    const job = await openJob(bare(example("gulch-trestle")), "brief");
    // what is next follows the findings, which come after the page
    await waitFor(() => expect(job.words()).toMatch(/Next Choose the stock of 3 sections/));
    await job.go("Stock");
    expect(screen.queryByRole("link", { name: /Choose the stock/ })).toBeNull();
    await job.user.click(screen.getByRole("button", { name: "Take them as proposed" }));
    await job.go("Brief");
    await waitFor(() => expect(job.words()).toMatch(/Next Print the jigs/));
    expect(Object.keys((await job.kept()).stock.choices).sort()).toEqual(["12×12", "12×14", "3×10"]);
  });
});
