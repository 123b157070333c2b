import { index, integer, primaryKey, sqliteTable, text } from "drizzle-orm/sqlite-core";

/** A job as it stands: its document, the number of its last revision, and which revisions can be undone and redone. */
export const jobs = sqliteTable("jobs", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  doc: text("doc", { mode: "json" }).notNull(),
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
  },
  (t) => [primaryKey({ columns: [t.job, t.number] })],
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
