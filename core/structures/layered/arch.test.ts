import { areaD, differenceD, FillRule, inflatePathsD, EndType, intersectD, JoinType, type PathsD } from "clipper2-ts";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { hull, polygonArea, type Vec2 } from "../../geometry";
import { archRadius, ringPast, springing, underArch, voussoirs, type Arch } from "./arch";
import { leastPane, openingLayers, type LayeredSeed } from "./openingLayers";

const paths = (of: readonly (readonly Vec2[])[]): PathsD => of.map((o) => o.map(([x, y]) => ({ x, y })));
const area = (p: PathsD): number => Math.abs(p.reduce((s, r) => s + areaD(r), 0));
const box = (x: number, y0: number, y1: number): readonly Vec2[] => [[-x, y0], [x, y0], [x, y1], [-x, y1]]; // prettier-ignore
/** 20 wide, its crown at 40: a half round springs at 30, one that rises 4 at 36. */
const ROUND: Arch = { half: 10, rise: 10, crown: 40 };
const FLAT: Arch = { half: 10, rise: 4, crown: 40 };

describe("an arch", () => {
  it("has the radius of its chord and rise, and springs where it meets the sides", () => {
    expect([archRadius(ROUND), archRadius(FLAT)]).toEqual([10, 14.5]);
    expect([springing(ROUND), springing(FLAT)]).toEqual([30, 36]);
    // 2 further out: 40 − 14.5 + √(16.5² − 12²)
    expect(springing(FLAT, 2)).toBeCloseTo(36.8248, 4);
    expect(springing(FLAT, -2)).toBeCloseTo(40 - 14.5 + Math.sqrt(12.5 ** 2 - 8 ** 2), 9);
  });
  it("leaves of an opening the area of its rectangle and of the segment over it", () => {
    // half a circle of 10, and a segment r² (θ − sin θ) / 2 with half its angle asin(10 / 14.5)
    const segment = (a: number): number => (14.5 ** 2 * (a - Math.sin(a))) / 2;
    const cut = (a: Arch): readonly Vec2[] => underArch(box(10, 0, 40), a, 0);
    expect(polygonArea(cut(ROUND))).toBeCloseTo(20 * 30 + (Math.PI * 100) / 2, -1);
    expect(Math.abs(polygonArea(cut(ROUND)) - 600 - 50 * Math.PI)).toBeLessThan(0.02 * 10 * Math.PI);
    expect(Math.abs(polygonArea(cut(FLAT)) - 720 - segment(2 * Math.asin(10 / 14.5)))).toBeLessThan(0.02 * 22);
    // its crown is a corner, its middle the middle
    for (const a of [ROUND, FLAT])
      expect(cut(a).some(([x, y]) => Math.abs(x) < 1e-9 && Math.abs(y - 40) < 1e-9)).toBe(true);
    for (const [x, y] of cut(FLAT)) if (y > 36 + 1e-9) expect(Math.hypot(x, y - 25.5)).toBeCloseTo(14.5, 9);
  });
  it("leaves alone what lies within it", () => {
    const low = box(9, 2, 20);
    expect(underArch(low, ROUND, 0)).toBe(low);
    expect(underArch(box(1, 0, 40), ROUND, -11)).toEqual([]);
  });
  it("grown by so much is its own outline moved out by so much, by a library of polygons", () => {
    for (const a of [ROUND, FLAT])
      for (const grow of [1.5, -1.5]) {
        const mine = paths([underArch(box(10 + grow, 0, 40 + grow), a, grow)]);
        const moved = inflatePathsD(paths([underArch(box(10, -9, 40), a, 0)]), grow, JoinType.Miter, EndType.Polygon, 4, 4); // prettier-ignore
        const theirs = intersectD(moved, paths([box(30, 0, 60)]), FillRule.NonZero, 6);
        expect(area(differenceD(mine, theirs, FillRule.NonZero, 6)) + area(differenceD(theirs, mine, FillRule.NonZero, 6)), `${a.rise} ${grow}`).toBeLessThan(0.35); // prettier-ignore
      }
  });
});

describe("the stones of an arch", () => {
  it("are a ring: side by side, of equal area, from one end of the arch to the other", () => {
    for (const [a, angle] of [
      [ROUND, Math.PI],
      [FLAT, 2 * Math.asin(10 / 14.5)],
    ] as const) {
      const r = archRadius(a);
      for (const count of [1, 7]) {
        const made = voussoirs(a, 3, count);
        expect(made).toHaveLength(count);
        const stones = made.map((m) => differenceD(paths([m.outline]), paths([m.hollow]), FillRule.NonZero, 6));
        // straight underneath and convex, as the cut list tells an outline; what the arc takes off is convex too
        for (const o of made.flatMap((m) => [m.outline, m.hollow])) expect(hull(o)).toHaveLength(o.length);
        const areas = stones.map(area);
        for (const x of areas) expect(x).toBeCloseTo(areas[0]!, 4);
        expect(areas.reduce((s, x) => s + x, 0) / ((angle * ((r + 3) ** 2 - r * r)) / 2)).toBeCloseTo(1, 2);
        stones.forEach((s, i) => stones.slice(i + 1).forEach((t) => expect(area(intersectD(s, t, FillRule.NonZero, 6))).toBeLessThan(1e-4))); // prettier-ignore
        // mirrored in the middle: the first is the last's image
        const image = stones[0]!.map((o) => o.map(({ x, y }) => ({ x: -x, y })).toReversed());
        expect(area(differenceD(image, stones.at(-1)!, FillRule.NonZero, 6))).toBeLessThan(1e-4);
        const all = stones.flat(2);
        expect(Math.max(...all.map((p) => p.x))).toBeCloseTo(10 + ringPast(a, 3), 5);
        expect(Math.max(...all.map((p) => p.y))).toBeCloseTo(43, 5);
        // nothing of it hangs into the opening
        const opening = paths([underArch(box(10, 0, 40), a, 0)]);
        for (const s of stones) expect(area(intersectD(s, opening, FillRule.NonZero, 6))).toBeLessThan(0.2);
      }
    }
  });
  it("of a half round end level, with their full depth beside it", () => {
    expect(ringPast(ROUND, 3)).toBeCloseTo(3, 12);
    expect(ringPast(FLAT, 3)).toBeCloseTo((3 * 10) / 14.5, 12);
  });
});

