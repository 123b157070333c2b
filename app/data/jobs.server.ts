import { and, desc, eq, isNotNull, isNull } from "drizzle-orm";
import { applyPatches, enablePatches, produceWithPatches, type Patch } from "immer";
import { randomUUID } from "node:crypto";
import {
  checkJob,
  drawingFiles,
  emptyJob,
  JOB_VERSION,
  completed,
  migrate,
  readJobFile,
  writeJobFile,
  type Issue,
  type JobDoc,
} from "core/job";
import { db } from "./db.server";
import { forgetUnusedPictures, importFile, pictureBase64 } from "./pictures.server";
import { issues, jobs, revisions } from "./schema.server";

enablePatches();
type Row = typeof jobs.$inferSelect;
export interface JobState {
  readonly id: string;
  readonly doc: JobDoc;
  readonly revision: number;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly undoLabel: string;
  readonly redoLabel: string;
  readonly keptAt: string;
  readonly issues: readonly Issue[];
}
export type EditResult =
  | { readonly ok: true; readonly state: JobState }
  | { readonly ok: false; readonly conflict: true; readonly state: JobState }
  | { readonly ok: false; readonly conflict: false; readonly sentences: readonly string[] };

const now = (): string => new Date().toISOString();
const newId = (): string => randomUUID().slice(0, 8);

function row(id: string): Row | undefined {
  const r = db()
    .select()
    .from(jobs)
    .where(and(eq(jobs.id, id), isNull(jobs.deletedAt)))
    .get();
  return r && broughtUp(r);
}
/** A row whose document is of this version. One of an earlier version is migrated where it stands; what was done to its old shape can then not be undone. */
function broughtUp(r: Row): Row {
  if ((r.doc as JobDoc).version === JOB_VERSION) {
    // kinds gain parameters without a new version
    const doc = completed(r.doc as object);
    if (doc === r.doc) return r;
    db().update(jobs).set({ doc }).where(eq(jobs.id, r.id)).run();
    return { ...r, doc };
  }
  const change = { doc: migrate(r.doc as Record<string, unknown>), undo: [], redo: [] };
  db().update(jobs).set(change).where(eq(jobs.id, r.id)).run();
  return { ...r, ...change };
}
function issuesOf(id: string): Issue[] {
  return db()
    .select()
    .from(issues)
    .where(eq(issues.job, id))
    .orderBy(issues.at)
    .all()
    .map((i) => i.content as Issue);
}
function labelOf(job: string, number: number | undefined): string {
  if (number === undefined) return "";
  return (
    db()
      .select({ label: revisions.label })
      .from(revisions)
      .where(and(eq(revisions.job, job), eq(revisions.number, number)))
      .get()?.label ?? ""
  );
}
function stateOf(r: Row): JobState {
  return {
    id: r.id,
    doc: r.doc as JobDoc,
    revision: r.revision,
    canUndo: r.undo.length > 0,
    canRedo: r.redo.length > 0,
    undoLabel: labelOf(r.id, r.undo.at(-1)),
    redoLabel: labelOf(r.id, r.redo.at(-1)),
    keptAt: r.changedAt,
    issues: issuesOf(r.id),
  };
}

/** All jobs on the shelf, the last changed first. */
export function listJobs(): { id: string; doc: JobDoc; changedAt: string; issues: readonly Issue[] }[] {
  const rows = db().select().from(jobs).where(isNull(jobs.deletedAt)).orderBy(desc(jobs.changedAt)).all();
  return rows
    .map(broughtUp)
    .map((r) => ({ id: r.id, doc: r.doc as JobDoc, changedAt: r.changedAt, issues: issuesOf(r.id) }));
}
/** A job as it stands; undefined when there is none of that id. */
export function readJob(id: string): JobState | undefined {
  const r = row(id);
  return r && stateOf(r);
}

function insert(doc: JobDoc, frozen: readonly Issue[] = []): string {
  const id = newId();
  db().transaction((tx) => {
    tx.insert(jobs).values({ id, name: doc.name, doc, revision: 0, undo: [], redo: [], changedAt: now() }).run();
    for (const i of frozen)
      tx.insert(issues)
        .values({ id: newId() + newId(), job: id, content: i, at: i.at })
        .run();
  });
  return id;
}
/** A new, empty job on the shelf; answers its id. */
export const createJob = (name: string): string => insert(emptyJob(name));

/** A copy with its decisions and drawings but without what was printed and cut. */
export function duplicateJob(id: string): string | undefined {
  const r = row(id);
  if (!r) return undefined;
  const doc = r.doc as JobDoc;
  return insert({ ...doc, name: `${doc.name}, copy`.slice(0, 120) });
}
/** Takes a job off the shelf; `restoreJob` puts it back. */
export function deleteJob(id: string): void {
  db().update(jobs).set({ deletedAt: now() }).where(eq(jobs.id, id)).run();
}
export function restoreJob(id: string): void {
  db().update(jobs).set({ deletedAt: null }).where(eq(jobs.id, id)).run();
}
/** Really deletes what was taken off the shelf over a month ago, and pictures nothing refers to any more. */
export function clearDeleted(): void {
  const month = new Date(Date.now() - 31 * 864e5).toISOString();
  for (const r of db().select().from(jobs).where(isNotNull(jobs.deletedAt)).all())
    if (r.deletedAt! < month) db().delete(jobs).where(eq(jobs.id, r.id)).run();
  const kept = db().select().from(jobs).all().map(broughtUp);
  forgetUnusedPictures(new Set(kept.flatMap((k) => drawingFiles(k.doc as JobDoc).map((f) => f.hash))));
}

