import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { enumeratePatterns, tightPatterns } from "./enumerate";
import { loadLinearSolver } from "./linear";
import { toIntegers, type StickProblem } from "./problem";
import { solveSticks } from "./solve";
import { stream, triplets } from "./stream";

const on = (length: number) => [{ length, count: null, cost: 1 }];

describe("tight loads", () => {
  it("are every load with little enough to spare, as found by trying all", () => {
    fc.assert(
      fc.property(fc.array(fc.record({ length: fc.integer({ min: 15, max: 60 }), count: fc.integer({ min: 1, max: 3 }) }), { minLength: 1, maxLength: 6 }), fc.integer({ min: 0, max: 12 }), (demand, slack) => {
        const p = toIntegers({ kerf: 0, stock: on(100), demand });
        const words = (all: readonly { readonly counts: readonly (readonly [number, number])[] }[]): string[] => all.map((q) => JSON.stringify(q.counts)).sort(); // prettier-ignore
        const fills = enumeratePatterns(p, 1e5)!;
        const used = (q: (typeof fills)[number]): number => q.counts.reduce((t, [i, n]) => t + n * p.sizes[i]!, 0);
        const scaled = (slack * 100) / (10_000 / p.stock[0]!.cap);
        const tight = tightPatterns(p, scaled, 1e5)!;
        for (const q of tight) expect(p.stock[0]!.cap - used(q)).toBeLessThanOrEqual(scaled);
        // each full load that is tight is among them
        const known = new Set(words(tight));
        for (const w of words(fills.filter((q) => p.stock[0]!.cap - used(q) <= scaled))) expect(known.has(w)).toBe(true);
        expect(known.size).toBe(tight.length);
      }),
    ); // prettier-ignore
  });
  it("give up where there are too many", () => {
    const p = toIntegers({ kerf: 0, stock: on(1000), demand: Array.from({ length: 60 }, (_, i) => ({ length: 40 + i, count: 5 })) }); // prettier-ignore
    expect(tightPatterns(p, 1e6, 500)).toBeUndefined();
  });
  it("find the plan that leaves nothing where dives miss it by one stick", async () => {
    const lp = await loadLinearSolver();
    const problem: StickProblem = { kerf: 0, stock: on(1000), demand: triplets(60, stream(3)) };
    const r = await solveSticks(problem, { lp });
    expect(r).toMatchObject({ status: "optimal", sticks: 20, lowerBound: 20, proven: true });
  });
});
