/** Whether every package that the application ships or is built with may be used with it: each licence has to be one of these. */
import { existsSync, readFileSync } from "node:fs";
import { pathToFileURL } from "node:url";

/** Licences that ask for no more than their notice, or are the public domain. */
const FREE = new Set(["MIT", "ISC", "BSD-2-Clause", "BSD-3-Clause", "Apache-2.0", "0BSD", "Unlicense", "CC0-1.0", "Zlib", "BSL-1.0", "BlueOak-1.0.0", "MIT-0", "WTFPL", "Python-2.0"]); // prettier-ignore
/** Those that ask for more where the work itself is changed or shipped along: looked at one by one, each with why it fits. */
const LOOKED_AT = new Map([
  ["OFL-1.1", "fonts may be shipped with a program of any licence"],
  ["LGPL-3.0-or-later", "libvips, a library of its own file that may be replaced"],
  ["MPL-2.0", "changes to its own files alone have to be given; none are made"],
  ["CC-BY-4.0", "data with its author named in the package"],
]);

/** Whether a licence expression can be fulfilled: one side of an OR, both of an AND. */
export function fits(expression) {
  const e = expression.trim().replace(/^\((.*)\)$/, "$1");
  if (/ OR /.test(e)) return e.split(" OR ").some(fits);
  if (/ AND /.test(e)) return e.split(" AND ").every(fits);
  return FREE.has(e) || LOOKED_AT.has(e);
}
/** The licence that a package states in any of the ways there are; "" where it states none. */
export function licenceOf(pkg) {
  const one = pkg.license ?? pkg.licenses;
  if (typeof one === "string") return one;
  if (Array.isArray(one)) return one.map((l) => l.type ?? l).join(" OR ");
  return one?.type ?? "";
}
/** Packages of the lock file whose licence does not fit or is not stated, as lines. */
export function misfits(root = ".") {
  const lock = JSON.parse(readFileSync(`${root}/package-lock.json`, "utf8"));
  const out = [];
  for (const [path, entry] of Object.entries(lock.packages)) {
    if (!path || entry.link) continue;
    const file = `${root}/${path}/package.json`;
    // a package for another machine is known by the lock file alone
    const licence = existsSync(file) ? licenceOf(JSON.parse(readFileSync(file, "utf8"))) : (entry.license ?? "");
    if (!fits(licence))
      out.push(`${path.replace(/^.*node_modules\//, "")} ${entry.version}: ${licence || "no licence stated"}`);
  }
  return out;
}
if (import.meta.url === pathToFileURL(process.argv[1] ?? "").href) {
  const found = misfits();
  for (const line of found) console.log(line);
  process.exit(found.length === 0 ? 0 : 1);
}
