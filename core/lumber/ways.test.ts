import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { scaleOf } from "../units";
import { apart, effectWords, matchOf, ownId, ownItem, SERIES, sheetOf, stockItem, strippedFor, strippedId, strippedItem, waysFor } from "."; // prettier-ignore

const HO = scaleOf("HO");
const mm = (x: number): string => `${x.toFixed(2)} mm`;
const wanted = (thickness: number, width: number) => ({ thickness: thickness as never, width: width as never });

describe("a strip ripped off a sheet", () => {
  it("is as thick as the sheet and as wide as it is ripped, and its id says all of it", () => {
    const id = strippedId(sheetOf("sheet/wood/2")!, 4.1);
    expect(id).toBe("strip/wood/2/4.1");
    // 1/32 in
    expect(stockItem(HO, id)).toMatchObject({ thickness: 25.4 / 32, width: 4.1, shape: "strip", name: "Basswood sheet 1/32 in, ripped 4.10 mm wide" }); // prettier-ignore
    // narrower than the sheet is thick, it stands on its edge
    expect(strippedItem("strip/wood/8/1")).toMatchObject({ thickness: 1, width: 3.175 });
    expect(strippedItem("strip/own/wood-2.5/4")).toMatchObject({ thickness: 2.5, width: 4 });
  });
  it.each(["strip/wood/2", "strip/wood/2/0.4", "strip/wood/2/61", "strip/clapboard/60/4", "strip/clear/10/4", "strip/zinc/2/4", "own/wood/1x2"])("%s is none", (id) => expect(strippedItem(id)).toBeUndefined()); // prettier-ignore
  it("has its ripped side true, and the sheet's the nearest there is", () => {
    // 2×10 in HO is .583 × 2.917 mm: 1/32 in (.794) is nearer by ratio than 1/64 (.397); 1/8 on edge nearer still
    expect(strippedFor(wanted(0.5833, 2.9167), "wood")[0]!.id).toBe("strip/wood/8/0.58");
    expect(strippedFor(wanted(0.75, 5.2), "wood")[0]!.id).toBe("strip/wood/2/5.2");
    fc.assert(
      fc.property(fc.double({ min: 0.6, max: 8, noNaN: true }), fc.double({ min: 1, max: 6, noNaN: true }), (t, k) => {
        const want = wanted(t, t * k);
        const [best] = strippedFor(want, "wood");
        if (!best) return;
        const m = matchOf(best, 1, "thickness", want, HO);
        expect(Math.min(Math.abs(m.error.thickness.percent), Math.abs(m.error.width.percent))).toBeLessThan(1);
      }),
    );
  });
});

describe("the ways to come by a section", () => {
  const series = SERIES.map((s) => s.id);
  it("are each at their best, the nearest first", () => {
    const want = wanted(1.5, 4.7);
    const held = [ownItem(ownId("wood", 1.5, 4.8))!, ownItem(ownId("wood", 2, 4.7))!, ownItem(ownId("wood", 3, 3, true))!]; // prettier-ignore
    const ways = waysFor(want, series, held, "wood", HO);
    expect(ways.map((w) => w.way).sort()).toEqual(["drawer", "plies", "sheet", "shop"]);
    expect(ways.map((w) => w.apart)).toEqual(ways.map((w) => w.apart).sort((a, b) => a - b));
    const of = (way: string) => ways.find((w) => w.way === way)!.match;
    expect(of("drawer").item.id).toBe("own/wood/1.5x4.8");
    expect(of("sheet").item.id).toBe("strip/wood/4/4.7");
    expect([of("plies").plies, of("shop").plies]).toEqual([2, 1]);
    for (const w of ways) expect(w.apart).toBe(apart(w.match.error, want));
  });
  it("of a round are no sheet and no two plies", () => {
    const ways = waysFor({ ...wanted(2, 2), round: true }, series, [], "wood", HO);
    expect(ways.map((w) => w.way)).toEqual(["shop"]);
  });
  it.each([
    [1, 2, "True to size."],
    [1, 2.04, "0.04 mm too wide: not seen; the frame stands at the real size, so joints fit."],
    [1.1, 2, "0.10 mm too thick: seen beside a true one; the frame stands at the real size, so joints fit."],
    [0.8, 1.6, "0.40 mm too narrow, 0.20 mm too thin: seen at a glance; the frame stands at the real size, so joints fit."], // prettier-ignore
  ])("%f × %f mm for 1 × 2: %s", (t, w, words) => {
    expect(effectWords(matchOf(ownItem(ownId("wood", t, w))!, 1, "thickness", wanted(1, 2), HO), mm)).toBe(words);
  });
});
