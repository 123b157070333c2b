import { randomUUID } from "node:crypto";
import { eq } from "drizzle-orm";
import { JOININGS, type Joining } from "core/assembly";
import { COATS } from "core/finish";
import {
  asideAfter,
  holdings,
  linesOfCut,
  linesOfUncut,
  linesThatUndo,
  type CutMove,
  type Holding,
  type Movement,
  type SetAside,
} from "core/drawer";
import { cutSticks, type CoatDoc } from "core/job";
import { db, type Db } from "./db.server";
import { issuesOf } from "./jobs.server";
import { jobNames } from "./shelf.server";
import { now } from "./rows.server";
import { movements, settings } from "./schema.server";

type Tx = Pick<Db, "select" | "insert">;
type NewLine = Omit<Movement, "id" | "at">;

/** Every line of the ledger, the first one first. */
export function ledger(tx: Tx = db()): Movement[] {
  return tx
    .select()
    .from(movements)
    .orderBy(movements.number)
    .all()
    .map(({ number: _, price, place, note, job, sticks, also, undoes, ...m }): Movement => ({
      ...m,
      ...(price === null ? {} : { price }),
      ...(place === null ? {} : { place }),
      ...(note === null ? {} : { note }),
      ...(job === null ? {} : { job }),
      ...(sticks === null ? {} : { sticks }),
      ...(also === null ? {} : { also }),
      ...(undoes === null ? {} : { undoes }),
    }));
}
/** Adds lines to the ledger, all or none. */
export function enter(lines: readonly NewLine[], tx: Tx = db()): void {
  const at = now();
  if (lines.length > 0) tx.insert(movements).values(lines.map((l) => ({ ...l, id: randomUUID(), at, sticks: l.sticks ? [...l.sticks] : null }))).run(); // prettier-ignore
}
/** What the drawer holds now. */
export const inDrawer = (): Holding[] => holdings(ledger());

/** Takes a line back by one of its own. Whether there was something to take back. */
export const undoLine = (id: string): boolean =>
  db().transaction((tx) => {
    const lines = linesThatUndo(ledger(tx), (m) => m.id === id);
    enter(lines, tx);
    return lines.length > 0;
  });
/** The ledger's side of pieces of a job that were cut. */
export function enterCut(tx: Tx, job: string, moves: readonly CutMove[]): void {
  enter(linesOfCut(moves, job, ledger(tx)), tx);
  const jobs = [job, ...moves.flatMap((m) => m.also?.map((a) => a.job) ?? [])];
  const aside = setAside();
  const left = asideAfter(aside, moves, jobs);
  if (JSON.stringify(left) !== JSON.stringify(aside)) putAside(left, tx);
}
/** And of some that are taken back, once the event that says so is kept. */
export function enterUncut(tx: Tx, job: string, sticks: readonly string[]): void {
  const known = new Map<string, ReadonlySet<string>>();
  const cutOf = (id: string): ReadonlySet<string> => {
    if (!known.has(id)) known.set(id, new Set(cutSticks(issuesOf(id)).keys()));
    return known.get(id)!;
  };
  enter(linesOfUncut(ledger(tx), job, sticks, (id, stick) => cutOf(id).has(stick)), tx); // prettier-ignore
}

const keepSetting = (name: string, value: unknown, tx: Tx = db()): void => void tx.insert(settings).values({ name, value }).onConflictDoUpdate({ target: settings.name, set: { value } }).run(); // prettier-ignore
const settingOf = (name: string): unknown => db().select().from(settings).where(eq(settings.name, name)).get()?.value;

const ASIDE = "set-aside";
/** What is set aside for jobs that are on the shelf. */
export function setAside(): SetAside[] {
  const names = jobNames();
  return ((settingOf(ASIDE) as SetAside[] | undefined) ?? []).filter((a) => a.jobs.some((j) => names[j] !== undefined));
}
export const putAside = (all: readonly SetAside[], tx: Tx = db()): void => keepSetting(ASIDE, all, tx);

/** The table of glues, as it was edited last. */
export const joinings = (): readonly Joining[] => (settingOf("joinings") as readonly Joining[] | undefined) ?? JOININGS;
export const keepJoinings = (all: readonly Joining[]): void => keepSetting("joinings", all);

/** The builder's own list of coats, as it was edited last. */
export const coats = (): readonly CoatDoc[] => (settingOf("coats") as readonly CoatDoc[] | undefined) ?? COATS;
export const keepCoats = (all: readonly CoatDoc[]): void => keepSetting("coats", all);

/** The least length of an offcut that is kept, model mm, where nothing else was said. Common practice. */
const LEAST = 40;
/** The least length of an offcut that goes back into the drawer, model mm; of a sheet both ways. */
export function leastOffcut(): number {
  const known = settingOf("least-offcut");
  return typeof known === "number" ? known : LEAST;
}
export const setLeastOffcut = (mm: number): void => keepSetting("least-offcut", mm);
