import { designHash, scaleOfDrawing, serves, type CutStatus, type Design, type Issue, type JobDoc } from "core/job";
import type { Finding } from "core/checks";

export interface NextStep {
  readonly stage: "drawings" | "framing" | "stock" | "jigs" | "cutting" | "bench";
  readonly text: string;
}
const many = (n: number, one: string): string => `${n} ${one}${n === 1 ? "" : "s"}`;

/**
 * The first thing of a job that is really undone, in the order in which people work: every drawing to its scale, a
 * structure, no fault, stock that somebody has chosen, jigs of this very design, all pieces cut.
 */
export function nextStep(job: {
  readonly doc: JobDoc;
  readonly design: Design;
  readonly findings: readonly Finding[];
  readonly issues: readonly Issue[];
  readonly statuses: readonly CutStatus[];
}): NextStep {
  const { doc, design, findings, issues, statuses } = job;
  if (doc.structures.length === 0 && doc.drawings.length === 0)
    return { stage: "framing", text: "Choose what to frame, or upload a drawing first" };
  // a photograph of the place that structures are stood on has its own corners, and no one scale
  const bare = doc.drawings.find((d) => !scaleOfDrawing(d) && d.id !== doc.spot?.photo?.drawing);
  if (bare) return { stage: "drawings", text: `Calibrate ${bare.name}` };
  if (doc.structures.length === 0) return { stage: "framing", text: "Frame a structure" };
  const faults = findings.filter((f) => f.level === "fault" && f.aside === undefined).length;
  if (faults > 0) return { stage: "framing", text: `Look at ${many(faults, "fault")}` };
  const open = [...design.stock.keys(), ...design.sheets.keys()].filter((n) => !doc.stock.choices[n]).length;
  if (open > 0) return { stage: "stock", text: `Choose the stock of ${many(open, "section")}` };
  const prints = issues.filter((i) => i.kind === "print");
  if (prints.length === 0) return { stage: "jigs", text: "Print the jigs" };
  if (!prints.some((p) => p.hash === designHash(design)))
    return { stage: "jigs", text: "The printed jigs are stale: print them again" };
  const all = design.pieces.reduce((n, p) => n + p.sticks.length, 0);
  const todo = all - statuses.filter(serves).length;
  return todo > 0
    ? { stage: "cutting", text: `Cut ${todo === all ? "" : "the other "}${many(todo, "piece")}` }
    : { stage: "bench", text: "All is cut: build it" };
}
