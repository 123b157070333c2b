/** A job with two scans of more than 100 MB each goes out as a job file and comes in again: how long, and what the server takes. node --import tsx bench/heavyJob.ts */
import { spawn } from "node:child_process";
import { randomUUID } from "node:crypto";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";

const PORT = 4984;
const address = `http://127.0.0.1:${PORT}`;
const headers = { origin: address };
const data = mkdtempSync(join(tmpdir(), "cardo-heavy-"));
const env = { ...process.env, CARDO_DATA: data, HOST: "127.0.0.1", PORT: String(PORT), NODE_ENV: "production" };
const server = spawn(process.execPath, ["scripts/serve.mjs"], { env, stdio: "inherit" });
while (!(await fetch(address).then((r) => r.ok, () => false))) await new Promise((r) => setTimeout(r, 50)); // prettier-ignore
const memory = (): number => Math.round(Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, "utf8"))![1]) / 1024); // prettier-ignore
const made = await fetch(`${address}/?index`, { method: "POST", headers, body: new URLSearchParams({ do: "new", name: "Heavy" }), redirect: "manual" }); // prettier-ignore
const job = made.headers.get("location")!.split("/")[2]!;
const drawings = [];
for (let i = 0; i < 2; i++) {
  const bytes = await sharp({ create: { width: 7600, height: 4700 + i, channels: 3, background: "#fff", noise: { type: "gaussian", mean: 128, sigma: 40 } } }).png({ compressionLevel: 0 }).toBuffer(); // prettier-ignore
  const form = new FormData();
  form.set("file", new Blob([new Uint8Array(bytes)]), "scan.png");
  const from = performance.now();
  const a = (await (await fetch(`${address}/jobs/${job}/pictures`, { method: "POST", headers, body: form })).json()) as { ok: boolean; sentence?: string; picture: { hash: string; type: string; width: number; height: number } }; // prettier-ignore
  if (!a.ok) throw new Error(a.sentence);
  console.log(`a scan of ${Math.round(bytes.length / 1e6)} MB: ${((performance.now() - from) / 1000).toFixed(1)} s; memory ${memory()} MB`); // prettier-ignore
  const { hash, type, width, height } = a.picture;
  drawings.push({ id: `p${i}`, name: `Scan ${i}`, measures: [], openings: [], under: [], picture: { hash, type, width, height } }); // prettier-ignore
}
for (const [i, d] of drawings.entries()) {
  const entry = { kind: "edit", id: randomUUID(), base: i, label: "Upload", patches: [{ op: "put", path: ["drawings"], value: d }] }; // prettier-ignore
  const kept = await fetch(`${address}/jobs/${job}/revisions`, { method: "POST", headers: { ...headers, "content-type": "application/json" }, body: JSON.stringify(entry) }); // prettier-ignore
  if (!kept.ok) throw new Error(await kept.text());
}
let from = performance.now();
const file = await (await fetch(`${address}/jobs/${job}/file`)).blob();
console.log(`out: ${Math.round(file.size / 1e6)} MB in ${((performance.now() - from) / 1000).toFixed(1)} s; memory ${memory()} MB`); // prettier-ignore
from = performance.now();
const form = new FormData();
form.set("do", "import");
form.set("file", file, "heavy.cardo.json");
const r = await fetch(`${address}/?index`, { method: "POST", headers, body: form, redirect: "manual" });
console.log(`in: ${r.status} ${r.headers.get("location") ?? (await r.text()).slice(0, 300)} in ${((performance.now() - from) / 1000).toFixed(1)} s; memory ${memory()} MB`); // prettier-ignore
server.kill();
rmSync(data, { recursive: true, force: true });
process.exit(r.headers.has("location") ? 0 : 1);
