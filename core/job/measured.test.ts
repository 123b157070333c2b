import { describe, expect, it } from "vitest";
import "../structures/all";
import { designOf, emptyJob, measuredFor, measureTargets, newStructure, partedMeasures, type JobDoc } from ".";
import { findings } from "../checks";
import { feet, inches } from "../units";

type Measure = JobDoc["drawings"][number]["measures"][number];
type Opening = JobDoc["drawings"][number]["openings"][number];
/** A sheet on which a pixel is a tenth of an inch of the prototype: 120 to the foot. */
function job(
  kind: string,
  values: Record<string, unknown>,
  measures: readonly Measure[] = [],
  openings: readonly Opening[] = [],
  perFoot = 120,
): JobDoc {
  // prettier-ignore
  return {
    ...emptyJob("Measured"),
    drawings: [
      {
        id: "d1",
        name: "Plan",
        calibration: { lengths: [{ id: "k1", name: "known", from: [0, 0], to: [10 * perFoot, 0], length: feet(10), use: "scale" }], stretch: "together", tilt: 0 }, // prettier-ignore
        measures: [...measures],
        openings: [...openings],
        under: [],
      },
    ],
    structures: [newStructure(kind, "s", "It", values)],
  };
}
const measure = (kind: Measure["kind"], to: readonly [number, number], more: Partial<Measure> = {}): Measure => ({ id: "m1", name: "M", kind, points: [[0, 0], [...to]], ...more }); // prettier-ignore
const target = (d: JobDoc, m: Measure, label: RegExp) => measureTargets(d, m).find((t) => label.test(t.label))!;
const scale = { kx: inches(0.1), ky: inches(0.1), tilt: 0 };

describe("what a measure sets", () => {
  const d = job("building", {});
  it("a length, a cell of a table among them", () => {
    const m = measure("across", [360, 0]);
    expect(measuredFor(m, scale, target(d, m, /^Length/).spec)).toBeCloseTo(feet(3), 2);
    const width = target(d, m, /^Opening 2, .*width/i);
    expect(width.path).toBe("openings.1.width");
    expect(measuredFor(m, scale, width.spec)).toBeCloseTo(feet(3), 2);
  });
  it("a rise from a pitch, and from a slope", () => {
    // 8 in 12
    const pitch = measure("pitch", [120, -80]);
    expect(measuredFor(pitch, scale, target(d, pitch, /rise/i).spec)).toBeCloseTo(8, 3);
    const slope = measure("slope", [120, -80]);
    expect(measuredFor(slope, scale, target(d, slope, /rise/i).spec)).toBeCloseTo(8, 3);
    const lean = measure("lean", [120, -80]);
    expect(measuredFor(lean, scale, target(d, lean, /rise/i).spec)).toBeCloseTo(8, 3);
  });
  it("a batter from a lean, whichever line it was taken from", () => {
    const bent = job("trestle-bent", {});
    // 2 in 12 from plumb
    for (const m of [measure("lean", [20, -120]), measure("batter", [20, -120])])
      expect(measuredFor(m, scale, target(bent, m, /Batter/).spec)).toBeCloseTo(2, 3);
  });
  it("a count from what was counted, and a spacing as a length", () => {
    const bridge = job("truss", {});
    const m = measure("count", [600, 0], { count: 6 });
    expect(measuredFor(m, scale, target(bridge, m, /panels/i).spec)).toBe(6);
    // five spaces in 5 ft
    const spacing = measureTargets(bridge, m).find((t) => t.spec.type === "length")!;
    expect(measuredFor(m, scale, spacing.spec)).toBeCloseTo(feet(1), 2);
  });
  it("offers only what is in play: no parapet without a flat roof", () => {
    const m = measure("up", [0, -120]);
    const labels = (roof: string): string[] => measureTargets(job("building", { roof }), m).map((t) => t.label);
    expect(labels("gable").some((l) => /parapet/i.test(l))).toBe(false);
    expect(labels("flat").some((l) => /parapet/i.test(l))).toBe(true);
  });
});

describe("a parameter keeps the measure it came from", () => {
  const sent = measure("across", [2400, 0], { usedFor: "s:length" });
  it("and is told nothing of while both agree", () =>
    expect(partedMeasures(job("building", { length: feet(20) }, [sent]))).toEqual([]));
  it("offers the new value when the sheet is calibrated anew", () => {
    // 125 pixels to the foot make 2,400 pixels 19.2 ft
    const d = job("building", { length: feet(20) }, [sent], [], 125);
    const [f] = findings(designOf(d)).filter((x) => x.key === "s:length:measured");
    expect(f?.text).toBe(
      "Length, outside of the framing was set from “M” on “Plan”, which reads 19′-2 3/8″ now; it is 20′-0″.",
    );
    expect(f?.remedy).toMatchObject({ do: "set", param: "length", label: "Take 19′-2 3/8″" });
    expect((f!.remedy as { value: number }).value).toBeCloseTo(feet(19.2), 1);
  });
});

describe("notes of openings on a drawing are compared with the frame", () => {
  const noted = (more: Partial<Opening> = {}): Opening => ({ id: "o1", name: "Office window", kind: "window", from: [0, 0], to: [360, -480], set: "flush", by: 0, trim: 0, sill: "", swing: "fixed", casting: "", note: "", ...more }); // prettier-ignore
  const window_ = { part: 0, wall: "front", kind: "window", at: feet(10), width: feet(3), height: feet(4), sill: feet(3), mount: "flange", lap: inches(2) }; // prettier-ignore
  const of = (mount: string, note: Partial<Opening> = {}, more: Record<string, unknown> = {}): string[] =>
    findings(designOf(job("building", { length: feet(24), width: feet(16), openings: [{ ...window_, mount }], ...more }, [], [noted(note)]))) // prettier-ignore
      .filter((f) => /noted/.test(f.text))
      .map((f) => f.text);
  it("flush on the drawing, proud in the frame", () =>
    expect(of("flange")).toEqual(["“Office window” is noted flush on “Plan”, and opening 1, which has its size, is mounted so that it stands proud."])); // prettier-ignore
  it("nothing once it is mounted so", () => expect(of("inside")).toEqual([]));
  it("nothing of an opening of another size, or of a door", () => {
    expect(of("flange", { to: [480, -480] })).toEqual([]);
    expect(of("flange", { kind: "door" })).toEqual([]);
  });
  it("trim that differs from the casings", () => {
    expect(of("inside", { trim: inches(5) })).toEqual(["“Office window” is noted with trim 0′-5″ wide on “Plan”; the frame has no casings."]); // prettier-ignore
    expect(of("inside", { trim: inches(4) }, { casings: true, siding: "clapboard", casing: "1×4" })).toEqual([]);
  });
});
