import { describe, expect, it } from "vitest";
import type { ResolvedFrame } from "../../frame";
import { boundsOf } from "../../geometry";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { near, reachOf, roleCounts } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { sheetFrame } from "./frame";
import { guttersOf } from "./gutters";
import { sheetCheck, sheetShown } from "./judgement";
import { sheetLayout } from "./layout";
import { sheetSpec, type SheetValues } from "./parameters";

/** 24 × 16 ft in HO, 9 ft high, 6 in 12, eaves of a foot: their underside is 31.5 − 1.75 mm high. */
const HO = fullSawn(scaleOf("HO"));
const MM = (ft: number): number => (ft * 304.8) / HO.scale.ratio;
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const house = (over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues =>
  ({ ...defaultsOf(sheetSpec), gutters: "eaves", ...over }) as unknown as SheetValues;
const sound = (v: SheetValues): ResolvedFrame => {
  expect(sheetCheck(v, HO)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, HO));
  expect(faults).toEqual([]);
  return resolved;
};
const EAVE = 31.5 - 1.75;

describe("gutters and downpipes", () => {
  it("are one along each eave and, at both its ends, outlet, neck and pipe", () => {
    expect(roleCounts(sheetFrame(house(), HO))).toMatchObject({ gutter: 2, outlet: 4, neck: 4, downpipe: 4 });
    expect(roleCounts(sheetFrame(house({ downpipes: "left" }), HO))).toMatchObject({ gutter: 2, outlet: 2, downpipe: 2 }); // prettier-ignore
    expect(roleCounts(sheetFrame(house({ roof: "shed" }), HO))).toMatchObject({ gutter: 1, downpipe: 2 });
    const none = roleCounts(sheetFrame(house({ downpipes: "none" }), HO));
    expect(none).toMatchObject({ gutter: 2 });
    expect(none).not.toHaveProperty("downpipe");
    expect(guttersOf(sheetLayout(house({ roof: "flat" }), HO), HO)).toEqual([]);
  });
  it("hang before the eave, their top at its underside, as long as the roof", () => {
    const r = sound(house());
    // 4×6 in: 1.167 out of the wall, 1.75 high
    expect(reachOf(r, "gutter/front/gutter")).toEqual(near([-45.5, 45.5], [-28 - 3.5 - MM(4 / 12), -28 - 3.5], [EAVE - MM(6 / 12), EAVE])); // prettier-ignore
    expect(reachOf(r, "gutter/back/gutter")[1]).toEqual(near([31.5, 31.5 + MM(4 / 12)])[0]);
  });
  it("lead down near the wall from 15 in in, the neck at 45°, mitred without a gap", () => {
    const r = sound(house());
    const d = guttersOf(sheetLayout(house(), HO), HO)[0]!.pipe.v;
    expect(d).toBeCloseTo(MM(3 / 12), 1);
    const [x, y, z] = reachOf(r, "gutter/front/pipe1/down");
    expect((x![0] + x![1]) / 2).toBeCloseTo(-42 + MM(1.25), 6);
    // 0.2 mm clear of the wall; its flats lie on the diameter
    expect(y![1]).toBeLessThan(-28 - 0.15);
    expect((y![0] + y![1]) / 2).toBeCloseTo(-28 - 0.2 - d / 2, 6);
    expect(z![0]).toBeCloseTo(0, 6);
    const neck = reachOf(r, "gutter/front/pipe1/neck");
    const outlet = reachOf(r, "gutter/front/pipe1/outlet");
    // as far in as down
    const [middle, near0] = [-28 - 3.5 - MM(4 / 12) / 2, -28 - 0.2 - d / 2];
    expect((outlet[1]![0] + outlet[1]![1]) / 2).toBeCloseTo(middle, 6);
    const from = EAVE - MM(6 / 12) - d;
    expect((neck[2]![0] + neck[2]![1]) / 2).toBeCloseTo(from - (near0 - middle) / 2, 6);
    expect(outlet[2]![1]).toBeCloseTo(EAVE - MM(6 / 12), 6);
    // on the right end it is the mirror image
    expect(
      reachOf(r, "gutter/front/pipe2/down")[0]
        .map((n) => -n)
        .reverse(),
    ).toEqual(x!.map((n) => expect.closeTo(n, 6)));
  });
  it("run straight down where the gutter hangs on the wall", () => {
    const v = house({ overhang: 0 });
    expect(roleCounts(sheetFrame(v, HO))).not.toHaveProperty("neck");
    const r = sound(v);
    expect(reachOf(r, "gutter/front/gutter")[1]).toEqual(near([-28 - MM(4 / 12), -28])[0]);
    expect(reachOf(r, "gutter/front/pipe1/down")[2]).toEqual(near([0, 31.5 - MM(6 / 12)])[0]);
  });
  it("keep clear of corner boards, bands and a fascia behind them", () => {
    const band = { at: feet(6), high: inches(8), out: inches(9), walls: "all", brackets: 3, dentils: 0 };
    const v = house({ overhang: feet(2), cornerTrim: inches(20), fascia: inches(9), bands: [band] });
    const r = sound(v);
    const pipe = reachOf(r, "gutter/front/pipe1/down")[1];
    expect(pipe[1]).toBeLessThan(-28 - MM(9 / 12) - 0.15);
    // the neck begins below the fascia
    const outlet = reachOf(r, "gutter/front/pipe1/outlet")[2];
    expect(outlet[0]).toBeLessThan(31.5 - 3.5 - MM(9 / 12));
    // with boards alone it is nearer
    expect(reachOf(sound({ ...v, bands: [] }), "gutter/front/pipe1/down")[1][1]).toBeGreaterThan(-28 - thou(20) - 0.35);
  });
  it.each([
    [{ downpipe: "⌀5" }, /Downpipes 1\.\d+ mm thick are wider than their gutter of 1\.17 mm/],
    [{ downIn: feet(12) }, /Both downpipes of the front stand in each other 12′-0″ in/],
    [{ downpipe: "3×3" }, /Downpipe is “3×3”; write a diameter in inches such as ⌀3\./],
    [{ gutter: "⌀4" }, /Gutter is “⌀4”; write a nominal size/],
    [
      { bands: [{ at: feet(6), high: inches(8), out: inches(20), walls: "front", brackets: 0, dentils: 0 }] },
      /would stand 6\.\d+ mm out to clear what is behind them, past their gutter/,
    ],
    [
      {
        openings: [
          {
            wall: "front",
            kind: "window",
            at: feet(3),
            width: feet(3),
            height: feet(5),
            sill: feet(2.5),
            mount: "inside",
            lap: 0,
            style: "hung",
            across: 2,
            up: 2,
            shutters: "none",
          },
        ],
        downIn: feet(2),
      },
      /A downpipe 2′-0″ in from the corner runs before opening 1 of the front; move it\./,
    ],
  ])("%j is refused with its figure", (over, says) => {
    expect(sheetCheck(house(over), HO).join(" ")).toMatch(says);
  });
  it("show what plays a part", () => {
    expect(sheetShown(house({ gutters: "none" }), "gutter")).toBe(false);
    expect(sheetShown(house(), "downIn")).toBe(true);
    expect(sheetShown(house({ downpipes: "none" }), "downIn")).toBe(false);
    expect(sheetShown(house({ roof: "flat" }), "gutters")).toBe(false);
  });
  it("no pipe leaves its eave: all of it is under the gutter's length and over the ground", () => {
    const r = sound(house({ footFront: feet(2) }));
    for (const k of r.sticks.filter((x) => /\/gutter\/front\/pipe/.test(x.id))) {
      const { min, max } = boundsOf(k.parts);
      expect(min[0]).toBeGreaterThan(-45.5);
      expect(max[0]).toBeLessThan(45.5);
      expect(min[2]).toBeGreaterThanOrEqual(-MM(2) - 1e-6);
    }
  });
});
