import { describe, expect, it } from "vitest";
import { notAsListed } from "../../checks/virtualBench.fixture";
import { designOf, emptyJob, newStructure } from "../../job";
import type { ResolvedFrame } from "../../frame";
import type { Params } from "../kind";
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
describe("arches", () => {
  const arched = (row: Row, over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues => block({ lintel: inches(10), stoneSill: inches(4), openings: [{ ...usual, at: feet(15), sill: feet(3), mount: "inside", lap: 0, ...row }], ...over }); // prettier-ignore
  it("have their stones round the head in place of a lintel, and a sill below as before", () => {
    const v = arched({ head: "segmental", rise: inches(6) }, { archStones: 7 });
    const f = sheetFrame(v, HO);
    const r = sound(v);
    expect([roleCounts(f)["lintel"] ?? 0, roleCounts(f)["voussoir"], roleCounts(f)["stone sill"]]).toEqual([0, 7, 1]);
    // 3 ft over 6 in: a radius of 30 in, the stones 10 in deep end 10 · 18 / 30 past the sides
    const all = Array.from({ length: 7 }, (_, i) => `opening1/voussoir-${i + 1}`);
    expect(reachOf(r, ...all)).toEqual(near([-24 * IN, 24 * IN], [-70 - thou(15), -70], [28 - 30 * IN + 24 * IN, 28 + 10 * IN])); // prettier-ignore
    // the first at the right, the fourth in the middle
    expect(reachOf(r, "opening1/voussoir-1")[0][1]).toBeCloseTo(24 * IN, 5);
    const [from, to] = reachOf(r, "opening1/voussoir-4")[0];
    expect(from).toBeCloseTo(-to, 6);
    expect(roleCounts(sheetFrame(arched({ head: "round" }, { archStones: 1 }), HO))["voussoir"]).toBe(1);
    expect(roleCounts(sheetFrame(arched({ head: "round" }, { lintel: 0 }), HO))["voussoir"] ?? 0).toBe(0);
  });
  it("are cut out of every layer of the wall with the room that the casting needs all round", () => {
    const f = sheetFrame(arched({ head: "round" }), HO);
    for (const layer of ["face", "core"]) {
      const [hole] = panelIn(f, `front/${layer}`).holes;
      // 5.25 and the fit of 0.1 round a middle at 28 − 5.25
      const head = hole!.outline.filter(([, z]) => z > 22.75 + 1e-6);
      expect(head.length).toBeGreaterThan(4);
      for (const [x, z] of head) expect(Math.hypot(x - 52.5, z - 22.75)).toBeCloseTo(5.35, 6);
      expect(Math.min(...hole!.outline.map(([, z]) => z))).toBeCloseTo(10.4, 6);
      expect(hole!.bevel).toHaveLength(hole!.outline.length);
    }
  });
  it("have trim that runs round them and shutters that would close them", () => {
    const v = arched({ head: "round", mount: "layers", lap: inches(3), shutters: "both" });
    const f = sheetFrame(v, HO);
    sound(v);
    const trim = panelIn(f, "opening1/casing");
    const [wide, half] = [4 * IN, 18 * IN];
    const z0 = 5 * 12 * IN - half;
    for (const [o, r] of [
      [trim.outline, half + wide],
      [trim.holes[0]!.outline, half],
    ] as const)
      for (const [x, z] of o) if (z > z0 + 1e-6) expect(Math.hypot(x, z - z0)).toBeCloseTo(r, 6);
    const [left, right] = ["left", "right"].map((s) => panelIn(f, `opening1/${s}-shutter`).outline);
    // both together are the opening, by area; each is the other's image, high on the side away from the window
    const all = polygonArea(left!) + polygonArea(right!);
    expect(Math.abs(all - (2 * half * z0 + (Math.PI * half * half) / 2))).toBeLessThan(0.4);
    const highest = (o: readonly (readonly [number, number])[]): number => o.reduce((a, b) => (b[1] > a[1] + 1e-9 ? b : a))[0]; // prettier-ignore
    expect(highest(right!)).toBeCloseTo(half + wide + half, 6);
    expect(highest(left!)).toBeCloseTo(-(half + wide + half), 6);
  });
  it("come off the bench as the cut list has them: a window and a door under arches of both sorts, with one stone or many", () => {
    const row = (wall: string, at: number, over: Row): Row => ({ ...usual, wall, at: feet(at), width: feet(4), sill: feet(3), height: feet(7), lap: inches(3), ...over }); // prettier-ignore
    const openings = [
      row("front", 15, { head: "round", mount: "layers", style: "hung", across: 1, up: 1, shutters: "left" }),
      row("back", 15, {
        head: "segmental",
        rise: inches(9),
        mount: "layersWall",
        kind: "door",
        sill: 0,
        style: "glazed",
        across: 1,
        up: 1,
      }),
    ];
    for (const over of [
      { archStones: 1, openings: [row("front", 15, { head: "round" })] },
      { archStones: 5, casing: 0 },
    ]) {
      const values = {
        ...block({ openings, lintel: inches(12), corner: "rebateSides", ...over }),
      } as unknown as Params;
      const d = designOf({ ...emptyJob("Arches"), structures: [newStructure("sheet", "s", "Block", values)] });
      expect(d.structures[0]!.fault).toBeUndefined();
      expect(d.pieces.length).toBeGreaterThan(9);
      expect(notAsListed(d)).toEqual([]);
    }
  });
  it("that rise more than half their width, or more than their opening is high, are told with what would do", () => {
    expect(sheetCheck(arched({ head: "segmental", rise: feet(2) }), HO)).toEqual(["Opening 1 is 3′-0″ wide and its arch rises 2′-0″; one rises at most half its width: 1′-6″, a half round."]); // prettier-ignore
    expect(sheetCheck(arched({ head: "round", height: feet(1) }), HO)).toEqual(["Opening 1 is 1′-0″ high to its crown and its arch rises 1′-6″; make it higher, or the arch flatter."]); // prettier-ignore
    // a rise that a round or square head does not ask for says nothing
    expect(sheetCheck(arched({ head: "round", rise: feet(9) }), HO)).toEqual([]);
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
