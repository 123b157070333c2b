import { benchStages, designStages } from "core/job";
import { useJob } from "./JobContext";

/** Stages in which the person has done something. */
export function useProgress(): ReadonlySet<string> {
  const { doc, issues } = useJob();
  return new Set([...designStages(doc), ...benchStages(issues)]);
}