describe("a window under an arch", () => {
  const seed = (over: Partial<LayeredSeed> = {}): LayeredSeed => ({ style: "hung", door: false, width: 20, height: 40, lap: 2, edge: 1, stile: 1.5, bottomRail: 2, bar: 0.5, across: 2, up: 2, ledge: 3, seam: 0.2, rise: 10, ...over }); // prettier-ignore
  it("has every layer on an arc of its own round the arch's middle: frame, sash and glass outside, light and panes within", () => {
    const [frame, upper, lower, glass] = openingLayers(seed());
    for (const p of [frame!, upper!, lower!, glass!]) {
      const over = p.outline.filter(([, y]) => y > 30 + 1e-6);
      expect(over.length).toBeGreaterThan(4);
      for (const [x, y] of over) expect(Math.hypot(x, y - 30)).toBeCloseTo(12, 9);
    }
    for (const [x, y] of frame!.holes[0]!.outline) if (y > 30 + 1e-6) expect(Math.hypot(x, y - 30)).toBeCloseTo(9, 9);
    // two panes end on the arc 2.5 in, each from its bar outwards
    const panes = upper!.holes.filter((h) => h.name.startsWith("pane"));
    const heads = panes.flatMap((h) => h.outline).filter(([x, y]) => Math.abs(Math.hypot(x, y - 30) - 7.5) < 1e-6);
    expect(heads.length).toBeGreaterThan(6);
    expect(Math.max(...panes.flatMap((h) => h.outline).map(([x, y]) => Math.hypot(x, Math.max(0, y - 30))))).toBeLessThan(7.5 + 1e-6); // prettier-ignore
    // the lower sash lies below it and keeps its square panes
    for (const h of lower!.holes.filter((x) => x.name.startsWith("pane"))) expect(h.outline).toHaveLength(4);
  });
  it("is a mirror image of itself, panes too", () => {
    for (const style of ["fixed", "hung", "casement", "glazed", "panel"] as const)
      for (const p of openingLayers(seed({ style, across: 3 }))) {
        const own = differenceD(paths([p.outline]), paths(p.holes.map((h) => h.outline)), FillRule.NonZero, 6);
        const image = own.map((r) => r.map(({ x, y }) => ({ x: -x, y })).toReversed());
        expect(area(differenceD(own, image, FillRule.NonZero, 6)), `${style} ${p.name}`).toBeLessThan(1e-3);
      }
  });
  it("ledges of a door of boards end where its arch springs", () => {
    const top = Math.max(...openingLayers(seed({ style: "boards", door: true })).filter((p) => p.on).flatMap((p) => p.outline.map(([, y]) => y))); // prettier-ignore
    expect(top).toBeLessThanOrEqual(30);
    expect(top).toBeGreaterThan(20);
  });
  it("that has no room for its panes says so as without an arch, and a corner too small for one stays closed", () => {
    expect(leastPane(seed({ width: 3, rise: 1.5, across: 3 }))).toBeLessThan(0);
    const many = openingLayers(seed({ style: "fixed", across: 6, up: 16 }))[1]!.holes;
    expect(many.length).toBeLessThan(96);
    for (const h of many) expect(Math.min(Math.max(...h.outline.map((p) => p[0])) - Math.min(...h.outline.map((p) => p[0])), Math.max(...h.outline.map((p) => p[1])) - Math.min(...h.outline.map((p) => p[1])))).toBeGreaterThan(0.5); // prettier-ignore
  });
  it("whatever is asked for, its holes lie within their layer and apart from each other", () => {
    const any = fc.record({
      style: fc.constantFrom("fixed", "hung", "casement", "panel", "glazed", "boards", "split"),
      door: fc.boolean(),
      width: fc.double({ min: 12, max: 60, noNaN: true }),
      height: fc.double({ min: 30, max: 90, noNaN: true }),
      lap: fc.double({ min: -0.3, max: 4, noNaN: true }),
      flat: fc.double({ min: 0.05, max: 1, noNaN: true }),
      across: fc.integer({ min: 1, max: 4 }),
      up: fc.integer({ min: 1, max: 4 }),
    });
    fc.assert(
      fc.property(any, ({ flat, ...over }) => {
        const s = seed({ ...(over as Partial<LayeredSeed>), rise: Math.min(flat * (over.width / 2), over.height - 5) });
        if (leastPane(s) < 0.3) return;
        for (const p of openingLayers(s)) {
          expect(p.outline.length).toBeGreaterThan(2);
          const holes = p.holes.map((h) => paths([h.outline]));
          const reach = s.door ? paths([[...p.outline, [p.outline[1]![0], -2], [p.outline[0]![0], -2]]]) : paths([p.outline]); // prettier-ignore
          holes.forEach((h, i) => {
            if (!s.door) expect(area(differenceD(h, reach, FillRule.NonZero, 6)), `${p.name} ${i}`).toBeLessThan(1e-3);
            holes.slice(i + 1).forEach((k) => expect(area(intersectD(h, k, FillRule.NonZero, 6))).toBeLessThan(1e-3));
          });
        }
      }),
      { numRuns: 150 },
    );
  });
});
