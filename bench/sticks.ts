/** How long stick plans take, by problem: npx tsx bench/sticks.ts. */
import { loadLinearSolver, solveSticks, type Progress, type StickProblem } from "../core/cutting";
import { stream, triplets } from "../core/cutting/stream";

const lp = await loadLinearSolver();
const on = (length: number) => [{ length, count: null, cost: 1 }];
async function run(name: string, p: StickProblem): Promise<void> {
  const t = performance.now();
  let first: (Progress & { at: number }) | undefined;
  const r = await solveSticks(p, { lp, onProgress: (x) => ((first ??= { ...x, at: performance.now() - t }), true) });
  if (!("layouts" in r)) return console.log(name, r.status);
  console.log(
    `${name}: ${r.sticks} sticks, ${r.proven ? "proven" : `bound ${r.lowerBound}`}, first-fit ${r.firstFit}, ${((performance.now() - t) / 1000).toFixed(2)} s; first plan ${first?.sticks} (bound ${first?.lowerBound}) after ${((first?.at ?? 0) / 1000).toFixed(2)} s`,
  );
}
for (const n of [60, 120, 249, 501]) {
  await run(`triplets of ${n}`, { kerf: 0, stock: on(1000), demand: triplets(n, stream(n + 1)) });
}
const r = stream(5);
await run("30 sizes, 5,000 pieces", {
  kerf: 0.5,
  stock: on(1000),
  demand: Array.from({ length: 30 }, () => ({ length: Math.round(50 + r() * 500), count: 167 })),
});
for (const [lo, hi] of [
  [20, 450],
  [100, 400],
  [50, 700],
  [250, 500],
] as const)
  await run(`500 lengths from ${lo} to ${hi}`, {
    kerf: 0.3,
    stock: on(1000),
    demand: Array.from({ length: 500 }, () => ({ length: Math.round((lo + r() * (hi - lo)) * 100) / 100, count: 1 })),
  });
