import { describe, expect, it } from "vitest";
import { feet, inches } from "../../../units";
import { FOOT, INCH, cornersOf, framed, span, sum, values, volumeOf } from "../building.fixture";
import { buildingCheck } from "../judgement/check";
import type { BuildingValues } from "../parameters";

const depot: Partial<BuildingValues> = {
  length: feet(30),
  width: feet(20),
  wallHeight: feet(13),
  siding: "none",
  casings: false,
  cornerBoards: false,
  floor: "under",
  fit: 0,
};
const bay = { kind: "bay", side: "front", at: feet(9), length: feet(12), depth: feet(3), height: feet(9) };
const square = { ...depot, baySlant: 90, wings: [bay] };

describe("a square bay", () => {
  it("is a rectangle of 12 by 3 ft: its floor, its three walls, a hip roof of three slopes", () => {
    const { of, at, l } = framed({ ...square, rise: 6 });
    expect(sum(of("plank", /wing1\/floor/).map(volumeOf))).toBeCloseTo(12 * 3 * FOOT ** 2 * l.t.plank.w, 6);
    const long = (id: string, axis: 0 | 1): number => (span([at(id)], axis)[1] - span([at(id)], axis)[0]) / FOOT;
    expect(long("wing1-front/plate/1", 0)).toBeCloseTo(12, 6);
    expect(long("wing1-left/plate/1", 1)).toBeCloseTo(3, 6);
    expect(long("wing1-right/plate/1", 1)).toBeCloseTo(3, 6);
    // hips at 45°: a run of 3 ft each way
    expect(at("wing1/roof/hip-left").member.theoretical! / FOOT).toBeCloseTo(3 * Math.hypot(1, 1, 0.5), 6);
    // the ledger lies between them on the wall
    expect(of("ledger", /wing1/)).toHaveLength(1);
  });
  it("is the same seen in a mirror", () => {
    const { r } = framed({ ...square, siding: "clapboard", casings: true, studFrom: "middle" });
    const volumes = (side: string): number[] =>
      r.sticks.filter((k) => k.id.startsWith(`t/wing1-${side}/`)).map((k) => Math.round(volumeOf(k) * 1e6) / 1e6).sort(); // prettier-ignore
    expect(volumes("left")).toEqual(volumes("right"));
    expect(volumes("left").length).toBeGreaterThan(20);
  });
  it("has its front's boards over the edges of its sides', down over the rim of its floor", () => {
    const { of, l } = framed({ ...square, siding: "horizontal", skirt: inches(8) });
    const front = of("board", /wing1-front/);
    const [a, b] = span(front, 0);
    expect(b - a).toBeCloseTo(12 * FOOT + 2 * l.clad, 6);
    expect(span(front, 2)[0]).toBeCloseTo(-8 * INCH, 6);
  });
});

describe("a bay with trim and lining", () => {
  const trimmed: Partial<BuildingValues> = {
    ...depot,
    siding: "horizontal",
    waterTable: true,
    frieze: true,
    lined: true,
    wings: [bay],
  };
  it("has water table and frieze round its three walls, mitred in front at half of the slant", () => {
    for (const baySlant of [45, 60, 90]) {
      const { of, at, l } = framed({ ...trimmed, baySlant });
      for (const role of ["water table", "frieze board"]) expect(of(role, /wing1-/)).toHaveLength(3);
      // the front's piece is longer outside than inside by its thickness times the tangent of half the slant, at both ends
      const xs = cornersOf(at("wing1-front/water-table/1")).map((c) => c[0]);
      const size = (12 - (2 * 3) / Math.tan((baySlant * Math.PI) / 180)) * FOOT;
      const half = Math.tan((baySlant * Math.PI) / 360);
      expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(size + 2 * l.t.waterTable.w * half, 6);
      // boards stand on it, from the foot of the wall
      expect(span(of("board", /wing1-front/), 2)[0]).toBeCloseTo(l.t.waterTable.v, 6);
    }
  });
  it("is lined inside as far as the room opens into it: as long as the inside of its walls", () => {
    const { of, l } = framed({ ...trimmed, baySlant: 90 });
    const high = 9 * FOOT - 2 * l.plate;
    // 12 ft less both walls and both linings in front, mitred with the sides: half of each corner is theirs
    const area = (12 * FOOT - 2 * l.wall - l.t.lining.w) * high;
    expect(sum(of("lining plank", /wing1-front/).map(volumeOf)) / l.t.lining.w).toBeCloseTo(area, 4);
    const side = (3 * FOOT - l.wall - l.t.lining.w / 2) * high;
    expect(sum(of("lining plank", /wing1-left/).map(volumeOf)) / l.t.lining.w).toBeCloseTo(side, 4);
    expect(framed({ ...trimmed, bayOpen: false }).of("lining plank", /wing1/)).toEqual([]);
  });
});

