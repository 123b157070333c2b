import { useMemo } from "react";
import { cutStatuses, type CutStatus, type Design, type Issue } from "core/job";
import type { Ask } from "~/workers/heldDesigns";
import { askChecker, askLooker } from "./framer";
import type { Report } from "./report";
import { useAnswer } from "./useAnswer";

/** A pause after the last edit before a large frame is checked, ms: a run of edits is checked once. */
const PAUSE = 400;

/** What is said of a job as it is kept: it comes from a worker, and until it does it is what was said before. */
export function useReport(
  ask: Ask,
  issues: readonly Issue[],
  large: boolean,
): { readonly report: Report | undefined; readonly checking: boolean } {
  const request = useMemo(() => () => askChecker((w) => w.report(ask, issues)), [ask, issues]);
  const { answer, fresh } = useAnswer<Report>(request, large ? PAUSE : 0);
  return { report: answer, checking: !fresh };
}

/** How the sticks that were cut stand to the design: here where it is framed, else from the worker. */
export function useStatuses(ask: Ask, design: Design, issues: readonly Issue[], away: boolean): readonly CutStatus[] {
  const far = away && issues.some((i) => i.kind === "cut");
  const now = useMemo(() => (far ? undefined : away ? [] : cutStatuses(design, issues)), [design, issues, far, away]);
  const request = useMemo(
    () => (far ? () => askLooker((w) => w.statuses(ask, issues)) : undefined),
    [ask, issues, far],
  );
  const { answer } = useAnswer<readonly CutStatus[]>(request);
  return now ?? answer ?? NONE;
}
const NONE: readonly CutStatus[] = [];
