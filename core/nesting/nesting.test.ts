import { areaPathsD, FillRule, intersectD, minkowskiDiffD } from "clipper2-ts";
import { describe, expect, it } from "vitest";
import { sheetPlanFaults } from "../checks/sheetPlan";
import { stream } from "../cutting/stream";
import { hull, polygonArea, type Vec2 } from "../geometry";
import { keepOut } from "./free";
import { boughtCost, firstLine, leastCost, nestings, sizeOf, turnedOutline, type NestPart, type NestProblem, type NestResult, type Turn } from "."; // prettier-ignore
import { randomNest } from "./randomParts.fixture";

const box = (wide: number, high: number): Vec2[] => [[0, 0], [wide, 0], [wide, high], [0, high]]; // prettier-ignore
const part = (mark: string, n: number, outline: readonly Vec2[], more: Partial<NestPart> = {}): NestPart => ({ mark, sticks: Array.from({ length: n }, (_, i) => `${mark}/${i}`), outline, turns: [0, 1, 2, 3], ...more }); // prettier-ignore
const problem = (parts: readonly NestPart[], more: Partial<NestProblem> = {}): NestProblem => ({ parts, sizes: [{ wide: 100, long: 100, count: null, cost: 1 }], apart: 0, edge: 0, by: "snap", ...more }); // prettier-ignore
type Planned = Extract<NestResult, { status: "planned" }>;
const all = (p: NestProblem, tries?: number): NestResult[] => [...nestings(p, tries)];
const last = (p: NestProblem, tries?: number): Planned => {
  const r = all(p, tries).at(-1)!;
  if (r.status !== "planned") throw new Error(JSON.stringify(r));
  expect(sheetPlanFaults(p, r.sheets)).toEqual([]);
  return r;
};

describe("parts on sheets, by hand", () => {
  it("are four of 50 × 50 on a sheet of 100 × 100 with three cuts, and nothing is left", () => {
    const { sheets, cost, bound } = last(problem([part("A", 4, box(50, 50))]));
    expect([sheets.length, cost, bound]).toEqual([1, 1, 1]);
    expect(sheets[0]!.placed.map((s) => s.at).sort()).toEqual([[0, 0], [0, 50], [50, 0], [50, 50]]); // prettier-ignore
    // one right across, and each half once more
    expect(sheets[0]!.cuts).toHaveLength(3);
    expect(sheets[0]!.cuts[0]).toMatchObject({ at: 50, from: 0, to: 100 });
    expect(sheets[0]!.left).toEqual([]);
  });
  it("are three of them where the saw takes a millimetre: then no two stand beside one another", () => {
    const r = last(problem([part("A", 4, box(50, 50))], { apart: 1 }));
    expect(r.sheets).toHaveLength(4);
    expect(last(problem([part("A", 4, box(49.5, 49.5))], { apart: 1 })).sheets).toHaveLength(1);
  });
  it("keep off the edges of the sheet, which are cut off first", () => {
    const { sheets } = last(problem([part("A", 1, box(90, 90))], { edge: 5 }));
    expect(sheets[0]!.placed[0]!.at).toEqual([5, 5]);
    expect(sheets[0]!.cuts.slice(0, 4).map((c) => [c.along, c.at])).toEqual([["y", 5], ["y", 95], ["x", 5], ["x", 95]]); // prettier-ignore
    expect(all(problem([part("A", 1, box(90.1, 20))], { edge: 5 }))[0]).toEqual({ status: "too large", parts: [0] });
  });
  it("turn where they may: a strip of 100 × 10 that has to stand finds no place on a sheet 10 high", () => {
    const flat = { sizes: [{ wide: 120, long: 12, count: null, cost: 1 }] };
    expect(last(problem([part("A", 1, box(10, 100))], flat)).sheets[0]!.placed[0]!.turn % 2).toBe(1);
    expect(all(problem([part("A", 1, box(10, 100), { turns: [0, 2] })], flat))[0]!.status).toBe("too large");
  });
  it("pack two triangles into one rectangle when they are cut freely, and not from edge to edge", () => {
    const two = part("T", 2, [[0, 0], [100, 0], [0, 60]]); // prettier-ignore
    const size = { sizes: [{ wide: 100, long: 60, count: null, cost: 1 }] };
    expect(last(problem([two], { ...size, by: "free" })).sheets).toHaveLength(1);
    expect(last(problem([two], size)).sheets).toHaveLength(2);
  });
  it("come first off what there is only once, and the cheapest sheet takes what is left", () => {
    const sizes = [
      { wide: 200, long: 200, count: null, cost: 40 },
      { wide: 60, long: 60, count: 1, cost: 0 },
      { wide: 100, long: 100, count: null, cost: 10 },
    ];
    const r = last(problem([part("A", 2, box(55, 55))], { sizes }));
    expect(r.sheets.map((s) => s.size).sort()).toEqual([1, 2]);
    expect(r.cost).toBe(10);
    // nothing can be cheaper than one of the 10: what is over the offcut's area has to come from somewhere
    expect(r.bound).toBe(10);
  });
  it("say what finds no place where sheets are few", () => {
    const few = { sizes: [{ wide: 100, long: 100, count: 1, cost: 1 }] };
    expect(all(problem([part("A", 1, box(90, 90)), part("B", 1, box(80, 80))], few)).at(-1)).toEqual({ status: "not enough", left: [1] }); // prettier-ignore
  });
  it("are none of none", () => expect(last(problem([]))).toEqual({ status: "planned", sheets: [], cost: 0, bound: 0 }));
});

