import type { JobSticks, Lot } from "core/drawer";
import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from "drizzle-orm/sqlite-core";

/** A job as it stands: its document, the number of its last revision, and which revisions can be undone and redone. */
export const jobs = sqliteTable("jobs", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  /** The document as JSON: text here, so that one that is broken harms no other. */
  doc: text("doc").notNull(),
  revision: integer("revision").notNull(),
  undo: text("undo", { mode: "json" }).$type<number[]>().notNull(),
  redo: text("redo", { mode: "json" }).$type<number[]>().notNull(),
  changedAt: text("changed_at").notNull(),
  deletedAt: text("deleted_at"),
});

/** Every change of a design: patches forward and back. Undo and redo are revisions too. */
export const revisions = sqliteTable(
  "revisions",
  {
    job: text("job")
      .notNull()
      .references(() => jobs.id, { onDelete: "cascade" }),
    number: integer("number").notNull(),
    kind: text("kind", { enum: ["edit", "undo", "redo"] }).notNull(),
    label: text("label").notNull(),
    patches: text("patches", { mode: "json" }).notNull(),
    inverse: text("inverse", { mode: "json" }).notNull(),
    at: text("at").notNull(),
    /** Id that the browser gave it, so that one that is sent twice is kept once. */
    entry: text("entry"),
  },
  (t) => [primaryKey({ columns: [t.job, t.number] }), uniqueIndex("revisions_by_entry").on(t.job, t.entry)],
);

/** What happened at the bench: prints and cuts, each with what they froze. Only ever added to. */
export const issues = sqliteTable(
  "issues",
  {
    id: text("id").primaryKey(),
    job: text("job")
      .notNull()
      .references(() => jobs.id, { onDelete: "cascade" }),
    content: text("content", { mode: "json" }).notNull(),
    at: text("at").notNull(),
  },
  (t) => [index("issues_by_job").on(t.job)],
);

/** Pictures kept beside the database under their SHA-256. */
export const pictures = sqliteTable("pictures", {
  hash: text("hash").primaryKey(),
  type: text("type").notNull(),
  width: integer("width").notNull(),
  height: integer("height").notNull(),
  bytes: integer("bytes").notNull(),
  addedAt: text("added_at").notNull(),
});

/** What the Shelf shows of a job, stored with its revisions, so that a list reads no job. */
export const cards = sqliteTable("cards", {
  job: text("job")
    .primaryKey()
    .references(() => jobs.id, { onDelete: "cascade" }),
  name: text("name").notNull(),
  scale: text("scale").notNull(),
  /** What is framed, in words. */
  what: text("what").notNull(),
  railroad: text("railroad").notNull(),
  /** Stages in which the design, and in which the bench has something. */
  stages: text("stages", { mode: "json" }).$type<readonly string[]>().notNull(),
  bench: text("bench", { mode: "json" }).$type<readonly string[]>().notNull(),
  folder: text("folder").notNull().default(""),
  /** Why the job cannot be read; empty when it can. */
  fault: text("fault").notNull().default(""),
  changedAt: text("changed_at").notNull(),
  deletedAt: text("deleted_at"),
  revision: integer("revision").notNull(),
  /** The revision that the picture shows, -1 when there is none yet. */
  drawn: integer("drawn").notNull().default(-1),
  /** SVG path of what is framed: last, since a list never asks for it. */
  picture: text("picture").notNull().default(""),
});

/** The ledger of the drawer: every movement of what one owns, whichever job it was for. Only ever added to; what was wrong is taken back by a line of its own. */
export const movements = sqliteTable("movements", {
  /** In the order they were made. */
  number: integer("number").primaryKey({ autoIncrement: true }),
  id: text("id").notNull().unique(),
  at: text("at").notNull(),
  lot: text("lot", { mode: "json" }).$type<Lot>().notNull(),
  count: integer("count").notNull(),
  why: text("why", { enum: ["bought", "counted", "taken", "cut", "offcut", "undone"] }).notNull(),
  price: real("price"),
  place: text("place"),
  note: text("note"),
  /** The job it was cut for; it stays when the job is taken off the shelf. */
  job: text("job"),
  sticks: text("sticks", { mode: "json" }).$type<readonly string[]>(),
  /** Further jobs with pieces that came off the same stick. */
  also: text("also", { mode: "json" }).$type<readonly JobSticks[]>(),
  undoes: text("undoes").unique(),
});

/** Jigs that were made and are kept for years: which kind, with which figures, and what for. */
export const workshopJigs = sqliteTable("workshop_jigs", {
  id: text("id").primaryKey(),
  at: text("at").notNull(),
  kind: text("kind").notNull(),
  name: text("name").notNull(),
  figures: text("figures", { mode: "json" }).$type<Readonly<Record<string, number>>>().notNull(),
  /** The job that it was made for, in words. */
  madeFor: text("made_for").notNull(),
});

/** What is the same for all jobs, by name. */
export const settings = sqliteTable("settings", {
  name: text("name").primaryKey(),
  value: text("value", { mode: "json" }).notNull(),
});
