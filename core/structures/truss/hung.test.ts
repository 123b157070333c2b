import { describe, expect, it } from "vitest";
import { feet, inches } from "../../units";
import { reach } from "../golden.fixture";
import { defaultsOf } from "../spec";
import { faultsOf, fullSawn } from "../sound.fixture";
import { trussCheck } from "./check";
import { topologyOf } from "./counters";
import { forcesOf } from "./forces";
import { trussFrame } from "./frame";
import { outlineOf } from "./layout";
import { trussSpec, type TrussValues } from "./parameters";

const ctx = fullSawn();
// HO: 3.5 mm to the foot
const FOOT = 3.5;
// 120 ft in eight panels of 15, 24 ft deep in the middle and 14 at the first panel points
const values = (v: Partial<Record<keyof TrussValues, unknown>> = {}): TrussValues =>
  ({ ...defaultsOf(trussSpec), kind: "polygonal", position: "deck", slopes: "5", panels: 8, span: feet(120), depth: feet(24), hipDepth: feet(14), counters: "none", ...v }) as TrussValues; // prettier-ignore
const stand = (v: Partial<Record<keyof TrussValues, unknown>> = {}) => {
  expect(trussCheck(values(v), ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(trussFrame(values(v), ctx));
  expect(faults).toEqual([]);
  return resolved;
};
describe("a polygonal truss below its deck", () => {
  it("has its level chord on top, from bearing to bearing, and the polygon as far below it as it would stand over a floor", () => {
    const t = topologyOf(outlineOf(values()));
    const upright = topologyOf(outlineOf(values({ position: "through" })));
    expect(t.supports).toEqual(["U0", "U8"]);
    for (let i = 0; i <= 8; i++) expect(t.points[`U${i}`]).toEqual([expect.closeTo(i * feet(15), 6), 0]);
    for (let i = 1; i <= 7; i++) {
      expect(t.points[`L${i}`]![0]).toBeCloseTo(i * feet(15), 6);
      expect(t.points[`L${i}`]![1]).toBeCloseTo(-upright.points[`U${i}`]![1], 6);
    }
    expect(t.points["L1"]![1]).toBeCloseTo(-feet(14), 6);
    expect(t.points["L4"]![1]).toBeCloseTo(-feet(24), 6);
  });
  it("is pressed in its upper chord by the moment over the depth, and pulled in the lower one and the end posts", () => {
    const f = forcesOf(outlineOf(values()));
    if (!f.ok) throw new Error(f.reason);
    const of = (id: string): number => f.forces.get(id)!;
    // loads of 1 at seven points: bearings of 3.5; about L4, 3.5·4 − 3 − 2 − 1 = 8 panels of 15 ft over 24 ft
    expect(of("top/U3-U4")).toBeCloseTo((-8 * 15) / 24, 6);
    expect(of("bottom/L4-L5")).toBeGreaterThan(0);
    // the first panel: 3.5 down the end post, at 14 ft in 15
    expect(of("bottom/U0-L1")).toBeCloseTo((3.5 * Math.hypot(14, 15)) / 14, 6);
    expect(of("top/U0-U1")).toBeCloseTo((-3.5 * 15) / 14, 6);
    expect(of("diagonal/U1-L2")).toBeGreaterThan(0);
    expect(of("vertical/L4-U4")).toBeCloseTo(-1, 6);
  });
  it("stands on blocks under the ends of its upper chord, outside of the end posts", () => {
    const { sticks } = stand();
    const blocks = sticks.filter((k) => k.member.role === "bearing block");
    const chords = sticks.filter((k) => k.member.role === "top chord");
    expect(blocks).toHaveLength(4);
    expect(reach(blocks, 2)[1]).toBeCloseTo(reach(chords, 2)[0], 6);
    for (const b of blocks) {
      const [from, to] = reach([b], 0);
      expect(Math.min(Math.abs(from), Math.abs(to))).toBeGreaterThan(60 * FOOT);
    }
    // the chord reaches over them
    const [from, to] = reach(chords, 0);
    const [bf, bt] = reach(blocks, 0);
    expect(from).toBeLessThanOrEqual(bf + 1e-6);
    expect(to).toBeGreaterThanOrEqual(bt - 1e-6);
    // nothing else than the deck stands over it
    const deck = sticks.filter((k) => /tie|guard|stringer|floor beam/.test(k.member.role));
    expect(reach(deck, 2)[0]).toBeCloseTo(reach(chords, 2)[1], 6);
  });
  it("is the mirror image of itself across the middle, and of the other truss across the track", () => {
    const { sticks } = stand();
    const posts = sticks.filter((k) => k.member.role === "end post");
    expect(posts).toHaveLength(4);
    const [x0, x1] = reach(posts, 0);
    const [y0, y1] = reach(posts, 1);
    expect(x0 + x1).toBeCloseTo(0, 6);
    expect(y0 + y1).toBeCloseTo(0, 6);
    const lengths = posts.map((k) => (reach([k], 2)[1] - reach([k], 2)[0]).toFixed(6));
    expect(new Set(lengths).size).toBe(1);
  });
  it.each([{ slopes: "7" }, { floor: "ties" }, { spans: 2, piers: "all" }, { gussets: true }, { camber: inches(4) }, { vertical: "⌀2" }, { chordShape: "I", chord: "12×18", plate: 2 }])("is sound with %j", (v) => void stand(v)); // prettier-ignore
});
