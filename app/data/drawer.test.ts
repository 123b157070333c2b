import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { CutMove, Lot } from "core/drawer";
import { designOf, issueOf, readJobFile, type Issue } from "core/job";
import type * as Drawer from "./drawer.server";
import type * as Jobs from "./jobs.server";
import type * as Keeper from "./keep.server";
import type * as Workshop from "./workshop.server";

let dir = "";
let drawer: typeof Drawer;
let jobs: typeof Jobs;
let keeper: typeof Keeper;
let workshop: typeof Workshop;
beforeAll(async () => {
  dir = mkdtempSync(join(tmpdir(), "cardo-drawer-"));
  process.env.CARDO_DATA = dir;
  drawer = await import("./drawer.server");
  jobs = await import("./jobs.server");
  keeper = await import("./keep.server");
  workshop = await import("./workshop.server");
});
afterAll(() => rmSync(dir, { recursive: true, force: true }));

const text = readFileSync("examples/tool-house-framed.json", "utf8");
const design = designOf(readJobFile(text).doc);
const strip: Lot = { form: "strip", material: "wood", name: "Strip", thickness: 1, width: 2, length: 300 };
const sticks = design.pieces[0]!.sticks.slice(0, 2);
const move: CutMove = { lot: strip, drawer: true, left: [{ ...strip, length: 90 }], sticks };
let serial = 0;
const event = (kind: Issue["kind"], moves?: readonly CutMove[], id = `event-${serial++}`) => ({ kind: "event" as const, id, base: 0, event: { ...issueOf(design, kind, id, "2026-05-01T10:00:00Z", sticks), ...(moves ? { moves } : {}) } }); // prettier-ignore
const lying = () => drawer.inDrawer().map((h) => [h.lot.length, h.count]);

