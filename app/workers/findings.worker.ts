import { expose } from "comlink";
import { compareVariants, findings, type Comparison, type Finding } from "core/checks";
import { designOf, type JobDoc } from "core/job";
import type { IssuedMark } from "core/frame";

/** What takes too long on the main thread for a whole trestle: every pair of sticks and every joint looked at. */
const checker = {
  findings: (doc: JobDoc, issued: readonly IssuedMark[]): readonly Finding[] => findings(designOf(doc, issued)),
  compare: (doc: JobDoc, structure: string): Promise<readonly Comparison[]> => compareVariants(doc, structure),
};
export type Checker = typeof checker;
expose(checker);
