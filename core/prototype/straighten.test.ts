import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Vec2 } from "../geometry";
import { stream } from "../cutting/stream";
import { feet } from "../units";
import {
  angleAt,
  applyHomography,
  bend,
  bow,
  fitLens,
  homographyOf,
  invertHomography,
  layStraightened,
  onPlane,
  resample,
  sortCorners,
  trustOf,
  trustOfLength,
  unbend,
  type Four,
  type Keystone,
  type Lens,
} from ".";

const [W, H] = [feet(14), feet(9)];
const PLANE: Four = [
  [0, 0],
  [W, 0],
  [W, H],
  [0, H],
];
const NO_LENS: Lens = { k: 0, width: 1000, height: 700 };
/** A camera aside of a wall: the pixels of its four corners. */
const SEEN: Four = [
  [210, 155],
  [790, 90],
  [810, 605],
  [200, 510],
];
const wallToPhoto = homographyOf(PLANE, SEEN);
const photo = (p: Vec2): Vec2 => applyHomography(wallToPhoto, p);
const near = (a: Vec2, b: Vec2, within: number) => expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeLessThan(within);
const distance = (a: Vec2, b: Vec2): number => Math.hypot(b[0] - a[0], b[1] - a[1]);

describe("the map of a plane", () => {
  it("takes corners to corners and back, for any camera that sees them", () => {
    const jitter = fc.tuple(...Array.from({ length: 8 }, () => fc.double({ min: -75, max: 75, noNaN: true })));
    fc.assert(
      fc.property(
        jitter,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (j, s, t) => {
          const seen = SEEN.map((p, i) => [p[0] + j[2 * i]!, p[1] + j[2 * i + 1]!]) as unknown as Four;
          const h = homographyOf(PLANE, seen);
          PLANE.forEach((p, i) => near(applyHomography(h, p), seen[i]!, 1e-6));
          const p: Vec2 = [s * W, t * H];
          near(applyHomography(invertHomography(h), applyHomography(h, p)), p, 1e-5);
        },
      ),
      { seed: 4 },
    );
    expect(() =>
      homographyOf(
        [
          [0, 0],
          [1, 0],
          [2, 0],
          [3, 0],
        ],
        PLANE,
      ),
    ).toThrow("in one line");
  });
  it("sorts corners pressed in any order and refuses four that make no rectangle", () => {
    expect(sortCorners([SEEN[2], SEEN[0], SEEN[3], SEEN[1]])).toEqual(SEEN);
    expect(() =>
      sortCorners([
        [0, 0],
        [10, 0],
        [20, 0],
        [5, 9],
      ]),
    ).toThrow("press on each corner once");
  });
});

describe("a lens", () => {
  it("unbends what it bends", () => {
    fc.assert(
      fc.property(fc.double({ min: -0.2, max: 0.2, noNaN: true }), fc.integer({ min: 0, max: 1000 }), (k, x) => {
        const l = { ...NO_LENS, k };
        near(bend(l, unbend(l, [x, 200])), [x, 200], 1e-6);
      }),
      { seed: 5 },
    );
  });
  it("is found from guides along straight things", () => {
    const l = { ...NO_LENS, k: 0.08 };
    const guide = (a: Vec2, b: Vec2): Vec2[] =>
      [0, 0.25, 0.5, 0.75, 1].map((t) => bend(l, [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])]));
    const guides = [guide([25, 30], [975, 45]), guide([40, 50], [30, 650])];
    expect(bow(NO_LENS, guides[0]!)).toBeGreaterThan(2.5);
    expect(fitLens(NO_LENS, guides)).toBeCloseTo(0.08, 3);
  });
});

