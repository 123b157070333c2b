import { describe, expect, it } from "vitest";
import { piecesOf, textureLines, type ResolvedFrame } from "../../frame";
import { boundsOf, volumeOf } from "../../geometry";
import { designOf, emptyJob, newStructure } from "../../job";
import { longSheets } from "../../checks/longSheets";
import { notAsListed } from "../../checks/virtualBench.fixture";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { near, reachOf } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { sheetFrame } from "./frame";
import { sheetCheck, sheetRemarks } from "./judgement";
import { sheetLayout } from "./layout";
import { sheetSpec, type SheetValues } from "./parameters";
import { evenSeams, wallSeams } from "./seams";

/** 120 ft in HO is 420 mm: two lengths of a 12 in sheet. */
const HO = fullSawn(scaleOf("HO"));
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const shed = (over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues =>
  ({ ...defaultsOf(sheetSpec), length: feet(120), ...over }) as unknown as SheetValues;
const sound = (v: SheetValues): ResolvedFrame => {
  expect(sheetCheck(v, HO)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, HO));
  expect(faults).toEqual([]);
  return resolved;
};
const seams = (v: SheetValues) => wallSeams(sheetLayout(v, HO), sheetLayout(v, HO).walls[0]!);
const parts = (r: ResolvedFrame, id: string) => r.byMember.get(`t/${id}`)!;