describe("lines of a sheet", () => {
  const lined = (across: "x" | "y", first: number, turns: readonly Turn[]): NestPart =>
    part("A", 3, box(20, 30), { turns, lines: { across, pitch: 8, first } });
  it("are met by the part's own: one whose first line is 3 from its edge stands 5, 13, 21 … from the sheet's", () => {
    const { sheets } = last(problem([lined("x", 3, [0])]));
    for (const s of sheets[0]!.placed) expect((s.at[0] + 3) % 8).toBeCloseTo(0, 9);
    expect(sheets[0]!.placed[0]!.at[0]).toBe(5);
    // 5 mm are trimmed off before it
    expect(sheets[0]!.cuts).toContainEqual(expect.objectContaining({ along: "y", at: 5 }));
  });
  it("are counted from the other edge where the part lies the other way round", () => {
    // 20 wide, lines at 3, 11, 19: upside down at 1, 9, 17
    expect(firstLine(lined("x", 3, [0]), 0)).toBe(3);
    expect(firstLine(lined("x", 3, [2]), 2)).toBe(1);
    // 30 high, lines at 3, 11, 19, 27: to the right they stand at 3, to the left at 3 from the far edge
    expect(firstLine(lined("y", 3, [3]), 3)).toBe(3);
    expect(firstLine(lined("y", 3, [1]), 1)).toBe(3);
    expect(firstLine(lined("y", 2, [1]), 1)).toBe(4);
    expect(() => firstLine(lined("y", 3, [0]), 0)).toThrow("across");
  });
  it("that are on the sheet's but for rounding are on them: the part is not moved on by a whole pitch", () => {
    for (const first of [1e-9, 8 - 1e-9, 16]) expect(last(problem([lined("x", first, [0])])).sheets[0]!.placed[0]!.at[0]).toBeCloseTo(0, 6); // prettier-ignore
  });
  it("can make a part too large that would fit without them", () => {
    const wide = part("A", 1, box(98, 10), { turns: [0], lines: { across: "x", pitch: 8, first: 3 } });
    expect(all(problem([wide]))[0]!.status).toBe("too large");
    expect(all(problem([{ ...wide, lines: { across: "x", pitch: 8, first: 7 } }]))[0]!.status).toBe("planned");
  });
});

describe("outlines", () => {
  it("turned by quarters stay in the corner and keep their area", () => {
    const tri: Vec2[] = [[0, 0], [30, 0], [10, 40]]; // prettier-ignore
    expect(turnedOutline(tri, 1)).toEqual([[40, 0], [40, 30], [0, 10]]); // prettier-ignore
    for (const t of [0, 1, 2, 3] as const) {
      const r = turnedOutline(tri, t);
      expect([Math.min(...r.map((q) => q[0])), Math.min(...r.map((q) => q[1]))]).toEqual([0, 0]);
      expect(polygonArea(r)).toBe(600);
      expect(sizeOf(tri, t)).toEqual(t % 2 ? [40, 30] : [30, 40]);
    }
  });
  it("keep one another out as the library's sum of outlines says", () => {
    const random = stream(5);
    for (let i = 0; i < 40; i++) {
      const [a, b] = [0, 1].map(() => hull(Array.from({ length: 7 }, (): Vec2 => [random() * 50, random() * 30]))) as [Vec2[], Vec2[]]; // prettier-ignore
      const own = keepOut(a, b);
      const to = (r: readonly Vec2[]) => r.map(([x, y]) => ({ x, y }));
      // in ten-thousandths: it takes numbers to two decimals
      const large = (r: readonly Vec2[]) => r.map(([x, y]) => ({ x: x * 1e4, y: y * 1e4 }));
      // the library's sum leaves a hollow where one outline is led round the other; what is convex fills it
      const sum = minkowskiDiffD(large(b), large(a), true);
      const filled = hull(sum.flat().map(({ x, y }): Vec2 => [x / 1e4, y / 1e4]));
      expect(polygonArea(own)).toBeCloseTo(polygonArea(filled), 2);
      expect(areaPathsD(intersectD([to(own)], [to(filled)], FillRule.NonZero, 6))).toBeCloseTo(polygonArea(own), 2);
    }
  });
});

