import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { benchEvent, checkIssue, cutSticks, designOf, emptyJob, issueOf, measuredLengths, newStructure, printOf, readJobFile, stopErrors, writeJobFile, type BenchNote, type Issue } from "../job"; // prettier-ignore
import {
  assemblyOf,
  forgotten,
  JOININGS,
  minutesOf,
  minutesWords,
  nextStep,
  placed,
  planEvenings,
  readJoinings,
  stepStates,
  tasksOf,
  windowsOf,
  type Step,
} from ".";

const bent = designOf(readJobFile(readFileSync("examples/gulch-trestle.json", "utf8")).doc);
const { steps } = assemblyOf(bent.structures[0]!);
const T = Date.parse("2026-05-01T20:00:00Z");
const at = (min: number): string => new Date(T + min * 60_000).toISOString();
let serial = 0;
const note = (kind: "done" | "undone" | "skipped", s: Step, min: number, more: BenchNote = {}): Issue => benchEvent(kind, `event-${serial++}`, at(min), { step: s.id, title: s.title, joining: { name: "White glue", handle: 45, full: 1440 }, ...more }); // prettier-ignore
const states = (events: readonly Issue[], min: number, prints?: ReadonlyMap<string, string>) => [...stepStates(steps, events, T + min * 60_000, prints).values()].map((s) => s.state); // prettier-ignore

