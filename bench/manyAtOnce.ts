/** 200 requests at once of each sort: how long each waits, and what the server takes. node --import tsx bench/manyAtOnce.ts */
import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const PORT = 4983;
const address = `http://127.0.0.1:${PORT}`;
const env = { ...process.env, CARDO_DATA: mkdtempSync(join(tmpdir(), "cardo-many-")), HOST: "127.0.0.1", PORT: String(PORT), NODE_ENV: "production" }; // prettier-ignore
spawnSync(process.execPath, ["--import", "tsx", "scripts/seed.ts"], { env });
const server = spawn(process.execPath, ["scripts/serve.mjs"], { env, stdio: "ignore" });
while (!(await fetch(address).then((r) => r.ok, () => false))) await new Promise((r) => setTimeout(r, 50)); // prettier-ignore
const shelf = await (await fetch(address)).text();
const job = new RegExp(`aria-label="Open Pellam depot"[^>]*href="/jobs/([\\w-]+)"|href="/jobs/([\\w-]+)"[^>]*aria-label="Open Pellam depot"`).exec(shelf); // prettier-ignore
const depot = job?.[1] ?? job?.[2] ?? "";
const memory = (): number =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, "utf8"))![1]) / 1024;
async function at(path: string): Promise<number> {
  const from = performance.now();
  const r = await fetch(address + path);
  await r.arrayBuffer();
  if (!r.ok) throw new Error(`${path}: ${r.status}`);
  return performance.now() - from;
}
const said = (name: string, times: readonly number[]): void => {
  const t = [...times].sort((a, b) => a - b);
  console.log(`${name}: median ${Math.round(t[t.length >> 1]!)} ms, most ${Math.round(t.at(-1)!)} ms; memory ${Math.round(memory())} MB`); // prettier-ignore
};
said("200 shelves at once", await Promise.all(Array.from({ length: 200 }, () => at("/"))));
said("200 states of a depot at once", await Promise.all(Array.from({ length: 200 }, () => at(`/jobs/${depot}/state`))));
server.kill();
