import { describe, expect, it } from "vitest";
import { boundsOf, volumeOf, type Vec3 } from "../geometry";
import { notAsListed } from "../checks/virtualBench.fixture";
import { designOf, emptyJob, newStructure } from "../job";
import { model } from "../units";
import { emptyFrame, interferences, pieceShape, piecesOf, profileBoxes, resolve, single, type ComponentProfile, type Frame, type Member } from "."; // prettier-ignore

const profile = (form: ComponentProfile["form"], more: Partial<ComponentProfile> = {}): ComponentProfile => ({ form, web: model(0.5), flange: model(0.6), deep: "v", ...more }); // prettier-ignore
/** 6 mm deep, 4 mm wide, 0.5 mm web, 0.6 mm flanges; 100 mm along x, deep way up. */
const member = (id: string, p: ComponentProfile, more: Partial<Member> = {}, a: Vec3 = [0, 0, 0], b: Vec3 = [100, 0, 0]): Member => ({
  id, structure: "t", assembly: "t", role: "bar", letter: "P", kind: "strip", nominal: [12, 12],
  ends: [{ kind: "square", beyond: 0 }, { kind: "square", beyond: 0 }],
  body: { shape: "straight", a, b, up: [0, 0, 1], seat: ["centre", "centre"], components: single(p.deep === "v" ? model(6) : model(4), p.deep === "v" ? model(4) : model(6), "shape/own/wood/I/6x4/0.5/0.6", p) },
  ...more,
}); // prettier-ignore
const frameOf = (members: Member[], rest: Partial<Frame> = {}): Frame => ({ ...emptyFrame, members, ...rest });
const cut = (p: ComponentProfile) => resolve(frameOf([member("m", p)])).sticks[0]!;
const volume = (p: ComponentProfile): number => cut(p).parts.reduce((v, s) => v + volumeOf(s), 0);
// two flanges of 4 × 0.6, and a web of 4.8 × 0.5 between them
const I = 2 * 4 * 0.6 + 4.8 * 0.5;
// a leg of 6 × 0.5, and one of 3.5 × 0.6 beside it
const L = 6 * 0.5 + 3.5 * 0.6;

describe("a shape's section", () => {
  it.each([
    ["I", I],
    ["H", I],
    ["channel", I],
    ["angle", L],
  ] as const)("%s has the area that hand reckoning gives, either way round", (form, area) => {
    for (const deep of ["v", "w"] as const)
      for (const turned of [false, true]) expect(volume(profile(form, { deep, turned }))).toBeCloseTo(100 * area, 6);
  });
  it("fills its box to the edge, and its boxes nowhere overlap", () => {
    for (const form of ["I", "channel", "angle"] as const)
      for (const deep of ["v", "w"] as const)
        for (const turned of [false, true]) {
          const boxes = profileBoxes({ v: model(deep === "v" ? 6 : 4), w: model(deep === "v" ? 4 : 6), profile: profile(form, { deep, turned }) }); // prettier-ignore
          const reach = [0, 1].map((k) => [Math.min(...boxes.map((b) => b.at[k]! - b.size[k]! / 2)), Math.max(...boxes.map((b) => b.at[k]! + b.size[k]! / 2))]); // prettier-ignore
          const want = deep === "v" ? [[-3, 3], [-2, 2]] : [[-2, 2], [-3, 3]]; // prettier-ignore
          expect(reach.flat()).toEqual(want.flat().map((x) => expect.closeTo(x, 9) as number));
          for (const [i, a] of boxes.entries())
            for (const b of boxes.slice(i + 1))
              expect([0, 1].some((k) => Math.abs(a.at[k]! - b.at[k]!) >= (a.size[k]! + b.size[k]!) / 2 - 1e-9)).toBe(
                true,
              );
        }
  });
  it("has a channel's back on its -w side, and turned half round on the other", () => {
    // w of a member along x with v up is u × v = -y
    const web = (turned: boolean): readonly [Vec3, Vec3] => {
      const part = cut(profile("channel", { turned })).parts.find((p) => Math.abs(volumeOf(p) - 100 * 4.8 * 0.5) < 1e-6)!; // prettier-ignore
      const { min, max } = boundsOf([part]);
      return [min, max];
    };
    expect(web(false).map((p) => p[1])).toEqual([expect.closeTo(1.5, 9), expect.closeTo(2, 9)]);
    expect(web(true).map((p) => p[1])).toEqual([expect.closeTo(-2, 9), expect.closeTo(-1.5, 9)]);
  });
  it("lets a thin strip lie between an I's flanges without touching wood, and not through its web", () => {
    const strip = (y: number): Member => ({ ...member("s", profile("I")), body: { shape: "straight", a: [10, y, 0], b: [90, y, 0], up: [0, 0, 1], seat: ["centre", "centre"], components: single(model(4), model(1), "metric/1x4") } }); // prettier-ignore
    const clash = (y: number): number => interferences(resolve(frameOf([member("m", profile("I")), strip(y)]))).length;
    expect(clash(1)).toBe(0);
    expect(clash(0.5)).toBe(1);
  });
  it("is met by a stick at its web where a joint names it, and at its flanges where it names the whole", () => {
    const post = { ...member("p", profile("I"), {}, [50, -30, 0], [50, 0, 0]), ends: [{ kind: "square", beyond: 0 }, undefined] } as Member; // prettier-ignore
    const reach = (b: string): number => {
      const r = resolve(frameOf([member("m", profile("I")), { ...post, body: { ...post.body, components: single(model(2), model(2), "metric/2x2") } as never }], { joints: [{ kind: "butt", id: "j", a: "p", end: 1, b, face: "+w", contact: "face" }] })); // prettier-ignore
      return boundsOf(r.sticks.find((s) => s.id === "p")!.parts).max[1];
    };
    // +w looks to -y, from where the post comes
    expect(reach("m")).toBeCloseTo(-2, 9);
    expect(reach("m#web")).toBeCloseTo(-0.25, 9);
    expect(() => reach("m#rib")).toThrow(/no component "rib"/);
  });
  it("makes one piece of shapes that a turn makes alike, and two of channels that are mirrored about their back by a slanted cut", () => {
    const slanted = (id: string, x: number, turned: boolean): Member => ({ ...member(id, profile("channel", { turned }), {}, [0, x, 0], [100, x, 0]), ends: [{ kind: "square", beyond: 0 }, undefined] }); // prettier-ignore
    const marks = (second: boolean, up: number): number => {
      const members = [slanted("a", 0, false), slanted("b", 20, second)];
      const lean = (id: string, k: number) => ({ kind: "trim" as const, id: `${id}/end`, a: id, as: "end1" as const, datum: `cut${k}`, contact: "gap" as const }); // prettier-ignore
      const s = Math.SQRT1_2;
      const plane = (k: number) => ({ n: [s, s * k, 0] as Vec3, d: s * 100 });
      return piecesOf(resolve(frameOf(members, { joints: [lean("a", 1), lean("b", up)], datums: { cut1: plane(1), "cut-1": { n: [s, -s, 0], d: s * 80 } } })).sticks).length; // prettier-ignore
    };
    // cut slanting across its back: on the turned one the mirrored slant is the same piece, on the other it is not
    expect(marks(false, -1)).toBe(2);
    expect(marks(true, -1)).toBe(1);
    expect(pieceShape(cut(profile("H", { deep: "w" }))).section).toEqual([6, 4]);
  });
});

