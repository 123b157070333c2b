import { readFileSync } from "node:fs";
import { intersectD, FillRule } from "clipper2-ts";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { lying, type PieceShape } from "../frame";
import { polygonArea, type Vec2 } from "../geometry";
import { designOf, readJobFile, stickJobs, type Design } from "../job";
import { loadLinearSolver, nestOf, planItem, type ItemPlan, type StickJob, type Wanted } from ".";
import { stockItem } from "../lumber";
import { scaleOf } from "../units";

const item = stockItem(scaleOf("HO"), "metric/1x2")!;
/** Braces 2 mm wide, mitred by 45° at both ends: 2 mm of each lie beside the next. */
const braces = (n: number, length: number, lean: readonly [1 | -1, 1 | -1]): Wanted[] => Array.from({ length: n }, (_, i) => ({ mark: "B", stick: `b${i}${length}${lean.join()}`, length: length as never, nest: { key: "45.0|2.00", saves: 2, lean } })); // prettier-ignore
const job = (wanted: readonly Wanted[], length: number, kerf = 0): StickJob => ({ item, wanted, lengths: [{ length, count: null, cost: length }], settings: { kerf, allowance: 0 } }); // prettier-ignore

/** Independent of the planner: each piece as a polygon in its place, none over another, the ends of neighbours apart by the kerf, all on the stick. */
function faults(plan: ItemPlan, shapes: ReadonlyMap<string, PieceShape>, kerf: number): string[] {
  const out: string[] = [];
  for (const s of plan.sticks) {
    const laid = s.cuts.map((c) => lying(shapes.get(c.mark)!).map(([x, y]): Vec2 => [x + c.start, c.turned ? -y : y]));
    laid.forEach((p, i) => {
      if (Math.max(...p.map((q) => q[0])) > s.length + 1e-6) out.push(`${s.cuts[i]!.mark} is off the stick`);
      if (p.some((q) => q[0] < -1e-9)) out.push(`${s.cuts[i]!.mark} begins before it`);
      const next = laid[i + 1];
      if (!next) return;
      // moved on by the kerf it must still be clear
      const path = (r: readonly Vec2[], by: number) => [r.map(([x, y]) => ({ x: x + by, y }))];
      const over = intersectD(path(p, Math.max(0, kerf - 1e-3)), path(next, 0), FillRule.NonZero, 6);
      const area = over.reduce((t, r) => t + Math.abs(polygonArea(r.map(({ x, y }): Vec2 => [x, y]))), 0);
      if (area > 1e-3) out.push(`${s.cuts[i]!.mark} and ${s.cuts[i + 1]!.mark} overlap by ${area.toFixed(4)} mm²`);
    });
  }
  return out;
}

describe("mitred ends head to tail", () => {
  it("carry eleven braces where ten fit end to end: 11 × 20 less 10 × 2 is 200 of 200 mm", async () => {
    const lp = await loadLinearSolver();
    const plan = await planItem(job(braces(11, 20, [1, 1]), 200), lp);
    expect(plan.sticks).toHaveLength(1);
    expect(plan.result).toMatchObject({ proven: true, sticks: 1 });
    expect(plan.sticks[0]!.cuts.map((c) => c.start as number)).toEqual(Array.from({ length: 11 }, (_, i) => i * 18));
    expect(plan.sticks[0]!.offcut).toBeCloseTo(0, 9);
    const square = job(braces(11, 20, [1, 1]).map(({ mark, stick, length }) => ({ mark, stick, length })), 200); // prettier-ignore
    expect((await planItem(square, lp)).sticks).toHaveLength(2);
  });
  it("are turned over where they lean the other way: braces of both hands by turns, and one that leans to both sides", async () => {
    const both = [...braces(2, 20, [1, 1]), ...braces(2, 20, [-1, -1])];
    const [one] = (await planItem(job(both, 200))).sticks;
    expect(one!.cuts.map((c) => [c.start as number, c.turned ?? false])).toEqual([[0, false], [18, false], [36, true], [54, true]]); // prettier-ignore
    // longer below than above: every other one stands on its head
    const [keystones] = (await planItem(job(braces(3, 20, [1, -1]), 200))).sticks;
    expect(keystones!.cuts.map((c) => c.turned ?? false)).toEqual([false, true, false]);
  });
  it("leave the blade its cut between them, and what they save to the offcut where no stick is saved", async () => {
    const [one] = (await planItem(job(braces(4, 20, [1, 1]), 200, 0.5))).sticks;
    expect(one!.cuts.map((c) => c.start as number)).toEqual([0, 18.5, 37, 55.5]);
    expect(one!.offcut).toBeCloseTo(200 - 76, 9);
  });
  it("is of pieces with two upright cuts of one slant alone", () => {
    const d = designOf(readJobFile(readFileSync("examples/gulch-trestle.json", "utf8")).doc);
    const of = (mark: string) => nestOf(d.pieces.find((p) => p.mark === mark)!.shape);
    expect(of("C1")).toBeUndefined();
    // a batter post of 12×12 at 2.4°: 3.5 mm × tan 2.4° is 0.147 mm, which is not worth it; a sway brace is
    expect(of("P2")).toBeUndefined();
    const brace = d.pieces.find((p) => p.mark === "B1")!.shape;
    const [cut] = brace.ends[0];
    const wide = Math.max(...lying(brace).map((p) => p[1])) - Math.min(...lying(brace).map((p) => p[1]));
    const saves = wide * Math.tan((Math.abs(cut!.mitre) * Math.PI) / 180);
    if (saves > 0.3 && Math.abs(cut!.bevel) < 0.05) expect(of("B1")!.saves).toBeCloseTo(saves, 3);
    else expect(of("B1")).toBeUndefined();
  });
  it("lies clear in every plan of every demo job, with a saw and without", async () => {
    let turned = 0;
    for (const name of ["gulch-trestle", "howe-truss", "tool-house-framed", "ore-bin", "depot", "section-houses"]) {
      const read: Design = designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc);
      const shapes = new Map(read.pieces.map((p) => [p.mark, p.shape]));
      for (const kerf of [0, 0.4]) {
        const d = { ...read, doc: { ...read.doc, cutting: { kerf, allowance: 0 } } };
        for (const j of stickJobs(d)) {
          const plan = await planItem(j);
          expect(faults(plan, shapes, kerf), `${name} ${plan.name}`).toEqual([]);
          expect(plan.sticks.flatMap((s) => s.cuts.map((c) => c.stick)).sort()).toEqual(j.wanted.map((w) => w.stick).sort()); // prettier-ignore
          turned += plan.sticks.flatMap((s) => s.cuts).filter((c) => c.turned).length;
        }
      }
    }
    expect(turned).toBeGreaterThan(0);
  });
});
