import { defaultsOf, type Spec } from "../structures";
import { KINDS } from "../structures/all";
import { JOB_VERSION } from "./document";

type Raw = Record<string, unknown>;
/** MIGRATIONS[n] takes a document of version n to n + 1. Each has a fixture of before and after beside its test. */
export const MIGRATIONS: Readonly<Record<number, (doc: Raw) => Raw>> = { 1: manyLengths };

/** 1 to 2: a sheet's scale may come from several lengths, and it may lie under several structures, from the front and the side. */
function manyLengths(doc: Raw): Raw {
  const drawings = (doc.drawings as Raw[]).map(({ calibration, under, ...d }): Raw => {
    const { tilt, ...length } = (calibration ?? {}) as Raw;
    const known = { id: "k1", name: "Known length", ...length, use: "scale" };
    return {
      ...d,
      ...(calibration ? { calibration: { lengths: [known], stretch: "auto", tilt } } : {}),
      openings: [],
      under: under ? [{ ...(under as Raw), view: "front" }] : [],
    };
  });
  return { ...doc, version: 2, drawings };
}

/** A document of an earlier version brought up to this one. Errors: a version nobody can migrate from. */
export function migrate(doc: Raw): Raw {
  let out = doc;
  while (out.version !== JOB_VERSION) {
    const step = MIGRATIONS[out.version as number];
    if (!step)
      throw new Error(`A job file of version ${String(out.version)} cannot be brought up to version ${JOB_VERSION}.`);
    out = step(out);
  }
  return completed(out);
}

/** A document in which every parameter of a known kind has a value: one that a kind has gained since has its usual one, in tables too. The same object where nothing is missing. */
export function completed<D extends object>(doc: D): D {
  const { structures } = doc as { structures?: unknown };
  if (!Array.isArray(structures)) return doc;
  const whole = mapped(structures as Raw[], (s) => {
    const kind = KINDS.find((k) => k.id === s.kind);
    if (!kind || !Array.isArray(s.variants)) return s;
    const variants = mapped(s.variants as Raw[], (v) => {
      const params = filled(kind.spec, v.params);
      return params === v.params ? v : { ...v, params };
    });
    return variants === s.variants ? s : { ...s, variants };
  });
  return whole === structures ? doc : { ...doc, structures: whole };
}
/** A list with some of its items replaced; the same list where none is. */
function mapped(list: readonly Raw[], f: (x: Raw) => Raw): readonly Raw[] {
  const out = list.map(f);
  return out.every((x, i) => x === list[i]) ? list : out;
}
function filled(spec: Spec, given: unknown): unknown {
  if (typeof given !== "object" || given === null || Array.isArray(given)) return given;
  const params = given as Raw;
  const usual = defaultsOf(spec) as Raw;
  const missing = Object.keys(usual).filter((k) => params[k] === undefined);
  const rows = Object.entries(spec).flatMap(([k, p]): [string, unknown][] => {
    if (p.type !== "table" || !Array.isArray(params[k])) return [];
    const list = mapped(params[k] as Raw[], (r) => filled(p.columns, r) as Raw);
    return list === params[k] ? [] : [[k, list]];
  });
  if (missing.length === 0 && rows.length === 0) return given;
  return { ...params, ...Object.fromEntries(missing.map((k) => [k, usual[k]])), ...Object.fromEntries(rows) };
}
