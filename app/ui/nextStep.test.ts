import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { findings } from "core/checks";
import { cutStatuses, designOf, emptyJob, issueOf, newStructure, readJobFile, type Issue, type JobDoc } from "core/job";
import { nextStep } from "./nextStep";

const at = "2026-05-01T20:14:00.000Z";
const step = (doc: JobDoc, issues: readonly Issue[] = []) => {
  const design = designOf(doc);
  return nextStep({ doc, design, findings: findings(design), issues, statuses: cutStatuses(design, issues) });
};
const bent = (): JobDoc => ({ ...emptyJob("B"), structures: [newStructure("trestle-bent", "g", "Bent")] });
const chosen = (doc: JobDoc): JobDoc => {
  const choices = Object.fromEntries([...designOf(doc).stock].map(([n, m]) => [n, { item: m.item.id, plies: m.plies, along: m.along }])); // prettier-ignore
  return { ...doc, stock: { ...doc.stock, choices } };
};

describe("the next step", () => {
  it("is no calibration of a photograph that structures are stood on: its corners say what it needs", () => {
    const doc = readJobFile(readFileSync("examples/agents-cottage.json", "utf8")).doc;
    expect(step(doc).text).not.toMatch(/^Calibrate/);
    const { photo: _, ...spot } = doc.spot!;
    expect(step({ ...doc, spot })).toEqual({ stage: "drawings", text: "Calibrate Photograph of the place" });
  });
  it("goes down the line, and nothing that is undone is skipped", () => {
    expect(step(emptyJob("E"))).toEqual({ stage: "framing", text: "Choose what to frame, or upload a drawing first" });
    expect(step(bent())).toEqual({ stage: "stock", text: "Choose the stock of 3 sections" });
    const doc = chosen(bent());
    expect(step(doc)).toEqual({ stage: "jigs", text: "Print the jigs" });
    const design = designOf(doc);
    const all = design.pieces.flatMap((p) => p.sticks);
    const print = issueOf(design, "print", "i1", at);
    expect(step(doc, [print])).toEqual({ stage: "cutting", text: `Cut ${all.length} pieces` });
    const some = issueOf(design, "cut", "i2", at, all.slice(1));
    expect(step(doc, [print, some])).toEqual({ stage: "cutting", text: "Cut the other 1 piece" });
    const rest = issueOf(design, "cut", "i3", at, all.slice(0, 1));
    expect(step(doc, [print, some, rest])).toEqual({ stage: "bench", text: "All is cut: build it" });
  });
  it("asks for any drawing that has no scale, also when another has one", () => {
    const { doc } = readJobFile(readFileSync("examples/gulch-trestle.json", "utf8"));
    const bare = { ...doc.drawings[0]!, id: "second", name: "Photo from the east", calibration: undefined };
    expect(step({ ...doc, drawings: [...doc.drawings, bare] })).toEqual({
      stage: "drawings",
      text: "Calibrate Photo from the east",
    });
  });
  it("tells that printed jigs are stale once the design has moved on", () => {
    const doc = chosen(bent());
    const print = issueOf(designOf(doc), "print", "i1", at);
    const moved = structuredClone(doc) as unknown as {
      structures: { variants: { params: Record<string, number> }[] }[];
    };
    moved.structures[0]!.variants[0]!.params.height! += 300;
    expect(step(moved as unknown as JobDoc, [print])).toEqual({
      stage: "jigs",
      text: "The printed jigs are stale: print them again",
    });
  });
  it("sends to the faults before anything is cut for nothing", () => {
    const doc = bent();
    const tall = structuredClone(doc) as unknown as {
      structures: { variants: { params: Record<string, unknown> }[] }[];
    };
    tall.structures[0]!.variants[0]!.params.swayBeyond = 1e7;
    const said = step(tall as unknown as JobDoc);
    expect(said.stage === "framing" || said.stage === "stock").toBe(true);
  });
});
