import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import "./allSheets";
import { sheetPlanFaults } from "../checks/sheetPlan";
import { drawerSheets, holdings, sheetLot } from "../drawer";
import { polygonArea } from "../geometry";
import { designOf, emptyJob, newStructure, readJobFile, stickJobs, type JobDoc } from "../job";
import { sheetOf, strippedId } from "../lumber";
import { boughtCost, nestings, sheetGapWords, sizeOf, turnedOutline, usedPercent } from "../nesting";
import { feet, inches } from "../units";
import { markSize, sheetJobs, sheetSizes, type SheetJob } from "./sheetParts";

const house = (values: Readonly<Record<string, unknown>> = {}, more: Partial<JobDoc> = {}) => designOf({ ...emptyJob("Sheets"), structures: [newStructure("sheet", "s", "House", values)], ...more }); // prettier-ignore
const of = (jobs: readonly SheetJob[], stock: string): SheetJob => jobs.find((j) => j.stock === stock)!;
const partOf = (j: SheetJob, stick: string) => j.problem.parts.find((p) => p.sticks.includes(stick))!;

describe("what a job cuts from sheet", () => {
  it("is every panel once, under its own sheet, as often as it is wanted", () => {
    for (const name of ["agents-cottage", "company-store", "silos"]) {
      const d = designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc);
      const jobs = sheetJobs(d);
      const panels = d.pieces.filter((p) => p.shape.kind === "panel");
      expect(jobs.flatMap((j) => j.problem.parts.flatMap((p) => p.sticks)).sort()).toEqual(panels.flatMap((p) => p.sticks).sort()); // prettier-ignore
      for (const j of jobs) for (const p of j.problem.parts) expect(panels.find((x) => x.mark === p.mark)!.stock).toBe(j.stock); // prettier-ignore
    }
  });
  it("leaves out what is cut", () => {
    const d = house();
    const all = sheetJobs(d).flatMap((j) => j.problem.parts.flatMap((p) => p.sticks));
    const left = sheetJobs(d, new Set([all[0]!])).flatMap((j) => j.problem.parts.flatMap((p) => p.sticks));
    expect(left).toEqual(all.slice(1));
  });
  it("is also the sticks that are ripped off sheet: as long and wide as they are, along the grain, and off no stick", () => {
    const doc: JobDoc = { ...emptyJob("Bent"), structures: [newStructure("trestle-bent", "s", "Bent")] };
    const plain = designOf(doc);
    const wood = sheetOf("sheet/wood/8")!;
    const [name, match] = [...plain.stock].find(([n]) => n === "3×10")!;
    const d = designOf({ ...doc, stock: { ...doc.stock, choices: { [name]: { item: strippedId(wood, match.section.thickness), plies: 1, along: "thickness" } } } }); // prettier-ignore
    expect(sheetJobs(plain)).toEqual([]);
    const [job, ...more] = sheetJobs(d);
    expect(more).toEqual([]);
    expect([job!.stock, job!.item?.id]).toEqual([wood.id, wood.id]);
    const braces = d.pieces.filter((p) => p.stock.startsWith("strip/"));
    expect(braces.reduce((n, p) => n + p.sticks.length, 0)).toBe(4);
    expect(job!.problem.parts.flatMap((p) => p.sticks).sort()).toEqual(braces.flatMap((p) => p.sticks).sort());
    for (const part of job!.problem.parts) {
      const p = braces.find((b) => b.mark === part.mark)!;
      const [long, wide] = sizeOf(part.outline, 0);
      expect(long).toBeCloseTo(p.shape.overall, 6);
      // the sheet is the brace's wide side, so it is ripped as wide as the brace is thick
      expect(wide).toBeCloseTo(Number(match.section.thickness.toFixed(2)), 6);
      expect(part.turns.every((t) => t % 2 === 1)).toBe(true);
    }
    expect(stickJobs(d).map((j) => j.item.id)).not.toContain(braces[0]!.stock);
    expect(stickJobs(plain).flatMap((j) => j.wanted.map((w) => w.stick))).toEqual(expect.arrayContaining([...braces[0]!.sticks])); // prettier-ignore
    const result = [...nestings(job!.problem)].at(-1)!;
    expect(result.status).toBe("planned");
    if (result.status === "planned") expect(sheetPlanFaults(job!.problem, result.sheets)).toEqual([]);
  });
  it("has clapboards the right way up: a gable's peak is at the upper edge of the sheet as it is drawn", () => {
    const clapboards = of(sheetJobs(house({ roof: "gable" })), "sheet/clapboard/60");
    const gable = partOf(clapboards, "s/right/face");
    expect(gable.turns).toEqual([1]);
    expect(gable.outline).toHaveLength(5);
    const laid = turnedOutline(gable.outline, 1);
    // the sheet's x runs down the page: one corner at the top, two at the foot
    const foot = Math.max(...laid.map((p) => p[0]));
    expect(laid.filter((p) => p[0] < 1e-6)).toHaveLength(1);
    expect(laid.filter((p) => p[0] > foot - 1e-6)).toHaveLength(2);
    expect(gable.lines).toMatchObject({ across: "y" });
    expect(gable.lines!.pitch).toBeCloseTo(1.524, 9);
  });
  it("lets what looks the same upside down lie both ways, and what is plain any way", () => {
    const battens = sheetJobs(house({ face: "batten", facePitch: inches(12) }));
    const wall = battens.find((j) => j.item?.texture?.id === "batten")!;
    for (const p of wall.problem.parts) expect(p.turns).toEqual([0, 2]);
    const core = of(battens, "sheet/styrene/60");
    expect(partOf(core, "s/front/core").turns).toEqual([0, 1]);
    expect(partOf(core, "s/right/core").turns).toEqual([0, 1, 2, 3]);
  });
  it("takes the front's area by hand: 24 × 12 ft less a window of 3 × 5", () => {
    const window = { wall: "front", kind: "window", at: feet(8), width: feet(3), height: feet(5), sill: feet(2.5), mount: "built", lap: 0, style: "hung", across: 2, up: 2, shutters: "none" }; // prettier-ignore
    const d = house({ length: feet(24), wallHeight: feet(12), openings: [window] });
    const j = of(sheetJobs(d), "sheet/styrene/60");
    const i = j.problem.parts.findIndex((p) => p.sticks.includes("s/front/core"));
    const area = j.flat[i]!.rings.reduce((s, r) => s + polygonArea(r), 0);
    const [outer] = j.flat[i]!.rings;
    const whole = polygonArea(outer!);
    // with the usual fit of 0.1 mm on every side
    const hole = (feet(3) / d.scale.ratio + 0.2) * (feet(5) / d.scale.ratio + 0.2);
    expect(whole - area).toBeCloseTo(hole, 6);
    // the mark stands clear of it
    const { at, high } = j.flat[i]!.label;
    const ring = j.flat[i]!.rings[1]!;
    const [lo, hi] = [0, 1].map((k) => [Math.min(...ring.map((p) => p[k]!)), Math.max(...ring.map((p) => p[k]!))]) as [number[], number[]]; // prettier-ignore
    expect(at[0] > lo[0]! && at[0] < lo[1]! && at[1] > hi[0]! && at[1] < hi[1]!).toBe(false);
    expect(markSize(j.flat[i]!.label, 3, 0, 3)).toBeCloseTo(Math.min(3, 0.8 * high, (0.92 * high) / 1.8), 9);
  });
  it("is laid on the sizes as they are sold, or those the job gives, at their prices", () => {
    const sizes = { "sheet/clapboard/60": [{ wide: 120, long: 240, count: 3, price: 2.5 }] };
    const d = house({}, { sheetCutting: { by: "free", apart: 0.4, edge: 1, sizes } });
    const j = of(sheetJobs(d), "sheet/clapboard/60");
    expect(j.problem).toMatchObject({ by: "free", apart: 0.4, edge: 1, sizes: [{ wide: 120, long: 240, count: 3, cost: 2.5 }] }); // prettier-ignore
    expect(sheetSizes(d, "sheet/styrene/60").map((s) => [s.wide, s.long].map((x) => Math.round(x * 10) / 10))).toEqual([[152.4, 304.8], [304.8, 609.6]]); // prettier-ignore
  });
  it("is planned so that every sheet can be cut, by both ways of cutting", () => {
    for (const by of ["snap", "free"] as const)
      for (const j of sheetJobs(
        house({ cover: "strips", cornerTrim: inches(6) }, { sheetCutting: { by, apart: 0.3, edge: 2, sizes: {} } }),
      )) {
        const r = [...nestings(j.problem, 10)].at(-1)!;
        if (r.status !== "planned") throw new Error(`${j.name} ${r.status}`);
        expect(sheetPlanFaults(j.problem, r.sheets), j.name).toEqual([]);
        expect(usedPercent(j.problem, r)).toBeGreaterThan(0);
        expect(sheetGapWords(j.problem, r) === "").toBe(boughtCost(j.problem, r.sheets) <= r.bound + 1e-9);
      }
  });
});

