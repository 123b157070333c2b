import { describe, expect, it } from "vitest";
import { feet } from "../../units";
import { bill, FOOT, inInches, longOf, made } from "../golden.fixture";

// 90 ft in six panels of 15 ft, 15 ft deep: a 45° truss
const howe = { kind: "howe", position: "pony", span: feet(90), panels: 6, depth: feet(15) };

describe("a Howe pony bridge of six panels, counted by hand", () => {
  it("has panel points L0 to L6 and U1 to U5: five rods, four diagonals in pairs, two counters in the middle panels, two end posts", () => {
    const { of, counts } = made("truss", howe);
    // twice over: right and left
    expect(of("rod")).toHaveLength(2 * 5);
    expect(of("diagonal")).toHaveLength(2 * 4 * 2);
    expect(of("counter")).toHaveLength(2 * 2);
    expect(of("end post")).toHaveLength(2 * 2);
    expect(counts()).toMatchObject({ "floor beam": 7, "guard timber": 2, "bearing block": 4 });
    for (const k of of("rod")) expect(k.id).toMatch(/L(\d)-U\1$/);
  });
  it("leans its diagonals to the middle: L1-U2, L2-U3 on the left, mirrored on the right", () => {
    const { of } = made("truss", howe);
    const near = of("diagonal", /right\/diagonal.*near/).map((k) => k.id.split("/")[4]).sort(); // prettier-ignore
    expect(near).toEqual(["L1-U2", "L2-U3", "U3-L4", "U4-L5"]);
    // the diagonals of a Howe are pressed, those of a Pratt pulled: they lean the other way
    const pratt = made("truss", { ...howe, kind: "pratt" }).of("diagonal", /right\/diagonal.*near/).map((k) => k.id.split("/")[4]).sort(); // prettier-ignore
    expect(pratt).toEqual(["L3-U4", "L4-U5", "U1-L2", "U2-L3"]);
  });
  it("stands at 45°: a diagonal's line is √2 panels long, less what both chords take", () => {
    const { of } = made("truss", howe);
    for (const k of of("diagonal", /right/)) {
      const [dx, dz] = [Math.abs(k.axes.u[0]), Math.abs(k.axes.u[2])];
      expect(dx).toBeCloseTo(Math.SQRT1_2, 3);
      expect(dz).toBeCloseTo(Math.SQRT1_2, 3);
    }
    // between chords 12 in deep, cut along their faces: (15 ft − 12 in)·√2, and half of its own 10 in more at both ends
    for (const k of of("diagonal", /L1-U2|U4-L5/)) expect(longOf(k)).toBeCloseTo((180 - 12) * Math.SQRT2 + 10, 3);
  });
  it("has its rods plumb at every panel point, 15 ft apart", () => {
    const { of } = made("truss", howe);
    const x = of("rod", /right/).map((k) => k.axes.origin[0] / FOOT).sort((a, b) => a - b); // prettier-ignore
    x.slice(1).forEach((p, i) => expect(p - x[i]!).toBeCloseTo(15, 6));
    for (const k of of("rod")) expect(Math.abs(k.axes.u[2])).toBeCloseTo(1, 9);
  });
  it("is the same truss on both sides of the track, and the mirror image of itself across the middle", () => {
    const { sticks } = made("truss", howe);
    const side = (name: string): string[] => bill(sticks.filter((k) => k.id.startsWith(`t/span1/${name}/`)));
    expect(side("left")).toEqual(side("right"));
    const half = (points: RegExp): string[] => bill(sticks.filter((k) => points.test(k.id) && k.id.startsWith("t/span1/right/"))); // prettier-ignore
    expect(half(/L1-U2|L2-U3/)).toEqual(half(/U3-L4|U4-L5/));
  });
  it("carries ties from end to end, none past the other's middle: 14 in apart over 90 ft and what runs past", () => {
    const { of } = made("truss", howe);
    const x = of("tie").map((k) => { const [a, b] = inInches([k], 0); return (a + b) / 2; }).sort((a, b) => a - b); // prettier-ignore
    x.slice(1).forEach((p, i) => expect(p - x[i]!).toBeLessThan(14.01));
    expect(x.at(-1)! - x[0]!).toBeGreaterThan(88 * 12);
  });
  it("stands twice as a bridge of two spans, its sticks alike", () => {
    const [one, two] = [made("truss", howe), made("truss", { ...howe, spans: 2 })];
    expect(two.sticks).toHaveLength(2 * one.sticks.length);
    expect(bill(two.sticks.filter((k) => k.id.startsWith("t/span1/")))).toEqual(bill(two.sticks.filter((k) => k.id.startsWith("t/span2/")))); // prettier-ignore
  });
});

describe("trusses of other kinds, by their panel points", () => {
  it("a Warren of four panels has four top points between the bottom ones, and no verticals", () => {
    const { of, counts } = made("truss", { kind: "warren", position: "pony", span: feet(60), panels: 4, depth: feet(12), ends: "inclined" }); // prettier-ignore
    expect(counts()["rod"] ?? 0).toBe(0);
    expect(of("vertical")).toEqual([]);
    const lines = new Set(of("diagonal", /right/).map((k) => k.id.split("/")[4]!.replace(/\/.*/, "")));
    // end posts up at both ends; between them two diagonals to each inner bottom point
    expect(lines.size).toBe(2 * (4 - 1));
  });
  it("a king post has one post, two braces to the chord's middle; a queen post two posts and a straining beam", () => {
    const king = made("truss", { kind: "king", position: "pony", span: feet(30), depth: feet(10), trusses: false });
    expect(king.of("end post")).toHaveLength(2);
    expect([...king.of("rod"), ...king.of("vertical")]).toHaveLength(1);
    const queen = made("truss", { kind: "queen", position: "pony", span: feet(45), depth: feet(10), trusses: false });
    expect([...queen.of("rod"), ...queen.of("vertical")]).toHaveLength(2);
    expect(queen.of("top chord").length).toBeGreaterThan(0);
  });
});
