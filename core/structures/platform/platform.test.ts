import { describe, expect, it } from "vitest";
import { boundsOf } from "../../geometry";
import { bearings, type ResolvedFrame } from "../../frame";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { contextOf, valuesFrom } from "../fromSpec.fixture";
import { near, panelIn, reachOf, roleCounts, volumeIn } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { platform } from ".";
import { platformFrame } from "./frame";
import { platformCheck, platformRemarks, platformShown } from "./judgement";
import { partedAt, platformLayout } from "./layout";
import { platformSpec, type PlatformValues } from "./parameters";
import { spread } from "./railing";

/** 80 × 14 ft in HO is 280 × 49 mm, its deck 52.5 mm over the ground. */
const HO = fullSawn(scaleOf("HO"));
const MM = (ft: number): number => (ft * 304.8) / HO.scale.ratio;
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const of = (over: Partial<Record<keyof PlatformValues, unknown>> = {}): PlatformValues =>
  ({ ...defaultsOf(platformSpec), ...over }) as unknown as PlatformValues;
const stair = (over: object = {}) => ({ side: "left", at: feet(7), width: feet(4), tread: inches(10.5), riser: inches(7), rail: true, ...over }); // prettier-ignore
const sound = (v: PlatformValues, ctx = HO): ResolvedFrame => {
  expect(platformCheck(v, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(platformFrame(v, ctx));
  expect(faults).toEqual([]);
  return resolved;
};
const of2 = (r: ResolvedFrame, role: string) => r.sticks.filter((k) => k.member.role === role);

describe("a platform on columns", () => {
  it("has its parts counted: five places of two box columns and a box girder, three stringers, rails on three sides", () => {
    expect(roleCounts(platformFrame(of(), HO))).toEqual({
      // two flanges and two webs to a column, ten columns
      "column flange": 20,
      "column web": 20,
      "base plate": 10,
      "girder flange": 10,
      "girder web": 10,
      "girder end plate": 10,
      "stringer flange": 6,
      "stringer web": 3,
      deck: 1,
      "edge facing": 2,
      // 280 mm less a post of 4 in: bays of at most 6 ft make 14, so 15 posts; the ends, 14 ft less the corner, three bays
      "railing post": 15 + 4 + 4,
      handrail: 3,
      rail: 6,
    });
    expect(roleCounts(platformFrame(of({ columnShape: "I", girderShape: "I", rows: "one", railBack: false, railLeft: false, railRight: false, edge: "none", base: "none" }), HO))).toEqual({ "column flange": 10, "column web": 5, "girder flange": 10, "girder web": 5, "stringer flange": 6, "stringer web": 3, deck: 1 }); // prettier-ignore
  });

  it("stands as high as its parts are, one on another", () => {
    const r = sound(of());
    // deck .040, stringers 15 in, girders 20 in, base plates .040
    const under = MM(15) - thou(40);
    const stringer = under - MM(15 / 12);
    const girder = stringer - MM(20 / 12);
    expect(reachOf(r, "deck")).toEqual(near([-140, 140], [-24.5 + thou(20), 24.5 - thou(20)], [under, 52.5]));
    expect(reachOf(r, "stringer2/top")).toEqual(near([-140, 140], [-MM(4 / 12), MM(4 / 12)], [under - thou(20), under])); // prettier-ignore
    expect(reachOf(r, "stringer2/web")).toEqual(near([-140, 140], [-thou(10), thou(10)], [stringer + thou(20), under - thou(20)])); // prettier-ignore
    // the columns stand 40.26 mm from base plate to girder
    const column = reachOf(r, "bent1/column1/flange1");
    expect(column[2]).toEqual(near([thou(40), girder])[0]);
    expect(column[2]![1] - column[2]![0]).toBeCloseTo(40.26, 2);
    expect(reachOf(r, "bent1/column1/base")[2]).toEqual(near([0, thou(40)])[0]);
  });

  it("has girders of flanges over their whole width, webs between, plates that close them", () => {
    const r = sound(of());
    // across from stringer's edge to stringer's edge: 14 ft less twice 9 in and the covers
    const half = 24.5 - thou(20) - MM(0.75);
    const [x] = reachOf(r, "bent3/girder/top");
    expect(x).toEqual(near([-MM(7 / 12), MM(7 / 12)])[0]);
    expect(reachOf(r, "bent3/girder/top")[1]).toEqual(near([-half + thou(20), half - thou(20)])[0]);
    expect(reachOf(r, "bent3/girder/end1")[1]).toEqual(near([-half, -half + thou(20)])[0]);
    expect(reachOf(r, "bent3/girder/weba")[0]).toEqual(near([-MM(7 / 12), -MM(7 / 12) + thou(20)])[0]);
    expect(reachOf(r, "bent3/girder/webb")[0]).toEqual(near([MM(7 / 12) - thou(20), MM(7 / 12)])[0]);
    const [, , z] = reachOf(r, "bent3/girder/weba");
    expect(z![1] - z![0]).toBeCloseTo(MM(20 / 12) - 2 * thou(20), 9);
    // plain reckoning: a closed box less its inside
    const [l, w, h, t] = [2 * half, MM(14 / 12), MM(20 / 12), thou(20)];
    const parts = ["top", "bottom", "weba", "webb", "end1", "end2"].reduce((sum, p) => sum + volumeIn(r, `bent3/girder/${p}`), 0); // prettier-ignore
    expect(parts).toBeCloseTo(l * w * h - (l - 2 * t) * (w - 2 * t) * (h - 2 * t), 6);
  });

  it("an I-section has one web in the middle and no plates at its ends", () => {
    const r = sound(of({ girderShape: "I", columnShape: "I" }));
    expect(reachOf(r, "bent1/girder/web")[0]!.map((x) => x - platformLayout(of({ girderShape: "I" }), HO).bents[0]!)).toEqual(near([-thou(10), thou(10)])[0]); // prettier-ignore
    expect(of2(r, "girder end plate")).toHaveLength(0);
    const [x, y] = reachOf(r, "bent1/column2/web");
    expect(x![1] - x![0]).toBeCloseTo(thou(20), 9);
    // the column's flanges take their thickness off its web
    expect(y![1] - y![0]).toBeCloseTo(MM(14 / 12) - 2 * thou(20), 9);
  });

  it("has its columns evenly spaced with their margin clear, and stringers with the deck past them", () => {
    const l = platformLayout(of(), HO);
    // base plates of 24 in are the widest; 4 ft are clear at the ends
    expect(l.bents[0]).toBeCloseTo(-140 + MM(4) + MM(1), 9);
    const steps = l.bents.slice(1).map((x, i) => x - l.bents[i]!);
    for (const s of steps) expect(s).toBeCloseTo((280 - 2 * MM(5)) / 4, 9);
    expect(l.stringers).toEqual([thou(20) + MM(0.75) + MM(4 / 12), 24.5, 49 - thou(20) - MM(0.75) - MM(4 / 12)].map((x) => expect.closeTo(x, 9))); // prettier-ignore
    expect(l.columns).toEqual([MM(3), 49 - MM(3)].map((x) => expect.closeTo(x, 9)));
  });

  it("parts what no sheet is long enough for over the columns, flanges elsewhere than webs, and puts plates under the deck's seam", () => {
    const v = of({ length: feet(160), bents: 9 });
    const r = sound(v);
    const l = platformLayout(v, HO);
    const deck = of2(r, "deck").map((k) => { const { min, max } = boundsOf(k.parts); return [min[0], max[0]] as const; }); // prettier-ignore
    expect(deck).toHaveLength(2);
    expect(deck[0]![1]).toBeCloseTo(deck[1]![0], 9);
    expect(l.bents.some((x) => Math.abs(x - deck[0]![1]) < 1e-9)).toBe(true);
    for (const [a, b] of deck) expect(b - a).toBeLessThanOrEqual(304.8);
    expect(reachOf(r, "stringer1/web1")[0]![1]).not.toBeCloseTo(reachOf(r, "stringer1/top1")[0]![1], 1);
    // from edge to stringer, between three stringers, and to the edge
    expect(of2(r, "splice plate")).toHaveLength(4);
    for (const k of of2(r, "splice plate")) {
      const { min, max } = boundsOf(k.parts);
      expect((min[0] + max[0]) / 2).toBeCloseTo(deck[0]![1], 9);
      expect(max[2]).toBeCloseTo(l.under.deck, 9);
    }
  });
  it("a length is parted as rarely as its sheets allow, and elsewhere than what lies beside it", () => {
    const bents = [10, 30, 50, 70, 90];
    expect(partedAt(bents, 0, 100, 200)).toEqual([[0, 100]]);
    expect(partedAt(bents, 0, 100, 45)).toEqual([[0, 30], [30, 70], [70, 100]]); // prettier-ignore
    expect(partedAt(bents, 0, 100, 55)).toEqual([[0, 50], [50, 100]]); // prettier-ignore
    expect(partedAt(bents, 0, 100, 75)).toEqual([[0, 70], [70, 100]]); // prettier-ignore
    expect(partedAt(bents, 0, 100, 75, [70])).toEqual([[0, 50], [50, 100]]); // prettier-ignore
    expect(partedAt(bents, 0, 100, 25, [30])).toEqual([[0, 10], [10, 30], [30, 50], [50, 70], [70, 90], [90, 100]]); // prettier-ignore
    // no sheet is long enough for a bay: it is parted over each place, and told elsewhere
    expect(partedAt([40], 0, 100, 30)).toEqual([[0, 40], [40, 100]]); // prettier-ignore
  });

  it("a deck of planks has as many as fit with their gap, spread from end to end, each across to the covers", () => {
    const v = of({ deck: "planks" });
    const r = sound(v);
    const planks = of2(r, "deck plank").map((k) => boundsOf(k.parts));
    // (80 ft + ½ in) / 8½ in = 113
    expect(planks).toHaveLength(113);
    expect(planks[0]!.min[0]).toBeCloseTo(-140, 9);
    expect(planks.at(-1)!.max[0]).toBeCloseTo(140, 9);
    const gap = (280 - 113 * MM(8 / 12)) / 112;
    planks.slice(1).forEach((p, i) => expect(p.min[0] - planks[i]!.max[0]).toBeCloseTo(gap, 9));
    for (const p of planks) {
      expect([p.min[1], p.max[1]]).toEqual(near([-24.5 + thou(20), 24.5 - thou(20)])[0]);
      expect([p.min[2], p.max[2]]).toEqual(near([MM(15) - MM(2 / 12), MM(15)])[0]);
    }
  });
});

describe("its railings", () => {
  it("divide each length evenly, no further apart than asked", () => {
    expect(spread(0, 21, 1, 5)).toEqual([0.5, 5.5, 10.5, 15.5, 20.5]);
    expect(spread(0, 20.9, 1, 5)).toHaveLength(5);
    expect(spread(0, 21.1, 1, 5)).toHaveLength(6);
    // too short for two
    expect(spread(3, 4.5, 1, 5)).toEqual([3.75]);
  });
  it("stand at the deck's edge with rails evenly under the handrail, inside the posts", () => {
    const r = sound(of());
    const posts = r.sticks.filter((k) => /rail-back\/1\/post/.test(k.id)).map((k) => boundsOf(k.parts));
    expect(posts[0]!.max[0]).toBeCloseTo(140, 9);
    expect(posts.at(-1)!.min[0]).toBeCloseTo(-140, 9);
    for (const p of posts) {
      expect([p.min[1], p.max[1]]).toEqual(near([24.5 - MM(4 / 12), 24.5])[0]);
      expect([p.min[2], p.max[2]]).toEqual(near([52.5, 52.5 + MM(3.5) - MM(2 / 12)])[0]);
    }
    const hand = reachOf(r, "rail-back/1/handrail");
    expect(hand).toEqual(near([-140, 140], [24.5 - MM(4 / 12), 24.5], [52.5 + MM(3.5) - MM(2 / 12), 52.5 + MM(3.5)]));
    // 42 in less the handrail are 40: thirds of it
    const rails = ["rail1", "rail2"].map((n) => reachOf(r, `rail-back/1/${n}`));
    rails.forEach(([, y, z], i) => {
      expect(y).toEqual(near([24.5 - MM(6 / 12), 24.5 - MM(4 / 12)])[0]);
      expect((z![0] + z![1]) / 2).toBeCloseTo(52.5 + (MM(40 / 12) * (i + 1)) / 3, 9);
    });
  });
  it("of an end stop clear of those round the corner, and their handrail reaches these", () => {
    const r = sound(of());
    const [, y] = reachOf(r, "rail-left/1/rail1");
    expect(y).toEqual(near([-24.5, 24.5 - MM(6 / 12)])[0]);
    expect(reachOf(r, "rail-left/1/handrail")[1]).toEqual(near([-24.5, 24.5 - MM(4 / 12)])[0]);
    expect(reachOf(r, "rail-right/1/handrail")[1]).toEqual(near([-24.5, 24.5 - MM(4 / 12)])[0]);
  });
  it("of pickets have them evenly, no wider apart than asked, on the inner side of the rails", () => {
    const r = sound(of({ railing: "fence", railLeft: false, railRight: false }));
    const pickets = of2(r, "picket").map((k) => boundsOf(k.parts)).sort((a, b) => a.min[0] - b.min[0]); // prettier-ignore
    // 960 in less a picket of 3, at most 7 in middle to middle: 136.7, so 137 spaces
    expect(pickets).toHaveLength(138);
    pickets.slice(1).forEach((p, i) => expect(p.min[0] - pickets[i]!.max[0]).toBeCloseTo(MM((957 / 137 - 3) / 12), 9));
    expect(pickets[0]!.max[1]).toBeCloseTo(24.5 - MM(6 / 12), 9);
    // pickets ask for a rail besides the handrail
    expect(of2(sound(of({ railing: "fence", rails: 1 })), "rail")).toHaveLength(3);
  });
  it("are open where a stair lands and at a gate, whose leaf fits with room on both sides", () => {
    const v = of({ stairs: [stair()], gates: [{ side: "back", at: feet(20), width: feet(4), leaf: true }] });
    const r = sound(v);
    // from the left end seen from behind: 18 to 22 ft from x = +140
    const [a, b] = [reachOf(r, "rail-back/1/rail1")[0]!, reachOf(r, "rail-back/2/rail1")[0]!];
    expect(a).toEqual(near([140 - MM(18), 140])[0]);
    expect(b).toEqual(near([-140, 140 - MM(22)])[0]);
    const leaf = r.sticks.filter((k) => k.id.startsWith("t/gate1/")).map((k) => boundsOf(k.parts));
    expect(leaf).toHaveLength(5);
    expect(Math.min(...leaf.map((x) => x.min[0]))).toBeCloseTo(140 - MM(22) + MM(1 / 12), 6);
    expect(Math.max(...leaf.map((x) => x.max[0]))).toBeCloseTo(140 - MM(18) - MM(1 / 12), 6);
    // its brace stands in both corners and in neither stile nor rail
    const brace = boundsOf(r.byMember.get("t/gate1/brace")![0]!.parts);
    expect(brace.min[2]).toBeCloseTo(52.5 + MM(1 / 12) + MM(4 / 12), 6);
    expect(brace.max[0] - brace.min[0]).toBeCloseTo(MM(4) - MM(2 / 12) - 2 * MM(4 / 12), 6);
    // the stair's opening is wider by the rails at its sides
    const runs = r.sticks.filter((k) => /rail-left\/\d\/handrail/.test(k.id)).map((k) => boundsOf(k.parts));
    expect(runs).toHaveLength(2);
    expect(runs[1]!.max[1]).toBeCloseTo(24.5 - MM(9) - MM(2 / 12), 9);
    expect(runs[0]!.min[1]).toBeCloseTo(24.5 - MM(5) + MM(2 / 12), 9);
    expect(of2(sound(of({ gates: [{ side: "back", at: feet(20), width: feet(4), leaf: false }] })), "gate stile")).toHaveLength(0); // prettier-ignore
  });
});

describe("its stairs", () => {
  it.each([
    ["left", [-1, 0], -140],
    ["right", [1, 0], 140],
    ["front", [0, -1], -24.5],
    ["back", [0, 1], 24.5],
  ] as const)("land on the deck's %s and go down outside", (side, out, edge) => {
    const r = sound(of({ stairs: [stair({ side, at: feet(8) })] }));
    // 180 in at about 7 in: 26 risers of 6.92 in, 25 treads of 10½
    const treads = of2(r, "tread").map((k) => boundsOf(k.parts));
    expect(treads).toHaveLength(25);
    const axis = out[0] === 0 ? 1 : 0;
    const sign = out[axis]!;
    const away = treads.map((t) => Math.min(sign * t.min[axis], sign * t.max[axis]) - sign * edge).sort((a, b) => a - b); // prettier-ignore
    expect(away[0]).toBeCloseTo(0, 9);
    expect(away[24]).toBeCloseTo(24 * MM(10.5 / 12), 9);
    expect(Math.max(...treads.map((t) => t.max[2]))).toBeCloseTo(52.5 - MM(15 / 26), 9);
    expect(Math.min(...treads.map((t) => t.max[2]))).toBeCloseTo(MM(15 / 26), 9);
    for (const k of of2(r, "stair stringer")) expect(boundsOf(k.parts).min[2]).toBeCloseTo(0, 9);
  });
  it("are told when they walk badly, and refused when they are no stair", () => {
    const said = platformRemarks(of({ stairs: [stair({ riser: inches(9) })] })).map((x) => x.text);
    expect(said).toContain("Stair 1. Risers of 9.00 in are higher than the 7.75 in a residential code allows (IRC R311.7.5); prototypes often were."); // prettier-ignore
    expect(platformRemarks(of({ stairs: [stair()] }))).toEqual([]);
    expect(platformCheck(of({ height: feet(3), stairs: [stair({ riser: inches(14) })] }))).toEqual([]);
    expect(platformCheck(of({ stairs: [stair({ at: feet(1) })] }), HO)).toEqual(["Stair 1 reaches past the left end, which is 14′-0″ long."]); // prettier-ignore
    expect(platformCheck(of({ stairs: [stair(), stair({ at: feet(9) })] }), HO)).toEqual(["Stair 1 and stair 2 are in each other on the left end; move one."]); // prettier-ignore
  });
});

describe("its shelter", () => {
  it("of a gable roof has a former on each post and two sheets that meet plumb over the middle", () => {
    const v = of({ shelter: "gable", railBack: false, railLeft: false, railRight: false });
    const r = sound(v);
    expect(roleCounts(platformFrame(v, HO))).toMatchObject({ "shelter post": 3, former: 3, "roof sheet": 2 });
    const l = platformLayout(v, HO);
    const foot = 52.5 + MM(9);
    expect(reachOf(r, "shelter1/post1")).toEqual(near([l.bents[1]! - MM(4 / 12), l.bents[1]! + MM(4 / 12)], [-MM(4 / 12), MM(4 / 12)], [52.5, foot])); // prettier-ignore
    // 15 ft wide, 3 in 12: 8 in at the eaves and 22½ in more in the middle
    expect(panelIn(platformFrame(v, HO), "shelter1/former").outline).toEqual(near([-MM(7.5), foot], [MM(7.5), foot], [MM(7.5), foot + MM(8 / 12)], [0, foot + MM(30.5 / 12)], [-MM(7.5), foot + MM(8 / 12)])); // prettier-ignore
    for (const [id, side] of [
      ["roof-a", -1],
      ["roof-b", 1],
    ] as const) {
      const [x, y] = reachOf(r, id);
      expect(x).toEqual(near([l.bents[1]! - thou(30) - MM(4), l.bents[3]! + thou(30) + MM(4)])[0]);
      expect(y!.map((q) => side * q).sort((a, b) => a - b)).toEqual(near([0, MM(7.5)])[0]);
      // along the slope 7.5 ft / cos, and as much in it as its thickness
      expect(volumeIn(r, id)).toBeCloseTo((MM(7.5) / Math.cos(Math.atan(0.25))) * (x![1] - x![0]) * thou(30), 6);
    }
  });
  it("of a butterfly roof is lowest in the middle, on two brackets to a post", () => {
    const v = of({ shelter: "butterfly", shelterFrom: 1, shelterTo: 5, roofOver: 0 });
    const r = sound(v);
    expect(of2(r, "former")).toHaveLength(10);
    const foot = 52.5 + MM(9);
    expect(reachOf(r, "shelter1/former-a")).toEqual([expect.anything(), ...near([-MM(7.5), 0], [foot, foot + MM(30.5 / 12)])]); // prettier-ignore
    expect(reachOf(r, "roof-a")[2]![0]).toBeCloseTo(foot + MM(8 / 12), 6);
  });
  it("stands where it has places, and says so where it was asked to go further", () => {
    const v = of({ shelter: "flat", shelterFrom: 4, shelterTo: 9 });
    expect(of2(sound(v), "former")).toHaveLength(2);
    expect(platformRemarks(v, HO).map((x) => x.text)).toContain("The shelter would go from place 4 to place 9 of 5: it goes from 4 to 5."); // prettier-ignore
    expect(reachOf(sound(v), "roof")[1]).toEqual(near([-MM(7.5), MM(7.5)])[0]);
  });
});

describe("a pair of platforms", () => {
  const v = of({ pair: true, shelter: "gable", railing: "fence", stairs: [stair({ at: feet(5) })], gates: [{ side: "back", at: feet(20), width: feet(4), leaf: true }] }); // prettier-ignore
  it("is twice one, mirrored across the track: every part of one has its image in the other", () => {
    const r = sound(v);
    const one = roleCounts(platformFrame({ ...v, pair: false }, HO));
    expect(roleCounts(platformFrame(v, HO))).toEqual(Object.fromEntries(Object.entries(one).map(([k, n]) => [k, 2 * n]))); // prettier-ignore
    const image = (hand: string, sign: 1 | -1) =>
      r.sticks
        .filter((k) => k.id.startsWith(`t/${hand}/`))
        .map((k) => {
          const { min, max } = boundsOf(k.parts);
          const y = [sign * min[1], sign * max[1]].sort((a, b) => a - b);
          return [k.member.role, ...[min[0], max[0], ...y, min[2], max[2]].map((x) => (x + 0).toFixed(4).replace("-0.0000", "0.0000"))].join(" "); // prettier-ignore
        })
        .sort();
    expect(image("second", -1)).toEqual(image("first", 1));
    // their fronts are 26 ft apart
    expect(boundsOf(r.byMember.get("t/first/deck")![0]!.parts).min[1]).toBeCloseTo(MM(13) + thou(20), 9);
    expect(boundsOf(r.byMember.get("t/second/deck")![0]!.parts).max[1]).toBeCloseTo(-MM(13) - thou(20), 9);
  });
  it("is glued where its mirror image is: every joint that touches in one touches in the other", () => {
    const touching = (hand: string): string[] => bearings(sound(v)).filter((x) => x.touches && x.a.startsWith(`t/${hand}/`)).map((x) => `${x.a.replace(`t/${hand}/`, "")} on ${x.b.replace(`t/${hand}/`, "")} ${x.borne.toFixed(3).replace("-0.000", "0.000")}`).sort(); // prettier-ignore
    const first = touching("first");
    expect(touching("second")).toEqual(first);
    // a web stands on both its flanges and between both end plates
    expect(first.filter((x) => x.startsWith("bent1/girder/weba on"))).toHaveLength(4);
    // with the whole of its edges: its length times its thickness
    const long = platformLayout(v, HO).girder.high - 2 * thou(20);
    expect(first.find((x) => x.startsWith("bent1/girder/weba on bent1/girder/end1"))).toMatch(new RegExp(` ${(long * thou(20)).toFixed(3)}$`)); // prettier-ignore
  });
  it("whose roofs would meet over the track is refused, with the width that would do", () => {
    expect(platformCheck(of({ pair: true, shelter: "flat", between: feet(5), roofWide: feet(20) }), HO)).toEqual(["The roofs of both platforms reach into each other over the track; make them narrower than 19′-0″."]); // prettier-ignore
  });
});

describe("what a platform is told", () => {
  it.each([
    [{ height: feet(3.5) }, /leave no column under a deck at 3′-6″; put the deck higher/],
    [{ bents: 50 }, /50 places with columns, 7\.00 mm wide, have no room on 252\.00 mm/],
    [{ stringers: 12, stringerWide: inches(15) }, /12 stringers 1′-3″ wide have no room/],
    [{ inset: feet(1) }, /at least 1′-5 .* in/],
    [{ inset: feet(6.5) }, /stand in each other; put them further out, or take one/],
    [{ flange: "styrene/125", stringerHigh: inches(12) }, /leave no web in a stringer of 3\.50 mm/],
    [{ rails: 8, railHigh: inches(30) }, /8 rails 1\.17 mm high have no room on 8\.75 mm of railing/],
    [{ railBar: "x" }, /Rail is “x”; write a nominal size/],
    [
      { gates: [{ side: "back", at: feet(79), width: feet(4), leaf: false }] },
      /Gate 1 reaches past the back, which is 80′-0″ long/,
    ],
    [{ shelter: "gable", roofWide: feet(3), shelterRows: "two" }, /does not reach over its posts/],
  ])("%j", (over, says) => {
    expect(platformCheck(of(over), HO).join(" ")).toMatch(says);
  });
  it("a shelter post in the railing of an end, either end, and none where it stands clear by its half and the railing's depth", () => {
    // narrow columns: the first place stands its margin and 2 in from the end; posts are 8 in, railings 6 in deep
    const slim = { web: "styrene/10", base: "none", columnWide: inches(4), girderWide: inches(4), shelter: "flat" };
    const said = (over: object): string => platformCheck(of({ ...slim, ...over }), HO).join(" ");
    const ends = /A shelter post stands in the railing of an end/;
    for (const [from, to] of [
      [1, 1],
      [5, 5],
    ] as const) {
      // prettier-ignore
      expect(said({ margin: inches(7.9), shelterFrom: from, shelterTo: to })).toMatch(ends);
      expect(said({ margin: inches(8.1), shelterFrom: from, shelterTo: to })).toBe("");
    }
    // an end without one lets it stand at the edge
    expect(said({ margin: inches(2.1), shelterFrom: 1, shelterTo: 1, railLeft: false })).toBe("");
    expect(said({ margin: inches(2.1), shelterFrom: 1, shelterTo: 1, railRight: false })).toMatch(ends);
  });
  it("a deck without a railing, a gate without one, an edge lower than its deck: remarks", () => {
    const said = (over: object) => platformRemarks(of(over), HO).map((x) => x.text).join(" "); // prettier-ignore
    expect(said({})).toBe("");
    expect(said({ railBack: false, railLeft: false, railRight: false })).toMatch(
      /Nothing keeps people on a deck 15′-0″/,
    );
    expect(said({ gates: [{ side: "front", at: feet(20), width: feet(4), leaf: true }] })).toMatch(/Gate 1 is in the front, which has no railing: it is not made/); // prettier-ignore
    expect(said({ edgeHigh: inches(3) })).toMatch(/they are made as high as the deck/);
    expect(said({ height: feet(9) })).toMatch(/too low to walk under/);
    expect(said({ depth: feet(6) })).toMatch(/Width is 6′-0″; usual is 8′-0″ to 30′-0″/);
  });
  it("shows what plays a part", () => {
    const shown = (over: object, path: string) => platformShown(of(over), path);
    expect(shown({}, "picket")).toBe(false);
    expect(shown({ railing: "fence" }, "picket")).toBe(true);
    expect(shown({ railBack: false, railLeft: false, railRight: false }, "railHigh")).toBe(false);
    expect(shown({ shelter: "flat" }, "slope")).toBe(false);
    expect(shown({ shelter: "gable" }, "slope")).toBe(true);
    expect(shown({}, "between")).toBe(false);
  });
  it("a stair or a gate that is added stands where there is room", () => {
    let v = of();
    for (const path of ["stairs", "stairs", "gates", "gates", "stairs"] as const) {
      const row = platform.newRow!(v, path)!;
      v = { ...v, [path]: [...v[path], row] } as PlatformValues;
      expect(platformCheck(v, HO)).toEqual([]);
    }
    expect(v.stairs.map((s) => s.side)).toEqual(["left", "right", "back"]);
  });
});

it("what its spec offers stands sound or is refused: 20 random platforms over scales, stock and milling", () => {
  let stood = 0;
  for (let seed = 1; seed <= 20; seed++) {
    const { params, bench } = valuesFrom(platform, 52_000 + seed);
    const ctx = contextOf(bench);
    if (platform.check(params, ctx).length > 0) continue;
    stood++;
    expect(faultsOf(platform.frame(params, ctx), true).faults, `seed ${52_000 + seed}`).toEqual([]);
  }
  expect(stood).toBeGreaterThan(11);
});
