import { and, desc, eq, isNull } from "drizzle-orm";
import { db } from "./db.server";
import { cards } from "./schema.server";

const LISTED = {
  id: cards.job,
  name: cards.name,
  scale: cards.scale,
  what: cards.what,
  railroad: cards.railroad,
  stages: cards.stages,
  bench: cards.bench,
  folder: cards.folder,
  fault: cards.fault,
  changedAt: cards.changedAt,
  revision: cards.revision,
  drawn: cards.drawn,
};
export type Card = ReturnType<typeof listCards>[number];

/** The cards of all jobs on the shelf, the last changed first. No job is read for that. */
export const listCards = () =>
  db().select(LISTED).from(cards).where(isNull(cards.deletedAt)).orderBy(desc(cards.changedAt)).all();

/** What the jobs on the shelf are called, by id. */
export const jobNames = (): Readonly<Record<string, string>> =>
  Object.fromEntries(db().select({ id: cards.job, name: cards.name }).from(cards).where(isNull(cards.deletedAt)).all().map((c) => [c.id, c.name])); // prettier-ignore

/** The stages in which a job's design has something; undefined when there is no such job. */
export function listStages(id: string): readonly string[] | undefined {
  return db().select({ stages: cards.stages }).from(cards).where(eq(cards.job, id)).get()?.stages;
}
/** The revision that a job's picture shows; -1 when there is none. */
export function drawnRevision(id: string): number {
  return db().select({ drawn: cards.drawn }).from(cards).where(eq(cards.job, id)).get()?.drawn ?? -1;
}
/** The picture on a card as an SVG path, with the size it was drawn for; empty when there is none. */
export function pictureOf(id: string): string | undefined {
  return db().select({ picture: cards.picture }).from(cards).where(eq(cards.job, id)).get()?.picture;
}
/** A path of whole moves, lines and closings and nothing else, as browsers draw it. */
const PATH = /^(?:[MLZ][-\d., ]*)+$/;
const LONGEST = 60_000;
/** Keeps the picture of a job as it was at a revision. One that is no path, or of another revision, is left alone. */
export function keepPicture(id: string, revision: number, picture: string): boolean {
  if (picture.length > LONGEST || (picture !== "" && !PATH.test(picture))) return false;
  const at = and(eq(cards.job, id), eq(cards.revision, revision));
  return db().update(cards).set({ picture, drawn: revision }).where(at).run().changes > 0;
}
/** Puts a job into a folder of the shelf; an empty name takes it out. */
export function moveToFolder(id: string, folder: string): void {
  db()
    .update(cards)
    .set({ folder: folder.trim().slice(0, 60) })
    .where(eq(cards.job, id))
    .run();
}
