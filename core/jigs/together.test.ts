import { describe, expect, it } from "vitest";
import { sheetOf, stockItem } from "../lumber";
import { scaleOf } from "../units";
import type { StickJob, StockLength } from "../cutting";
import type { SheetJob } from "./sheetParts";
import { jobOfStick, letterOf, sheetsTogether, sticksTogether, type JobToCut } from "./together";

const item = stockItem(scaleOf("HO"), "metric/1x2")!;
const sticks = (lengths: readonly StockLength[], kerf: number, ...wanted: number[]): StickJob => ({ item, lengths, settings: { kerf, allowance: 0 }, wanted: wanted.map((length, i) => ({ mark: `P${i}`, stick: `main/${i}`, length: length as never })) }); // prettier-ignore
const job = (id: string, letter: string, more: Partial<JobToCut>): JobToCut => ({ job: id, letter, sticks: [], sheets: [], shapes: [], ...more }); // prettier-ignore
const metre = { length: 1000, count: null, cost: 1000 };

describe("several jobs at once", () => {
  it("want a section once, each piece under its job's letter, and the widest kerf", () => {
    const both = [
      job("a", "A", { sticks: [sticks([metre], 0, 50, 60)] }),
      job("b", "B", { sticks: [sticks([metre, { length: 300, count: null, cost: 300 }], 0.4, 50)] }),
    ];
    const [one, ...more] = sticksTogether(both);
    expect(more).toEqual([]);
    expect(one!.wanted.map((w) => [w.mark, w.stick, w.length])).toEqual([["A P0", "a main/0", 50], ["A P1", "a main/1", 60], ["B P0", "b main/0", 50]]); // prettier-ignore
    expect(one!.settings.kerf).toBe(0.4);
    expect(one!.lengths.map((l) => l.length)).toEqual([1000, 300]);
    expect(jobOfStick("b main wall/stud 3")).toEqual(["b", "main wall/stud 3"]);
  });
  it("take the same section under two names as one, and unlike sections apart", () => {
    const own = { ...item, id: "own/wood/1x2", series: "own" as const, name: "Own" };
    const [wide] = [stockItem(scaleOf("HO"), "metric/1x3")!];
    const all = sticksTogether([
      job("a", "A", { sticks: [sticks([metre], 0, 50)] }),
      job("b", "B", {
        sticks: [
          { ...sticks([metre], 0, 60), item: own },
          { ...sticks([metre], 0, 70), item: wide! },
        ],
      }),
    ]);
    expect(all.map((s) => s.wanted.map((w) => w.length as number))).toEqual([[50, 60], [70]]);
  });
  it("add up what each has counted; prices of one beside lengths of another count by length", () => {
    const counted = { length: 300, count: 2, cost: 0.5 };
    const [priced] = sticksTogether([job("a", "A", { sticks: [sticks([counted], 0, 50)] }), job("b", "B", { sticks: [sticks([{ ...counted, count: 3 }], 0, 50)] })]); // prettier-ignore
    expect(priced!.lengths).toEqual([{ length: 300, count: 5, cost: 0.5 }]);
    const [mixed] = sticksTogether([job("a", "A", { sticks: [sticks([counted], 0, 50)] }), job("b", "B", { sticks: [sticks([metre], 0, 50)] })]); // prettier-ignore
    expect(mixed!.lengths.map((l) => [l.length, l.cost])).toEqual([[300, 300], [1000, 1000]]); // prettier-ignore
  });
  it("lay their parts on common sheets, cut by score and snap where one of them is", () => {
    const sheet = sheetOf("sheet/styrene/40")!;
    const part = (mark: string) => ({ mark, sticks: [`main/${mark}`], outline: [[0, 0], [10, 0], [10, 5], [0, 5]] as const, turns: [0 as const] }); // prettier-ignore
    const flat = { role: "wall", rings: [], lines: [], label: { at: [0, 0] as const, wide: 1, high: 1 } };
    const of = (mark: string, by: "snap" | "free", apart: number): SheetJob => ({ stock: sheet.id, name: sheet.name, item: sheet, flat: [flat], problem: { parts: [part(mark)], sizes: [{ wide: 100, long: 200, count: null, cost: 20_000 }], apart, edge: 1, by } }); // prettier-ignore
    const [one, ...more] = sheetsTogether([
      job("a", "A", { sheets: [of("W1", "free", 0.5)] }),
      job("b", "B", { sheets: [of("W2", "snap", 0.2)] }),
    ]);
    expect(more).toEqual([]);
    expect(one!.problem).toMatchObject({ by: "snap", apart: 0.5, edge: 1 });
    expect(one!.problem.sizes).toHaveLength(1);
    expect(one!.problem.parts.map((p) => [p.mark, p.sticks])).toEqual([["A W1", ["a main/W1"]], ["B W2", ["b main/W2"]]]); // prettier-ignore
    expect(one!.flat).toHaveLength(2);
  });
  it("have letters past the alphabet", () => {
    expect([0, 25, 26, 27, 51, 52, 701, 702].map(letterOf)).toEqual(["A", "Z", "AA", "AB", "AZ", "BA", "ZZ", "AAA"]);
  });
});
