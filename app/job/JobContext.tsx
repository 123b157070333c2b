import { produce, type Draft } from "immer";
import { createContext, use, useCallback, useContext, useEffect, useMemo, useReducer, useRef, useState, type ReactNode } from "react"; // prettier-ignore
import { useLocation } from "react-router";
import { toast } from "sonner";
import type { Finding } from "core/checks";
import {
  benchEvent,
  designOf,
  issuedMarks,
  benchOf,
  paramProblems,
  type BenchKind,
  type BenchNote,
  type CutStatus,
  type Design,
  type Issue,
  type JobDoc,
  type VariantDoc,
} from "core/job";
import type { CutMove } from "core/drawer";
import { diff, type Patch } from "core/keeping";
import { tellIn, type Units } from "core/units";
import { facesAtHand, kindsAtHand, loadFaces, loadKinds } from "core/structures";
import type { JobState } from "~/data/jobs.server";
import type { Ask } from "~/workers/heldDesigns";
import type { NextStep } from "~/ui/nextStep";
import { AWAY_FROM, askLooker, newAsk } from "./framer";
import { useReport, useStatuses } from "./useReport";
import { newEntryId, useKeeping, type KeepingApi } from "./useKeeping";

export type Recipe = (draft: Draft<JobDoc>) => void;

/** A job in the hands of the person at the screen: what is decided, what follows, and how to change it. */
export interface JobApi {
  readonly id: string;
  readonly doc: JobDoc;
  readonly design: Design;
  /** The frame was not made here, since it is large or what makes it is not loaded: a worker makes it and answers what is asked with `ask`; what `design` computes would hold the page. */
  readonly away: boolean;
  /** Does something that needs frames: at once, or as soon as what makes them is loaded. */
  whenFramed(act: () => void): void;
  readonly ask: Ask;
  readonly findings: readonly Finding[];
  /** The findings are those of an earlier state: the check of this one is under way. */
  readonly checking: boolean;
  /** The next useful step; undefined while it is not known. */
  readonly next: NextStep | undefined;
  /** How many marks a structure has; undefined while they are not known. */
  readonly marks: (structure: string) => number | undefined;
  readonly issues: readonly Issue[];
  readonly statuses: readonly CutStatus[];
  /** Changes the design: kept as one revision. Answers why not, and then nothing changed. */
  edit(label: string, recipe: Recipe): readonly string[];
  /** Shows a change without keeping it, while something is dragged; undefined ends it. */
  preview(recipe: Recipe | undefined): readonly string[];
  /** A change that is being typed and not made yet: what it would show is begun, so that it is there when it is made. */
  ahead(recipe: Recipe): void;
  /** Who begins it, where frames are made by a worker; answers how to end that. */
  whenAhead(begin: (to: Ask) => void): () => void;
  undo(): void;
  redo(): void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly undoLabel: string;
  readonly redoLabel: string;
  /** Whether all is kept, on its way, waiting for a server that is away, or for a job that was taken off the shelf. */
  readonly kept: KeepingApi["standing"];
  /** What the server says of its own fault, where it has one. */
  readonly fault: string | undefined;
  readonly keptAt: string;
  /** The revision that is kept. */
  readonly revision: number;
  /** Settles when all is kept; answers whether that came within a few seconds. */
  whenKept(): Promise<boolean>;
  /** Notes a print, a cut, or a cut taken back: it stands as soon as a worker has frozen the design for it, and is kept like an edit. */
  addIssue(kind: Issue["kind"], sticks?: readonly string[], moves?: readonly CutMove[]): void;
  /** The stick that is pointed at; stays from stage to stage. */
  /** Notes something at the bench: kept like a cut, also while the server is away. */
  note(kind: BenchKind, bench: BenchNote, sticks?: readonly string[]): void;
  readonly selected: string | undefined;
  select(stick: string | undefined): void;
  /** Another tab changed the job, and this one has changes that were made before it knew. */
  readonly conflict: boolean;
  settleConflict(keepMine: boolean): void;
}
export const JobContext = createContext<JobApi | undefined>(undefined);
export function useJob(): JobApi {
  const api = useContext(JobContext);
  if (!api) throw new Error("useJob stands outside a job.");
  return api;
}

