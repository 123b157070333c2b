/** Job files with something in them changed: each is read and keeps every key that it has, or is refused in Cardo's own words. */
import { readFileSync, readdirSync } from "node:fs";
import { JobError, readJobFile } from "../../core/job";
import type { Random } from "./random";

type Json = null | boolean | number | string | Json[] | { [k: string]: Json };
/** Words of libraries and of the language, which say nothing to a person. */
export const FOREIGN = /property .* must be|nested property|should not exist|must be (a|an|one of|longer|shorter|either)|is not (a function|iterable|defined)|Cannot (read|convert|destructure)|undefined|Maximum call stack|\[object|Unexpected token|constraint/; // prettier-ignore

const examples = readdirSync("examples").filter((n) => n.endsWith(".json"));
const texts = examples.map((n) => {
  const job = JSON.parse(readFileSync(`examples/${n}`, "utf8")) as { files?: unknown };
  // pictures are another matter, and heavy
  delete job.files;
  return JSON.stringify(job);
});
const ODD: readonly Json[] = [null, true, false, 0, -1, 1e308, 1.5, "", "x", "__proto__", "\u0000", "🪵".repeat(50), [], {}, [[]], { id: 1 }, [null], "NaN", "2×4", -0, 1e-320]; // prettier-ignore

/** Every place of a document, as the holder and the key. */
function places(v: Json, out: { holder: Json[] | { [k: string]: Json }; key: string | number }[] = []): typeof out {
  if (Array.isArray(v)) v.forEach((x, i) => (out.push({ holder: v, key: i }), places(x, out)));
  else if (v && typeof v === "object")
    for (const [k, x] of Object.entries(v)) {
      out.push({ holder: v, key: k });
      places(x, out);
    }
  return out;
}
/** One job file with a few changes of any sort. */
export function mutated(r: Random): string {
  const doc = JSON.parse(r.pick(texts)) as Json;
  for (let n = r.int(1, 3); n > 0; n--) {
    const all = places(doc);
    const { holder, key } = r.pick(all);
    const at = holder as Record<string | number, Json>;
    switch (r.int(0, 6)) {
      case 0:
        if (Array.isArray(holder)) holder.splice(Number(key), 1);
        else delete at[key];
        break;
      case 1:
        at[key] = r.pick(ODD);
        break;
      case 2: {
        const other = r.pick(all);
        at[key] = structuredClone((other.holder as Record<string | number, Json>)[other.key]!);
        break;
      }
      case 3:
        if (!Array.isArray(holder)) at[r.pick(["constructor", "extra", "toString", "id", "__proto__x"])] = r.pick(ODD);
        else holder.push(structuredClone(at[key]!));
        break;
      case 4:
        if (typeof at[key] === "number") at[key] = (at[key] as number) * r.pick([-1, 0, 1e3, 1e-3, 1e9]);
        break;
      case 5: {
        let deep: Json = "deep";
        for (let i = 0; i < r.pick([50, 5000]); i++) deep = [deep];
        at[key] = deep;
        break;
      }
      default:
        if (typeof at[key] === "string") at[key] = (at[key] as string).slice(0, r.int(0, 5));
    }
  }
  const text = JSON.stringify(doc);
  return r.int(0, 20) === 0 ? text.slice(0, r.int(0, text.length)) : text;
}
/** What is wrong with how a text was taken; undefined where nothing is. */
export function misread(text: string): string | undefined {
  const started = performance.now();
  try {
    const { doc, issues } = readJobFile(text);
    const was = JSON.parse(text) as Record<string, Json>;
    const lost = missing(
      was,
      { ...(doc as unknown as Record<string, Json>), issues: issues as unknown as Json, files: {} },
      "",
    );
    if (lost) return `accepted, and lost ${lost}`;
  } catch (e) {
    if (!(e instanceof JobError)) return `${(e as Error).name}: ${(e as Error).message.slice(0, 150)}`;
    if (FOREIGN.test(e.message)) return `in foreign words: ${e.message.slice(0, 200)}`;
  }
  const took = performance.now() - started;
  return took > 10_000 ? `took ${Math.round(took)} ms` : undefined;
}
/** The first key that one document has and the other has not. */
function missing(a: Json, b: Json | undefined, at: string): string | undefined {
  if (b === undefined) return at;
  if (Array.isArray(a)) return a.map((x, i) => missing(x, (b as Json[])[i], `${at}[${i}]`)).find((x) => x);
  if (a && typeof a === "object")
    return Object.entries(a).map(([k, x]) => (b && typeof b === "object" ? missing(x, (b as Record<string, Json>)[k], `${at}.${k}`) : at)).find((x) => x); // prettier-ignore
  return undefined;
}
