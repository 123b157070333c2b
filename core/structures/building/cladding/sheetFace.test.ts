import { describe, expect, it } from "vitest";
import { resolve, textureLines, type Frame, type PanelBody, type ResolvedFrame } from "../../../frame";
import { polygonArea, volumeOf, type Vec2 } from "../../../geometry";
import { unionOf } from "../../../geometry/union";
import { sheetOf } from "../../../lumber";
import { feet, inches, scaleOf } from "../../../units";
import { contextOf, valuesFrom } from "../../fromSpec.fixture";
import { framerOf } from "../..";
import { faultsOf, fullSawn } from "../../sound.fixture";
import { defaultsOf } from "../../spec";
import { buildingFrame } from "../frame";
import { buildingRemarks } from "../judgement/remarks";
import { buildingSpec, type BuildingValues } from "../parameters";

const HO = fullSawn(scaleOf("HO"));
/** 24 × 16 ft, walls of 9 ft, 6 in 12: 84 × 56 mm in HO. */
const shed = (over: Partial<Record<keyof BuildingValues, unknown>> = {}): BuildingValues =>
  ({
    ...defaultsOf(buildingSpec),
    siding: "sheet",
    cornerBoards: false,
    gableOverhang: feet(1),
    openings: [],
    ...over,
  }) as BuildingValues;
/** A row of a table with its usual values but for these. */
const row = (table: "openings" | "wings", over: object) => ({ ...Object.fromEntries(Object.entries(buildingSpec[table].columns).map(([k, c]) => [k, c.def])), ...over }); // prettier-ignore
const rows = (...of: readonly object[]) => of.map((o) => row("openings", { wall: "front", kind: "window", at: feet(8), width: feet(3), height: feet(5), sill: feet(3), mount: "inside", ...o })); // prettier-ignore
const facings = (f: Frame) => f.members.filter((m) => m.role === "facing");
const facing = (f: Frame, wall: string) => facings(f).filter((m) => m.assembly === `t/${wall}`);
const body = (f: Frame, wall: string): PanelBody => facing(f, wall)[0]!.body as PanelBody;
const span = (o: readonly Vec2[], k: 0 | 1): readonly [number, number] => [Math.min(...o.map((p) => p[k])), Math.max(...o.map((p) => p[k]))]; // prettier-ignore
/** The area of a panel as it is left: its volume by its thickness. */
const areaOf = (r: ResolvedFrame, id: string): number => {
  const [k] = r.byMember.get(id)!;
  return k!.parts.reduce((s, p) => s + volumeOf(p), 0) / (k!.member.body as PanelBody).thickness;
};
const T = sheetOf("sheet/clapboard/60")!.thickness;