describe("a wall sheet that no series was chosen for", () => {
  it("is a plain sheet of its thickness, so that what is left of it can lie in the drawer", () => {
    const d = designOf(readJobFile(readFileSync("examples/tool-house-framed.json", "utf8")).doc);
    const [job, ...more] = sheetJobs(d);
    expect(more).toEqual([]);
    expect([job!.stock, job!.item!.id, job!.item!.thickness]).toEqual(["sheet 0.50 mm", "sheet/own/styrene-0.5", 0.5]);
    const held = holdings([{ id: "1", at: "", lot: sheetLot(job!.item!, 200, 300), count: 1, why: "bought" }]);
    expect(drawerSheets(held, job!.item!, [])).toMatchObject([{ wide: 200, long: 300, count: 1, drawer: true }]);
  });
});

describe("card mock-ups on the sheets", () => {
  const CARD = "sheet/card/0.5";
  const tried = (d: JobDoc, done?: ReadonlySet<string>): SheetJob => of(sheetJobs(designOf({ ...d, sheetCutting: { by: "free", apart: 0, edge: 0, sizes: {}, card: CARD } }), done), CARD); // prettier-ignore
  const shed: JobDoc = { ...emptyJob("Card"), structures: [newStructure("sheet", "s", "House")] };
  const total = (j: SheetJob): number =>
    j.flat.reduce((n, f) => n + f.rings.reduce((a, r) => a + polygonArea(r), 0), 0);
  it("are laid out when asked for alone, each part with its tabs in one outline", () => {
    expect(sheetJobs(designOf(shed)).map((j) => j.stock)).not.toContain(CARD);
    const job = tried(shed);
    // a strip of four walls, 84 + 56 + 84 + 56 mm, and two slopes of 91 × 35.2
    expect(job.problem.parts.map((p) => p.sticks[0])).toEqual(["card/s/1", "card/s/2", "card/s/3"]);
    expect(job.flat.map((f) => f.rings.length)).toEqual([1, 1, 1]);
    const K = Math.hypot(1, 0.5);
    // tabs are trapezes 6 high: a corner's 3 shorter at each end, those of two eaves and the ridge 4
    const tabs = (31.5 - 3) * 6 + 2 * (84 - 4) * 6 + (91 - 4) * 6;
    expect(total(job)).toBeCloseTo(2 * 84 * 31.5 + 2 * (56 * 31.5 + 28 * 14) + 2 * 91 * 31.5 * K + tabs, 3);
    const [wide] = sizeOf(job.problem.parts[0]!.outline, 0);
    expect(wide).toBeCloseTo(2 * (84 + 56) + 6, 6);
    // three folds in a strip without openings
    expect(job.flat[0]!.lines).toHaveLength(3);
  });
  it("are parted at a corner where the card is shorter, with a tab more for each strip", () => {
    const whole = tried(shed);
    const short = { ...shed, sheetCutting: { by: "free" as const, apart: 0, edge: 5, sizes: { [CARD]: [{ wide: 170, long: 160, count: null, price: 0 }] }, card: CARD } }; // prettier-ignore
    const job = of(sheetJobs(designOf(short)), CARD);
    // 160 long between the edges: 84 + 56 and a tab go on one strip
    expect(job.problem.parts.map((p) => Number(sizeOf(p.outline, 0)[0].toFixed(3)))).toEqual([146, 146, 91, 91]);
    expect(total(job) - total(whole)).toBeCloseTo((31.5 - 3) * 6, 3);
    const result = [...nestings(job.problem, 20)].at(-1)!;
    expect(result.status).toBe("planned");
    if (result.status === "planned") expect(sheetPlanFaults(job.problem, result.sheets)).toEqual([]);
  });
  it("are told by structure, joined to what else is cut from the same card, and left out when cut", () => {
    const two = { ...shed, structures: [...shed.structures, newStructure("building", "b", "Depot"), newStructure("trestle-bent", "t", "Bent")] }; // prettier-ignore
    const job = tried(two);
    expect(job.problem.parts.map((p) => p.mark)).toEqual(job.problem.parts.map((_, i) => `card ${i + 1}`));
    expect(new Set(job.problem.parts.map((p) => p.sticks[0]!.split("/")[1]))).toEqual(new Set(["s", "b"]));
    expect(job.flat[0]!.role).toBe("mock-up of House: front, right, back, left");
    expect(tried(two, new Set(["card/s/2"])).problem.parts.map((p) => p.mark)).toEqual(job.problem.parts.map((p) => p.mark).filter((m) => m !== "card 2")); // prettier-ignore
    const core = house(
      { core: "card/0.5" },
      { sheetCutting: { by: "free", apart: 0, edge: 0, sizes: {}, card: CARD } },
    );
    const same = sheetJobs(core).filter((j) => j.stock === CARD);
    expect(same).toHaveLength(1);
    expect(same[0]!.problem.parts.length).toBeGreaterThan(3);
  });
});
