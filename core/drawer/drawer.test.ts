import fc from "fast-check";
import { planItem } from "../cutting";
import { describe, expect, it } from "vitest";
import { sheetOf, stickBy } from "./drawer.fixture";
import { asideAfter, COLUMNS, countOf, drawerLengths, drawerRows, drawerSheets, freeFor, holdings, isOfItem, isOfSheet, linesOfCut, linesOfUncut, linesThatUndo, lotKey, lotWords, moveOfSheet, moveOfStick, readDrawerRows, readLot, sheetLot, stickLot, type CutMove, type Lot, type Movement } from "."; // prettier-ignore

const strip: Lot = { form: "strip", material: "wood", name: "Strip", thickness: 1, width: 2, length: 300 };
let n = 0;
const line = (lot: Lot, count: number, more: Partial<Movement> = {}): Movement => ({ id: `m${++n}`, at: "2026-05-01T00:00:00Z", lot, count, why: "bought", ...more }); // prettier-ignore
const written = (lines: readonly Omit<Movement, "id" | "at">[]): Movement[] => lines.map((l) => ({ id: `m${++n}`, at: "2026-05-02T00:00:00Z", ...l })); // prettier-ignore

describe("the drawer", () => {
  it("holds the sum of its movements, with the price, place and note that were given last", () => {
    const all = [line(strip, 6, { price: 1.2, place: "A" }), line({ ...strip, name: "Called otherwise" }, 4, { note: "warped" }), line(strip, -3), line({ ...strip, length: 100 }, 1, { place: "box" }), line({ ...strip, length: 50 }, 2), line({ ...strip, length: 50 }, -2)]; // prettier-ignore
    expect(holdings(all).map((h) => [h.lot.length, h.count, h.price, h.place, h.note])).toEqual([[100, 1, undefined, "box", ""], [300, 7, 1.2, "A", "warped"]]); // prettier-ignore
    expect(countOf(all, strip)).toBe(7);
    expect(lotKey(strip)).toBe("strip|wood||1.00|2.00|300.00");
  });
  it("knows a section by its size and material, not by its name", () => {
    const metric = stickBy("metric/1x2");
    expect(isOfItem(strip, metric)).toBe(true);
    expect(isOfItem({ ...strip, width: 2.02 }, metric)).toBe(false);
    expect(isOfItem({ ...strip, material: "styrene" }, metric)).toBe(false);
    expect(isOfItem({ ...strip, form: "round" }, metric)).toBe(false);
    const clapboard = sheetOf("sheet/clapboard/60")!;
    expect(isOfSheet(sheetLot(clapboard, 100, 200), clapboard)).toBe(true);
    expect(isOfSheet(sheetLot(clapboard, 100, 200), sheetOf("sheet/clapboard/50")!)).toBe(false);
    // a plain sheet as thick as a textured one is none
    expect(isOfSheet(sheetLot(sheetOf("sheet/styrene/40")!, 100, 200), clapboard)).toBe(false);
    expect(isOfSheet(sheetLot(sheetOf("sheet/styrene/40")!, 100, 200), sheetOf("sheet/styrene/40")!)).toBe(true);
  });
  it("tells a lot in words", () => {
    expect(lotWords(stickLot(stickBy("metric/1x2"), 330))).toBe("Strip wood 1 × 2 mm, 330.0 mm long");
    expect(lotWords(sheetLot(sheetOf("sheet/styrene/40")!, 152.4, 304.8))).toBe("Styrene sheet .040 in, 152.4 mm × 304.8 mm"); // prettier-ignore
  });
});

