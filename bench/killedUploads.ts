/**
 * What was acknowledged is there, whatever happens to the server or the disk: node --import tsx bench/killedUploads.ts
 * KILLS SEED. Edits and uploads go on while the server is killed (-9); then a disk of 8 MB is filled up, a folder may not
 * be written, and a second server is started on the first one's folder. The last three need to be root.
 */
import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { createHash, randomUUID } from "node:crypto";
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import sharp from "sharp";
import { seeded } from "./fuzz/random";

const [kills = 200, seed = 14] = process.argv.slice(2).map(Number);
const PORT = 4982;
const address = `http://127.0.0.1:${PORT}`;
const r = seeded(seed);
const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
let faults = 0;
const fault = (words: string): void => {
  faults++;
  console.log(`FAULT: ${words}`);
};
const headers = { origin: address };

interface Server {
  readonly process: ChildProcess;
  readonly said: string[];
}
async function serve(data: string, more: { uid?: number; port?: number } = {}): Promise<Server> {
  const env = {
    ...process.env,
    CARDO_DATA: data,
    HOST: "127.0.0.1",
    PORT: String(more.port ?? PORT),
    NODE_ENV: "production",
  };
  const p = spawn(process.execPath, ["scripts/serve.mjs"], { env, stdio: ["ignore", "pipe", "pipe"], ...(more.uid ? { uid: more.uid, gid: more.uid } : {}) }); // prettier-ignore
  const said: string[] = [];
  for (const out of [p.stdout, p.stderr]) out!.on("data", (d: Buffer) => said.push(String(d)));
  for (let i = 0; i < 400 && p.exitCode === null && !said.join("").includes("Cardo is at"); i++) await pause(25);
  return { process: p, said };
}
async function stop(s: Server, signal: NodeJS.Signals = "SIGKILL"): Promise<void> {
  if (s.process.exitCode !== null) return;
  const gone = new Promise((done) => s.process.once("exit", done));
  s.process.kill(signal);
  await gone;
}
async function newJob(): Promise<string> {
  const body = new URLSearchParams({ do: "new", name: "Killed" });
  const a = await fetch(`${address}/?index`, { method: "POST", headers, body, redirect: "manual" });
  return a.headers.get("location")!.split("/")[2]!;
}
interface Head {
  readonly revision: number;
  readonly doc: { readonly name: string; readonly brief: { readonly decisions: readonly unknown[] } };
}
const head = async (job: string): Promise<Head> =>
  ((await (await fetch(`${address}/jobs/${job}/state`)).json()) as { confirmed: Head }).confirmed;
/** Renames the job; answers the name once it is acknowledged, or the status. */
async function edit(
  job: string,
  base: number,
  name: string,
): Promise<{ status: number; revision: number; words: string }> {
  const entry = { kind: "edit", id: randomUUID(), base, label: "Rename the job", patches: [{ op: "set", path: ["name"], value: name }] }; // prettier-ignore
  const a = await fetch(`${address}/jobs/${job}/revisions`, { method: "POST", headers: { ...headers, "content-type": "application/json" }, body: JSON.stringify(entry) }); // prettier-ignore
  const text = await a.text();
  const answer = (text.startsWith("{") ? JSON.parse(text) : {}) as { ok?: boolean; revision?: number };
  return { status: answer.ok ? 200 : a.status, revision: answer.revision ?? base, words: text };
}
let drawn = 0;
const picture = (wide: number): Promise<Buffer> =>
  sharp({ create: { width: wide, height: 400 + drawn++, channels: 3, background: "#fff", noise: { type: "gaussian", mean: 120, sigma: 50 } } }).png({ compressionLevel: 1 }).toBuffer(); // prettier-ignore
async function upload(job: string, bytes: Buffer): Promise<{ ok: boolean; status: number; words: string }> {
  const form = new FormData();
  form.set("file", new Blob([new Uint8Array(bytes)]), "scan.png");
  const a = await fetch(`${address}/jobs/${job}/pictures`, { method: "POST", headers, body: form });
  const text = await a.text();
  return { ok: text.startsWith("{") && (JSON.parse(text) as { ok: boolean }).ok, status: a.status, words: text };
}
/** Looks at everything that was acknowledged. */
async function check(data: string, job: string, name: string, pictures: ReadonlyMap<string, number>): Promise<void> {
  const now = await head(job);
  if (name && now.doc.name !== name) fault(`the name is “${now.doc.name}”, acknowledged was “${name}”`);
  for (const [hash, bytes] of pictures) {
    const file = join(data, "pictures", hash);
    const there = existsSync(file) ? readFileSync(file) : Buffer.alloc(0);
    if (createHash("sha256").update(there).digest("hex") !== hash) fault(`picture ${hash.slice(0, 8)} of ${bytes} bytes is not whole: ${there.length}`); // prettier-ignore
    const tile = await fetch(`${address}/pictures/${hash}/0/0/0`);
    if (tile.status !== 200) fault(`picture ${hash.slice(0, 8)} has no tile: ${tile.status}`);
  }
  const halves = readdirSync(join(data, "pictures")).filter((n) => /-(half|new)$/.test(n));
  if (halves.length > 0) fault(`left behind: ${halves.join(", ")}`);
}

