import { describe, expect, it } from "vitest";
import { designOf, emptyJob, newStructure, type JobDoc } from "../job";
import { feet } from "../units";
import { findings, type Finding } from ".";

function job(params: Record<string, unknown> = {}, change?: (d: JobDoc) => void): JobDoc {
  const s = newStructure("trestle-bent", "g", "Bent");
  Object.assign(s.variants[0]!.params, params);
  const d = { ...emptyJob("Test"), structures: [s] };
  change?.(d);
  return d;
}
const of = (d: JobDoc): Finding[] => findings(designOf(d));

describe("findings", () => {
  it("are none for the usual bent", () => expect(of(job())).toEqual([]));
  it("remark on what is unusual, with the nearest usual value as remedy", () => {
    const [f] = of(job({ batters: [4, 0.5, 0], capSet: "overhang" }));
    expect(f).toMatchObject({
      level: "remark",
      structure: "g",
      text: "Batter of the outer posts is 4 in 12; usual is 0 in 12 to 3 in 12.",
    });
    expect(f!.remedy).toEqual({ label: "Set 3 in 12", do: "set", param: "batters.0", value: 3 });
  });
  it("speak only of parameters in play", () => {
    expect(of(job({ sway: false, swayTop: feet(5) }))).toEqual([]);
    expect(
      of(job({ swayTop: feet(3.5), height: feet(30), storyHeights: [feet(14), feet(15), feet(15)] })).map((f) => f.key),
    ).toEqual(["g:usual:swayTop"]);
  });
  it("put faults first, then warnings, then remarks, and last what is set aside with its reason", () => {
    const d = job({ batters: [3.5, 0.5, 0] }, (x) => {
      x.stock.choices = { "12×14": { item: "metric/3x4", plies: 1, along: "thickness" } };
      x.stock.sticks = { "scale/12x12": [{ length: 40, count: null, price: 0 }] };
    });
    const levels = of(d).map((f) => f.level);
    expect(levels).toEqual(
      [...levels].sort((a, b) => ["fault", "warning", "remark"].indexOf(a) - ["fault", "warning", "remark"].indexOf(b)),
    );
    expect(new Set(levels)).toEqual(new Set(["fault", "warning", "remark"]));
    const fault = of(d)[0]!;
    d.aside = { [fault.key]: "I splice it under the post." };
    const after = of(d);
    expect(after[after.length - 1]).toMatchObject({ key: fault.key, aside: "I splice it under the post." });
    expect(after.filter((f) => f.aside !== undefined)).toHaveLength(1);
  });
  it("keep a key while the matter is the same, whatever its numbers", () => {
    const key = (n: number): string => of(job({ batters: [n, 0.5, 0], capSet: "overhang" }))[0]!.key;
    expect(key(3.5)).toBe(key(4.5));
  });
  it("say where on the drawing it is", () => {
    const d = job(
      {},
      (x) => (x.structures[0]!.variants[0]!.overrides = { "bent/story1/sway/front": { ends: [0, -3] } }),
    );
    const f = of(d)[0]!;
    expect(f.sticks).toEqual(["g/bent/story1/sway/front", "g/bent/story1/post/R2"]);
    expect(Math.abs(f.at![0])).toBeLessThan(3);
    expect(f.at![1]).toBeLessThan(0);
    expect(f.remedy).toEqual({
      label: "Take back the change to its ends",
      do: "restore",
      paths: ["bent/story1/sway/front"],
    });
  });
  it("take a structure that cannot be framed as a fault and leave the others whole", () => {
    const d = job({}, (x) => {
      const broken = newStructure("trestle-bent", "broken", "Broken");
      // too low for its braces at the real sizes, though each value is in range
      Object.assign(broken.variants[0]!.params, { stories: 1, height: feet(5), swayBrace: "12×24" });
      x.structures.push(broken);
    });
    const design = designOf(d);
    expect(design.structures.map((s) => s.fault !== undefined)).toEqual([false, true]);
    expect(findings(design)[0]).toMatchObject({
      level: "fault",
      structure: "broken",
      text: expect.stringMatching(/has no room for its sway braces/),
    });
    expect(design.pieces.length).toBeGreaterThan(5);
  });
});

describe("the spot", () => {
  // the usual bent in HO: 14 ft of cap and 17 ft 6 in of sill, 21 ft 6 in high, braces on both faces
  const on = (length: number, depth: number, params: Record<string, unknown> = {}): string[] =>
    of(
      job(params, (d) => {
        d.brief.spotLength = length;
        d.brief.spotDepth = depth;
      }),
    )
      .filter((f) => f.key === "g:spot")
      .map((f) => f.text);
  it("is compared with what stands on it, turned as it may be", () => {
    expect(on(0, 0)).toEqual([]);
    expect(on(100, 100)).toEqual([]);
    // as long as the sill one way or the other, or across the corners of a square too small along its sides
    expect(on(80, 8)).toEqual([]);
    expect(on(8, 80)).toEqual([]);
    expect(on(60, 60)).toEqual([]);
    expect(on(40, 40)).toEqual([
      expect.stringMatching(/^Bent takes \d+ mm × \d+ mm with all that overhangs; the spot of the brief is 40 mm × 40 mm\. It does not fit, however it is turned\.$/), // prettier-ignore
    ]);
  });
  it("of which one side is known holds what is narrower than that", () => {
    expect(on(8, 0)).toEqual([]);
    expect(on(3, 0)).toHaveLength(1);
  });
});

describe("sticks too short to hold", () => {
  it("are named with the shortest of them, in a small scale and not in a larger one", () => {
    const small = (scale: "Z" | "O"): string[] =>
      of(
        job({}, (d) => {
          const s = newStructure("building", "b", "Shed");
          d.structures = [s];
          d.brief.scale = { id: scale, ratio: scale === "Z" ? 220 : 48 };
        }),
      )
        .filter((f) => f.key === "small")
        .map((f) => f.text);
    expect(small("O")).toEqual([]);
    expect(small("Z")).toEqual([expect.stringMatching(/^\d+ sticks are shorter than 2 mm \(.*\), the shortest \d\.\d\d mm: nick each off/)]); // prettier-ignore
  });
  it("take all that are alike as one matter: one press splices the four stringers, and nothing is too long then", () => {
    const s = newStructure("truss", "b", "Bridge", { kind: "howe" });
    const empty = emptyJob("Bridge");
    const d = { ...empty, structures: [s], stock: { ...empty.stock, sticks: { "scale/8x16": [{ length: 150, count: null, price: 0 }] } } }; // prettier-ignore
    const long = of(d).filter((f) => f.key.startsWith("long:"));
    expect(long).toHaveLength(1);
    // 90 ft and the chords' ends are 325.5 mm
    expect(long[0]!.text).toMatch(/^4 × stringer \(S1\) need 325\.5 mm; the longest Scale lumber, HO 8×16 is 150\.0 mm, 175\.5 mm .* short\. Splice them or add longer stock\.$/); // prettier-ignore
    const { remedy } = long[0]!;
    expect(remedy).toMatchObject({ label: "Splice all 4 over what carries them", do: "splice" });
    const { overrides } = s.variants[0]!;
    for (const path of (remedy as { readonly paths: readonly string[] }).paths) overrides[path] = { splice: true };
    const after = designOf(structuredClone(d));
    expect(findings(after).filter((f) => f.level === "fault")).toEqual([]);
    expect(after.pieces.filter((p) => p.role === "stringer").reduce((n, p) => n + p.sticks.length, 0)).toBe(12);
  });
});
