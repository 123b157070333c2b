import { describe, expect, it } from "vitest";
import "../structures/all";
import { boundsOf } from "../geometry";
import { designOf, emptyJob, newStructure, type JobDoc, type PlaceDoc } from "../job";
import { feet } from "../units";
import { compress } from ".";

const job = (kind: string, values: Record<string, unknown>, place?: PlaceDoc): JobDoc => ({ ...emptyJob("F"), structures: [{ ...newStructure(kind, "s", "It", values), ...(place ? { place } : {}) }] }); // prettier-ignore
const of = (doc: JobDoc) => designOf(doc).structures[0]!;
const reach = (doc: JobDoc): readonly [number, number] => {
  const { min, max } = boundsOf(of(doc).resolved.sticks.flatMap((k) => k.parts));
  return [max[0] - min[0], max[1] - min[1]];
};
const fitted = (kind: string, values: Record<string, unknown>, length: number, depth = 0, place?: PlaceDoc) => {
  const made = compress(of(job(kind, values, place)), { length, depth })!;
  return { ...made, size: reach(job(kind, made.values as Record<string, unknown>)) };
};

describe("a structure fitted into a spot", () => {
  it("of a trestle gives up whole bays: by hand", () => {
    // ten bays of 15 ft are 525 mm in HO, and what is over the end bents
    const values = { length: feet(150), spacing: feet(15), curve: "straight" };
    const over = reach(job("trestle", values))[0] - 525;
    const r = fitted("trestle", values, 400);
    const bays = Math.floor((400 - over) / 52.5);
    expect(r.values.length).toBeCloseTo(bays * feet(15), 6);
    expect(r.size[0]).toBeLessThanOrEqual(400.05);
    expect(r.size[0]).toBeGreaterThan(400 - 52.5 - 0.05);
    expect(r.given[0]).toMatch(
      new RegExp(`^${10 - bays} bays: \\d+\\.\\d mm long became \\d+\\.\\d mm, \\d\\d % of it\\.$`),
    );
    expect(r.fits).toBe(true);
  });
  it("of a truss keeps its panels as long as they were, and passes over numbers that cannot be", () => {
    const r = fitted("truss", { kind: "howe", position: "through", span: feet(90), panels: 6, depth: feet(22) }, 240);
    expect(r.fits).toBe(true);
    expect((r.values.span as number) / (r.values.panels as number)).toBeCloseTo(feet(15), 6);
    expect(r.size[0]).toBeLessThanOrEqual(240.05);
  });
  it("of a snowshed, a platform and tubes takes bays and tubes; timber stays as it is", () => {
    const shed = fitted("snowshed", { bays: 8, bay: feet(10) }, 200);
    expect([shed.fits, shed.values.bay]).toEqual([true, feet(10)]);
    const platform = fitted("platform", { length: feet(80), bents: 5 }, 200);
    expect(platform.fits).toBe(true);
    expect((platform.values.length as number) / ((platform.values.bents as number) - 1)).toBeCloseTo(feet(20), 6);
    const one = reach(job("tubes", { tubes: 1 }))[0];
    const tubes = fitted("tubes", { tubes: 5 }, 2.4 * one);
    expect([tubes.fits, tubes.values.tubes]).toEqual([true, 2]);
  });
  it("of a sheet wall ends on whole lines; openings slide, keep their sizes, and those that do not go in are named", () => {
    const opening = (at: number) => ({ wall: "front", kind: "window", at: feet(at), width: feet(3), height: feet(4), sill: feet(3), mount: "inside", lap: 0, style: "hung", across: 2, up: 2, shutters: "none" }); // prettier-ignore
    const values = { length: feet(30), width: feet(16), overhang: 0, gableOverhang: 0, face: "batten", facePitch: feet(1), openings: [opening(5), opening(15), opening(25)] }; // prettier-ignore
    const r = fitted("sheet", values, 70);
    expect(r.fits).toBe(true);
    expect((r.values.length as number) / feet(1)).toBeCloseTo(Math.round((r.values.length as number) / feet(1)), 6);
    expect(r.given[0]).toMatch(/^\d+ lines of its face: \d+\.\d mm long became/);
    expect(fitted("canopy", { length: feet(20), depth: feet(5) }, 40).given[0]).toMatch(/^\d+ feet of its length: /);
    const rows = r.values.openings as { at: number; width: number }[];
    expect(rows.every((o) => o.width === feet(3))).toBe(true);
    const share = (r.values.length as number) / feet(30);
    rows.forEach((o, i) => expect(o.at).toBeCloseTo([5, 15, 25][i]! * feet(1) * share, 6));
    const tiny = fitted("sheet", values, 40);
    expect((tiny.values.openings as unknown[]).length).toBeLessThan(3);
    expect(tiny.given.some((g) => /there is no room for it/.test(g))).toBe(true);
  });
  it("says so where it fits as it is, where it never does, and turns with its place", () => {
    expect(fitted("canopy", { length: feet(12), depth: feet(5) }, 300, 300)).toMatchObject({ given: [], fits: true });
    const never = fitted("trestle", { length: feet(60), spacing: feet(15), curve: "straight" }, 20);
    expect(never.fits).toBe(false);
    expect(never.given.at(-1)).toMatch(/^It still takes \d+\.\d mm by \d+\.\d mm of a spot of 20\.0 mm by any depth: shorten what overhangs, or give it more room\.$/); // prettier-ignore
    const turned = fitted("trestle", { length: feet(150), spacing: feet(15), curve: "straight" }, 0, 400, { x: 0, y: 0, z: 0, turn: 90 }); // prettier-ignore
    expect(turned.size[0]).toBeLessThanOrEqual(400.05);
    expect(compress(of(job("building", {})), { length: 10, depth: 10 })).toBeUndefined();
  });
});
