import { describe, expect, it } from "vitest";
import { feet, inches } from "../../../units";
import { framed, FOOT, INCH, sizeOf } from "../building.fixture";
import { buildsOf } from "../builds";
import type { BuildingValues } from "../parameters";

const stair = (side: string, at: number) => ({ side, at: feet(at), out: 0, width: feet(4), level: 0, tread: inches(10), riser: inches(7.5), rail: false }); // prettier-ignore
const deck = (over: Partial<BuildingValues>) =>
  framed({ framing: "none", roof: "none", openings: [], length: feet(18), width: feet(16), floor: "under", foundation: "posts", groundDepth: feet(4), ...over } as never); // prettier-ignore

describe("a stair that leads to a floor without walls", () => {
  it.each(["front", "right", "back", "left"])("at its %s is put together by itself, seen from its side", (side) => {
    const { l, r } = deck({ stairs: [stair(side, 6)] as never });
    const build = buildsOf(l).find((b) => b.id === "stair1")!;
    const own = r.sticks.filter((k) => build.has(k));
    expect(own.length).toBeGreaterThan(5);
    // two stringers, and a tread for each rise but the last, which is the floor
    const treads = own.filter((k) => k.member.role === "tread");
    expect(own.filter((k) => /stringer/.test(k.member.role))).toHaveLength(2);
    expect(treads.length).toBe(Math.round((4 * 12) / 7.5) - 1);
    // it is looked at along its treads
    const along = side === "front" || side === "back" ? 0 : 1;
    expect(Math.abs(build.eye[along])).toBeCloseTo(1, 9);
    expect(Math.abs(build.right[1 - along]!)).toBeCloseTo(1, 9);
    expect(sizeOf([treads[0]!], along) / FOOT).toBeCloseTo(4, 1);
    expect(sizeOf([treads[0]!], 2)).toBeLessThan(3 * INCH);
  });
});
