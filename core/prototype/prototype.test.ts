import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { feet, inches } from "../units";
import { fromPixel, measureAngle, measureLength, mmPerPixel, tiltOf, toPixel, type Calibration } from ".";

describe("a calibrated picture", () => {
  const c: Calibration = { from: [100, 100], to: [400, 500], length: feet(21), tilt: 0 };
  it("measures by its two points: 21 ft is 500 pixels", () => {
    expect(measureLength(c, [0, 0], [250, 0])).toBeCloseTo(feet(10, 6), 9);
    expect(25.4 / mmPerPixel(c)).toBeCloseTo(500 / 252, 9);
    expect(() => mmPerPixel({ ...c, to: [101, 101] })).toThrow("only 1.4 pixels apart");
  });
  it("measures angles and finds tilt from level and plumb lines alike", () => {
    expect(measureAngle([10, 0], [0, 0], [0, -10])).toBeCloseTo(90, 9);
    expect(measureAngle([10, 0], [0, 0], [12, -3])).toBeCloseTo((Math.atan(0.25) * 180) / Math.PI, 9);
    expect(tiltOf([0, 0], [1000, -15])).toBeCloseTo(0.8594, 3);
    expect(tiltOf([0, 0], [-15, -1000])).toBeCloseTo(0.8594, 3);
    expect(tiltOf([1000, -15], [0, 0])).toBeCloseTo(0.8594, 3);
  });
  it("sets a tilted picture upright and back", () => {
    // a line that rises 15 in 1000 on a picture turned by that much is level
    const tilted = { ...c, length: inches(500), tilt: tiltOf([0, 0], [1000, -15]) };
    expect(fromPixel(tilted, [0, 0], [1000, -15])[1]).toBeCloseTo(0, 9);
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: -5000, max: 5000, noNaN: true }),
        (tilt, x) => {
          const k = { ...c, tilt };
          const back = toPixel(k, [7, 9], fromPixel(k, [7, 9], [x, 33]));
          expect(back[0]).toBeCloseTo(x, 6);
          expect(back[1]).toBeCloseTo(33, 6);
        },
      ),
      { seed: 2 },
    );
  });
});
