import { describe, expect, it } from "vitest";
import "../structures/all";
import { cornersFlat, type Vec2 } from "../geometry";
import { findings } from "../checks";
import { designOf, type JobDoc, type PlaceDoc, type ThingDoc } from "../job";
import { pointIn } from "../site";
import { at, job, thing, tryRandomSpots } from "./randomSpots.fixture";
import { fitOnSpot, offSpot } from ".";

/** From where to where the shed reaches, by its sticks. */
const reach = (doc: JobDoc): { min: Vec2; max: Vec2 } => {
  const [s] = designOf(doc).structures;
  const all = s!.resolved.sticks.flatMap((k) => k.parts.flatMap((p) => cornersFlat(p))).map((c) => pointIn(s!.structure.place!, c)); // prettier-ignore
  const end = (f: (...n: number[]) => number, k: 0 | 1): number => f(...all.map((c) => c[k]));
  return { min: [end(Math.min, 0), end(Math.min, 1)], max: [end(Math.max, 0), end(Math.max, 1)] };
};
const placed = (doc: JobDoc, place: PlaceDoc): JobDoc => ({ ...doc, structures: [{ ...doc.structures[0]!, place }] });
const own = (doc: JobDoc) => findings(designOf(doc)).filter((f) => /:(spot|train)/.test(f.key));

describe("what is off the spot", () => {
  it("is told by how far it reaches over which edge, and the move told brings it in: by hand", () => {
    const doc = job([200, 150], at(0, 0));
    const { max } = reach(doc);
    const out = placed(doc, at(100 - max[0] + 12, 0));
    const [o] = offSpot(designOf(out));
    expect(o).toMatchObject({ what: "edge", edge: "right" });
    expect(o!.by).toBeCloseTo(12, 6);
    expect(o!.move![0]).toBeCloseTo(-12, 6);
    const [f] = own(out);
    expect(f).toMatchObject({ level: "warning", remedy: { do: "move", by: [-12, 0], label: "Move it onto the spot" } });
    expect(f!.text).toBe("Shed reaches over the right edge of the spot by 12.0 mm. Move Shed 12.0 mm to the left.");
    expect(own(placed(doc, at(100 - max[0], 0)))).toEqual([]);
    // mirrored, over the left and the front
    const { min } = reach(doc);
    expect(offSpot(designOf(placed(doc, at(-100 - min[0] - 3, -75 - min[1] - 5))))[0]).toMatchObject({ edge: "front", move: [expect.closeTo(3, 6), expect.closeTo(5, 6)] }); // prettier-ignore
  });
  it("has no cure by a move where the spot is too small, nor an edge where its size is not known", () => {
    const f = own(job([80, 0], at(0, 0)));
    expect(f.map((x) => x.key).sort()).toEqual(["s1:spot:edge"]);
    expect(f[0]!.remedy).toBeUndefined();
    expect(own(job([0, 0], at(5000, 0)))).toEqual([]);
  });
  it("is in what is there, as deep as it is; what is above or below, or water, is not", () => {
    const doc = job([0, 0], at(0, 0));
    const { max, min } = reach(doc);
    const x = (more: Partial<ThingDoc>) => offSpot(designOf({ ...doc, spot: { tracks: [], cars: [], things: [thing({ x: max[0] + 3, y: (min[1] + max[1]) / 2, ...more })] } })); // prettier-ignore
    const [o] = x({});
    expect(o).toMatchObject({ what: "thing", thing: { id: "x" } });
    expect(o!.by).toBeCloseTo(2, 6);
    expect(o!.move![0]).toBeCloseTo(-2, 6);
    expect(x({ low: 300, high: 400 })).toEqual([]);
    expect(x({ low: -20, high: 0 })).toEqual([]);
    expect(x({ kind: "water" })).toEqual([]);
    expect(x({ x: max[0] + 5.001 })).toEqual([]);
    // turned by 45 degrees it reaches 7.07 instead of 5
    expect(x({ x: max[0] + 6, turn: 45 })[0]!.by).toBeGreaterThan(0.5);
  });
});

describe("a place on the spot", () => {
  it("is where it stands if that is clear, else the nearest: by hand", () => {
    const doc = job([300, 200], at(-42, -28));
    expect(fitOnSpot(designOf(doc), "s1")).toEqual({ place: at(-42, -28), said: "Shed stands well: inside the spot and clear of everything." }); // prettier-ignore
    const { max } = reach(doc);
    const beyond = placed(doc, at(-42 + 150 - max[0] + 30, -28));
    const r = fitOnSpot(designOf(beyond), "s1");
    expect(r.place!.x).toBeCloseTo(-42 + 150 - max[0], 6);
    expect(r.place!.turn).toBe(0);
    expect(r.said).toBe("Shed is inside the spot and clear of everything: 30.0 mm from where it stood.");
  });
  it("is turned only where it goes in no other way", () => {
    const r = fitOnSpot(designOf(job([70, 100], at(0, 0))), "s1");
    expect(Math.abs(r.place!.turn % 180)).toBe(90);
    expect(r.said).toMatch(/turned/);
  });
  it("that is none is told with what leaves none, by how much the best one misses", () => {
    expect(fitOnSpot(designOf(job([50, 50], undefined)), "s1").said).toMatch(/^Shed takes 84\.\d mm × 56\.\d mm .* the spot is smaller/); // prettier-ignore
    const pond = thing({ name: "Tank", length: 90, depth: 60 });
    const r = fitOnSpot(designOf(job([100, 90], undefined, { things: [pond] })), "s1");
    expect(r.place).toBeUndefined();
    expect(r.said).toMatch(/^The spot has no place for Shed beside Tank\. The best place misses by \d+\.\d mm, at Tank\.$/); // prettier-ignore
  });
  it("is found on random spots, inside the outline and clear by another reckoning, or the sentence names what leaves none", () => {
    // bench/spots.ts takes 300
    const { went, not } = tryRandomSpots(19, 26);
    // the run means something only if it saw both
    expect(went).toBeGreaterThan(7);
    expect(not).toBeGreaterThan(2);
  });
});
