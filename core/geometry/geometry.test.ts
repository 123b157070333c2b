import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  boundsOf,
  clip,
  clipPolygon,
  cornersOf,
  eightCorners,
  Hexahedron,
  hull,
  hullSeen,
  penetrationDepth,
  planeAt,
  polygonArea,
  prism,
  subtract,
  volumeOf,
  type Solid,
  type Vec2,
  type Vec3,
} from ".";
import { stream } from "../cutting/stream";

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
  /** A box as six planes and eight corners. */
  const sixSided = (a: number, b: number, c: number): Hexahedron => {
    const flat = eightCorners();
    const ring = [
      [0, 0],
      [b, 0],
      [b, c],
      [0, c],
    ];
    for (let i = 0; i < 8; i++)
      [flat[3 * i], flat[3 * i + 1], flat[3 * i + 2]] = [i < 4 ? 0 : a, ...ring[i % 4]!] as [number, number, number];
    return new Hexahedron(flat, () => [
      { n: [0, 0, -1], d: 0, tag: "-w" },
      { n: [0, 1, 0], d: b, tag: "+v" },
      { n: [0, 0, 1], d: c, tag: "+w" },
      { n: [0, -1, 0], d: 0, tag: "-v" },
      { n: [-1, 0, 0], d: 0, tag: "end0" },
      { n: [1, 0, 0], d: a, tag: "end1" },
    ]);
  };
  it("cuts a six-sided solid as it does one of any sides, whichever way the planes go", () => {
    const size = fc.double({ min: 1, max: 30, noNaN: true });
    const unit = fc.double({ min: -1, max: 1, noNaN: true });
    const share = fc.double({ min: 0.05, max: 0.95, noNaN: true });
    const plane = fc.record({
      n: fc.tuple(unit, unit, unit).filter((n) => Math.hypot(...n) > 0.1),
      at: fc.tuple(share, share, share),
      mostly: fc.constantFrom(0, 1, 2),
    });
    let short = 0;
    fc.assert(
      fc.property(size, size, size, fc.array(plane, { minLength: 1, maxLength: 4 }), (a, b, c, planes) => {
        const six = sixSided(a, b, c);
        let one: Solid | undefined = six;
        let other: Solid | undefined = { faces: six.faces };
        for (const p of planes) {
          // mostly square across one direction, as saw cuts are
          const n = p.n.map((x, i) => (i === p.mostly ? Math.sign(x || 1) * 3 : x * 0.3)) as unknown as Vec3;
          const by = cut(n, [p.at[0] * a, p.at[1] * b, p.at[2] * c]);
          one = one && clip(one, by);
          other = other && clip(other, by);
          if (one instanceof Hexahedron) short++;
          expect(one === undefined).toBe(other === undefined);
          if (!one || !other) return;
          expect(volumeOf(one)).toBeCloseTo(volumeOf(other), 6);
          const tags = (s: Solid): string[] => s.faces.map((f) => f.tag).sort();
          expect(tags(one)).toEqual(tags(other));
          for (const f of one.faces)
            for (const q of f.corners)
              expect(
                Math.abs(f.plane.n[0] * q[0] + f.plane.n[1] * q[1] + f.plane.n[2] * q[2] - f.plane.d),
              ).toBeLessThan(1e-6);
        }
      }),
    );
    expect(short).toBeGreaterThan(50);
  });
  it("shows a solid by the hull of its corners, in numbers as in points", () => {
    // a sum has no negative zero
    const near = fc.double({ min: -20, max: 20, noNaN: true }).map((x) => x + 0);
    fc.assert(
      fc.property(fc.array(fc.tuple(near, near, near), { minLength: 3, maxLength: 60 }), (corners) => {
        const seen = hullSeen(corners.flat(), [0, 1, 0], [0, 0, 1], 1e-9);
        expect(seen).toEqual(hull(corners.map((p) => [p[1], p[2]])).flat());
      }),
    );
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

describe("a hull of many points", () => {
  it("is the same whichever way they come, and as one reckons it for a few: random clouds and a ring", () => {
    const r = stream(9);
    const cloud = Array.from({ length: 3000 }, (): Vec2 => [r() * 100, r() * 60]);
    const ring = Array.from({ length: 900 }, (_, i): Vec2 => [Math.cos(i / 143.2) * 50, Math.sin(i / 143.2) * 50]);
    for (const points of [cloud, ring]) {
      const all = hull(points);
      const back = hull([...points].reverse());
      expect(back.length).toBe(all.length);
      expect(polygonArea(all)).toBeCloseTo(polygonArea(back), 6);
      // every point is inside: on the left of each side
      let least = Infinity;
      for (const [i, a] of all.entries()) {
        const b = all[(i + 1) % all.length]!;
        for (const p of points) least = Math.min(least, (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]));
      }
      expect(least).toBeGreaterThan(-1e-6);
    }
  });
});
