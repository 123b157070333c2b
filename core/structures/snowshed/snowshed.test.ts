import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { feet } from "../../units";
import { chordOf } from "../whole-trestle/alignment";
import { faultsOf, fullSawn } from "../sound.fixture";
import { boundsOf } from "../../geometry";
import { purlinRange } from "./frame";
import { snowshedLayout } from "./layout";
import type { SnowshedValues } from "./parameters";
import { snowshed } from ".";

const ctx = fullSawn();
const values = (over: Partial<SnowshedValues>): SnowshedValues => ({
  ...(snowshed.initial() as SnowshedValues),
  ...over,
});

describe("a snowshed", () => {
  it("has bays that are chords of the track's curve: C = 2·R·sin(θ/2)", () => {
    const v = values({ curve: "model", modelRadius: 762, hand: "left", bays: 5, bay: feet(10) });
    const l = snowshedLayout(v, ctx);
    const bay = l.mm(feet(10));
    for (const left of [0, l.half, -l.half]) {
      const [p, q] = [l.at(2, 0, left, 0), l.at(3, 0, left, 0)];
      expect(Math.hypot(q[0] - p[0], q[1] - p[1])).toBeCloseTo(chordOf(762 - left, bay / 762), 9);
    }
  });
  const SEED = 20261126;
  it(`stands sound over random values (seed ${SEED})`, { timeout: 60_000 }, () => {
    let count = 0;
    fc.assert(
      fc.property(
        fc.record({
          curve: fc.constantFrom("none", "model", "degree"),
          hand: fc.constantFrom("left", "right"),
          modelRadius: fc.double({ min: 450, max: 2000, noNaN: true }),
          degree: fc.double({ min: 4, max: 16, noNaN: true }),
          bays: fc.integer({ min: 1, max: 4 }),
          bay: fc.double({ min: feet(7), max: feet(13), noNaN: true }),
          clear: fc.double({ min: feet(15), max: feet(24), noNaN: true }),
          height: fc.double({ min: feet(17), max: feet(24), noNaN: true }),
          rise: fc.double({ min: 4, max: 12, noNaN: true }),
          kneeReach: fc.constantFrom(0, feet(3)),
          kingPost: fc.boolean(),
          girts: fc.integer({ min: 1, max: 4 }),
          purlins: fc.integer({ min: 2, max: 5 }),
          planked: fc.constantFrom("both", "left", "none"),
          roofed: fc.boolean(),
        }),
        (over) => {
          const v = values(over as Partial<SnowshedValues>);
          if (snowshed.check(v).length > 0) return;
          count++;
          expect(faultsOf(snowshed.frame(v, ctx)).faults).toEqual([]);
        },
      ),
      { seed: SEED, numRuns: 40, endOnFailure: true },
    );
    expect(count).toBeGreaterThan(20);
  });
  it("says what cannot be and what is tight", () => {
    expect(snowshed.check(values({ kneeReach: feet(8), clear: feet(15) }))[0]).toMatch(/would meet in the middle/);
    expect(
      snowshed
        .remarks(values({ clear: feet(13) }))
        .map((r) => r.text)
        .join(),
    ).toMatch(/less than 2 ft on both sides/);
  });
});

describe("a snowshed's sticks", () => {
  const count = (over: Partial<SnowshedValues>): Record<string, number> => {
    const { resolved, faults } = faultsOf(snowshed.frame(values(over), ctx));
    expect(faults).toEqual([]);
    const out: Record<string, number> = {};
    for (const k of resolved.sticks) out[k.member.role] = (out[k.member.role] ?? 0) + 1;
    return out;
  };
  it("are those of seven frames and six bays of 10 ft", () => {
    // a wall's planks 10 in wide over 10 ft: 12 to a bay and side; the roof's 12 in wide: 10
    expect(count({})).toEqual({
      cap: 7,
      post: 14,
      mudsill: 14,
      "knee brace": 14,
      rafter: 14,
      "king post": 7,
      girt: 6 * 2 * 3,
      purlin: 6 * 2 * 3,
      plank: 6 * 2 * 12,
      "roof plank": 6 * 2 * 10,
    });
  });
  it("stand in pairs, each the mirror image of the other across the track", () => {
    const { resolved } = faultsOf(snowshed.frame(values({}), ctx));
    for (const k of resolved.sticks.filter((x) => /left/.test(x.id))) {
      const twin = resolved.byMember.get(k.id.replace("left", "right"))![0]!;
      const [a, b] = [boundsOf(k.parts), boundsOf(twin.parts)];
      expect([a.min[0], -a.max[1], a.min[2]], k.id).toEqual([b.min[0], b.min[1], b.min[2]].map((x) => expect.closeTo(x, 9))); // prettier-ignore
      expect([a.max[0], -a.min[1], a.max[2]], k.id).toEqual([b.max[0], b.max[1], b.max[2]].map((x) => expect.closeTo(x, 9))); // prettier-ignore
    }
  });
  it("its lowest purlin where the rafters are whole, its highest clear of its opposite", () => {
    // 10 in at 6 in 12: 10 / sin 26.565° = 22.36 in from the cap's end, and 2 % of it to spare
    const [low, high] = purlinRange(10, { v: 8, w: 4 }, 120, 0.5);
    expect(low).toBeCloseTo(120 - 1.02 * 22.3607, 3);
    expect(high).toBeGreaterThan(8 * Math.sin(Math.atan(0.5)) + 2 * Math.cos(Math.atan(0.5)));
    // a purlin deeper than the rafter is what keeps it off the cap
    expect(purlinRange(4, { v: 12, w: 4 }, 120, 0.5)[0]).toBeCloseTo(
      120 - 1.02 * (2 + 24) * Math.cos(Math.atan(0.5)),
      9,
    );
  });
  it("no longer than the bay where mudsills would meet", () => {
    const { resolved } = faultsOf(snowshed.frame(values({ bay: feet(4), clear: feet(40), bays: 3 }), ctx));
    const sills = resolved.sticks.filter((k) => k.member.role === "mudsill");
    for (const k of sills) expect(boundsOf(k.parts).max[0] - boundsOf(k.parts).min[0]).toBeCloseTo((0.9 * feet(4)) / ctx.scale.ratio, 6); // prettier-ignore
  });
});
