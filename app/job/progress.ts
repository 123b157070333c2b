import { useContext } from "react";
import { cutSticks, type Issue, type JobDoc } from "core/job";
import { JobContext } from "./JobContext";

/** Stages in which a job has something. */
export function progressOf(doc: JobDoc, issues: readonly Issue[]): Set<string> {
  const out = new Set<string>();
  const b = doc.brief;
  if (b.place || b.decisions.length > 0 || b.spotLength > 0 || b.era) out.add("brief");
  if (doc.drawings.length > 0) out.add("drawings");
  if (doc.structures.length > 0) out.add("framing");
  if (Object.keys(doc.stock.choices).length > 0 || doc.structures.length > 0) out.add("stock");
  if (cutSticks(issues).size > 0) out.add("cutting").add("bench");
  if (issues.some((i) => i.kind === "print")) out.add("jigs").add("bench");
  return out;
}
/** Progress of the job around, if there is one. */
export function useOptionalProgress(): Set<string> | undefined {
  const api = useContext(JobContext);
  return api && progressOf(api.doc, api.issues);
}
