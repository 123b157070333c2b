import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import fc from "fast-check";
import { readCaliper, readingOf, simulatedCaliper, type Reading } from ".";

describe("what a caliper sends", () => {
  it.each([
    ["+012.34", 12.34],
    ["12.34 mm", 12.34],
    ["-0.02mm", -0.02],
    ["0.5000 in", 12.7],
    ['1.0000"', 25.4],
    ["7,05", 7.05],
    ["+ 3.10", 3.1],
  ])("%s is %f mm", (line, mm) => expect(readingOf(line)).toBeCloseTo(mm, 9));
  it.each(["", "LOW BAT", "ERR 12.3", "12.34 cm", "1.2.3", "mm"])("“%s” is no reading", (line) => expect(readingOf(line)).toBeUndefined()); // prettier-ignore

  it("is read the same however its lines are broken into chunks", () => {
    const text = "12.00 mm\r\n12.10 mm\r\nERR\r\n12.10 mm\r\n12.11 mm\r\n12.10 mm\r\n";
    fc.assert(
      fc.property(fc.array(fc.nat(text.length), { maxLength: 12 }), (cuts) => {
        const at = [0, ...cuts.sort((a, b) => a - b), text.length];
        const heard: Reading[] = [];
        readCaliper({ open: (h) => (at.slice(1).forEach((to, i) => h(text.slice(at[i], to))), () => undefined) }, (r) => heard.push(r)); // prettier-ignore
        expect(heard).toEqual([
          { mm: 12, steady: false },
          { mm: 12.1, steady: false },
          { mm: 12.1, steady: false },
          { mm: 12.11, steady: false },
          { mm: 12.1, steady: true },
        ]);
      }),
    );
  });
});

describe("the caliper that is none", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());
  it("closes on what it measures, rests within a hand's shake of it, and falls silent when it is let go", () => {
    const heard: Reading[] = [];
    const stop = readCaliper(simulatedCaliper(149.4), (r) => heard.push(r));
    vi.advanceTimersByTime(3000);
    expect(heard).toHaveLength(30);
    expect(heard[0]!.mm).toBeGreaterThan(160);
    expect(heard[0]!.steady).toBe(false);
    const rest = heard.filter((r) => r.steady);
    expect(rest.length).toBeGreaterThan(10);
    for (const r of rest) expect(Math.abs(r.mm - 149.4)).toBeLessThanOrEqual(0.03);
    stop();
    vi.advanceTimersByTime(1000);
    expect(heard).toHaveLength(30);
  });
});