const kindsOf = (doc: JobDoc): string[] => [...new Set(doc.structures.map((s) => s.kind))].sort();
const underWay = new Map<string, Promise<void>>();
/** Waits until something is loaded, once for everybody who asks by the same key: the nearest Suspense shows what it has until then. */
function useLoaded(key: string, atHand: boolean, load: () => Promise<void>): void {
  if (atHand) return;
  if (!underWay.has(key)) underWay.set(key, load());
  use(underWay.get(key)!);
}
/** Waits until all of the kinds of a job is loaded, what makes their sticks too. */
export function useFrames(doc: JobDoc): void {
  const ids = kindsOf(doc);
  useLoaded(ids.join(" "), kindsAtHand(ids), () => loadKinds(ids));
}
/** Waits for what the stage needs of the kinds of a job: on the Framing stage sticks come from a worker first. */
export function useKinds(doc: JobDoc): void {
  const ids = kindsOf(doc);
  const shows = useLocation().pathname.split("/")[3] === "framing";
  useLoaded(shows ? `faces ${ids.join(" ")}` : ids.join(" "), shows ? facesAtHand(ids) : kindsAtHand(ids), () =>
    shows ? loadFaces(ids) : loadKinds(ids),
  );
}

function problems(before: JobDoc, after: JobDoc): string[] {
  const old = new Set<VariantDoc>(before.structures.flatMap((s) => s.variants));
  return after.structures.flatMap((s) =>
    s.variants.filter((v) => !old.has(v)).flatMap((v) => paramProblems(s.kind, v.params, benchOf(after, s.id))),
  );
}

/** A finding in the units of the job. */
const told = (f: Finding, units: Units): Finding => ({
  ...f,
  text: tellIn(f.text, units),
  ...(f.remedy ? { remedy: { ...f.remedy, label: tellIn(f.remedy.label, units) } } : {}),
});

