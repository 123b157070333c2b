import { randomUUID } from "node:crypto";
import { completed, JOB_FORMAT, JOB_VERSION, JobError, migrate, type JobDoc } from "core/job";
import type { jobs } from "./schema.server";

export type Row = typeof jobs.$inferSelect;
export const now = (): string => new Date().toISOString();
export const newId = (): string => randomUUID().slice(0, 8);

/**
 * The document of a row as this Cardo understands it: one of an earlier version is brought up, and parameters that kinds
 * have gained get their usual values. Nothing is written; `old` says that the row holds an earlier shape, whose changes
 * can then not be undone. Errors: JobError that says why it cannot be read.
 */
export function parsed(r: Pick<Row, "doc">): { readonly doc: JobDoc; readonly old: boolean } {
  let raw: { format?: unknown; version?: unknown } | null;
  try {
    raw = JSON.parse(r.doc) as typeof raw;
  } catch {
    throw new JobError(["What is stored of this job is damaged: its text breaks off or is misspelt."]);
  }
  if (typeof raw !== "object" || raw === null || raw.format !== JOB_FORMAT)
    throw new JobError(["What is stored of this job is damaged: it is no job of Cardo's."]);
  const version = raw.version;
  if (typeof version !== "number" || version > JOB_VERSION)
    throw new JobError([
      `This job was kept by a newer Cardo (version ${JSON.stringify(version)} of a job; this one reads up to ${JOB_VERSION}). Open it with that one.`,
    ]);
  if (version === JOB_VERSION) return { doc: checkedShape(completed(raw) as JobDoc), old: false };
  try {
    return { doc: checkedShape(migrate(raw as Record<string, unknown>) as unknown as JobDoc), old: true };
  } catch {
    throw new JobError([`This job is of version ${version}, and could not be brought up to version ${JOB_VERSION}.`]);
  }
}
/** The parts without which no screen can show a job. A whole check is made of whatever comes in, not of each reading. */
function checkedShape(doc: JobDoc): JobDoc {
  const lists = [doc.drawings, doc.structures, doc.brief?.decisions];
  const whole =
    lists.every(Array.isArray) &&
    typeof doc.brief?.scale?.ratio === "number" &&
    typeof doc.brief.units?.prototype === "string" &&
    [doc.stock?.choices, doc.stock?.sticks, doc.cutting, doc.aside].every((x) => typeof x === "object" && x !== null) &&
    doc.structures.every((s) => Array.isArray(s?.variants) && s.variants.length > 0);
  if (!whole) throw new JobError(["What is stored of this job is damaged: parts of it are missing."]);
  return doc;
}
