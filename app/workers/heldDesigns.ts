import type { IssuedMark } from "core/frame";
import { designOf, type Design, type JobDoc } from "core/job";
import { loadKinds } from "core/structures";

/** A state of a job with its number: one that was asked about before is not framed again. */
export interface Ask {
  readonly n: number;
  readonly doc: JobDoc;
  readonly issued: readonly IssuedMark[];
}
/** The designs asked about last, the latest first. */
let held: { readonly n: number; readonly design: Design }[] = [];
/** The design of a state of a job, framed anew unless it is one of the last three asked about. The kinds it is of are loaded first. */
export async function designFor({ n, doc, issued }: Ask): Promise<Design> {
  await loadKinds(doc.structures.map((s) => s.kind));
  const known = held.find((h) => h.n === n);
  const design = known?.design ?? designOf(doc, issued);
  held = [{ n, design }, ...held.filter((h) => h.n !== n)].slice(0, 3);
  return design;
}
