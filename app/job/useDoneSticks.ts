import { useMemo } from "react";
import { doneSticks } from "core/job";
import { useJob } from "./JobContext";

/** All of the job that need not be cut again. */
export function useDoneSticks(): ReadonlySet<string> {
  const { statuses, issues } = useJob();
  return useMemo(() => doneSticks(statuses, issues), [statuses, issues]);
}
