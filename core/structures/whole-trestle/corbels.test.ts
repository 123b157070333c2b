import { describe, expect, it } from "vitest";
import type { Resolved } from "../../frame";
import { feet, inches } from "../../units";
import { cornersOf, ctx, made, reach } from "../golden.fixture";
import { defaultsOf } from "../spec";
import { trestleCheck } from "./check";
import { trestleLayout } from "./layout";
import { trestleSpec, type TrestleValues } from "./parameters";

const level: Partial<Record<keyof TrestleValues, unknown>> = {
  groundBy: "heights",
  heights: [feet(20)],
  length: feet(60),
  spacing: feet(15),
  corbels: true,
  corbel: "12×12",
  corbelLength: feet(4),
  stringer: "8×16",
  plies: 3,
};
const curved = { ...level, curve: "model", modelRadius: 700, superelevation: inches(4) };
function framed(over: Partial<Record<keyof TrestleValues, unknown>>): {
  l: ReturnType<typeof trestleLayout>;
  of: (role: string, within?: RegExp) => Resolved[];
} {
  // prettier-ignore
  const { of } = made("trestle", over);
  return { l: trestleLayout({ ...defaultsOf(trestleSpec), ...over } as TrestleValues, ctx), of };
}
const heights = (k: readonly Resolved[]): readonly [number, number] => reach(k, 2);

describe("corbels", () => {
  it("lie two side by side under each pack of 3 plies of 8 in: five bents of four, as long as asked, those at the ends cut with the cap", () => {
    const { l, of } = framed(level);
    expect(of("corbel")).toHaveLength(5 * 2 * 2);
    const long = (k: Resolved): number => {
      const x = cornersOf(k).map((c) => c[0]);
      return Math.max(...x) - Math.min(...x);
    };
    for (const k of of("corbel", /bent[234]\//)) expect(long(k)).toBeCloseTo(l.mm(feet(4)), 6);
    // half of 4 ft, and half of a 12 in cap behind the end bent's middle
    for (const k of of("corbel", /bent[15]\//)) expect(long(k)).toBeCloseTo(l.mm(feet(2.5)), 6);
    // cap, corbel 12 in, stringer 16 in, tie: base of rail is 0
    const [under, top] = heights(of("corbel"));
    expect(top - under).toBeCloseTo(l.mm(inches(12)), 6);
    expect(top).toBeCloseTo(-l.timbers.tie.v - l.mm(inches(16)), 6);
    expect(heights(of("cap"))[1]).toBeCloseTo(under, 6);
  });
  it("lie on the shims that raise the outer rail: the lowest shim's thin end is an inch, the rails 4 in apart in height", () => {
    for (const hand of ["left", "right"])
      for (const stringerSet of ["straight", "laminated"]) {
        const { l, of } = framed({ ...curved, hand, superBy: "shims", stringerSet });
        expect(of("shim")).toHaveLength(10);
        expect(of("corbel")).toHaveLength(20);
        const cap = heights(of("cap", /bent3\//))[1];
        const shims = of("shim", /bent3\//).map((k) => heights([k])[1] - cap);
        // the raised side is the outer one: the right of a curve to the left
        const right = heights(of("shim", /bent3\/shim\/track1\/right/))[1] - cap;
        expect(right).toBeCloseTo(hand === "left" ? Math.max(...shims) : Math.min(...shims), 9);
        // between the two rails' shims lies the superelevation
        expect(Math.abs(shims[0]! - shims[1]!)).toBeCloseTo(l.mm(inches(4)) * Math.cos(l.cant), 1);
        for (const k of of("corbel")) expect(k.parts.length).toBeGreaterThan(0);
      }
  });
  it("lie along the track also on a skew bent, beside each other", () => {
    for (const skewStart of [20, -20])
      for (const over of [level, { ...curved, superBy: "shims" }, { ...curved, superBy: "tilt" }]) {
        const { of } = framed({ ...over, skewStart });
        const [a, b] = of("corbel", /bent1\/corbel\/track1\/left/).map((k) => k.axes.u);
        expect(a![1] / a![0]).toBeCloseTo(b![1] / b![0], 9);
        expect(of("corbel", /bent1\//)).toHaveLength(4);
      }
  });
});

describe("a trestle's end bents skewed", () => {
  it("stand on shims", () => {
    expect(framed({ ...curved, corbels: false, superBy: "shims", skewStart: 25 }).of("shim", /bent1\//)).toHaveLength(2); // prettier-ignore
  });
  it("take braces on round piles up to 15°, and say so beyond", () => {
    const piles = { ...level, corbels: false, bentKind: "pile", pileSize: "⌀12", braces: "every" };
    for (const skewStart of [15, -15]) expect(framed({ ...piles, skewStart }).of("longitudinal brace").length).toBeGreaterThan(4); // prettier-ignore
    const v = { ...defaultsOf(trestleSpec), ...piles, skewStart: 20 } as TrestleValues;
    expect(trestleCheck(v, ctx).join()).toMatch(/skewed by more than 15° find no flat/);
  });
});