describe("the ledger beside what is cut", () => {
  it("moves with the event in one go, once however often it is sent, and back when it is taken back", async () => {
    const id = await jobs.importJob(text);
    drawer.enter([{ lot: strip, count: 2, why: "bought" }]);
    const cut = event("cut", [move]);
    expect(keeper.keepEntry(id, cut)).toMatchObject({ ok: true });
    expect(keeper.keepEntry(id, cut)).toMatchObject({ ok: true });
    expect(lying()).toEqual([[90, 1], [300, 1]]); // prettier-ignore
    // what is for the ledger stands there alone
    expect(jobs.issuesOf(id).map((i) => ["moves" in i, i.sticks])).toEqual([[false, [...sticks]]]);
    expect(drawer.ledger().map((m) => [m.why, m.count, m.job === id])).toEqual([["bought", 2, false], ["cut", -1, true], ["offcut", 1, true]]); // prettier-ignore
    keeper.keepEntry(id, event("uncut"));
    expect(lying()).toEqual([[300, 2]]);
    keeper.keepEntry(id, event("uncut"));
    expect(lying()).toEqual([[300, 2]]);
    // cut anew
    keeper.keepEntry(id, event("cut", [move]));
    expect(lying()).toEqual([[90, 1], [300, 1]]); // prettier-ignore
  });
  it("of a stick that two jobs share moves once, and comes back when neither is cut any more", async () => {
    const [a, b] = [await jobs.importJob(text), await jobs.importJob(text)];
    const before = lying();
    const shared: CutMove = { ...move, sticks: [sticks[0]!], also: [{ job: b, sticks: [sticks[1]!] }] };
    const one = (kind: Issue["kind"], stick: string, moves?: readonly CutMove[]) => ({ ...event(kind, moves).event, sticks: [stick] }); // prettier-ignore
    const events = [
      { job: a, event: one("cut", sticks[0]!, [shared]) },
      { job: b, event: one("cut", sticks[1]!) },
    ];
    expect(keeper.keepTogether(events)).toMatchObject({ ok: true });
    const cut = lying();
    expect(cut).not.toEqual(before);
    expect(drawer.ledger().at(-1)).toMatchObject({
      job: a,
      sticks: [sticks[0]],
      also: [{ job: b, sticks: [sticks[1]] }],
    });
    // sent twice
    expect(keeper.keepTogether(events)).toMatchObject({ ok: true });
    expect(lying()).toEqual(cut);
    keeper.keepEntry(a, { ...event("uncut"), event: one("uncut", sticks[0]!) });
    expect(lying()).toEqual(cut);
    keeper.keepEntry(b, { ...event("uncut"), event: one("uncut", sticks[1]!) });
    expect(lying()).toEqual(before);
  });
  it("keeps nothing of several jobs' events where one is refused, or a job is gone", async () => {
    const a = await jobs.importJob(text);
    const [lines, good] = [drawer.ledger().length, { job: a, event: event("cut", [move]).event }];
    expect(keeper.keepTogether([good, { job: "gone", event: event("cut").event }])).toEqual({ ok: false, why: "gone" });
    expect(keeper.keepTogether([good, { job: a, event: { id: "none" } }])).toMatchObject({ ok: false, why: "refused" });
    expect([drawer.ledger().length, jobs.issuesOf(a).length]).toEqual([lines, 0]);
  });
  it("keeps lots for the jobs that they are set aside for, and no longer once those have cut them", async () => {
    const id = await jobs.importJob(text);
    drawer.putAside([{ lot: strip, count: 1, jobs: [id] }, { lot: strip, count: 4, jobs: ["gone"] }]); // prettier-ignore
    // a job that is gone keeps nothing
    expect(drawer.setAside()).toEqual([{ lot: strip, count: 1, jobs: [id] }]);
    keeper.keepEntry(id, event("cut", [{ ...move, drawer: false }]));
    expect(drawer.setAside()).toHaveLength(1);
    keeper.keepEntry(id, event("cut", [move]));
    expect(drawer.setAside()).toEqual([]);
    keeper.keepEntry(id, event("uncut"));
  });
  it("does not move with an event that is refused", async () => {
    const id = await jobs.importJob(text);
    const before = drawer.ledger().length;
    const bad = event("cut", [{ ...move, lot: { ...strip, length: -1 } }]);
    expect(keeper.keepEntry(id, bad)).toMatchObject({ ok: false, why: "refused", sentences: [expect.stringMatching(/length/)] }); // prettier-ignore
    expect(keeper.keepEntry("gone", event("cut", [move]))).toMatchObject({ ok: false, why: "gone" });
    expect(drawer.ledger()).toHaveLength(before);
  });
  it("keeps its lines when the job goes, and takes each back once", async () => {
    const line = drawer.ledger().find((m) => m.why === "bought")!;
    expect(drawer.undoLine(line.id)).toBe(true);
    expect(drawer.undoLine(line.id)).toBe(false);
    expect(drawer.undoLine("none")).toBe(false);
    const undone = drawer.ledger().at(-1)!;
    expect([undone.why, undone.undoes, undone.count]).toEqual(["undone", line.id, -2]);
    expect(drawer.undoLine(undone.id)).toBe(false);
  });
  it("is all or nothing: one bad line leaves none", () => {
    const before = drawer.ledger().length;
    expect(() => drawer.enter([{ lot: strip, count: 1, why: "bought" }, { lot: strip, count: 1, why: "stolen" as never, undoes: drawer.ledger().at(-1)!.undoes! }])).toThrow(); // prettier-ignore
    expect(drawer.ledger()).toHaveLength(before);
  });
  it("keeps the least offcut over all jobs", () => {
    expect(drawer.leastOffcut()).toBe(40);
    drawer.setLeastOffcut(25);
    drawer.setLeastOffcut(30.5);
    expect(drawer.leastOffcut()).toBe(30.5);
  });
});

describe("the jig drawer", () => {
  it("keeps jigs that can be made, with what they were made for, the last one first", () => {
    workshop.keepJig({
      kind: "spacer",
      figures: { gap: 5.25, long: 40, high: 6, count: 2, wish: 9 },
      madeFor: "Depot",
    });
    workshop.keepJig({ kind: "length", name: "Ties", figures: { length: 35, wide: 2.3, plate: 3, slot: 0.4 } });
    expect(workshop.keptJigs().map((j) => [j.kind, j.name, j.madeFor]).sort()).toEqual([["length", "Ties", ""], ["spacer", "Spacer or gauge block", "Depot"]]); // prettier-ignore
    const spacer = workshop.keptJigs().find((j) => j.kind === "spacer")!;
    expect(spacer.figures).toEqual({ gap: 5.25, long: 40, high: 6, count: 2 });
    expect(() => workshop.keepJig({ kind: "spacer", figures: { gap: 5 } })).toThrow(
      "Long: read undefined; it may be from 5 to 300 mm.",
    );
    expect(() => workshop.keepJig({ kind: "lathe", figures: {} })).toThrow("A jig “lathe” is not known.");
    expect(() => workshop.keepJig({ kind: "spacer" })).toThrow("Clear gap");
    expect(workshop.removeJig(spacer.id)).toBe(true);
    expect(workshop.removeJig(spacer.id)).toBe(false);
    expect(workshop.keptJigs()).toHaveLength(1);
  });
});
