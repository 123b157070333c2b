import { describe, expect, it } from "vitest";
import { grownBy } from "./grown";
import { polygonArea } from "./polygon";
import type { Vec2 } from "./vec";

const square: Vec2[] = [[0, 0], [10, 0], [10, 5], [0, 5]]; // prettier-ignore
const box = (r: readonly Vec2[]) => [0, 1].map((k) => [Math.min(...r.map((p) => p[k]!)), Math.max(...r.map((p) => p[k]!))]); // prettier-ignore

describe("a ring moved outwards", () => {
  it("keeps its corners: a rectangle of 10 × 5 by 0.1 is 10.2 × 5.2", () => {
    const [ring] = grownBy(square, 0.1);
    expect(ring).toHaveLength(4);
    expect(box(ring!)).toEqual([[expect.closeTo(-0.1, 5), expect.closeTo(10.1, 5)], [expect.closeTo(-0.1, 5), expect.closeTo(5.1, 5)]]); // prettier-ignore
  });
  it("keeps the way it turns, in or out", () => {
    const hole = [...square].reverse();
    expect(polygonArea(grownBy(hole, -0.1)[0]!)).toBeCloseTo(-(9.8 * 4.8), 4);
    expect(polygonArea(grownBy(square, 0.1)[0]!)).toBeCloseTo(10.2 * 5.2, 4);
    expect(grownBy(square, 0)).toEqual([square]);
  });
  it("is nothing where it is moved in by more than half its width", () => expect(grownBy(square, -2.6)).toEqual([]));
  it("parts where it is narrow, and keeps the point of a gable sharp", () => {
    const waist: Vec2[] = [[0, 0], [4, 0], [4, 1.9], [6, 1.9], [6, 0], [10, 0], [10, 4], [6, 4], [6, 2.1], [4, 2.1], [4, 4], [0, 4]]; // prettier-ignore
    expect(grownBy(waist, -0.2)).toHaveLength(2);
    const gable: Vec2[] = [[0, 0], [20, 0], [10, 10]]; // prettier-ignore
    const [out] = grownBy(gable, 0.1);
    expect(out).toHaveLength(3);
    // at 45° the point goes up by √2 of the offset
    expect(box(out!)[1]![1]).toBeCloseTo(10 + 0.1 * Math.SQRT2, 4);
  });
});
