import { describe, expect, it } from "vitest";
import { planItem, type StockLength } from "../cutting";
import { nestings, type NestProblem } from "../nesting";
import { sheetOf, stickBy } from "./drawer.fixture";
import { bought, runningWords, sheetLot, shoppingList, simulatedPrices, stickLot, unplanned, type Wanted } from ".";

const item = stickBy("metric/1x2");
const pieces = (length: number, n: number) => Array.from({ length: n }, (_, i) => ({ mark: "A", stick: `a${i}`, length: length as never })); // prettier-ignore
const plan = (lengths: readonly StockLength[], n = 7) =>
  planItem({ item, wanted: pieces(60, n), lengths, settings: { kerf: 0, allowance: 0 } });

describe("a shopping list", () => {
  it("buys what the drawer does not have: seven of 60 mm, of which one stick of 130 carries two", async () => {
    const p = await plan([
      { length: 130, count: 1, cost: 1.3, drawer: true },
      { length: 330, count: null, cost: 330 },
    ]);
    const list = shoppingList([{ item, plan: p }], [], 20);
    expect(list.map((w) => [w.lot.length, w.had, w.buy, w.running])).toEqual([[130, 1, 0, 120], [330, 0, 1, 300]]); // prettier-ignore
    // five of 60 leave 30 of the bought one
    expect(list[1]!.left.map((l) => l.length)).toEqual([30]);
    expect(shoppingList([{ item, plan: p }], [], 31)[1]!.left).toEqual([]);
    expect(runningWords(list[1]!, "mm")).toBe("0.30 m");
    expect(runningWords(list[1]!, "in")).toBe("11.8 in");
  });
  it("does not buy what is counted for the job itself, though it lies in no drawer", async () => {
    const p = await plan(
      [
        { length: 330, count: 2, cost: 1 },
        { length: 1000, count: null, cost: 1000 },
      ],
      3,
    );
    expect(shoppingList([{ item, plan: p }], [], 20).map((w) => [w.lot.length, w.had, w.buy, w.fresh])).toEqual([[330, 1, 0, 0]]); // prettier-ignore
  });
  it("says what it lacks: sections and sheets that no layout was found for", async () => {
    const long = await plan([{ length: 50, count: null, cost: 50 }]);
    const few = await plan([{ length: 130, count: 1, cost: 1 }]);
    const good = await plan([{ length: 330, count: null, cost: 330 }]);
    expect(unplanned([long, few, good], [{ name: "Card", result: { status: "too large", parts: [0] } }])).toEqual([long.name, few.name, "Card"]); // prettier-ignore
  });
  it("counts whole packs, with some to spare, and tells what is over", () => {
    const w: Wanted = { lot: stickLot(item, 330), had: 0, buy: 11, running: 3600, fresh: 3600, left: [], sticks: [] };
    // 3,600 and 10 % of it are 3,960 mm: 12 sticks; 20 % are 4,320: 14 (13.09)
    expect(bought(w, { pack: 6, price: 2.5 }, 20)).toEqual({ packs: 3, count: 14, over: 7, cost: 7.5 });
    expect(bought(w, { pack: 6, price: 2.5 }, 10)).toEqual({ packs: 2, count: 12, over: 1, cost: 5 });
    // one stick that is half used has what is spare in it
    expect(bought({ ...w, buy: 1, fresh: 165 }, undefined, 50).count).toBe(1);
    expect(bought(w, { pack: 6, price: 2.5 }, 0)).toEqual({ packs: 2, count: 11, over: 1, cost: 5 });
    expect(bought(w, undefined, 0)).toEqual({ packs: 11, count: 11, over: 0, cost: undefined });
    expect(bought({ ...w, buy: 0, fresh: 0 }, { pack: 6, price: 2.5 }, 50)).toEqual({
      packs: 0,
      count: 0,
      over: 0,
      cost: 0,
    });
  });
  it("has the sheets of the layouts, by area, with the pieces that are left of them", () => {
    const sheet = sheetOf("sheet/styrene/40")!;
    const problem: NestProblem = {
      parts: [{ mark: "A", sticks: ["a", "b"], outline: [[0, 0], [60, 0], [60, 50], [0, 50]], turns: [0] }], // prettier-ignore
      sizes: [{ wide: 60, long: 60, count: 1, cost: 1, drawer: true }, { wide: 100, long: 100, count: null, cost: 50 }], // prettier-ignore
      apart: 0,
      edge: 0,
      by: "snap",
    };
    const result = [...nestings(problem)].at(-1)!;
    const list = shoppingList([], [{ item: sheet, problem, result }], 30);
    expect(list.map((w) => [w.lot.width, w.had, w.buy, w.running])).toEqual([[60, 1, 0, 3000], [100, 0, 1, 3000]]); // prettier-ignore
    expect(list[1]!.left[0]).toMatchObject({ form: "sheet" });
    expect(list[1]!.left.reduce((s, l) => s + l.width * l.length, 0)).toBe(100 * 100 - 3000);
    expect(runningWords(list[0]!, "mm")).toBe("30.0 cm²");
    expect(shoppingList([], [{ item: sheet, problem, result: { status: "too large", parts: [0] } }], 30)).toEqual([]);
  });
});

describe("the shop that is none", () => {
  it("asks the same for the same, more for more, and sells no offcuts", async () => {
    const lots = [stickLot(item, 330), stickLot(item, 330), stickLot(item, 1000), stickLot(stickBy("metric/4x6"), 330), stickLot(item, 60), sheetLot(sheetOf("sheet/clapboard/60")!, 152.4, 304.8), sheetLot(sheetOf("sheet/styrene/40")!, 152.4, 304.8)]; // prettier-ignore
    const [a, b, long, thick, offcut, textured, plain] = await simulatedPrices.quote(lots);
    expect(a).toEqual(b);
    expect(long!.price).toBeGreaterThan(a!.price);
    expect(thick!.price / thick!.pack).toBeGreaterThan(a!.price / a!.pack);
    expect(textured!.price).toBeGreaterThan(plain!.price);
    expect(offcut).toBeUndefined();
    for (const q of [a, long, thick, textured, plain]) expect(Number((q!.price * 20).toFixed(6)) % 1).toBe(0);
  });
});
