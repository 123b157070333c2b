/** npm test: sets up what is missing, then lint, types, unit and interface tests. Ends with "N passed, N failed". */
import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { install, works } from "./setup.mjs";

install();
for (const [program, name] of [["chromium", "chromium"], ["qpdf", "qpdf"], ["pdftoppm", "poppler-utils"], ["rsvg-convert", "librsvg2-bin"], ["admesh", "admesh"]]) provide(() => existsSync(`/usr/bin/${program}`), name); // prettier-ignore
provide(() => works("/usr/bin/python3", ["-c", "import ezdxf"]), "python3-ezdxf");

/** Installs a Debian package where that can be done; the tests that need it say so where it cannot. */
function provide(present, name) {
  if (present() || !existsSync("/usr/bin/apt-get") || process.getuid?.() !== 0) return;
  console.log(`Installing ${name} …`);
  if (!works("apt-get", ["install", "-y", "--no-install-recommends", name])) {
    works("apt-get", ["update"]);
    works("apt-get", ["install", "-y", "--no-install-recommends", name]);
  }
}

let passed = 0;
let failed = 0;
const env = (more) => ({ env: { ...process.env, ...more } });
const bin = (path, args, more = {}) => spawnSync(process.execPath, [path, ...args], { stdio: "inherit", ...env(more) }).status === 0; // prettier-ignore
/** Runs a program beside others; what it says comes in one piece when it ends. */
const beside = (path, args) =>
  new Promise((done) => {
    const p = spawn(process.execPath, [path, ...args], env({}));
    const said = [];
    for (const out of [p.stdout, p.stderr]) out.on("data", (d) => said.push(d));
    p.on("close", (status) => {
      process.stdout.write(Buffer.concat(said));
      done(status === 0);
    });
  });
function step(name, ok) {
  console.log(`${ok ? "passed" : "FAILED"}: ${name}`);
  if (ok) passed++;
  else {
    failed++;
    fell.push(name);
  }
}
/** Lines of tests among all lines of code, percent; blank lines do not count. */
function share() {
  const lines = { all: 0, tests: 0 };
  for (const folder of ["app", "cli", "core", "e2e", "bench", "scripts"])
    for (const name of readdirSync(folder, { recursive: true })) {
      if (!/\.(ts|tsx|mjs|css)$/.test(name)) continue;
      const n = readFileSync(`${folder}/${name}`, "utf8")
        .split("\n")
        .filter((l) => l.trim() !== "").length;
      lines.all += n;
      if (folder === "e2e" || /\.(test|spec|fixture)\./.test(name)) lines.tests += n;
    }
  return Math.round((100 * lines.tests) / lines.all);
}
mkdirSync(".cache", { recursive: true });
/** What failed, by name, told once more at the end: a log is read from there. */
const fell = [];
const namesIn = (j) => [
  ...(j.testResults ?? []).flatMap((s) => {
    const tests = s.assertionResults.filter((a) => a.status === "failed");
    const said = tests.length > 0 ? tests.map((a) => `${a.fullName}: ${a.failureMessages[0] ?? ""}`) : s.status === "failed" ? [s.message] : []; // prettier-ignore
    return said.map((t) => `${s.name}: ${t}`);
  }),
  ...(j.suites ?? []).flatMap((s) => [
    ...namesIn(s),
    ...(s.specs ?? []).filter((x) => !x.ok).map((x) => `${x.file}:${x.line}: ${x.title}`),
  ]),
];
const counted = (file, read) => {
  try {
    const json = JSON.parse(readFileSync(file, "utf8"));
    fell.push(...namesIn(json));
    const [p, f] = read(json);
    passed += p;
    failed += f;
    return f === 0;
  } catch {
    failed++;
    return false;
  }
};

const unitRuns = [["vitest.config.ts", ".cache/unit.json"], ["vitest.screens.config.ts", ".cache/screens.json"]]; // prettier-ignore
for (const [, out] of unitRuns) rmSync(out, { force: true });
/** The unit tests, then those of the screens. */
async function runUnits() {
  const ended = [];
  for (const [config, out] of unitRuns)
    ended.push(await beside("node_modules/vitest/vitest.mjs", ["run", "--config", config, "--reporter=default", "--reporter=json", `--outputFile.json=${out}`])); // prettier-ignore
  return ended;
}
// they wait for nobody: what reads the code, and the build, go on beside them
const units = runUnits();
step("lint", await beside("node_modules/oxlint/bin/oxlint", ["."]));
step("format", await beside("node_modules/oxfmt/bin/oxfmt", ["--check", "."]));
step(
  "types",
  (await beside("node_modules/@react-router/dev/bin.js", ["typegen"])) &&
    (await beside("node_modules/tsc/bin/tsc", ["--noEmit"])),
);
step("build", await beside("scripts/build.mjs", []));
const ended = await units;
unitRuns.forEach(([, out], i) => {
  const read = (j) => [j.numPassedTests, j.numFailedTests + j.numFailedTestSuites - countSuites(j)];
  if (counted(out, read) && !ended[i]) failed++;
});
/** Suites that failed only because a test in them did are counted with that test. */
function countSuites(j) {
  return (
    j.testResults.filter((s) => s.status === "failed" && s.assertionResults.some((a) => a.status === "failed")).length +
    nested(j)
  );
}
function nested(j) {
  const files = j.testResults.filter((s) => s.status === "failed").length;
  return Math.max(0, j.numFailedTestSuites - files);
}
rmSync(".cache/interface.json", { force: true });
const ui = bin("node_modules/@playwright/test/cli.js", ["test"], {
  PLAYWRIGHT_JSON_OUTPUT_NAME: ".cache/interface.json",
});
if (counted(".cache/interface.json", (j) => [j.stats.expected + j.stats.flaky, j.stats.unexpected]) && !ui) failed++;
for (const name of fell) console.log(`FAILED: ${name.split("\n")[0].slice(0, 300)}`);
console.log(`Tests are ${share()} % of the code.`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
