import { validateSync } from "class-validator";
import { describe, expect, it } from "vitest";
import { resolve, textureLines, type Frame, type PanelBody, type ResolvedFrame } from "../../frame";
import { boundsOf, polygonArea, volumeOf, type Vec2 } from "../../geometry";
import { unionOf } from "../../geometry/union";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { contextOf, valuesFrom } from "../fromSpec.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf, dto, takes } from "../spec";
import { sheetBuilding } from ".";
import { sheetFrame } from "./frame";
import { sheetCheck, sheetRemarks } from "./judgement";
import { sheetSpec, type SheetValues } from "./parameters";

const HO = fullSawn(scaleOf("HO"));
/** 24 × 16 ft in HO is 84 × 56 mm; .040 of clapboards on .060 of core is 2.54 mm. */
const house = (over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues =>
  ({ ...defaultsOf(sheetSpec), ...over }) as unknown as SheetValues;
const [FACE, CORE] = [0.04 * MM_PER_INCH, 0.06 * MM_PER_INCH];
const opening = { wall: "front", kind: "window", at: feet(8), width: feet(3), height: feet(5), sill: feet(2.5), mount: "inside", lap: 0 }; // prettier-ignore
const panel = (f: Frame, id: string): PanelBody => f.members.find((m) => m.id === `t/${id}`)!.body as PanelBody;
const span = (o: readonly Vec2[], k: 0 | 1): readonly [number, number] => [Math.min(...o.map((p) => p[k])), Math.max(...o.map((p) => p[k]))]; // prettier-ignore
const longOf = (f: Frame, id: string): number => span(panel(f, id).outline, 0)[1] - span(panel(f, id).outline, 0)[0];
const volume = (r: ResolvedFrame, id: string): number => r.byMember.get(`t/${id}`)![0]!.parts.reduce((s, p) => s + volumeOf(p), 0); // prettier-ignore
const sound = (v: SheetValues, ctx = HO): ResolvedFrame => {
  expect(sheetCheck(v, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, ctx));
  expect(faults).toEqual([]);
  return resolved;
};

describe("a building of sheet", () => {
  it("is eight panels of wall, two of roof and four blocks", () => {
    const f = sheetFrame(house(), HO);
    const count = new Map<string, number>();
    for (const m of f.members) count.set(m.role, (count.get(m.role) ?? 0) + 1);
    expect([...count]).toEqual([["facing", 4], ["core sheet", 4], ["corner block", 4], ["roof sheet", 2]]); // prettier-ignore
  });
  it("takes a core of one's own, as thick as it is: of 9 mm the sides' cores are 84 less twice .040 and 9 long", () => {
    const v = house({ core: "own/card-9" });
    expect(sheetSpec.core.type === "choice" && takes(sheetSpec.core, "own/card-9")).toBe(true);
    const f = sheetFrame(v, HO);
    expect(f.members.filter((m) => m.role === "core sheet").map((m) => (m.body as PanelBody).thickness)).toEqual([9, 9, 9, 9]); // prettier-ignore
    const longs = f.members.filter((m) => m.role === "core sheet").map((m) => longOf(f, m.id.slice(2))).sort((a, b) => a - b); // prettier-ignore
    // the ends' faces stand before the sides': two of the cores run through between the faces, two between those
    expect(longs.map((x) => Number(x.toFixed(3)))).toEqual([56 - 2 * (FACE + 9), 56 - 2 * (FACE + 9), 84 - 2 * FACE, 84 - 2 * FACE].map((x) => Number(x.toFixed(3)))); // prettier-ignore
    sound(v);
    for (const bad of ["own/card-0", "own/clear-1", "own", "card-9"]) expect(validateSync(Object.assign(new (dto(sheetSpec))(), { ...v, core: bad }))).toHaveLength(1); // prettier-ignore
  });
  // by hand: a box of faces, in it a box of cores
  it.each([
    ["sides", [84, 84 - 2 * FACE], [56 - 2 * FACE, 56 - 2 * (FACE + CORE)]],
    ["ends", [84 - 2 * FACE, 84 - 2 * (FACE + CORE)], [56, 56 - 2 * FACE]],
    // a mitred panel is as long on its inner face as it lies in, and reaches its outer one by its bevel
    ["mitre", [84 - 2 * FACE, 84 - 2 * (FACE + CORE)], [56 - 2 * FACE, 56 - 2 * (FACE + CORE)]],
    // the face runs through, its core ends on the other wall's inside, and all of that wall behind the face
    ["rebateSides", [84, 84 - 2 * (FACE + CORE)], [56 - 2 * FACE, 56 - 2 * FACE]],
    ["rebateEnds", [84 - 2 * FACE, 84 - 2 * FACE], [56, 56 - 2 * (FACE + CORE)]],
  ] as const)("with corners “%s” has its layers as long as they are cut", (corner, long, end) => {
    const f = sheetFrame(house({ corner }), HO);
    for (const [wall, [face, core]] of [
      ["front", long],
      ["back", long],
      ["left", end],
      ["right", end],
    ] as const) {
      expect(longOf(f, `${wall}/face`), wall).toBeCloseTo(face, 9);
      expect(longOf(f, `${wall}/core`), wall).toBeCloseTo(core, 9);
    }
    const r = sound(house({ corner }));
    // whichever way, the outsides stand at the lengths asked for
    const { min, max } = boundsOf(
      ["front", "right", "back", "left"].flatMap((w) => r.byMember.get(`t/${w}/face`)![0]!.parts),
    );
    [84, 56].forEach((size, k) => expect(max[k]! - min[k]!).toBeCloseTo(size, 6));
  });
  it("with corners on a post ends at its sides, and the post under the roof", () => {
    const r = sound(house({ corner: "post", cornerPost: "10×10" }));
    const post = (10 * MM_PER_INCH) / HO.scale.ratio;
    const f = sheetFrame(house({ corner: "post", cornerPost: "10×10" }), HO);
    expect(longOf(f, "front/face")).toBeCloseTo(84 - 2 * post, 6);
    expect(longOf(f, "left/core")).toBeCloseTo(56 - 2 * post, 6);
    expect(r.sticks.filter((k) => k.member.role === "corner post")).toHaveLength(4);
    // 6 in 12 over its depth
    const { min, max } = boundsOf(r.byMember.get("t/corner-post/front-right")![0]!.parts);
    expect(min[2]).toBe(0);
    expect(max[2]).toBeCloseTo(31.5 + post / 2, 6);
    expect(max[0]).toBeCloseTo(42, 6);
  });
  it("has the walls' volume that plain reckoning gives, with openings out of every layer", () => {
    const v = house({
      roof: "none",
      openings: [opening, { ...opening, kind: "door", at: feet(16), height: feet(7), sill: 0 }],
    });
    const r = sound(v);
    // around 84 × 56, 31.5 high: the stack's ring, whichever corners
    const ring = (a: number, b: number, t: number): number => a * b - (a - 2 * t) * (b - 2 * t);
    const [fit, high] = [0.1, 31.5];
    const holes = (10.5 + 2 * fit) * (17.5 + 2 * fit) + (10.5 + 2 * fit) * (24.5 + fit);
    const faces = ["front", "right", "back", "left"].reduce((s, w) => s + volume(r, `${w}/face`), 0);
    const cores = ["front", "right", "back", "left"].reduce((s, w) => s + volume(r, `${w}/core`), 0);
    expect(faces).toBeCloseTo(ring(84, 56, FACE) * high - holes * FACE, 3);
    expect(cores).toBeCloseTo(ring(84 - 2 * FACE, 56 - 2 * FACE, CORE) * high - holes * CORE, 3);
  });
  it("has ends that reach the roof, and long walls bevelled to it", () => {
    const f = sheetFrame(house(), HO);
    const { outline } = panel(f, "right/face");
    // 31.5 at the outside, 6 in 12: half a mm a mm
    expect(span(outline, 1)[1]).toBeCloseTo(31.5 + 14, 9);
    const wide = 56 - 2 * FACE;
    expect(polygonArea(outline)).toBeCloseTo(wide * (31.5 + FACE / 2) + (wide * wide) / 8, 9);
    const front = panel(f, "front/core");
    expect(span(front.outline, 1)[1]).toBeCloseTo(31.5 + (FACE + CORE) / 2, 9);
    expect(front.bevel[2]).toBeCloseTo(26.565, 3);
    expect(panel(f, "back/face").bevel[2]).toBeCloseTo(26.565, 3);
    // mitred at the ridge, square at the eave
    expect(panel(f, "roof/front").bevel[2]).toBeCloseTo(-26.565, 3);
    expect(span(panel(f, "roof/front").outline, 1)).toEqual([expect.closeTo(-3.5 / Math.cos(Math.atan(0.5)), 9), expect.closeTo(28 / Math.cos(Math.atan(0.5)), 9)]); // prettier-ignore
    expect(longOf(f, "roof/back")).toBeCloseTo(91, 9);
  });
  it("under a shed roof is higher at the back by the rise over its width", () => {
    const v = house({ roof: "shed", rise: 3 });
    const r = sound(v);
    const top = (id: string): number => boundsOf(r.byMember.get(`t/${id}`)![0]!.parts).max[2];
    expect(top("back/face")).toBeCloseTo(31.5 + 14, 9);
    expect(top("front/face")).toBeCloseTo(31.5 + FACE / 4, 9);
    expect(panel(sheetFrame(v, HO), "back/core").bevel[2]).toBeCloseTo(-14.036, 3);
  });
  it("with a flat roof has it inside the walls at its height, on four ledges", () => {
    const r = sound(house({ roof: "flat" }));
    const { min, max } = boundsOf(r.byMember.get("t/roof/sheet")![0]!.parts);
    expect(max[2]).toBeCloseTo(31.5, 9);
    expect(max[0] - min[0]).toBeCloseTo(84 - 2 * (FACE + CORE), 9);
    expect(r.sticks.filter((k) => k.member.role === "ledge")).toHaveLength(4);
    expect(boundsOf(r.byMember.get("t/front/core")![0]!.parts).max[2]).toBeCloseTo(38.5, 9);
  });
  it("mirrored, the openings of the right end and of the left are each other's images", () => {
    const at = (wall: string, a: number) => sheetFrame(house({ openings: [{ ...opening, wall, at: feet(a), width: feet(2) }] }), HO); // prettier-ignore
    const [right, left] = [panel(at("right", 5), "right/face"), panel(at("left", 11), "left/face")];
    const flip = (o: readonly Vec2[]): Vec2[] => o.map((p): Vec2 => [56 - p[0], p[1]]).reverse();
    expect(span(flip(right.holes[0]!.outline), 0)).toEqual(
      span(left.holes[0]!.outline, 0).map((x) => expect.closeTo(x, 9)),
    );
    expect(unionOf([flip(right.outline), left.outline])).toHaveLength(1);
  });
  it("has courses at the same heights round all four corners, whatever foot a wall has", () => {
    const r = sound(house({ footFront: feet(2), footLeft: feet(-1) }));
    const low = -7;
    for (const w of ["front", "right", "back", "left"]) {
      const lines = textureLines(r.byMember.get(`t/${w}/face`)![0]!);
      expect(lines.length).toBeGreaterThan(15);
      for (const [a, b] of lines) {
        expect(a[2]).toBeCloseTo(b[2], 9);
        expect(Math.abs((a[2] - low) / 1.524 - Math.round((a[2] - low) / 1.524)) * 1.524).toBeLessThan(0.02);
      }
    }
  });
  it("glues every wall's top to the roof along its whole length", () => {
    const r = sound(house({ overhang: 0, gableOverhang: 0 }));
    // the roof's underside over the front: all corners of the bevelled top lie in it
    const n: readonly [number, number] = [-Math.sin(Math.atan(0.5)), Math.cos(Math.atan(0.5))];
    for (const w of ["front/face", "front/core"]) {
      const top = r.byMember
        .get(`t/${w}`)![0]!
        .parts.flatMap((p) => p.faces.filter((f) => f.tag === "e2").flatMap((f) => f.corners));
      expect(top.length).toBe(4);
      for (const p of top) expect((p[1] + 28) * n[0] + (p[2] - 31.5) * n[1]).toBeCloseTo(0, 9);
    }
  });
  it("is sound in every start and for values from the whole range", () => {
    for (const s of sheetBuilding.starts!) sound(house(s.params));
    let framed = 0;
    for (let seed = 61_000; framed < 60; seed++) {
      const { params, bench } = valuesFrom(sheetBuilding, seed);
      const ctx = contextOf(bench);
      if (sheetCheck(params as never, ctx).length > 0) continue;
      framed++;
      expect(faultsOf(sheetFrame(params as never, ctx)).faults, String(seed)).toEqual([]);
    }
  });
});

describe("what is said of a building of sheet", () => {
  it("a rebate in walls of one layer", () => {
    const one = "A rebated corner takes the other wall's end behind the face, and these walls have one layer; add a core behind it, or butt the corners."; // prettier-ignore
    for (const corner of ["rebateSides", "rebateEnds"]) expect(sheetCheck(house({ corner, core: "none" }), HO)).toEqual([one]); // prettier-ignore
    expect(sheetCheck(house({ corner: "sides", core: "none" }), HO)).toEqual([]);
    expect(sheetCheck(house({ corner: "rebateEnds", core: "none", back: "styrene/20" }), HO)).toEqual([]);
  });
  it("layers thicker than their corner post, with the figure (mistake 4)", () => {
    const bad = house({ corner: "post", cornerPost: "8×8", core: "core/3" });
    expect(sheetCheck(bad, HO)).toEqual([
      "The walls are 4.016 mm thick and the corner post of 8×8 is 2.333 mm: they stand 1.683 mm proud of it. Take a thicker post, or thinner layers.",
    ]);
    expect(sheetCheck(house({ corner: "post", cornerPost: "14×14", core: "core/3" }), HO)).toEqual([]);
  });
  it("a wall that ends in part of a board, with both lengths that are whole (mistake 7)", () => {
    // corrugations of .030 in are 0.762 mm: 84 are 110 of them and 0.18
    const bad = house({ face: "corrugated", facePitch: inches(2.67) });
    const said = (v: SheetValues, param: string): string[] => sheetRemarks(v, HO).filter((r) => r.param === param && /corrugation/.test(r.text)).map((r) => r.text); // prettier-ignore
    expect(said(bad, "length")).toEqual([
      "The front and back take 110 corrugations of 0.76 mm and 0.18 mm of another (0′-0 5/8″); a good wall ends on a full corrugation: 83.82 mm or 84.58 mm over all.",
    ]);
    const fix = sheetRemarks(bad, HO).find((r) => r.param === "length")!.fix!.value;
    expect(said(house({ face: "corrugated", facePitch: inches(2.67), length: fix }), "length")).toEqual([]);
    // the ends stand between the long walls' faces: that much less
    const whole = (70 * 0.03 + 2 * 0.04) * MM_PER_INCH * HO.scale.ratio;
    expect(said(house({ face: "corrugated", facePitch: inches(2.67), width: whole }), "width")).toEqual([]);
  });
  it("square tops (mistake 1), flanges on ribs (mistake 9)", () => {
    const texts = (over: Partial<Record<keyof SheetValues, unknown>>): string => sheetRemarks(house(over), HO).map((r) => r.text).join("\n"); // prettier-ignore
    expect(texts({ tops: "square" })).toMatch(/Square tops bear on their edge alone, and stand 1\.27 mm off the slope over 2\.54 mm: bevel them 26\.6°\./); // prettier-ignore
    const window = { ...opening, mount: "flange", lap: inches(4) };
    expect(texts({ face: "batten", facePitch: inches(10), openings: [window] })).toMatch(/Opening 1's flange lies on board and batten that stand 0\.38 mm proud/); // prettier-ignore
    expect(texts({ face: "clapboard", openings: [window] })).not.toMatch(/flange/);
  });
  it.each([
    [{ at: feet(0.5) }, /^Opening 1 comes past the end of its wall/],
    [{ height: feet(9) }, /^Opening 1 reaches 11′-/],
    [{ wall: "left", at: feet(8), height: feet(9) }, undefined],
    [{ sill: feet(-0) }, /begins below the foot/],
  ])("an opening %j that has no place: %s", (over, words) => {
    const said = sheetCheck(house({ openings: [{ ...opening, ...over }] }), HO);
    if (words) expect(said.join(" ")).toMatch(words);
    else expect(said).toEqual([]);
  });
  it("two openings in one another, a wall without layers, a building too small for its walls", () => {
    expect(sheetCheck(house({ openings: [opening, { ...opening, at: feet(10) }] }), HO)).toEqual([
      "Opening 1 and opening 2 leave nothing between them; move them apart.",
    ]);
    expect(sheetCheck(house({ face: "none", core: "none" }), HO)).toEqual(["The walls have no layer; choose a face, a core or a back."]); // prettier-ignore
    expect(sheetCheck(house({ core: "core/10", width: feet(6) }), HO).join()).toMatch(
      /Walls 11\.02 mm thick leave no room inside 6′-0″/,
    );
  });
  it("a door stands on the floor, and made a window it has a sill", () => {
    const v = house({ openings: [{ ...opening, kind: "door" }] });
    const door = sheetBuilding.follow!(v, "openings.0.kind") as unknown as SheetValues;
    expect(door.openings[0]!.sill).toBe(0);
    const back = sheetBuilding.follow!(
      { ...door, openings: [{ ...door.openings[0]!, kind: "window" }] },
      "openings.0.kind",
    );
    expect((back as unknown as SheetValues).openings[0]!.sill).toBe(inches(30));
  });
  it("a new opening stands in the first free place of its wall, then of the next", () => {
    let v = house({ width: feet(8), length: feet(12) });
    for (const [wall, at] of [
      ["front", 3.5],
      ["front", 8.5],
      ["right", 3.5],
      ["back", 3.5],
    ] as const) {
      const row = sheetBuilding.newRow!(v, "openings") as unknown as SheetValues["openings"][number];
      expect([row.wall, row.at / feet(1)]).toEqual([wall, expect.closeTo(at, 9)]);
      v = { ...v, openings: [...v.openings, row] };
      if (wall === "front" && at === 8.5) expect(sheetCheck(v, HO)).toEqual([]);
    }
    expect(sheetBuilding.newRow!(v, "wings")).toBeUndefined();
    const low = sheetBuilding.newRow!(house({ wallHeight: feet(6) }), "openings") as unknown as SheetValues["openings"][number]; // prettier-ignore
    expect(low.height).toBeCloseTo(feet(2.5), 6);
  });
  it("its walls stand where a neighbour meets them", () => {
    const walls = sheetBuilding.outerWalls!(house({ footFront: feet(2) }), HO);
    expect(walls.map((w) => [w.name, w.length, Number(w.height.toFixed(9))])).toEqual([
      ["front wall", 84, 38.5],
      ["right end", 56, 31.5],
      ["back wall", 84, 31.5],
      ["left end", 56, 31.5],
    ]);
  });
  it("resolves without a roof", () => expect(resolve(sheetFrame(house({ roof: "none" }), HO)).sticks).toHaveLength(12));
});
