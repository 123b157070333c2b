import { readFileSync } from "node:fs";
import Ajv from "ajv";
import { describe, expect, it } from "vitest";
import { findings } from "../checks";
import { feet, inches } from "../units";
import { JOB_VERSION } from "./document";
import { MIGRATIONS } from "./migrations";
import {
  checkJob,
  cutRows,
  cutStatuses,
  designHash,
  designOf,
  emptyJob,
  issuedMarks,
  issueOf,
  newStructure,
  readJobFile,
  readJobText,
  shortHash,
  writeJobFile,
  type JobDoc,
} from ".";

const job = (params: Record<string, unknown> = {}, more: Partial<JobDoc> = {}): JobDoc => {
  const s = newStructure("trestle-bent", "g", "Bent");
  Object.assign(s.variants[0]!.params, params);
  return { ...emptyJob("Test"), structures: [s], ...more };
};
const sentence = (f: () => unknown): string => {
  try {
    f();
  } catch (e) {
    return (e as Error).message;
  }
  throw new Error("nothing was refused");
};

describe("job files", () => {
  it("come back as they were written", () => {
    const doc = job({ height: feet(30) });
    expect(readJobFile(writeJobFile({ doc, issues: [], files: {} })).doc).toEqual(doc);
  });
  it("of before a kind gained parameters are read with the usual ones, in tables too", () => {
    const text = readFileSync("examples/depot.json", "utf8");
    const now = readJobFile(text).doc;
    const before = JSON.parse(text) as { structures: { variants: { params: Record<string, unknown> }[] }[] };
    const params = before.structures[0]!.variants[0]!.params;
    for (const k of ["dormers", "roofFrame", "flashWidth", "unseenRooms"]) delete params[k];
    for (const row of params.openings as Record<string, unknown>[]) delete row.part;
    expect(readJobFile(JSON.stringify(before)).doc).toEqual(now);
    // what is there and wrong is still said
    params.rise = "steep";
    expect(() => readJobFile(JSON.stringify(before))).toThrow(/Rise is “steep”/);
  });
  it("whose values no longer go together open, and the structure says why it is not framed", () => {
    // what one version framed a later one may refuse: the job and all else in it stay
    const { doc } = readJobFile(JSON.stringify(job({ batters: [0, 6, 0] })));
    const [bent] = designOf(doc).structures;
    expect(bent!.fault).toMatch(/Posts L2 and L1 would cross at the sill/);
    expect(bent!.resolved.sticks).toEqual([]);
  });
  it("ship as examples that the shipped schema knows", () => {
    const schema = JSON.parse(readFileSync("docs/job.schema.json", "utf8")) as object;
    const check = new Ajv({ strict: false }).compile(schema);
    for (const f of ["gulch-trestle", "empty-job"]) {
      const text = readFileSync(`examples/${f}.json`, "utf8");
      expect(check(JSON.parse(text)), JSON.stringify(check.errors)).toBe(true);
      expect(findings(designOf(readJobFile(text).doc)).filter((x) => x.level !== "remark")).toEqual([]);
    }
  });
  it.each([
    ["[1,2", /^This is no job file: it should be JSON, and it begins with “\[1,2” and breaks off/],
    ["{}", /^This is no Cardo job file: it lacks "format"/],
    [
      JSON.stringify({ ...job(), version: 99 }),
      /^The job file is of version 99, and this Cardo reads up to 2\. Open it with a newer Cardo\.$/,
    ],
    [JSON.stringify({ ...job(), version: "x" }), /version is "x"/],
    [JSON.stringify({ ...job(), extra: 1 }), /extra/],
    [
      JSON.stringify(job({ height: 100 })),
      /^Bent, First: Height, top of cap to foot of sill is 0′-3 15\/16″; it may be from 5′-0″ to 90′-0″\.$/,
    ],
    [
      JSON.stringify({ ...job(), structures: [{ ...job().structures[0]!, kind: "castle" }] }),
      /is of the kind “castle”; known are trestle-bent/,
    ],
    [
      JSON.stringify({
        ...job(),
        stock: { ...job().stock, choices: { "12×12": { item: 5, plies: 3, along: "width" } } },
      }),
      /At stock\.choices\.12×12\.item/,
    ],
    [
      JSON.stringify({
        ...job(),
        stock: { ...job().stock, sticks: { "scale/12x12": [{ length: -1, count: null, price: 0 }] } },
      }),
      /At stock\.sticks\.scale\/12x12.*length/,
    ],
    [JSON.stringify({ ...job(), brief: { ...job().brief, scale: { id: "HO", ratio: 48 } } }), /Scale HO is 1:87/],
  ])("are refused in a sentence: %#", (text, words) => expect(sentence(() => readJobText(text))).toMatch(words));
  it("have a migration from every earlier version, each with its fixture", () => {
    // version 1 is the first: this list grows with JOB_VERSION and fails when a step is missing
    const fixtures: Record<number, { before: Record<string, unknown>; after: Record<string, unknown> }> = {
      1: {
        before: {
          version: 1,
          drawings: [
            {
              id: "a",
              measures: [],
              calibration: { from: [1, 2], to: [3, 40], length: 9, tilt: 1 },
              under: { structure: "g", anchor: [5, 6], opacity: 0.4 },
            },
            { id: "b", measures: [] },
          ],
        },
        after: {
          version: 2,
          drawings: [
            {
              id: "a",
              measures: [],
              openings: [],
              calibration: {
                lengths: [{ id: "k1", name: "Known length", from: [1, 2], to: [3, 40], length: 9, use: "scale" }],
                stretch: "auto",
                tilt: 1,
              },
              under: [{ structure: "g", view: "front", anchor: [5, 6], opacity: 0.4 }],
            },
            { id: "b", measures: [], openings: [], under: [] },
          ],
        },
      },
    };
    expect(Object.keys(MIGRATIONS).map(Number)).toEqual(Array.from({ length: JOB_VERSION - 1 }, (_, i) => i + 1));
    for (const [v, step] of Object.entries(MIGRATIONS))
      expect(step(fixtures[Number(v)]!.before)).toEqual(fixtures[Number(v)]!.after);
  });
  it("checks numbers that are none", () =>
    expect(sentence(() => checkJob({ ...job(), cutting: { kerf: "1", allowance: 0 } }))).toMatch(/At cutting\.kerf/));
});

describe("design", () => {
  it("lists what is to be cut, by hand: HO cap of 14 ft is 49 mm", () => {
    const rows = cutRows(designOf(job()));
    expect(rows.find((r) => r.piece === "cap")).toMatchObject({
      mark: "C1",
      count: 1,
      overall_mm: 49,
      overall_prototype: "14′-0″",
      end_a: "square",
    });
    expect(rows.reduce((n, r) => n + r.count, 0)).toBe(15);
  });
  it("laminates a post of two plies: twice the sticks, each half as thick, same ends", () => {
    const one = designOf(job());
    const two = designOf(
      job(
        {},
        { stock: { ...job().stock, choices: { "12×12": { item: "scale/6x12", plies: 2, along: "thickness" } } } },
      ),
    );
    const posts = (d: typeof one) => d.pieces.filter((p) => p.role === "batter post");
    expect(posts(two).map((p) => p.sticks.length)).toEqual(posts(one).map((p) => 2 * p.sticks.length));
    expect(posts(two)[0]!.shape.overall).toBeCloseTo(posts(one)[0]!.shape.overall, 9);
    expect(Math.min(...posts(two)[0]!.shape.section)).toBeCloseTo(1.75, 9);
    expect(findings(two)).toEqual([]);
  });
  it("says what no stick is long enough for, what is not to be had, and what bears badly", () => {
    const texts = (d: JobDoc): string[] => findings(designOf(d)).map((f) => f.text);
    const long = texts(
      job(
        {},
        {
          brief: { ...job().brief, scale: { id: "G", ratio: 22.5 } },
          stock: { ...job().stock, sticks: { "scale/12x12": [{ length: 250, count: null, price: 0 }] } },
        },
      ),
    );
    expect(long.find((t) => t.startsWith("Sill S1"))).toMatch(
      /needs 296\.2 mm; the longest Scale lumber, II \/ G 12×12 is 250\.0 mm, 46\.2 mm \(.*\) short\. Splice it or add longer stock\./,
    );
    const thin = texts(
      job(
        {},
        { stock: { ...job().stock, choices: { "12×14": { item: "metric/3x4", plies: 1, along: "thickness" } } } },
      ),
    );
    expect(thin.find((t) => t.startsWith("12×14 is not to be had"))).toMatch(
      /Strip wood 3 × 4 mm is 0\.50 mm too small in thickness, 1 11\/16″ on the prototype \(14 %\)/,
    );
    expect(
      thin.find((t) =>
        /^4 sticks bear on the cap with only 85 % of their ends\. Choose a stick as thick as the post/.test(t),
      ),
    ).toBeDefined();
  });
  it("splices a sill over its posts, as many times as the stick asks for, and every post still bears", () => {
    const short = (splice: boolean): JobDoc => {
      const d = job(
        {},
        { stock: { ...job().stock, sticks: { "scale/12x12": [{ length: 50, count: null, price: 0 }] } } },
      );
      if (splice)
        d.structures[0]!.variants[0]!.overrides = {
          "bent/sill": { splice: true },
          "bent/level1/sill": { splice: true },
        };
      return d;
    };
    const fault = findings(designOf(short(false)))[0]!;
    expect(fault).toMatchObject({ level: "fault", remedy: { do: "splice", paths: ["bent/sill"] } });
    const design = designOf(short(true));
    // by hand: the sill is 76.54 long with posts 28.5 and 6.6 mm either side of its middle; the last within 50 mm is at 44.9
    const parts = design.pieces
      .filter((p) => p.role === "sill")
      .flatMap((p) => p.sticks.map((id) => [id, p.shape.overall] as const));
    expect(parts.map(([id]) => id)).toEqual(["g/bent/sill#s1", "g/bent/sill#s2"]);
    expect(parts.reduce((t, [, l]) => t + l, 0)).toBeCloseTo(76.54, 2);
    expect(Math.max(...parts.map(([, l]) => l))).toBeLessThanOrEqual(50);
    expect(findings(design)).toEqual([]);
    expect(cutRows(design).find((r) => r.where === "sill, part 1")).toBeDefined();
  });
  it("leaves a stick out, finds the brace that then misses, and parks a change whose stick is gone", () => {
    const d = job();
    d.structures[0]!.variants[0]!.overrides = {
      "bent/story1/sway/front": { ends: [-2.6, 0] },
      "bent/story1/post/R1": { omit: true },
      "bent/story9/post/R1": { omit: true },
    };
    const found = findings(designOf(d));
    expect(found.find((f) => f.level === "warning")!.text).toMatch(
      /^The sway brace on the front of story 1 covers only \d+ % of its crossing with the batter post L2 of story 1\.$/,
    );
    expect(found.find((f) => f.level === "remark")!.text).toMatch(
      /“bent\/story9\/post\/R1” is kept, but that stick is not in the structure now/,
    );
    expect(designOf(d).pieces.flatMap((p) => p.sticks)).not.toContain("g/bent/story1/post/R1");
    d.structures[0]!.variants[0]!.overrides = { "bent/story1/sway/front": { ends: [-9, 0] } };
    expect(findings(designOf(d)).find((f) => f.level === "fault")!.text).toMatch(
      /^The sway brace on the front of story 1 misses the batter post L2/,
    );
  });
});

describe("issues", () => {
  const at = "2026-05-01T10:00:00Z";
  it("freeze marks, and tell each cut piece whether it still serves", () => {
    const before = designOf(job());
    const sticks = before.pieces.find((p) => p.mark === "P1")!.sticks;
    const issue = issueOf(before, "cut", "i1", at, [...sticks, "g/bent/cap", "g/bent/level1/sill"]);
    const state = (params: Record<string, unknown>, stick: string) => {
      const d = designOf(job(params), issuedMarks([issue]));
      return cutStatuses(d, [issue]).find((s) => s.stick === stick)!;
    };
    expect(state({}, sticks[0]!)).toMatchObject({ state: "valid", words: "still valid" });
    // a top story 1 ft lower takes 3.5 mm × 1.02147 off the outer posts (2.5 in 12)
    expect(state({ storyHeights: [feet(9, 2), feet(15), feet(15)] }, sticks[0]!)).toMatchObject({
      state: "too long",
      words: "3.6 mm too long: trim",
    });
    expect(state({ storyHeights: [feet(11, 2), feet(15), feet(15)], height: feet(23) }, sticks[0]!)).toMatchObject({
      state: "too short",
    });
    expect(state({ batters: [3, 0.5, 0] }, sticks[0]!).state).toBe("other ends");
    expect(state({ capLength: feet(14) - inches(1) }, "g/bent/cap")).toMatchObject({
      state: "too long",
      words: "0.3 mm too long: trim",
    });
    expect(state({ cap: "12×16" }, "g/bent/cap").state).toBe("other section");
    expect(state({ stories: 1 }, "g/bent/level1/sill")).toMatchObject({
      state: "not needed",
      words: "no longer needed",
    });
    const taken = issueOf(before, "uncut", "i2", at, sticks);
    expect(cutStatuses(before, [issue, taken]).map((s) => s.mark)).toEqual(["C1", "M1"]);
    // marks stay with their shapes, and a new shape takes a new number
    const moved = designOf(job({ batters: [3, 0.5, 0] }), issuedMarks([issueOf(before, "print", "p", at)]));
    expect(moved.pieces.filter((p) => p.role === "cap").map((p) => p.mark)).toEqual(["C1"]);
    expect(moved.pieces.find((p) => p.sticks.includes(sticks[0]!))!.mark).toBe("P5");
  });
  it("hash what a jig depends on and nothing else", () => {
    const a = designHash(designOf(job()));
    expect(designHash(designOf(job({}, { name: "Other" })))).toBe(a);
    expect(designHash(designOf(job({ height: feet(21) + 1 })))).not.toBe(a);
    expect(shortHash(a)).toMatch(/^[0-9A-F]{7}$/);
  });
});
