/**
 * Keeps structures of every kind as they are framed now, for the tests to compare with. Those that were kept before are
 * kept again with what comes of them now; a kind that frames one of them otherwise has to have counted its version up.
 * Papers of the demo jobs are kept beside them. Run: npm run keep
 */
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import "../core/structures/all";
import { cameOf, drawCases, specDigest, type KeptKind } from "../core/structures/kept.fixture";
import { KEPT_JOBS, papersOf } from "../core/jigs/kept.fixture";
import { KIND_IDS, framerOf } from "../core/structures/registry";

const FILE = "core/structures/kept.json";
/** How many of each kind; of buildings, which have the most to them, more. */
const count = (id: string): number => (id === "building" ? 70 : 32);
const before = (existsSync(FILE) ? JSON.parse(readFileSync(FILE, "utf8")) : {}) as Record<string, KeptKind>;
const after: Record<string, KeptKind> = {};
for (const id of KIND_IDS.filter((k) => k !== "traced")) {
  const kind = framerOf(id);
  const old = before[id];
  const cases = (old?.cases ?? drawCases(kind, count(id))).map((c) => ({
    ...c,
    came: cameOf(kind, c.params, c.bench),
  }));
  const changed = old ? cases.filter((c, i) => c.came !== old.cases[i]!.came).length : 0;
  if (changed > 0 && kind.version === old!.version) {
    console.error(`${id}: ${changed} of ${cases.length} come otherwise; count its version up from ${kind.version}.`);
    process.exitCode = 1;
  }
  console.log(`${id}: version ${kind.version}, ${cases.length} kept, ${changed} changed`);
  after[id] = { version: kind.version, spec: specDigest(kind), cases };
}
const papers = Object.fromEntries(KEPT_JOBS.map((job) => [job, papersOf(job)]));
writeFileSync("core/jigs/kept.json", `${JSON.stringify(papers, null, 1)}\n`);
if (process.exitCode !== 1) writeFileSync(FILE, `${JSON.stringify(after, null, 1)}\n`);
