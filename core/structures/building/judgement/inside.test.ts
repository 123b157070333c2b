import { describe, expect, it } from "vitest";
import { feet, inches } from "../../../units";
import { FOOT, framed, span, sum, values, volumeOf } from "../building.fixture";
import { buildingCheck } from "./check";
import { buildingRemarks } from "./remarks";

/** 32 × 20 ft, 8 in 12, closed eaves: rafters 2 ft apart. */
const shop = { length: feet(32), width: feet(20), rise: 8, rafterSpacing: feet(2), rafter: "2×6", fascia: "board", overhang: feet(1), gableOverhang: 0, roofSheet: 1 } as const; // prettier-ignore

describe("a roof whose framing nobody sees (counted by hand)", () => {
  it("has a pair of rafters every 24 in where it is seen: 17 pairs", () =>
    expect(framed(shop).of("common rafter")).toHaveLength(34));
  it("stands on formers no more than 40 mm apart where it is not, under a sheet to each slope, and keeps its ridge", () => {
    const { of } = framed({ ...shop, seenRoof: false });
    // 24 in are 7 mm in HO: every fifth place, the two at the ends and their neighbours
    const at = [...new Set(of("common rafter").map((k) => k.axes.origin[0]))].sort((a, b) => a - b);
    expect(at.length).toBeLessThan(9);
    expect(Math.max(...at.slice(1).map((x, i) => x - at[i]!))).toBeLessThan(40);
    expect(of("ridge board")).toHaveLength(1);
    expect(of("roof sheet")).toHaveLength(2);
    expect(span(of("common rafter"), 0)).toEqual(span(framed(shop).of("common rafter"), 0));
  });
  it("keeps its caps, which are seen", () => {
    const caps = framed({ ...shop, seenRoof: false, caps: true }).of("ridge cap");
    expect(caps).toHaveLength(2);
  });
  it("keeps every rafter where bare tails show, and says so with what would do", () => {
    const bare = { ...shop, fascia: "bare", seenRoof: false } as const;
    expect(framed(bare).of("common rafter")).toHaveLength(34);
    const said = buildingRemarks(values(bare)).find((r) => r.param === "fascia");
    expect(said?.text).toMatch(/^Nobody sees the roof's framing, but its bare tails are seen: every rafter stays\./);
    expect(said?.fix?.value).toBe("board");
    expect(buildingRemarks(values({ ...shop, seenRoof: false })).filter((r) => r.param === "fascia")).toEqual([]);
  });
  it("has fewer jacks where it is hipped", () => {
    const hip = { ...shop, roof: "hip" } as const;
    const [seen, unseen] = [framed(hip), framed({ ...hip, seenRoof: false })];
    expect(unseen.of("jack rafter").length).toBeLessThan(seen.of("jack rafter").length / 3);
    expect(unseen.of("hip rafter")).toHaveLength(4);
  });
});

describe("a gable whose framing nobody sees", () => {
  it("is one sheet up to the rafters, as large as the triangle less what ridge and walls take", () => {
    const { of, l } = framed({ ...shop, seenRight: false });
    const [sheet, ...more] = of("gable sheet");
    expect(more).toEqual([]);
    expect(of("gable stud", /t\/right/)).toEqual([]);
    expect(of("gable stud", /t\/left/).length).toBeGreaterThan(3);
    // between the walls' insides; its top follows the rafters' undersides: a trapezoid, and a triangle over it
    const inner = 20 * FOOT - 2 * l.wall;
    const slope = l.main.slopes.S!;
    const k = 8 / 12;
    const deep = l.t.rafter.v * Math.hypot(1, k);
    const low = slope.above + k * l.wall - deep;
    const high = slope.above + k * 10 * FOOT - deep;
    // no thicker than the rafter it stands under; cut level at the ridge board's sides
    const half = l.t.ridge.w / 2;
    const flat = high - k * half;
    const area = inner * low + ((inner + 2 * half) / 2) * (flat - low);
    const slot = Math.max(0, flat - (flat + deep - l.t.ridge.v)) * 2 * half;
    expect(volumeOf(sheet!)).toBeCloseTo((area - slot) * l.t.rafter.w, 4);
  });
  it("mirrored, is the same on the left", () => {
    const [r, l] = [framed({ ...shop, seenRight: false }), framed({ ...shop, seenLeft: false })];
    expect(volumeOf(l.of("gable sheet")[0]!)).toBeCloseTo(volumeOf(r.of("gable sheet")[0]!), 9);
    const [a, b] = [span(r.of("gable sheet"), 0), span(l.of("gable sheet"), 0)];
    expect(a[0]).toBeCloseTo(-b[1], 9);
    expect(a[1]).toBeCloseTo(-b[0], 9);
  });
});

describe("what comes inside together", () => {
  const room = { length: feet(24), width: feet(16), wallHeight: feet(10) } as const;
  const partition = { at: feet(10), door: false, doorAt: feet(8), doorWidth: feet(3) };
  it("locating strips of a roof that lifts off stop at a partition", () => {
    const { of, l } = framed({ ...room, locating: true, partitions: [partition] });
    const front = of("locating strip", /locating-S/);
    expect(front).toHaveLength(2);
    // from wall to partition with 0.15 mm of play at each end: 24 ft less the walls' and the partition's thickness
    const free = 24 * FOOT - 3 * l.wall - 4 * 0.15;
    expect(sum(front.map((k) => span([k], 0)[1] - span([k], 0)[0]))).toBeCloseTo(free, 6);
    const gap = [span([front[0]!], 0)[1], span([front[1]!], 0)[0]];
    expect(gap[0]! + 0.15).toBeCloseTo(-2 * FOOT - l.wall / 2, 6);
    expect(gap[1]! - 0.15).toBeCloseTo(-2 * FOOT + l.wall / 2, 6);
  });
  it("lining is parted by a partition, on the front and on the back", () => {
    const { of, l } = framed({ ...room, lined: true, partitions: [partition] });
    for (const wall of ["front", "back"]) {
      const row = of("lining plank", new RegExp(`t/${wall}/lining/1-`));
      expect(row).toHaveLength(2);
      expect(sum(row.map((k) => span([k], 0)[1] - span([k], 0)[0]))).toBeCloseTo(24 * FOOT - 3 * l.wall, 6);
    }
    expect(of("lining plank", /t\/right\/lining\/1-/)).toHaveLength(1);
  });
  it("lining ends under a flat roof's ledgers", () => {
    const { of, l, v } = framed({ ...room, lined: true, roof: "flat", covering: "boards" });
    const top = span(of("lining plank"), 2)[1];
    expect(top).toBeCloseTo(l.mm(v.wallHeight) - l.t.rafter.v - l.t.lookout.v, 6);
    expect(of("ledger")).toHaveLength(2);
  });
  it("a flat roof that lifts off leaves its ledgers on the walls", () => {
    const { of } = framed({ ...room, roof: "flat", covering: "boards", locating: true });
    expect(of("ledger").map((k) => k.member.loose)).toEqual([undefined, undefined]);
    expect(of("roof joist").every((k) => k.member.loose)).toBe(true);
    expect(of("roof board").every((k) => k.member.loose)).toBe(true);
  });
  it("a flight to the loft stands where there is no floor, too", () => {
    const loft = { ...room, loft: true, loftHeight: feet(7), loftStair: true, loftFlight: true, loftStairAt: feet(6), loftStairIn: feet(6), loftStairLength: feet(7), loftStairWidth: feet(3) } as const; // prettier-ignore
    const [on, off] = [framed(loft), framed({ ...loft, floor: "none" })];
    // 7 ft at 7 to 8 in a riser: as many treads on the ground as on the floor
    expect(on.of("tread").length).toBeGreaterThan(8);
    expect(off.of("tread")).toHaveLength(on.of("tread").length);
  });
});

describe("what cannot be", () => {
  const said = (over: Parameters<typeof values>[0]): string[] => buildingCheck(values(over));
  it("a stair that leads up under the eave says where the eave is", () =>
    expect(said({ ...shop, stairs: [{ side: "front", at: feet(10), out: 0, width: feet(4), level: feet(9), tread: inches(10), riser: inches(7.5), rail: false }] })[0]).toMatch(/^Stair 1 leads to 9′-0″, and the eave is at .*: nobody could step off it\. Let it lead no higher than /)); // prettier-ignore
  it("a cap as thick as it is wide on a steep slope says what would do", () =>
    expect(said({ ...shop, rise: 14, caps: true, covering: "boards", capBoard: "2×2" })[0]).toMatch(/^Caps 0′-2″ thick and 0′-2″ wide come to an edge on a slope of 14 in 12; take boards wider than /)); // prettier-ignore
  it("clapboards thicker than they show say so, with both figures", () =>
    expect(said({ siding: "clapboard", sidingBoard: "4×6", exposure: inches(4) })[0]).toMatch(/^Clapboards 0′-4″ thick that show 0′-4″ would stand out rather than lie/)); // prettier-ignore
  it("stairs in each other say which", () => {
    const row = { side: "front", at: feet(6), out: 0, width: feet(4), level: 0, tread: inches(10), riser: inches(7.5), rail: false }; // prettier-ignore
    const two = (at: number): string[] => said({ ...shop, groundDepth: feet(3), stairs: [row, { ...row, at }] });
    expect(two(feet(8))[0]).toBe("Stairs 1 and 2 stand in each other on the front side; move one along or further out."); // prettier-ignore
    expect(two(feet(10))).toEqual([]);
  });
});

describe("a room opens into its bay (reckoned by hand)", () => {
  // a bay 8 ft wide in the middle of a 24 ft front, its sides at 45°
  const bay = { kind: "bay", side: "front", at: feet(8), length: feet(8), depth: feet(2), height: feet(7.5) } as const;
  const room = { length: feet(24), width: feet(16), wallHeight: feet(12), foundation: "none", wings: [bay] } as const;
  it("between the bay's walls, under a header at the bay's plates, its sole left out", () => {
    const { of, v } = framed(room);
    // two plies of header of the opening and its two jacks over it
    const headers = of("header", /t\/front\/bay1/);
    expect(headers).toHaveLength(2);
    // the wall 4 in thick stands 4 / sin 45 wide on the main wall; a quarter inch more stays free, and a jack takes 2 in
    const clear = 8 * 12 - 2 * (4 / Math.SQRT1_2 + 0.25);
    const [a, c] = span(headers, 0);
    expect((c - a) / (FOOT / 12)).toBeCloseTo(clear + 2 * 2, 4);
    expect((a + c) / 2).toBeCloseTo(0, 6);
    // under the bay's two plates of 2 in
    expect(span(headers, 2)[0] / (FOOT / 12)).toBeCloseTo(7.5 * 12 - 4, 4);
    expect(of("sole plate", /t\/front\//)).toHaveLength(2);
    expect(of("casing", /bay1/)).toEqual([]);
    expect(v.bayOpen).toBe(true);
  });
  it("and stays closed where it is asked to, or where something is in the way", () => {
    const closed = (over: object): number => framed({ ...room, ...over }).of("header", /bay1/).length;
    expect(closed({ bayOpen: false })).toBe(0);
    expect(closed({ partitions: [{ at: feet(12), door: false, doorAt: feet(8), doorWidth: feet(3) }] })).toBe(0);
    expect(closed({ wings: [{ ...bay, height: feet(5) }] })).toBe(0);
  });
  it("on every side alike", () => {
    const wide = (side: string): number => {
      const s = framed({ ...room, width: feet(24), wings: [{ ...bay, side } as typeof bay] });
      const [a, c] = span(s.of("header", /bay1/), side === "front" || side === "back" ? 0 : 1);
      return c - a;
    };
    for (const side of ["right", "back", "left"]) expect(wide(side)).toBeCloseTo(wide("front"), 9);
  });
});