describe("walls of textured sheet", () => {
  it("are one panel to a wall, from corner to corner, the ends over the edges of the long walls", () => {
    const f = buildingFrame(shed(), HO);
    expect(
      facings(f)
        .map((m) => m.assembly)
        .sort(),
    ).toEqual(["t/back", "t/front", "t/left", "t/right"]);
    span(body(f, "front").outline, 0).forEach((x, i) => expect(x).toBeCloseTo([0, 84][i]!, 9));
    const [from, to] = span(body(f, "left").outline, 0);
    expect(from).toBeCloseTo(-T, 9);
    expect(to).toBeCloseTo(56 + T, 9);
    expect(body(f, "front").stock).toBe("sheet/clapboard/60");
    expect(body(f, "front").thickness).toBeCloseTo(1.016, 9);
    // an end is a gable of five corners
    expect(body(f, "left").outline).toHaveLength(5);
    expect(body(f, "front").outline).toHaveLength(4);
  });
  it.each([
    ["ends", [0, 84], [-T, 56 + T], 0],
    ["sides", [-T, 84 + T], [0, 56], 0],
    ["mitre", [0, 84], [0, 56], -45],
  ] as const)("with corners “%s” reach from %j and %j", (sheetCorner, long, end, bevel) => {
    const f = buildingFrame(shed({ sheetCorner }), HO);
    for (const [wall, wanted] of [
      ["front", long],
      ["back", long],
      ["left", end],
      ["right", end],
    ] as const) {
      const { outline, bevel: bevels } = body(f, wall);
      span(outline, 0).forEach((x, i) => expect(x, wall).toBeCloseTo(wanted[i]!, 9));
      const upright = outline.map((p, i) => Math.abs(p[0] - outline[(i + 1) % outline.length]![0]) < 1e-9);
      expect(bevels.filter((_, i) => upright[i])).toEqual([bevel, bevel]);
      expect(bevels.filter((_, i) => !upright[i]).every((x) => x === 0)).toBe(true);
    }
    expect(faultsOf(f, true).faults).toEqual([]);
  });
  it("between corner boards end where those begin", () => {
    const f = buildingFrame(shed({ cornerBoards: true, cornerBoard: "1×6" }), HO);
    // 6 in is 1.75 mm on the long walls; on the ends less the board's inch of thickness, which covers
    span(body(f, "front").outline, 0).forEach((x, i) => expect(x).toBeCloseTo([1.75, 82.25][i]!, 6));
    const inch = 25.4 / HO.scale.ratio;
    span(body(f, "left").outline, 0).forEach((x, i) => expect(x).toBeCloseTo([1.75 - inch, 56 - 1.75 + inch][i]!, 6));
  });
  it("are cut out for their openings, and cover the wall less these", () => {
    const openings = rows({}, { kind: "door", at: feet(16), height: feet(7), sill: 0 });
    const f = buildingFrame(shed({ openings }), HO);
    const plain = resolve(buildingFrame(shed(), HO));
    const r = resolve(f);
    const taken = areaOf(plain, "t/front/facing/1") - areaOf(r, "t/front/facing/1");
    // castings of 3 × 5 ft and 3 × 7 ft with their fit all round: the door's hole begins at the foot, which lies at the floor
    const fit = 0.1;
    const gap = (w: number, h: number, sides: number): number => (w + 2 * fit) * (h + sides * fit);
    const holes = body(f, "front").holes.map((h) => [span(h.outline, 0), span(h.outline, 1)] as const);
    expect(holes).toHaveLength(2);
    expect(holes[0]![0][0]).toBeCloseTo(28 - 5.25 - fit, 6);
    expect(holes[1]![0][1]).toBeCloseTo(56 + 5.25 + fit, 6);
    expect(taken).toBeCloseTo(gap(10.5, 17.5, 2) + gap(10.5, 24.5, 1), 3);
    expect(areaOf(r, "t/back/facing/1")).toBeCloseTo(areaOf(plain, "t/back/facing/1"), 6);
  });
  it("cover what an independent sum of the gable gives", () => {
    const f = buildingFrame(shed(), HO);
    const { outline } = body(f, "right");
    const [low, high] = span(outline, 1);
    const eave = outline.filter((p) => p[0] < 0).map((p) => p[1]);
    const side = Math.max(...eave) - low;
    const wide = 56 + 2 * T;
    // 6 in 12 from both sides
    expect(high - Math.max(...eave)).toBeCloseTo((wide / 2) * (6 / 12), 6);
    expect(polygonArea(outline)).toBeCloseTo(wide * side + (wide * wide * (6 / 12)) / 4, 6);
  });
  it("have lines at the same heights all round, whatever foot a wall has", () => {
    const f = buildingFrame(shed({ floor: "none", footFront: feet(2), footLeft: feet(-1) }), HO);
    const r = resolve(f);
    const heights = (wall: string): number[] => [...new Set(textureLines(r.byMember.get(`t/${wall}/facing/1`)![0]!).map(([a, b]) => (expect(a[2]).toBeCloseTo(b[2], 9), Number(a[2].toFixed(5)))))]; // prettier-ignore
    const lowest = Math.min(...span(body(f, "front").outline, 1));
    for (const wall of ["front", "back", "left", "right"]) {
      const all = heights(wall);
      expect(all.length).toBeGreaterThan(15);
      for (const z of all) expect(Math.abs((z - lowest) / 1.524 - Math.round((z - lowest) / 1.524))).toBeLessThan(1e-3);
    }
  });
  it("with upright lines begin with a whole board, and lines stop at openings", () => {
    const f = buildingFrame(shed({ sheetTexture: "batten", sheetPitch: inches(10), openings: rows({}) }), HO);
    const r = resolve(f);
    const pitch = 3.175;
    const lines = textureLines(r.byMember.get("t/front/facing/1")![0]!);
    const along = lines.map(([a]) => a[0] + 42);
    for (const x of along) expect(Math.abs(x / pitch - Math.round(x / pitch))).toBeLessThan(1e-6);
    // 26 lines between 0 and 84; the three over the window are in two parts each
    expect(new Set(along.map((x) => Math.round(x / pitch))).size).toBe(26);
    expect(lines.length - 26).toBe(
      [...Array(26)].filter((_, i) => (i + 1) * pitch > 22.75 && (i + 1) * pitch < 33.25).length,
    );
  });
  it("of a longer wall than its sheet meet on a line", () => {
    // 200 ft in HO is 700 mm; a sheet of corrugated iron is 304.8 across its lines
    const f = buildingFrame(shed({ sheetTexture: "corrugated", sheetPitch: inches(3), length: feet(200) }), HO);
    const own = facing(f, "front");
    expect(own).toHaveLength(3);
    const pitch = (own[0]!.body as PanelBody).texture!.pitch;
    own.forEach((m, i) => {
      const [a, b] = span((m.body as PanelBody).outline, 0);
      expect(b - a).toBeLessThanOrEqual(304.8 + 1e-9);
      expect(Math.abs(a / pitch - Math.round(a / pitch))).toBeLessThan(1e-6);
      if (i > 0) expect(a).toBeCloseTo(span((own[i - 1]!.body as PanelBody).outline, 0)[1], 9);
    });
    expect(unionOf(own.map((m) => (m.body as PanelBody).outline))).toHaveLength(1);
    expect(faultsOf(f, true).faults).toEqual([]);
  });
  it("of a wall that a wing stands against are cut out for it, and its own walls are faced", () => {
    const f = buildingFrame(shed({ wings: [row("wings", { side: "back", kind: "lean", at: feet(6), length: feet(10), depth: feet(8) })] }), HO); // prettier-ignore
    // it stands from 6 to 16 ft of 24 and reaches the eave: a sheet on each side of it
    const [one, two] = facing(f, "back").map((m) => span((m.body as PanelBody).outline, 0));
    expect(facing(f, "back")).toHaveLength(2);
    const [left, right] = [3.5 * 6 - T, 3.5 * 16 + T];
    [...one!, ...two!].forEach((x, i) => expect(x).toBeCloseTo([0, left, right, 84][i]!, 6));
    expect(facings(f).filter((m) => m.assembly.startsWith("t/wing1-"))).toHaveLength(3);
    expect(facings(f).filter((m) => m.assembly.startsWith("t/wing1-")).every((m) => (m.body as PanelBody).texture!.first === body(f, "back").texture!.first)).toBe(true); // prettier-ignore
  });
  it("are sound for values from the whole range of what is offered", () => {
    const kind = framerOf("building");
    let framed = 0;
    for (let seed = 8_160_000; framed < 8; seed++) {
      const { params, bench } = valuesFrom(kind, seed);
      const v = { ...params, siding: "sheet", sheetCorner: ["ends", "sides", "mitre"][seed % 3], sheetTexture: ["clapboard", "corrugated", "brick"][seed % 3] }; // prettier-ignore
      const ctx = contextOf(bench);
      if (kind.check(v as never, ctx).length > 0) continue;
      framed++;
      expect(faultsOf(kind.frame(v as never, ctx), true).faults, String(seed)).toEqual([]);
    }
  });
});

