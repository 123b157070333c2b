import { describe, expect, it } from "vitest";
import { feet, inches } from "../../units";
import { bill, inInches, longOf, made, sum, cubicInches } from "../golden.fixture";

const window_ = { part: 0, wall: "front", kind: "window", at: feet(6), width: feet(3), height: feet(4), sill: feet(3), mount: "inside", lap: 0 } as const; // prettier-ignore
const door = { ...window_, kind: "door", at: feet(15), height: feet(7), sill: 0 } as const;
// 20 × 12 ft, walls of 2×4 at 16 in from the left, 9 ft high, one top plate, plain corners; rafters of 2×6 at 16 in, 6 in 12
const shop = {
  length: feet(20),
  width: feet(12),
  wallHeight: feet(9),
  topPlates: 1,
  corner: "plain",
  stud: "2×4",
  header: "2×8",
  studSpacing: inches(16),
  studFrom: "left",
  fit: 0,
  openings: [window_, door],
  rise: 6,
  rafter: "2×6",
  rafterSpacing: inches(16),
  ridge: "1×8",
  overhang: feet(1),
  gableOverhang: 0,
  fascia: "bare",
  barge: false,
  covering: "none",
  seenRoof: true,
  siding: "none",
  casings: false,
  cornerBoards: false,
  wallBrace: "none",
  blockingRows: 0,
  floor: "under",
  joist: "2×8",
  joistSpacing: inches(16),
  plank: "1×8",
  plankGap: 0,
  floorBlocking: 0,
  collar: "none",
  ceiling: "none",
  foundation: "none",
} as const;

describe("the front wall of a shop, by a stud list", () => {
  const { of } = made("building", shop);
  it("has kings and jacks beside both openings, a header on edge in two plies over each, one sill", () => {
    expect(of("king stud", /front/)).toHaveLength(4);
    expect(of("jack stud", /front/)).toHaveLength(4);
    expect(of("header", /front/)).toHaveLength(4);
    expect(of("window sill", /front/)).toHaveLength(1);
    for (const k of of("header", /front/)) expect(longOf(k)).toBeCloseTo(36 + 2 * 2, 3);
    // soles: left of the door and right of it
    expect(of("sole plate", /front/).map((k) => Math.round(longOf(k))).sort()).toEqual([15 * 12 - 18, 20 * 12 - 15 * 12 - 18].sort()); // prettier-ignore
  });
  it("has studs on 16 in centres wherever neither corner nor opening stands in the way", () => {
    // a stud takes 2 in; jacks and kings take 4 in beside 54 … 90 in and 162 … 198 in
    const taken = (s: number): boolean => s < 2 + 1 || s > 240 - 3 || (s > 50 - 1.3 && s < 94 + 1.3) || (s > 158 - 1.3 && s < 202 + 1.3); // prettier-ignore
    const stations = Array.from({ length: 15 }, (_, i) => 16 * i).filter((s) => !taken(s));
    const at = of("stud", /front\/stud/).map((k) => Math.round((inInches([k], 0)[0] + inInches([k], 0)[1]) / 2) + 120); // prettier-ignore
    expect(at.sort((a, b) => a - b)).toEqual(stations);
    // full studs between sole and plate: 108 − 2 − 2
    for (const k of of("stud", /front\/stud/)) expect(longOf(k)).toBeCloseTo(104, 3);
  });
  it("has jacks as high as the heads: the window's 84 in, the door's 84 in, less the sole", () => {
    for (const k of of("jack stud", /front/)) expect(longOf(k)).toBeCloseTo(84 - 2, 3);
    // cripples over the heads: under the plate at 106, on headers 8 in high at 84
    for (const k of of("cripple", /front\/opening\d\/cripple/)) expect(longOf(k)).toBeCloseTo(106 - 92, 3);
    for (const k of of("cripple", /front\/opening1\/foot/)) expect(longOf(k)).toBeCloseTo(36 - 2 - 2, 3);
  });
});

