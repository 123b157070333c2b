/** The command line with odd words, files and folders: a result and nothing else on standard output, or one sentence and status 2 or 3. */
import { spawnSync } from "node:child_process";
import { chmodSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { mutated } from "./jobFiles";
import { seeded } from "./random";

const SLOW_MS = 20_000;
const COMMANDS = ["frame", "pieces", "plan", "solve", "jigs", "lines", "find", "check", "fit", "rafters", "stairs", "backup", "restore"]; // prettier-ignore
const FLAGS = ["--csv", "--out", "--paper", "--date", "--drawer", "--length", "--depth", "--quick", "--page", "--scale", "--run", "--tread", "--riser", "--width", "--overhang", "--jacks", "--per-inch", "--data", "--none", "-x", "--"]; // prettier-ignore
const FOREIGN = /undefined|null|is not a function|[Cc]annot read prop|\bNaN\b|\bat \w+ \(|Error:|errno|\bE[A-Z]{3,}\b|node:|SQLITE_|stack|assert/; // prettier-ignore

/** Runs `count` commands; `note` is told of faults. */
export function fuzzCommandLine(count: number, seed: number, note: (what: string, where: string) => void): number {
  const dir = mkdtempSync(join(tmpdir(), "cardo-lines-"));
  chmodSync(dir, 0o777);
  const closed = join(dir, "closed");
  mkdirSync(closed);
  chmodSync(closed, 0o555);
  writeFileSync(join(dir, "text"), "wood");
  writeFileSync(join(dir, "empty"), "");
  const jobs = readdirSync("examples").filter((n) => n.endsWith(".json")).map((n) => `examples/${n}`); // prettier-ignore
  // built by whoever may write it
  spawnSync(process.execPath, ["cli/run.mjs", "--help"]);
  for (let i = 0; i < count; i++) {
    const r = seeded(seed + i);
    const broken = join(dir, "broken.json");
    writeFileSync(broken, mutated(r));
    const word = (): string =>
      r.pick(["A4", "A7", "constructor", "2026-02-30", "2026-05-01", "HO", "O", "ZZ", "6", "-1", "0", "1e999", "Infinity", "NaN", "10'", "3-5/8\"", "", " ", "½", "__proto__", "../../x", "\u202e", "9".repeat(400), "/dev/full", "/dev/null", closed, join(closed, "x"), join(dir, "text"), join(dir, "out"), dir, r.pick(jobs), broken]); // prettier-ignore
    const job = r.pick([r.pick(jobs), broken, broken, join(dir, "empty"), join(dir, "none"), dir, word()]);
    const args = [r.pick([...COMMANDS, word()]), job];
    for (let n = r.int(0, 3); n > 0; n--) args.push(r.pick(FLAGS), ...(r.int(0, 3) ? [word()] : []));
    // nothing is written but here, and never onto the examples
    if (args[0] === "jigs" && !args.includes("--out")) args.push("--out", join(dir, "out"));
    if (args[0] === "backup" || args[0] === "restore") args.push("--data", r.pick([closed, join(dir, "text"), join(dir, "none")])); // prettier-ignore
    const where = `command ${seed + i}: ${args.map((a) => a.slice(0, 40)).join(" ")}`;
    const began = Date.now();
    const p = spawnSync(process.execPath, ["cli/run.mjs", ...args], { encoding: "utf8", timeout: SLOW_MS, maxBuffer: 1e9, cwd: process.cwd(), ...(process.getuid?.() === 0 ? { uid: 65534, gid: 65534, env: { ...process.env, HOME: dir } } : {}) }); // prettier-ignore
    const words = p.stderr?.trim() ?? "";
    if (p.status === null) note(`took longer than ${SLOW_MS} ms, or died: ${p.signal ?? p.error?.message}`, where);
    else if (p.status === 0 && words !== "") note(`words beside a result: ${words}`, where);
    else if (![0, 2, 3].includes(p.status)) note(`status ${p.status}: ${words.slice(0, 200)}`, where);
    else if (p.status !== 0 && !/^cardo: .*[.?]$/s.test(words)) note(`no sentence: ${words.slice(0, 200)}`, where);
    else if (p.status === 2 && p.stdout !== "" && !args.includes("jigs")) note("a result beside a refusal", where);
    const own = [...args].sort((a, b) => b.length - a.length).reduce((w, a) => (a ? w.replaceAll(a, "") : w), words);
    if (p.status !== 0 && FOREIGN.test(own.replace(/“.*?”/gs, ""))) note(`words of others: ${words.slice(0, 200)}`, where); // prettier-ignore
    if (Date.now() - began > 10_000) note("took longer than 10 s", where);
  }
  rmSync(dir, { recursive: true, force: true });
  return count;
}
