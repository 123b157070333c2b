/**
 * Attacks Cardo with seeded chance: npm run fuzz [-- part [count [seed]]], parts are jobs, lengths, http, uploads and lines (the command
 * line); all of them
 * without one. Prints what went wrong, each sort once with its seed, and ends with status 1 when anything did.
 */
import { fuzzCommandLine } from "./commandLine";
import { fuzzHttp } from "./http";
import { misread, mutated } from "./jobFiles";
import { fuzzLengths } from "./lengths";
import { seeded } from "./random";
import { fuzzUploads } from "./uploads";

const [part = "all", count, seed = "20261126"] = process.argv.slice(2);
const faults = new Map<string, { n: number; first: string }>();
const note = (what: string, where: string): void => {
  const key = what.replace(/\d+/g, "#").slice(0, 120);
  const known = faults.get(key);
  if (known) known.n++;
  else faults.set(key, { n: 1, first: `${where}: ${what}` });
};
if (part === "all" || part === "jobs") {
  const many = Number(count ?? 10_000);
  for (let i = 0; i < many; i++) {
    const text = mutated(seeded(Number(seed) + i));
    const wrong = misread(text);
    if (wrong) note(wrong, `job file ${Number(seed) + i}`);
  }
  console.log(`${many} job files`);
}
if (part === "all" || part === "lengths")
  console.log(`${fuzzLengths(Number(count ?? 50_000), Number(seed), note)} lengths`);
if (part === "all" || part === "http")
  console.log(`${await fuzzHttp(Number(count ?? 3000), Number(seed), note)} requests`);
if (part === "all" || part === "lines")
  console.log(`${fuzzCommandLine(Number(count ?? 500), Number(seed), note)} commands`);
if (part === "all" || part === "uploads")
  console.log(`${await fuzzUploads(Number(count ?? 3000), Number(seed), note)} uploads`);
for (const f of [...faults.values()].sort((a, b) => b.n - a.n)) console.log(`${f.n} × ${f.first}`);
console.log(`${faults.size} sorts of faults`);
process.exit(faults.size === 0 ? 0 : 1);