describe("cutting", () => {
  const item = stickBy("metric/1x2");
  const held = [line(strip, 1), line({ ...strip, length: 120 }, 2)];
  it("takes what lies in the drawer first, the short before the long, at next to nothing", () => {
    const sold = [{ length: 1000, count: null, cost: 1000 }];
    expect(drawerLengths(holdings(held), item, sold)).toEqual([{ length: 120, count: 2, cost: 1, drawer: true }, { length: 300, count: 1, cost: 3, drawer: true }]); // prettier-ignore
    // at a price of 0.60 for a metre they cost a hundredth of that
    const priced = drawerLengths(holdings(held), item, [{ length: 1000, count: null, cost: 0.6 }]);
    expect(priced.map((s) => s.cost)).toEqual([0.001, 0.002]);
    const sheet = sheetOf("sheet/styrene/40")!;
    const flat = [line(sheetLot(sheet, 50, 80), 3)];
    expect(drawerSheets(holdings(flat), sheet, [{ wide: 100, long: 100, count: null, cost: 10_000 }])).toEqual([{ wide: 50, long: 80, count: 3, cost: 40, drawer: true }]); // prettier-ignore
    expect(drawerSheets(holdings(flat), sheet, [{ wide: 100, long: 100, count: null, cost: 2.5 }])[0]!.cost).toBeCloseTo(0.01, 9); // prettier-ignore
  });
  it("is cheaper than what is sold, at whatever price: a priced plan takes it first too", async () => {
    for (const cost of [1000, 0.6, 12.5]) {
      const sold = [{ length: 1000, count: null, cost }];
      const wanted = [{ mark: "A", stick: "a", length: 100 as never }];
      const p = await planItem({
        item,
        wanted,
        lengths: [...drawerLengths(holdings(held), item, sold), ...sold],
        settings: { kerf: 0, allowance: 0 },
      });
      expect(
        p.sticks.map((s) => [s.length, s.from.drawer]),
        String(cost),
      ).toEqual([[120, true]]);
    }
  });
  it("takes the stick out and puts its offcut back where that is worth keeping", () => {
    const all = holdings(held);
    const move = moveOfStick(all, item, { length: 300, drawer: true, offcut: 87.68, sticks: ["a", "b"] }, 40);
    expect(move).toMatchObject({ drawer: true, sticks: ["a", "b"], left: [{ length: 87.6 }] });
    expect(move.lot.name).toBe("Strip");
    expect(moveOfStick(all, item, { length: 300, drawer: true, offcut: 39.9, sticks: [] }, 40).left).toEqual([]);
    const after = [...held, ...written(linesOfCut([move], "job", held))];
    expect(holdings(after).map((h) => [h.lot.length, h.count])).toEqual([[87.6, 1], [120, 2]]); // prettier-ignore
  });
  it("of a stick that was bought for it puts the offcut alone in; more than there is does not come out", () => {
    const bought: CutMove = { lot: strip, drawer: false, left: [{ ...strip, length: 60 }], sticks: ["a"] };
    expect(linesOfCut([bought], "job", held).map((l) => [l.why, l.count])).toEqual([["offcut", 1]]);
    const taken: CutMove = { lot: strip, drawer: true, left: [], sticks: ["a"] };
    expect(linesOfCut([taken, taken, taken], "job", held)).toHaveLength(1);
  });
  it("keeps of a sheet what is wide and long enough both ways", () => {
    const sheet = sheetOf("sheet/styrene/40")!;
    const left = [{ wide: 100, high: 60 }, { wide: 200, high: 12 }, { wide: 40, high: 40.06 }]; // prettier-ignore
    const move = moveOfSheet([], sheet, { wide: 152.4, long: 304.8, drawer: false, left, sticks: ["p"] }, 40);
    expect(move.left.map((l) => [l.form, l.width, l.length])).toEqual([["sheet", 100, 60], ["sheet", 40, 40]]); // prettier-ignore
  });
  it("taken back leaves the drawer as it was, and only what came of pieces that are all taken back", () => {
    const moves: CutMove[] = [
      { lot: strip, drawer: true, left: [{ ...strip, length: 60 }], sticks: ["a", "b"] },
      { lot: { ...strip, length: 120 }, drawer: true, left: [], sticks: ["c"] },
    ];
    const cut = [...held, ...written(linesOfCut(moves, "job", held))];
    expect(linesOfUncut(cut, "job", ["a"], (_, s) => s !== "a")).toEqual([]);
    expect(linesOfUncut(cut, "another job", ["a", "b", "c"], () => false)).toEqual([]);
    const half = [...cut, ...written(linesOfUncut(cut, "job", ["a", "b"], (_, s) => s === "c"))];
    expect(holdings(half).map((h) => [h.lot.length, h.count])).toEqual([[120, 1], [300, 1]]); // prettier-ignore
    // once is enough
    expect(linesOfUncut(half, "job", ["a", "b"], (_, s) => s === "c")).toEqual([]);
    const whole = [...half, ...written(linesOfUncut(half, "job", ["a", "b", "c"], () => false))];
    expect(holdings(whole)).toEqual(holdings(held));
  });
});

