import { describe, expect, it } from "vitest";
import type { ResolvedFrame } from "../../frame";
import { polygonArea } from "../../geometry";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { near, panelIn, reachOf, roleCounts } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf, type Row } from "../spec";
import { sheetFrame } from "./frame";
import { sheetCheck } from "./judgement";
import { sheetSpec, type SheetValues } from "./parameters";

/** A brick block of 30 × 40 ft, 24 ft to its roof and 2 ft of parapet: 105 × 140 mm and 91 high in HO. */
const HO = fullSawn(scaleOf("HO"));
const usual = Object.fromEntries(Object.entries(sheetSpec.openings.columns).map(([k, c]) => [k, c.def])) as Row;
const block = (over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues => ({ ...defaultsOf(sheetSpec), face: "brick", facePitch: inches(2.75), core: "core/3", corner: "ends", roof: "flat", wallHeight: feet(24), length: feet(30), width: feet(40), ...over }) as unknown as SheetValues; // prettier-ignore
const sound = (v: SheetValues): ResolvedFrame => {
  expect(sheetCheck(v, HO)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, HO));
  expect(faults).toEqual([]);
  return resolved;
};
const IN = MM_PER_INCH / HO.scale.ratio;
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;

describe("quoins", () => {
  it("stand at all four corners in as many courses as fit, two plates each, long and short by turns", () => {
    const v = block({ quoins: inches(12) });
    const f = sheetFrame(v, HO);
    // 26 ft of wall in stones of a foot
    expect(roleCounts(f)["quoin"] ?? 0).toBe(4 * 26 * 2);
    const r = sound(v);
    const t = thou(15);
    const z: readonly [number, number] = [0, 3.5];
    // the first runs past the corner of the front, its fellow on the right end is short
    expect(reachOf(r, "quoins/front-right/1/left")).toEqual(near([52.5 - 18 * IN, 52.5 + t], [-70 - t, -70], z));
    expect(reachOf(r, "quoins/front-right/1/right")).toEqual(near([52.5, 52.5 + t], [-70, -70 + 9 * IN], z));
    // the second the other way
    expect(reachOf(r, "quoins/front-right/2/left")[0]).toEqual(near([52.5 - 9 * IN, 52.5])[0]);
    expect(reachOf(r, "quoins/front-right/2/right")[1]).toEqual(near([-70 - t, -70 + 18 * IN])[0]);
    // mirrored at the opposite corner
    expect(reachOf(r, "quoins/back-left/1/left")[0]).toEqual(near([-52.5 - t, -52.5 + 18 * IN])[0]);
  });
  it("end with a lower stone where the wall does, and begin on the higher foot", () => {
    const r = sound(block({ quoins: inches(16), footFront: feet(2), footRight: feet(-1) }));
    // 1 ft over the floor to 26 ft: 18 of 16 in and one of 12
    expect(reachOf(r, "quoins/front-right/1/left")[2]![0]).toBeCloseTo(3.5, 6);
    const last = reachOf(r, "quoins/front-right/19/left")[2]!;
    expect(last[1] - last[0]).toBeCloseTo(12 * IN, 6);
    expect(last[1]).toBeCloseTo(91, 6);
  });
  it("leave room for what is round openings, or say so", () => {
    const openings = [{ ...usual, at: feet(3.2), mount: "inside", lap: 0, width: feet(2) }];
    const lintels = { lintel: inches(10), stoneLap: inches(9) };
    expect(sheetCheck(block({ openings, ...lintels }), HO)).toEqual([]);
    expect(sheetCheck(block({ openings, ...lintels, quoins: inches(12) }), HO)).toEqual([
      "What is on the face round opening 1 meets the quoins, which reach 1′-6″ from the corner; move it in.",
    ]);
    expect(sheetCheck(block({ quoins: inches(12), quoinLong: feet(6), length: feet(10) }), HO)[0]).toMatch(/^Quoins 6′-0″ long meet on a wall of 10′-0″/); // prettier-ignore
  });
});
describe("lintels and stone sills", () => {
  it("lie over and under openings without trim, past them on both sides", () => {
    const v = block({ lintel: inches(10), stoneSill: inches(4), openings: [{ ...usual, at: feet(15), sill: feet(3), mount: "inside", lap: 0 }] }); // prettier-ignore
    const r = sound(v);
    // a casting 3 × 5 ft: 10.5 × 17.5 mm from 10.5 to 28
    expect(reachOf(r, "opening1/lintel")).toEqual(near([-5.25 - 6 * IN, 5.25 + 6 * IN], [-70 - thou(15), -70], [28, 28 + 10 * IN])); // prettier-ignore
    expect(reachOf(r, "opening1/stone-sill")[2]).toEqual(near([10.5 - 4 * IN, 10.5])[0]);
  });
  it("a door has no sill, an opening with trim has neither", () => {
    const stone = { lintel: inches(10), stoneSill: inches(4) };
    const of = (row: Row): readonly number[] => { const f = sheetFrame(block({ ...stone, openings: [{ ...usual, at: feet(15), mount: "inside", lap: 0, ...row }] }), HO); return [(roleCounts(f)["lintel"] ?? 0), (roleCounts(f)["stone sill"] ?? 0)]; }; // prettier-ignore
    expect(of({})).toEqual([1, 1]);
    expect(of({ kind: "door", sill: 0 })).toEqual([1, 0]);
    expect(of({ mount: "layers" })).toEqual([0, 0]);
  });
});
describe("parapet caps", () => {
  it("go round mitred, over the wall on both sides, and cover the ring by its area", () => {
    const v = block({ coping: "styrene/40", copingOver: inches(2) });
    const r = sound(v);
    const f = sheetFrame(v, HO);
    const over = 2 * IN;
    const stack = thou(40) + 3;
    const area = ["front", "right", "back", "left"].reduce((s, w) => s + polygonArea(panelIn(f, `coping/${w}`).outline), 0); // prettier-ignore
    const ring = (105 + 2 * over) * (140 + 2 * over) - (105 - 2 * (stack + over)) * (140 - 2 * (stack + over));
    expect(area).toBeCloseTo(ring, 6);
    expect(reachOf(r, "coping/front")).toEqual(near([-52.5 - over, 52.5 + over], [-70 - over, -70 + stack + over], [91, 91 + thou(40)])); // prettier-ignore
    expect(roleCounts(sheetFrame(block({ coping: "styrene/40", roof: "gable" }), HO))["parapet cap"] ?? 0).toBe(0);
  });
});
