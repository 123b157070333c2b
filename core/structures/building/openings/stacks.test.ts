import { describe, expect, it } from "vitest";
import { feet } from "../../../units";
import { buildingCheck } from "../judgement/check";
import { FOOT, framed, INCH, span, values } from "../building.fixture";
import type { BuildingValues } from "../parameters";

/** An opening of the front wall without a flange or fit: what it is told is what is framed. */
const opening = (kind: "door" | "window", at: number, width: number, sill: number, height: number) =>
  ({ wall: "front", part: 0, kind, at, width, height, sill, mount: "inside", lap: 0 }) as const;
const two: Partial<BuildingValues> = {
  length: feet(24),
  width: feet(16),
  wallHeight: feet(18),
  fit: 0,
  header: "2×8",
  siding: "none",
  casings: false,
  seenRoof: true,
};
const names = (all: readonly { readonly id: string }[]): string[] =>
  all.map((k) => k.id.replace("t/front/", "")).sort();

describe("openings over each other", () => {
  it("a window over a window of the same width: one pair of kings, jacks on jacks, cripples between", () => {
    const { of, at } = framed({
      ...two,
      openings: [
        opening("window", feet(12), feet(3), feet(3), feet(4)),
        opening("window", feet(12), feet(3), feet(11), feet(4)),
      ],
    });
    expect(names(of("king stud", /front/))).toEqual(["opening1/king/left", "opening1/king/right"]);
    expect(of("header", /front/)).toHaveLength(4);
    expect(of("window sill", /front/)).toHaveLength(2);
    expect(of("jack stud", /front/)).toHaveLength(4);
    // the lower jack from the sole (2 in over the foot of the wall) to the head at 7 ft, the upper one from the top of the 8 in header to 15 ft
    const [low, high] = span([at("front/opening2/jack/left")], 2);
    expect(low).toBeCloseTo(7 * FOOT + 8 * INCH, 6);
    expect(high).toBeCloseTo(15 * FOOT, 6);
    const [foot, head] = span([at("front/opening1/jack/left")], 2);
    expect([foot, head]).toEqual([expect.closeTo(2 * INCH, 6), expect.closeTo(7 * FOOT, 6)]);
    // studs 16 in apart: the stations at 128, 144 and 160 in stand clear between the jacks at 126 and 162 in, each in three pieces:
    // sole to sill, header to sill, header to the two plates
    const cripples = of("cripple", /front/).map((k) => span([k], 2).map((z) => Math.round((z / INCH) * 100) / 100));
    const of3 = (z: readonly number[]): (readonly number[])[] => [z, z, z];
    expect(cripples.sort((x, y) => x[0]! - y[0]!)).toEqual([...of3([2, 34]), ...of3([92, 130]), ...of3([188, 212])]);
  });
  it("a narrow window over a wide door: its header runs the door's width, its jacks stand on the door's header", () => {
    const { of, at } = framed({
      ...two,
      openings: [
        opening("door", feet(12), feet(8), 0, feet(8)),
        opening("window", feet(12), feet(3), feet(11), feet(4)),
      ],
    });
    expect(of("king stud", /front/)).toHaveLength(2);
    const [a, b] = span([at("front/opening2/header/1")], 0);
    expect(b - a).toBeCloseTo(8 * FOOT + 4 * INCH, 6);
    const [c, d] = span([at("front/opening2/sill")], 0);
    expect(d - c).toBeCloseTo(3 * FOOT, 6);
    expect(span([at("front/opening2/jack/right")], 2)[0]).toBeCloseTo(8 * FOOT + 8 * INCH, 6);
    // beside the window studs run from the door's header to the window's
    expect(of("cripple", /front.*beside/).length).toBeGreaterThanOrEqual(2);
  });
  it("two windows side by side over one door: kings of their own between them, on the door's header", () => {
    const { of } = framed({
      ...two,
      openings: [
        opening("door", feet(12), feet(8), 0, feet(8)),
        opening("window", feet(10), feet(2.5), feet(11), feet(4)),
        opening("window", feet(14), feet(2.5), feet(11), feet(4)),
      ],
    });
    expect(names(of("king stud", /front/))).toEqual([
      "opening1/king/left",
      "opening1/king/right",
      "opening2/king/right",
      "opening3/king/left",
    ]);
    expect(of("jack stud", /front/)).toHaveLength(6);
  });
  it("stands in posts and girts, with flat headers, in three storeys, under boards and casings", () => {
    for (const over of [
      { framing: "posts" },
      { openingFrame: "flat" },
      { siding: "clapboard", casings: true, cornerBoards: true },
      { siding: "batten", casings: true },
      { lined: true },
      { seenFront: false },
    ] as Partial<BuildingValues>[])
      framed({
        ...two,
        wallHeight: feet(27),
        ...over,
        openings: [
          opening("door", feet(8), feet(4), 0, feet(7)),
          opening("window", feet(8), feet(3), feet(11), feet(4)),
          opening("window", feet(8.5), feet(3), feet(20), feet(4)),
          opening("window", feet(15), feet(3), feet(3), feet(4)),
          opening("window", feet(15), feet(3), feet(11), feet(4)),
        ],
      });
  });
  it("says how far apart they have to be, and what cannot stand over two", () => {
    const check = (openings: BuildingValues["openings"]): string[] => buildingCheck(values({ ...two, openings }));
    expect(
      check([opening("window", feet(12), feet(3), feet(3), feet(4)), opening("window", feet(12), feet(3), feet(7.25), feet(4))]).join(), // prettier-ignore
    ).toMatch(/have 0′-3″ between them; header, sill and trim need/);
    expect(
      check([
        opening("door", feet(10), feet(3), 0, feet(7)),
        opening("door", feet(14), feet(3), 0, feet(7)),
        opening("window", feet(12), feet(8), feet(11), feet(4)),
      ]).join(),
    ).toMatch(/stands over both opening 1 and opening 2/);
  });
});
