import { describe, expect, it } from "vitest";
import type { ResolvedFrame } from "../../frame";
import { elevation } from "../../drawing";
import { boundsOf, dot, polygonArea, type Vec3 } from "../../geometry";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { contextOf, valuesFrom } from "../fromSpec.fixture";
import { near, panelIn, reachOf, roleCounts, volumeIn } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf, type Row } from "../spec";
import { canopy } from ".";
import { canopyFrame } from "./frame";
import { canopyCheck, canopyRemarks } from "./judgement";
import { canopySpec, type CanopyValues } from "./parameters";

/** 24 × 7 ft in HO is 84 × 24.5 mm, its underside 38.5 mm over the ground. */
const HO = fullSawn(scaleOf("HO"));
const MM = (ft: number): number => (ft * 304.8) / HO.scale.ratio;
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const awning = (over: Partial<Record<keyof CanopyValues, unknown>> = {}): CanopyValues =>
  ({ ...defaultsOf(canopySpec), fall: 0, ...over }) as unknown as CanopyValues;
const sound = (v: CanopyValues, ctx = HO): ResolvedFrame => {
  expect(canopyCheck(v, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(canopyFrame(v, ctx));
  expect(faults).toEqual([]);
  return resolved;
};

describe("a canopy", () => {
  it("has its parts counted: board, three edges of two sheets, ledger, five ribs and five rods", () => {
    expect(roleCounts(canopyFrame(awning(), HO))).toEqual({ "canopy board": 1, "edge facing": 3, "edge backing": 3, ledger: 1, rib: 5, rod: 5 }); // prettier-ignore
    expect(roleCounts(canopyFrame(awning({ edges: "front", edgeBacking: "none", held: "brackets" }), HO))).toEqual({ "canopy board": 1, "edge facing": 1, ledger: 1, rib: 5, "bracket upright": 5, "bracket brace": 5 }); // prettier-ignore
    expect(roleCounts(canopyFrame(awning({ edges: "none", held: "posts", frames: 3 }), HO))).toEqual({ "canopy board": 1, ledger: 1, rib: 3, post: 3 }); // prettier-ignore
    expect(roleCounts(canopyFrame(awning({ edges: "none", held: "wall" }), HO))).toEqual({ "canopy board": 1, ledger: 1, rib: 5 }); // prettier-ignore
  });
  it("whose edge is .015 on .030 in takes .045 in off each covered edge of its board", () => {
    const [x, y, z] = reachOf(sound(awning()), "board");
    expect(x![1] - x![0]).toBeCloseTo(84 - 2 * 1.143, 6);
    expect(y).toEqual(near([-24.5 + 1.143, 0])[0]);
    expect(z).toEqual(near([38.5, 38.5 + thou(40)])[0]);
    // covered in front alone it keeps its length
    const [wide, deep] = reachOf(sound(awning({ edges: "front" })), "board");
    expect(wide).toEqual(near([-42, 42])[0]);
    expect(deep![0]).toBeCloseTo(-23.357, 6);
  });
  it("has its edges in a box of faces and in it a box of backings", () => {
    const r = sound(awning());
    const z: readonly [number, number] = [38.5 + thou(40) - MM(1), 38.5 + thou(40)];
    expect(reachOf(r, "front/face")).toEqual(near([-42, 42], [-24.5, -24.5 + thou(15)], z));
    expect(reachOf(r, "front/backing")).toEqual(near([-42 + thou(15), 42 - thou(15)], [-24.5 + thou(15), -24.5 + thou(45)], z)); // prettier-ignore
    expect(reachOf(r, "right/face")).toEqual(near([42 - thou(15), 42], [-24.5 + thou(15), 0], z));
    expect(reachOf(r, "left/backing")).toEqual(near([-42 + thou(15), -42 + thou(45)], [-24.5 + thou(45), 0], z));
  });
  it("mirrored is itself: what is right is what is left", () => {
    const r = sound(awning({ fall: 3, lights: 4, lightMargin: feet(4) }));
    const middles = (role: string): number[] => r.sticks.filter((k) => k.member.role === role).map((k) => { const { min, max } = boundsOf(k.parts); return Number(((min[0] + max[0]) / 2).toFixed(6)) + 0; }).sort((a, b) => a - b); // prettier-ignore
    for (const role of ["rib", "rod", "edge facing"])
      expect(middles(role)).toEqual(middles(role).map((x) => 0 - x).sort((a, b) => a - b)); // prettier-ignore
    const area = (id: string): number => polygonArea(panelIn(canopyFrame(awning({ fall: 3 }), HO), id).outline);
    expect(area("right/face")).toBeCloseTo(area("left/face"), 9);
    expect(area("right/face")).toBeGreaterThan(0);
  });
  it("that falls 4 in 12 has its wall edges plumb, its ribs cut to the ledger and its rods to board and wall", () => {
    const v = awning({ fall: 4 });
    const r = sound(v);
    const cos = 3 / Math.sqrt(10);
    const b = panelIn(canopyFrame(v, HO), "board");
    // along the slope less the edge
    expect(Math.max(...b.outline.map((p) => -p[1]))).toBeCloseTo(24.5 / cos - 1.143, 6);
    for (const id of ["board", "right/face", "left/backing"]) {
      const { max } = boundsOf(r.byMember.get(`t/${id}`)![0]!.parts);
      expect(max[1], id).toBeCloseTo(0, 6);
      const wall = r.byMember.get(`t/${id}`)![0]!.parts.flatMap((p) => p.faces.filter((f) => f.plane.n[1] > 0.999999));
      expect(wall.length, id).toBeGreaterThan(0);
    }
    // a rod 1.5 ft in from the front: from 4.5 ft over the wall to the top of the board
    const n: Vec3 = [0, -1 / Math.sqrt(10), cos];
    for (const p of r.byMember.get("t/frame2/rod")![0]!.parts.flatMap((x) => x.faces.flatMap((f) => f.corners))) {
      expect(p[1]).toBeLessThan(1e-6);
      expect(dot([p[0], p[1], p[2] - 38.5], n)).toBeGreaterThan(thou(40) - 1e-6);
    }
    expect(boundsOf(r.byMember.get("t/ledger/1")![0]!.parts).max[2]).toBeCloseTo(38.5, 6);
  });
  it("has as much in it as plain reckoning gives", () => {
    const r = sound(
      awning({ fall: 0, lights: 0, columns: [{ at: feet(9), width: feet(1), deep: inches(6) }] as Row[] }),
    );
    expect(volumeIn(r, "board")).toBeCloseTo(((84 - 2.286) * (24.5 - 1.143) - MM(1) * MM(0.5)) * thou(40), 4);
    // the ledger goes round the column
    const ledger = r.sticks.filter((k) => k.member.role === "ledger").map((k) => { const { min, max } = boundsOf(k.parts); return [min[0], max[0]]; }); // prettier-ignore
    expect(ledger).toEqual(near([-42 + 1.143, -42 + MM(8.5)], [-42 + MM(9.5), 42 - 1.143]));
  });
  it("spreads frames and lights evenly: five brackets on 102 mm, six lights with their margin", () => {
    // 102 mm inside, brackets of 4×4 (1.1667 mm): (102 − 5 × 1.1667) / 4 = 24.0417 clear
    const v = awning({ length: (102 * HO.scale.ratio), edges: "none", held: "brackets" }); // prettier-ignore
    const r = sound(v);
    const uprights = r.sticks.filter((k) => k.member.role === "bracket upright").map((k) => boundsOf(k.parts)).map(({ min, max }) => [min[0], max[0]] as const); // prettier-ignore
    const wide = (4 * MM_PER_INCH) / HO.scale.ratio;
    uprights.forEach(([a, b], i) => {
      expect(b - a).toBeCloseTo(wide, 6);
      expect(a).toBeCloseTo(-51 + i * (wide + (102 - 5 * wide) / 4), 3);
    });
    const lamps = panelIn(canopyFrame(awning({ lights: 6, lightMargin: feet(2) }), HO), "board").holes;
    const middles = lamps.map((h) => (Math.min(...h.outline.map((p) => p[0])) + Math.max(...h.outline.map((p) => p[0]))) / 2); // prettier-ignore
    // 84 − 2 × 7 = 70 in five spaces
    middles.forEach((x, i) => expect(x).toBeCloseTo(-35 + 14 * i, 6));
    // a lamp of 6 in goes in: the hole is nowhere narrower
    const [first] = lamps;
    for (const [i, a] of first!.outline.entries()) {
      const b = first!.outline[(i + 1) % first!.outline.length]!;
      expect(Math.hypot((a[0] + b[0]) / 2 - middles[0]!, (a[1] + b[1]) / 2 + MM(3.5))).toBeCloseTo(MM(0.25), 6);
    }
  });
  it("is sound in every start and for values from the whole range", () => {
    for (const s of canopy.starts!) sound(awning({ ...s.params }));
    let framed = 0;
    for (let seed = 700; framed < 60; seed++) {
      const { params, bench } = valuesFrom(canopy, seed);
      const ctx = contextOf(bench);
      if (canopyCheck(params as never, ctx).length > 0) continue;
      framed++;
      expect(faultsOf(canopyFrame(params as never, ctx)).faults, String(seed)).toEqual([]);
    }
  });
});
it("is painted with its board over the ribs from before, and with the ribs on the board from below", () => {
  const { sticks } = sound(awning({ fall: 3 }));
  const order = (eye: Vec3, up: Vec3): readonly string[] => elevation(sticks, { id: "side", right: [1, 0, 0], up, eye }).map((s) => s.id); // prettier-ignore
  const front = order([0, -1, 0], [0, 0, 1]);
  // square to the board, as it is printed: 3 in 12
  const [sin, cos] = [3 / Math.hypot(3, 12), 12 / Math.hypot(3, 12)];
  const below = order([0, sin, -cos], [0, cos, sin]);
  for (const i of [1, 3, 5]) {
    expect(front.indexOf("t/board")).toBeGreaterThan(front.indexOf(`t/frame${i}/rib`));
    expect(below.indexOf("t/board")).toBeLessThan(below.indexOf(`t/frame${i}/rib`));
  }
});
describe("what is said of a canopy", () => {
  it.each([
    [{ rod: "2×2" }, "Rod is “2×2”; write a diameter in inches such as ⌀1.5."],
    [{ inset: inches(2) }, /^It may be held in from the front by .*; 0′-2″ is in its front edge\.$/],
    [{ inset: feet(6.9) }, /is at the ledger\.$/],
    [
      { frames: 40, held: "posts" },
      /^40 frames 1\.75 mm wide have no room on 81\.71 mm between the margins; take fewer\.$/,
    ],
    [{ height: feet(3), fall: 6 }, /^Its front edge would hang .* below the ground/],
    [{ rodRise: feet(1), board: "core/5" }, /^Rods that reach the wall .* are in the board; let them reach higher\.$/],
    [{ held: "brackets", bracketFall: feet(1) }, /have no room for a brace; let them reach lower\.$/],
    [{ held: "brackets", bracketFall: feet(12) }, /^Brackets would reach 1′-0″ below the ground; make them shorter\.$/],
    [{ columns: [{ at: feet(12), width: feet(1), deep: inches(6) }] }, "Frame 3 stands at column 1; change how many frames there are, or their margin."], // prettier-ignore
    [{ columns: [{ at: feet(0.2), width: feet(1), deep: inches(6) }] }, /^Column 1 reaches past the end of the board/],
    [{ columns: [{ at: feet(9), width: feet(1), deep: feet(7) }] }, /^Column 1 stands 7′-0″ out of the wall, through the front edge/], // prettier-ignore
    [{ lights: 24, lightSize: inches(10.4), lightMargin: feet(2) }, /^24 lights leave 0\.01 mm between them/],
    [{ lights: 2, lightMargin: inches(2) }, /^The outer lights run out of the board's ends/],
    [{ lights: 3, lightOut: feet(6.8) }, /^Lights 6′-9 \d+\/\d+″ from the wall run out of the board/],
    [
      { lights: 5, lightMargin: inches(7.5), lightOut: feet(5.5), lightSize: inches(3) },
      /^Rod 1 would end in a light's hole/,
    ],
  ] as [Partial<Record<keyof CanopyValues, unknown>>, string | RegExp][])("%j", (over, words) => {
    const said = canopyCheck(awning(over), HO)[0];
    if (typeof words === "string") expect(said).toBe(words);
    else expect(said).toMatch(words);
  });
  it("a height that is not the prototype's, to be set aside with its reason; a lamp over a rib; an edge lower than the board", () => {
    const said = (over: Partial<Record<keyof CanopyValues, unknown>>): string[] => canopyRemarks(awning(over), HO).map((r) => r.text); // prettier-ignore
    expect(said({})).toEqual([]);
    expect(said({ prototypeHeight: feet(10) })).toEqual(["It stands 1′-0″ higher than on the prototype. If that is on purpose, set this aside with the reason: it is kept with the job."]); // prettier-ignore
    expect(said({ prototypeHeight: feet(11) })).toEqual([]);
    expect(said({ lights: 1 })).toEqual(["Light 1 is over a rib, which closes its hole from below. Change how many there are, or their margin."]); // prettier-ignore
    expect(said({ lights: 4 })).toEqual([]);
    expect(said({ edgeHigh: inches(2) }).at(-1)).toMatch(/^The board is 1\.02 mm thick and the edge would be 0\.58 mm high: it is made as high as the board\./); // prettier-ignore
  });
  it("a new column stands between frames that have none", () => {
    let v = awning();
    for (let i = 0; i < 4; i++) v = { ...v, columns: [...v.columns, canopy.newRow!(v as never, "columns") as unknown as CanopyValues["columns"][number]] }; // prettier-ignore
    expect(v.columns.map((c) => Number((c.at / feet(1)).toFixed(9)))).toEqual([3, 9, 15, 21]);
    expect(canopyCheck(v, HO)).toEqual([]);
  });
});