describe("how steps stand", () => {
  it("is open where nothing has to come before, and goes on while glue is wet as long as nothing is lifted", () => {
    expect(states([], 0)).toEqual(["open", "open", "open", "waiting", "waiting", "waiting", "waiting"]);
    const laid = steps.slice(0, 3).map((s, i) => note("done", s, i));
    expect(states(laid, 3)).toEqual(["done", "done", "done", "open", "waiting", "waiting", "waiting"]);
    const faced = [...laid, note("done", steps[3]!, 4), note("done", steps[4]!, 5)];
    // to turn it over what was joined last has to hold: 45 minutes from then
    expect(states(faced, 49)).toEqual(["done", "done", "done", "done", "done", "drying", "waiting"]);
    expect(stepStates(steps, faced, T + 49 * 60_000).get(steps[5]!.id)!.ready).toBe(T + 50 * 60_000);
    expect(states(faced, 50)[5]).toBe("open");
    expect(nextStep(steps, stepStates(steps, faced, T + 49 * 60_000))!.id).toBe(steps[5]!.id);
  });
  it("is another when a step is taken back, skipped with a reason, or its pieces are others since", () => {
    const [cap] = steps as [Step];
    expect(states([note("done", cap, 0), note("undone", cap, 1)], 2)[0]).toBe("open");
    const skipped = stepStates(steps, [note("skipped", cap, 0, { text: "bought ready" })], T);
    expect(skipped.get(cap.id)).toMatchObject({ state: "skipped", reason: "bought ready" });
    const prints = new Map(steps.map((s) => [s.id, printOf(bent, s.sticks)] as const));
    const done = [note("done", cap, 0, { print: prints.get(cap.id)! })];
    expect(stepStates(steps, done, T, prints).get(cap.id)!.touched).toBeUndefined();
    expect(stepStates(steps, done, T, new Map([[cap.id, "1-abc"]])).get(cap.id)!.touched).toBe(true);
  });
  it("is told of what was done and is no step any more", () => {
    const gone = benchEvent("done", "event-gone", at(0), { step: "x/join/roof board", title: "12 roof boards" });
    expect(forgotten(steps, [gone, note("done", steps[0]!, 1)]).map((i) => i.bench!.title)).toEqual(["12 roof boards"]);
    expect(forgotten(steps, [gone, benchEvent("undone", "event-back", at(2), { step: "x/join/roof board" })])).toEqual([]); // prettier-ignore
  });
  it("keeps what is done over any edits of the design: each done step is done still, or told as gone, and touched where its pieces changed", () => {
    const edit = (heights: number) => designOf({ ...emptyJob("Bent"), structures: [newStructure("trestle-bent", "s", "Bent", { height: heights })] }); // prettier-ignore
    const first = edit(6096);
    const order = assemblyOf(first.structures[0]!).steps;
    const log = order.slice(0, 4).map((s, i) => note("done", s, i, { print: printOf(first, s.sticks) }));
    fc.assert(
      fc.property(fc.integer({ min: 3500, max: 9000 }), (height) => {
        const now = edit(height);
        if (now.structures[0]!.fault) return;
        const next = assemblyOf(now.structures[0]!).steps;
        const prints = new Map(next.map((s) => [s.id, printOf(now, s.sticks)] as const));
        const st = stepStates(next, log, T, prints);
        const done = next.filter((s) => st.get(s.id)!.state === "done");
        expect(done.length + forgotten(next, log).length).toBe(4);
        const lengths = (d: typeof now, ids: readonly string[]) => d.pieces.filter((p) => p.sticks.some((x) => ids.includes(x))).map((p) => `${p.sticks.join()} ${p.shape.overall.toFixed(2)}`).sort().join(); // prettier-ignore
        for (const s of done) {
          const was = order.find((o) => o.id === s.id)!;
          if (lengths(first, was.sticks) !== lengths(now, s.sticks)) expect(st.get(s.id)!.touched, s.title).toBe(true);
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe("the rest of the build over evenings", () => {
  const handle = () => 45;
  const tasks = (log: readonly Issue[], min: number) => tasksOf(steps, stepStates(steps, log, T + min * 60_000), log, T + min * 60_000, handle); // prettier-ignore
  it("has every step that is not done, with what has to come before and what has to hold", () => {
    const all = tasks([], 0);
    expect(all.map((t) => t.title)).toEqual(steps.map((s) => s.title));
    // turning it over waits for all that was laid; laying on waits for nothing
    expect(all[4]!.after.every((a) => a.rest === 0)).toBe(true);
    expect(all[5]!.after.map((a) => a.rest)).toEqual(expect.arrayContaining([45, 45, 45, 45, 45]));
    const done = steps.slice(0, 5).map((s) => note("done", s, 0));
    const left = tasks(done, 10);
    expect(left.map((t) => [t.title, t.after.length, t.ready])).toEqual([["Bent: 2 sway braces, turned over", 0, 35], ["Place: Bent", 1, 35]]); // prettier-ignore
  });
  it("learns how long steps take from those that were timed", () => {
    const usual = minutesOf(steps, [])(steps[3]!);
    const timed = benchEvent("note", "event-took", at(0), { step: steps[4]!.id, minutes: 3 * minutesOf(steps, [])(steps[4]!) }); // prettier-ignore
    expect(minutesOf(steps, [timed])(steps[3]!) / usual).toBeCloseTo(3, 0);
  });
  it("plans 300 steps over a year, and none is lost", () => {
    const many = Array.from({ length: 300 }, (_, i) => ({ id: `t${i}`, title: `t${i}`, minutes: 5 + ((i * 37) % 50), after: i % 7 === 0 ? [] : [{ id: `t${i - 1}`, rest: (i * 13) % 60 }] })); // prettier-ignore
    const windows = windowsOf([{ day: 2, from: 1140, to: 1260 }, { day: 4, from: 1140, to: 1260 }, { day: 6, from: 540, to: 720 }], new Date(2026, 0, 5), 366); // prettier-ignore
    const p = planEvenings(many, windows);
    expect([p.planned.length, p.left]).toEqual([300, []]);
    expect(p.end).toBeLessThanOrEqual(placed(many, windows).end);
  });
});

describe("what is noted at the bench", () => {
  const length = (mark: string, stick: string, planned: number, actual: number) => ({ mark, stick, planned, actual });
  const measured = (...lengths: ReturnType<typeof length>[]): Issue => benchEvent("measured", `event-${serial++}`, at(0), { lengths }); // prettier-ignore
  it("tells what the stop cuts wrong on the whole, and where to set it: three posts of 60, 0.12 too long", () => {
    const log = [measured(length("P1", "a", 60, 60.1)), measured(length("P1", "b", 60, 60.14), length("P1", "c", 60, 60.12)), measured(length("C1", "d", 49, 49.02))]; // prettier-ignore
    const [p, ...more] = stopErrors(log);
    expect(more).toEqual([]);
    expect(p!.mark).toBe("P1");
    expect([p!.mean, p!.spread, p!.setTo].map((x) => Number(x.toFixed(6)))).toEqual([0.12, 0.04, 59.88]);
    // measured again, the later one counts
    const again = [
      ...log,
      measured(length("P1", "a", 60, 59.9), length("P1", "b", 60, 60), length("P1", "c", 60, 60.1)),
    ];
    expect(stopErrors(again)).toEqual([]);
    expect(measuredLengths(again).get("a")!.actual).toBe(59.9);
  });
  it("puts what broke or was lost back on the cut list", () => {
    const cap = bent.pieces.find((p) => p.mark === "C1")!;
    const cut = issueOf(bent, "cut", "event-cut", at(0), cap.sticks);
    expect(cutSticks([cut]).size).toBe(1);
    expect(cutSticks([cut, benchEvent("lost", "event-lost", at(1), { title: "C1" }, cap.sticks)]).size).toBe(0);
  });
  it("goes into a job file and out of it again, is checked, and a note that is none is refused", () => {
    const log = [note("done", steps[0]!, 0, { print: "1-ab", minutes: 12 }), measured(length("P1", "a", 60, 60.1)), benchEvent("note", "event-photo", at(3), { text: "The cap split.", picture: { hash: "a".repeat(64), width: 640, height: 480 } })]; // prettier-ignore
    for (const i of log) expect(checkIssue(i)).toEqual(i);
    const { doc } = readJobFile(readFileSync("examples/gulch-trestle.json", "utf8"));
    expect(readJobFile(writeJobFile({ doc, issues: log, files: {} })).issues).toEqual(log);
    for (const bad of [{ text: "x".repeat(10_001) }, { minutes: -1 }, { picture: { hash: "x", width: 1, height: 1 } }, { joining: { name: "Glue", handle: "soon", full: 1 } }, { lengths: [{ mark: "P1" }] }, { colour: "red" }]) expect(() => checkIssue(benchEvent("note", "event-bad", at(0), bad as never)), JSON.stringify(bad)).toThrow(/At issue\.bench/); // prettier-ignore
    expect(() => checkIssue({ ...log[0], kind: "danced" })).toThrow(/kind is a print, a cut/);
  });
});

describe("the table of glues", () => {
  it("is read as it is written, and what is no time is told", () => {
    expect(readJoinings(JSON.parse(JSON.stringify(JOININGS)))).toEqual(JOININGS);
    const [white] = JOININGS;
    const bad = (change: object) => () => readJoinings([{ ...white, ...change }]);
    expect(bad({ handle: -1 })).toThrow(/White glue: handle reads -1; write minutes from 0 to 10000/);
    expect(bad({ full: 5 })).toThrow(/holds after 5 minutes, before it can be handled after 45/);
    expect(bad({ id: "a b" })).toThrow(/name and an id of its own/);
    expect(() => readJoinings([white, white])).toThrow(/id of its own/);
    expect(() => readJoinings("none")).toThrow(/a list of one to sixty/);
  });
  it("tells times as people do", () => {
    expect([0, 0.1, 1, 45, 89, 90, 120, 150, 1440].map(minutesWords)).toEqual(["at once", "6 s", "1 min", "45 min", "89 min", "1½ h", "2 h", "2½ h", "24 h"]); // prettier-ignore
  });
});
