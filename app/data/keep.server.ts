import { and, eq, lt, notInArray } from "drizzle-orm";
import { checkIssue, checkJob, JobError, type Issue } from "core/job";
import { advance, HISTORY, PatchError, type Entry, type Head, type Patch, type Step } from "core/keeping";
import type { JobDoc } from "core/job";
import { writeBench, writeCardOf } from "./cards.server";
import { db, type Db } from "./db.server";
import { enterCut, enterUncut } from "./drawer.server";
import { issuesOf, readJob, rowOf, type JobState } from "./jobs.server";
import { now, parsed, type Row } from "./rows.server";
import { issues, jobs, revisions } from "./schema.server";

/** What the server says of an entry. Only a conflict carries the job; all else is a number and a time. */
export type Kept =
  | { readonly ok: true; readonly revision: number; readonly at: string }
  | { readonly ok: false; readonly why: "conflict"; readonly state: JobState }
  | { readonly ok: false; readonly why: "refused"; readonly sentences: readonly string[] }
  | { readonly ok: false; readonly why: "gone" };

type Tx = Parameters<Parameters<Db["transaction"]>[0]>[0];

/**
 * Keeps one entry of a job: an edit, undo or redo as the next revision, an event of the bench beside them. An entry that
 * is known already is answered as it was the first time. Errors: those of the database, which are no refusals.
 */
export function keepEntry(id: string, e: Entry): Kept {
  return db().transaction((tx): Kept => {
    const r = rowOf(id);
    if (!r) return { ok: false, why: "gone" };
    if (e.kind === "event") return keepEvent(tx, r, e.event);
    const known = tx
      .select({ number: revisions.number, at: revisions.at })
      .from(revisions)
      .where(and(eq(revisions.job, id), eq(revisions.entry, e.id)))
      .get();
    if (known) return { ok: true, revision: known.number, at: known.at };
    try {
      if (r.revision !== e.base) return { ok: false, why: "conflict", state: readJob(id)! };
      return keepRevision(tx, r, e);
    } catch (x) {
      if (x instanceof JobError) return { ok: false, why: "refused", sentences: x.sentences };
      if (x instanceof PatchError) return { ok: false, why: "refused", sentences: [x.message] };
      throw x;
    }
  });
}

/** Keeps events of several jobs together, or none of them: what came off one stick is one act. The first refusal is the answer. */
export function keepTogether(events: readonly { readonly job: string; readonly event: unknown }[]): Kept {
  class Refused extends Error {
    constructor(readonly kept: Kept) {
      super();
    }
  }
  try {
    return db().transaction((tx): Kept => {
      let last: Kept = { ok: true, revision: 0, at: now() };
      for (const e of events) {
        const r = rowOf(e.job);
        last = r ? keepEvent(tx, r, e.event) : { ok: false, why: "gone" };
        if (!last.ok) throw new Refused(last);
      }
      return last;
    });
  } catch (x) {
    if (x instanceof Refused) return x.kept;
    throw x;
  }
}

function keepEvent(tx: Tx, r: Row, event: unknown): Kept {
  let issue: Issue;
  try {
    issue = checkIssue(event);
  } catch (x) {
    if (x instanceof JobError) return { ok: false, why: "refused", sentences: x.sentences };
    throw x;
  }
  const { moves, ...content } = issue;
  const { changes } = tx.insert(issues).values({ id: content.id, job: r.id, content, at: content.at }).onConflictDoNothing().run(); // prettier-ignore
  // what was sent twice moves nothing twice
  if (changes > 0 && issue.kind === "cut" && moves) enterCut(tx, r.id, moves);
  if (changes > 0 && issue.kind === "uncut") enterUncut(tx, r.id, issue.sticks);
  writeBench(db(), r.id, issuesOf(r.id));
  return { ok: true, revision: r.revision, at: r.changedAt };
}

function keepRevision(tx: Tx, r: Row, e: Exclude<Entry, { kind: "event" }>): Kept {
  const { doc, old } = parsed(r);
  const [undo, redo] = old ? [[], []] : [r.undo, r.redo];
  const nearest = (numbers: readonly number[]): Step[] => {
    const rev = tx
      .select()
      .from(revisions)
      .where(and(eq(revisions.job, r.id), eq(revisions.number, numbers.at(-1) ?? -1)))
      .get();
    return rev ? [{ label: rev.label, forward: rev.patches as Patch[], inverse: rev.inverse as Patch[] }] : [];
  };
  const head: Head<JobDoc> = { doc, past: nearest(undo), future: nearest(redo) };
  const next = advance(head, e);
  const step = e.kind === "undo" ? head.past.at(-1)! : next.past.at(-1)!;
  const [forward, inverse] = e.kind === "undo" ? [step.inverse, step.forward] : [step.forward, step.inverse];
  const checked = checkJob(next.doc);
  const number = r.revision + 1;
  const at = now();
  const stacks = {
    edit: { undo: [...undo, number].slice(-HISTORY), redo: [] as number[] },
    undo: { undo: undo.slice(0, -1), redo: [...redo, undo.at(-1)!] },
    redo: { undo: [...undo, redo.at(-1)!], redo: redo.slice(0, -1) },
  }[e.kind];
  tx.insert(revisions)
    .values({ job: r.id, number, kind: e.kind, label: step.label, patches: forward, inverse, at, entry: e.id })
    .run();
  tx.update(jobs)
    .set({ doc: JSON.stringify(checked), name: checked.name, revision: number, ...stacks, changedAt: at })
    .where(eq(jobs.id, r.id))
    .run();
  writeCardOf(tx, r.id, checked, number, at);
  prune(tx, r.id, number, [...stacks.undo, ...stacks.redo]);
  return { ok: true, revision: number, at };
}
/** Drops revisions that no undo or redo needs, once they are further back than the history reaches: until then their ids tell what was sent twice. */
function prune(tx: Tx, job: string, number: number, needed: readonly number[]): void {
  tx.delete(revisions)
    .where(
      and(
        eq(revisions.job, job),
        lt(revisions.number, number - HISTORY),
        notInArray(revisions.number, [-1, ...needed]),
      ),
    ) // prettier-ignore
    .run();
}
