import highs from "highs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { calendarOf, chains, placed, planEvenings, windowsOf, type EveningPlan, type Task, type Window } from ".";

const task = (id: string, minutes: number, ...after: (readonly [string, number])[]): Task => ({ id, title: id, minutes, after: after.map(([x, rest]) => ({ id: x, rest })) }); // prettier-ignore
const evenings = (n: number, long = 120): Window[] => Array.from({ length: n }, (_, i) => ({ from: i * 1440, to: i * 1440 + long })); // prettier-ignore
/** Independent: each once, in a window or over whole ones, after what comes before and its rest, none beside another. */
function faults(tasks: readonly Task[], windows: readonly Window[], p: EveningPlan): string[] {
  const out: string[] = [];
  const at = new Map(p.planned.map((x) => [x.id, x]));
  const free = (from: number, to: number): number => windows.reduce((s, w) => s + Math.max(0, Math.min(to, w.to) - Math.max(from, w.from)), 0); // prettier-ignore
  for (const t of tasks) {
    const x = at.get(t.id);
    if (!x) {
      if (!p.left.includes(t.id)) out.push(`${t.id} is lost`);
      continue;
    }
    if (Math.abs(free(x.from, x.to) - t.minutes) > 1e-6)
      out.push(`${t.id} has ${free(x.from, x.to)} of ${t.minutes} min`);
    for (const a of t.after) if (!(at.get(a.id)!.to + a.rest <= x.from + 1e-6)) out.push(`${t.id} begins before ${a.id} holds`); // prettier-ignore
  }
  const sorted = [...p.planned].sort((a, b) => a.from - b.from);
  sorted.slice(1).forEach((x, i) => x.from < sorted[i]!.to - 1e-6 && out.push(`${x.id} and ${sorted[i]!.id} at once`));
  return out;
}
const jobs = (most: number) =>
  fc.array(fc.record({ minutes: fc.integer({ min: 5, max: 70 }), rests: fc.array(fc.record({ on: fc.nat(), rest: fc.constantFrom(0, 10, 45, 200) }), { maxLength: 2 }) }), { minLength: 1, maxLength: most }).map((all) => all.map((t, i): Task => task(`t${i}`, t.minutes, ...(i > 0 ? new Map(t.rests.map((r) => [`t${r.on % i}`, r.rest])) : [])))); // prettier-ignore

