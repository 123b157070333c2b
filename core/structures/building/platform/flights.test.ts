import { describe, expect, it } from "vitest";
import { feet, inches, toModel, prototype } from "../../../units";
import { ctx, framed, values } from "../building.fixture";
import { buildingFrame } from "../frame";
import { buildingLayout } from "../plan/layout";
import { stairOf } from "../platform/stairs";

describe("stairs", () => {
  it("down a hill steeper than they are end in a sentence at once, not in millions of treads", () => {
    const row = { side: "back", at: feet(6), width: feet(3), level: 0, out: 0, riser: inches(3), tread: inches(24), rail: false } as const; // prettier-ignore
    const v = values({ stairs: [row], groundDepth: feet(2), groundBack: 40, foundation: "posts" });
    const start = performance.now();
    expect(() => buildingFrame(v, ctx)).toThrow(/^Stair on the back: the ground falls away faster than its treads go down, so its foot stands nowhere/); // prettier-ignore
    expect(performance.now() - start).toBeLessThan(5000);
  });
  it("land exactly: the last tread is a riser under the level, its stringers end at the landing", () => {
    const row = {
      side: "front",
      at: feet(8),
      out: feet(0),
      width: feet(4),
      level: feet(0),
      tread: inches(11),
      riser: inches(7),
      rail: true,
    };
    const { v, r } = framed({ stairs: [row], groundDepth: feet(4, 1), foundation: "posts" });
    const l = buildingLayout(v, ctx);
    const s = stairOf(l, row);
    // by hand: 49 in in seven risers of 7 in, six treads of 11 in, a run of 66 in
    expect(s.flight).toMatchObject({ risers: 7, treads: 6 });
    expect(s.flight.run).toBeCloseTo(inches(66), 6);
    const treads = r.sticks.filter((k) => k.member.role === "tread");
    const tops = treads
      .map((k) => Math.max(...k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => c[2])))))
      .sort((a, b) => a - b);
    tops.forEach((z, i) => expect(z).toBeCloseTo(toModel(ctx.scale, prototype(inches(-49) + (i + 1) * inches(7))), 6));
  });
});

describe("a stair's railing", () => {
  // [feet and inches to the ground, treads, posts to a side]: 6 in risers and 12 in treads are 13.4 in along the flight
  it.each([
    [feet(2), 3, 2],
    [feet(3), 5, 2],
    [feet(6), 11, 3],
    [feet(9), 17, 4],
  ] as const)("of a flight of %i mm has a post at each end and none further apart than 6 ft", (deep, treads, posts) => {
    const row = { side: "front", at: feet(8), out: feet(0), width: feet(4), level: feet(0), tread: inches(12), riser: inches(6), rail: true } as const; // prettier-ignore
    const { of } = framed({ stairs: [row], groundDepth: deep, foundation: "posts" });
    expect(of("tread")).toHaveLength(treads);
    // by hand: the whole number of bays of at most 72 in that the run between the outer treads parts into, and one more
    expect(Math.ceil(((treads - 1) * Math.hypot(6, 12)) / 72) + 1).toBe(posts);
    expect(of("rail post")).toHaveLength(2 * posts);
    expect(of("railing")).toHaveLength(2);
  });
});
