import Database from "better-sqlite3";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { eq } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { designOf, emptyJob, issueOf, newStructure } from "core/job";
import { findCards, foldersOf, PAGE, readQuery } from "../routes/shelf/findCards";
import { plain } from "core/units";
import type * as Shelf from "./shelf.server";
import type * as Jobs from "./jobs.server";
import type * as Keeper from "./keep.server";

let dir = "";
let shelf: typeof Shelf;
let jobs: typeof Jobs;
let keeper: typeof Keeper;
/** Documents that cannot be read, each in its own way. */
const BROKEN = [
  "{}",
  "null",
  "[]",
  "",
  "{",
  '"text"',
  "7",
  '{"format":"cardo-job"}',
  '{"format":"cardo-job","version":99}',
  '{"format":"cardo-job","version":"2"}',
  '{"format":"cardo-job","version":2}',
  '{"format":"cardo-job","version":0}',
  '{"format":"cardo-job","version":1}',
  '{"format":"other","version":2}',
  JSON.stringify({ ...emptyJob("x"), structures: null }),
  JSON.stringify({ ...emptyJob("x"), structures: [{ id: "a", kind: "no-such-kind", variants: [{}] }] }),
  JSON.stringify({ ...emptyJob("x"), structures: [{ id: "a", kind: "trestle", variants: [] }] }),
  JSON.stringify({ ...emptyJob("x"), brief: {} }),
  JSON.stringify({ ...emptyJob("x"), stock: null }),
  JSON.stringify({ ...emptyJob("x"), structures: [{ id: "a", kind: "building", variants: [{ id: "v", params: 5 }] }] }),
];
beforeAll(async () => {
  dir = mkdtempSync(join(tmpdir(), "cardo-shelf-"));
  process.env.CARDO_DATA = dir;
  shelf = await import("./shelf.server");
  jobs = await import("./jobs.server");
  keeper = await import("./keep.server");
  const id = jobs.createJob("Sound one");
  // what an earlier Cardo left: rows without cards
  const { db } = await import("./db.server");
  const { jobs: table } = await import("./schema.server");
  BROKEN.forEach((doc, i) =>
    db()
      .insert(table)
      .values({
        id: `broken${i}`,
        name: `Broken ${i}`,
        doc,
        revision: 0,
        undo: [],
        redo: [],
        changedAt: `2026-01-${10 + i}`,
      }) // prettier-ignore
      .run(),
  );
  const { makeMissingCards } = await import("./cards.server");
  makeMissingCards(db());
  jobs.readJob(id);
});
afterAll(() => rmSync(dir, { recursive: true, force: true }));

