import { transfer } from "comlink";
import { compareVariants, type Comparison } from "core/checks";
import { buffersOf, packSeen, type PackedSeen } from "core/drawing";
import type { IssuedMark } from "core/frame";
import { cutStatuses, designOf, jobPicture, lookAt, type CutStatus, type Design, type Issue, type JobDoc, type Look, type LookAt } from "core/job"; // prettier-ignore
import { reportOf, type Report } from "~/job/report";
import { ticketOf, type TicketFacts } from "~/job/ticketFacts";

/** A state of a job with its number: one that was asked about before is not framed again. */
export interface Ask {
  readonly n: number;
  readonly doc: JobDoc;
  readonly issued: readonly IssuedMark[];
}
export type PackedLook = Omit<Look, "shown"> & { readonly shown: PackedSeen };

/** The designs asked about last, the latest first. */
let held: { readonly n: number; readonly design: Design }[] = [];
function designFor({ n, doc, issued }: Ask): Design {
  const known = held.find((h) => h.n === n);
  const design = known?.design ?? designOf(doc, issued);
  held = [{ n, design }, ...held.filter((h) => h.n !== n)].slice(0, 2);
  return design;
}

/** What takes too long on the main thread for a large frame: laying it out, and looking at every pair of its sticks. */
export const framer = {
  /** A structure as it is looked at. */
  look(ask: Ask, structure: string, at: LookAt): PackedLook {
    const design = designFor(ask).structures.find((s) => s.structure.id === structure)!;
    const look = lookAt(design, at);
    const shown = packSeen(look.shown);
    return transfer({ ...look, shown }, buffersOf(shown));
  },
  report: (ask: Ask, issues: readonly Issue[]): Report => reportOf(designFor(ask), issues),
  statuses: (ask: Ask, issues: readonly Issue[]): readonly CutStatus[] => cutStatuses(designFor(ask), issues),
  ticket: (ask: Ask, stick: string): TicketFacts | undefined => ticketOf(designFor(ask), stick),
  /** How many sticks of a structure are left out as unseen. */
  unseen(ask: Ask, structure: string): number {
    const s = designFor(ask).structures.find((x) => x.structure.id === structure);
    return s?.kind.unseen?.(s.variant.params, s.context) ?? 0;
  },
  compare: (doc: JobDoc, structure: string): Promise<readonly Comparison[]> => compareVariants(doc, structure),
  /** The picture on the job's card. */
  picture: (ask: Ask): string => jobPicture(designFor(ask)),
};
export type Framer = typeof framer;
