import { and, desc, eq, inArray, isNotNull, isNull } from "drizzle-orm";
import { randomUUID } from "node:crypto";
import {
  designOf,
  jobFiles,
  emptyJob,
  issuedMarks,
  lightIssues,
  readJobFile,
  writeJobFile,
  type Design,
  type Issue,
  type JobDoc,
} from "core/job";
import type { Confirmed, Patch, Step } from "core/keeping";
import { writeBench, writeCard } from "./cards.server";
import { db } from "./db.server";
import { forgetUnusedPictures, importFile, pictureBase64 } from "./pictures.server";
import { newId, now, parsed, type Row } from "./rows.server";
import { cards, issues, jobs, revisions } from "./schema.server";

/** A job as the browser gets it: what is kept, and the ids of the entries kept last, by which it knows its own. */
export interface JobState {
  readonly id: string;
  readonly confirmed: Confirmed<JobDoc, Issue>;
  readonly entries: readonly string[];
}
/** How much of the history comes with a job, characters; what lies further back comes when it is asked for. */
const HISTORY_SENT = 64_000;
const ENTRIES_SENT = 200;

/** A job computed on the server: what a file that is asked for is made of. Errors: JobError when it cannot be read. */
export function readDesign(id: string): Design | undefined {
  const r = rowOf(id);
  return r && designOf(parsed(r).doc, issuedMarks(issuesOf(id)));
}
/** The row of a job on the shelf, its document not read yet. */
export const rowOf = (id: string): Row | undefined =>
  db()
    .select()
    .from(jobs)
    .where(and(eq(jobs.id, id), isNull(jobs.deletedAt)))
    .get();

/** All issues of a job, the earliest first. */
export function issuesOf(id: string): Issue[] {
  const rows = db().select().from(issues).where(eq(issues.job, id)).orderBy(issues.at).all();
  return rows.map((i) => i.content as Issue);
}
/** The steps of an undo or redo list, the nearest last, as far back as the browser is told of. */
function stepsOf(job: string, numbers: readonly number[]): Step[] {
  const out: Step[] = [];
  let size = 0;
  for (const n of [...numbers].reverse()) {
    const r = db()
      .select()
      .from(revisions)
      .where(and(eq(revisions.job, job), eq(revisions.number, n)))
      .get();
    if (!r) break;
    size += JSON.stringify(r.patches).length + JSON.stringify(r.inverse).length;
    if (size > HISTORY_SENT && out.length > 0) break;
    out.unshift({ label: r.label, forward: r.patches as Patch[], inverse: r.inverse as Patch[] });
  }
  return out;
}
function stateOf(r: Row): JobState {
  const { doc, old } = parsed(r);
  const [undo, redo] = old ? [[], []] : [r.undo, r.redo];
  const past = stepsOf(r.id, undo);
  const entries = db()
    .select({ entry: revisions.entry })
    .from(revisions)
    .where(and(eq(revisions.job, r.id), isNotNull(revisions.entry)))
    .orderBy(desc(revisions.number))
    .limit(ENTRIES_SENT)
    .all();
  const list = issuesOf(r.id);
  return {
    id: r.id,
    confirmed: {
      doc,
      revision: r.revision,
      past,
      future: stepsOf(r.id, redo),
      older: undo.length - past.length,
      at: r.changedAt,
      events: lightIssues(list),
    },
    entries: [...entries.map((e) => e.entry!), ...list.map((i) => i.id)],
  };
}

/** A job as it stands; undefined when there is none of that id. Errors: JobError when it cannot be read. */
export function readJob(id: string): JobState | undefined {
  const r = rowOf(id);
  return r && stateOf(r);
}

