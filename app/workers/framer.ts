import { transfer } from "comlink";
import { compareVariants, type Comparison } from "core/checks";
import { buffersOf, packSeen, type PackedSeen } from "core/drawing";
import { cutStatuses, jobPicture, lookAt, type CutStatus, type Issue, type JobDoc, type Look, type LookAt } from "core/job"; // prettier-ignore
import { reportOf, type Report } from "~/job/report";
import { ticketOf, type TicketFacts } from "~/job/ticketFacts";
import { designFor, type Ask } from "./heldDesigns";

export type PackedLook = Omit<Look, "shown"> & { readonly shown: PackedSeen };

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
