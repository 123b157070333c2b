import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cross, dot, normalize, sub, length, type Vec3 } from "../geometry";
import { inches } from "../units";
import {
  birdsmouth,
  commonRafter,
  flight,
  flightInRun,
  hipJacks,
  hipRafter,
  hipRoof,
  jackDifference,
  rafterTable,
  stairRemarks,
} from ".";
import { SQUARE } from "./framingSquare.fixture";

// the table's last digit is rounded or cut
const HUNDREDTH = 0.0101;

describe("the rafter table", () => {
  it.each(SQUARE)("at %d in 12 is the framing square's", (rise, common, hip, jack16, jack24, side, hipSide) => {
    const t = rafterTable(rise);
    const near = (a: number, b: number): void => expect(Math.abs(a - b)).toBeLessThan(HUNDREDTH);
    near(t.common, common);
    near(t.hip, hip);
    near(jackDifference(rise, 16), jack16);
    near(jackDifference(rise, 24), jack24);
    near(t.jackSide, side);
    near(t.hipSide, hipSide);
  });
  it.each([
    [4, 12.92],
    [6, 18.43],
    [8, 23.09],
    [12, 30],
  ])("backs a hip at %d in 12 by %d°", (rise, angle) => {
    expect(rafterTable(rise).backing).toBeCloseTo(angle, 2);
  });
  it("backs and cheeks as the roof planes themselves say, at any slope", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 30, noNaN: true }), (rise) => {
        const t = rafterTable(rise);
        // two planes that meet in the hip over a corner at the origin, its run along (1, 1)
        const [p, q]: Vec3[] = [normalize([-rise, 0, 12]), normalize([0, -rise, 12])];
        const hip = normalize(cross(p!, q!));
        const plumb = normalize(cross(hip, [0, 0, 1]));
        const square = normalize(cross(plumb, hip));
        const between = (a: Vec3, b: Vec3): number =>
          (Math.acos(Math.min(1, Math.abs(dot(normalize(a), normalize(b))))) * 180) / Math.PI;
        expect(between(p!, square)).toBeCloseTo(t.backing, 6);
        // a jack's top edge lies in a roof plane and meets the hip there
        expect(between(cross([0, 1, 0], p!), hip)).toBeCloseTo(90 - t.jackCheek, 6);
        // a hip's own top edge, not yet backed, meets the side of the ridge
        expect(between(cross([0, 1, 0], square), hip)).toBeCloseTo(90 - t.hipCheek, 6);
        expect(between(hip, [1, 1, 0])).toBeCloseTo(t.hipSlope, 6);
      }),
    );
  });
  it("refuses a flat roof", () => expect(() => rafterTable(0)).toThrow(/above 0/));
});

describe("rafters", () => {
  const span = fc.record({
    rise: fc.double({ min: 1, max: 24, noNaN: true }),
    run: fc.double({ min: 20, max: 400, noNaN: true }),
    overhang: fc.double({ min: 0, max: 36, noNaN: true }),
    ridge: fc.double({ min: 0, max: 4, noNaN: true }),
    hip: fc.double({ min: 0.5, max: 4, noNaN: true }),
  });
  it("are as long as the lines between their points in space", () => {
    fc.assert(
      fc.property(span, (s) => {
        const z = (run: number): number => (run * s.rise) / 12;
        const far = (a: Vec3, b: Vec3): number => length(sub(a, b));
        const common = commonRafter(s);
        expect(common.theoretical).toBeCloseTo(far([0, 0, 0], [s.run, 0, z(s.run)]), 6);
        expect(common.cut).toBeCloseTo(
          far([-s.overhang, 0, z(-s.overhang)], [s.run - s.ridge / 2, 0, z(s.run - s.ridge / 2)]),
          6,
        );
        const top = s.run - s.ridge / 2;
        expect(hipRafter(s).cut).toBeCloseTo(far([-s.overhang, -s.overhang, z(-s.overhang)], [top, top, z(top)]), 6);
      }),
    );
  });
  it("jacks grow by the table's difference and stop short of the ridge", () => {
    fc.assert(
      fc.property(span, fc.double({ min: 6, max: 30, noNaN: true }), (s, spacing) => {
        const jacks = hipJacks(s, spacing);
        jacks.slice(1).forEach((j, i) => expect(j.cut - jacks[i]!.cut).toBeCloseTo(jackDifference(s.rise, spacing), 6));
        for (const j of jacks) {
          expect(j.at).toBeLessThan(s.run);
          // its centre line ends half the hip's thickness, measured square to the hip, before the hip's own centre line
          const endAt = (j.cut - j.tail) / (rafterTable(s.rise).common / 12);
          expect((j.at - endAt) * Math.SQRT1_2).toBeCloseTo(s.hip / 2, 6);
        }
      }),
    );
  });
  it("sit on their plate: at 6 in 12 a 2×6 with a seat of 4 in keeps 4.21 in of its depth", () => {
    const b = birdsmouth(6, 6, 4);
    expect(b.heel).toBe(2);
    expect(b.above).toBeCloseTo(6 * Math.sqrt(1.25) - 2, 9);
    expect(b.left).toBeCloseTo(6 - 2 / Math.sqrt(1.25), 9);
    expect(() => birdsmouth(12, 4, 6)).toThrow(/goes through/);
  });
});

