/**
 * Breaks core on purpose, one small change at a time, and tells which of them no test notices. Changes are drawn by a
 * seed: a sign, a factor, a comparison, a least for a most, a condition turned round, a call left out. Each runs in a copy
 * of the tree with the tests that the file has to do with, to the first that fails.
 * Run: npx tsx bench/mutants.ts [seed] [count] [part of a path] [first]. Ends with 1 where fewer than 85 % are caught; a
 * run that was broken off goes on from its first that is not told yet.
 */
import { spawnSync } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join, resolve } from "node:path";
import { parseSync } from "oxc-parser";
import { stream } from "../core/cutting/stream";

const seed = Number(process.argv[2] ?? 1);
const wanted = Number(process.argv[3] ?? 200);
const within = process.argv[4] ?? "";
const first = Number(process.argv[5] ?? 0);
const LIMIT = 400_000;

interface Change {
  readonly at: number;
  readonly end: number;
  readonly to: string;
}
const SWAPS: Readonly<Record<string, string>> = { "+": "-", "-": "+", "*": "/", "/": "*", "<": ">=", ">": "<=", "<=": ">", ">=": "<", "===": "!==", "!==": "===", "&&": "||", "||": "&&" }; // prettier-ignore
const MATHS: Readonly<Record<string, string>> = { min: "max", max: "min", sin: "cos", cos: "sin", floor: "ceil", ceil: "floor" }; // prettier-ignore
/** A node of the syntax tree as the parser gives it. */
interface Node {
  readonly type: string;
  readonly start: number;
  readonly end: number;
  readonly [field: string]: unknown;
}
/** Every change that a file offers. */
function changesOf(text: string): Change[] {
  const out: Change[] = [];
  const put = (node: Node, to: string): void => void out.push({ at: node.start, end: node.end, to });
  const worded = (n: Node): boolean => n.type === "TemplateLiteral" || (n.type === "Literal" && typeof n.value === "string"); // prettier-ignore
  const visit = (node: Node): void => {
    // types do not run; what a cast holds does
    if (/^TS/.test(node.type) && !node.expression) return;
    if (node.type === "BinaryExpression" || node.type === "LogicalExpression") {
      const [left, right, sign] = [node.left as Node, node.right as Node, node.operator as string];
      const at = text.indexOf(sign, left.end);
      if (SWAPS[sign] && !worded(left) && !worded(right)) out.push({ at, end: at + sign.length, to: SWAPS[sign] });
    }
    if (node.type === "Literal") {
      if (typeof node.value === "number" && node.value !== 0 && node.value !== 1) put(node, `(${node.raw as string} * 1.1)`); // prettier-ignore
      if (typeof node.value === "boolean") put(node, String(!node.value));
    }
    if (node.type === "MemberExpression" && (node.object as Node).name === "Math") {
      const name = node.property as Node;
      const to = MATHS[name.name as string];
      if (to) put(name, to);
    }
    if (node.type === "ExpressionStatement" && (node.expression as Node).type === "CallExpression") put(node, ";");
    for (const [field, value] of Object.entries(node)) {
      if (field === "typeAnnotation" || field === "returnType" || field === "typeParameters" || field === "typeArguments") continue; // prettier-ignore
      for (const child of Array.isArray(value) ? (value as unknown[]) : [value])
        if (child && typeof child === "object" && "type" in child) visit(child as Node);
    }
  };
  visit(parseSync("x.ts", text).program as unknown as Node);
  return out;
}
const files = (dir: string): string[] =>
  readdirSync(dir, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory()
      ? files(join(dir, e.name))
      : /\.ts$/.test(e.name) && !/\.(test|fixture)\.ts$|random\w+\.ts$|opencvModule/.test(e.name)
        ? [join(dir, e.name)]
        : [],
  );

const copy = join(tmpdir(), `cardo-mutants-${process.pid}`);
mkdirSync(copy);
for (const f of [
  "core",
  "bench",
  "app",
  "cli",
  "scripts",
  "examples",
  "public",
  "docs",
  "vitest.config.ts",
  "vite.config.ts",
  "tsconfig.json",
  "package.json",
])
  // prettier-ignore
  if (existsSync(f)) cpSync(f, join(copy, f), { recursive: true });
symlinkSync(resolve("node_modules"), join(copy, "node_modules"));
process.on("exit", () => rmSync(copy, { recursive: true, force: true }));

const r = stream(seed);
for (let i = 0; i < 5; i++) r();
const all = files("core")
  .filter((f) => f.includes(within))
  .flatMap((f) => changesOf(readFileSync(f, "utf8")).map((change) => ({ f, change })));
const run = (...args: string[]): boolean =>
  spawnSync(process.execPath, [resolve("node_modules/vitest/vitest.mjs"), ...args, "--bail", "1", "--poolOptions.forks.minForks", "1", "--poolOptions.forks.maxForks", "1"], { cwd: copy, timeout: LIMIT, stdio: "ignore" }).status !== 0; // prettier-ignore
const hasTests = (dir: string): boolean => readdirSync(dir).some((f) => f.endsWith(".test.ts"));
/** Test files that took longer than 8 s in the last whole run of the unit tests; what is quick is asked first. */
const slow = existsSync(".cache/unit.json")
  ? (
      JSON.parse(readFileSync(".cache/unit.json", "utf8")) as {
        testResults: { name: string; startTime: number; endTime: number }[];
      }
    ).testResults // prettier-ignore
      .filter((t) => t.endTime - t.startTime > 8000)
      .map((t) => t.name.replace(/^.*?\/(?=(core|app|cli|scripts)\/)/, ""))
  : [];
// what lies beside a file notices soonest
const fails = (f: string): boolean =>
  (hasTests(dirname(f)) && run("run", `${dirname(f)}/`)) ||
  (slow.length > 0 && run("related", "--run", f, ...slow.flatMap((s) => ["--exclude", s]))) ||
  run("related", "--run", f);
// a test that fails by itself would catch everything
if (fails(join("core", "carpentry", "stairs.ts"))) throw new Error("The tests fail before anything is broken.");
let [caught, tried] = [0, 0];
for (let i = 0; i < first; i++) r();
while (tried < wanted) {
  const { f, change } = all[Math.floor(r() * all.length)]!;
  const text = readFileSync(f, "utf8");
  const line = text.slice(0, change.at).split("\n").length;
  const target = join(copy, f);
  writeFileSync(target, text.slice(0, change.at) + change.to + text.slice(change.end));
  // what never ends is noticed, too
  const noticed = fails(f);
  writeFileSync(target, text);
  tried++;
  if (noticed) caught++;
  console.log(`${first + tried} ${noticed ? "caught  " : "SURVIVED"} ${f}:${line} “${text.slice(change.at, change.end).replace(/\s+/g, " ").slice(0, 60)}” → “${change.to}”`); // prettier-ignore
}
console.log(`${caught} of ${tried} caught (seed ${seed})`);
process.exit(caught / tried >= 0.85 ? 0 : 1);
