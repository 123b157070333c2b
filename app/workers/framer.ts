import { transfer } from "comlink";
import { compareVariants, type Comparison } from "core/checks";
import { buffersOf, packSeen, type PackedSeen } from "core/drawing";
import { buildOf, cutStatuses, issueOf, jobPicture, lookAt, doneSticks, type CutStatus, type Issue, type JobDoc, type BuildDoc, type CoatDoc, type OrderEditDoc, type SpotCutDoc, type ThingDoc, type Look, type LookAt } from "core/job"; // prettier-ignore
import { applied, buildOrder } from "core/buildOrder";
import { holesOf, meetings } from "core/fasteners";
import { usualFinish } from "core/finish";
import type { Step, Way } from "core/assembly";
import { roomOf } from "core/inside/roomOf";
import type { Room } from "core/inside/room";
import { toCutOf, type ToCut } from "core/jigs/together";
import { framerOf, loadKinds } from "core/structures";
import {
  asThing,
  compress,
  fitOnSpot,
  onPhoto,
  spotSection,
  type Fitted,
  type PhotoOverlay,
  type Smaller,
  type SpotSection,
} from "core/spot";
import { gone, offered, sticksOfEra, YEAR_VIEWS, type Offered, type YearView } from "core/years";
import { planFacts, type PlanFacts } from "core/site";
import { reportOf, type Report } from "~/job/report";
import { ticketOf, type TicketFacts } from "~/job/ticketFacts";
import { shownAssembly, shownFinish, stepPicture, type ShownAssembly, type ShownFinish, type StepPicture } from "./assembler"; // prettier-ignore
import { designFor, type Ask } from "./heldDesigns";

/** Where something may join two sorts of parts, and holes by fastener. */
export interface ShownFasteners {
  readonly meetings: readonly { readonly structure: string; readonly joint: string; readonly count: number; readonly least: number }[]; // prettier-ignore
  readonly holes: Readonly<Record<string, number>>;
}
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
    if (ask.doc.sheetCutting?.card) await import("core/jigs/allSheets");
    return toCutOf(design, doneSticks(cutStatuses(design, issues), issues));
  },
  /** The order in which everything is put together. */
  assembly: async (ask: Ask, way: Way): Promise<ShownAssembly> => shownAssembly(await designFor(ask), way),
  /** The finish of everything, and how much it takes. */
  finish: async (ask: Ask): Promise<ShownFinish> => shownFinish(await designFor(ask)),
  /** What is decided of the build with the usual finish for all that has none. */
  usualFinish: async (ask: Ask, own: readonly CoatDoc[]): Promise<BuildDoc> => usualFinish(await designFor(ask), own),
  /** Where roles meet, so that something may join them, and how many holes each fastener has. */
  async fasteners(ask: Ask): Promise<ShownFasteners> {
    const d = await designFor(ask);
    return {
      meetings: d.structures.flatMap((s) => meetings(s).map((m) => ({ structure: s.structure.id, ...m }))),
      holes: Object.fromEntries(buildOf(d.doc).fasteners.map((f) => [f.id, d.structures.filter((s) => s.structure.id === f.structure).reduce((n, s) => n + holesOf(s, f).length, 0)])), // prettier-ignore
    };
  },
  /** Why a change of the order of a structure cannot be; undefined where it can. */
  async orderFault(ask: Ask, way: Way, structure: string, e: OrderEditDoc): Promise<string | undefined> {
    const d = await designFor(ask);
    const at = d.structures.findIndex((s) => s.structure.id === structure);
    const tried = applied(d.structures[at]!, buildOrder(d, way).orders[at]!.steps, e);
    return typeof tried === "string" ? tried : undefined;
  },
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
  /** The rooms of the structures that have one. */
  async rooms(ask: Ask): Promise<readonly Room[]> {
    return (await designFor(ask)).structures.flatMap((s) => roomOf(s) ?? []);
  },
  /** The spot cut upright. */
  section: async (ask: Ask, cut: SpotCutDoc): Promise<SpotSection> => spotSection(await designFor(ask), cut),
  /** All that can be given years. */
  offered: async (ask: Ask): Promise<readonly Offered[]> => offered(await designFor(ask)),
  /** A structure as it was in a year: what was not there yet or any more is only hinted at. */
  async inYear(ask: Ask, structure: string, year: number, at: YearView): Promise<StepPicture | undefined> {
    const d = await designFor(ask);
    const s = d.structures.find((x) => x.structure.id === structure);
    if (!s || s.fault) return undefined;
    const away = new Set(gone(d, s, year));
    // what has years and is there stands out
    const own = new Set((ask.doc.years ?? []).flatMap((e) => sticksOfEra(s, e)));
    const there = s.resolved.sticks.map((k) => k.id).filter((id) => !away.has(id));
    return stepPicture(d, { structure, sticks: there.filter((id) => own.has(id)), there: there.filter((id) => !own.has(id)), view: YEAR_VIEWS[at] }); // prettier-ignore
  },
  /** The structures on the photograph of their place. */
  async onPhoto(ask: Ask, size: readonly [number, number], most: number): Promise<PhotoOverlay> {
    const p = onPhoto(await designFor(ask), size, most);
    return transfer(p, [p.rgba.buffer]);
  },
  /** The structures of another job as what stands on a spot. */
  asThing: async (ask: Ask, job: string, id: string): Promise<ThingDoc | undefined> =>
    asThing(await designFor(ask), job, id),
  /** A structure made to fit its spot by whole parts; undefined where its kind is not. */
  async compress(ask: Ask, structure: string): Promise<Smaller | undefined> {
    const d = await designFor(ask);
    const { spotLength, spotDepth } = d.doc.brief;
    return compress(
      d.structures.find((s) => s.structure.id === structure)!,
      { length: spotLength, depth: spotDepth },
    );
  },
  /** Where a structure goes on its spot, or why nowhere. */
  fit: async (ask: Ask, structure: string): Promise<Fitted> => fitOnSpot(await designFor(ask), structure),
  /** How the structures look from above. */
  plan: async (ask: Ask): Promise<readonly PlanFacts[]> => planFacts(await designFor(ask)),
  /** The picture on the job's card. */
  picture: async (ask: Ask): Promise<string> => jobPicture(await designFor(ask)),
};
export type Framer = typeof framer;