describe("evenings", () => {
  it("fill a wait with other work: glue of 45 minutes on one wall while the other is laid", () => {
    const tasks = [task("lay A", 30), task("turn A", 15, ["lay A", 45]), task("lay B", 30), task("turn B", 15, ["lay B", 45])]; // prettier-ignore
    const p = planEvenings(tasks, evenings(3));
    expect(placed(tasks, evenings(3)).end).toBeGreaterThan(1440);
    // 30, 30, then A holds at 75, B at 105
    expect(p.planned.map((x) => [x.id, x.from, x.to])).toEqual([["lay A", 0, 30], ["lay B", 30, 60], ["turn A", 75, 90], ["turn B", 105, 120]]); // prettier-ignore
  });
  it("begin the longest chain first, and part what is longer than an evening", () => {
    const tasks = [task("short", 60), task("long", 60), task("rest of it", 60, ["long", 1500])];
    expect(chains(tasks).get("long")).toBe(1620);
    // an hour each day: the long one first is through on the third day, else on the fourth
    const p = planEvenings(tasks, evenings(8, 60));
    expect(p.planned.map((x) => [x.id, x.from])).toEqual([["long", 0], ["short", 1440], ["rest of it", 2880]]); // prettier-ignore
    const parted = planEvenings([task("huge", 300)], evenings(8));
    expect(parted.planned).toEqual([{ id: "huge", from: 0, to: 2 * 1440 + 60 }]);
  });
  it("leave over what finds no time, and say which", () => {
    const p = planEvenings([task("a", 60), task("b", 100)], evenings(1));
    expect(p.planned.length + p.left.length).toBe(2);
    expect(p.left).toHaveLength(1);
  });
  it("keep every rule and are never worse than one thing after another", () => {
    fc.assert(
      fc.property(jobs(14), fc.integer({ min: 60, max: 200 }), (tasks, long) => {
        const windows = evenings(120, long);
        const p = planEvenings(tasks, windows);
        expect(faults(tasks, windows, p)).toEqual([]);
        expect(p.end).toBeLessThanOrEqual(placed(tasks, windows).end + 1e-9);
      }),
      { numRuns: 80 },
    );
  });
  it("of a few tasks are as good as a whole-number program finds: 70 small jobs", async () => {
    const solver = await highs();
    const windows = evenings(4, 120);
    let seen = 0;
    for (const tasks of fc.sample(jobs(4), { numRuns: 70, seed: 20261128 })) {
      const p = planEvenings(tasks, windows);
      const n = tasks.length;
      const M = 6000;
      // start of each, which comes first of two, in which evening each lies; the end is to be least
      const at = (id: string): number => tasks.findIndex((t) => t.id === id);
      const rows = [
        ...tasks.map((t, i) => `z - s${i} >= ${t.minutes}`),
        ...tasks.flatMap((t, i) => t.after.map((a) => `s${i} - s${at(a.id)} >= ${tasks[at(a.id)]!.minutes + a.rest}`)),
        ...tasks.flatMap((t, i) => tasks.flatMap((o, j) => (j > i ? [`s${j} - s${i} - ${M} x${i}_${j} >= ${t.minutes - M}`, `s${i} - s${j} + ${M} x${i}_${j} >= ${o.minutes}`] : []))), // prettier-ignore
        ...tasks.map((_, i) => `${windows.map((__, k) => `w${i}_${k}`).join(" + ")} = 1`),
        ...tasks.flatMap((t, i) => [`s${i} ${windows.map((w, k) => `- ${w.from} w${i}_${k}`).join(" ")} >= 0`, `s${i} ${windows.map((w, k) => `- ${w.to - t.minutes} w${i}_${k}`).join(" ")} <= 0`]), // prettier-ignore
      ];
      const bins = [...tasks.flatMap((_, i) => tasks.flatMap((__, j) => (j > i ? [`x${i}_${j}`] : []))), ...tasks.flatMap((_, i) => windows.map((__, k) => `w${i}_${k}`))]; // prettier-ignore
      const lp = `Minimize\n obj: z\nSubject To\n${rows.map((r, k) => ` c${k}: ${r}`).join("\n")}\nBounds\n${tasks.map((_, i) => ` 0 <= s${i} <= 6000`).join("\n")}\nBinary\n ${bins.join(" ")}\nEnd`; // prettier-ignore
      const r = solver.solve(lp);
      if (r.Status === "Infeasible") continue;
      seen++;
      expect(p.end, JSON.stringify(tasks)).toBeCloseTo(r.ObjectiveValue, 4);
      expect(n).toBeLessThanOrEqual(4);
    }
    expect(seen).toBeGreaterThan(66);
  });
  it("of a week are those days, by the clock on the wall, also over the change to winter time", () => {
    const start = new Date(2026, 9, 20, 18, 0);
    const of = windowsOf([{ day: 2, from: 19 * 60, to: 21 * 60 }, { day: 6, from: 9 * 60, to: 12 * 60 }], start, 14); // prettier-ignore
    const told = of.map((w) => [
      new Date(start.getTime() + w.from * 60_000),
      new Date(start.getTime() + w.to * 60_000),
    ]);
    expect(told.map(([a, b]) => [a!.getDay(), a!.getHours(), b!.getHours()])).toEqual([[2, 19, 21], [6, 9, 12], [2, 19, 21], [6, 9, 12]]); // prettier-ignore
    // one that has begun counts from now
    expect(windowsOf([{ day: 2, from: 17 * 60, to: 21 * 60 }], start, 1)).toEqual([{ from: 0, to: 180 }]);
  });
  it("go into a calendar file: an event each, long lines folded, commas kept", () => {
    const tasks = [task("wall", 30), { ...task("roof", 45), title: "Place: Front slope, rafters; and a very long title that goes on and on beyond a line — with a dash" }]; // prettier-ignore
    const start = new Date("2026-11-28T18:00:00Z");
    const ics = calendarOf(tasks, placed(tasks, evenings(2)), start, start);
    const lines = ics.split("\r\n");
    expect(lines.at(-1)).toBe("");
    expect(lines.filter((l) => l === "BEGIN:VEVENT")).toHaveLength(2);
    expect(lines).toContain("DTSTART:20261128T180000Z");
    expect(lines).toContain("DTEND:20261128T183000Z");
    for (const l of lines) expect(Buffer.byteLength(l)).toBeLessThanOrEqual(75);
    expect(ics.replace(/\r\n /g, "")).toContain("SUMMARY:Place: Front slope\\, rafters\\; and a very long title that goes on and on beyond a line — with a dash"); // prettier-ignore
  });
});
