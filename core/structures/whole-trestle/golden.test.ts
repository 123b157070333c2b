import { describe, expect, it } from "vitest";
import { feet, inches } from "../../units";
import { bill, inInches, longOf, made, sum, cubicInches } from "../golden.fixture";

// 60 ft in four bays of 15 ft, bents 20 ft high; three stringer plies of 8×16 two bays long under each rail, ties of 8×8
const level = { groundBy: "heights", heights: [feet(20)], length: feet(60), spacing: feet(15), tieSpacing: inches(14), walkway: "none", refugeEvery: 0, barrelEvery: 0, bulkheads: false } as const; // prettier-ignore

describe("a level trestle of four bays, counted by hand", () => {
  it("has five bents of a cap, a sill and four posts, 15 ft apart", () => {
    const { of } = made("trestle", level);
    for (const [role, n] of [["cap", 5], ["sill", 5], ["batter post", 20], ["mudsill", 20]] as const) expect(of(role), role).toHaveLength(n); // prettier-ignore
    const x = of("cap").map((k) => (inInches([k], 0)[0] + inInches([k], 0)[1]) / 2).sort((a, b) => a - b); // prettier-ignore
    expect(x.map((p) => Math.round(p))).toEqual([-360, -180, 0, 180, 360]);
  });
  it("has 2 × 3 plies whose joints lie over caps and are staggered by a bay", () => {
    const { of } = made("trestle", level);
    const plies = of("stringer");
    const joints = (ply: number): number[] =>
      plies
        .filter((k) => k.id.includes(`/right/ply${ply}/`))
        .map((k) => Math.round(inInches([k], 0)[0]))
        .sort((a, b) => a - b);
    // a ply two bays long begins at the first cap's outer side, 6 in before the bent's middle; the middle of the track is at 0
    expect(joints(1)[0]).toBe(-366);
    const inner = [1, 2, 3].map((k) => joints(k).slice(1));
    for (const at of inner.flat()) expect([-180, 0, 180]).toContain(at);
    // of three plies two bays long two share their joints, the third has them a bay on
    expect(inner).toEqual([[0], [0], [-180, 180]]);
    // all of a rail's plies together are as long as the track and both caps' halves
    expect(sum(plies.filter((k) => /right\/ply1/.test(k.id)).map(longOf))).toBeCloseTo(720 + 12, 3);
    expect(sum(plies.map(cubicInches))).toBeCloseTo(6 * 732 * 8 * 16, 0);
  });
  it("has its plies under the rails: packs 24 in wide, their middles as far apart as the rail heads", () => {
    const { of } = made("trestle", level);
    const [r, l] = ["right", "left"].map((s) => inInches(of("stringer", new RegExp(`/${s}/`)), 1));
    expect(r![1] - r![0]).toBeCloseTo(24, 3);
    // 4 ft 8½ in and a head of 2½ in
    expect((l![0] + l![1] - r![0] - r![1]) / 2).toBeCloseTo(59, 3);
  });
  it("has ties 14 in apart over all of it, 10 ft long, across the track", () => {
    const { of } = made("trestle", level);
    const x = of("tie").map((k) => (inInches([k], 0)[0] + inInches([k], 0)[1]) / 2).sort((a, b) => a - b); // prettier-ignore
    x.slice(1).forEach((p, i) => expect(p - x[i]!).toBeCloseTo(14, 3));
    expect(x).toHaveLength(Math.floor((732 - 8) / 14) + 1);
    for (const k of of("tie")) expect(longOf(k)).toBeCloseTo(120, 3);
  });
  it("has sway braces on both faces of every bent, crossed; longitudinal braces in alternate bays", () => {
    const { of } = made("trestle", { ...level, braces: "alternate" });
    expect(of("sway brace")).toHaveLength(10);
    const every = made("trestle", { ...level, braces: "every" }).of("longitudinal brace").length;
    expect(of("longitudinal brace")).toHaveLength(every / 2);
    expect(made("trestle", { ...level, braces: "none" }).of("longitudinal brace")).toEqual([]);
    const [front, back] = ["front", "back"].map((f) => of("sway brace", new RegExp(`bent3/.*${f}`))[0]!);
    // one rises to the left where the other rises to the right
    expect(Math.sign(front!.axes.u[1] * front!.axes.u[2])).toBe(-Math.sign(back!.axes.u[1] * back!.axes.u[2]));
  });
  it("with a bulkhead at both ends closes what lies behind the end bents", () => {
    const { of } = made("trestle", { ...level, bulkheads: true });
    const ends = [/bent1\//, /bent5\//].map((b) => of("bulkhead plank", b));
    expect(ends[0]!.length).toBe(ends[1]!.length);
    expect(ends[0]!.length).toBeGreaterThan(0);
    expect(of("bulkhead plank", /bent[234]\//)).toEqual([]);
  });
});

describe("a trestle on a curve", () => {
  const curved = { ...level, curve: "model", modelRadius: 700 };
  it("to the left is the mirror image of one to the right, canted or not", () => {
    for (const over of [curved, { ...curved, superelevation: inches(4) }]) // prettier-ignore
      expect(bill(made("trestle", { ...over, hand: "left" }).sticks)).toEqual(bill(made("trestle", { ...over, hand: "right" }).sticks)); // prettier-ignore
  });
  it("takes as much wood either way where braces and joints are not mirrored: on shims, of laminations", () => {
    for (const over of [
      { ...curved, superelevation: inches(4), superBy: "shims" },
      { ...curved, stringerSet: "laminated" },
    ]) {
      // prettier-ignore
      const [left, right] = ["left", "right"].map((hand) => made("trestle", { ...over, hand }));
      expect(left!.counts()).toEqual(right!.counts());
      for (const role of Object.keys(left!.counts()))
        expect(sum(left!.of(role).map(cubicInches)) / sum(right!.of(role).map(cubicInches)), role).toBeCloseTo(1, 4);
    }
  });
  it("has longer outer stringers than inner ones by the chord's share: (R + 29.5 in) over (R − 29.5 in)", () => {
    const { of } = made("trestle", { ...curved, hand: "left" });
    const long = (side: string): number => sum(of("stringer", new RegExp(`/${side}/ply2/`)).map(longOf));
    // model radius to prototype inches at 1:87.1
    const R = (700 * 87.1) / 25.4;
    expect(long("right") / long("left")).toBeCloseTo((R + 29.5) / (R - 29.5), 2);
  });
});
describe("a trestle on a grade", () => {
  it("up is the mirror image of one down", () => {
    const up = made("trestle", { ...level, grade: 2 });
    const down = made("trestle", { ...level, grade: -2 });
    expect(bill(up.of("cap"))).toEqual(bill(down.of("cap")));
    expect(bill(up.of("stringer"))).toEqual(bill(down.of("stringer")));
  });
});