describe("shapes in frames", () => {
  const built = (kind: string, values: Record<string, unknown>, choices: Record<string, string>) => {
    const job = emptyJob("Shapes");
    return designOf({ ...job, stock: { ...job.stock, choices: Object.fromEntries(Object.entries(choices).map(([k, item]) => [k, { item, plies: 1 as const, along: "thickness" as const }])) }, structures: [newStructure(kind, "s", "S", values)] }); // prettier-ignore
  };
  it.each([
    ["trestle-bent", {}, { "12×14": "shape/I/156", "12×12": "shape/H/125" }],
    ["truss", { chordShape: "I", chord: "14×16", kind: "pratt", vertical: "8×10" }, { "14×16": "shape/own/wood/I/5.2x4.6/0.8/0.8" }],
    ["truss", { chordShape: "channel", chord: "14×16", kind: "pratt", vertical: "8×10" }, { "14×16": "shape/own/styrene/channel/5.2x4.6/0.8/0.8" }],
    ["building", {}, { "2×6": "shape/channel/60" }],
    ["building", {}, { "2×4": "shape/angle/60" }],
  ])("come off the bench as their rows list them: %s", (kind, values, choices) => {
    const d = built(kind, values, choices as never);
    expect(d.structures[0]!.fault).toBeUndefined();
    for (const item of Object.values(choices)) expect(d.pieces.some((p) => p.stock === item)).toBe(true);
    expect(notAsListed(d)).toEqual([]);
  }); // prettier-ignore
  it("are a braced chord in one stick, its laterals cut to its web", () => {
    const d = built("truss", { chordShape: "I", chord: "14×16", kind: "pratt", vertical: "8×10" }, { "14×16": "shape/own/wood/I/5.2x4.6/0.8/0.8" }); // prettier-ignore
    const { sticks } = d.structures[0]!.resolved;
    const chords = sticks.filter((s) => s.stock.startsWith("shape/"));
    // each of both trusses has a bottom and a top chord in one, without the end posts
    expect(chords.map((s) => s.member.role).sort()).toEqual(["bottom chord", "bottom chord", "top chord", "top chord"]);
    const apart = Math.abs(chords[0]!.axes.origin[1] - chords.find((s) => s.axes.origin[1] * chords[0]!.axes.origin[1] < 0)!.axes.origin[1]); // prettier-ignore
    const laterals = sticks.filter((s) => s.member.role === "lateral brace" && s.id.includes("/upper/"));
    expect(laterals.length).toBeGreaterThan(4);
    for (const s of laterals) {
      const { min, max } = boundsOf(s.parts);
      expect(max[1] - min[1]).toBeCloseTo(apart - 0.8, 6);
    }
  });
});
