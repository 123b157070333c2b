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
  return out;
}
