import { transfer } from "comlink";
import { compareVariants, type Comparison } from "core/checks";
import { buffersOf, packSeen, type PackedSeen } from "core/drawing";
import { cutStatuses, issueOf, jobPicture, lookAt, serves, type CutStatus, type Issue, type JobDoc, type Look, type LookAt } from "core/job"; // prettier-ignore
import type { Step, Way } from "core/assembly";
import { toCutOf, type ToCut } from "core/jigs/together";
import { framerOf, loadKinds } from "core/structures";
import { planFacts, type PlanFacts } from "core/site";
import { reportOf, type Report } from "~/job/report";
import { ticketOf, type TicketFacts } from "~/job/ticketFacts";
import { shownAssembly, stepPicture, type ShownAssembly, type StepPicture } from "./assembler";
import { designFor, type Ask } from "./heldDesigns";

export type PackedLook = Omit<Look, "shown"> & { readonly shown: PackedSeen };

/** What takes too long on the main thread for a large frame: laying it out, and looking at every pair of its sticks. */
export const framer = {
  /** Fetches what frames these kinds, ahead of the first question. */
  load: (kinds: readonly string[]): Promise<void> => loadKinds(kinds),
  /** A structure as it is looked at. */
  async look(ask: Ask, structure: string, at: LookAt): Promise<PackedLook> {
    const design = (await designFor(ask)).structures.find((s) => s.structure.id === structure)!;
    const look = lookAt(design, at);
    const shown = packSeen(look.shown);
    return transfer({ ...look, shown }, buffersOf(shown));
  },
  report: async (ask: Ask, issues: readonly Issue[]): Promise<Report> => reportOf(await designFor(ask), issues),
  statuses: async (ask: Ask, issues: readonly Issue[]): Promise<readonly CutStatus[]> =>
    cutStatuses(await designFor(ask), issues),
  /** A print, a cut or a cut taken back, with all that it freezes of the design. */
  issue: async (ask: Ask, kind: Issue["kind"], id: string, at: string, sticks?: readonly string[]): Promise<Issue> =>
    issueOf(await designFor(ask), kind, id, at, sticks),
  /** What a job still has to be cut, and what of it is cut. */
  async toCut(ask: Ask, issues: readonly Issue[]): Promise<ToCut> {
    const design = await designFor(ask);
    return toCutOf(
      design,
      new Set(
        cutStatuses(design, issues)
          .filter(serves)
          .map((s) => s.stick),
      ),
    );
  },
  /** The order in which everything is put together. */
  assembly: async (ask: Ask, way: Way): Promise<ShownAssembly> => shownAssembly(await designFor(ask), way),
  /** How a step looks. */
  step: async (
    ask: Ask,
    step: Pick<Step, "structure" | "sticks" | "there" | "view">,
    whole?: readonly string[],
  ): Promise<StepPicture | undefined> => stepPicture(await designFor(ask), step, whole),
  ticket: async (ask: Ask, stick: string): Promise<TicketFacts | undefined> => ticketOf(await designFor(ask), stick),
  /** How many sticks of a structure are left out as unseen. */
  async unseen(ask: Ask, structure: string): Promise<number> {
    const s = (await designFor(ask)).structures.find((x) => x.structure.id === structure);
    return s ? (framerOf(s.kind.id).unseen?.(s.variant.params, s.context) ?? 0) : 0;
  },
  async compare(doc: JobDoc, structure: string): Promise<readonly Comparison[]> {
    await loadKinds(doc.structures.map((s) => s.kind));
    return compareVariants(doc, structure);
  },
  /** How the structures look from above. */
  plan: async (ask: Ask): Promise<readonly PlanFacts[]> => planFacts(await designFor(ask)),
  /** The picture on the job's card. */
  picture: async (ask: Ask): Promise<string> => jobPicture(await designFor(ask)),
};
export type Framer = typeof framer;
