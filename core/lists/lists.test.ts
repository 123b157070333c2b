import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { findings } from "../checks";
import { planItem, stockLengths, wantedByItem } from "../cutting";
import { PAPERS, toPdf, type PagePlan, type PaperId } from "../drawing";
import { cutTable, designOf, readJobFile, type Design } from "../job";
import { catalogue } from "../lumber";
import type { Units } from "../units";
import { sheetJobs } from "../jigs/sheetParts";
import { nestings } from "../nesting";
import { cutListPages, findingPages, sheetPages, stickPages } from ".";

const design = (name: string, units?: Units): Design => {
  const { doc } = readJobFile(readFileSync(`examples/${name}.json`, "utf8"));
  return designOf(units ? { ...doc, brief: { ...doc.brief, units } } : doc);
};
const words = (p: PagePlan): string[] => p.pages.flatMap((q) => q.furniture.flatMap((e) => (e.kind === "text" ? [e.text] : []))); // prettier-ignore
const plansOf = async (d: Design) => {
  const items = new Map(catalogue(d.scale).map((i) => [i.id, i]));
  return Promise.all(
    [...wantedByItem(d.pieces, d.doc.cutting)].map(([id, w]) =>
      planItem(items.get(id)!, w, stockLengths(items.get(id)!), d.doc.cutting),
    ),
  );
};

describe("lists on paper", () => {
  it("have every piece of the bent once, with its count, length, end cuts and stock", () => {
    const d = design("gulch-trestle");
    const all = words(cutListPages(d, "A4", "2026-05-01"));
    for (const p of d.pieces) expect(all.filter((w) => w === p.mark)).toHaveLength(1);
    expect(all).toContain("49.00 mm");
    expect(all.join(" ")).toContain("both 11.8° mitre, parallel");
    expect(all).toContain("Scale lumber, HO 12×12: 10 pieces");
    expect(all).toContain("Page 1 of 1");
  });
  it("tell both edges of a piece whose ends slant against each other", () => {
    const tie = design("depot").pieces.find((p) => p.role === "collar tie")!;
    const edges = `${tie.shape.longPoint.toFixed(2)} mm / ${tie.shape.shortPoint.toFixed(2)} mm`;
    expect(tie.shape.longPoint - tie.shape.shortPoint).toBeGreaterThan(1);
    expect(words(cutListPages(design("depot"), "A3", "d")).join(" ")).toContain(edges);
  });
  it("keep every word on every paper, and every page within it", async () => {
    const d = design("depot");
    const plans = await plansOf(d);
    const told = findings(d);
    for (const paper of Object.keys(PAPERS) as PaperId[]) {
      const [wide, high] = PAPERS[paper];
      const all = [cutListPages(d, paper, "d"), stickPages(d, plans, paper, "d"), findingPages(d, told, paper, "d")];
      const points = all.flatMap((plan) => plan.pages.flatMap((page) => page.furniture.flatMap((e) => (e.kind === "path" ? e.points : e.kind === "text" ? [e.at] : [e.centre])))); // prettier-ignore
      expect(points.length).toBeGreaterThan(1000);
      expect(
        points.filter(([x, y]) => !(x > 8 && y > 8 && x < wide - 8 && y < high - 8)),
        paper,
      ).toEqual([]);
    }
  });
  it("draw each sheet with its parts, the marks on them, what is left whole and every cut", () => {
    const d = design("agents-cottage");
    const plans = sheetJobs(d).map((job) => ({ job, result: [...nestings(job.problem, 0)].at(-1)! }));
    for (const paper of Object.keys(PAPERS) as PaperId[]) {
      const plan = sheetPages(d, plans, paper, "d");
      const [wide, high] = PAPERS[paper];
      const points = plan.pages.flatMap((page) => page.furniture.flatMap((e) => (e.kind === "path" ? e.points : e.kind === "text" ? [e.at] : [e.centre]))); // prettier-ignore
      expect(
        points.filter(([x, y]) => !(x > 8 && y > 8 && x < wide - 8 && y < high - 8)),
        paper,
      ).toEqual([]);
      const all = words(plan);
      for (const { job, result } of plans) {
        expect(all.join(" ")).toContain(job.name);
        if (result.status !== "planned") throw new Error(job.name);
        const cuts = result.sheets.reduce((s, x) => s + x.cuts.length, 0);
        expect(cuts).toBeGreaterThan(0);
      }
      // four gable and side walls of clapboards, each named on its own part
      expect(all.filter((w) => /^FS[1-4]$/.test(w)).sort()).toEqual(["FS1", "FS2", "FS3", "FS4"]);
      expect(all.join(" ")).toMatch(
        /Left whole: 94\.5 mm × 304\.8 mm\. Cuts from the upper left corner, each right across the piece in hand: 1\. level, 57\.9 mm down/,
      );
    }
    const none = sheetPages(d, [{ job: plans[0]!.job, result: { status: "too large", parts: [0] } }], "A4", "d");
    expect(words(none).join(" ")).toMatch(/Larger than every sheet there is: FS\d\./);
  });
  it("draw each planned stick once, those alike together, and tell every cut", async () => {
    const d = design("gulch-trestle");
    const plans = await plansOf(d);
    const all = words(stickPages(d, plans, "A4", "d")).join(" ");
    for (const p of plans) expect(all).toContain(`${p.name}: ${p.sticks.length} stick`);
    for (const p of d.pieces) expect(all).toContain(p.mark);
  });
  it("read metric in a metric job, and inches in one that models in inches", async () => {
    const d = design("depot", { prototype: "m", model: "mm" });
    const all = [...words(cutListPages(d, "A4", "d")), ...cutTable(d).rows.flat().map(String)];
    expect(all.filter((w) => /[′″]/.test(w))).toEqual([]);
    const inch = design("gulch-trestle", { prototype: "ft-in", model: "in" });
    const printed = words(cutListPages(inch, "Letter", "d"));
    expect(printed).toContain("1.9291 in");
    expect(printed.filter((w) => / mm/.test(w))).toEqual([]);
  });
  it("give a spreadsheet numbers in the unit its columns name", () => {
    const { columns, rows } = cutTable(design("gulch-trestle", { prototype: "ft-in", model: "64ths" }));
    const at = (name: string): number => columns.indexOf(name);
    expect(rows[0]![at("tip_to_tip_in")]).toBe(1.9291);
    expect(rows[0]![at("thickness_in")]).toBe(0.1378);
    expect(rows[0]![at("end_a_mitre_deg")]).toBe(0);
    expect(columns.filter((c) => c.endsWith("_mm"))).toEqual([]);
    for (const r of rows) expect(r).toHaveLength(columns.length);
  });
  it("are bookmarked parts of one PDF", async () => {
    const d = design("gulch-trestle");
    const font = (n: string): Uint8Array => readFileSync(`node_modules/@fontsource/${n}`);
    const fonts = {
      label: font("barlow-condensed/files/barlow-condensed-latin-600-normal.woff"),
      text: font("source-sans-3/files/source-sans-3-latin-400-normal.woff"),
    };
    const parts = [
      { name: "Cut list", plan: cutListPages(d, "A4", "d") },
      { name: "Findings ′ ″", plan: findingPages(d, [], "A4", "d") },
    ];
    const bytes = Buffer.from(await toPdf(parts, { title: "t", date: new Date(0), fonts })).toString("latin1");
    expect(bytes).toContain("/PageMode /UseOutlines");
    expect(bytes.match(/\/Dest \[/g)).toHaveLength(2);
  });
});
