import "core/structures/all";
import { expose } from "comlink";
import { compareVariants, findings, type Comparison, type Finding } from "core/checks";
import { designOf, jobPicture, type JobDoc } from "core/job";
import type { IssuedMark } from "core/frame";

/** What takes too long on the main thread for a large frame: every pair of sticks and every joint looked at. */
const framer = {
  findings: (doc: JobDoc, issued: readonly IssuedMark[]): readonly Finding[] => findings(designOf(doc, issued)),
  compare: (doc: JobDoc, structure: string): Promise<readonly Comparison[]> => compareVariants(doc, structure),
  /** The picture on the job's card. */
  picture: (doc: JobDoc): string => jobPicture(designOf(doc)),
};
export type Framer = typeof framer;
expose(framer);