export function JobProvider({ initial, children }: { initial: JobState; children: ReactNode }) {
  const keeping = useKeeping(initial);
  const { state, act, settle, whenKept, more } = keeping;
  const [draft, setDraft] = useState<JobDoc>();
  const [selected, select] = useState<string>();
  const { doc, past, future } = state.head;
  const issues = state.events;
  const latest = useRef(state);
  latest.current = state;

  const begun = useRef<{ readonly doc: string; readonly ask: Ask }>(undefined);
  const edit = useCallback(
    (label: string, recipe: Recipe): readonly string[] => {
      const before = latest.current.head.doc;
      const next = produce(before, recipe);
      setDraft(undefined);
      // what was begun while it was typed was looked at then
      const refused = begun.current?.doc === JSON.stringify(next) ? [] : problems(before, next);
      if (refused.length > 0) return refused.map((t) => tellIn(t, before.brief.units));
      // as they will be read again, so that the screen never differs from what is kept
      const patches = JSON.parse(JSON.stringify(diff(before, next))) as Patch[];
      if (patches.length > 0)
        latest.current = act({ do: "edit", id: newEntryId(), label: label.slice(0, 200), patches });
      return [];
    },
    [act],
  );
  const preview = useCallback((recipe: Recipe | undefined): readonly string[] => {
    if (!recipe) {
      setDraft(undefined);
      return [];
    }
    const before = latest.current.head.doc;
    const next = produce(before, recipe);
    const refused = problems(before, next);
    if (refused.length === 0) setDraft(next);
    return refused.map((t) => tellIn(t, before.brief.units));
  }, []);
  const marks = useMemo(() => issuedMarks(issues), [issues]);
  const begin = useRef<(to: Ask) => void>(undefined);
  const whenAhead = useCallback((b: (to: Ask) => void) => {
    begin.current = b;
    return () => void (begin.current === b && (begin.current = undefined));
  }, []);
  const elsewhere = useRef(false);
  const ahead = useCallback(
    (recipe: Recipe): void => {
      if (!begin.current || !elsewhere.current) return;
      const before = latest.current.head.doc;
      const next = produce(before, recipe);
      if (next === before || problems(before, next).length > 0) return;
      const doc = JSON.stringify(next);
      if (begun.current?.doc === doc) return;
      begun.current = { doc, ask: newAsk(next, marks) };
      begin.current(begun.current.ask);
    },
    [marks],
  );
  const step = useCallback(
    async (kind: "undo" | "redo") => {
      const { head, confirmed, pending } = latest.current;
      if (kind === "undo" && head.past.length === 0 && confirmed.older > 0 && pending.length === 0) {
        await more();
      }
      const label = (kind === "undo" ? latest.current.head.past : latest.current.head.future).at(-1)?.label;
      if (label === undefined) return;
      latest.current = act({ do: kind, id: newEntryId() });
      toast(tellIn(`${kind === "undo" ? "Undone" : "Done again"}: ${label}`, latest.current.head.doc.brief.units), {
        id: "undo",
        duration: 4000,
      });
    },
    [act, more],
  );
  const undo = useCallback(() => void step("undo"), [step]);
  const redo = useCallback(() => void step("redo"), [step]);

  const shown = draft ?? doc;
  useKinds(shown);
  const design = useMemo(() => designOf(shown, marks), [shown, marks]);
  const settled = useMemo(() => (shown === doc ? design : designOf(doc, marks)), [shown, doc, design, marks]);
  const ask = useMemo(() => {
    const b = begun.current;
    return b && b.ask.issued === marks && b.doc === JSON.stringify(shown) ? b.ask : newAsk(shown, marks);
  }, [shown, marks]);
  const settledAsk = useMemo(() => (shown === doc ? ask : newAsk(doc, marks)), [shown, doc, ask, marks]);
  const { units } = shown.brief;
  // how large a frame is shows once it is made: the first is made here where that can be, those after it where its size asks for
  const known = useRef(0);
  const framesHere = kindsAtHand(kindsOf(shown)) && kindsAtHand(kindsOf(doc));
  const away = !framesHere || (known.current > AWAY_FROM && !design.structures.every((s) => s.framed));
  if (!away) known.current = design.structures.reduce((n, s) => n + s.resolved.sticks.length, 0);
  elsewhere.current = !framesHere || known.current > AWAY_FROM;
  const { report, checking } = useReport(settledAsk, issues, elsewhere.current);
  if (away && report && !checking) known.current = report.sticks;
  const [, loadedMore] = useReducer((n: number) => n + 1, 0);
  const whenFramed = useCallback(
    (then: () => void) => {
      const ids = kindsOf(doc);
      if (kindsAtHand(ids)) then();
      else void loadKinds(ids).then(() => (loadedMore(), then()), () => undefined); // prettier-ignore
    },
    [doc],
  );
  // what makes sticks comes once the page has said what it has to say
  useEffect(() => {
    if (report && !framesHere) whenFramed(() => undefined);
  }, [report, framesHere, whenFramed]);
  const found = useMemo(() => report?.findings.map((f) => told(f, units)) ?? [], [report, units]);
  const all = useStatuses(settledAsk, settled, issues, away);
  const statuses = useMemo(() => all.map((s) => ({ ...s, words: tellIn(s.words, units) })), [all, units]);
  const addIssue = useCallback(
    (kind: Issue["kind"], sticks?: readonly string[], moves?: readonly CutMove[]) => {
      const id = newEntryId();
      void askLooker((w) => w.issue(settledAsk, kind, id, new Date().toISOString(), sticks)).then(
        (event) => act({ do: "event", id, event: moves ? { ...event, moves } : event }),
        (e: unknown) => toast.error(`This could not be noted: ${(e as Error).message}. Try it again.`),
      );
    },
    [act, settledAsk],
  );
  const note = useCallback(
    (kind: BenchKind, bench: BenchNote, sticks?: readonly string[]) => {
      const id = newEntryId();
      act({ do: "event", id, event: benchEvent(kind, id, new Date().toISOString(), bench, sticks) });
    },
    [act],
  );
  const { theirs } = state;
  const api: JobApi = {
    id: initial.id,
    doc: shown,
    design,
    away,
    whenFramed,
    ask,
    findings: found,
    checking,
    next: report?.next,
    marks: (structure) => report?.marks[structure],
    issues,
    statuses,
    edit,
    preview,
    ahead,
    whenAhead,
    undo,
    redo,
    canUndo: past.length > 0 || (state.confirmed.older > 0 && state.pending.length === 0),
    canRedo: future.length > 0,
    undoLabel: tellIn(past.at(-1)?.label ?? "", units),
    redoLabel: tellIn(future.at(-1)?.label ?? "", units),
    kept: keeping.standing,
    fault: keeping.fault,
    keptAt: state.confirmed.at,
    revision: state.confirmed.revision,
    whenKept,
    addIssue,
    note,
    selected,
    select,
    conflict: theirs !== undefined,
    settleConflict: settle,
  };
  return <JobContext.Provider value={api}>{children}</JobContext.Provider>;
}