describe("a platform round what stands in it (areas by hand)", () => {
  const around: Partial<BuildingValues> = {
    ...depot,
    plankGap: 0,
    plankOver: 0,
    foundation: "posts",
    groundDepth: feet(4),
  };
  const platform = { kind: "platform", side: "front", at: 0, length: feet(30), depth: feet(8), height: inches(-6) };
  const area = (of: (role: string, within: RegExp) => Parameters<typeof volumeOf>[0][], thick: number): number =>
    sum(of("plank", /platform1/).map(volumeOf)) / thick / FOOT ** 2;
  it("leaves out a slanting bay: a trapezoid of 12 and 6 ft, 3 ft deep", () => {
    const { of, l } = framed({ ...around, wings: [platform, bay] });
    expect(area(of, l.t.plank.w)).toBeCloseTo(30 * 8 - ((12 + 6) / 2) * 3, 6);
    // beams: at the front, on both sides of the bay, before it; each on posts
    expect(of("beam", /platform1/).length).toBe(4);
  });
  it("leaves out a wing, square; planks hang over its outer edges alone", () => {
    const wing = { kind: "lean", side: "front", at: feet(10), length: feet(8), depth: feet(5), height: feet(8) };
    const { of, l } = framed({ ...around, wings: [platform, wing] });
    expect(area(of, l.t.plank.w)).toBeCloseTo(30 * 8 - 8 * 5, 6);
    const over = framed({ ...around, plankOver: inches(2), wings: [platform, wing] });
    const edges = (30 + 2 * (2 / 12)) * (8 + 2 / 12) - 8 * 5;
    expect(area(over.of, l.t.plank.w)).toBeCloseTo(edges, 6);
  });
  it("is an L beside a wing at its end, and two beside one as deep as it is", () => {
    const wing = { kind: "lean", side: "front", at: 0, length: feet(8), depth: feet(5), height: feet(8) };
    const { of, l } = framed({ ...around, wings: [platform, wing] });
    expect(area(of, l.t.plank.w)).toBeCloseTo(30 * 8 - 8 * 5, 6);
    const deep = framed({ ...around, wings: [platform, { ...wing, at: feet(10), depth: feet(10), height: feet(6) }] });
    expect(area(deep.of, l.t.plank.w)).toBeCloseTo((30 - 8) * 8, 6);
    expect(new Set(deep.of("plank", /platform1/).map((k) => k.member.assembly)).size).toBe(2);
  });
  it("says what strip is too narrow for joists", () => {
    const said = buildingCheck(values({ ...around, wings: [{ ...platform, depth: feet(4) }, bay] })).join();
    expect(said).toMatch(/leaves a strip of 0′-6″ along wing 2, too narrow for joists/);
  });
});

describe("a window over a bay", () => {
  const window = { wall: "front", part: 0, kind: "window", at: feet(15), width: feet(3), height: feet(4), mount: "inside", lap: 0 } as const; // prettier-ignore
  const tall: Partial<BuildingValues> = {
    ...depot,
    wallHeight: feet(20),
    siding: "clapboard",
    casings: true,
    wings: [bay],
  };
  it("stands over its roof, and the room still opens into the bay under it", () => {
    const { of } = framed({ ...tall, openings: [{ ...window, sill: feet(13) }] });
    expect(of("header", /front\/bay1/).length).toBeGreaterThan(0);
    expect(of("window sill", /t\/front\//)).toHaveLength(1);
    // one pair of kings beside both
    expect(of("king stud", /t\/front\//)).toHaveLength(2);
  });
  it("is told how high it has to be, and that is enough", () => {
    const check = (sill: number): string => buildingCheck(values({ ...tall, openings: [{ ...window, sill }] })).join();
    const at = /over the bay's roof at (\d+)′-(\d+)(?: (\d+)\/(\d+))?″/.exec(check(feet(10)))!;
    expect(check(feet(Number(at[1])) + inches(Number(at[2]) + (at[3] ? Number(at[3]) / Number(at[4]) : 0)))).toBe("");
  });
});

describe("boards where a bay's roof meets the wall", () => {
  for (const siding of ["horizontal", "clapboard", "vertical", "batten"])
    for (const baySlant of [45, 90])
      it(`are each of one piece: ${siding}, ${baySlant}°`, () => {
        const { r } = framed({ ...depot, wallHeight: feet(14), siding, baySlant, covering: "sheet", wings: [bay] });
        const boards = r.sticks.filter((k) => /^(board|clapboard|batten)$/.test(k.member.role) && k.id.startsWith("t/front/")); // prettier-ignore
        expect(boards.length).toBeGreaterThan(10);
        // framed() finds fault with a stick that falls apart
      });
});
