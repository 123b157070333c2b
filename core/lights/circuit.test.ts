import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { circuitOf, equallySpaced, nextE24 } from ".";

describe("resistors", () => {
  it.each([
    [247, 270],
    [270, 270],
    [271, 300],
    [1, 1],
    [9.2, 10],
    [91.1, 100],
    [4701, 5100],
    [0.95, 1],
  ])("for %f ohms %f of E24", (r, e) => expect(nextE24(r)).toBe(e));
  it("are never smaller than asked and never a sixth too large: the series' own steps", () => {
    fc.assert(fc.property(fc.double({ min: 0.5, max: 1e6, noNaN: true }), (r) => { const e = nextE24(r); expect(e).toBeGreaterThanOrEqual(r - 1e-6); expect(e / r).toBeLessThan(1.16); })); // prettier-ignore
  });
});

describe("a circuit", () => {
  // by hand: U, Uf, I, in series → R = (U − n·Uf)/I
  it.each([
    [12, 3.1, 10, 1, 890, 910],
    [12, 3.1, 10, 3, 270, 270],
    [9, 2, 15, 1, 466.667, 470],
    [5, 3, 20, 1, 100, 100],
    [16, 3.2, 5, 4, 640, 680],
    [24, 2.1, 20, 6, 570, 620],
  ])("on %f V of lamps of %f V and %f mA, %i in series", (U, volts, milliamps, series, exact, ohms) => {
    const [s] = circuitOf(U, [{ count: series, volts, milliamps, series }]).strings;
    expect(s!.exact).toBeCloseTo(exact, 2);
    expect(s!.ohms).toBe(ohms);
    // Ohm's law and the heat of the resistor, reckoned again
    const I = (U - series * volts) / ohms;
    expect(s!.milliamps).toBeCloseTo(I * 1000, 9);
    expect(s!.watts).toBeCloseTo(I * I * ohms, 9);
    expect(s!.milliamps).toBeLessThanOrEqual(milliamps + 1e-9);
    expect(s!.rating).toBeGreaterThanOrEqual(2 * s!.watts);
  });
  it("of seven lamps in threes has two strings of three and one of one, and the currents add up", () => {
    const c = circuitOf(12, [{ count: 7, volts: 3.1, milliamps: 10, series: 3 }]);
    expect(c.strings.map((s) => [s.strings, s.lamps, s.ohms])).toEqual([[2, 3, 270], [1, 1, 910]]); // prettier-ignore
    expect(c.milliamps).toBeCloseTo(2 * 10 + (8.9 / 910) * 1000, 9);
  });
  it("that cannot be says so: too many in a row, too little voltage, too much for a model", () => {
    expect(circuitOf(12, [{ count: 4, volts: 3.1, milliamps: 10, series: 4 }]).faults).toEqual(["4 lamps of 3.1 V in series want 13.4 V, and the supply gives 12: 3 at most in series."]); // prettier-ignore
    expect(circuitOf(3, [{ count: 1, volts: 3.1, milliamps: 10, series: 1 }]).faults[0]).toMatch(/3 V do not light a lamp of 3\.1 V: take a supply of 5 V at least/); // prettier-ignore
    expect(circuitOf(48, []).faults[0]).toMatch(/no low voltage .* mains work is for a licensed electrician/);
    expect(circuitOf(12, [{ count: 0, volts: 3, milliamps: 10, series: 2 }])).toEqual({ strings: [], milliamps: 0, faults: [] }); // prettier-ignore
  });
  it("has holes with equal spaces, half of one at the ends", () => {
    expect(equallySpaced(100, 4)).toEqual([12.5, 37.5, 62.5, 87.5]);
    expect(equallySpaced(100, 0)).toEqual([]);
  });
});
