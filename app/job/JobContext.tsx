import { enablePatches, produceWithPatches, type Draft, type Patch } from "immer";
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { toast } from "sonner";
import type { Finding } from "core/checks";
import {
  cutStatuses,
  designOf,
  issuedMarks,
  paramProblems,
  type CutStatus,
  type Design,
  type Issue,
  type JobDoc,
  type VariantDoc,
} from "core/job";
import type { JobState } from "~/data/jobs.server";
import { useFindings } from "./useFindings";

enablePatches();
export type Recipe = (draft: Draft<JobDoc>) => void;

/** A job in the hands of the person at the screen: what is decided, what follows, and how to change it. */
export interface JobApi {
  readonly id: string;
  readonly doc: JobDoc;
  readonly design: Design;
  readonly findings: readonly Finding[];
  /** The findings are those of an earlier state: the check of this one is under way. */
  readonly checking: boolean;
  readonly issues: readonly Issue[];
  readonly statuses: readonly CutStatus[];
  /** Changes the design: kept as one revision. Answers why not, and then nothing changed. */
  edit(label: string, recipe: Recipe): readonly string[];
  /** Shows a change without keeping it, while something is dragged; undefined ends it. */
  preview(recipe: Recipe | undefined): readonly string[];
  undo(): void;
  redo(): void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly undoLabel: string;
  readonly redoLabel: string;
  readonly kept: "kept" | "keeping" | "waiting";
  readonly keptAt: string;
  addIssue(kind: Issue["kind"], sticks?: readonly string[]): Promise<boolean>;
  /** The stick that is pointed at; stays from stage to stage. */
  readonly selected: string | undefined;
  select(stick: string | undefined): void;
  /** Another tab changed the job; `mine` is what this tab could not keep. */
  readonly conflict: { readonly mine: JobDoc } | undefined;
  settleConflict(keepMine: boolean): Promise<void>;
}
export const JobContext = createContext<JobApi | undefined>(undefined);
export function useJob(): JobApi {
  const api = useContext(JobContext);
  if (!api) throw new Error("useJob stands outside a job.");
  return api;
}

/** The variant of a structure that is chosen. */
export const chosenVariant = <V extends { id: string }>(s: { chosen: string; variants: V[] }): V =>
  s.variants.find((v) => v.id === s.chosen) ?? s.variants[0]!;

function problems(before: JobDoc, after: JobDoc): string[] {
  const old = new Set<VariantDoc>(before.structures.flatMap((s) => s.variants));
  return after.structures.flatMap((s) =>
    s.variants.filter((v) => !old.has(v)).flatMap((v) => paramProblems(s.kind, v.params)),
  );
}

export async function post<T>(url: string, body: unknown): Promise<T> {
  const r = await fetch(url, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  });
  if (!r.ok && r.status >= 500) throw new Error(`The server answered ${r.status}.`);
  return (await r.json()) as T;
}
type Answer = { ok: true; state: JobState } | { ok: false; conflict: boolean; state?: JobState; sentences?: string[] };
const RETRY_MS = 2000;

