import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { printFeetInches, tellIn, type Units } from ".";

const metric: Units = { prototype: "m", model: "mm" };
const inch: Units = { prototype: "ft-in", model: "in" };

describe("sentences in the units of a job", () => {
  it("are turned figure by figure", () => {
    const s = "Under the struts are 12′-2″ over the ties; a clearance of 17′-0 1/2″ is asked.";
    expect(tellIn(s, metric)).toBe("Under the struts are 3.708 m over the ties; a clearance of 5.194 m is asked.");
    expect(tellIn("the gap is 0′-0 3/4″, −0′-3″", metric)).toBe("the gap is 19 mm, −76 mm");
    expect(tellIn("1′-3 5/8″ from 40′-0″", metric)).toBe("397 mm from 12.192 m");
    expect(tellIn("Side walls stand 0.90 mm proud of 9′-0″.", inch)).toBe("Side walls stand 0.0354 in proud of 9′-0″.");
    expect(tellIn("2.00 mm", { prototype: "m", model: "64ths" })).toBe("5/64 in");
  });
  it("keep what is no length of the job: sections of stock, mm made of feet", () => {
    expect(tellIn("Strip wood, metric 1.5 × 4.7 mm", inch)).toBe("Strip wood, metric 1.5 × 4.7 mm");
    expect(tellIn("0′-6″", { prototype: "m", model: "in" })).toBe("152 mm");
    expect(tellIn("12×12, 3 in 12, 14.0°", { prototype: "m", model: "in" })).toBe("12×12, 3 in 12, 14.0°");
  });
  it("say every length that can be printed, as near as it was printed (seed 9)", () => {
    fc.assert(
      fc.property(fc.double({ min: -90_000, max: 90_000, noNaN: true }), (mm) => {
        const told = tellIn(printFeetInches(mm), metric);
        const n = Number(told.replace("−", "-").replace(/ m?m$/, "")) * (/\d m$/.test(told) ? 1000 : 1);
        expect(Math.abs(n - mm)).toBeLessThan(0.8 + 0.5 + 1e-6);
        expect(told).not.toMatch(/[′″]/);
      }),
      { seed: 9 },
    );
  });
});
