import { describe, expect, it } from "vitest";
import type { ViewLine } from "../structures";
import { hides } from "./viewLines";

// eyes 100 mm over the rails and 1,000 before the track, on which cars stand 50 mm high
const view: ViewLine = { eye: [0, 100], seen: { y: 1000, low: 0, high: 50 }, words: "cars" };

describe("a line of sight over a structure", () => {
  it("reaches the track where similar triangles say: past 80 mm at half way, 60 mm up", () => {
    // it falls 20 mm on 500, so 40 on 1,000
    expect(hides(view, [[500, 80]]).share).toBe(1);
    expect(hides(view, [[500, 60]]).share).toBeCloseTo(20 / 50, 9);
    expect(hides(view, [[500, 50]]).share).toBeCloseTo(0, 9);
  });
  it("goes by the highest in the way, not by what stands behind the track or the eye", () => {
    expect(hides(view, [[250, 70], [500, 60], [1200, 500], [-100, 500]]).share).toBeCloseTo(20 / 50, 9); // prettier-ignore
  });
  it("shows the upper half once that is so much lower: to 62.5 mm at half way", () => {
    expect(hides(view, [[500, 80]]).lower).toBeCloseTo(17.5, 9);
    expect(hides(view, [[500, 80 - 17.5]]).share).toBeCloseTo(0.5, 9);
    expect(hides(view, [[500, 40]]).lower).toBe(0);
  });
  it("is the same from the other side", () => {
    const other: ViewLine = { eye: [1000, 100], seen: { y: 0, low: 0, high: 50 }, words: "cars" };
    expect(hides(other, [[500, 60]])).toEqual(hides(view, [[500, 60]]));
  });
});
