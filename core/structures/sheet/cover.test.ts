import { describe, expect, it } from "vitest";
import { textureLines, type ResolvedFrame } from "../../frame";
import { boundsOf, dot, type Vec3 } from "../../geometry";
import { MM_PER_INCH, feet, inches, scaleOf } from "../../units";
import { contextOf } from "../fromSpec.fixture";
import { near, panelIn, reachOf, roleCounts, volumeIn } from "../placed.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { coursesOf, seamsAt, tiltOf } from "./cover";
import { slopesOf } from "./slopes";
import { sheetFrame } from "./frame";
import { sheetCheck, sheetShown } from "./judgement";
import { sheetLayout } from "./layout";
import { sheetSpec, type SheetValues } from "./parameters";
import { trimmed } from "./randomTrim.fixture";

/** 24 × 16 ft in HO, 6 in 12, overhangs of a foot: a slope is 91 mm wide and (28 + 3.5) × 1.118 = 35.22 mm long on its underside. */
const HO = fullSawn(scaleOf("HO"));
const MM = (ft: number): number => (ft * 304.8) / HO.scale.ratio;
const thou = (n: number): number => (n / 1000) * MM_PER_INCH;
const K = Math.hypot(1, 0.5);
const house = (over: Partial<Record<keyof SheetValues, unknown>> = {}): SheetValues =>
  ({ ...defaultsOf(sheetSpec), ...over }) as unknown as SheetValues;
