import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { parseNumber } from "./parseNumber";

describe("a plain number", () => {
  it.each([
    ["1.25", 1.25],
    ["1,25", 1.25],
    [" 7 ", 7],
    [".5", 0.5],
    [",5", 0.5],
    ["3.", 3],
    ["−3", -3],
    ["–3,5", -3.5],
    ["-3", -3],
    ["+2", 2],
  ])("%j is %f", (text, n) => expect(parseNumber(text)).toBe(n));
  it.each([
    ["30 %", ["%"], 30],
    ["22,5°", ["°"], 22.5],
    ["12 MM", ["mm"], 12],
    ["1:87", ["%"], NaN],
    ["12", ["mm"], 12],
  ])("%j with %j is %f", (text, units, n) => expect(parseNumber(text, ...units)).toBe(n));
  it.each(["", "  ", "dear", "1,2,3", "1.2.3", "1 2", "0x10", "1e3", "Infinity", "-", ".", "1/2", "12 in"])("%j is none", (text) => expect(parseNumber(text)).toBeNaN()); // prettier-ignore
  it("reads what is printed, with a point or a comma", () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e6, max: 1e6 }), (k) => {
        const n = k / 100;
        expect(parseNumber(String(n))).toBe(n);
        expect(parseNumber(String(n).replace(".", ",").replace("-", "−"))).toBe(n);
      }),
    );
  });
});
