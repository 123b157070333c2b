import { describe, expect, it } from "vitest";
import fc from "fast-check";
import { aimedLengths, arranged, settingsOf } from "./aims";
import { loadLinearSolver, solveSticks, type StickLayout, type StickProblem } from ".";

const offcuts = (p: StickProblem, layouts: readonly StickLayout[]): number[] =>
  layouts
    .flatMap((l) =>
      Array.from(
        { length: l.count },
        () => p.stock[l.stock]!.length + p.kerf - l.cuts.reduce((s, c) => s + c + p.kerf, 0),
      ),
    ) // prettier-ignore
    .sort((a, b) => b - a);
const pieces = (layouts: readonly StickLayout[]): string =>
  layouts.flatMap((l) => Array.from({ length: l.count }, () => l.cuts).flat()).sort((a, b) => a - b).join(); // prettier-ignore
const sticks = (layouts: readonly StickLayout[]): string =>
  layouts.flatMap((l) => Array<number>(l.count).fill(l.stock)).sort().join(); // prettier-ignore

describe("what a plan aims at", () => {
  const stock = [{ length: 100, count: null, cost: 1 }];
  it("leaves the longest offcut whole: of 60, 60, 40, 30 on sticks of 100 the 40 goes beside a 60", () => {
    const demand = [60, 60, 40, 30].map((length) => ({ length, count: 1 }));
    const p: StickProblem = { kerf: 0, stock, demand };
    // 60 and 30 leave 10, 60 and 40 leave none: nothing better; but apart from that 60 + 40, 60, 30 …
    const spread: StickLayout[] = [
      { stock: 0, count: 1, cuts: [60, 30] },
      { stock: 0, count: 1, cuts: [60] },
      { stock: 0, count: 1, cuts: [40] },
    ];
    const [best] = offcuts(p, arranged(p, spread, "offcuts"));
    expect(offcuts(p, spread)[0]).toBe(60);
    // 60 + 40 and 60 are two sticks, and 30 alone leaves 70
    expect(best).toBe(70);
  });
  it("cuts sticks alike: eight of 48 and eight of 30 want two settings for four sticks of each, not four", () => {
    const p: StickProblem = { kerf: 0, stock, demand: [{ length: 48, count: 8 }, { length: 32, count: 12 }] }; // prettier-ignore
    const mixed: StickLayout[] = [
      { stock: 0, count: 3, cuts: [48, 48] },
      { stock: 0, count: 2, cuts: [48, 32] },
      { stock: 0, count: 3, cuts: [32, 32, 32] },
      { stock: 0, count: 1, cuts: [32] },
    ];
    expect(settingsOf(mixed)).toBe(5);
    const other = arranged(p, mixed, "setups");
    expect(settingsOf(other)).toBe(2);
    expect(pieces(other)).toBe(pieces(mixed));
  });
  it("leaves a plan as it is for the price, and counts lengths and not prices for the least new stock", () => {
    const p: StickProblem = { kerf: 0, stock, demand: [{ length: 60, count: 2 }] };
    const plan: StickLayout[] = [{ stock: 0, count: 2, cuts: [60] }];
    expect(arranged(p, plan, "price")).toBe(plan);
    expect(arranged(p, plan, "new")).toBe(plan);
    const sold = [
      { length: 300, count: null, cost: 0.5 },
      { length: 80, count: 2, cost: 0.01, drawer: true as const },
    ];
    expect(aimedLengths(sold, "new").map((l) => l.cost)).toEqual([300, 0.01]);
    expect(aimedLengths(sold, "price").map((l) => l.cost)).toEqual([0.5, 0.01]);
  });
  it("buys less length than the cheapest does where a long stick is cheap", async () => {
    const lengths = [
      { length: 600, count: null, cost: 1 },
      { length: 250, count: null, cost: 1.2 },
    ];
    const of = async (aim: "price" | "new") => {
      const at = aimedLengths(lengths, aim);
      const lp = await loadLinearSolver();
      const r = await solveSticks({ kerf: 0, stock: at, demand: [{ length: 120, count: 2 }] }, { lp });
      return r.status === "optimal" ? r.layouts.map((l) => lengths[l.stock]!.length) : r.status;
    };
    expect(await of("price")).toEqual([600]);
    expect(await of("new")).toEqual([250]);
  });
  it("keeps every piece, every stick and the room on each, and is never worse at what it aims at", async () => {
    const lp = await loadLinearSolver();
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ length: fc.integer({ min: 40, max: 700 }), count: fc.integer({ min: 1, max: 9 }) }), { minLength: 1, maxLength: 12 }), // prettier-ignore
        fc.constantFrom(0, 3),
        fc.boolean(),
        async (demand, kerf, two) => {
          const stock = [{ length: 1000, count: null, cost: 1000 }, ...(two ? [{ length: 720, count: 4, cost: 720 }] : [])]; // prettier-ignore
          const p: StickProblem = { kerf, stock, demand };
          const r = await solveSticks(p, { lp, rounds: 60, nodes: 20 });
          if (r.status !== "optimal" && r.status !== "feasible") return;
          for (const aim of ["offcuts", "setups"] as const) {
            const other = arranged(p, r.layouts, aim);
            expect(pieces(other)).toBe(pieces(r.layouts));
            expect(Math.min(...offcuts(p, other))).toBeGreaterThanOrEqual(-1e-9);
            if (aim === "setups") {
              expect(settingsOf(other)).toBeLessThanOrEqual(settingsOf(r.layouts));
              const cost = (all: readonly StickLayout[]) => all.reduce((s, l) => s + l.count * stock[l.stock]!.cost, 0);
              expect(cost(other)).toBeLessThanOrEqual(1.15 * cost(r.layouts) + 1e-6);
              expect(other.filter((l) => l.stock === 1).reduce((s, l) => s + l.count, 0)).toBeLessThanOrEqual(4);
            } else {
              expect(sticks(other)).toBe(sticks(r.layouts));
              expect(offcuts(p, other)[0]).toBeGreaterThanOrEqual(offcuts(p, r.layouts)[0]!);
            }
          }
        },
      ),
      { seed: 7, numRuns: 20 },
    );
  });
});
