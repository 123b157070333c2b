import { describe, expect, it } from "vitest";
import { birdsmouth } from "../../../carpentry";
import { feet, inches } from "../../../units";
import { cornersOf, dormer, FOOT, framed, house, INCH, sizeOf, span, sum, volumeOf } from "../building.fixture";

// a front 3 ft 6 high, 8 ft wide, under one slope of 3 in 12 on a roof of 9 in 12
const low = { ...dormer, roof: "shed", width: feet(8), height: feet(3.5), rise: 3, overhang: inches(9) };
const bare = { ...house, rafterSpacing: inches(24), fascia: "bare", tail: "plumb", barge: false };
const K = 9 / 12 - 3 / 12;

describe("a shed dormer", () => {
  it("has a rafter flush with each cheek and one every 2 ft from the left between: five on 8 ft", () => {
    const { of, l } = framed({ ...bare, dormers: [low] });
    const rafters = of("common rafter", /^t\/dormer1\//);
    const middles = rafters
      .map((k) => (span([k], 0)[0] + span([k], 0)[1]) / 2)
      .map((x) => x / INCH)
      .sort((a, b) => a - b);
    // the dormer's middle is the house's
    const half = l.t.rafter.w / INCH / 2;
    const wanted = [-48 + half, -24, 0, 24, 48 - half];
    expect(middles).toHaveLength(5);
    middles.forEach((x, i) => expect(x).toBeCloseTo(wanted[i]!, 6));
    // no ridge, jacks or valley boards
    expect(of("ridge board", /^t\/dormer1\//)).toEqual([]);
    expect(of("valley board", /^t\/dormer1\//)).toEqual([]);
    expect(of("nailer", /^t\/dormer1\//)).toHaveLength(1);
  });
  it("meets the roof behind where both slopes say: height over the difference of the rises", () => {
    for (const covering of ["boards", "none"]) {
      const { of, l } = framed({ ...bare, covering, dormers: [low] });
      const seat = Math.min(l.wall, ((l.t.rafter.v / 3) * Math.hypot(12, 3)) / 3, (2 * l.plate) / 0.25);
      const { above } = birdsmouth(3, l.t.rafter.v, seat);
      const lift = (covering === "none" ? 0 : l.t.roofBoard.w) + l.t.casing.w;
      const run = (3.5 * FOOT + above - lift * Math.hypot(1, 0.75)) / K;
      for (const k of of("common rafter", /^t\/dormer1\//)) {
        expect(sizeOf([k], 1)).toBeCloseTo(9 * INCH + run, 6);
        // its upper end comes down to the nailer's top and no further
        const nailer = of("nailer", /^t\/dormer1\//)[0]!;
        expect(span([k], 2)[1]).toBeCloseTo(span([nailer], 2)[1], 6);
      }
    }
  });
  it("heads the rafters under it off, from the front's inside to below the nailer", () => {
    const { at, of } = framed({ ...bare, dormers: [low] });
    const [lower, upper] = [1, 2].map((n) => at(`main/roof/S/dormer1-header${n}`));
    expect(sizeOf([lower!, upper!], 0) / INCH).toBeCloseTo(96 - 2 * 2, 6);
    const nailer = of("nailer", /^t\/dormer1\//)[0]!;
    expect(span([upper!], 1)[0]).toBeLessThan(span([nailer], 1)[0]);
  });
  it("stands on the rafters under its cheeks, its corners under the front's plates", () => {
    const { of, at } = framed({ ...bare, dormers: [low] });
    const studs = of("stud", /dormer1-(left|right)/);
    const sides = (side: string) => studs.filter((k) => k.id.includes(`dormer1-${side}`));
    expect(sides("left").length).toBe(sides("right").length);
    expect(sides("left").length).toBeGreaterThanOrEqual(2);
    const corner = at("dormer1-front/corner/left");
    const plate = at("dormer1-front/plate/1");
    expect(Math.max(...cornersOf(corner).map((c) => c[2]))).toBeCloseTo(
      Math.min(...cornersOf(plate).map((c) => c[2])),
      6,
    );
    expect(sizeOf([plate], 0) / INCH).toBeCloseTo(96, 6);
  });
  it("is the same on the other slope, and its cheeks are each other's mirror image", () => {
    const of = (side: string) => {
      const { r } = framed({ ...bare, siding: "horizontal", cornerBoards: false, dormers: [{ ...low, side }] });
      return r.sticks.filter((k) => k.id.startsWith("t/dormer1"));
    };
    const volumes = (list: ReturnType<typeof of>, within: RegExp) =>
      list.filter((k) => within.test(k.id)).map((k) => volumeOf(k).toFixed(5)).sort(); // prettier-ignore
    const [front, back] = [of("front"), of("back")];
    expect(volumes(back, /./)).toEqual(volumes(front, /./));
    expect(volumes(front, /dormer1-left/)).toEqual(volumes(front, /dormer1-right/));
    expect(volumes(front, /dormer1-left\/course/).length).toBeGreaterThan(3);
  });
  it("has cheeks clad as large as the triangle between both roofs", () => {
    const { of, l } = framed({
      ...bare,
      covering: "boards",
      siding: "horizontal",
      cornerBoards: false,
      dormers: [low],
    });
    const seat = Math.min(l.wall, ((l.t.rafter.v / 3) * Math.hypot(12, 3)) / 3, (2 * l.plate) / 0.25);
    const high = 3.5 * FOOT + birdsmouth(3, l.t.rafter.v, seat).above - l.t.roofBoard.w * Math.hypot(1, 0.75);
    // over the edge of the front's boards too; the sharp ends of the topmost courses are not laid
    const area = (high + K * l.clad) ** 2 / (2 * K);
    const volume = sum(of("board", /dormer1-left\/course/).map(volumeOf));
    expect(volume).toBeLessThan(area * l.clad * 1.0005);
    expect(volume).toBeGreaterThan(area * l.clad * 0.96);
  });
  it("has its window's casing under the tails, which hang over its front", () => {
    const { at, l } = framed({ ...bare, casings: true, siding: "clapboard", dormers: [low] });
    const casing = Math.max(...cornersOf(at("dormer1-front/window/casing/head")).map((c) => c[2]));
    const { plate, above, k } = dormerSlope(l);
    const under = plate + above - k * l.proud - l.t.rafter.v * Math.hypot(1, k);
    expect(casing).toBeLessThan(under);
    expect(casing).toBeGreaterThan(under - 4 * INCH);
  });
});
/** The plane of the dormer's rafters over its plates. */
function dormerSlope(l: ReturnType<typeof framed>["l"]) {
  const main = l.main.slopes.S!;
  const seat = Math.min(l.wall, ((l.t.rafter.v / 3) * Math.hypot(12, 3)) / 3, (2 * l.plate) / 0.25);
  return {
    plate: main.plate + main.above + 0.75 * 2 * FOOT + 3.5 * FOOT,
    above: birdsmouth(3, l.t.rafter.v, seat).above,
    k: 0.25,
  };
}
