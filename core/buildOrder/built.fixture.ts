import { readFileSync } from "node:fs";
import "../structures/all";
import { assemblyOf, type Assembly, type Step } from "../assembly";
import { finishParts, usualFinish, type FinishPart } from "../finish";
import { designOf, readJobText, type BuildDoc, type Design, type FinishPartDoc, type JobDoc, type StructureDesign } from "../job"; // prettier-ignore
import { withFinish } from "./finishSteps";

/** A demo job as it ships, without what was decided of its build. */
export const demo = (name: string): JobDoc => {
  const { build: _, ...doc } = readJobText(readFileSync(`examples/${name}.json`, "utf8")).doc;
  return doc;
};
/** A job with a build: the usual finish, or that changed. */
export function finished(doc: JobDoc, change: (b: BuildDoc) => BuildDoc = (b) => b): Design {
  return designOf({ ...doc, build: change(usualFinish(designOf(doc))) });
}
export interface Built {
  readonly d: Design;
  readonly s: StructureDesign;
  readonly parts: readonly FinishPart[];
  readonly a: Assembly;
}
export function built(d: Design, n = 0): Built {
  const s = d.structures[n]!;
  const parts = finishParts(d);
  return { d, s, parts, a: withFinish(s, assemblyOf(s), parts) };
}
/** The usual finish with one group done at another time or with other coats. */
export const but = (group: FinishPartDoc["group"], change: Partial<FinishPartDoc>) => (b: BuildDoc): BuildDoc => ({ ...b, finish: b.finish.map((f) => (f.group === group ? { ...f, ...change } : f)) }); // prettier-ignore
/** Where the first step is whose title fits. */
export const at = (steps: readonly Step[], title: RegExp): number => steps.findIndex((x) => title.test(x.title));
/** What of an order comes before what it has to come after. */
export const outOfOrder = (steps: readonly Step[]): string[] =>
  steps.flatMap((x, i) => x.after.filter((y) => !steps.slice(0, i).some((o) => o.id === y)).map((y) => `${x.title} before ${y}`)); // prettier-ignore
