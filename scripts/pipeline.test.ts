import { readdirSync, readFileSync } from "node:fs";
import { dirname, join, normalize, sep } from "node:path";
import { describe, expect, it } from "vitest";

/** Core's folders in the order of the pipeline: each may import only from those before it. */
const PIPELINE = ["units", "geometry", "carpentry", "statics", "lumber", "frame", "structures", "sources", "found", "prototype", "cutting", "nesting", "drawer", "drawing", "workshop", "devices", "job", "site", "trains", "spot", "lights", "papers", "inside", "years", "keeping", "finish", "fasteners", "jigs", "assembly", "buildOrder", "checks", "lists"]; // prettier-ignore

const code = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .map((f) => join(folder, f))
    .filter((f) => /\.tsx?$/.test(f) && !/migrations/.test(f));
/** The files or folders of this tree that a file's text imports, types too. */
function importsOf(file: string, text = readFileSync(file, "utf8")): string[] {
  return [...text.matchAll(/(?:\bfrom|\bimport)\s*\(?\s*"([^"]+)"/g)]
    .map((m) => m[1]!)
    .filter((s) => /^(\.|~\/|core\/)/.test(s))
    .map((s) => (s.startsWith(".") ? normalize(join(dirname(file), s)) : s.replace(/^~/, "app")).split(sep).join("/"));
}
/** What is wrong with an import, or undefined. */
function wrong(file: string, to: string): string | undefined {
  const [part, folder] = file.split(sep);
  const [toPart, toFolder] = to.split("/");
  if (part === "core" && toPart !== "core") return `${file} imports ${to}: core stands alone`;
  if (part === "app" && toPart === "cli") return `${file} imports ${to}: the command line`;
  if (part === "cli" && toPart === "app" && !to.startsWith("app/data"))
    return `${file} imports ${to}: of the interface, only what is kept`;
  const [from, after] = [PIPELINE.indexOf(folder!), PIPELINE.indexOf(toFolder!)];
  return part === "core" && from >= 0 && after > from ? `${file} imports ${to}, which stands after it` : undefined;
}

describe("imports", () => {
  it("go one way along the pipeline, and core imports nothing but core", () => {
    const asked = ["core", "app", "cli"].flatMap(code).filter((f) => !/\.(test|fixture)\.tsx?$/.test(f));
    expect(asked.length).toBeGreaterThan(400);
    expect(asked.flatMap((f) => importsOf(f).flatMap((to) => wrong(f, to) ?? []))).toEqual([]);
  });
  it("name every folder of core", () => {
    const folders = readdirSync("core", { withFileTypes: true }).filter((e) => e.isDirectory());
    expect(folders.map((e) => e.name).sort()).toEqual([...PIPELINE].sort());
  });
  it.each([
    ["core/units/x.ts", 'import { a } from "../geometry/b";'],
    ["core/frame/x.ts", 'import type { A } from "core/lists";'],
    ["core/structures/building/roof/x.ts", 'export * from "../../../jigs";'],
    ["core/jigs/x.ts", 'const a = await import("~/ui/b");'],
    ["app/ui/x.ts", 'import "../../cli/run";'],
    ["cli/x.ts", 'import { a } from "~/job/b";'],
  ])("are objected to in %s: %s", (file, text) => {
    expect(importsOf(file, text).map((to) => wrong(normalize(file), to))).toEqual([expect.any(String)]);
  });
  it.each([
    ["core/geometry/x.ts", 'import { a } from "../units/b";'],
    ["core/structures/building/roof/x.ts", 'import { a } from "../jigs/b";'],
    ["cli/x.ts", 'import { a } from "../app/data/b";'],
  ])("are welcome in %s: %s", (file, text) => {
    expect(importsOf(file, text).map((to) => wrong(normalize(file), to))).toEqual([undefined]);
  });
});
