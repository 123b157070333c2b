import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Vec2 } from "../geometry";
import { feet, inches } from "../units";
import { calibrated, fromPixel, meanScale, tiltOf, toPixel, type Calibration, type KnownLength } from ".";

const known = (from: Vec2, to: Vec2, length: number, use: KnownLength["use"] = "scale"): KnownLength => ({
  from,
  to,
  length,
  use,
});
const by = (lengths: readonly KnownLength[], more: Partial<Calibration> = {}): Calibration => ({
  lengths,
  stretch: "auto",
  tilt: 0,
  ...more,
});

describe("the scale of a sheet", () => {
  it("comes from two points: 21 ft is 500 pixels", () => {
    const c = calibrated(by([known([100, 100], [400, 500], feet(21))]))!;
    expect(meanScale(c.scale) * 250).toBeCloseTo(feet(10, 6), 9);
    expect(c.residuals[0]!.mm).toBeCloseTo(0, 9);
    expect(() => calibrated(by([known([0, 0], [1, 1], 9)]))).toThrow("only 1.4 pixels apart");
    expect(calibrated(by([known([0, 0], [99, 0], 9, "check")]))).toBeUndefined();
  });
  it("comes from what the sheet states, and lengths then check it: 300 dpi at 1/4 in to the foot", () => {
    const stated = { ratio: 48, unit: 25.4 / 300 };
    const c = calibrated(by([known([0, 0], [75, 0], feet(1)), known([0, 0], [0, 750], feet(9))], { stated }))!;
    expect(c.scale.kx).toBeCloseTo(feet(1) / 75, 9);
    expect(c.residuals.map((r) => r.wrong)).toEqual([false, true]);
    expect(c.residuals[1]!.relative).toBeCloseTo(1 / 9, 9);
  });
  it("says that two lengths disagree without telling which is wrong, and that a third decides", () => {
    const two = [known([0, 0], [500, 0], feet(10)), known([0, 50], [500, 50], feet(11))];
    expect(calibrated(by(two))!.undecided).toBe(true);
    const three = calibrated(by([...two, known([0, 90], [250, 90], feet(5))]))!;
    expect(three.residuals.map((r) => r.wrong)).toEqual([false, true, false]);
    expect(three.scale.kx).toBeCloseTo(feet(1) / 50, 9);
  });
  it("names the one wrong length of three per axis, stretched scan or not, with a pixel of press", () => {
    fc.assert(
      fc.property(
        fc.record({
          k: fc.double({ min: 2, max: 30, noNaN: true }),
          stretch: fc.constantFrom(1, 1, 1.02, 0.97, 1.05),
          px: fc.array(fc.integer({ min: 350, max: 2000 }), { minLength: 6, maxLength: 6 }),
          press: fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }),
          wrong: fc.integer({ min: 0, max: 5 }),
          off: fc.oneof(
            fc.double({ min: 0.05, max: 0.5, noNaN: true }),
            fc.double({ min: -0.4, max: -0.05, noNaN: true }),
          ),
        }),
        ({ k, stretch, px, press, wrong, off }) => {
          const lengths = px.map((n, i) => {
            const real = n * k * (i < 3 ? 1 : stretch) * (i === wrong ? 1 + off : 1);
            const end = n + press[i]!;
            return known([10, 10], i < 3 ? [10 + end, 10] : [10, 10 + end], real);
          });
          const c = calibrated(by(lengths))!;
          expect(c.undecided).toBe(false);
          expect(c.residuals.map((r) => r.wrong)).toEqual(px.map((_, i) => i === wrong));
          expect(c.scale.kx / k).toBeCloseTo(1, 2);
          expect(c.scale.ky / (k * stretch)).toBeCloseTo(1, stretch === 1 ? 2 : 1.7);
        },
      ),
      { seed: 3, numRuns: 300 },
    );
  });
});

describe("an upright sheet", () => {
  it("finds tilt from level and plumb lines alike", () => {
    const s = { kx: 1, ky: 1 };
    expect(tiltOf(s, [0, 0], [1000, -15])).toBeCloseTo(0.8594, 3);
    expect(tiltOf(s, [0, 0], [-15, -1000])).toBeCloseTo(0.8594, 3);
    expect(tiltOf(s, [1000, -15], [0, 0])).toBeCloseTo(0.8594, 3);
  });
  it("goes from pixels to prototype and back, stretched and turned", () => {
    const n = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(n(-180, 180), n(0.1, 9), n(0.1, 9), n(-5000, 5000), (tilt, kx, ky, x) => {
        const s = { kx, ky, tilt };
        const back = toPixel(s, [7, 9], fromPixel(s, [7, 9], [x, 33]));
        expect(back[0]).toBeCloseTo(x, 6);
        expect(back[1]).toBeCloseTo(33, 6);
      }),
      { seed: 2 },
    );
    // a line that rises 15 in 1000 on a picture turned by that much is level
    const level = fromPixel(
      { kx: inches(1), ky: inches(1), tilt: tiltOf({ kx: 1, ky: 1 }, [0, 0], [1000, -15]) },
      [0, 0],
      [1000, -15],
    );
    expect(level[1]).toBeCloseTo(0, 9);
  });
});
