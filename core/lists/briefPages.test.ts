import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import type { Entity, PagePlan } from "../drawing";
import { designOf, emptyJob, readJobFile, type JobDoc } from "../job";
import { briefPages } from "./briefPages";

const words = (p: PagePlan): string => p.pages.flatMap((x) => x.furniture).flatMap((e: Entity) => (e.kind === "text" ? [e.text] : [])).join(" ¦ "); // prettier-ignore
const of = (doc: JobDoc): string => words(briefPages(designOf(doc), "A4", "2026-05-01"));
const cottage = (): JobDoc => readJobFile(readFileSync("examples/agents-cottage.json", "utf8")).doc;

describe("the brief as a page", () => {
  it("tells what is built with its sizes, the spot, and every decision with its reason", () => {
    const text = of(cottage());
    expect(text).toMatch(/^Brief ¦ /);
    // 26 × 16 ft of walls with a foot of roof over each side: 30 ft in all where the gutters count
    expect(text).toMatch(/Cottage ¦ .*105\.0 mm × 72\.3 mm × 75\.3 mm long, deep and high/);
    expect(text).toMatch(/Spot ¦ 130\.0 mm × 110\.0 mm/);
    expect(text).toMatch(/Decided ¦ Corner posts of 10×10 ¦ Clapboards on their core are 2\.54 mm/);
    expect(text).toMatch(
      /Still to be found out ¦ Cottage ¦ \d+ of \d+ dimensions are estimated, assumed or not said yet/,
    );
    // nobody signs where it is for nobody else
    expect(text).not.toMatch(/Agreed|Builder/);
  });
  it("parts what was agreed from what was decided, under whom it is for, with lines to sign on", () => {
    const doc = cottage();
    doc.brief.client = "The Pellam Historical Room";
    doc.brief.decisions.push({ id: "d2", what: "Shown in 1909", reason: "Their photograph.", agreed: true });
    const text = of(doc);
    expect(text).toMatch(/^Brief for The Pellam Historical Room ¦ /);
    expect(text).toMatch(
      /Agreed with The Pellam Historical Room ¦ Shown in 1909 ¦ Their photograph\. ¦ Decided ¦ Corner posts/,
    );
    expect(text).toMatch(/Date ¦ The Pellam Historical Room ¦ Builder/);
  });
  it("is in the units of the job, and says so while nothing is framed", () => {
    const doc = cottage();
    doc.brief.units = { prototype: "m", model: "in" };
    expect(of(doc)).toMatch(/4\.13\d? in × .* long, deep and high; 9\.1\d+ m/);
    expect(of(emptyJob("Nothing"))).toMatch(/What is built ¦ Nothing is framed yet/);
  });
});
