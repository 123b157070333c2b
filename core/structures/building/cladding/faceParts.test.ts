import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { clipPolygon, polygonArea, type Vec2 } from "../../../geometry";
import { unionOf } from "../../../geometry/union";
import { faceParts, halfOf, type FacePart, type Rectangle } from "./faceParts";

const face = { from: 0, to: 100, low: 0, high: 40 };
const rect = (r: Rectangle): Vec2[] => [
  [r.from, r.low],
  [r.to, r.low],
  [r.to, r.high],
  [r.from, r.high],
];
/** What a part covers: its outline less what is cut out, by a union of another library. */
function covered(p: FacePart): number {
  const cut = p.out.map((r) => clipPolygon(p.outline, rect(r))).filter((c) => c.length > 2);
  return polygonArea(p.outline) - unionOf(cut).reduce((s, ring) => s + polygonArea(ring), 0);
}
describe("a face in sheets", () => {
  it("without holes is one sheet", () => {
    const [one, ...more] = faceParts(face, []);
    expect(more).toEqual([]);
    expect(one!.out).toEqual([]);
    expect(covered(one!)).toBe(4000);
  });
  it("with a door and two windows is one sheet with three holes", () => {
    const parts = faceParts(face, [
      { id: "door", from: 10, to: 22, low: -Infinity, high: 25 },
      { id: "w1", from: 40, to: 50, low: 12, high: 28 },
      { id: "w2", from: 70, to: 80, low: 12, high: 28 },
    ]);
    expect(parts).toHaveLength(1);
    expect(parts[0]!.out.map((h) => h.id)).toEqual(["door", "w1", "w2"]);
    expect(covered(parts[0]!)).toBeCloseTo(4000 - 300 - 160 - 160, 6);
  });
  it("parted by a wing from ground to eave is two", () => {
    const parts = faceParts(face, [{ id: "wing", from: 30, to: 60, low: -Infinity, high: Infinity }]);
    expect(parts.map(covered)).toEqual([1200, 1600]);
    expect(parts.map((p) => p.out)).toEqual([[], []]);
  });
  it("with a band right across is two, over each other", () => {
    const parts = faceParts(face, [{ id: "eave", from: -5, to: 105, low: 18, high: 20 }]);
    expect(parts.map(covered)).toEqual([1800, 2000]);
  });
  it("under a gable's slopes keeps what is under them", () => {
    // 45° from 20 at both sides: the peak would be at 70, over the head
    const keep = (p: readonly Vec2[]): Vec2[] => halfOf(halfOf(p, -1, 1, 20), 1, 1, 120);
    const parts = faceParts({ ...face, high: 100 }, [], keep);
    expect(parts).toHaveLength(1);
    expect(parts[0]!.outline).toHaveLength(5);
    expect(covered(parts[0]!)).toBeCloseTo(100 * 20 + (100 * 50) / 2, 6);
  });
  it("in one angle of which another part stands takes that out of its hull", () => {
    // an L round a piece that stands alone
    const parts = faceParts(face, [
      { id: "up", from: 40, to: 44, low: 16, high: Infinity },
      { id: "along", from: 40, to: Infinity, low: 16, high: 20 },
    ]);
    expect(parts.map(covered).sort((a, b) => a - b)).toEqual([56 * 20, 4000 - 4 * 24 - 60 * 4 + 4 * 4 - 56 * 20]);
  });
  it("covers the face less its holes, whatever they are", () => {
    const hole = fc
      .tuple(
        fc.integer({ min: -10, max: 105 }),
        fc.integer({ min: 2, max: 60 }),
        fc.integer({ min: -10, max: 38 }),
        fc.integer({ min: 2, max: 50 }),
      )
      .map(([from, wide, low, tall]) => ({ id: "hole", from, to: from + wide, low, high: low + tall }));
    fc.assert(
      fc.property(fc.array(hole, { maxLength: 4 }), (holes) => {
        const parts = faceParts(face, holes, (p) => p, 0);
        const cut = holes.map((h) => clipPolygon(rect(face), rect(h))).filter((c) => c.length > 2);
        const wanted = 4000 - unionOf(cut).reduce((s, ring) => s + polygonArea(ring), 0);
        // parts that lie in each other's hulls both ways cannot be one convex sheet each; sheets never cover more
        const total = parts.reduce((s, p) => s + covered(p), 0);
        expect(total).toBeCloseTo(wanted, 4);
      }),
    );
  });
});
