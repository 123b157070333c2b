import { describe, expect, it } from "vitest";
import { feet } from "../../../units";
import { cornersOf, FOOT, framed, INCH, sizeOf, sum, volumeOf } from "../building.fixture";
import type { BuildingValues } from "../parameters";

const shed: Partial<BuildingValues> = {
  length: feet(16),
  width: feet(12),
  wallHeight: feet(9),
  siding: "horizontal",
  cornerBoards: true,
};
const ROOFS = ["gable", "shed", "gambrel", "saltbox", "hip", "flat"] as const;

describe("corner boards", () => {
  it.each(ROOFS)("stand at both ends of every wall under a %s roof, two at each corner of the house", (roof) => {
    const { of, l } = framed({ ...shed, roof });
    const boards = of("corner board");
    expect(boards).toHaveLength(8);
    // the four corners of the framing, two boards within their own width of each
    const [p, q] = [l.main.p, l.main.q];
    for (const x of p)
      for (const y of q) {
        const near = boards.filter((k) => {
          const all = cornersOf(k);
          return all.every((c) => Math.abs(c[0] - x) < 8 * INCH && Math.abs(c[1] - y) < 8 * INCH);
        });
        expect([x, y, near.length]).toEqual([x, y, 2]);
      }
  });
  it.each(["gable", "gambrel", "saltbox"] as const)(
    "end under the slopes of a %s end, as high on its outer edge as the cladding there would",
    (roof) => {
      const { of } = framed({ ...shed, roof });
      for (const k of of("corner board", /\/(right|left)\/corner-board/)) {
        const z = cornersOf(k).map((c) => c[2]);
        // it reaches past the top plate, and is cut on the slope: its inner edge is higher
        expect(Math.max(...z)).toBeGreaterThan(9 * FOOT - 6 * INCH);
        expect(new Set(z.map((n) => n.toFixed(3))).size).toBeGreaterThan(2);
      }
    },
  );
  it("and the boards between them cover a gable's face from corner to corner, no strip left bare", () => {
    const { of, l, v } = framed({ ...shed, roof: "gable", gableOverhang: feet(0), casings: false });
    const wall = l.main.walls.find((w) => w.side === "E")!;
    const mine = of("board", /\/right\/course/);
    const corners = of("corner board", /\/right\/corner-board/);
    const thick = l.t.siding.w;
    const area = sum(mine.map((k) => volumeOf(k) / thick)) + sum(corners.map((k) => volumeOf(k) / l.t.cornerBoard.w)); // prettier-ignore
    // by hand: from one outer face of the long walls' corner boards to the other, from the foot to the slopes
    const all = [...mine, ...corners].flatMap(cornersOf);
    const wide = sizeOf([...mine, ...corners], 1);
    expect(wide).toBeCloseTo(wall.length + 2 * l.t.cornerBoard.w, 6);
    const foot = Math.min(...all.map((c) => c[2]));
    const eave = Math.max(...corners.flatMap(cornersOf).filter((c) => Math.abs(Math.abs(c[1]) - wide / 2) < 1e-6).map((c) => c[2])); // prettier-ignore
    const slope = v.rise / 12;
    expect(area).toBeCloseTo(wide * (eave - foot) + (wide * wide * slope) / 4, 1);
  });
});