describe("barge boards longer than a sheet", () => {
  // 160 ft are 560 mm, half of that and a foot of overhang 283.5, on the slope of 6 in 12 some 317
  const wide = (over: Partial<Record<keyof SheetValues, unknown>> = {}) => shed({ width: feet(160), fascia: inches(8), ...over }); // prettier-ignore
  const half = 280 + 3.5;
  it("are parted plumb into equal lengths, at both ends of the building the same, and leave nothing out", () => {
    const [r, whole] = [sound(wide()), sound(wide({ sheetLong: 3000 }))];
    for (const [id, sign] of [
      ["right-front", -1],
      ["right-back", 1],
      ["left-front", -1],
      ["left-back", 1],
    ] as const) {
      const found = parts(r, `trim/barge/${id}`).map((k) => boundsOf(k.parts)).sort((a, b) => a.min[1] - b.min[1]); // prettier-ignore
      const ys = sign < 0 ? [-half, -half / 2, 0] : [0, half / 2, half];
      expect(
        found.map((x) => [x.min[1], x.max[1]]),
        id,
      ).toEqual([near([ys[0]!, ys[1]!])[0], near([ys[1]!, ys[2]!])[0]]);
      const volume = (x: ResolvedFrame): number => parts(x, `trim/barge/${id}`).reduce((s, k) => s + k.parts.reduce((n, p) => n + volumeOf(p), 0), 0); // prettier-ignore
      expect(volume(r), id).toBeCloseTo(volume(whole), 6);
      expect(parts(whole, `trim/barge/${id}`)).toHaveLength(1);
      // the lower part's upper corner is where the roof's underside is over the seam
      expect(found[sign < 0 ? 0 : 1]!.max[2], id).toBeCloseTo(parts(whole, `trim/barge/${id}`).map((k) => boundsOf(k.parts).max[2])[0]! - half / 4, 6); // prettier-ignore
    }
  });
  it("come off the bench as the cut list has them", () => {
    const values = { length: feet(40), width: feet(160), fascia: inches(8) };
    const d = designOf({ ...emptyJob("Barges"), structures: [newStructure("sheet", "s", "Barn", values)] });
    // two boards of two parts at each end: lower ones and upper ones, two of each the other way round
    const barges = piecesOf(d.structures[0]!.resolved.sticks).filter((p) => p.role === "barge board");
    expect(barges.reduce((n, p) => n + p.sticks.length, 0)).toBe(8);
    expect(notAsListed(d)).toEqual([]);
  });
  it("stay whole where the sheet just takes them along the slope, plumb ends and all, and not where it is short of that", () => {
    const takes = half * Math.hypot(1, 0.5) + ((8 / 12) * 3.5) / 2;
    expect(parts(sound(wide({ sheetLong: takes + 0.01 })), "trim/barge/left-front")).toHaveLength(1);
    expect(parts(sound(wide({ sheetLong: takes - 0.01 })), "trim/barge/left-front")).toHaveLength(2);
  });
});
describe("roofs and trim longer than a sheet", () => {
  it("are parted evenly, a plate under each seam between the walls; together they are the roof", () => {
    // 420 mm and a foot over at either end: 427 in two, parted in the middle
    const r = sound(shed());
    const whole = sound(shed({ sheetLong: 3000 }));
    const volume = (x: ResolvedFrame, id: string): number => parts(x, id).reduce((s, k) => s + k.parts.reduce((n, p) => n + volumeOf(p), 0), 0); // prettier-ignore
    for (const side of ["front", "back"]) {
      expect(parts(r, `roof/${side}`)).toHaveLength(2);
      expect(parts(whole, `roof/${side}`)).toHaveLength(1);
      const [left, right] = parts(r, `roof/${side}`)
        .map((k) => boundsOf(k.parts))
        .sort((a, b) => a.min[0] - b.min[0]);
      expect([
        [left!.min[0], left!.max[0]],
        [right!.min[0], right!.max[0]],
      ]).toEqual(near([-213.5, 0], [0, 213.5]));
      expect(volume(r, `roof/${side}`)).toBeCloseTo(volume(whole, `roof/${side}`), 6);
      // the plate reaches 6 past the seam and lies on the underside, clear of walls and ridge
      const [x, y, z] = reachOf(r, `roof/${side}/splice1`);
      expect(x).toEqual(near([-6, 6])[0]);
      const [inner, outer] = [Math.min(Math.abs(y[0]), Math.abs(y[1])), Math.max(Math.abs(y[0]), Math.abs(y[1]))];
      expect(inner).toBeGreaterThan(0.5);
      expect(inner).toBeLessThan(3);
      // 16 ft is 56 mm, walls of .1 in
      expect(outer).toBeLessThan(28 - 2.54 - 0.5);
      expect(outer).toBeGreaterThan(28 - 2.54 - 2.5);
      // the highest of it under the ridge of the underside: 31.5 and half of 28
      expect(z[1]).toBeLessThan(31.5 + 14);
    }
    expect(whole.byMember.get("t/roof/front/splice1")).toBeUndefined();
  });
  it("of a flat roof and a shed likewise, clear of a chimney", () => {
    const flat = sound(shed({ roof: "flat" }));
    expect(parts(flat, "roof/sheet")).toHaveLength(2);
    const [, y, z] = reachOf(flat, "roof/sheet/splice1");
    expect(y[1]).toBeCloseTo(-y[0], 6);
    expect(z[1]).toBeCloseTo(31.5 - thou(40), 6);
    const chimney = { at: feet(60), in: feet(8), width: feet(3), depth: feet(3), high: feet(4) };
    const usual = Object.fromEntries(Object.entries(sheetSpec.chimneys.columns).map(([k, c]) => [k, c.def]));
    const r = sound(shed({ roof: "shed", rise: 2, chimneys: [{ ...usual, ...chimney }] }));
    const [a] = parts(r, "roof/front")
      .map((k) => boundsOf(k.parts))
      .sort((p, q) => p.min[0] - q.min[0]);
    // a shaft of 10.5 mm in the middle: the seam and its plate stay clear of it
    expect(Math.abs(a!.max[0])).toBeGreaterThan(5.25 + 6);
    expect(Math.abs(a!.max[0])).toBeLessThan(5.25 + 6 + 3);
  });
  it("fascias, bands and their shelves are parted as evenly as they go", () => {
    expect(evenSeams(-10, 290, 100)).toEqual([90, 190]);
    expect(evenSeams(0, 100, 100)).toEqual([]);
    const usual = Object.fromEntries(Object.entries(sheetSpec.bands.columns).map(([k, c]) => [k, c.def]));
    const r = sound(shed({ fascia: inches(8), bands: [{ ...usual, at: feet(7), high: inches(10), out: inches(8), walls: "front" }] })); // prettier-ignore
    for (const id of ["trim/fascia/front", "trim/fascia/back", "band1/front/strip", "band1/front/shelf"]) {
      expect(parts(r, id), id).toHaveLength(2);
      for (const k of parts(r, id)) {
        const { min, max } = boundsOf(k.parts);
        expect(max[0] - min[0]).toBeLessThanOrEqual(304.8);
      }
    }
  });
});
describe("walls longer than a sheet", () => {
  it("are parted near the middle, the core elsewhere than the face, and what fits is left whole", () => {
    const [face, core] = seams(shed());
    expect(face).toHaveLength(1);
    expect(face![0]).toBeCloseTo(210, 0);
    expect(core).toHaveLength(1);
    expect(Math.abs(core![0]! - face![0]!)).toBeGreaterThanOrEqual(8);
    expect(seams(shed({ length: feet(80) }))).toEqual([[], []]);
    // 700 mm are three lengths
    expect(seams(shed({ length: feet(200) }))[0]).toHaveLength(2);
    // own sheet of 600 mm
    expect(seams(shed({ sheetLong: 600 }))).toEqual([[], []]);
    // ends of 16 ft
    expect(wallSeams(sheetLayout(shed(), HO), sheetLayout(shed(), HO).walls[1]!)).toEqual([[], []]);
  });
  it("on a line of upright boards, so that each part begins with a whole one", () => {
    const v = shed({ face: "batten", facePitch: inches(8.7) });
    const l = sheetLayout(v, HO);
    const pitch = l.face!.item.texture!.pitch;
    const [face] = seams(v);
    expect(face![0]! / pitch).toBeCloseTo(Math.round(face![0]! / pitch), 9);
  });
  it("are pieces of their own, each no longer than its sheet; together they are the wall", () => {
    const r = sound(shed());
    for (const layer of ["face", "core"]) {
      const [a, b] = parts(r, `front/${layer}`);
      expect(parts(r, `front/${layer}`)).toHaveLength(2);
      const [left, right] = [boundsOf(a!.parts), boundsOf(b!.parts)];
      expect(left.max[0]).toBeCloseTo(right.min[0], 9);
      expect(left.max[0] - left.min[0]).toBeLessThanOrEqual(304.8);
      const whole = sound(shed({ sheetLong: 3000 }));
      const volume = (x: ResolvedFrame): number => parts(x, `front/${layer}`).reduce((s, k) => s + k.parts.reduce((n, p) => n + volumeOf(p), 0), 0); // prettier-ignore
      expect(volume(r)).toBeCloseTo(volume(whole), 6);
    }
    const pieces = piecesOf(r.sticks).filter((p) => p.role === "facing" && p.sticks.some((s) => s.includes("front/face"))); // prettier-ignore
    expect(pieces.flatMap((p) => p.sticks).filter((s) => s.includes("front/face")).sort()).toEqual(["t/front/face#s1", "t/front/face#s2"]); // prettier-ignore
    for (const p of pieces) expect(p.shape.overall).toBeLessThanOrEqual(304.8);
  });
  it("have lines that run on over the seam, to 0.02 mm", () => {
    for (const over of [{}, { face: "batten", facePitch: inches(8.7) }]) {
      const r = sound(shed(over));
      const level = !("face" in over);
      const [a, b] = parts(r, "front/face").map((k) => textureLines(k).map(([p]) => p[level ? 2 : 0]!).sort((m, n) => m - n)); // prettier-ignore
      if (level) expect(a).toEqual(b!.map((x) => expect.closeTo(x, 6)));
      else {
        const pitch = a![1]! - a![0]!;
        // one line lies on the seam itself
        expect((b![0]! - a!.at(-1)!) / pitch).toBeCloseTo(2, 6);
      }
    }
  });
  it("keep their seams clear of openings and of what is glued behind them", () => {
    const window = { wall: "front", kind: "window", at: feet(60), width: feet(8), height: feet(5), sill: feet(2.5), mount: "layers", lap: inches(6), style: "hung", across: 2, up: 2, shutters: "none" }; // prettier-ignore
    const v = shed({ openings: [window] });
    const all = seams(v);
    for (const s of all) {
      expect(s).toHaveLength(1);
      // 28 mm of light and 1.75 of lap on each side of 210
      expect(Math.abs(s[0]! - 210)).toBeGreaterThan(14 + 1.75 + 1);
    }
    sound(v);
  });
  it("of sheets whose lines run off are parted to what is left when they are trued, which is told with its figures", () => {
    // 6 in of sheet are 152.4 mm: at 2 mm in 100 truing takes 3.05 off its 304.8
    const v = shed({ length: (303 * HO.scale.ratio), outOfTrue: 2 }); // prettier-ignore
    expect(seams({ ...v, outOfTrue: 0 })).toEqual([[], []]);
    const [face, core] = seams(v);
    expect(face).toHaveLength(1);
    // plain sheet has no lines
    expect(core).toEqual([]);
    const said = sheetRemarks(v, HO).filter((x) => x.param === "outOfTrue");
    expect(said).toHaveLength(1);
    expect(said[0]!.text).toMatch(/^The lines of clapboards run off by 2\.00 mm in 100 mm: over a wall of 303 mm that is 6\.06 mm, .* it takes up to 3\.05 mm off\.$/); // prettier-ignore
    expect(sheetRemarks({ ...v, outOfTrue: 0 }, HO).filter((x) => x.param === "outOfTrue")).toEqual([]);
  });
  it("of one layer have a plate behind the seam, inside under the roof", () => {
    const r = sound(shed({ core: "none" }));
    const [[seam]] = seams(shed({ core: "none" })) as [[number]];
    const [x, y, z] = reachOf(r, "front/splice1");
    expect(x).toEqual(near([seam - 210 - 6, seam - 210 + 6])[0]);
    expect(y).toEqual(near([-28 + thou(40), -28 + thou(80)])[0]);
    expect(z![0]).toBeCloseTo(1, 6);
    expect(z![1]).toBeLessThan(31.5 + thou(40));
    // with a core that is parted elsewhere none is wanted
    expect(sound(shed()).sticks.filter((k) => k.member.role === "splice plate" && !k.id.includes("/roof/"))).toEqual(
      [],
    );
    sound(shed({ core: "none", roof: "flat", wallHeight: feet(14) }));
    sound(shed({ core: "none", roof: "shed" }));
  });
  it("of a gable's end, too: the parts beside the peak are as high as they are", () => {
    const v = shed({ length: feet(40), width: feet(100), rise: 3 });
    const r = sound(v);
    const [left, right] = parts(r, "right/core");
    const { max } = boundsOf(left!.parts);
    expect(left!.size[0]).toBeCloseTo(max[2], 6);
    // the peak is in one of the two, unless both end at it
    expect(Math.max(left!.size[0], right!.size[0])).toBeCloseTo(31.5 + (350 / 2) * 0.25 - 0, 0);
  });
  it("are no finding any more; what is left whole still is", () => {
    const found = (values: object) => longSheets(designOf({ ...emptyJob("Long"), structures: [newStructure("sheet", "s", "Shed", { length: feet(120), roof: "none", ...values })] })); // prettier-ignore
    expect(found({})).toEqual([]);
    expect(found({ sheetLong: 3000 })).toHaveLength(1);
  });
});

it("each part is cut from its row of the list alone, windows and gable and all", () => {
  const window = (at: number) => ({ wall: "front", kind: "window", at: feet(at), width: feet(4), height: feet(5), sill: feet(2.5), mount: "inside", lap: 0, style: "hung", across: 2, up: 2, shutters: "none" }); // prettier-ignore
  const job = { ...emptyJob("Long"), structures: [newStructure("sheet", "s", "Shed", { length: feet(130), width: feet(95), rise: 2, sheetLong: 200, openings: [10, 30, 50, 64, 80, 110].map(window) })] }; // prettier-ignore
  const d = designOf(job);
  expect(d.structures[0]!.fault).toBeUndefined();
  expect(d.structures[0]!.resolved.sticks.filter((k) => k.id.includes("front/face"))).toHaveLength(3);
  expect(notAsListed(d)).toEqual([]);
});
