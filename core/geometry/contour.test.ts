import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cornersFlat, hullSeen, polygonArea, prism, subtract, type Plane, type Vec2 } from ".";
import { contoursOf } from "./contour";
import { unionOf } from "./union";

const box = (x0: number, y0: number, x1: number, y1: number): number[] => [x0, y0, x1, y0, x1, y1, x0, y1];
const points = (c: ArrayLike<number>): Vec2[] => Array.from({ length: c.length / 2 }, (_, i): Vec2 => [c[2 * i]!, c[2 * i + 1]!]); // prettier-ignore
const areas = (c: readonly ArrayLike<number>[]): number[] => c.map((x) => polygonArea(points(x))).sort((a, b) => b - a);

describe("the contour of parts", () => {
  it("of one is itself, of two side by side one without their seam", () => {
    expect(contoursOf([box(0, 0, 4, 3)])!.map((c) => c.length / 2)).toEqual([4]);
    const [one, ...more] = contoursOf([box(0, 0, 4, 3), box(4, 0, 9, 3)])!;
    expect(more).toEqual([]);
    expect(one!.length / 2).toBe(4);
    expect(areas([one!])).toEqual([27]);
  });
  it("with seams that meet in a T has no seam either", () => {
    const parts = [box(0, 0, 10, 4), box(0, 4, 3, 8), box(3, 4, 10, 8)];
    expect(areas(contoursOf(parts)!)).toEqual([80]);
    expect(contoursOf(parts)![0]!.length / 2).toBe(4);
  });
  it("round a window has a hole that runs the other way", () => {
    const parts = [box(0, 0, 10, 2), box(0, 2, 3, 5), box(6, 2, 10, 5), box(0, 5, 10, 8)];
    expect(areas(contoursOf(parts)!)).toEqual([80, -9]);
  });
  it("of parts apart is one each", () => {
    expect(areas(contoursOf([box(0, 0, 1, 1), box(5, 5, 7, 7)])!)).toEqual([4, 1]);
  });
  it("of a sheet with holes cut by the kernel is what another library says it is", () => {
    // to a hundredth of a mm; slivers of a hundred-thousandth may be given up, and are then shown part by part
    const mm = (min: number, max: number) => fc.integer({ min: min * 100, max: max * 100 }).map((n) => n / 100);
    const hole = fc.tuple(mm(-5, 95), mm(3, 40), mm(-5, 35), mm(3, 30));
    const plane = (n: readonly [number, number, number], d: number): Plane => ({ n, d });
    fc.assert(
      fc.property(fc.array(hole, { minLength: 1, maxLength: 5 }), (holes) => {
        let parts = [prism([[0, 0, 0], [100, 0, 0], [100, 40, 0], [0, 40, 0]], [0, 0, 1], ["a", "b", "c", "d"])]; // prettier-ignore
        for (const [x, w, y, h] of holes)
          parts = parts.flatMap((p) => subtract(p, [plane([-1, 0, 0], -x), plane([1, 0, 0], x + w), plane([0, -1, 0], -y), plane([0, 1, 0], y + h)], "hole")); // prettier-ignore
        fc.pre(parts.length > 0);
        const flat = parts.map((p) => hullSeen(cornersFlat(p).flat(), [1, 0, 0], [0, 1, 0], 1e-7));
        const mine = contoursOf(flat)!;
        expect(mine).toBeDefined();
        const wanted = unionOf(flat.map(points)).reduce((s, r) => s + polygonArea(r), 0);
        expect(areas(mine).reduce((s, a) => s + a, 0)).toBeCloseTo(wanted, 2);
      }),
    );
  });
});
