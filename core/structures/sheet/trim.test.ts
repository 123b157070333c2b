import { describe, expect, it } from "vitest";
import { cross, dot, boundsOf, type Vec2 } from "../../geometry";
import { unionOf } from "../../geometry/union";
import { polygonArea } from "../../geometry";
import type { ResolvedFrame } from "../../frame";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { near, panelIn, reachOf, roleCounts, volumeIn } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { sheetFrame } from "./frame";
import { sheetCheck, sheetRemarks, sheetShown } from "./judgement";
import { sheetSpec, type SheetValues } from "./parameters";

/** 24 × 16 ft in HO is 84 × 56 mm; its front is 31.5 mm high, its slope 6 in 12. */
const HO = fullSawn(scaleOf("HO"));
const MM = (ft: number): number => (ft * 304.8) / HO.scale.ratio;
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const house = (over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues =>
  ({ ...defaultsOf(sheetSpec), ...over }) as unknown as SheetValues;
const sound = (v: SheetValues, ctx = HO): ResolvedFrame => {
  expect(sheetCheck(v, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, ctx));
  expect(faults).toEqual([]);
  return resolved;
};
const band = (over: object = {}) => ({ at: feet(7), high: inches(10), out: 0, walls: "all", brackets: 0, dentils: 0, ...over }); // prettier-ignore
const SIDES = ["front", "right", "back", "left"] as const;

describe("corner boards", () => {
  const v = house({ cornerTrim: inches(6) });
  it("are eight, the long walls' wider by what they cover of the others", () => {
    expect(roleCounts(sheetFrame(v, HO))["corner board"]).toBe(8);
    const r = sound(v);
    const [w, t] = [MM(0.5), thou(20)];
    expect(reachOf(r, "trim/corner/front-left").slice(0, 2)).toEqual(near([-42 - t, -42 + w], [-28 - t, -28]));
    expect(reachOf(r, "trim/corner/front-right").slice(0, 2)).toEqual(near([42 - w, 42 + t], [-28 - t, -28]));
    expect(reachOf(r, "trim/corner/back-left").slice(0, 2)).toEqual(near([42 - w, 42 + t], [28, 28 + t]));
    expect(reachOf(r, "trim/corner/right-left").slice(0, 2)).toEqual(near([42, 42 + t], [-28, -28 + w]));
    expect(reachOf(r, "trim/corner/left-right").slice(0, 2)).toEqual(near([-42 - t, -42], [-28, -28 + w]));
  });
  it("end under the roof, whichever way it falls: no top is lower than it need be", () => {
    for (const roof of ["gable", "shed"] as const) {
      const r = sound(house({ cornerTrim: inches(6), roof }));
      const top = (id: string): number => reachOf(r, `trim/corner/${id}`)[2][1];
      // on its inner face a board under an eave is as high as the wall's outside
      expect(top("front-left"), roof).toBeCloseTo(31.5, 6);
      // at the right end its inner edge is the higher: half a foot up the slope
      expect(top("right-left"), roof).toBeCloseTo(31.5 + MM(0.5) / 2, 6);
      if (roof === "gable") expect(top("right-right"), roof).toBeCloseTo(31.5 + MM(0.5) / 2, 6);
      // a shed's back stands higher by 16 ft of run, its board's outside by its thickness more
      else expect(top("back-left")).toBeCloseTo(31.5 + 28 + thou(20) / 2, 6);
    }
  });
  it("are refused with quoins, and where they would meet; windows keep clear of them", () => {
    expect(sheetCheck(house({ cornerTrim: inches(6), quoins: inches(10) }), HO)).toEqual(["Corner boards and quoins cover the same corners; leave one of them out."]); // prettier-ignore
    expect(sheetCheck(house({ cornerTrim: feet(4), width: feet(8) }), HO)).toEqual(["Corner boards 4′-0″ wide meet on a wall of 8′-0″; make them narrower."]); // prettier-ignore
    const window = { wall: "front", kind: "window", at: feet(3.25), width: feet(3), height: feet(5), sill: feet(2.5), mount: "inside", lap: 0, style: "hung", across: 2, up: 2, shutters: "none" }; // prettier-ignore
    expect(sheetCheck(house({ cornerTrim: inches(22), openings: [window] }), HO)).toEqual(["Opening 1 is 1′-9″ from the corner, behind the corner board; move it in."]); // prettier-ignore
  });
});

describe("fascias and barge boards", () => {
  const v = house({ fascia: inches(8) });
  it("are one at each eave between two at each end, which meet plumb over the middle", () => {
    expect(roleCounts(sheetFrame(v, HO))).toMatchObject({ fascia: 2, "barge board": 4 });
    const r = sound(v);
    const t = thou(20);
    // the roof overhangs 1 ft at the eaves and at the ends
    const eave = -28 - MM(1);
    expect(reachOf(r, "trim/fascia/front")).toEqual([...near([-42 - MM(1) + t, 42 + MM(1) - t], [eave, eave + t]), expect.anything()]); // prettier-ignore
    // under the eave the roof is lower by 6 in of a foot, at the board's inner side by its thickness less
    const [low, high] = reachOf(r, "trim/fascia/front")[2];
    expect(high).toBeCloseTo(31.5 - MM(0.5) + t / 2, 6);
    expect(low).toBeCloseTo(31.5 - MM(0.5) - MM(8 / 12), 6);
    for (const [id, x, y] of [
      ["right-front", [42 + MM(1) - t, 42 + MM(1)], [eave, 0]],
      ["left-back", [-42 - MM(1), -42 - MM(1) + t], [0, -eave]],
    ] as const)
      // prettier-ignore
      expect(reachOf(r, `trim/barge/${id}`).slice(0, 2), id).toEqual(near(x, y));
    expect(reachOf(r, "trim/barge/right-front")[2][1]).toBeCloseTo(31.5 + 14, 6);
    // a barge board is as high square to the slope as a fascia is plumb: its area is length along the slope times height
    const { outline } = panelIn(sheetFrame(v, HO), "trim/barge/right-front");
    expect(polygonArea(outline)).toBeCloseTo((28 + MM(1)) * Math.hypot(1, 0.5) * MM(8 / 12), 6);
  });
  it("of a shed roof rise from front to back in one, the back's fascia bevelled the other way", () => {
    const r = sound(house({ fascia: inches(8), roof: "shed" }));
    expect(reachOf(r, "trim/barge/left")[1]).toEqual(near([-28 - MM(1), 28 + MM(1)])[0]);
    expect(reachOf(r, "trim/fascia/back")[2][1]).toBeCloseTo(31.5 + 28 + MM(0.5), 6);
  });
  it("want an overhang, and say so", () => {
    const told = house({ fascia: inches(8), overhang: 0 });
    expect(roleCounts(sheetFrame(told, HO)).fascia).toBeUndefined();
    expect(sheetRemarks(told, HO).map((x) => x.text)).toEqual(["The roof does not overhang the eaves by as much as a board of 0.51 mm and what is on the face take: no boards are put there."]); // prettier-ignore
    // corner boards stand out too
    const close = house({ fascia: inches(8), overhang: inches(3), cornerTrim: inches(6) });
    expect(roleCounts(sheetFrame(close, HO)).fascia).toBeUndefined();
    expect(roleCounts(sheetFrame({ ...close, cornerTrim: 0 }, HO)).fascia).toBe(2);
  });
});

describe("bands and cornices", () => {
  it("a band goes round the building in four mitred strips whose outsides close a ring", () => {
    const v = house({ bands: [band()] });
    const r = sound(v);
    const t = thou(20);
    for (const side of SIDES) {
      const [x, y, z] = reachOf(r, `band1/${side}/strip`);
      expect(z).toEqual(near([MM(7) - MM(10 / 12), MM(7)])[0]);
      const long = side === "front" || side === "back";
      expect(long ? x : y).toEqual(near(long ? [-42 - t, 42 + t] : [-28 - t, 28 + t])[0]);
      // plain reckoning: as long in the middle of its thickness
      expect(volumeIn(r, `band1/${side}/strip`)).toBeCloseTo(((long ? 84 : 56) + t) * MM(10 / 12) * t, 6);
    }
    expect(roleCounts(sheetFrame(v, HO)).band).toBe(4);
  });
  it("its shelves make the ring round the walls, by another polygon library", () => {
    const v = house({ bands: [band({ out: inches(14) })] });
    const f = sheetFrame(v, HO);
    const out = MM(14 / 12);
    sound(v);
    const flat = SIDES.map((side): Vec2[] => {
      const b = panelIn(f, `band1/${side}/shelf`);
      return b.outline.map(([u, w]): Vec2 => [b.origin[0] + b.u[0] * u + b.v[0] * w, b.origin[1] + b.u[1] * u + b.v[1] * w]); // prettier-ignore
    });
    const area = unionOf(flat).reduce((s, o) => s + polygonArea(o), 0);
    expect(area).toBeCloseTo((84 + 2 * out) * (56 + 2 * out) - 84 * 56, 3);
    expect(flat.reduce((s, o) => s + Math.abs(polygonArea(o)), 0)).toBeCloseTo(area, 3);
    // a shelf lies on its strip, its upper side up
    for (const side of SIDES) {
      const b = panelIn(f, `band1/${side}/shelf`);
      expect(cross(b.u, b.v)[2]).toBeCloseTo(1, 9);
      expect(b.origin[2]).toBeCloseTo(MM(7), 9);
    }
  });
  it("on the front alone, and between corner boards or quoins, it ends square", () => {
    const front = sound(house({ bands: [band({ walls: "front", out: inches(14) })] }));
    expect(front.sticks.filter((k) => k.id.includes("/band1/"))).toHaveLength(2);
    expect(reachOf(front, "band1/front/strip")[0]).toEqual(near([-42, 42])[0]);
    expect(reachOf(front, "band1/front/shelf")[0]).toEqual(near([-42, 42])[0]);
    expect(reachOf(sound(house({ bands: [band()], cornerTrim: inches(6) })), "band1/right/strip")[1]).toEqual(near([-28 + MM(0.5), 28 - MM(0.5)])[0]); // prettier-ignore
    expect(reachOf(sound(house({ bands: [band()], quoins: inches(10) })), "band1/back/strip")[0]).toEqual(near([-42 + MM(1.5), 42 - MM(1.5)])[0]); // prettier-ignore
  });
  it("has five brackets on 102 mm, (102 − 5 × 1.524) / 5 clear between and half of it at the ends", () => {
    // a front of 102 mm
    const v = house({ length: 102 * HO.scale.ratio, bands: [band({ at: feet(8), out: inches(14), brackets: 5 })], roof: "flat" }); // prettier-ignore
    const r = sound(v);
    const brackets = r.sticks.filter((k) => /band1\/front\/bracket/.test(k.id)).map((k) => boundsOf(k.parts));
    const clear = (102 - 5 * thou(60)) / 5;
    expect(clear).toBeCloseTo(18.876, 3);
    brackets.forEach(({ min, max }, i) => {
      expect(min[0]).toBeCloseTo(-51 + clear / 2 + i * (clear + thou(60)), 3);
      expect(max[0] - min[0]).toBeCloseTo(thou(60), 6);
      // from the strip out to 15 % short of the shelf's edge, under the shelf
      expect(max[1]).toBeCloseTo(-28 - thou(20), 6);
      expect(min[1]).toBeCloseTo(-28 - thou(20) - (MM(14 / 12) - thou(20)) * 0.85, 6);
      expect([min[2], max[2]]).toEqual(near([MM(8) - MM(9 / 12), MM(8)])[0]);
    });
    // the other walls about as far apart: 56 mm have 3
    expect(r.sticks.filter((k) => /band1\/right\/bracket/.test(k.id))).toHaveLength(3);
  });
  it("divides each wall evenly by dentils, and leaves out those that a bracket takes", () => {
    const bare = sound(house({ roof: "flat", bands: [band({ at: feet(8), out: inches(14), dentils: inches(9), walls: "front" })] })); // prettier-ignore
    const at = (r: ResolvedFrame): number[] => r.sticks.filter((k) => k.member.role === "dentil").map((k) => { const { min, max } = boundsOf(k.parts); return (min[0] + max[0]) / 2; }); // prettier-ignore
    // 288 in by 9
    expect(at(bare)).toHaveLength(32);
    at(bare).forEach((x, i) => expect(x).toBeCloseTo(-42 + (84 * (i + 0.5)) / 32, 6));
    const both = sound(house({ roof: "flat", bands: [band({ at: feet(8), out: inches(14), dentils: inches(9), brackets: 3, walls: "front" })] })); // prettier-ignore
    const brackets = [-28, 0, 28];
    const kept = at(bare).filter((x) => brackets.every((b) => Math.abs(x - b) >= (thou(60) + MM(0.25)) / 2 - 1e-9));
    expect(at(both)).toEqual(kept.map((x) => expect.closeTo(x, 6)));
    expect(kept.length).toBeLessThan(32);
  });
  it("mirrored is itself: what stands right of the middle stands left of it", () => {
    const r = sound(house({ roof: "flat", bands: [band({ at: feet(8), out: inches(14), dentils: inches(9), brackets: 5 })] })); // prettier-ignore
    for (const side of SIDES) {
      const e = side === "front" || side === "back" ? 0 : 1;
      const middles = r.sticks.filter((k) => k.id.includes(`/band1/${side}/`)).map((k) => { const { min, max } = boundsOf(k.parts); return (min[e]! + max[e]!) / 2; }).sort((a, b) => a - b); // prettier-ignore
      const mirrored = middles.map((x) => -x).sort((a, b) => a - b);
      middles.forEach((x, i) => expect(x).toBeCloseTo(mirrored[i]!, 6));
    }
  });
  it.each([
    [
      { at: feet(9) + 1 },
      /Band 1 ends 9′-0 1\/16″ .* the lowest top of its walls, out as far as it reaches, is at 8′-11 1\/8″/,
    ],
    [{ at: inches(8) }, /reaches below the foot of its wall/],
    [{ out: inches(2) }, /stands 0′-2″ out and its strip is 0.51 mm thick/],
    [{ out: inches(20), brackets: 60 }, /60 brackets 1.52 mm wide have no room on 24′-0″/],
    [{ out: inches(3), brackets: 3 }, /leaves no depth for brackets/],
    [{ dentils: inches(3.25) }, /Dentils 0′-3″ wide 0′-3 1\/4″ apart leave nothing between them/],
    [{ out: inches(3), dentils: inches(8) }, /Dentils 0.51 mm thick stand out past the shelf/],
  ])("refuses %j with its figure", (over, says) => {
    expect(sheetCheck(house({ bands: [band(over)] }), HO).join(" ")).toMatch(says);
  });
  it("refuses what runs across an opening, another band, a fascia; tells what is made smaller", () => {
    const window = { wall: "front", kind: "window", at: feet(8), width: feet(3), height: feet(5), sill: feet(2.5), mount: "inside", lap: 0, style: "hung", across: 2, up: 2, shutters: "none" }; // prettier-ignore
    expect(sheetCheck(house({ bands: [band()], openings: [window] }), HO)).toEqual(["Band 1 runs across opening1 of the front; put it higher or lower.".replace("opening1", "opening 1")]); // prettier-ignore
    expect(sheetCheck(house({ bands: [band(), band({ at: feet(7.5) })] }), HO)).toEqual(["Band 1 and band 2 are in each other; move one."]); // prettier-ignore
    expect(sheetCheck(house({ bands: [band({ at: feet(8.25), out: inches(11) })], fascia: inches(8) }), HO)[0]).toMatch(/meets the fascia at the eave/); // prettier-ignore
    const said = sheetRemarks(house({ roof: "flat", bands: [band({ high: inches(6), out: inches(14), brackets: 3, dentils: inches(9) }), band({ at: feet(4), brackets: 3 })], dentilHigh: inches(8) }), HO).map((x) => x.text); // prettier-ignore
    expect(said).toEqual([
      "Brackets 0′-9″ high are made as high as band 1, 0′-6″.",
      "Dentils 0′-8″ high are made as high as band 1, 0′-6″.",
      "Band 2 has no shelf, so it has no brackets either.",
    ]);
  });
  it("shows what plays a part", () => {
    expect(sheetShown(house(), "stripSheet")).toBe(false);
    expect(sheetShown(house({ bands: [band()] }), "stripSheet")).toBe(true);
    expect(sheetShown(house({ bands: [band()] }), "bracketSheet")).toBe(false);
    expect(sheetShown(house({ bands: [band({ out: inches(12), brackets: 3 })] }), "bracketSheet")).toBe(true);
    expect(sheetShown(house({ bands: [band({ dentils: inches(8) })] }), "dentilWide")).toBe(true);
    expect(sheetShown(house({ roof: "flat" }), "fascia")).toBe(false);
  });
});

it("a panel of the trim faces outwards: its upper side is away from the wall", () => {
  const v = house({ cornerTrim: inches(6), fascia: inches(8), bands: [band({ at: feet(6) })] });
  const f = sheetFrame(v, HO);
  const outside = { front: [0, -1, 0], back: [0, 1, 0], right: [1, 0, 0], left: [-1, 0, 0] } as const;
  for (const m of f.members.filter((x) => /\/(trim|band1)\//.test(x.id))) {
    const side = SIDES.find((s) => new RegExp(`/(corner|fascia|barge)/${s}|band1/${s}/`).test(m.id))!;
    const b = panelIn(f, m.id.slice(2));
    expect(dot(cross(b.u, b.v), outside[side]), m.id).toBeCloseTo(1, 9);
  }
});
