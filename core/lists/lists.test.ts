import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { findings } from "../checks";
import { planItem } from "../cutting";
import { PAPERS, toPdf, type PagePlan, type PaperId } from "../drawing";
import { cutTable, designOf, readJobFile, stickJobs, type Design } from "../job";
import type { Units } from "../units";
import { sheetJobs } from "../jigs/sheetParts";
import { nestings } from "../nesting";
import { setUps } from "../cutting";
import {
  BOOKLET,
  bookletParts,
  cutListPages,
  findingPages,
  labelPages,
  labelSize,
  listed,
  setUpPages,
  sheetPages,
  shoppingPages,
  stepPages,
  stickPages,
  USUAL_LABELS,
  type BookletPart,
} from ".";
import { shoppingList, shoppingRows, simulatedPrices } from "../drawer";
import { stockItem } from "../lumber";

const design = (name: string, units?: Units): Design => {
  const { doc } = readJobFile(readFileSync(`examples/${name}.json`, "utf8"));
  return designOf(units ? { ...doc, brief: { ...doc.brief, units } } : doc);
};
const words = (p: PagePlan): string[] => p.pages.flatMap((q) => q.furniture.flatMap((e) => (e.kind === "text" ? [e.text] : []))); // prettier-ignore
const plansOf = async (d: Design) => {
  return Promise.all(stickJobs(d).map((j) => planItem(j)));
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
      const all = [
        cutListPages(d, paper, "d"),
        stickPages(listed(d), plans, paper, "d"),
        findingPages(d, told, paper, "d"),
      ];
      const points = all.flatMap((plan) => plan.pages.flatMap((page) => page.furniture.flatMap((e) => (e.kind === "path" ? e.points : "at" in e ? [e.at] : [e.centre])))); // prettier-ignore
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
      const plan = sheetPages(listed(d), plans, paper, "d");
      const [wide, high] = PAPERS[paper];
      const points = plan.pages.flatMap((page) => page.furniture.flatMap((e) => (e.kind === "path" ? e.points : "at" in e ? [e.at] : [e.centre]))); // prettier-ignore
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
    const none = sheetPages(
      listed(d),
      [{ job: plans[0]!.job, result: { status: "too large", parts: [0] } }],
      "A4",
      "d",
    );
    expect(words(none).join(" ")).toMatch(/Larger than every sheet there is: FS\d\./);
  });
  it("make one booklet of what was ticked, in its order, and a cover that tells on which pages it is", async () => {
    const d = design("gulch-trestle");
    const sticks = await plansOf(d);
    const none = { done: new Set<string>(), sticks: [], sheets: [], wanted: [], quotes: [], spare: 0 };
    const wanted = shoppingList(
      sticks.map((plan) => ({ item: stockItem(d.scale, plan.item)!, plan })),
      [],
      40,
    );
    const all = new Set(Object.keys(BOOKLET) as BookletPart[]);
    const parts = bookletParts(d, all, { ...none, sticks, wanted }, "A4", "2026-05-01");
    expect(parts.slice(0, 7).map((p) => p.name)).toEqual(["Cover", "Findings", "Shopping list", "Cut list", "Set-up cards", "Stick layout", "Labels for trays"]); // prettier-ignore
    expect(parts.slice(-2).map((p) => p.name)).toEqual(["Steps with pictures", "Lined pages for notes"]);
    const told = words(parts.at(-2)!.plan).join(" ");
    for (const title of ["1. Bent: 1 cap", "4. Bent: 8 batter posts", "7. Place: Bent"]) expect(told).toContain(title);
    expect(words(stepPages({ ...d, doc: { ...d.doc, brief: { ...d.doc.brief, units: { prototype: "ft-in", model: "in" } } } }, "A4", "d")).join(" ")).toMatch(/Check: On the lines of its template: 3\.\d+ in by 2\.\d+ in over all/); // prettier-ignore
    // what is new is black: all fifteen sticks once on the board, and once as they are placed
    const fresh = parts.at(-2)!.plan.pages.flatMap((q) => q.furniture).filter((e) => e.kind === "path" && e.fill === "black"); // prettier-ignore
    expect(fresh).toHaveLength(30);
    const cover = words(parts[0]!.plan);
    let page = 2;
    for (const p of parts.slice(1)) {
      const last = page + p.plan.pages.length - 1;
      expect(cover[cover.indexOf(p.name) + 1], p.name).toBe(last > page ? `pages ${page} to ${last}` : `page ${page}`);
      page = last + 1;
    }
    // the cover shows every stick of the bent as it is looked at
    const shapes = parts[0]!.plan.pages[0]!.furniture.filter((e) => e.kind === "path" && e.closed && e.fill === "timber"); // prettier-ignore
    expect(shapes.length).toBe(d.structures[0]!.resolved.sticks.length);
    // what is not planned has no pages, and what is not ticked neither
    const few = bookletParts(d, new Set<BookletPart>(["sticks", "shopping", "sheets", "notes"]), none, "A4", "d");
    expect(few.map((p) => p.name)).toEqual(["Lined pages for notes"]);
    expect(parts.flatMap((p) => p.plan.pages.flatMap((q) => q.furniture)).every((e) => e.kind !== "text" || e.text !== "undefined")).toBe(true); // prettier-ignore
  });
  it("draw steps of sheet grey, without the lines on it: no picture runs together to black", () => {
    const d = design("agents-cottage");
    const all = stepPages(d, "A4", "d").pages.flatMap((p) => p.furniture);
    const filled = (f: string) => all.filter((e) => e.kind === "path" && e.fill === f).length;
    const sheets = d.structures.flatMap((s) => s.resolved.sticks).filter((k) => k.stock.startsWith("sheet"));
    expect(filled("grey")).toBeGreaterThanOrEqual(sheets.length);
    expect(all.every((e) => e.kind !== "path" || !e.fill || e.points.length > 2)).toBe(true);
  });
  it("draw each planned stick once, those alike together, and tell every cut", async () => {
    const d = design("gulch-trestle");
    const plans = await plansOf(d);
    const all = words(stickPages(listed(d), plans, "A4", "d")).join(" ");
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
  it("draw each set-up at full size on a card of its own, or say that it is shortened", () => {
    const d = design("gulch-trestle");
    const all = setUps(d.pieces, 0);
    const plan = setUpPages(d, all, "A4", "d");
    const said = words(plan);
    all.forEach((s, i) => expect(said).toContain(`${i + 1}. Stop at ${s.length.toFixed(2)} mm`));
    // the cap, 49 mm, at full size: a closed outline as long
    const shapes = plan.pages.flatMap((p) => p.furniture.flatMap((e) => (e.kind === "path" && e.closed && e.fill === "timber" ? [Math.max(...e.points.map((q) => q[0])) - Math.min(...e.points.map((q) => q[0]))] : []))); // prettier-ignore
    expect(shapes.map((x) => x.toFixed(2))).toEqual(all.map((s) => s.length.toFixed(2)));
    const long = setUpPages(d, [{ ...all[0]!, pieces: [{ ...all[0]!.pieces[0]!, piece: { ...all[0]!.pieces[0]!.piece, shape: { ...all[0]!.pieces[0]!.piece.shape, overall: 400 as never } } }] }], "A4", "d"); // prettier-ignore
    expect(words(long).join(" ")).toContain("Longer than the page: drawn shortened.");
  });
  it("have a label for each mark in its own place of the grid, past those that are gone", () => {
    const d = design("gulch-trestle");
    const [wide, high] = labelSize(USUAL_LABELS, "A4");
    // 210 less 2 × 4 and 2 × 2 between; 297 less 2 × 12
    expect([wide, high].map((x) => Number(x.toFixed(4)))).toEqual([66, 34.125]);
    const plan = labelPages(d, USUAL_LABELS, "A4", 20);
    expect(plan.pages).toHaveLength(2);
    const boxes = plan.pages.map((p) => p.furniture.flatMap((e) => (e.kind === "path" ? [e.points[0]!] : [])));
    expect(boxes.map((b) => b.length)).toEqual([4, 5]);
    // the 21st place: third column, seventh row
    expect(boxes[0]![0]![0]).toBeCloseTo(4 + 2 * 68, 9);
    expect(boxes[0]![0]![1]).toBeCloseTo(297 - 12 - 7 * 34.125, 9);
    for (const p of d.pieces) expect(words(plan).filter((w) => w === p.mark)).toHaveLength(1);
    expect(words(plan)).toContain("2 ×");
    for (const page of plan.pages) for (const e of page.furniture) if (e.kind === "text") expect(e.at[0] > 0 && e.at[0] < 210 && e.at[1] > 0 && e.at[1] < 297).toBe(true); // prettier-ignore
    expect(() => labelSize({ ...USUAL_LABELS, across: 12 }, "A4")).toThrow(
      /Labels of 15\.0 × 34\.1 mm are too small to be read/,
    );
  });
  it("have what is to buy first, with its price, then what lies in the drawer", async () => {
    const d = design("gulch-trestle");
    const plans = await plansOf(d);
    const wanted = shoppingList(plans.map((plan) => ({ plan, item: stockItem(d.scale, plan.item)! })), [], 40); // prettier-ignore
    const quotes = await simulatedPrices.quote(wanted.map((w) => w.lot));
    const rows = shoppingRows(wanted, quotes, 0, "mm");
    expect(rows).toHaveLength(wanted.length);
    const caps = rows.find((r) => r[0]!.includes("12×14"))!;
    // one cap of 49 mm off a stick of 279.4
    expect(caps.slice(0, 5)).toEqual([
      "Scale lumber, HO 12×14, 279.4 mm long",
      "0.05 m",
      "",
      "1",
      expect.stringMatching(/^1 of \d+$/),
    ]);
    expect(caps[6]).toMatch(/1 offcut up to 230\.4 mm$/);
    const said = words(shoppingPages(listed(d), wanted, quotes, 0, "A4", "d")).join(" ");
    expect(said).toMatch(/Together \d+\.\d\d, with 0 % to spare and whole packs\./);
    expect(words(shoppingPages(listed(d), wanted.map((w) => ({ ...w, buy: 0, had: 1 })), quotes, 0, "A4", "d")).join(" ")).toMatch(/Nothing has to be bought\..*On hand/); // prettier-ignore
  });
});
