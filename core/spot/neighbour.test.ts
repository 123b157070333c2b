import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { findings } from "../checks";
import { cornersFlat, insideRing } from "../geometry";
import { designOf, readJobText, rescaled, type JobDoc } from "../job";
import { pointIn } from "../site";
import { rooms, thingBlocks, thingOutline } from "../trains";
import { scaleOf } from "../units";
import { at, job } from "./randomSpots.fixture";
import { asThing, fitOnSpot, offSpot, spotSection } from ".";

const depot = readJobText(readFileSync("examples/depot.json", "utf8")).doc;
const d = designOf(depot);
const thing = asThing(d, "j1", "x")!;

describe("another job on a spot", () => {
  it("is all its wood where its own plan has it, in slices of its height", () => {
    expect(thing).toMatchObject({ name: "Pellam depot", kind: "stands already", job: "j1", turn: 0 });
    const blocks = thingBlocks(thing);
    expect(blocks).toHaveLength(8);
    const [s] = d.structures;
    for (const k of s!.resolved.sticks.filter((_, i) => i % 25 === 0))
      for (const p of k.parts)
        for (const c of cornersFlat(p).map((q) => pointIn(s!.structure.place!, q))) {
          const slice = blocks.filter((b) => c[2] >= b.low - 2e-3 && c[2] <= b.high + 2e-3);
          // a corner of wood lies in, or on the edge of, the outline of its slice
          const near = slice.some((b) => [0, 1, 2, 3].some((n) => insideRing([c[0] + [0.01, -0.01, 0.01, -0.01][n]!, c[1] + [0.01, 0.01, -0.01, -0.01][n]!], b.ring))); // prettier-ignore
          expect(near, k.id).toBe(true);
        }
    // its own box is what is round it
    const xs = thingOutline(thing).map((p) => p[0]);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(thing.length, 2);
    // wider at its eaves than at its walls
    const wide = (i: number): number => Math.max(...blocks[i]!.ring.map((p) => p[1])) - Math.min(...blocks[i]!.ring.map((p) => p[1])); // prettier-ignore
    expect(wide(7)).toBeLessThan(wide(4));
  });
  it("is in the way of a shed, of the cars, and of a place that is looked for", () => {
    const doc = (x: number, more: Partial<JobDoc["spot"] & object> = {}): JobDoc => job([0, 0], at(x, 0), { things: [thing], ...more }); // prettier-ignore
    expect(offSpot(designOf(doc(0)))[0]).toMatchObject({ what: "thing", thing: { name: "Pellam depot" } });
    const [f] = findings(designOf(doc(0))).filter((x) => x.key === "s1:spot:in:x");
    expect(f!.remedy).toMatchObject({ do: "move" });
    const by = f!.remedy!.do === "move" ? f!.remedy!.by : [0, 0];
    const moved = { ...doc(0), structures: [{ ...doc(0).structures[0]!, place: at(by[0]!, by[1]) }] };
    expect(offSpot(designOf(moved))).toEqual([]);
    expect(offSpot(designOf(doc(400)))).toEqual([]);
    const r = fitOnSpot(designOf(doc(0)), "s1");
    expect(offSpot(designOf({ ...doc(0), structures: [{ ...doc(0).structures[0]!, place: r.place! }] }))).toEqual([]);
    const track = { id: "t", name: "Main", x: -300, y: 30, turn: 0, rail: 0, car: "coach-60", pieces: [{ kind: "straight" as const, length: 600 }] }; // prettier-ignore
    expect(rooms(designOf(doc(400, { tracks: [track] })))[0]).toMatchObject({ what: { id: "x", kind: "thing" } });
    expect(spotSection(designOf(doc(400)), { along: "depth", at: 0 }).things).toHaveLength(8);
  });
  it("grows with another scale, and is nothing where that job has placed nothing", () => {
    const o = rescaled(job([0, 0], at(0, 0), { things: [thing] }), scaleOf("O")).doc.spot!.things[0]!;
    const f = scaleOf("HO").ratio / 48;
    expect(o.parts![0]!.ring[0]![0]).toBeCloseTo(thing.parts![0]!.ring[0]![0] * f, 6);
    expect(o.parts![3]!.high).toBeCloseTo(thing.parts![3]!.high * f, 6);
    expect(asThing(designOf({ ...depot, structures: depot.structures.map((s) => ({ ...s, place: undefined })) as never }), "j1", "x")).toBeUndefined(); // prettier-ignore
  });
});