describe("the ledger balances", () => {
  const lots = [strip, { ...strip, length: 120 }, { ...strip, length: 60 }];
  const act = fc.oneof(
    fc.record({ do: fc.constant("buy" as const), lot: fc.nat(2), count: fc.integer({ min: 1, max: 5 }) }),
    fc.record({
      do: fc.constant("cut" as const),
      lot: fc.nat(2),
      left: fc.option(fc.nat(2)),
      stick: fc.nat(30),
      drawer: fc.boolean(),
    }),
    fc.record({ do: fc.constant("uncut" as const), stick: fc.nat(30) }),
    fc.record({ do: fc.constant("undo" as const), line: fc.nat(60) }),
  );
  it("over any order of buying, cutting, taking back and undoing: never below nothing for what was cut, and all undone is all gone", () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
        let all: Movement[] = [];
        // told apart from the ledger: what lies there by plain counting
        const there = [0, 0, 0];
        const at = (l: Lot): number => lots.findIndex((x) => x.length === l.length);
        const add = (lines: readonly Omit<Movement, "id" | "at">[]): void => {
          for (const l of lines) there[at(l.lot)]! += l.count;
          all = [...all, ...written(lines)];
        };
        for (const a of acts) {
          if (a.do === "buy") add([{ lot: lots[a.lot]!, count: a.count, why: "bought" }]);
          if (a.do === "cut") {
            const before = there[a.lot]!;
            const lines = linesOfCut([{ lot: lots[a.lot]!, drawer: a.drawer, left: a.left === null ? [] : [lots[a.left]!], sticks: [`s${a.stick}`] }], "job", all); // prettier-ignore
            expect(lines.filter((l) => l.why === "cut")).toHaveLength(a.drawer && before > 0 ? 1 : 0);
            add(lines);
          }
          if (a.do === "uncut") add(linesOfUncut(all, "job", [`s${a.stick}`], () => false));
          if (a.do === "undo") add(linesThatUndo(all, (m) => m === all[a.line]));
          for (const [i, lot] of lots.entries()) expect(countOf(all, lot)).toBe(there[i]);
        }
        const back = linesThatUndo(all, () => true);
        add(back);
        expect(there).toEqual([0, 0, 0]);
        expect(holdings(all)).toEqual([]);
        expect(linesThatUndo(all, () => true)).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
});

describe("what is set aside", () => {
  const held = holdings([line(strip, 5), line({ ...strip, length: 120 }, 2)]);
  const long = (all: readonly { lot: Lot; count: number }[]) => all.map((h) => [h.lot.length, h.count]);
  const aside = [{ lot: strip, count: 3, jobs: ["a", "b"] }, { lot: { ...strip, name: "Another name", length: 120 }, count: 2, jobs: ["c"] }]; // prettier-ignore
  it("is there for its own jobs alone", () => {
    expect(long(freeFor(held, aside, "a"))).toEqual([[strip.length, 5]]);
    expect(long(freeFor(held, aside, "c"))).toEqual([[120, 2], [strip.length, 2]]); // prettier-ignore
    expect(long(freeFor(held, aside, undefined))).toEqual([[strip.length, 2]]);
    expect(long(freeFor(held, [], undefined))).toEqual(long(held));
  });
  it("is less by what its jobs have cut of it out of the drawer", () => {
    const cut = (drawer: boolean, lot = strip): CutMove => ({ lot, drawer, left: [], sticks: [] });
    expect(asideAfter(aside, [cut(true), cut(true), cut(false)], ["b"]).map((a) => a.count)).toEqual([1, 2]);
    expect(asideAfter(aside, [cut(true)], ["c"]).map((a) => a.count)).toEqual([3, 2]);
    expect(asideAfter(aside, [cut(true), cut(true), cut(true), cut(true)], ["a"]).map((a) => a.count)).toEqual([2]);
  });
});

describe("the drawer as a table", () => {
  const held = holdings([line({ ...strip, name: "Strip, “best”" }, 6, { price: 1.25, place: "A 3", note: "from the attic" }), line(sheetLot(sheetOf("sheet/clapboard/60")!, 100.05, 200), 1)]); // prettier-ignore
  it("comes back as it went out", () => {
    const raw = drawerRows(held).map((r) => Object.fromEntries(r.map((c, i) => [COLUMNS[i]!, String(c)])));
    const back = readDrawerRows(raw);
    expect(holdings(back.map((b) => line(b.lot, b.count, { ...(b.price === undefined ? {} : { price: b.price }), ...(b.place ? { place: b.place } : {}), ...(b.note ? { note: b.note } : {}) })))).toEqual(held); // prettier-ignore
  });
  it.each([
    [{ form: "plank" }, /Row 1: form “plank” is not known; write strip, round or sheet\./],
    [{ material: "zinc" }, /Row 1: material “zinc” is not known; write wood, styrene, card, clear\./],
    [{ length: "-3" }, /Row 1: length “-3” is no size in mm/],
    [{ count: "1.5" }, /Row 1: count “1\.5” is no whole number above 0\./],
    [{ price: "dear" }, /Row 1: price “dear” is no price/],
    [{ form: "round" }, /Row 1: Round stock is as wide as thick; read 1 and 2\./],
    [{ form: "sheet", sheet: "sheet/tin/4" }, /Row 1: sheet “sheet\/tin\/4” is in no series/],
  ])("refuses %o, and with it the whole table", (wrong, words) => {
    const good = { form: "strip", material: "wood", thickness: "1", width: "2", length: "300", count: "2" };
    expect(readDrawerRows([good])).toHaveLength(1);
    expect(() => readDrawerRows([{ ...good, ...wrong }, good])).toThrow(words);
  });
  it("says that an empty one has no rows, and reads sizes either way round", () => {
    expect(() => readDrawerRows([])).toThrow("The table has no rows; its first line names the columns");
    expect(readLot({ form: "strip", material: "wood", thickness: 3, width: 1.5, length: 90 })).toMatchObject({ name: "Strip 1.5 × 3 mm", thickness: 1.5, width: 3 }); // prettier-ignore
  });
});

describe("tubes and shapes in the drawer", () => {
  const pipe = stickBy("tube/pipe/110");
  it("are told from a rod or a strip of their size", () => {
    const lot = stickLot(pipe, 1000);
    expect(lot).toMatchObject({ form: "round", material: "styrene", section: "tube/pipe/110", thickness: 110 });
    expect(isOfItem(lot, pipe)).toBe(true);
    expect(isOfItem({ ...lot, section: "tube/own/110x4" }, pipe)).toBe(false);
    const { section: _, ...rod } = lot;
    expect(isOfItem(rod, pipe)).toBe(false);
    const shape = stickBy("shape/I/125");
    expect(isOfItem(stickLot(shape, 300), shape)).toBe(true);
    expect(isOfItem({ ...strip, material: "styrene", thickness: shape.thickness, width: shape.width }, shape)).toBe(false); // prettier-ignore
    expect(lotKey(stickLot(shape, 300))).not.toBe(lotKey({ ...stickLot(shape, 300), section: "shape/H/125" }));
    expect(stickLot(stickBy("tube/card/43"), 500).material).toBe("card");
  });
  it("go out to a table and come back as they were", () => {
    const lots = [stickLot(pipe, 700), stickLot(stickBy("shape/channel/80"), 200), stickLot(stickBy("tube/own/206x4"), 400), { ...stickLot(stickBy("shape/own/wood/angle/3x2/0.5/0.5"), 250), name: "Broom wire" }]; // prettier-ignore
    const rows = drawerRows(
      lots.map((lot) => ({ key: lotKey(lot), lot, count: 2, price: undefined, place: "", note: "" })),
    );
    const back = readDrawerRows(rows.map((r) => Object.fromEntries(COLUMNS.map((c, i) => [c, String(r[i])]))));
    expect(back.map((r) => r.lot)).toEqual(lots);
    expect(() => readLot({ form: "strip", section: "shape/I/1", length: 100 })).toThrow(/section “shape\/I\/1” is no tube or shape; write one such as/); // prettier-ignore
  });
});
