import "core/structures/all";
import { eq, isNull } from "drizzle-orm";
import { benchStages, cardWords, JobError, type Issue, type JobDoc } from "core/job";
import type { Db } from "./db.server";
import { parsed, type Row } from "./rows.server";
import { cards, issues, jobs } from "./schema.server";

/** What is written on the card of a job as it stands; of one that cannot be read, why not. */
function wordsOf(r: Pick<Row, "name" | "doc">): ReturnType<typeof cardWords> & { readonly fault: string } {
  try {
    return { ...cardWords(parsed(r).doc), fault: "" };
  } catch (e) {
    const fault = e instanceof JobError ? e.message : "Its structures are not of a shape that this Cardo knows.";
    return { name: r.name, railroad: "", scale: "", what: "", stages: [], fault };
  }
}
/** Writes the card of a job beside its revision, in the same transaction. Its picture stays until a new one comes. */
export function writeCard(d: Pick<Db, "insert">, r: Pick<Row, "id" | "name" | "doc" | "revision" | "changedAt">): void {
  const card = { ...wordsOf(r), revision: r.revision, changedAt: r.changedAt };
  d.insert(cards)
    .values({ job: r.id, bench: [], ...card })
    .onConflictDoUpdate({ target: cards.job, set: card })
    .run();
}
/** The same after a revision that was just checked: the document need not be read again. */
export function writeCardOf(d: Pick<Db, "update">, id: string, doc: JobDoc, revision: number, changedAt: string): void {
  d.update(cards)
    .set({ ...cardWords(doc), fault: "", revision, changedAt })
    .where(eq(cards.job, id))
    .run();
}
/** Notes on the card which stages of the bench have something. */
export function writeBench(d: Db, id: string, list: readonly Issue[]): void {
  d.update(cards)
    .set({ bench: benchStages(list) })
    .where(eq(cards.job, id))
    .run();
}
/** Makes the cards of jobs that have none yet: those of an earlier Cardo. Called once, at start. */
export function makeMissingCards(d: Db): void {
  const bare = d
    .select({ id: jobs.id })
    .from(jobs)
    .leftJoin(cards, eq(cards.job, jobs.id))
    .where(isNull(cards.job))
    .all();
  for (const { id } of bare) {
    const r = d.select().from(jobs).where(eq(jobs.id, id)).get()!;
    writeCard(d, r);
    d.update(cards).set({ deletedAt: r.deletedAt }).where(eq(cards.job, id)).run();
    const list = d.select().from(issues).where(eq(issues.job, id)).all();
    try {
      writeBench(d, id, list.map((i) => i.content as Issue)); // prettier-ignore
    } catch {
      // issues that nobody can read say nothing on the card
    }
  }
}
