import { differenceD, FillRule, intersectD, unionD, type PathsD } from "clipper2-ts";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { polygonArea, type Vec2 } from "../../geometry";
import { footOf, leastPane, openingLayers, type LayeredSeed, type LayerPart } from "./openingLayers";

const seed = (over: Partial<LayeredSeed> = {}): LayeredSeed => ({
  style: "hung",
  door: false,
  width: 30,
  height: 60,
  lap: 2,
  edge: 1,
  stile: 2,
  bottomRail: 3,
  bar: 0.5,
  across: 2,
  up: 2,
  ledge: 4,
  seam: 0.2,
  ...over,
});
const STYLES = ["fixed", "hung", "casement", "panel", "glazed", "boards", "split"] as const;
const named = (s: LayeredSeed, name: string): LayerPart => openingLayers(s).find((p) => p.name === name)!;
const span = (o: readonly Vec2[], k: 0 | 1): readonly number[] => [Math.min(...o.map((p) => p[k])), Math.max(...o.map((p) => p[k]))]; // prettier-ignore
const path = (of: readonly (readonly Vec2[])[]): PathsD => of.map((o) => o.map(([x, y]) => ({ x, y })));
/** What of a part is left of its sheet, by a library of polygons. */
const solid = (p: LayerPart): PathsD => differenceD(path([p.outline]), path(p.holes.map((h) => h.outline)), FillRule.NonZero, 6); // prettier-ignore
const area = (paths: PathsD): number => paths.reduce((s, r) => s + polygonArea(r.map(({ x, y }): Vec2 => [x, y])), 0);

describe("the layers of a window", () => {
  it("of two sashes are a frame, both sashes and the glazing, each as large as the frame", () => {
    const all = openingLayers(seed());
    expect(all.map((p) => p.layer)).toEqual(["frame", "upper sash", "lower sash", "glazing"]);
    for (const p of all) expect([...span(p.outline, 0), ...span(p.outline, 1)]).toEqual([-17, 17, -2, 62]);
  });
  it("has panes where they are reckoned by hand", () => {
    // light 28 × 58; the meeting rail from 29 to 31; panes (28 − 4 − 0.5) / 2 = 11.75 wide
    const upper = named(seed(), "upper sash").holes;
    expect(upper).toHaveLength(5);
    // from 31 to 59 − 2, less a bar: (26 − 0.5) / 2 = 12.75 high
    expect(upper[0]!.outline).toEqual([[-12, 31], [-0.25, 31], [-0.25, 43.75], [-12, 43.75]]); // prettier-ignore
    expect(upper[3]!.outline).toEqual([[0.25, 44.25], [12, 44.25], [12, 57], [0.25, 57]]); // prettier-ignore
    expect(upper[4]!.outline).toEqual([[-14, 1], [14, 1], [14, 29], [-14, 29]]); // prettier-ignore
    // the lower from its bottom rail, 1 + 3, to 29: (25 − 0.5) / 2 = 12.25 high
    const lower = named(seed(), "lower sash").holes;
    expect(lower[0]!.outline).toEqual([[-12, 4], [-0.25, 4], [-0.25, 16.25], [-12, 16.25]]); // prettier-ignore
    expect(lower[4]!.outline).toEqual([[-14, 31], [14, 31], [14, 59], [-14, 59]]); // prettier-ignore
  });
  it("is seen through where every layer is open: the panes and nothing more, by a library of polygons", () => {
    for (const [style, panes] of [
      ["hung", 4 * 11.75 * 12.75 + 4 * 11.75 * 12.25],
      // one sash: (58 − 2 − 3 − 0.5) / 2 = 26.25
      ["fixed", 4 * 11.75 * 26.25],
      // two leaves of 14: (14 − 4 − 0.5) / 2 = 4.75
      ["casement", 8 * 4.75 * 26.25],
    ] as const) {
      const layers = openingLayers(seed({ style })).filter((p) => p.layer !== "glazing");
      const stands = unionD(layers.flatMap(solid), [], FillRule.NonZero, 6);
      const seen = differenceD(path([layers[0]!.outline]), stands, FillRule.NonZero, 6);
      expect(area(seen), style).toBeCloseTo(panes, 6);
    }
  });
  it("has its bars in line through both sashes", () => {
    const bars = (name: string): number[] => [...new Set(named(seed({ across: 3 }), name).holes.slice(0, 6).flatMap((h) => span(h.outline, 0)))]; // prettier-ignore
    expect(bars("upper sash")).toEqual(bars("lower sash"));
  });
  it("pushed in is smaller than its opening by the room on every side", () => {
    for (const p of openingLayers(seed({ lap: -0.05 }))) {
      expect(span(p.outline, 0)).toEqual([-14.95, 14.95]);
      expect(span(p.outline, 1)).toEqual([0.05, 59.95]);
    }
  });
  it("that has no room for a pane says how much is missing", () => {
    expect(leastPane(seed())).toBe(11.75);
    // (24 − 11 × 0.5) / 12
    expect(leastPane(seed({ across: 12 }))).toBeCloseTo(18.5 / 12, 9);
    expect(leastPane(seed({ width: 6, across: 3 }))).toBeCloseTo(-1 / 3, 9);
  });
});

