import type { JobDoc } from "./document";
import { JobError } from "./error";
import { readJobText } from "./read";
import type { Issue } from "./issue";
import { checkIssue } from "./issueDoc";

/** A job as it travels: the document, its issues, and its pictures as base64 by their SHA-256. */
export interface JobFile {
  readonly doc: JobDoc;
  readonly issues: readonly Issue[];
  readonly files: Readonly<Record<string, string>>;
}

/** Text of a job file, laid out so that versions compare well. */
export function writeJobFile(f: JobFile): string {
  return `${JSON.stringify({ ...f.doc, ...(f.issues.length ? { issues: f.issues } : {}), ...(Object.keys(f.files).length ? { files: f.files } : {}) }, null, 1)}\n`;
}

/** Reads a job file. Errors: JobError with sentences. */
export function readJobFile(text: string): JobFile {
  const { doc, rest } = readJobText(text);
  const { issues = [], files = {} } = rest as { issues?: unknown; files?: unknown };
  if (!Array.isArray(issues)) throw new JobError(["At issues: they should be a list."]);
  issues.forEach((i, n) => checkIssue(i, `issues[${n}]`));
  if (
    typeof files !== "object" ||
    files === null ||
    Object.entries(files).some(([k, v]) => !/^[0-9a-f]{64}$/.test(k) || typeof v !== "string")
  )
    throw new JobError(["At files: each picture should stand as base64 text under its SHA-256."]);
  return { doc, issues: issues as Issue[], files: files as Record<string, string> };
}
