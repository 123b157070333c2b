import { describe, expect, it } from "vitest";
import type { ResolvedFrame } from "../../frame";
import { boundsOf, volumeOf } from "../../geometry";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { sheetBuilding } from ".";
import { near, panelIn, reachOf, roleCounts, volumeIn } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { shaftsOf } from "./chimney";
import { sheetFrame } from "./frame";
import { sheetCheck, sheetShown } from "./judgement";
import { sheetLayout } from "./layout";
import { sheetSpec, type SheetValues } from "./parameters";

/** 24 × 16 ft in HO, 6 in 12; a chimney 2 ft square is 7 mm. */
const HO = fullSawn(scaleOf("HO"));
const MM = (ft: number): number => (ft * 304.8) / HO.scale.ratio;
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const K = Math.hypot(1, 0.5);
const chimney = (over: object = {}) => ({ at: feet(8), in: feet(8), width: feet(2), depth: feet(2), high: feet(5), corbels: 2, ...over }); // prettier-ignore
const house = (over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues =>
  ({ ...defaultsOf(sheetSpec), chimneys: [chimney()], ...over }) as unknown as SheetValues;
const sound = (v: SheetValues, ctx = HO): ResolvedFrame => {
  expect(sheetCheck(v, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, ctx));
  expect(faults).toEqual([]);
  return resolved;
};
const volumes = (r: ResolvedFrame, id: RegExp): number => r.sticks.filter((k) => id.test(k.id)).reduce((s, k) => s + k.parts.reduce((n, p) => n + volumeOf(p), 0), 0); // prettier-ignore

describe("a chimney of a building of sheet", () => {
  it("has four mitred sides, its corbels and a cap, and a flashing on both slopes", () => {
    expect(roleCounts(sheetFrame(house(), HO))).toMatchObject({ "chimney side": 4, corbel: 2, "chimney cap": 1, flashing: 2 }); // prettier-ignore
    const r = sound(house());
    // 8 ft from the left corner and from the front: over the ridge
    const [x, y] = reachOf(r, "chimney1/front", "chimney1/right", "chimney1/back", "chimney1/left");
    expect(x).toEqual(near([-42 + MM(7), -42 + MM(9)])[0]);
    expect(y).toEqual(near([-MM(1), MM(1)])[0]);
    // a hollow square: its wall by plain reckoning
    const [shaft] = shaftsOf(sheetLayout(house(), HO));
    const t = 0.04 * MM_PER_INCH;
    expect(volumes(r, /chimney1\/(front|right|back|left)$/)).toBeCloseTo((49 - (7 - 2 * t) ** 2) * (shaft!.top - shaft!.foot), 6); // prettier-ignore
  });
  it("stands so far over the ridge as asked, goes through the roof, and ends below it", () => {
    const [shaft] = shaftsOf(sheetLayout(house(), HO));
    // ridge of the underside 31.5 + 14, the sheet of .040 measured plumb, 5 ft
    expect(shaft!.top).toBeCloseTo(31.5 + 14 + thou(40) * K + MM(5), 6);
    expect(shaft!.foot).toBeCloseTo(31.5 + (28 - MM(1)) * 0.5 - 3, 6);
    // on one slope the highest point is its upper side
    const [low] = shaftsOf(sheetLayout(house({ chimneys: [chimney({ in: feet(4) })] }), HO));
    expect(low!.top).toBeCloseTo(31.5 + MM(5) * 0.5 + thou(40) * K + MM(5), 6);
    expect(shaftsOf(sheetLayout(house({ roof: "flat" }), HO))).toEqual([]);
  });
  it("leaves plumb holes in the roof with the fit asked, by volume", () => {
    const [bare, cut] = [sound(house({ chimneys: [], flashing: 0 })), sound(house({ flashing: 0 }))];
    // plumb through both slopes: plan area over the cosine, times the thickness
    const plan = (7 + 0.2) * (3.5 + 0.1);
    for (const side of ["front", "back"])
      expect(volumeIn(bare, `roof/${side}`) - volumeIn(cut, `roof/${side}`)).toBeCloseTo(plan * K * thou(40), 4);
    const hole = panelIn(sheetFrame(house(), HO), "roof/front").holes[0]!;
    expect(hole.bevel).toEqual([26.56505, 0, -26.56505, 0].map((x) => expect.closeTo(x, 4)));
  });
  it("has corbels that reach out by as much each, and a cap as large as the last", () => {
    const r = sound(house({ chimneys: [chimney({ corbels: 3 })] }));
    const [shaft] = shaftsOf(sheetLayout(house(), HO));
    [1, 2, 3].forEach((n) => {
      const [x, y, z] = reachOf(r, `chimney1/corbel${n}`);
      const past = (n * MM(1)) / 6;
      expect(x).toEqual(near([-42 + MM(7) - past, -42 + MM(9) + past])[0]);
      expect(y).toEqual(near([-MM(1) - past, MM(1) + past])[0]);
      expect(z).toEqual(near([shaft!.top + (n - 1) * thou(30), shaft!.top + n * thou(30)])[0]);
    });
    expect(reachOf(r, "chimney1/cap")[0]).toEqual(near([-42 + MM(6.5), -42 + MM(9.5)])[0]);
    expect(roleCounts(sheetFrame(house({ chimneys: [chimney({ corbels: 0 })] }), HO))).not.toHaveProperty("corbel");
  });
  it("parts strips that it is wider than and notches those that it is not, and stands in none of them", () => {
    const v = house({ cover: "strips", ridgeCap: inches(9), chimneys: [chimney({ in: feet(5) })] });
    const r = sound(v);
    const parted = r.sticks.filter((k) => /cover\/front\/strip\d+[ab]$/.test(k.id));
    expect(parted.length).toBeGreaterThan(3);
    expect(parted.length % 2).toBe(0);
    // the left and the right of one are as long as the slope less the chimney and its room
    const ends = ["a", "b"].map((n) => parted.find((k) => k.id.endsWith(n))!).map((k) => boundsOf(k.parts));
    expect(ends[0]!.max[0] - ends[0]!.min[0] + ends[1]!.max[0] - ends[1]!.min[0]).toBeCloseTo(91 - 7 - 0.2, 6);
    expect(r.sticks.some((k) => /cover\/front\/strip\d+$/.test(k.id) && k.cutters.length > 0)).toBe(true);
    expect(roleCounts(sheetFrame(v, HO))).not.toHaveProperty("flashing");
  });
  it("parts the seams and the cap in its way", () => {
    const r = sound(house({ cover: "seams", ridgeCap: inches(9), seamApart: inches(10), chimneys: [chimney({ depth: feet(5) })] })); // prettier-ignore
    expect(r.sticks.some((k) => /seam\d+a$/.test(k.id))).toBe(true);
    const caps = r.sticks.filter((k) => k.member.role === "ridge cap").map((k) => k.id).sort(); // prettier-ignore
    expect(caps).toEqual(["t/cover/back/capa", "t/cover/back/capb", "t/cover/front/capa", "t/cover/front/capb"]);
  });
  it("mirrored across the ridge is mirrored in all that goes round it", () => {
    const at = (y: number): ResolvedFrame => sound(house({ cover: "strips", chimneys: [chimney({ in: feet(y) })] }));
    const list = (r: ResolvedFrame, sign: 1 | -1): string[] => r.sticks.filter((k) => /\/(roof|cover|chimney1)\//.test(k.id)).map((k) => { const { min, max } = boundsOf(k.parts); const y = [sign * min[1], sign * max[1]].sort((a, b) => a - b); return [k.member.role, ...[min[0], max[0], ...y, min[2], max[2]].map((n) => (Math.round(n * 1e4) / 1e4 + 0).toFixed(4))].join(" "); }).sort(); // prettier-ignore
    expect(list(at(11), -1)).toEqual(list(at(5), 1));
  });
  it.each([
    [{ at: feet(2) }, /Chimney 1 stands .* too near an end or past it; move it in/],
    [{ in: feet(1.5) }, /too near the front wall or past it/],
    [{ in: feet(14.5) }, /too near the back wall or past it/],
    [{ width: inches(9) }, /Chimney 1 is 2\.63 mm wide and two plates of 1\.02 mm leave no hollow|^$/],
  ])("%j", (over, says) => {
    expect(sheetCheck(house({ chimneys: [chimney(over)] }), HO).join(" ")).toMatch(says);
  });
  it("refuses two in each other, and shows its parameters where there is one", () => {
    expect(sheetCheck(house({ chimneys: [chimney(), chimney({ at: feet(10.5) })] }), HO)).toEqual(["Chimney 1 and chimney 2 are in each other with their corbels and flashing; move them apart."]); // prettier-ignore
    expect(sheetShown(house(), "corbelOut")).toBe(true);
    expect(sheetShown(house({ chimneys: [] }), "corbelOut")).toBe(false);
    expect(sheetShown(house({ roof: "flat" }), "chimneys")).toBe(false);
    expect(sheetShown(house({ cover: "strips" }), "flashing")).toBe(false);
  });
});

describe("what is added to a building of sheet", () => {
  const window = { wall: "front", kind: "window", at: feet(8), width: feet(3), height: feet(5), sill: feet(2.5), mount: "inside", lap: 0, style: "hung", across: 2, up: 2, shutters: "none" }; // prettier-ignore
  it("stands where there is room: chimneys side by side on the ridge, bands over windows and under each other", () => {
    let v = house({ chimneys: [], wallHeight: feet(14), openings: [window] });
    for (const path of ["chimneys", "chimneys", "bands", "bands"] as const) {
      v = { ...v, [path]: [...v[path], sheetBuilding.newRow!(v as never, path)] } as SheetValues;
      expect(sheetCheck(v, HO), path).toEqual([]);
    }
    expect(v.chimneys.map((c) => c.in)).toEqual([feet(8), feet(8)]);
    expect(v.bands[0]!.at).toBeGreaterThan(v.bands[1]!.at);
  });
});
