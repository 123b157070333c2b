import { JOB_VERSION } from "./document";

type Raw = Record<string, unknown>;
/** MIGRATIONS[n] takes a document of version n to n + 1. Each has a fixture of before and after beside its test. */
export const MIGRATIONS: Readonly<Record<number, (doc: Raw) => Raw>> = {};

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
