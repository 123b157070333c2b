import { describe, expect, it } from "vitest";
import { MM_PER_INCH, scaleOf } from "../units";
import {
  apart,
  catalogue,
  chooseStock,
  matches,
  nominal,
  parseNominal,
  sectionOf,
  wantedSection,
  type StockPolicy,
} from ".";

const HO = scaleOf("HO");
const policy: StockPolicy = { milling: "full-sawn", series: ["scale"], choices: {} };

describe("lumber", () => {
  // American Softwood Lumber Standard, DOC PS 20: dressed dry sizes
  it.each([
    [1, 4, 0.75, 3.5],
    [2, 4, 1.5, 3.5],
    [2, 8, 1.5, 7.25],
    [3, 10, 2.5, 9.25],
    [4, 12, 3.5, 11.25],
    [6, 6, 5.5, 5.5],
    [8, 8, 7.5, 7.5],
    [12, 12, 11.5, 11.5],
  ])("%i×%i dresses to %f × %f in", (a, b, t, w) => {
    const s = sectionOf(nominal(a, b), "dressed");
    expect([s.thickness / MM_PER_INCH, s.width / MM_PER_INCH]).toEqual([expect.closeTo(t, 9), expect.closeTo(w, 9)]);
  });
  it("reads names and orders them", () => {
    expect(parseNominal("10 x 3")).toEqual({ thickness: 3, width: 10 });
    expect(parseNominal("12×12")).toEqual({ thickness: 12, width: 12 });
    expect(parseNominal("12")).toBeUndefined();
  });
  it("makes an HO 2×8 of 0.023 × 0.092 in", () => {
    // NMRA S-1.2 ratio times the full-sawn size
    const m = chooseStock(nominal(2, 8), "2×8", policy, HO);
    expect([m.section.thickness / MM_PER_INCH, m.section.width / MM_PER_INCH]).toEqual([
      expect.closeTo(0.023, 4),
      expect.closeTo(0.0919, 4),
    ]);
    expect(m.error.worstPercent).toBeLessThan(1e-9);
  });
  it("says how far the nearest of a series is off", () => {
    const m = chooseStock(nominal(12, 12), "12×12", { ...policy, series: ["inch"] }, HO);
    // by hand: 12 in in HO is 3.5 mm; 9/64 is not sold, 1/8 in is 3.175 mm, 0.325 mm or 9.29 % small, 1.114 in on the prototype
    expect(m.item.name).toBe("Strip wood 1/8 × 1/8 in");
    expect(m.error.width.model).toBeCloseTo(-0.325, 9);
    expect(m.error.width.percent).toBeCloseTo(-9.2857, 3);
    expect(m.error.width.prototype / MM_PER_INCH).toBeCloseTo(-1.1143, 3);
  });
  it("takes the nearest by both sides, the face before the thickness", () => {
    // O scale, 1×8 full-sawn: 0.0208 × 0.1667 in. 1/32 × 5/32 is half again too thick and 6 % narrow;
    // 1/32 × 3/32, which the worse side alone would allow as well, is 44 % narrow
    const m = chooseStock(nominal(1, 8), "1×8", { ...policy, series: ["inch"] }, scaleOf("O"));
    expect(m.item.name).toBe("Strip wood 1/32 × 5/32 in");
    expect(m.error.width.percent).toBeCloseTo(-6.25, 2);
    expect(m.error.thickness.percent).toBeCloseTo(50, 2);
  });
  it("calls half as far off as double, and never falls to the smaller of two as near", () => {
    const at = (thickness: number, width: number) => ({ worstPercent: 0, thickness: { percent: thickness }, width: { percent: width } }) as never; // prettier-ignore
    const plank = wantedSection(nominal(2, 8), "full-sawn", HO);
    expect(apart(at(100, 0), plank)).toBeCloseTo(apart(at(-50, 0), plank), 12);
    expect(apart(at(0, 10), plank)).toBeCloseTo(2 * apart(at(10, 0), plank), 12);
    for (const scale of ["N", "HO", "S", "O"].map((s) => scaleOf(s)))
      for (const [a, b] of [
        [1, 6],
        [2, 4],
        [2, 10],
        [6, 8],
        [12, 12],
        [12, 14],
      ] as const) {
        const wanted = wantedSection(nominal(a, b), "full-sawn", scale);
        const list = matches(wanted, ["inch", "metric"], scale);
        for (const [i, m] of list.slice(1).entries()) {
          const [before, now] = [apart(list[i]!.error, wanted), apart(m.error, wanted)];
          expect(now).toBeGreaterThanOrEqual(before - 1e-9);
          // as near, as many plies: the larger comes first
          if (Math.abs(now - before) < 1e-9 && m.plies === list[i]!.plies)
            expect(m.section.thickness * m.section.width).toBeLessThanOrEqual(list[i]!.section.thickness * list[i]!.section.width + 1e-9); // prettier-ignore
        }
      }
  });
  it("keeps a square post square: 9 % small both ways comes before one that is 17 % narrow one way", () => {
    // HO 12×12 is 3.5 mm: 1/8 in is ln(3.175 / 3.5) off twice, 0.138 together; a 10×12 is ln(10 / 12) off once, 0.182
    const wanted = wantedSection(nominal(12, 12), "full-sawn", HO);
    const list = matches(wanted, ["scale", "inch"], HO, false).map((m) => m.item.name);
    const [square, oblong] = [list.indexOf("Strip wood 1/8 × 1/8 in"), list.findIndex((n) => /10×12/.test(n))];
    expect(square).toBeGreaterThan(0);
    expect(square).toBeLessThan(oblong);
  });
  it("offers two plies and takes a choice, or refuses it in a sentence", () => {
    const wanted = wantedSection(nominal(12, 12), "full-sawn", HO);
    const two = matches(wanted, ["metric"], HO).find((m) => m.plies === 2)!;
    expect(two.section.thickness).toBeCloseTo(two.item.thickness * (two.along === "thickness" ? 2 : 1), 9);
    expect(
      chooseStock(
        nominal(12, 12),
        "12×12",
        { ...policy, choices: { "12×12": { item: "metric/3x3", plies: 1, along: "thickness" } } },
        HO,
      ).section.width,
    ).toBe(3);
    expect(() =>
      chooseStock(
        nominal(12, 12),
        "12×12",
        { ...policy, choices: { "12×12": { item: "metric/7x7", plies: 1, along: "thickness" } } },
        HO,
      ),
    ).toThrow("is in no series; choose another");
    expect(() => chooseStock(nominal(12, 12), "12×12", { ...policy, series: ["round"] }, HO)).toThrow(
      "No strip series is chosen",
    );
  });
  it("has five series and no name twice", () => {
    const all = catalogue(HO);
    expect(new Set(all.map((i) => i.series)).size).toBe(5);
    expect(new Set(all.map((i) => i.id)).size).toBe(all.length);
  });
});
