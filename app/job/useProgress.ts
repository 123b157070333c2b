import { useContext } from "react";
import { benchStages, designStages } from "core/job";
import { JobContext } from "./JobContext";

/** Stages in which the job around has something, if there is a job. */
export function useOptionalProgress(): ReadonlySet<string> | undefined {
  const api = useContext(JobContext);
  return api && new Set([...designStages(api.doc), ...benchStages(api.issues)]);
}
