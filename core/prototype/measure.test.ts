import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Vec2 } from "../geometry";
import { circleThrough, measureValue, snap, toPixel, type SheetScale } from ".";

describe("measures", () => {
  const s: SheetScale = { kx: 2, ky: 2, tilt: 0 };
  it("gives each kind its value: a 3-4-5 triangle, a batter of 3 in 12, a pitch of 6 in 12", () => {
    expect(
      measureValue(
        "length",
        [
          [0, 0],
          [30, 40],
        ],
        s,
      ),
    ).toBe(100);
    expect(
      measureValue(
        "across",
        [
          [0, 0],
          [30, 40],
        ],
        s,
      ),
    ).toBe(60);
    expect(
      measureValue(
        "up",
        [
          [0, 0],
          [30, 40],
        ],
        s,
      ),
    ).toBe(80);
    expect(
      measureValue(
        "batter",
        [
          [0, 0],
          [-25, 100],
        ],
        s,
      ),
    ).toBeCloseTo(3, 12);
    expect(
      measureValue(
        "pitch",
        [
          [0, 0],
          [100, -50],
        ],
        s,
      ),
    ).toBeCloseTo(6, 12);
    expect(
      measureValue(
        "lean",
        [
          [0, 0],
          [-25, 100],
        ],
        s,
      ),
    ).toBeCloseTo(14.0362, 4);
    expect(
      measureValue(
        "slope",
        [
          [0, 0],
          [100, -50],
        ],
        s,
      ),
    ).toBeCloseTo(26.5651, 4);
    expect(
      measureValue(
        "angle",
        [
          [10, 0],
          [0, 0],
          [0, -10],
        ],
        s,
      ),
    ).toBeCloseTo(90, 9);
    expect(
      measureValue(
        "count",
        [
          [0, 0],
          [150, 0],
        ],
        s,
        16,
      ),
    ).toBeCloseTo(20, 12);
    expect(
      measureValue(
        "area",
        [
          [0, 0],
          [10, 0],
          [10, 20],
          [0, 20],
        ],
        s,
      ),
    ).toBe(800);
    expect(
      measureValue(
        "radius",
        [
          [0, 50],
          [50, 0],
          [100, 50],
        ],
        s,
      ),
    ).toBeCloseTo(100, 9);
  });
  it("refuses what gives no value, in a sentence", () => {
    expect(() =>
      measureValue(
        "batter",
        [
          [0, 0],
          [10, 0],
        ],
        s,
      ),
    ).toThrow("no height between them");
    expect(() =>
      measureValue(
        "radius",
        [
          [0, 0],
          [10, 10],
          [20, 20],
        ],
        s,
      ),
    ).toThrow("in one line");
    expect(() =>
      measureValue(
        "area",
        [
          [0, 0],
          [10, 10],
        ],
        s,
      ),
    ).toThrow("needs 3 points");
  });
  it("does not change with the sheet's turning and stretching", () => {
    const n = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const shape: Vec2[] = [
      [0, 0],
      [900, 300],
      [1500, -200],
    ];
    fc.assert(
      fc.property(n(-40, 40), n(0.5, 4), n(0.5, 4), (tilt, kx, ky) => {
        const t = { kx, ky, tilt };
        const px = shape.map((p) => toPixel(t, [100, 900], p));
        expect(measureValue("length", px, t)).toBeCloseTo(Math.hypot(900, 300), 6);
        expect(measureValue("pitch", px, t)).toBeCloseTo(4, 6);
        expect(measureValue("radius", px, t)).toBeCloseTo(circleThrough(shape[0]!, shape[1]!, shape[2]!).radius, 3);
      }),
      { seed: 8 },
    );
  });
});

describe("snapping", () => {
  const t = {
    points: [[50, 50] as Vec2],
    segments: [
      [
        [0, 0],
        [100, 0],
      ] as const,
      [
        [30, -20],
        [30, 20],
      ] as const,
    ],
  };
  it("catches an end before a crossing before a line, within reach only", () => {
    expect(snap([2, 2], t, 5)).toEqual({ at: [0, 0], on: "point" });
    expect(snap([48, 51], t, 5)!.at).toEqual([50, 50]);
    expect(snap([32, 2], t, 5)).toEqual({ at: [30, 0], on: "point" });
    expect(snap([70, 3], t, 5)).toEqual({ at: [70, 0], on: "line" });
    expect(snap([70, 9], t, 5)).toBeUndefined();
  });
});