describe("its floor and its roof", () => {
  const { of } = made("building", shop);
  it("has joists at 16 in between two rims: 15 stations and the last one flush", () => {
    expect(of("rim joist", /main\/floor/)).toHaveLength(2);
    const joists = [...of("joist", /main\/floor/), ...of("end joist", /main\/floor/)];
    // at 1, 16, 32 … 224 and 239 in
    expect(joists).toHaveLength(16);
    for (const k of joists) expect(longOf(k)).toBeCloseTo(144 - 4, 3);
    // planks cover 20 × 12 ft
    expect(sum(of("plank", /main\/floor/).map(cubicInches))).toBeCloseTo(240 * 144 * 1, 0);
  });
  it("has a pair of rafters at each end and every 16 in between, as long as the framing square says", () => {
    const rafters = of("common rafter");
    expect(rafters).toHaveLength(2 * 16);
    // unit length at 6 in 12: 13.42 in a foot of run (table of every framing square); run 6 ft
    for (const k of rafters) expect(k.member.theoretical! / (25.4 / 87.1)).toBeCloseTo(6 * 13.416, 1);
    // the ridge is as long as the building
    expect(longOf(of("ridge board")[0]!)).toBeCloseTo(240, 3);
  });
  it("has gable studs under both slopes, the same on both ends", () => {
    const [l, r] = [/left/, /right/].map((x) => bill(of("gable stud", x)));
    expect(l).toEqual(r);
    expect(l!.length).toBeGreaterThan(4);
  });
});

describe("seen in a mirror", () => {
  it("a shop with its openings moved to the other end is made of the same pieces", () => {
    const clad = { ...shop, studFrom: "middle", siding: "horizontal", casings: true, cornerBoards: true, covering: "sheet" }; // prettier-ignore
    const other = {
      ...clad,
      openings: [
        { ...window_, at: feet(14) },
        { ...door, at: feet(5) },
      ],
    };
    const [a, b] = [made("building", clad), made("building", other)];
    expect(a.counts()).toEqual(b.counts());
    for (const role of Object.keys(a.counts()))
      expect(sum(a.of(role).map(cubicInches)) / sum(b.of(role).map(cubicInches)), role).toBeCloseTo(1, 6);
  });
  it("a wing before the left half is as one before the right half", () => {
    const lean = { kind: "lean", side: "back", at: feet(2), length: feet(8), depth: feet(5), height: feet(4) };
    const plain = { ...shop, openings: [], studFrom: "middle" };
    const [a, b] = [made("building", { ...plain, wings: [lean] }), made("building", { ...plain, wings: [{ ...lean, at: feet(10) }] })]; // prettier-ignore
    expect(bill(a.sticks.filter((k) => /wing1/.test(k.id)))).toEqual(bill(b.sticks.filter((k) => /wing1/.test(k.id))));
  });
});

describe("turned by a quarter", () => {
  it("a building whose ridge runs the other way, as long as it was wide, is made of the same roof", () => {
    const plain = { ...shop, openings: [] };
    const turned = { ...plain, length: feet(12), width: feet(20), ridgeAlong: "width" };
    const [a, b] = [made("building", plain), made("building", turned)];
    for (const role of ["common rafter", "ridge board"]) expect(bill(a.of(role))).toEqual(bill(b.of(role)));
  });
});

describe("boards and sheets by their areas", () => {
  it("horizontal siding covers the front less its cased openings, up to under the rafters", () => {
    const { of } = made("building", { ...shop, siding: "horizontal", sidingBoard: "1×8", casings: true, casing: "1×4", cornerBoards: false, skirt: 0 }); // prettier-ignore
    const boards = of("board", /t\/front\//);
    const [x0, x1] = inInches(boards, 0);
    const [z0, z1] = inInches(boards, 2);
    expect(z0).toBeCloseTo(0, 3);
    const holes = (36 + 8) * (48 + 8) + (36 + 8) * (84 + 4);
    expect(sum(boards.map(cubicInches))).toBeCloseTo((x1 - x0) * (z1 - z0) - holes, -1);
  });
  it("roof sheets are the slopes' true shapes: run and overhang over the cosine, by the length", () => {
    const { of } = made("building", { ...shop, covering: "sheet" });
    const sheets = of("roof sheet");
    expect(sheets).toHaveLength(2);
    const slope = (72 + 12) * Math.hypot(1, 0.5);
    for (const k of sheets) {
      const thick = Math.min(k.size[0], k.size[1]) / (25.4 / 87.1);
      // bevelled at the ridge: half of the thickness times the slope is gone
      expect(cubicInches(k) / thick / 240).toBeGreaterThan(slope - thick);
      expect(cubicInches(k) / thick / 240).toBeLessThan(slope + thick);
    }
  });
});
