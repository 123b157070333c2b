import { randomUUID } from "node:crypto";
import { eq } from "drizzle-orm";
import {
  holdings,
  linesOfCut,
  linesOfUncut,
  linesThatUndo,
  type CutMove,
  type Holding,
  type Movement,
} from "core/drawer";
import { db, type Db } from "./db.server";
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
    .map(({ number: _, price, place, note, job, sticks, undoes, ...m }): Movement => ({
      ...m,
      ...(price === null ? {} : { price }),
      ...(place === null ? {} : { place }),
      ...(note === null ? {} : { note }),
      ...(job === null ? {} : { job }),
      ...(sticks === null ? {} : { sticks }),
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
export const enterCut = (tx: Tx, job: string, moves: readonly CutMove[]): void => enter(linesOfCut(moves, job, ledger(tx)), tx); // prettier-ignore
/** And of some that are taken back. */
export const enterUncut = (tx: Tx, job: string, sticks: readonly string[]): void => enter(linesOfUncut(ledger(tx), job, sticks), tx); // prettier-ignore

/** The least length of an offcut that is kept, model mm, where nothing else was said. Common practice. */
const LEAST = 40;
/** The least length of an offcut that goes back into the drawer, model mm; of a sheet both ways. */
export function leastOffcut(): number {
  const row = db().select().from(settings).where(eq(settings.name, "least-offcut")).get();
  return typeof row?.value === "number" ? row.value : LEAST;
}
export function setLeastOffcut(mm: number): void {
  db().insert(settings).values({ name: "least-offcut", value: mm }).onConflictDoUpdate({ target: settings.name, set: { value: mm } }).run(); // prettier-ignore
}