const sound = (v: SheetValues, ctx = HO): ResolvedFrame => {
  expect(sheetCheck(v, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(sheetFrame(v, ctx));
  expect(faults).toEqual([]);
  return resolved;
};
/** The slope's direction out of it, and how far a point lies over the top of the roof's sheet. */
const OUT: Vec3 = [0, -0.5 / K, 1 / K];
const over = (p: Vec3): number => dot([p[0], p[1] + 28, p[2] - 31.5], OUT) - thou(40);

describe("lapped strips", () => {
  const v = house({ cover: "strips" });
  it("lie tilted by asin(thickness / exposure): .010 in showing 8 in in HO by 6.25°", () => {
    expect((tiltOf(thou(10), MM(8 / 12)) * 180) / Math.PI).toBeCloseTo(6.25, 2);
  });
  it("are a starter and as many as the slope is long, evenly apart, the topmost cut at the ridge", () => {
    const l = sheetLayout(v, HO);
    const [front] = slopesOf(l);
    const { strips, cap } = coursesOf(l, front!);
    expect(cap).toBeUndefined();
    expect(strips[0]!.starter).toBe(true);
    const rest = strips.slice(1);
    // 35.22 mm by 2.333: the 16th begins 0.22 mm before the ridge, which its own height moves on
    expect(rest).toHaveLength(16);
    rest.forEach((s, i) => expect(s.at).toBeCloseTo(-MM(1) * K + (i * MM(8)) / 12, 9));
    for (const s of rest.slice(0, 13)) {
      expect(s.width).toBeCloseTo(MM(1), 9);
      // its lower corner stands over the roof by its width times the sine: 3.5 × 0.254 / 2.333
      expect(s.over).toBeCloseTo((MM(1) * thou(10)) / MM(8 / 12), 6);
      expect(s.bevel).toBe(0);
    }
    expect(rest.at(-1)!.width).toBeLessThan(MM(1));
    // plumb to a strip that lies flatter than the roof by its tilt
    expect(rest.at(-1)!.bevel).toBeCloseTo(-((Math.atan(0.5) - tiltOf(thou(10), MM(8 / 12))) * 180) / Math.PI, 9);
  });
  it("lie flat on each other with their upper edge on the roof, and meet plumb over the middle", () => {
    const r = sound(v);
    expect(roleCounts(sheetFrame(v, HO))).toMatchObject({ "cover strip": 32, "starter strip": 2 });
    const corners = (id: string): Vec3[] => r.byMember.get(`t/cover/front/${id}`)![0]!.parts.flatMap((p) => p.faces.flatMap((f) => f.corners as Vec3[])); // prettier-ignore
    for (let i = 1; i <= 16; i++) {
      const c = corners(`strip${i}`);
      expect(Math.max(...c.map((p) => p[1])), `${i}`).toBeLessThan(1e-6);
      if (i <= 13) expect(Math.min(...c.map(over)), `${i}`).toBeCloseTo(0, 6);
    }
    expect(Math.max(...corners("strip16").map((p) => p[1]))).toBeCloseTo(0, 6);
    // the underside of each is in the plane of the top of the one below: sheet by sheet one thickness further out
    const planeOf = (id: string): { n: Vec3; d: number } => r.byMember.get(`t/cover/front/${id}`)![0]!.parts[0]!.faces.find((f) => f.tag === "-w")!.plane as never; // prettier-ignore
    for (let i = 2; i <= 16; i++) {
      const [lower, upper] = [planeOf(`strip${i - 1}`), planeOf(`strip${i}`)];
      expect(dot(lower.n, upper.n)).toBeCloseTo(1, 9);
      expect(Math.abs(upper.d - lower.d)).toBeCloseTo(thou(10), 6);
    }
  });
  it("are cut as wide as they show and lap, over the whole slope; the starter as wide as the lap", () => {
    const f = sheetFrame(v, HO);
    expect(panelIn(f, "cover/front/strip3").outline).toEqual(near([-45.5, 0], [45.5, 0], [45.5, MM(1)], [-45.5, MM(1)])); // prettier-ignore
    const starter = panelIn(f, "cover/back/starter").outline;
    expect(starter[2]![1]).toBeCloseTo(MM(4 / 12), 1);
  });
  it("have shingles printed on them, by half a shingle from course to course", () => {
    const r = sound(v);
    const lines = (id: string): number[] => textureLines(r.byMember.get(`t/cover/front/${id}`)![0]!).map(([a]) => a[0]).sort((a, b) => a - b); // prettier-ignore
    const [odd, even] = [lines("strip1"), lines("strip2")];
    expect(odd[1]! - odd[0]!).toBeCloseTo(MM(0.5), 6);
    expect(Math.abs(odd[3]! - even[3]!)).toBeCloseTo(MM(0.25), 6);
    const bare = sound(house({ cover: "strips", shingleWide: 0 }));
    expect(textureLines(bare.byMember.get("t/cover/front/strip1")![0]!)).toEqual([]);
  });
  it("under a cap stop where it covers them, and it lies on the last as one more would", () => {
    const r = sound(house({ cover: "strips", ridgeCap: inches(9) }));
    const caps = ["front", "back"].map((s) => reachOf(r, `cover/${s}/cap`));
    expect(caps[0]![1]![1]).toBeCloseTo(0, 6);
    expect(caps[1]![1]![0]).toBeCloseTo(0, 6);
    const { outline } = panelIn(sheetFrame(house({ cover: "strips", ridgeCap: inches(9) }), HO), "cover/front/cap");
    expect(outline[2]![1]).toBeCloseTo(MM(0.75), 6);
    const top = Math.max(...r.sticks.filter((k) => k.member.role === "cover strip").map((k) => boundsOf(k.parts).max[2])); // prettier-ignore
    expect(caps[0]![2]![1]).toBeGreaterThan(top);
  });
  it("on a shed roof end square with its sheet at the back", () => {
    const r = sound(house({ cover: "strips", roof: "shed" }));
    const l = sheetLayout(house({ roof: "shed" }), HO);
    const [slope] = slopesOf(l);
    expect(slope!.to - slope!.from).toBeCloseTo((56 + 2 * MM(1)) * K, 9);
    const top = r.sticks.filter((k) => k.member.role === "cover strip").at(-1)!;
    const along: Vec3 = [0, 1 / K, 0.5 / K];
    const ends = top.parts.flatMap((p) => p.faces.flatMap((x) => x.corners.map((c) => dot([c[0], c[1] + 28, c[2] - 31.5], along)))); // prettier-ignore
    expect(Math.max(...ends)).toBeLessThan(slope!.to + thou(10));
    expect(Math.max(...ends)).toBeGreaterThan(slope!.to - 1e-6);
  });
});

describe("standing seams", () => {
  const v = house({ cover: "seams" });
  it("divide a slope evenly, one at each end, and stand square on the cover up to the ridge", () => {
    // 26 ft less a seam, 20 in apart: 15.6, so 16 pans
    expect(seamsAt(sheetLayout(v, HO), 45.5)).toHaveLength(17);
    const r = sound(v);
    const seams = r.sticks.filter((k) => /cover\/front\/seam/.test(k.id)).map((k) => boundsOf(k.parts));
    expect(seams).toHaveLength(17);
    expect(seams[0]!.min[0]).toBeCloseTo(-45.5, 6);
    expect(seams[16]!.max[0]).toBeCloseTo(45.5, 6);
    seams.slice(1).forEach((s, i) => expect(s.min[0] - seams[i]!.min[0]).toBeCloseTo((91 - thou(10)) / 16, 6));
    for (const s of seams) expect(s.max[1]).toBeCloseTo(0, 6);
    // as much in it as its sides' area times its thickness: plumb at the ridge it is longer above
    const base = thou(50);
    const [lower, upper] = [35.2166, 0].map((x) => x + base / 2);
    const area = MM(2 / 12) * (lower! + (MM(2 / 12) / 2) * 0.5);
    expect(volumeIn(r, "cover/front/seam5")).toBeCloseTo(area * thou(10), 2);
    expect(upper).toBeGreaterThan(0);
  });
  it("stop below a cap", () => {
    const r = sound(house({ cover: "seams", ridgeCap: inches(6) }));
    const up = (id: string): number[] => r.byMember.get(`t/cover/front/${id}`)![0]!.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => (c[1] + 28 + (c[2] - 31.5) / 2) / K))); // prettier-ignore
    expect(Math.max(...up("seam5"))).toBeCloseTo(Math.min(...up("cap")), 6);
    expect(reachOf(r, "cover/front/cap")[1][1]).toBeCloseTo(0, 6);
  });
});