describe("a wall that ends in part of a board", () => {
  it("is told with the nearest length, by the pitch of the sheet that is had", () => {
    // .030 in × 87.0857 is 2.6126 in: 24 ft are 110 of them and 0.617 in
    const v = shed({ sheetTexture: "corrugated", sheetPitch: inches(2.67) });
    const [length] = buildingRemarks(v, HO).filter((r) => r.param === "length" && /corrugation/.test(r.text));
    expect(length?.text).toMatch(/^The front and back take 110 corrugations of 0′-2 5\/8″ and a strip of 0′-0 5\/8″; a good wall ends on a full corrugation\.$/); // prettier-ignore
    const mended = { ...v, length: length!.fix!.value as number };
    expect(mended.length / (0.03 * HO.scale.ratio * 25.4)).toBeCloseTo(110, 6);
    expect(buildingRemarks(mended, HO).filter((r) => r.param === "length" && /corrugation/.test(r.text))).toEqual([]);
  });
  it("with level lines has none to end in", () => {
    expect(buildingRemarks(shed(), HO).filter((r) => /full clapboard/.test(r.text))).toEqual([]);
  });
  it.each([
    ["ends", "width", 2],
    ["sides", "length", 2],
    ["mitre", "width", 0],
  ])("with corners “%s” counts the edges that it covers on the %s", (sheetCorner, key, edges) => {
    const pitch = 0.03 * HO.scale.ratio * 25.4;
    const thick = 0.04 * HO.scale.ratio * 25.4;
    const whole = 70 * pitch - edges * thick;
    const v = shed({ sheetTexture: "corrugated", sheetPitch: inches(2.67), sheetCorner, [key]: whole });
    expect(buildingRemarks(v, HO).filter((r) => r.param === key && /corrugation/.test(r.text))).toEqual([]);
  });
});
