import { readFileSync } from "node:fs";
import { beforeAll, describe, expect, it } from "vitest";
import { cutStatuses, designOf, issueOf, readJobFile, stickJobs, type Design } from "core/job";
import { planItem } from "core/cutting";
import { fits } from "~/job/usePlan";
import { linesOf, rowHas, rowsOf, trayOf } from "./cutRows";

let depot: Design;
let gulch: Design;
const load = (name: string): Design => designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc);
beforeAll(() => {
  depot = load("depot");
  gulch = load("gulch-trestle");
});
const find = (text: string, d = depot) => rowsOf(d, [], "none").filter((r) => rowHas(r, text));

describe("the cut list's filter", () => {
  it("reads as people type: 2x4, 2 X 4 and 2×4 find the same", () => {
    const typed = ["2×4", "2x4", "2 x 4", "2X4", "2 * 4"].map((t) => find(t).map((r) => r.piece.mark));
    expect(typed[0]!.length).toBeGreaterThan(0);
    for (const t of typed) expect(t).toEqual(typed[0]);
    for (const r of find("2x4")) expect(r.nominal).toBe("2×4");
  });
  it("takes words in any order, and finds marks, parts and places", () => {
    expect(find("front stud").length).toBeGreaterThan(0);
    expect(find("stud front").map((r) => r.id)).toEqual(find("front stud").map((r) => r.id));
    expect(find("JO1").map((r) => r.piece.mark)).toContain("JO1");
    expect(find("no such piece")).toEqual([]);
    expect(find("").length).toBe(depot.pieces.length);
  });
});

describe("the cut list's groups", () => {
  it("hold every stick once, however it is parted", () => {
    const all = depot.pieces.flatMap((p) => p.sticks).sort();
    for (const grouping of ["none", "part", "stock", "tray"] as const) {
      const rows = rowsOf(depot, [], grouping);
      expect(rows.flatMap((r) => r.sticks).sort()).toEqual(all);
      expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
    }
  });
  it("part a piece among the trays its sticks go into", () => {
    const rows = rowsOf(depot, [], "tray");
    const studs = rows.filter((r) => r.piece.role === "stud");
    expect(new Set(studs.map((r) => r.group)).size).toBeGreaterThan(3);
    expect(trayOf("house/front")).toBe("Front");
    expect(trayOf("house")).toBe("Everything");
    expect(rowsOf(gulch, [], "tray").length).toBeGreaterThanOrEqual(gulch.pieces.length);
  });
  it("fold: a folded one keeps its heading and its counts", () => {
    const rows = rowsOf(depot, [], "stock");
    const open = linesOf(rows, new Set());
    const heads = open.filter((l) => l.kind === "group");
    const folded = linesOf(rows, new Set(heads.map((h) => (h.kind === "group" ? h.name : ""))));
    expect(folded).toEqual(heads);
    expect(open.length).toBe(rows.length + heads.length);
    expect(heads.reduce((n, h) => n + (h.kind === "group" ? h.pieces : 0), 0)).toBe(depot.pieces.flatMap((p) => p.sticks).length); // prettier-ignore
    // in order as people count: 2×8 before 2×10
    const names = heads.flatMap((h) => (h.kind === "group" ? [h.name] : []));
    expect(names.indexOf("Scale lumber, HO 2×8")).toBeLessThan(names.indexOf("Scale lumber, HO 2×10"));
  });
  it("count what is cut", () => {
    const sticks = gulch.pieces.find((p) => p.mark === "P1")!.sticks;
    const cut = cutStatuses(gulch, [issueOf(gulch, "cut", "i1", "2026-05-01T20:14:00Z", sticks)]);
    const [line] = linesOf(rowsOf(gulch, cut, "part"), new Set()).filter((l) => l.kind === "group" && l.name === "Batter post"); // prettier-ignore
    expect(line).toMatchObject({ cut: sticks.length });
  });
});

describe("a plan while its sticks are cut", () => {
  it("holds as long as whole planned sticks are marked, and is made anew otherwise", async () => {
    const plans = await Promise.all(stickJobs(gulch).map((j) => planItem(j)));
    const none = new Set<string>();
    const groups = plans.flatMap((p) => p.sticks.map((s) => s.cuts.map((c) => c.stick)));
    const first = plans[0]!.sticks[0]!.cuts.map((c) => c.stick);
    expect(fits(none, none, groups)).toBe(true);
    expect(fits(none, new Set(first), groups)).toBe(true);
    // a lone piece of a planned stick breaks the plan of the rest of it
    const long = plans.flatMap((p) => p.sticks).find((s) => s.cuts.length > 1)!;
    expect(fits(none, new Set([long.cuts[0]!.stick]), groups)).toBe(false);
    // taken back what was cut before the plan was made: the plan lacks it
    expect(fits(new Set(first), none, groups)).toBe(false);
    // taken back what was marked on the plan: it is there still
    expect(fits(none, none, groups)).toBe(true);
  });
});
