/**
 * A shelf of 500 jobs and two 240-bent trestles: the server's time for the list and what it weighs, and the same with
 * words to find. node --import tsx bench/shelf.ts
 */
import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { get } from "node:http";

const data = mkdtempSync(join(tmpdir(), "cardo-shelf-"));
process.env.CARDO_DATA = data;
const { importJob, createJob } = await import("../app/data/jobs.server");
const depot = JSON.parse(readFileSync("examples/depot.json", "utf8")) as { name: string };
for (let i = 0; i < 250; i++) await importJob(JSON.stringify({ ...depot, name: `Depot ${i}` }));
for (let i = 0; i < 250; i++) createJob(`Empty ${i}`);
const trestle = JSON.parse(readFileSync("examples/summit-curve-trestle.json", "utf8")) as {
  name: string;
  structures: { variants: { params: Record<string, unknown> }[] }[];
};
for (const n of [1, 2]) {
  const job = structuredClone(trestle);
  for (const v of job.structures[0]!.variants)
    Object.assign(v.params, {
      curve: "none",
      length: 240 * 12 * 304.8,
      spacing: 12 * 304.8,
    });
  try {
    await importJob(JSON.stringify({ ...job, name: `240 bents, ${n}` }));
  } catch (e) {
    console.log(`the large trestle is refused: ${(e as Error).message}`);
  }
}
const PORT = 4195;
const server = spawn(process.execPath, ["scripts/serve.mjs"], {
  env: { ...process.env, HOST: "127.0.0.1", PORT: String(PORT), NODE_ENV: "production" },
  stdio: "ignore",
});
const ask = (path: string): Promise<{ ms: number; packed: number; text: string }> =>
  new Promise((done, failed) => {
    const start = performance.now();
    get({ host: "127.0.0.1", port: PORT, path, headers: { "accept-encoding": "gzip" } }, (r) => {
      const parts: Buffer[] = [];
      r.on("data", (b: Buffer) => parts.push(b));
      r.on("end", () => {
        const bytes = Buffer.concat(parts);
        done({ ms: performance.now() - start, packed: bytes.length, text: gunzipSync(bytes).toString("utf8") });
      });
    }).on("error", failed);
  });
for (let i = 0; i < 100; i++) {
  try {
    await ask("/");
    break;
  } catch {
    await new Promise((r) => setTimeout(r, 100));
  }
}
for (const path of ["/", "/?q=depot+24", "/?sort=name", "/?show=600"]) {
  const runs = [];
  for (let i = 0; i < 9; i++) runs.push(await ask(path));
  const ms = runs.map((r) => r.ms).sort((a, b) => a - b);
  console.log(`${path.padEnd(14)} ${ms[4]!.toFixed(0)} ms in the middle, ${ms[8]!.toFixed(0)} at most, ${(runs[0]!.packed / 1000).toFixed(0)} kB compressed`); // prettier-ignore
}
const t = performance.now();
const many = await Promise.all(Array.from({ length: 200 }, () => ask("/")));
console.log(`200 at once: all after ${(performance.now() - t).toFixed(0)} ms, the slowest after ${Math.max(...many.map((r) => r.ms)).toFixed(0)}`); // prettier-ignore
server.kill();
