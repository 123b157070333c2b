import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { feet } from "../../units";
import { chordOf } from "../whole-trestle/alignment";
import { faultsOf, fullSawn } from "../sound.fixture";
import { snowshedLayout } from "./frame";
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
