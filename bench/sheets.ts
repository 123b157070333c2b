/** Sheet layouts of random sets and of the demo jobs: how soon the first one is there, how long all tries take, and what they use. Run: npx tsx bench/sheets.ts [sets] [seed] */
import { readFileSync } from "node:fs";
import { sheetPlanFaults } from "../core/checks/sheetPlan";
import { sheetJobs } from "../core/jigs/sheetParts";
import { designOf, readJobFile } from "../core/job";
import { nestings, usedPercent, type NestProblem, type NestResult } from "../core/nesting";
import { randomNest } from "../core/nesting/randomParts.fixture";

const [sets, seed] = [process.argv[2], process.argv[3]].map((x, i) => Number(x ?? [100, 1][i])) as [number, number];
interface Run {
  readonly parts: number;
  readonly first: number;
  readonly whole: number;
  readonly last: NestResult;
  readonly faults: readonly string[];
}
function run(p: NestProblem): Run {
  const begin = performance.now();
  let first = 0;
  let last!: NestResult;
  for (const r of nestings(p)) {
    if (first === 0) first = performance.now() - begin;
    last = r;
  }
  const whole = performance.now() - begin;
  return { parts: p.parts.reduce((n, x) => n + x.sticks.length, 0), first, whole, last, faults: last.status === "planned" ? sheetPlanFaults(p, last.sheets) : [] }; // prettier-ignore
}
const told = (name: string, p: NestProblem, r: Run): void =>
  console.log(`${name}: ${r.parts} parts, first ${r.first.toFixed(0)} ms, all ${r.whole.toFixed(0)} ms, ${r.last.status === "planned" ? `${r.last.sheets.length} sheets, ${usedPercent(p, r.last).toFixed(0)} % used` : r.last.status}${r.faults.length > 0 ? `, FAULTS ${r.faults[0]}` : ""}`); // prettier-ignore
for (const by of ["snap", "free"] as const) {
  const runs = Array.from({ length: sets }, (_, i) => randomNest(seed * 1000 + i, by, { kinds: 30 })).map((p) => ({
    p,
    r: run(p),
  }));
  const planned = runs.filter(({ r }) => r.last.status === "planned");
  const mean = (f: (x: (typeof runs)[number]) => number): number =>
    planned.reduce((s, x) => s + f(x), 0) / planned.length;
  console.log(`${by}: ${planned.length} of ${sets} sets, ${mean((x) => x.r.parts).toFixed(0)} parts in the mean, first ${mean((x) => x.r.first).toFixed(1)} ms, all ${mean((x) => x.r.whole).toFixed(0)} ms, ${mean((x) => usedPercent(x.p, x.r.last as Extract<NestResult, { status: "planned" }>)).toFixed(1)} % used, ${runs.filter(({ r }) => r.faults.length > 0).length} with faults`); // prettier-ignore
}
for (const name of ["agents-cottage", "company-store", "silos"])
  for (const by of ["snap", "free"] as const) {
    const { doc } = readJobFile(readFileSync(`examples/${name}.json`, "utf8"));
    const d = designOf({ ...doc, sheetCutting: { by, apart: by === "free" ? 1 : 0, edge: 0, sizes: {} } });
    for (const j of sheetJobs(d)) told(`${name}, ${by}, ${j.name}`, j.problem, run(j.problem));
  }
