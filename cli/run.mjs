/** The command line: built into plain JavaScript when its sources have changed, then run. */
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const root = resolve(dirname(fileURLToPath(import.meta.url)), "..");
const out = join(root, ".cache/cli");
const stamp = join(out, "built");
/** Names, sizes and times of all sources: reading them whole would take longer than the command. */
function state() {
  const parts = [];
  for (const folder of ["core", "cli", "app/data"])
    for (const name of readdirSync(join(root, folder), { recursive: true }))
      if (name.endsWith(".ts")) {
        const s = statSync(join(root, folder, name));
        parts.push(`${folder}/${name} ${s.size} ${s.mtimeMs}`);
      }
  return parts.sort().join("\n");
}
const now = state();
if (!existsSync(stamp) || readFileSync(stamp, "utf8") !== now) {
  const { build } = await import("esbuild");
  try {
    mkdirSync(out, { recursive: true });
    accessSync(out, constants.W_OK);
  } catch {
    console.error(`cardo: The command has to be built once, and ${out} may not be written. Run it once as the one who owns it.`); // prettier-ignore
    process.exit(2);
  }
  await build({
    absWorkingDir: root,
    entryPoints: ["cli/cardo.ts"],
    outdir: out,
    bundle: true,
    splitting: true,
    platform: "node",
    format: "esm",
    target: "node20",
    logLevel: "error",
    chunkNames: "[name]-[hash]",
    // what brings files of its own along stays where it is
    external: [
      "highs",
      "highs/*",
      "manifold-3d",
      "pdfjs-dist",
      "pdfjs-dist/*",
      "@techstark/opencv-js",
      "@fontsource/*",
      "sharp",
      "better-sqlite3",
    ],
    banner: { js: 'import { createRequire as __cr } from "node:module"; const require = __cr(import.meta.url);' },
  });
  writeFileSync(stamp, now);
}
await import(pathToFileURL(join(out, "cardo.js")).href);
