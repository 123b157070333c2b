import { describe, expect, it } from "vitest";
import { pieceShape, type PanelBody, type ResolvedFrame } from "../../frame";
import { dot, polygonArea } from "../../geometry";
import { nearestTube, ownTubeId, tubeOf, TUBES } from "../../lumber";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { contextOf, valuesFrom } from "../fromSpec.fixture";
import { near, panelIn, reachOf, roleCounts, volumeIn } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { tubes } from ".";
import { tubesFrame } from "./frame";
import { tubesCheck, tubesRemarks } from "./judgement";
import { infillWidths, tubesLayout } from "./layout";
import { tubesSpec, type TubesValues } from "./parameters";

/** Four pipes of one's own, 70 mm; 60 ft high in HO is 210 mm. */
const HO = fullSawn(scaleOf("HO"));
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const row = (over: Partial<Record<keyof TubesValues, unknown>> = {}): TubesValues =>
  ({ ...defaultsOf(tubesSpec), pipe: "own", ownDiameter: 70, ownWall: 2, ...over }) as unknown as TubesValues;
const sound = (v: TubesValues, ctx = HO): ResolvedFrame => {
  expect(tubesCheck(v, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(tubesFrame(v, ctx));
  expect(faults).toEqual([]);
  return resolved;
};
const shape = (r: ResolvedFrame, id: string) => pieceShape(r.byMember.get(`t/${id}`)![0]!);

describe("a row of tubes", () => {
  it("has its parts counted", () => {
    expect(roleCounts(tubesFrame(row(), HO))).toEqual({ tube: 4, deck: 1 });
    expect(roleCounts(tubesFrame(row({ infill: "both" }), HO))).toEqual({ tube: 4, "infill panel": 6, deck: 1 });
    expect(roleCounts(tubesFrame(row({ tubes: 1, wrap: "scribed", hoops: 7 }), HO))).toEqual({ tube: 1, wrap: 2, hoop: 14, deck: 1 }); // prettier-ignore
    expect(roleCounts(tubesFrame(row({ headhouse: "flat" }), HO))).toMatchObject({ facing: 4, "core sheet": 4, "corner block": 4, "roof sheet": 1, ledge: 4 }); // prettier-ignore
  });
  it("touching stands one diameter apart, and further by the room between", () => {
    const at = (v: TubesValues): number[] => tubesLayout(v, HO).axes.map((x) => Number(x.toFixed(6)));
    expect(at(row())).toEqual([-105, -35, 35, 105]);
    expect(at(row({ gap: feet(2), tubes: 3 }))).toEqual([-77, 0, 77]);
    // hoops of 1×3 are an inch thick each, 0.2917 mm
    expect(at(row({ tubes: 2, hoops: 2 }))[1]).toBeCloseTo(35 + 0.2917, 4);
  });
  it("is as high as it says, or cut to a plane that passes its middle there", () => {
    expect(reachOf(sound(row()), "tube1")).toEqual(near([-140, -70], [-35, 35], [0, 210]));
    const r = sound(row({ tubes: 1, fall: 6, deck: "none" }));
    const top = r.byMember.get("t/tube1")![0]!.parts.flatMap((p) => p.faces.filter((f) => f.plane.n[2] > 0.5).flatMap((f) => f.corners)); // prettier-ignore
    expect(top.length).toBeGreaterThan(40);
    for (const p of top) expect(dot([p[0], p[1], p[2] - 210], [0, -0.5, 1])).toBeCloseTo(0, 6);
    expect(reachOf(r, "tube1")[2]).toEqual(near([0, 210 + 17.5])[0]);
  });
  it("has wraps that close on themselves: π times the diameter of the middle of the sheet", () => {
    const r = sound(row({ tubes: 1, wrap: "styrene/20" }));
    const [front, back] = [shape(r, "tube1/wrap/front"), shape(r, "tube1/wrap/back")];
    expect(front.overall + back.overall).toBeCloseTo(Math.PI * (70 + thou(20)), 3);
    expect(front.section.map((x) => Number(x.toFixed(4)))).toEqual([210, 0.508]);
    // both meet at both sides, and nothing of them is in the tube
    for (const half of ["front", "back"]) expect(reachOf(r, `tube1/wrap/${half}`)[0]).toEqual(near([-35 - thou(20), 35 + thou(20)])[0]); // prettier-ignore
  });
  it("has hoops round the wrap, evenly from margin to margin", () => {
    const r = sound(row({ tubes: 1, wrap: "styrene/20", hoops: 5, hoopMargin: feet(3) }));
    const [thick, tall] = [(1 * MM_PER_INCH) / HO.scale.ratio, (3 * MM_PER_INCH) / HO.scale.ratio];
    const one = shape(r, "tube1/hoop3/front");
    expect(2 * one.overall).toBeCloseTo(Math.PI * (70 + 2 * thou(20) + thick), 3);
    const middles = [1, 2, 3, 4, 5].map((k) => { const [, , z] = reachOf(r, `tube1/hoop${k}/back`); return (z![0] + z![1]) / 2; }); // prettier-ignore
    // 10.5 mm clear at the ends, the rest in four
    middles.forEach((z, k) => expect(z).toBeCloseTo(10.5 + tall / 2 + (k * (210 - 21 - tall)) / 4, 4));
  });
  it("has panels between that touch both circles in the middle of their thickness and stand in none", () => {
    const v = row({ infill: "front", infillBack: feet(3) });
    const r = sound(v);
    const { outside, inside, y } = infillWidths(tubesLayout(v, HO));
    // 35 − 10.5 = 24.5 from the axes; in the middle of .040: 23.992, where a circle takes 25.4828
    expect(y).toBeCloseTo(24.5, 9);
    expect((outside + inside) / 2).toBeCloseTo(70 - 2 * Math.sqrt(35 * 35 - 23.992 * 23.992), 4);
    const [x, depth, z] = reachOf(r, "infill2/front");
    expect(x![1] - x![0]).toBeCloseTo(outside, 6);
    expect(depth).toEqual(near([-24.5, -24.5 + thou(40)])[0]);
    expect(z).toEqual(near([0, 210])[0]);
    const body = panelIn(tubesFrame(v, HO), "infill2/front");
    // no point of its edges is nearer to an axis than a radius
    for (const s of r.byMember.get("t/infill2/front")![0]!.parts)
      for (const f of s.faces) for (const p of f.corners) for (const axis of [-35, 35]) expect(Math.hypot(p[0] - axis, p[1])).toBeGreaterThan(35 - 1e-9); // prettier-ignore
    expect(body.bevel[1]).toBe(body.bevel[3]);
  });
  it("mirrored is itself", () => {
    const r = sound(row({ infill: "both", tubes: 3 }));
    const areas = (id: string): number => Number(polygonArea((tubesFrame(row({ infill: "both", tubes: 3 }), HO).members.find((m) => m.id === id)!.body as PanelBody).outline).toFixed(9)); // prettier-ignore
    expect(areas("t/infill1/front")).toBe(areas("t/infill2/back"));
    const middle = (id: string): number => { const [x] = reachOf(r, id); return (x![0] + x![1]) / 2; }; // prettier-ignore
    expect(middle("infill1/front")).toBeCloseTo(-middle("infill2/front"), 9);
    expect(reachOf(r, "infill1/back")[1]).toEqual(near([24.5 - thou(40), 24.5])[0]);
  });
  it("carries its headhouse on the deck, as a building of sheet is made", () => {
    const v = row({ headhouse: "flat", houseLength: feet(40), houseWidth: feet(10), houseHeight: feet(9) });
    const r = sound(v);
    expect(reachOf(r, "deck")).toEqual(near([-143.5, 143.5], [-38.5, 38.5], [210, 210 + thou(60)]));
    expect(reachOf(r, "headhouse/front/face")[2]![0]).toBeCloseTo(210 + thou(60), 6);
    expect(reachOf(r, "headhouse/roof/sheet")[2]![1]).toBeCloseTo(210 + thou(60) + 31.5, 6);
    expect(volumeIn(r, "deck")).toBeCloseTo(287 * 77 * thou(60), 3);
  });
  it("is sound in every start and for values from the whole range", () => {
    for (const s of tubes.starts!) sound({ ...defaultsOf(tubesSpec), ...s.params } as unknown as TubesValues);
    let framed = 0;
    for (let seed = 400; framed < 6; seed++) {
      const { params, bench } = valuesFrom(tubes, seed);
      const ctx = contextOf(bench);
      if (tubesCheck(params as never, ctx).length > 0) continue;
      framed++;
      expect(faultsOf(tubesFrame(params as never, ctx)).faults, String(seed)).toEqual([]);
    }
  });
});
describe("the tube that is taken", () => {
  it("is the nearest by ratio, or what one has, to a hundredth of a millimetre", () => {
    expect(nearestTube(70).id).toBe("tube/pipe/75");
    expect(nearestTube(68).id).toBe("tube/pipe/63");
    expect(nearestTube(1e4).id).toBe("tube/pipe/200");
    expect(tubeOf(ownTubeId(206, 4.25))).toMatchObject({ width: 206, wall: 4.25, name: "Tube 206 mm, as measured" });
    expect(tubeOf("tube/own/x")).toBeUndefined();
    for (const t of TUBES) expect(2 * t.wall, t.name).toBeLessThan(t.width);
  });
  it("that is far from what is wanted is told, with what it makes", () => {
    const said = (over: Partial<Record<keyof TubesValues, unknown>>): string[] => tubesRemarks(row(over), HO).filter((x) => x.param === "diameter").map((x) => x.text); // prettier-ignore
    expect(said({})).toEqual([]);
    expect(said({ ownDiameter: 50 })).toEqual(["Tube 50 mm, as measured makes tubes of 14′-3 7/16″ where 20′-0″ are wanted: 29 % too thin."]); // prettier-ignore
  });
});
describe("what is said of tubes", () => {
  it.each([
    [{ infill: "front", hoops: 3 }, /^Hoops go round whole tubes/],
    [{ ownWall: 20, ownDiameter: 40 }, "A tube of 40.0 mm has no room inside walls of 20.0 mm."],
    [{ infill: "front", infillBack: feet(12) }, /lie behind the middle of tubes/],
    [{ infill: "front", infillBack: feet(9.5) }, /^Panels 9′-6″ back would be 0\.\d+ mm wide/],
    [{ infill: "front", infillBack: inches(3) }, /edges would be feathers/],
    [{ fall: 24, height: feet(18), deck: "none" }, /^Tops that fall 24\.00 in 12 end 0′-0″ over the ground in front/],
    [
      { tubes: 1, hoops: 40, height: feet(10) },
      /^40 hoops of 0\.87 mm with margins of 2′-0″ have no room on 10′-0″\.$/,
    ],
    [
      { tubes: 1, ownDiameter: 4, ownWall: 0.5, hoops: 2, hoop: "2×4" },
      /^A hoop 0\.58 mm thick does not bend round 4\.0 mm/,
    ],
    [{ headhouse: "gable", houseLength: feet(90) }, /^The headhouse is 90′-0″ long and the deck 82′-0″/],
    [{ headhouse: "gable", houseFace: "none", houseCore: "none" }, "Headhouse: The walls have no layer; choose a face, a core or a back."], // prettier-ignore
  ] as [Partial<Record<keyof TubesValues, unknown>>, string | RegExp][])("%j", (over, words) => {
    const said = tubesCheck(row(over), HO)[0];
    if (typeof words === "string") expect(said).toBe(words);
    else expect(said).toMatch(words);
  });
  it("how many planks go round, where a part of one is left", () => {
    // π × (70 + 1.016) = 223.1 mm in planks of .060 in, 1.524 mm
    const said = tubesRemarks(row({ tubes: 1, wrap: "scribed" }), HO).find((x) => x.param === "wrapPitch")!;
    expect(said.text).toBe("146.4 planks of 1.52 mm go round 223.10 mm: put the seam where a part of one does not show."); // prettier-ignore
  });
});