/** A wall with a dark disc at each of a few known places, photographed by the known map and lens. */
const MARKS: readonly Vec2[] = [
  [0.15, 0.15],
  [0.85, 0.2],
  [0.5, 0.5],
  [0.15, 0.82],
  [0.85, 0.82],
  [0.12, 0.5],
  [0.5, 0.15],
].map(([s, t]) => [s! * W, t! * H]);
function photograph(lens: Lens): { width: number; height: number; data: Uint8ClampedArray } {
  const data = new Uint8ClampedArray(lens.width * lens.height * 4).fill(255);
  const back = invertHomography(wallToPhoto);
  for (let y = 0; y < lens.height; y++)
    for (let x = 0; x < lens.width; x++) {
      const p = applyHomography(back, unbend(lens, [x + 0.5, y + 0.5]));
      const d = Math.min(...MARKS.map((m) => distance(m, p)));
      data.fill(Math.max(0, Math.min(255, (d - 90) * 12)), (y * lens.width + x) * 4, (y * lens.width + x) * 4 + 3);
    }
  return { width: lens.width, height: lens.height, data };
}
/** Middle of the dark within a box, pixels. */
function discAt(p: { width: number; data: Uint8ClampedArray }, at: Vec2, reach: number): Vec2 {
  let [sx, sy, s] = [0, 0, 0];
  for (let y = Math.round(at[1] - reach); y < at[1] + reach; y++)
    for (let x = Math.round(at[0] - reach); x < at[0] + reach; x++) {
      const w = 255 - p.data[(y * p.width + x) * 4]!;
      [sx, sy, s] = [sx + w * (x + 0.5), sy + w * (y + 0.5), s + w];
    }
  return [sx / s, sy / s];
}

describe("a straightened photograph", () => {
  it.each([0, 0.06])("brings every length back within 0.5 % and right angles within 0.2° (lens %f)", (k) => {
    const lens = { ...NO_LENS, k };
    const key: Keystone = { corners: SEEN.map((p) => bend(lens, p)) as unknown as Four, width: W, height: H, lens };
    const lay = layStraightened(key);
    const flat = resample(photograph(lens), key, lay)!;
    const found = MARKS.map((m) =>
      discAt(flat, [lay.origin[0] + m[0] * lay.perMm, lay.origin[1] + m[1] * lay.perMm], 130 * lay.perMm),
    );
    MARKS.forEach((a, i) =>
      MARKS.slice(i + 1).forEach((b, n) => {
        const got = distance(found[i]!, found[i + 1 + n]!) / lay.perMm;
        expect(Math.abs(got / distance(a, b) - 1)).toBeLessThan(0.005);
      }),
    );
    // marks 0, 5 and 3 stand plumb, 3 and 4 level
    expect(angleAt(found[0]!, found[3]!, found[4]!)).toBeGreaterThan(89.8);
    expect(angleAt(found[0]!, found[3]!, found[4]!)).toBeLessThan(90.2);
  });
  it("states a trust that covers the error in 95 of 100 of 200 trials with a pixel of noise", () => {
    const random = stream(2026);
    const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const uniform = (): number => 2 * random() - 1;
    for (const noise of [uniform, normal]) {
      const pairs = [
        [MARKS[0]!, MARKS[4]!],
        [MARKS[3]!, MARKS[4]!],
        [MARKS[0]!, MARKS[3]!],
      ] as const;
      const covered = pairs.map(() => 0);
      let right = 0;
      for (let trial = 0; trial < 200; trial++) {
        const corners = SEEN.map((p) => [p[0] + noise(), p[1] + noise()]) as unknown as Four;
        const key: Keystone = { corners, width: W, height: H, lens: NO_LENS };
        pairs.forEach(([a, b], i) => {
          const [p, q] = [photo(a), photo(b)];
          const off = Math.abs(distance(onPlane(key, p), onPlane(key, q)) - distance(a, b));
          if (off <= trustOfLength(key, p, q)) covered[i]!++;
        });
        const square = angleAt(
          ...([MARKS[0]!, MARKS[3]!, MARKS[4]!].map((m) => onPlane(key, photo(m))) as [Vec2, Vec2, Vec2]),
        );
        if (Math.abs(square - 90) <= trustOf(key).angles) right++;
      }
      for (const c of [...covered, right]) expect(c).toBeGreaterThanOrEqual(190);
    }
  });
  it("says how many pixels show an inch, and stops when told", () => {
    const key: Keystone = { corners: SEEN, width: W, height: H, lens: NO_LENS };
    const t = trustOf(key);
    expect(t.perInch[0]).toBeGreaterThan(2.5);
    expect(t.perInch[1]).toBeLessThan(5.5);
    expect(t.lengths).toBeGreaterThan(0.001);
    expect(t.lengths).toBeLessThan(0.01);
    expect(resample(photograph(NO_LENS), key, layStraightened(key), () => false)).toBeUndefined();
  });
});