function insert(doc: JobDoc, frozen: readonly Issue[] = [], from?: string): string {
  const id = newId();
  const row = { id, name: doc.name, doc: JSON.stringify(doc), revision: 0, undo: [], redo: [], changedAt: now() };
  db().transaction((tx) => {
    tx.insert(jobs).values(row).run();
    for (const i of frozen)
      tx.insert(issues)
        .values({ id: newId() + newId(), job: id, content: i, at: i.at })
        .run();
    writeCard(tx, row);
  });
  if (frozen.length > 0) writeBench(db(), id, frozen);
  const twin = from && db().select().from(cards).where(eq(cards.job, from)).get();
  if (twin && twin.drawn === twin.revision)
    db().update(cards).set({ picture: twin.picture, drawn: 0, folder: twin.folder }).where(eq(cards.job, id)).run(); // prettier-ignore
  return id;
}
/** A new, empty job on the shelf; answers its id. */
export const createJob = (name: string): string => insert(emptyJob(name));

/** A copy with its decisions and drawings but without what was printed and cut. */
export function duplicateJob(id: string): string | undefined {
  const r = rowOf(id);
  if (!r) return undefined;
  const { doc } = parsed(r);
  return insert({ ...doc, name: `${doc.name}, copy`.slice(0, 120) }, [], id);
}
/** Takes a job off the shelf; `restoreJob` puts it back. */
export const deleteJob = (id: string): void => setDeleted(id, now());
export const restoreJob = (id: string): void => setDeleted(id, null);
function setDeleted(id: string, deletedAt: string | null): void {
  db().transaction((tx) => {
    tx.update(jobs).set({ deletedAt }).where(eq(jobs.id, id)).run();
    tx.update(cards).set({ deletedAt }).where(eq(cards.job, id)).run();
  });
}
/** Really deletes what was taken off the shelf over a month ago, and pictures nothing refers to any more. */
export function clearDeleted(): void {
  const month = new Date(Date.now() - 31 * 864e5).toISOString();
  const off = db().select({ id: jobs.id, at: jobs.deletedAt }).from(jobs).where(isNotNull(jobs.deletedAt)).all();
  const old = off.filter((r) => r.at! < month).map((r) => r.id);
  if (old.length > 0) db().delete(jobs).where(inArray(jobs.id, old)).run();
  // a hash is found in the text, so that a job that cannot be read keeps its pictures too
  const hashes = new Set<string>();
  for (const r of db().select({ doc: jobs.doc }).from(jobs).all())
    for (const [hash] of r.doc.matchAll(/[0-9a-f]{64}/g)) hashes.add(hash);
  for (const i of db().select({ content: issues.content }).from(issues).all()) {
    const hash = (i.content as Issue).bench?.picture?.hash;
    if (hash) hashes.add(hash);
  }
  forgetUnusedPictures(hashes);
}

/** A job file with its issues and pictures, a piece at a time: hundreds of megabytes are never there at once. Of a job that cannot be read, what is stored of it. */
export function exportJob(id: string): { readonly name: string; readonly pieces: Iterable<string> } | undefined {
  const r = rowOf(id);
  if (!r) return undefined;
  let doc: JobDoc;
  try {
    doc = parsed(r).doc;
  } catch {
    return { name: r.name, pieces: [r.doc] };
  }
  const frozen = issuesOf(id);
  const hashes = [...new Set(jobFiles(doc, frozen).map((f) => f.hash))];
  // each picture's place in the text is marked by a word that nobody typed
  const mark = randomUUID();
  const files = Object.fromEntries(hashes.map((h) => [h, mark + h]));
  const text = writeJobFile({ doc, issues: frozen, files });
  return { name: doc.name, pieces: filledIn(text, mark, hashes) };
}
function* filledIn(text: string, mark: string, hashes: readonly string[]): Generator<string> {
  let at = 0;
  for (const h of hashes) {
    const next = text.indexOf(mark + h, at);
    yield text.slice(at, next);
    yield* pictureBase64(h);
    at = next + mark.length + h.length;
  }
  yield text.slice(at);
}
/** Puts a job file on the shelf under a new id. Errors: JobError, or a sentence about a picture that is not what it says. */
export async function importJob(text: string): Promise<string> {
  const { doc, issues: frozen, files } = readJobFile(text);
  for (const f of jobFiles(doc, frozen)) {
    const data = files[f.hash];
    if (data === undefined)
      throw new Error(`The drawing “${f.drawing}” has no ${f.kind} in the file. Export the job again.`);
    await importFile(Buffer.from(data, "base64"), f);
  }
  return insert(doc, frozen);
}
