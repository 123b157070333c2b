import { randomUUID } from "node:crypto";
import { desc, eq } from "drizzle-orm";
import { makeJig, workshopKind } from "core/workshop";
import { db } from "./db.server";
import { now } from "./rows.server";
import { workshopJigs } from "./schema.server";

/** A jig that is kept, with the figures it was made by and the job that it was made for. */
export type KeptJig = typeof workshopJigs.$inferSelect;
/** The jigs that are kept, the last one first. */
export const keptJigs = (): KeptJig[] => db().select().from(workshopJigs).orderBy(desc(workshopJigs.at), desc(workshopJigs.id)).all(); // prettier-ignore
/** Keeps a jig. Errors: a kind that there is not, figures that make none, a name that is none; in a sentence. */
export function keepJig(raw: Readonly<Record<string, unknown>>): void {
  const kind = workshopKind(String(raw.kind));
  if (!kind) throw new Error(`A jig “${String(raw.kind)}” is not known.`);
  const figures = (typeof raw.figures === "object" && raw.figures !== null ? raw.figures : {}) as Record<
    string,
    number
  >;
  makeJig(kind, figures);
  const word = (x: unknown): string => (typeof x === "string" ? x.trim().slice(0, 120) : "");
  const own = Object.fromEntries(kind.fields.map((f) => [f.id, figures[f.id]!]));
  db().insert(workshopJigs).values({ id: randomUUID(), at: now(), kind: kind.id, name: word(raw.name) || kind.name, figures: own, madeFor: word(raw.madeFor) }).run(); // prettier-ignore
}
/** Takes a jig out of the drawer. Whether it was there. */
export const removeJig = (id: string): boolean => db().delete(workshopJigs).where(eq(workshopJigs.id, id)).run().changes > 0; // prettier-ignore
