import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cornerCut, edged, evenly, stackOf, wholeBoards } from ".";

describe("layers", () => {
  it("a 0.015 face on a 0.030 backing covers 0.045 of each edge that it is put on", () => {
    const edge = stackOf([0.015, 0.03]);
    expect(edge).toBeCloseTo(0.045, 12);
    // an awning of 2.000 × 0.750 in, edged at its front and both ends
    const [length, width] = edged(2, 0.75, edge, { ends: 2, sides: 1 });
    expect(length).toBeCloseTo(1.91, 12);
    expect(width).toBeCloseTo(0.705, 12);
    expect(edged(2, 0.75, edge, { ends: 0, sides: 0 })).toEqual([2, 0.75]);
    expect(edged(10, 4, 0.5, { ends: 1, sides: 2 })).toEqual([9.5, 3]);
  });
});

describe("a corner of sheet", () => {
  // planks of 1 mm on a core of 6: the outer layers make a box, and the cores a box inside it
  const [planks, core] = [1, 6];
  it.each([
    ["first", [0, 1], [1, 7]],
    ["second", [1, 7], [0, 1]],
  ] as const)("with the %s wall through", (how, first, second) => {
    expect(cornerCut(how, [planks, core], [planks, core])).toEqual({ first, second, bevel: [0, 0] });
  });
  it("with unlike stacks, each ends by what is really there", () => {
    expect(cornerCut("rebateFirst", [0.5, 3], [0.5, 3])).toEqual({
      first: [0, 3.5],
      second: [0.5, 0.5],
      bevel: [0, 0],
    });
    expect(cornerCut("rebateSecond", [0.5, 3], [1, 2, 4])).toEqual({ first: [1, 1], second: [0, 3.5, 3.5], bevel: [0, 0] }); // prettier-ignore
    expect(() => cornerCut("rebateFirst", [2], [1, 2])).toThrow("A wall of one layer has no rebate: it takes two.");
    expect(cornerCut("first", [0.5, 3], [1, 2])).toEqual({ first: [0, 1], second: [0.5, 3.5], bevel: [0, 0] });
  });
  it("mitred reaches the outside on its outer face", () => {
    expect(cornerCut("mitre", [1, 6], [1, 6])).toEqual({ first: [0, 1], second: [0, 1], bevel: [45, 45] });
    const uneven = cornerCut("mitre", [2], [1]);
    expect(uneven.first).toEqual([0]);
    expect(uneven.bevel[0]).toBeCloseTo(26.565, 3);
    expect(uneven.bevel[1]).toBeCloseTo(63.435, 3);
  });
  it("on a post ends at the post, and is refused with its figure where the stack is thicker", () => {
    expect(cornerCut("post", [1, 4], [1, 4], 5)).toEqual({ first: [5, 5], second: [5, 5], bevel: [0, 0] });
    expect(() => cornerCut("post", [planks, core], [planks, core], 5)).toThrow(
      "The wall is 2 thicker than its corner post of 5.",
    );
  });
  it("of unlike layers does not butt", () => {
    expect(() => cornerCut("first", [1], [1, 2])).toThrow(/1 layers meets one of 2/);
  });
  const layers = fc.array(fc.double({ min: 0.1, max: 8, noNaN: true }), { minLength: 1, maxLength: 4 });
  it("fills its square once, whichever way it is made", () => {
    fc.assert(
      fc.property(layers, layers, fc.constantFrom("first" as const, "second" as const), (a, b, how) => {
        const n = Math.min(a.length, b.length);
        const [one, two] = [a.slice(0, n), b.slice(0, n)];
        const cut = cornerCut(how, one, two);
        // what of the corner's square (as deep as either stack) each layer takes, summed: no gap and nothing twice
        const [deep, wide] = [stackOf(one), stackOf(two)];
        const area =
          one.reduce((s, t, i) => s + t * (wide - cut.first[i]!), 0) +
          two.reduce((s, t, i) => s + t * (deep - cut.second[i]!), 0);
        expect(area).toBeCloseTo(deep * wide, 9);
      }),
    );
  });
});

describe("whole boards", () => {
  // three pitches in four scales: a wall of 20 ft on the model, mm
  it.each([
    [6096 / 48, 1.524, 83, 126.492, 0.508],
    [6096 / 64, 1.524, 62, 94.488, 0.762],
    [70, 1.27, 55, 69.85, 0.15],
    [6096 / 160, 0.762, 50, 38.1, 0],
  ])("a wall of %f at %f is %i boards of %f", (length, pitch, boards, under, rest) => {
    const w = wholeBoards(length, pitch);
    expect(w.under.boards).toBe(boards);
    expect(w.under.length).toBeCloseTo(under, 3);
    expect(w.rest).toBeCloseTo(rest, 3);
    expect(w.over.length).toBeCloseTo(rest === 0 ? under : under + pitch, 3);
  });
  it("are whole in what they propose", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 0.3, max: 20, noNaN: true }),
        (l, p) => {
          const w = wholeBoards(l, p);
          expect(w.under.length).toBeLessThanOrEqual(l + 1e-6);
          expect(w.over.length).toBeGreaterThanOrEqual(l - 1e-6);
          expect(wholeBoards(w.under.length, p).rest).toBe(0);
          expect(w.under.length + w.rest).toBeCloseTo(l, 5);
        },
      ),
    );
  });
  it("have a pitch", () => expect(() => wholeBoards(10, 0)).toThrow("A pitch of 0 has no boards."));
});

describe("equal spacing", () => {
  it("of five brackets 4 mm wide on 102 mm, 5 mm clear at each end, is 18 mm clear between", () => {
    // 102 − 2·5 − 5·4 = 72, in four spaces
    const { at, clear } = evenly(102, 5, 4, 5);
    expect(clear).toBe(18);
    expect(at).toEqual([7, 29, 51, 73, 95]);
  });
  it("of five points on 102 mm without a margin given has half a space at each end", () => {
    const { at, clear } = evenly(102, 5);
    expect(clear).toBeCloseTo(20.4, 9);
    expect(at[0]).toBeCloseTo(10.2, 9);
    expect(at[4]).toBeCloseTo(91.8, 9);
  });
  it("of one is the middle", () => expect(evenly(30, 1, 4, 2).at).toEqual([15]));
  it("is the same from both ends", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.double({ min: 0, max: 3, noNaN: true }), (n, w) => {
        const { at } = evenly(200, n, w, 4);
        at.forEach((x, i) => expect(x + at[n - 1 - i]!).toBeCloseTo(200, 9));
      }),
    );
  });
  it("says where there is no room", () => expect(() => evenly(10, 4, 3)).toThrow(/have no room on 10/));
});