describe("the shelf", () => {
  it("lists twenty broken jobs of all sorts beside the sound one, each with why", () => {
    const cards = shelf.listCards();
    expect(cards.length).toBe(BROKEN.length + 1);
    const faults = cards.filter((c) => c.id.startsWith("broken")).map((c) => c.fault);
    expect(faults.filter((f) => f === "")).toEqual([]);
    expect(faults.every((f) => /^[A-Z].*\.$/.test(f))).toBe(true);
    expect(cards.find((c) => c.id === "broken8")!.fault).toBe(
      "This job was kept by a newer Cardo (version 99 of a job; this one reads up to 2). Open it with that one.",
    );
    expect(cards.find((c) => c.name === "Sound one")!.fault).toBe("");
  });
  it("lets a broken job be exported as it is, deleted and put back, and refuses to open or change it", () => {
    expect(jobs.exportJob("broken4")).toEqual({ name: "Broken 4", pieces: ["{"] });
    expect(() => jobs.readJob("broken0")).toThrow("damaged");
    const edit = { kind: "edit", id: "entry-1", base: 0, label: "x", patches: [] } as const;
    expect(keeper.keepEntry("broken0", edit)).toMatchObject({ ok: false, why: "refused" });
    jobs.deleteJob("broken0");
    expect(shelf.listCards().some((c) => c.id === "broken0")).toBe(false);
    jobs.restoreJob("broken0");
    expect(shelf.listCards().some((c) => c.id === "broken0")).toBe(true);
    jobs.clearDeleted();
  });
  it("writes the words of a card with each revision, and what was cut with each event", () => {
    const id = jobs.createJob("Carded");
    const card = () => shelf.listCards().find((c) => c.id === id)!;
    expect([card().what, card().stages, card().drawn]).toEqual(["nothing framed yet", [], -1]);
    const put = { op: "put", path: ["structures"], value: newStructure("trestle-bent", "g", "Bent") } as const;
    keeper.keepEntry(id, { kind: "edit", id: "frame-it", base: 0, label: "Frame", patches: [put] });
    expect([card().stages, card().revision, /bent/i.test(card().what)]).toEqual([["framing"], 1, true]);
    const design = designOf(jobs.readJob(id)!.confirmed.doc);
    const cut = issueOf(design, "cut", "issue-1", "2026-05-01T20:14:00.000Z", [design.pieces[0]!.sticks[0]!]);
    expect(keeper.keepEntry(id, { kind: "event", id: "issue-1", base: 0, event: cut })).toMatchObject({ ok: true, revision: 1 }); // prettier-ignore
    keeper.keepEntry(id, { kind: "event", id: "issue-1", base: 0, event: cut });
    expect([card().bench, jobs.issuesOf(id).length]).toEqual([["cutting", "bench"], 1]);
    const bare = { ...cut, id: "issue-2", pieces: [{ mark: "P1" }] };
    const refused = keeper.keepEntry(id, { kind: "event", id: "issue-2", base: 0, event: bare });
    expect(refused.ok === false && refused.why === "refused" && refused.sentences[0]).toMatch(/^At issue\.pieces\[0\]/);
    // a picture is taken for the revision it shows, and only if it is one
    expect(shelf.keepPicture(id, 0, "M1,2L3,4Z")).toBe(false);
    expect(shelf.keepPicture(id, 1, '"/><script>')).toBe(false);
    expect(shelf.keepPicture(id, 1, "M1,2L3,4Z")).toBe(true);
    expect([shelf.pictureOf(id), card().drawn]).toEqual(["M1,2L3,4Z", 1]);
    const copy = jobs.duplicateJob(id);
    expect(shelf.listCards().find((c) => c.id === copy)!.drawn).toBe(0);
  });
  it("lists 500 jobs without reading one", () => {
    const text = readFileSync("examples/gulch-trestle.json", "utf8");
    expect(text.length).toBeGreaterThan(1000);
    for (let i = 0; i < 500; i++) jobs.createJob(`Shed ${i}`);
    // reading a document now would throw
    const file = new Database(join(dir, "cardo.sqlite"));
    file.exec("UPDATE jobs SET doc = 'broken' WHERE name LIKE 'Shed %'");
    file.close();
    const cards = shelf.listCards();
    expect(cards.filter((c) => c.name.startsWith("Shed ")).length).toBe(500);
    expect(cards.every((c) => !("picture" in c))).toBe(true);
  });
  it("keeps folders, which are the shelf's and not the job's", () => {
    const id = jobs.createJob("Filed");
    shelf.moveToFolder(id, "  Winter 2026 ");
    const cards = shelf.listCards();
    expect(cards.find((c) => c.id === id)!.folder).toBe("Winter 2026");
    expect(foldersOf(cards)).toEqual([["Winter 2026", 1]]);
    expect(jobs.readJob(id)!.confirmed.revision).toBe(0);
  });
  it("writes nothing when it is read", async () => {
    const { db } = await import("./db.server");
    const { jobs: table } = await import("./schema.server");
    const id = jobs.createJob("Read only");
    const version = (): unknown => db().$client.pragma("data_version", { simple: true });
    const [changes, v] = [db().$client.prepare("SELECT total_changes() n"), version()];
    const before = changes.get() as { n: number };
    shelf.listCards();
    jobs.readJob(id);
    jobs.exportJob(id);
    shelf.pictureOf(id);
    expect([changes.get(), version()]).toEqual([before, v]);
    expect(db().select().from(table).where(eq(table.id, id)).get()!.revision).toBe(0);
  });
});

describe("finding on the shelf", () => {
  const card = (name: string, more: object = {}) => ({ name, scale: "HO 1:87.1", what: "Bent of 4 posts", railroad: "Pellam Notch Railway", folder: "", stages: [], bench: [], ...more }); // prettier-ignore
  const cards = [
    card("Trestle 10"),
    card("Trestle 2", { folder: "Spring" }),
    card("Remise d’été", { what: "Shed 8×16", scale: "O 1:48", stages: ["framing", "brief"] }),
  ];
  const find = (q: string, more: object = {}) => findCards(cards, { q, sort: "changed", folder: "", show: PAGE, ...more }).map((c) => c.name); // prettier-ignore
  it("reads as people type: words in any order, x for ×, no accents, no case", () => {
    expect(find("2 TRESTLE")).toEqual(["Trestle 2"]);
    expect(find("8x16")).toEqual(["Remise d’été"]);
    expect(find("remise d'ete")).toEqual(["Remise d’été"]);
    expect(find("pellam trestle 10")).toEqual(["Trestle 10"]);
    expect(find("caboose")).toEqual([]);
    expect(find("8 x 16")).toEqual(["Remise d’été"]);
    expect(plain("14′-6″ Été")).toBe("14'-6\" ete");
  });
  it("sorts numbers as numbers, by progress, and within a folder", () => {
    expect(find("trestle", { sort: "name" })).toEqual(["Trestle 2", "Trestle 10"]);
    expect(find("", { sort: "progress" })[0]).toBe("Remise d’été");
    expect(find("", { folder: "Spring" })).toEqual(["Trestle 2"]);
  });
  it("takes no order and no number that it does not know", () => {
    const q = readQuery(new URLSearchParams("sort=constructor&show=-5&q=x&folder=__proto__"));
    expect(q).toEqual({ q: "x", sort: "changed", folder: "__proto__", show: PAGE });
    expect(readQuery(new URLSearchParams("show=1e99")).show).toBe(10_000);
    expect(readQuery(new URLSearchParams("show=120&sort=name"))).toMatchObject({ show: 120, sort: "name" });
  });
});