/** Text of a job file with its issues and pictures. */
export function exportJob(id: string): { readonly name: string; readonly text: string } | undefined {
  const s = readJob(id);
  if (!s) return undefined;
  const hashes = [...new Set(drawingFiles(s.doc).map((f) => f.hash))];
  const files = Object.fromEntries(hashes.map((h) => [h, pictureBase64(h)]));
  return { name: s.doc.name, text: writeJobFile({ doc: s.doc, issues: s.issues, files }) };
}
/** Puts a job file on the shelf under a new id. Errors: JobError, or a sentence about a picture that is not what it says. */
export async function importJob(text: string): Promise<string> {
  const { doc, issues: frozen, files } = readJobFile(text);
  for (const f of drawingFiles(doc)) {
    const data = files[f.hash];
    if (data === undefined)
      throw new Error(`The drawing “${f.drawing}” has no ${f.kind} in the file. Export the job again.`);
    await importFile(Buffer.from(data, "base64"), f);
  }
  return insert(doc, frozen);
}

/** Applies patches made against revision `base`. When the job has moved on nothing is changed and the caller gets the job as it is. */
export function editJob(id: string, base: number, label: string, patches: readonly Patch[]): EditResult {
  return change(id, base, (r) => {
    const doc = r.doc as JobDoc;
    const [next, forward, inverse] = produceWithPatches(
      doc,
      (draft) => applyPatches(draft, patches as Patch[]) as typeof draft,
    );
    const checked = checkJob(next);
    const number = r.revision + 1;
    return { doc: checked, kind: "edit", label, forward, inverse, undo: [...r.undo, number].slice(-1000), redo: [] };
  });
}
/** Takes back the last change, as a revision of its own. */
export function undoJob(id: string, base: number): EditResult {
  return step(id, base, "undo");
}
/** Does again what was last undone. */
export function redoJob(id: string, base: number): EditResult {
  return step(id, base, "redo");
}

function step(id: string, base: number, kind: "undo" | "redo"): EditResult {
  return change(id, base, (r) => {
    const number = r[kind].at(-1);
    if (number === undefined) throw new Error(`There is nothing to ${kind}.`);
    const rev = db()
      .select()
      .from(revisions)
      .where(and(eq(revisions.job, id), eq(revisions.number, number)))
      .get()!;
    const [forward, inverse] = kind === "undo" ? [rev.inverse, rev.patches] : [rev.patches, rev.inverse];
    const doc = applyPatches(r.doc as JobDoc, forward as Patch[]) as JobDoc;
    const undo = kind === "undo" ? r.undo.slice(0, -1) : [...r.undo, number];
    const redo = kind === "undo" ? [...r.redo, number] : r.redo.slice(0, -1);
    return { doc, kind, label: rev.label, forward: forward as Patch[], inverse: inverse as Patch[], undo, redo };
  });
}

interface Change {
  readonly doc: JobDoc;
  readonly kind: "edit" | "undo" | "redo";
  readonly label: string;
  readonly forward: readonly Patch[];
  readonly inverse: readonly Patch[];
  readonly undo: number[];
  readonly redo: number[];
}
function change(id: string, base: number, make: (r: Row) => Change): EditResult {
  try {
    return db().transaction((tx): EditResult => {
      const r = row(id);
      if (!r) return { ok: false, conflict: false, sentences: ["This job is not on the shelf any more."] };
      if (r.revision !== base) return { ok: false, conflict: true, state: stateOf(r) };
      const c = make(r);
      const number = base + 1;
      const at = now();
      tx.insert(revisions)
        .values({ job: id, number, kind: c.kind, label: c.label, patches: c.forward, inverse: c.inverse, at })
        .run();
      tx.update(jobs)
        .set({ doc: c.doc, name: c.doc.name, revision: number, undo: c.undo, redo: c.redo, changedAt: at })
        .where(eq(jobs.id, id))
        .run();
      return { ok: true, state: stateOf(row(id)!) };
    });
  } catch (e) {
    return { ok: false, conflict: false, sentences: [(e as Error).message] };
  }
}

/** Keeps the structures of a later tab, whose change came too late, as variants beside what is there. */
export function keepMine(id: string, mine: JobDoc, clock: string): EditResult {
  const r = row(id);
  if (!r) return { ok: false, conflict: false, sentences: ["This job is not on the shelf any more."] };
  const [, patches] = produceWithPatches(r.doc as JobDoc, (draft) => {
    for (const s of mine.structures) {
      const own = s.variants.find((v) => v.id === s.chosen);
      const there = draft.structures.find((x) => x.id === s.id);
      if (!own) continue;
      if (!there) draft.structures.push(s);
      else if (JSON.stringify(there.variants.find((v) => v.id === own.id)?.params) !== JSON.stringify(own.params))
        there.variants.push({ ...own, id: newId(), name: `${own.name}, mine of ${clock}`.slice(0, 80) });
    }
  });
  return editJob(id, r.revision, "Keep mine as a variant", patches);
}

/** Adds an issue to the job's bench events. */
export function addIssue(id: string, issue: Issue): void {
  db().insert(issues).values({ id: issue.id, job: id, content: issue, at: issue.at }).run();
}
