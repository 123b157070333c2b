import { describe, expect, it } from "vitest";
import type { Frame } from "../../frame";
import { stream } from "../../cutting/stream";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { contextOf, valuesFrom } from "../fromSpec.fixture";
import { near, panelIn, reachOf } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf, type Row } from "../spec";
import { sheetBuilding } from ".";
import { sheetFrame } from "./frame";
import { sheetCheck, sheetNotes, sheetRemarks } from "./judgement";
import { sheetSpec, type SheetValues } from "./parameters";
import { withLayeredOpenings } from "./randomOpenings.fixture";

const HO = fullSawn(scaleOf("HO"));
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const usual = Object.fromEntries(Object.entries(sheetSpec.openings.columns).map(([k, c]) => [k, c.def])) as Row;
/** 24 × 16 ft in HO with one window 3 × 5 ft in the middle of its front: 10.5 × 17.5 mm, its foot at 8.75. Walls .040 on .060. */
const house = (row: Row = {}, over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues =>
  ({ ...defaultsOf(sheetSpec), openings: [{ ...usual, at: feet(12), sill: feet(2.5), mount: "layers", ...row }], ...over }) as unknown as SheetValues; // prettier-ignore
/** From where to where a part reaches: x from the middle of the front, depth from its outside (inwards), height over the floor. */
function box(v: SheetValues, ...ids: readonly string[]): readonly (readonly [number, number])[] {
  expect(sheetCheck(v, HO)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, HO));
  expect(faults).toEqual([]);
  const [x, y, z] = reachOf(resolved, ...ids);
  return [x, [y[0] + 28, y[1] + 28], z];
}

