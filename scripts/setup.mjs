/** What both commands need: packages installed, the application built. Each step is skipped when nothing it depends on has changed. */
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { pack } from "./pack.mjs";

/** Runs a command in the foreground; ends the process when it fails. */
export function run(command, args, options = {}) {
  const r = spawnSync(command, args, { stdio: "inherit", shell: process.platform === "win32", ...options });
  if (r.status !== 0) process.exit(r.status ?? 1);
}
/** Whether a command succeeds, without a word. */
export const works = (command, args) => spawnSync(command, args, { stdio: "ignore" }).status === 0;

function filesIn(path) {
  if (!existsSync(path)) return [];
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((f) => filesIn(join(path, f)));
}
function hashOf(paths) {
  const h = createHash("sha256");
  for (const f of paths.flatMap(filesIn)) h.update(f).update(readFileSync(f));
  return h.digest("hex");
}
/** Runs a step unless its stamp says that it was done for these very files. */
function once(stamp, paths, step) {
  const now = hashOf(paths);
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === now) return false;
  step();
  mkdirSync(join(stamp, ".."), { recursive: true });
  writeFileSync(stamp, now);
  return true;
}
export function install() {
  once("node_modules/.cardo-installed", ["package.json", "package-lock.json"], () => {
    console.log("Installing packages (a few minutes the first time) …");
    run("npm", ["ci", "--no-audit", "--no-fund"]);
  });
}
export function build() {
  once(
    "build/.cardo-built",
    [
      "app",
      "core",
      "public",
      "package-lock.json",
      "vite.config.ts",
      "react-router.config.ts",
      "tsconfig.json",
      "scripts/pack.mjs",
    ],
    () => {
      console.log("Building …");
      run(process.execPath, ["node_modules/@react-router/dev/bin.js", "build"], {
        env: { ...process.env, NODE_ENV: "production" },
      });
      pack("build/client");
    },
  );
}
