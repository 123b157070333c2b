/**
 * How near to their bound stick plans come, over seeded sets: npx tsx bench/stickSets.ts [SETS OF EACH] [first]. Triplets, even
 * lengths from narrow and wide ranges, few sizes in many copies, and every section of every demo job; "first" leaves their proofs out.
 */
import { readdirSync, readFileSync } from "node:fs";
import {
  loadLinearSolver,
  planItem,
  solveSticks,
  stockLengths,
  wantedByItem,
  type StickProblem,
} from "../core/cutting";
import { stream, triplets } from "../core/cutting/stream";
import { designOf, readJobText } from "../core/job";
import { stockItem } from "../core/lumber";
import { loadKinds } from "../core/structures";

const EACH = Number(process.argv[2] ?? 10);
const lp = await loadLinearSolver();
const on = (length: number) => [{ length, count: null, cost: 1 }];
let [sets, at, most, slowest] = [0, 0, 0, 0];
const seen = (name: string, sticks: number, bound: number, ms: number): void => {
  sets++;
  if (sticks <= bound) at++;
  else console.log(`${name}: ${sticks} sticks, bound ${bound}, ${(ms / 1000).toFixed(1)} s`);
  most = Math.max(most, sticks - bound);
  slowest = Math.max(slowest, ms);
};
const even = (n: number, lo: number, hi: number, seed: number): StickProblem => {
  const r = stream(seed);
  return { kerf: 0.3, stock: on(1000), demand: Array.from({ length: n }, () => ({ length: Math.round((lo + r() * (hi - lo)) * 100) / 100, count: 1 })) }; // prettier-ignore
};
const few = (kinds: number, copies: number, seed: number): StickProblem => {
  const r = stream(seed);
  return { kerf: 0.5, stock: on(1000), demand: Array.from({ length: kinds }, () => ({ length: Math.round(50 + r() * 500), count: copies })) }; // prettier-ignore
};
const all: [string, (seed: number) => StickProblem][] = [
  ...[60, 120, 249, 501].map((n) => [`triplets of ${n}`, (s: number) => ({ kerf: 0, stock: on(1000), demand: triplets(n, stream(s)) })] as [string, (s: number) => StickProblem]), // prettier-ignore
  ...([[20, 450], [100, 400], [50, 700], [250, 500]] as const).flatMap(([lo, hi]) => [120, 250, 500, 1000].map((n) => [`${n} lengths from ${lo} to ${hi}`, (s: number) => even(n, lo, hi, s)] as [string, (s: number) => StickProblem])), // prettier-ignore
  ...([[10, 40], [30, 167]] as const).map(([k, c]) => [`${k} sizes of ${c}`, (s: number) => few(k, c, s)] as [string, (s: number) => StickProblem]), // prettier-ignore
];
for (const [name, make] of all)
  for (let seed = 1; seed <= EACH; seed++) {
    const t = performance.now();
    const r = await solveSticks(make(seed), { lp });
    if ("layouts" in r)
      seen(`${name}, seed ${seed}`, r.sticks, r.proven ? r.sticks : r.lowerBound, performance.now() - t);
    else console.log(name, seed, r.status);
  }
console.log(`seeded: ${at} of ${sets} at the bound (${((100 * at) / sets).toFixed(1)} %), never more than ${most} over, slowest ${(slowest / 1000).toFixed(1)} s`); // prettier-ignore
[sets, at, most, slowest] = [0, 0, 0, 0];
let longest = 0;
for (const file of readdirSync("examples").filter((f) => f.endsWith(".json"))) {
  const { doc } = readJobText(readFileSync(`examples/${file}`, "utf8"));
  await loadKinds(doc.structures.map((s) => s.kind));
  const d = designOf(doc);
  const all = [...wantedByItem(d.pieces, doc.cutting)];
  const begun = performance.now();
  for (const [id, wanted] of all) {
    const item = stockItem(d.scale, id)!;
    await planItem({ item, wanted, lengths: stockLengths(item, doc.stock.sticks[id]), settings: doc.cutting });
  }
  longest = Math.max(longest, performance.now() - begun);
  if (process.argv[3] === "first") continue;
  for (const [id, wanted] of all) {
    const t = performance.now();
    const item = stockItem(d.scale, id)!;
    const r = await planItem({ item, wanted, lengths: stockLengths(item, doc.stock.sticks[id]), settings: doc.cutting }, lp); // prettier-ignore
    const { proven, lowerBound } = r.result as unknown as { readonly proven: boolean; readonly lowerBound: number };
    seen(`${file} ${id}`, r.sticks.length, proven ? r.sticks.length : lowerBound, performance.now() - t);
  }
}
console.log(`first plans of all sections of a demo job: ${(longest / 1000).toFixed(2)} s at most`);
console.log(`sections of the demo jobs: ${at} of ${sets} at the bound, never more than ${most} over, slowest ${(slowest / 1000).toFixed(1)} s`); // prettier-ignore
