import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  batterAngle,
  feet,
  inches,
  model,
  parseLength,
  printDecimalInches,
  printFeetInches,
  printInchFraction,
  printMm,
  scaleOf,
  SCALES,
  toModel,
  toPrototype,
  type BareUnit,
} from ".";

const mm = (text: string, bare: BareUnit): number => {
  const p = parseLength(text, bare);
  if (!p.ok) throw new Error(p.error);
  return p.mm;
};

describe("typed lengths", () => {
  it.each([
    ["14'6", "ft", 14 * 304.8 + 6 * 25.4],
    [`14' 6 1/2"`, "ft", 14 * 304.8 + 6.5 * 25.4],
    ["14-6 1/2", "ft", 14 * 304.8 + 6.5 * 25.4],
    ["14′-6 1⁄2″", "ft", 14 * 304.8 + 6.5 * 25.4],
    ["14’ 6½”", "ft", 14 * 304.8 + 6.5 * 25.4],
    ["14 ft 6 in", "m", 14 * 304.8 + 6 * 25.4],
    ["4.42 m", "ft", 4420],
    ["4,42 m", "ft", 4420],
    ['3 5/8"', "ft", 3.625 * 25.4],
    ["3-5/8", "in", 3.625 * 25.4],
    [".040", "in", 1.016],
    ["12mm", "ft", 12],
    ["21", "ft", 21 * 304.8],
    ["1 1/2", "ft", 1.5 * 304.8],
    ["2 57/64 in", "mm", (2 + 57 / 64) * 25.4],
    ["0,040", "in", 1.016],
    ["-3 in", "ft", -76.2],
  ] as const)("reads %s", (text, bare, want) => expect(mm(text, bare)).toBeCloseTo(want, 9));

  it.each(["", "abc", "14''6'", "1/0", "12 furlongs", "1,200 mm", "14'6'3", "--3", "1e5", "6 1/2/3"])(
    "refuses %j in a sentence",
    (text) => {
      const p = parseLength(text, "ft");
      expect(p.ok).toBe(false);
      if (!p.ok)
        expect(p.error).toMatch(/^(Read “.*|Nothing was typed); write a length such as 14'6|^Read “.*thousands/);
    },
  );

  it("prints what it reads back, to the nearest sixteenth or 64th", () => {
    expect(printFeetInches(feet(14, 6.5))).toBe("14′-6 1/2″");
    expect(printFeetInches(feet(20, 11.99))).toBe("21′-0″");
    expect(printFeetInches(-inches(3))).toBe("−0′-3″");
    expect(printInchFraction(73.5)).toBe("2 57/64 in");
    expect(printDecimalInches(73.5)).toBe("2.894 in");
    expect(printMm(-0.04)).toBe("0.0 mm");
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), (n) => {
        expect(Math.abs(mm(printFeetInches(n, 64), "ft") - n)).toBeLessThanOrEqual(25.4 / 128 + 1e-6);
        expect(Math.abs(mm(printInchFraction(n), "mm") - n)).toBeLessThanOrEqual(25.4 / 128 + 1e-6);
      }),
      { seed: 11 },
    );
  });
});

describe("scales", () => {
  // NMRA Standard S-1.2 and NEM 010: mm to the foot
  it.each(["ft", "in", "mm", "m"] as const)(
    "a dash before a fraction with an inch mark is inches, where %s are usual",
    (bare) => {
      for (const text of ['3-5/8"', "3-5/8 in", "3 - 5/8 inches", "3‑5⁄8″"])
        expect([text, parseLength(text, bare)]).toEqual([
          text,
          { ok: true, mm: expect.closeTo(3.625 * 25.4, 9) as number },
        ]);
      expect(parseLength(`14-6"`, bare)).toEqual(bare === "ft" ? { ok: true, mm: expect.closeTo(174 * 25.4, 9) as number } : expect.objectContaining({ ok: false })); // prettier-ignore
    },
  );
  it("a dash before a fraction alone is asked about where feet are usual, and inches where inches are", () => {
    expect(parseLength("2-1/2", "ft")).toEqual({ ok: false, error: expect.stringMatching(/^Read “2-1\/2”, which could be 2 1\/2 inches or 2 feet and 1\/2 inch; write/) as string }); // prettier-ignore
    expect(parseLength("2-1/2", "in")).toEqual({ ok: true, mm: 63.5 });
    expect(parseLength("2'-1/2", "ft")).toEqual({ ok: true, mm: expect.closeTo(24.5 * 25.4, 9) as number });
    expect(parseLength("14-6 1/2", "ft")).toEqual({ ok: true, mm: expect.closeTo(174.5 * 25.4, 9) as number });
  });
  it.each([
    ["Z", 1.385],
    ["N", 1.905],
    ["TT", 2.54],
    ["HO", 3.5],
    ["OO", 4],
    ["S", 4.763],
    ["O", 6.35],
    ["1", 9.525],
    ["G", 13.547],
    ["F", 15],
  ])("a foot in %s is %f mm", (id, want) => {
    expect(toModel(scaleOf(String(id)), feet(1))).toBeCloseTo(Number(want), 3);
  });
  it("crosses both ways and knows custom ratios", () => {
    for (const s of SCALES) expect(toPrototype(s, toModel(s, feet(21)))).toBeCloseTo(feet(21), 8);
    // formula: 22 × 66 ft is 77.0 × 231.0 mm in HO; a 24 in radius is 174.2 ft
    expect(toModel(scaleOf("HO"), feet(66))).toBeCloseTo(231, 9);
    expect(toPrototype(scaleOf("HO"), model(24 * 25.4)) / 304.8).toBeCloseTo(174.17, 2);
    expect(scaleOf("custom", 43.5).ratio).toBe(43.5);
    expect(() => scaleOf("custom")).toThrow("needs a ratio from 1 to 1000");
  });
  // formula
  it.each([
    [1, 4.764],
    [2, 9.462],
    [2.5, 11.768],
    [3, 14.036],
  ])("%f in 12 is %f° from plumb", (b, deg) => expect(batterAngle(b)).toBeCloseTo(deg, 3));
});