describe("a window in layers", () => {
  it("behind the face has its layers one behind the other from the face inwards, in a larger hole of the core", () => {
    const v = house();
    const lap = 4 / 12 / 87 * 304.8; // prettier-ignore
    const seat = thou(40);
    const lapped = (v.openings[0]!.lap * 1) / HO.scale.ratio;
    expect(lapped).toBeCloseTo(lap, 1);
    const x: readonly [number, number] = [-5.25 - lapped, 5.25 + lapped];
    const z: readonly [number, number] = [8.75 - lapped, 26.25 + lapped];
    let depth = seat;
    for (const [part, thick] of [
      ["frame", thou(20)],
      ["upper-sash", thou(10)],
      ["lower-sash", thou(10)],
      ["glazing", thou(10)],
    ] as const) {
      expect(box(v, `opening1/${part}`), part).toEqual(near(x, [depth, depth + thick], z));
      depth += thick;
    }
    const f = sheetFrame(v, HO);
    const hole = (id: string) => panelIn(f, id).holes[0]!.outline;
    expect(hole("front/face")[0]![1]).toBeCloseTo(8.75, 9);
    expect(hole("front/face")[1]![0] - hole("front/face")[0]![0]).toBeCloseTo(10.5, 9);
    // the fit of 0.1 all round what is let in
    expect(hole("front/core")[1]![0] - hole("front/core")[0]![0]).toBeCloseTo(10.5 + 2 * (lapped + 0.1), 9);
    expect(hole("front/core")[0]![1]).toBeCloseTo(8.75 - lapped - 0.1, 9);
  });
  it("behind the wall has its layers behind all of it, and every layer of the wall the hole that is seen", () => {
    const v = house({ mount: "layersWall" });
    expect(box(v, "opening1/frame")[1]).toEqual(near([thou(100), thou(120)])[0]);
    const f = sheetFrame(v, HO);
    for (const id of ["front/face", "front/core"]) expect(panelIn(f, id).holes[0]!.outline[0]![1]).toBeCloseTo(8.75, 9);
  });
  it("pushed in stands in by its reveal with its room all round, and need not be glued", () => {
    const v = house({ mount: "layersIn" }, { reveal: inches(3), room: 0.06 });
    const reveal = (3 * MM_PER_INCH) / HO.scale.ratio;
    expect(box(v, "opening1/frame")).toEqual(near([-5.19, 5.19], [reveal, reveal + thou(20)], [8.81, 26.19]));
    const loose = sheetFrame(v, HO).members.filter((m) => m.loose);
    expect(loose.map((m) => m.id.split("/").at(-1))).toEqual(["frame", "upper-sash", "lower-sash", "glazing"]);
  });
  it("has trim at three sides, the sill under it and shutters beside it, all on the face", () => {
    const v = house({ shutters: "both" });
    const [trim, sill] = [(4 * MM_PER_INCH) / HO.scale.ratio, (2 * MM_PER_INCH) / HO.scale.ratio];
    expect(box(v, "opening1/casing")).toEqual(near([-5.25 - trim, 5.25 + trim], [-thou(15), 0], [8.75, 26.25 + trim]));
    expect(box(v, "opening1/sill")).toEqual(near([-5.25 - trim - sill / 2, 5.25 + trim + sill / 2], [-thou(40), 0], [8.75 - sill, 8.75])); // prettier-ignore
    expect(box(v, "opening1/left-shutter")).toEqual(near([-10.5 - trim, -5.25 - trim], [-thou(15), 0], [8.75, 26.25]));
    expect(box(v, "opening1/right-shutter")).toEqual(near([5.25 + trim, 10.5 + trim], [-thou(15), 0], [8.75, 26.25]));
    expect(sheetFrame(house({}, { casing: 0 }), HO).members.some((m) => /casing|sill/.test(m.id))).toBe(false);
  });
  it("mirrored in the wall has shutters and panes mirrored", () => {
    const at = (x: number, shutters: string) => sheetFrame(house({ at: feet(x), shutters }), HO);
    const middle = (f: Frame, id: string): number => { const p = panelIn(f, id); return p.origin[0] + (p.outline[0]![0] + p.outline[1]![0]) / 2; }; // prettier-ignore
    expect(middle(at(8, "left"), "opening1/left-shutter")).toBeCloseTo(-middle(at(16, "right"), "opening1/right-shutter"), 9); // prettier-ignore
  });
  it("makes nothing narrower than what survives, and says so with both limits", () => {
    const bars = (over: Partial<Record<keyof SheetValues, unknown>>): number => {
      const holes = panelIn(sheetFrame(house({}, over), HO), "opening1/upper-sash").holes;
      return holes[2]!.outline[0]![0] - holes[0]!.outline[1]![0];
    };
    // 1 1/4 in in HO is 0.365 mm
    expect(bars({ leastBar: 0.3 })).toBeCloseTo((1.25 * MM_PER_INCH) / HO.scale.ratio, 6);
    expect(bars({ leastBar: 0.5 })).toBeCloseTo(0.5, 9);
    const said = (over: Partial<Record<keyof SheetValues, unknown>>): string[] => sheetRemarks(house({}, over), HO).filter((r) => r.param === "bar" || r.param === "leastBar").map((r) => r.text); // prettier-ignore
    expect(said({ leastBar: 0.3 })).toEqual([]);
    expect(said({ leastBar: 0.5 })).toEqual([
      "Glazing bars of 0′-1 1/4″ are 0.36 mm and are cut 0.50 mm wide, the least that survives: 0′-1 11/16″ on the prototype. Up to 0.87 mm (0′-3″) they still look right.",
    ]);
    expect(said({ leastBar: 1 })[0]).toMatch(/too heavy for the scale.*print them on the glazing/);
  });
});
describe("a door in layers", () => {
  it("of boards stands on the floor, its boards scribed at the pitch of the nearest sheet, ledges outside of them", () => {
    const v = house({ kind: "door", style: "boards", height: feet(7), sill: 0 });
    const [, depth, z] = box(v, "opening1/boards");
    expect(z![0]).toBeCloseTo(0, 9);
    expect(depth![0]).toBeCloseTo(thou(60), 6);
    expect(box(v, "opening1/ledge-1")[1]).toEqual(near([thou(40), thou(60)])[0]);
    const { texture } = panelIn(sheetFrame(v, HO), "opening1/boards");
    // 5 in in HO is 1.46 mm; .060 in is 1.524, .050 1.27
    expect(texture!.pitch).toBeCloseTo(1.524, 9);
    expect(texture!.across).toBe("u");
  });
  it("is seen through its wall down to the floor", () => {
    const f = sheetFrame(house({ kind: "door", style: "panel", height: feet(7), sill: 0 }), HO);
    expect(Math.min(...panelIn(f, "front/face").holes[0]!.outline.map((p) => p[1]))).toBeLessThan(0);
  });
});
describe("what is refused of openings in layers", () => {
  it.each([
    [{ across: 12, width: inches(12) }, /Opening 1 has no room for its panes; take fewer of them/],
    [{ across: 12 }, /Opening 1 has panes of 0\.\d+ mm; take fewer/],
    [{ at: feet(3.1), shutters: "both" }, /The trim or shutters of opening 1 come .* past the end of their wall/],
    [{ at: feet(3.1), shutters: "right" }, undefined],
    [{ height: feet(6.3) }, /Opening 1 reaches .* and its wall ends at/],
  ] as [Row, RegExp | undefined][])("%j", (row, words) => {
    const said = sheetCheck(house(row), HO).join("\n");
    if (words) expect(said).toMatch(words);
    else expect(said).toBe("");
  });
  it("two windows whose shutters or laps meet", () => {
    const two = (apart: number, shutters: string): string => {
      const v = house({ shutters });
      return sheetCheck({ ...v, openings: [{ ...v.openings[0]!, at: feet(8) }, { ...v.openings[0]!, at: feet(8 + apart) }] }, HO).join(); // prettier-ignore
    };
    expect(two(6, "none")).toBe("");
    expect(two(6, "both")).toMatch(/leave nothing between them/);
    expect(two(7, "both")).toBe("");
  });
});
it("fifteen buildings with windows and doors in layers, drawn from all that is offered, are sound", () => {
  let framed = 0;
  for (let seed = 900; framed < 15; seed++) {
    const { params, bench } = valuesFrom(sheetBuilding, seed);
    const p = withLayeredOpenings(params, stream(seed));
    const ctx = contextOf(bench);
    if (sheetBuilding.check(p, ctx).length > 0) continue;
    framed++;
    expect(faultsOf(sheetBuilding.frame(p, ctx)).faults, String(seed)).toEqual([]);
  }
});
it("a cell that plays no part says nothing of its range", () => {
  const told = (row: Row) =>
    sheetRemarks(house({ rise: feet(10), ...row }), HO).filter((r) => r.param === "openings.0.rise");
  expect(told({})).toEqual([]);
  expect(told({ head: "round" })).toEqual([]);
  // of a segmental arch a rise of a quarter of an inch is told, with the least that is usual
  expect(told({ head: "segmental", rise: inches(0.75) }).map((r) => r.fix)).toEqual([{ label: "Set 0′-2″", value: inches(2) }]); // prettier-ignore
});
describe("what a drawing notes of openings", () => {
  const noted = (over: object) => ({ openings: [{ name: "W1", drawing: "South side", door: false, set: "flush" as const, trim: inches(4), width: feet(3), height: feet(5), ...over }], eaves: [] }); // prettier-ignore
  const said = (v: SheetValues, over: object) => sheetNotes(v, noted(over)).map((r) => [r.text, r.fix?.value]);
  it("is compared with how they stand and with their trim, and set by one press", () => {
    expect(said(house(), {})).toEqual([
      ["“W1” is noted flush on “South side”, and opening 1, which has its size, is mounted so that it stands recessed.", "inside"], // prettier-ignore
    ]);
    expect(said(house({}, { reveal: 0 }), {})[0]![1]).toBe("layersIn");
    expect(said(house({ mount: "layersIn" }, { reveal: 0 }), {})).toEqual([]);
    expect(said(house(), { set: "recessed", trim: inches(6) })).toEqual([
      ["“W1” is noted with trim 0′-6″ wide on “South side”; the frame has casings of 0′-4″.", inches(6)],
    ]);
    // another size is another opening; a casting brings its trim along
    expect(said(house(), { width: feet(4) })).toEqual([]);
    expect(said(house({ mount: "flange" }), { set: "proud", trim: 0 })).toEqual([]);
  });
});