describe("the layers of a door", () => {
  it("stand on the floor, the frame open there", () => {
    for (const style of STYLES) {
      const all = openingLayers(seed({ style, door: true }));
      expect(Math.min(...all.flatMap((p) => span(p.outline, 1)))).toBe(0);
      // jambs of 3 at the foot, to either side of a light of 28
      const foot = intersectD(solid(all[0]!), path([[[-50, -5], [50, -5], [50, 1], [-50, 1]]]), FillRule.NonZero, 6); // prettier-ignore
      expect(foot.map((r) => span(r.map(({ x }): Vec2 => [x, 0]), 0)).sort((a, b) => a[0]! - b[0]!), style).toEqual([[-17, -14], [14, 17]]); // prettier-ignore
    }
  });
  it("with glass over a panel has the glass and the back side by side behind one face", () => {
    const s = seed({ style: "glazed", door: true, across: 3 });
    const [back, glass] = [named(s, "door back"), named(s, "glazing")];
    // the light from 0 to 59: they meet in the middle of the rail at 29.5
    expect(span(back.outline, 1)).toEqual([0, 29.5]);
    expect(span(glass.outline, 1)).toEqual([29.5, 62]);
    expect(back.order).toBe(glass.order);
    expect(named(s, "door face").holes).toHaveLength(6 + 3);
  });
  it("of boards has two ledges and a brace that fills what is between them", () => {
    const s = seed({ style: "boards", door: true });
    expect(openingLayers(s).map((p) => p.name)).toEqual(["frame", "boards", "ledge 1", "ledge 2", "brace"]);
    expect(span(named(s, "ledge 1").outline, 1)).toEqual([4, 8]);
    expect(span(named(s, "ledge 2").outline, 1)).toEqual([51, 55]);
    const [a, b, c, d] = named(s, "brace").outline;
    // as wide as a ledge, square to its own length
    const [run, rise] = [c![0] - b![0], c![1] - b![1]];
    expect(((b![0] - a![0]) * rise) / Math.hypot(run, rise)).toBeCloseTo(4, 9);
    expect([a, c]).toEqual([[-12, 8], [12, 51]]); // prettier-ignore
    expect(b![0] - a![0]).toBeCloseTo(c![0] - d![0], 9);
  });
  it("split has a seam between its halves, each with ledges of its own", () => {
    const s = seed({ style: "split", door: true });
    expect(span(named(s, "lower boards").outline, 1)).toEqual([0, 29.4]);
    expect(span(named(s, "upper boards").outline, 1)).toEqual([29.6, 62]);
    const on = openingLayers(s).filter((p) => p.on === "upper boards");
    expect(on.map((p) => p.name)).toEqual(["upper ledge 1", "upper ledge 2", "upper brace"]);
    for (const p of on) expect(Math.min(...span(p.outline, 1))).toBeGreaterThan(29.6);
    // a low leaf has one ledge
    expect(openingLayers(seed({ style: "split", height: 16 })).filter((p) => p.layer === "ledge")).toHaveLength(2);
  });
  it("a brace of 3 in 20 × 40 has a foot of 3.252", () => {
    expect(footOf(20, 40, 3)).toBeCloseTo(3.252341, 6);
  });
});

it("whatever is asked for, what is laid on boards stays on them and within the frame, and no two parts of it cover each other", () => {
  const any = fc.record({
    style: fc.constantFrom(...STYLES),
    door: fc.boolean(),
    width: fc.double({ min: 8, max: 60, noNaN: true }),
    height: fc.double({ min: 12, max: 90, noNaN: true }),
    lap: fc.double({ min: -0.3, max: 4, noNaN: true }),
    ledge: fc.double({ min: 0.5, max: 6, noNaN: true }),
    across: fc.integer({ min: 1, max: 4 }),
    up: fc.integer({ min: 1, max: 4 }),
  });
  fc.assert(
    fc.property(any, (over) => {
      const all = openingLayers(seed(over));
      const light = path([all[0]!.holes[0]!.outline]);
      const laid = all.filter((p) => p.on);
      for (const p of laid) {
        const own = solid(p);
        expect(area(differenceD(own, light, FillRule.NonZero, 6))).toBeLessThan(1e-3);
        expect(area(differenceD(own, path([all.find((q) => q.name === p.on)!.outline]), FillRule.NonZero, 6))).toBeLessThan(1e-3); // prettier-ignore
        for (const q of laid) if (q !== p) expect(area(intersectD(own, solid(q), FillRule.NonZero, 6))).toBeLessThan(1e-3); // prettier-ignore
      }
      // parts of one layer lie side by side
      for (const p of all)
        for (const q of all)
          if (p !== q && p.order === q.order && !p.on && !q.on) expect(area(intersectD(path([p.outline]), path([q.outline]), FillRule.NonZero, 6))).toBeLessThan(1e-3); // prettier-ignore
    }),
    { numRuns: 200 },
  );
});
