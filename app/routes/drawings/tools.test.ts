import { describe, expect, it } from "vitest";
import { inches } from "core/units";
import { needsScale, printMeasure } from "./measure/print";
import { readRatio } from "./scale/ratio";
import { TOOLS, toolOf } from "./tools";

describe("a stated scale", () => {
  it.each([
    ["1:48", 48],
    ["1/87.1", 87.1],
    [" 1 : 24 ", 24],
    ["1/4 in = 1 ft", 48],
    ["3/8\" = 1'", 32],
    ["1 in = 20 ft", 240],
    ["1 cm = 1 m", 100],
    ["1:1", 1],
  ])("“%s” is 1 to %f", (words, ratio) => expect(readRatio(words)).toBeCloseTo(ratio, 9));
  it.each(["", "quarter inch", "1 in =", "0 in = 1 ft", "48"])("“%s” is none", (words) =>
    expect(readRatio(words)).toBeNaN(),
  );
});

describe("a measure in words", () => {
  const print = { P: (mm: number) => `${(mm / 25.4).toFixed(1)} in`, M: (mm: number) => `${mm.toFixed(2)} mm` };
  const scale = { kx: inches(1), ky: inches(1), tilt: 0 };
  const say = (kind: Parameters<typeof printMeasure>[0]["kind"], points: [number, number][], count?: number) =>
    printMeasure({ kind, points, ...(count ? { count } : {}) }, scale, 48, print);
  it("tells both worlds, or why there is no value", () => {
    expect(
      say("length", [
        [0, 0],
        [96, 0],
      ]),
    ).toEqual({ prototype: "96.0 in", model: "50.80 mm" });
    expect(
      say(
        "count",
        [
          [0, 0],
          [96, 0],
        ],
        13,
      ),
    ).toEqual({ prototype: "8.0 in apart", model: "4.23 mm" });
    expect(
      say("pitch", [
        [0, 0],
        [24, -12],
      ]).prototype,
    ).toBe("6 in 12");
    expect(
      say("batter", [
        [0, 0],
        [10, 48],
      ]).prototype,
    ).toBe("2.5 in per ft");
    expect(
      say("lean", [
        [0, 0],
        [10, 48],
      ]).prototype,
    ).toBe("11.8°");
    expect(
      say("area", [
        [0, 0],
        [120, 0],
        [120, 120],
        [0, 120],
      ]),
    ).toEqual({ prototype: "100.0 sq ft", model: "4032 mm²" });
    expect(
      say("batter", [
        [0, 0],
        [10, 0],
      ]).prototype,
    ).toBe("The two points have no height between them.");
    expect(
      printMeasure(
        {
          kind: "length",
          points: [
            [0, 0],
            [9, 9],
          ],
        },
        undefined,
        48,
        print,
      ).prototype,
    ).toBe("not calibrated");
    expect([needsScale("area"), needsScale("angle"), needsScale("batter")]).toEqual([true, false, false]);
  });
});

describe("tools", () => {
  it("are each known in their tab, and say what to do as a sentence", () => {
    for (const tab of ["scale", "measures", "trace"] as const)
      for (const t of TOOLS[tab]) {
        expect(toolOf(tab, t.id)).toBe(t);
        expect(t.say).toMatch(/^[A-Z].*[.]$/);
      }
    expect(toolOf("scale", "edge").id).toBe("look");
    expect(toolOf("scale", "guide").id).toBe("guide");
  });
});
