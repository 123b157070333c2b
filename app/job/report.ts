import { findings as findingsOf, type Finding } from "core/checks";
import { cutStatuses, type Design, type Issue } from "core/job";
import { nextStep, type NextStep } from "~/ui/nextStep";

/** What is said of a job as it is: what Cardo thinks of it, what comes next, and how much there is of it. */
export interface Report {
  readonly findings: readonly Finding[];
  readonly next: NextStep;
  /** How many sticks there are in all. */
  readonly sticks: number;
  /** Marks of each structure, by its id. */
  readonly marks: Readonly<Record<string, number>>;
}
export function reportOf(design: Design, issues: readonly Issue[]): Report {
  const findings = findingsOf(design);
  const statuses = cutStatuses(design, issues);
  return {
    findings,
    next: nextStep({ doc: design.doc, design, findings, issues, statuses }),
    sticks: design.structures.reduce((n, s) => n + s.resolved.sticks.length, 0),
    marks: Object.fromEntries(
      design.structures.map(({ structure: { id } }) => [
        id,
        design.pieces.filter((p) => p.sticks.some((x) => x.startsWith(`${id}/`))).length,
      ]),
    ),
  };
}
