/** How long stick plans take, by problem: npx tsx bench/sticks.ts. */
import { loadLinearSolver, solveSticks, type Progress, type StickProblem } from "../core/cutting";

const lp = await loadLinearSolver();
function stream(seed: number): () => number {
  let s = seed;
  return () => {
    s = (s + 0x6d2b79f5) | 0;
    let t = Math.imul(s ^ (s >>> 15), 1 | s);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
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
  const r = stream(n + 1);
  const demand = Array.from({ length: n / 3 }, () => {
    const a = 380 + Math.floor(r() * 111);
    const b = 250 + Math.floor(r() * ((1000 - a) / 2 - 249));
    return [a, b, 1000 - a - b];
  })
    .flat()
    .map((length) => ({ length, count: 1 }));
  await run(`triplets of ${n}`, { kerf: 0, stock: on(1000), demand });
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
