import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  boundsOf,
  clip,
  clipPolygon,
  cornersOf,
  hull,
  penetrationDepth,
  planeAt,
  polygonArea,
  prism,
  subtract,
  volumeOf,
  type Solid,
  type Vec3,
} from ".";

const box = (x: number, y: number, z: number, a: number, b: number, c: number): Solid =>
  prism(
    [
      [x, y, z],
      [x + a, y, z],
      [x + a, y + b, z],
      [x, y + b, z],
    ],
    [0, 0, c],
    ["s", "e", "n", "w"],
  );
const cut = (n: Vec3, p: Vec3) => ({ ...planeAt(p, n), tag: "cut" });

describe("solids", () => {
  it("clips: a 2×3×4 box halved by its diagonal plane has half its volume and a tagged face", () => {
    const half = clip(box(0, 0, 0, 2, 3, 4), cut([3, 2, 0], [2, 0, 0]))!;
    expect(volumeOf(half)).toBeCloseTo(12, 9);
    expect(half.faces.filter((f) => f.tag === "cut")).toHaveLength(1);
    expect(clip(half, cut([1, 0, 0], [-1, 0, 0]))).toBeUndefined();
    expect(clip(half, cut([1, 0, 0], [9, 0, 0]))).toBe(half);
  });
  it("keeps volume when a cutter is taken out, whatever the planes", () => {
    const dir = fc.tuple(
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: 0.2, max: 1, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(dir, { minLength: 1, maxLength: 5 }), (normals) => {
        const s = box(0, 0, 0, 4, 5, 6);
        const planes = normals.map((n, i) => cut(n, [2 + 0.1 * i, 2.5, 3]));
        const removed = planes.reduce<Solid | undefined>((x, p) => x && clip(x, p), s);
        const left = subtract(s, planes, "cut");
        expect(left.reduce((v, p) => v + volumeOf(p), 0) + (removed ? volumeOf(removed) : 0)).toBeCloseTo(120, 5);
        for (const a of left) for (const b of left) if (a !== b) expect(penetrationDepth(a, b)).toBeLessThan(1e-6);
      }),
      { seed: 5, numRuns: 60 },
    );
  });
  it("measures how deep solids stand in each other", () => {
    const a = box(0, 0, 0, 10, 10, 10);
    expect(penetrationDepth(a, box(9.9, 2, 2, 5, 5, 5))).toBeCloseTo(0.1, 9);
    expect(penetrationDepth(a, box(10, 0, 0, 5, 5, 5))).toBeLessThanOrEqual(0);
    expect(penetrationDepth(a, box(30, 0, 0, 5, 5, 5))).toBeCloseTo(-20, 9);
    expect(cornersOf(a)).toHaveLength(8);
    expect(boundsOf([a, box(-3, 0, 0, 1, 1, 1)]).min).toEqual([-3, 0, 0]);
  });
  it("clips polygons and wraps points", () => {
    expect(
      Math.abs(
        polygonArea(
          clipPolygon(
            [
              [0, 0],
              [4, 0],
              [4, 4],
              [0, 4],
            ],
            [
              [2, 2],
              [6, 2],
              [6, 6],
              [2, 6],
            ],
          ),
        ),
      ),
    ).toBeCloseTo(4, 12);
    // corners that are double but for rounding once cost a hull its corner
    const noisy = [
      [0, 1],
      [0, -1],
      [5, -1],
      [5 + 1e-14, 1],
      [5 + 2e-14, 1],
      [5 + 3e-14, -1],
    ] as const;
    expect(hull(noisy)).toHaveLength(4);
    expect(
      hull([
        [0, 0],
        [2, 0],
        [1, 0],
        [2, 2],
        [0, 2],
        [1, 1],
      ]),
    ).toHaveLength(4);
  });
});
