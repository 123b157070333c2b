/**
 * Breaks core on purpose, one small change at a time, and tells which of them no test notices. Changes are drawn by a
 * seed: a sign, a factor, a comparison, a least for a most, a condition turned round, a call left out. Each runs in a copy
 * of the tree with the tests that the file has to do with, to the first that fails.
 * Run: npx tsx bench/mutants.ts [seed] [count] [part of a path]. Ends with 1 where fewer than 85 % are caught.
 */
import { spawnSync } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join, resolve } from "node:path";
import ts from "typescript";
import { stream } from "../core/cutting/stream";

const seed = Number(process.argv[2] ?? 1);
const wanted = Number(process.argv[3] ?? 200);
const within = process.argv[4] ?? "";
const LIMIT = 400_000;

interface Change {
  readonly at: number;
  readonly end: number;
  readonly to: string;
}
const SWAPS: Readonly<Record<string, string>> = { "+": "-", "-": "+", "*": "/", "/": "*", "<": ">=", ">": "<=", "<=": ">", ">=": "<", "===": "!==", "!==": "===", "&&": "||", "||": "&&" }; // prettier-ignore
/** Every change that a file offers. */
function changesOf(text: string): Change[] {
  const file = ts.createSourceFile("x.ts", text, ts.ScriptTarget.Latest, true);
  const out: Change[] = [];
  const put = (node: ts.Node, to: string): void => void out.push({ at: node.getStart(file), end: node.getEnd(), to });
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node)) return;
    if (ts.isBinaryExpression(node)) {
      const to = SWAPS[node.operatorToken.getText(file)];
      const words = ts.isStringLiteralLike(node.left) || ts.isStringLiteralLike(node.right) || ts.isTemplateExpression(node.left); // prettier-ignore
      if (to && !words) put(node.operatorToken, to);
    }
    if (ts.isNumericLiteral(node) && !["0", "1"].includes(node.text)) put(node, `(${node.text} * 1.1)`);
    if (ts.isPropertyAccessExpression(node) && node.expression.getText(file) === "Math") {
      const to = { min: "max", max: "min", sin: "cos", cos: "sin", floor: "ceil", ceil: "floor" }[node.name.text];
      if (to) put(node.name, to);
    }
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, "false");
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, "true");
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) put(node, ";");
    ts.forEachChild(node, visit);
  };
  visit(file);
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
  spawnSync("npx", ["vitest", ...args, "--bail", "1"], { cwd: copy, timeout: LIMIT, stdio: "ignore" }).status !== 0;
const hasTests = (dir: string): boolean => readdirSync(dir).some((f) => f.endsWith(".test.ts"));
// what lies beside a file notices soonest
const fails = (f: string): boolean =>
  (hasTests(dirname(f)) && run("run", `${dirname(f)}/`)) || run("related", "--run", f);
// a test that fails by itself would catch everything
if (fails(join("core", "carpentry", "stairs.ts"))) throw new Error("The tests fail before anything is broken.");
let [caught, tried] = [0, 0];
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
  console.log(`${noticed ? "caught  " : "SURVIVED"} ${f}:${line} “${text.slice(change.at, change.end).replace(/\s+/g, " ").slice(0, 60)}” → “${change.to}”`); // prettier-ignore
}
console.log(`${caught} of ${tried} caught (seed ${seed})`);
process.exit(caught / tried >= 0.85 ? 0 : 1);