describe("a hip roof", () => {
  it("over 12 × 16 ft walls with 1 ft of overhang at 6 in 12 is the worked one", () => {
    for (const [length, width] of [
      [16, 12],
      [12, 16],
    ] as const) {
      const r = hipRoof({ length, width, overhang: 1, rise: 6 });
      expect(r.ridge).toBe(4);
      expect(r.common).toBeCloseTo(7.826, 3);
      expect(r.hip).toBeCloseTo(10.5, 9);
      expect(r.side).toBeCloseTo(86.09, 2);
      expect(r.end).toBeCloseTo(54.78, 2);
      expect(r.area).toBeCloseTo(252 * 1.118034, 3);
    }
  });
  it("covers its plan at its slope, to a ridge or to a point", () => {
    const side = fc.double({ min: 4, max: 90, noNaN: true });
    fc.assert(
      fc.property(
        side,
        side,
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.integer({ min: 2, max: 18 }),
        (l, w, o, rise) => {
          const plan = (l + 2 * o) * (w + 2 * o);
          expect(hipRoof({ length: l, width: w, overhang: o, rise }).area / plan).toBeCloseTo(
            rafterTable(rise).common / 12,
            9,
          );
        },
      ),
    );
    expect(hipRoof({ length: 10, width: 10, overhang: 0, rise: 8 }).ridge).toBe(0);
  });
});

describe("stairs", () => {
  it("rise 8 ft 9 in by fifteen risers of 7 in, and stride 24 in with a tread of 10", () => {
    const f = flight(inches(105), inches(10));
    expect(f.risers).toBe(15);
    expect(f.riser / 25.4).toBeCloseTo(7, 9);
    expect(f.treads).toBe(14);
    expect(f.run / 25.4).toBeCloseTo(140, 9);
    expect(stairRemarks(f)).toEqual([]);
  });
  it("land: the risers make up the rise, the treads the run", () => {
    const mm = fc.double({ min: 400, max: 9000, noNaN: true });
    fc.assert(
      fc.property(mm, mm, (rise, run) => {
        const f = flightInRun(rise, run);
        expect(f.risers * f.riser).toBeCloseTo(rise, 6);
        expect(f.treads * f.tread).toBeCloseTo(run, 6);
        expect(Math.abs(f.riser - inches(7))).toBeLessThan(inches(7) / (2 * f.risers - 1) + 1e-6);
      }),
    );
    expect(() => flightInRun(inches(8), 300)).toThrow(/single step/);
  });
  it("steeper than the code's are told, not refused (IRC R311.7.5)", () => {
    expect(stairRemarks(flight(inches(80), inches(10), inches(8))).join()).toMatch(
      /8.00 in are higher than the 7.75 in/,
    );
    expect(stairRemarks(flight(inches(70), inches(9))).join()).toMatch(/9.00 in are shallower than the 10.00 in/);
  });
});