/** Plain shelves: parts lie on their longer side where that fits, the highest first, each on the first shelf with room, a new shelf on the first sheet with room. */
function shelfSheets(p: NestProblem): number {
  const { wide, long } = p.sizes[0]!;
  const [w, h] = [wide - 2 * p.edge + p.apart, long - 2 * p.edge + p.apart];
  const boxes = p.parts.flatMap((q) => {
    const [a, b] = sizeOf(q.outline, 0);
    const [x, y] = Math.max(a, b) <= wide - 2 * p.edge ? [Math.max(a, b), Math.min(a, b)] : [Math.min(a, b), Math.max(a, b)]; // prettier-ignore
    return q.sticks.map(() => [x + p.apart, y + p.apart] as const);
  });
  const sheets: { top: number; shelves: { high: number; x: number }[] }[] = [];
  for (const [x, y] of boxes.sort((a, b) => b[1] - a[1])) {
    const shelf = sheets.flatMap((s) => s.shelves).find((s) => s.high >= y - 1e-9 && s.x + x <= w + 1e-9);
    if (shelf) {
      shelf.x += x;
      continue;
    }
    let sheet = sheets.find((s) => s.top + y <= h + 1e-9);
    if (!sheet) sheets.push((sheet = { top: 0, shelves: [] }));
    sheet.shelves.push({ high: y, x });
    sheet.top += y;
  }
  return sheets.length;
}

describe("drawn by chance", () => {
  it.each(["snap", "free"] as const)(
    "every plan on the way can be cut as it says, each better than the one before: %s",
    (by) => {
      for (let seed = 1; seed <= 20; seed++) {
        const p = randomNest(seed, by);
        let before = Infinity;
        for (const r of nestings(p, 20)) {
          if (r.status !== "planned") {
            expect(r.status).toBe("too large");
            continue;
          }
          expect(sheetPlanFaults(p, r.sheets), `seed ${seed}`).toEqual([]);
          expect(boughtCost(p, r.sheets)).toBeGreaterThanOrEqual(r.bound - 1e-9);
          expect(r.bound).toBe(leastCost(p));
          expect(r.cost).toBeLessThanOrEqual(before);
          before = r.cost;
        }
      }
    },
  );
  it("they never take more sheets than plain shelves, over 60 sets", () => {
    let [own, shelves] = [0, 0];
    for (let seed = 1; seed <= 60; seed++) {
      const p = randomNest(seed, "snap", { plain: true, kinds: 25 });
      const r = [...nestings(p, 0)].at(-1)!;
      if (r.status !== "planned") continue;
      const plain = shelfSheets(p);
      expect(r.sheets.length, `seed ${seed}`).toBeLessThanOrEqual(plain);
      own += r.sheets.length;
      shelves += plain;
    }
    expect(own).toBeLessThan(shelves);
  });
  it("the same seed draws the same plan", () => {
    const p = randomNest(9, "free");
    expect(all(p, 30)).toEqual(all(p, 30));
  });
});

describe("the checker of plans", () => {
  const p = problem([part("A", 2, box(40, 30), { lines: { across: "x", pitch: 5, first: 0 }, turns: [0] })]);
  const good = last(p).sheets;
  const [sheet] = good;
  const [a, b] = sheet!.placed as [(typeof good)[0]["placed"][0], (typeof good)[0]["placed"][0]];
  const with1 = (change: object) => [{ ...sheet!, placed: [a, { ...b, ...change }] }];
  it.each([
    ["one on another", with1({ at: [a.at[0] + 5, a.at[1]] }), "overlap"],
    ["one off the sheet", with1({ at: [80, 0] }), "beyond the sheet"],
    ["a line missed", with1({ at: [b.at[0] + 0.5, b.at[1]] }), "beside the sheet's"],
    ["turned across", with1({ turn: 1 }), "may not be"],
    ["one twice", with1({ stick: a.stick }), "cut twice"],
    ["one missing", [{ ...sheet!, placed: [a] }], "is not cut"],
    ["a cut left out", [{ ...sheet!, cuts: sheet!.cuts.slice(1) }], "edge"],
    ["the last cut left out", [{ ...sheet!, cuts: sheet!.cuts.slice(0, -1) }], "not free"],
    [
      "a cut that stops short",
      [{ ...sheet!, cuts: sheet!.cuts.map((c, i) => (i === 0 ? { ...c, to: c.to - 1 } : c)) }],
      "edge to edge of nothing",
    ],
  ])("finds %s", (_, sheets, said) => expect(sheetPlanFaults(p, sheets as never).join(" ")).toContain(said));
});