describe("textured covers", () => {
  it("lie on the whole slope, corrugations from its left end, mitred plumb at the ridge", () => {
    const r = sound(house({ cover: "corrugated" }));
    const [x, y] = reachOf(r, "cover/front/sheet");
    expect(x).toEqual(near([-45.5, 45.5])[0]);
    expect(y![1]).toBeCloseTo(0, 6);
    const b = panelIn(sheetFrame(house({ cover: "corrugated" }), HO), "cover/front/sheet");
    expect(b.texture).toMatchObject({ across: "u", first: -45.5, turns: true });
    // the underside is as long as the roof's top: by its thickness times the tangent longer than its underside
    expect(b.outline[2]![1]).toBeCloseTo(31.5 * K + thou(40) / 2, 6);
  });
  it("of shingles lap downwards: their courses count from the eave", () => {
    const b = panelIn(sheetFrame(house({ cover: "shingle" }), HO), "cover/back/sheet");
    expect(b.texture).toMatchObject({ across: "v", first: 0, turns: false });
  });
});

describe("what is told of a cover", () => {
  it.each([
    [
      { cover: "strips", coverSheet: "styrene/40", exposure: inches(4) },
      /Strips 1.02 mm thick show 1.17 mm: they would stand steeper/,
    ],
    [{ cover: "strips", coverSheet: "styrene/20", rise: 2 }, /would lie level or fall inwards on so flat a roof/],
    [{ cover: "seams", seamHigh: inches(0.5), ridgeCap: feet(3) }, /have no room; set them further apart/],
    [{ cover: "strips", ridgeCap: inches(0.5) }, /is too narrow to cut/],
  ])("%j", (values, says) => {
    expect(sheetCheck(house(values), HO).join(" ")).toMatch(says);
  });
  it("shows what plays a part", () => {
    const shown = (v: object, path: string) => sheetShown(house(v), path);
    expect(shown({}, "exposure")).toBe(false);
    expect(shown({ cover: "strips" }, "exposure")).toBe(true);
    expect(shown({ cover: "strips", roof: "flat" }, "exposure")).toBe(false);
    expect(shown({ cover: "seams" }, "seamApart")).toBe(true);
    expect(shown({ cover: "corrugated" }, "coverPitch")).toBe(true);
    expect(shown({ cover: "strips", roof: "shed" }, "ridgeCap")).toBe(false);
    expect(shown({ cover: "corrugated" }, "coverSheet")).toBe(false);
  });
});

it("40 random buildings with trim and covers stand sound or are refused", () => {
  let stood = 0;
  for (let seed = 1; seed <= 40; seed++) {
    const { params, bench } = trimmed(77_000 + seed);
    const ctx = contextOf(bench);
    if (sheetCheck(params as unknown as SheetValues, ctx).length > 0) continue;
    stood++;
    expect(faultsOf(sheetFrame(params as unknown as SheetValues, ctx), true).faults, `seed ${77_000 + seed}`).toEqual(
      [],
    );
  }
  expect(stood).toBeGreaterThan(29);
});