// 1. killed again and again
const data = mkdtempSync(join(tmpdir(), "cardo-kills-"));
let server = await serve(data);
const job = await newJob();
let name = "";
let edits = 0;
const pictures = new Map<string, number>();
for (let k = 0; k < kills; k++) {
  let dead = false;
  const dying = pause(r.int(50, 900)).then(async () => {
    await stop(server);
    dead = true;
  });
  const typing = async (): Promise<void> => {
    let { revision } = await head(job);
    for (let i = 0; !dead; i++) {
      const to = `kill ${k}, edit ${i}`;
      const a = await edit(job, revision, to);
      if (a.status !== 200) return fault(`an edit was answered ${a.status}: ${a.words}`);
      [name, revision] = [to, a.revision];
      edits++;
    }
  };
  const sending = async (): Promise<void> => {
    while (!dead) {
      const bytes = await picture(r.int(300, 1500));
      const a = await upload(job, bytes);
      if (!a.ok) return fault(`an upload was answered ${a.status}: ${a.words}`);
      pictures.set(createHash("sha256").update(bytes).digest("hex"), bytes.length);
    }
  };
  // what breaks off with the server was not acknowledged; an edit that was on its way may be there or not
  await Promise.all([dying, typing().catch(() => undefined), sending().catch(() => undefined)]);
  server = await serve(data);
  const now = (await head(job)).doc.name;
  if (now !== name) {
    const [, a, b] = /kill (\d+), edit (\d+)/.exec(now) ?? [];
    const [, c, d] = /kill (\d+), edit (\d+)/.exec(name) ?? [];
    if (!(a === String(k) && (c !== a || Number(b) === Number(d) + 1))) fault(`after kill ${k} the name is “${now}”, acknowledged was “${name}”`); // prettier-ignore
    name = now;
  }
}
await check(data, job, name, pictures);
await stop(server, "SIGTERM");
const whole = new Database(join(data, "cardo.sqlite"), { readonly: true });
if (whole.pragma("integrity_check", { simple: true }) !== "ok") fault("the database is damaged");
whole.close();
console.log(`${kills} kills, ${edits} edits and ${pictures.size} pictures acknowledged`);

// 2. two servers
server = await serve(data);
const second = await serve(data, { port: PORT + 1 });
if (second.process.exitCode === null || !/Another Cardo serves/.test(second.said.join(""))) fault(`a second server: ${second.said.join("")}`); // prettier-ignore
await stop(second);
await stop(server);
rmSync(data, { recursive: true });
console.log("a second server says so");

if (process.getuid?.() === 0) {
  // 3. a disk that fills up
  const disk = mkdtempSync(join(tmpdir(), "cardo-full-"));
  if (spawnSync("mount", ["-t", "tmpfs", "-o", "size=8m", "tmpfs", disk]).status === 0) {
    writeFileSync(join(disk, "ballast"), Buffer.alloc(1.5e6));
    server = await serve(disk);
    const small = await newJob();
    const kept = new Map<string, number>();
    const words = new Set<string>();
    for (let i = 0; i < 30; i++) {
      const bytes = await picture(r.int(300, 900));
      const a = await upload(small, bytes);
      if (a.ok) kept.set(createHash("sha256").update(bytes).digest("hex"), bytes.length);
      else words.add(`${a.status} ${a.words}`);
    }
    let at = (await head(small)).revision;
    let last = "";
    let full = 0;
    for (let i = 0; i < 400; i++) {
      const a = await edit(small, at, `edit ${i}`);
      if (a.status === 200) [last, at] = [`edit ${i}`, a.revision];
      else {
        full++;
        words.add(`${a.status} ${a.words}`);
      }
    }
    for (const w of words) if (!/^503 .*disk is full/i.test(w)) fault(`a full disk is told as ${w}`);
    if (words.size === 0) fault("the disk never filled up");
    rmSync(join(disk, "ballast"));
    const after = await edit(small, at, "room again");
    if (after.status !== 200) fault(`with room again an edit is answered ${after.status}: ${after.words}`);
    else last = "room again";
    await check(disk, small, last, kept);
    await stop(server);
    console.log(`a full disk: ${kept.size} pictures whole, ${full} edits told that it is full, kept again with room`);
    spawnSync("umount", [disk]);
  } else console.log("no disk could be mounted: the full one was not tried");
  rmSync(disk, { recursive: true, force: true });

  // 4. a folder that may not be written
  const closed = mkdtempSync(join(tmpdir(), "cardo-closed-"));
  server = await serve(closed);
  await newJob();
  await stop(server, "SIGTERM");
  mkdirSync(join(closed, "pictures"), { recursive: true });
  chmodSync(closed, 0o755);
  const nobody = await serve(closed, { uid: 65534 });
  if (nobody.process.exitCode === null || !/may not write into its folder/.test(nobody.said.join(""))) fault(`a folder that may not be written: ${nobody.said.join("")}`); // prettier-ignore
  await stop(nobody);
  rmSync(closed, { recursive: true });
  console.log("a folder that may not be written is told at the start");
}
console.log(`${faults} faults`);
process.exit(faults === 0 ? 0 : 1);
