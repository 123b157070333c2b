import { describe, expect, it } from "vitest";
import { boundsOf, volumeOf } from "../../../geometry";
import { feet, inches } from "../../../units";
import { contextOf } from "../../fromSpec.fixture";
import { faultsOf } from "../../sound.fixture";
import { buildingCheck } from "./check";
import { buildingFrame } from "../frame";
import { FOOT, framed, INCH, values } from "../building.fixture";

const volume = (k: { readonly parts: readonly Parameters<typeof volumeOf>[0][] }): number =>
  k.parts.reduce((v, p) => v + volumeOf(p), 0);

describe("a strip foundation", () => {
  it("goes all round: long sides, a middle one, and ends between them", () => {
    // 24 × 16 ft on strips 8 in wide from the sill beams' underside to level ground
    const { of, l } = framed({ length: feet(24), width: feet(16), foundation: "strip", pier: "8×8", sillBeam: "6×6", groundDepth: feet(4) }); // prettier-ignore
    const strips = of("foundation");
    // the middle strip parts each end in two
    expect(strips.map((k) => k.id.replace(/^.*\//, "")).sort()).toEqual(["1", "2", "3", "end11", "end12", "end21", "end22"]); // prettier-ignore
    const { min, max } = boundsOf(strips.flatMap((k) => k.parts));
    expect(max[0] - min[0]).toBeCloseTo(24 * FOOT, 6);
    expect(max[1] - min[1]).toBeCloseTo(16 * FOOT, 6);
    const high = max[2] - min[2];
    expect(min[2]).toBeCloseTo(l.ground(0, 0), 6);
    // three of 24 ft, and two ends of 16 ft less three widths
    const plan = (3 * 24 * 12 + 2 * (16 * 12 - 3 * 8)) * 8 * INCH * INCH;
    expect(strips.reduce((v, k) => v + volume(k), 0)).toBeCloseTo(plan * high, 3);
  });
  it("falls with the ground at its ends, too", () => {
    const { of } = framed({ length: feet(24), width: feet(12), foundation: "strip", groundDepth: feet(3), groundFall: feet(1) }); // prettier-ignore
    const low = of("foundation", /end/).map((k) => boundsOf(k.parts).min[2]);
    expect(Math.max(...low) - Math.min(...low)).toBeGreaterThan(0.8 * FOOT);
  });
});

describe("a flat roof under sheet", () => {
  it("is one sheet on the joists from wall to wall, inside the parapet", () => {
    const { of, l, v } = framed({ length: feet(24), width: feet(16), roof: "flat", covering: "sheet", roofSheet: 1 });
    const [sheet, ...more] = of("roof sheet");
    expect(more).toEqual([]);
    expect(volume(sheet!)).toBeCloseTo((24 * FOOT - 2 * l.wall) * (16 * FOOT - 2 * l.wall) * 1, 6);
    expect(boundsOf(sheet!.parts).min[2]).toBeCloseTo(l.mm(v.wallHeight), 9);
    expect(of("roof board")).toEqual([]);
  });
  it("is boards where it is boarded, and sheet again where nobody sees it", () => {
    expect(framed({ roof: "flat", covering: "boards" }).of("roof sheet")).toEqual([]);
    expect(framed({ roof: "flat", covering: "boards", seenRoof: false }).of("roof sheet")).toHaveLength(1);
  });
});

describe("a stair up to a floor alone", () => {
  const alone = { framing: "none", roof: "none", length: feet(18), width: feet(18), foundation: "posts", groundDepth: feet(5) } as const; // prettier-ignore
  const row = { side: "front", at: feet(6), out: 0, width: feet(4), level: 0, tread: inches(10), riser: inches(7.5), rail: true }; // prettier-ignore
  for (const side of ["front", "right", "back", "left"])
    it(`stands outside its ${side} side, as many treads as its rise asks for`, () => {
      // 5 ft are eight risers of 7½ in: seven treads
      const { of, l } = framed({ ...alone, stairs: [{ ...row, side }] });
      const treads = of("tread");
      expect(treads).toHaveLength(7);
      const axis = side === "front" || side === "back" ? 1 : 0;
      const sign = side === "front" || side === "left" ? -1 : 1;
      const { min, max } = boundsOf(treads.flatMap((k) => k.parts));
      const inner = sign < 0 ? max[axis] : min[axis];
      expect(inner * sign).toBeCloseTo(9 * FOOT + l.proud, 6);
      // its middle 6 ft from the left end of the side, seen from outside
      const along = ((min[1 - axis]! + max[1 - axis]!) / 2) * (side === "front" || side === "left" ? 1 : -1);
      expect(along * (axis === 0 ? -1 : 1)).toBeCloseTo(-3 * FOOT, 6);
    });
  it("past the end of a side is refused", () =>
    expect(buildingCheck(values({ ...alone, stairs: [{ ...row, at: feet(17) }] })).join(" ")).toMatch(
      /Stair 1 reaches past the end of the front side; move it in\./,
    ));
});

describe("lookouts", () => {
  const gable = { length: feet(16), width: feet(12), gableOverhang: feet(1), rafter: "2×6", lookout: "2×4" };
  it("are let into the gable's rafter and reach the first one inside", () => {
    const { of } = framed(gable);
    const inside = of("lookout").map((k) => boundsOf(k.parts).max[0] - boundsOf(k.parts).min[0]);
    // 12 in over the end and a rafter space of 2 ft, less the barge rafter
    expect(Math.min(...inside)).toBeGreaterThan(2 * FOOT);
  });
  it("of stock that would cut it through are stubs on its outside", () => {
    const context = contextOf({ scale: "N", milling: "full-sawn", series: ["inch"] });
    const { faults, resolved } = faultsOf(buildingFrame(values(gable), context), true);
    expect(faults).toEqual([]);
    const long = resolved.sticks
      .filter((k) => k.member.role === "lookout")
      .map((k) => boundsOf(k.parts).max[0] - boundsOf(k.parts).min[0]);
    expect(long.length).toBeGreaterThan(0);
    expect(Math.max(...long)).toBeLessThan(304.8 / 160);
  });
});