export function JobProvider({ initial, children }: { initial: JobState; children: ReactNode }) {
  const [state, setState] = useState(initial);
  const [doc, setDoc] = useState(initial.doc);
  const [draft, setDraft] = useState<JobDoc>();
  const [issues, setIssues] = useState(initial.issues);
  const [selected, select] = useState<string>();
  const [kept, setKept] = useState<JobApi["kept"]>("kept");
  const [conflict, setConflict] = useState<JobApi["conflict"]>();
  const latest = useRef(initial.doc);
  const revision = useRef(initial.revision);
  const queue = useRef(Promise.resolve());
  const waiting = useRef(0);
  const blocked = useRef(false);
  const url = `/jobs/${initial.id}`;
  const channel = useRef<BroadcastChannel>(undefined);

  useEffect(() => {
    const c = new BroadcastChannel(`cardo-${initial.id}`);
    channel.current = c;
    c.onmessage = (m: MessageEvent<number>) => {
      if (m.data > revision.current)
        toast("This job was just changed in another tab.", {
          id: "other-tab",
          description: "Load it again to go on from there.",
          action: { label: "Load it again", onClick: () => location.reload() },
        });
    };
    return () => c.close();
  }, [initial.id]);

  const take = useCallback((s: JobState, withDoc: boolean) => {
    revision.current = s.revision;
    setState(s);
    if (withDoc) {
      latest.current = s.doc;
      setDoc(s.doc);
    }
  }, []);

  /** Sends one change after another; a lost connection is tried again, so that nothing typed is lost. */
  const send = useCallback(
    (body: (base: number) => unknown, withDoc: boolean) => {
      waiting.current++;
      setKept("keeping");
      queue.current = queue.current.then(async () => {
        while (!blocked.current) {
          try {
            const a = await post<Answer>(`${url}/revisions`, body(revision.current));
            if (a.ok) {
              take(a.state, withDoc);
              channel.current?.postMessage(a.state.revision);
            } else if (a.conflict && a.state) {
              blocked.current = true;
              setConflict({ mine: latest.current });
            } else {
              toast.error(a.sentences?.[0] ?? "That could not be kept.");
              const fresh = await post<{ ok: true; state: JobState }>(`${url}/revisions`, { read: true });
              take(fresh.state, true);
            }
            break;
          } catch {
            setKept("waiting");
            await new Promise((r) => setTimeout(r, RETRY_MS));
          }
        }
        if (--waiting.current === 0) setKept("kept");
      });
    },
    [take, url],
  );

  const edit = useCallback(
    (label: string, recipe: Recipe): readonly string[] => {
      const [next, patches] = produceWithPatches(latest.current, recipe);
      setDraft(undefined);
      const refused = problems(latest.current, next);
      if (refused.length > 0 || patches.length === 0) return refused;
      latest.current = next;
      setDoc(next);
      send((base) => ({ base, label, patches: patches as Patch[] }), false);
      return [];
    },
    [send],
  );
  const preview = useCallback((recipe: Recipe | undefined): readonly string[] => {
    if (!recipe) {
      setDraft(undefined);
      return [];
    }
    const [next] = produceWithPatches(latest.current, recipe);
    const refused = problems(latest.current, next);
    if (refused.length === 0) setDraft(next);
    return refused;
  }, []);
  const undo = useCallback(() => send((base) => ({ base, step: "undo" }), true), [send]);
  const redo = useCallback(() => send((base) => ({ base, step: "redo" }), true), [send]);

  const addIssue = useCallback(
    async (kind: Issue["kind"], sticks?: readonly string[]) => {
      await queue.current;
      try {
        const a = await post<{ ok: boolean; issues?: Issue[]; sentence?: string }>(`${url}/issues`, {
          kind,
          sticks,
          revision: revision.current,
        });
        if (a.issues) setIssues(a.issues);
        else toast.error(a.sentence ?? "That could not be kept.");
        return a.ok;
      } catch {
        toast.error("The server does not answer, so this was not kept. Try again in a moment.");
        return false;
      }
    },
    [url],
  );
  const settleConflict = useCallback(
    async (keepMine: boolean) => {
      const a = await post<Answer>(
        `${url}/revisions`,
        keepMine ? { keepMine: conflict?.mine, clock: clockOf(new Date()) } : { read: true },
      );
      if (a.ok) {
        blocked.current = false;
        setConflict(undefined);
        take(a.state, true);
        setKept("kept");
        if (keepMine) toast("Yours is kept as a variant; choose it under Framing.");
      } else toast.error(a.sentences?.[0] ?? "That could not be kept.");
    },
    [conflict, take, url],
  );

  const shown = draft ?? doc;
  const marks = useMemo(() => issuedMarks(issues), [issues]);
  const design = useMemo(() => designOf(shown, marks), [shown, marks]);
  const settled = useMemo(() => (shown === doc ? design : designOf(doc, marks)), [shown, doc, design, marks]);
  const { findings: found, checking } = useFindings(doc, settled, marks);
  const statuses = useMemo(() => cutStatuses(settled, issues), [settled, issues]);
  const api: JobApi = {
    id: initial.id,
    doc: shown,
    design,
    findings: found,
    checking,
    issues,
    statuses,
    edit,
    preview,
    undo,
    redo,
    canUndo: state.canUndo || kept !== "kept",
    canRedo: state.canRedo,
    undoLabel: state.undoLabel,
    redoLabel: state.redoLabel,
    kept,
    keptAt: state.keptAt,
    addIssue,
    selected,
    select,
    conflict,
    settleConflict,
  };
  return <JobContext.Provider value={api}>{children}</JobContext.Provider>;
}

/** "20:14". */
export const clockOf = (d: Date): string =>
  `${String(d.getHours()).padStart(2, "0")}:${String(d.getMinutes()).padStart(2, "0")}`;
