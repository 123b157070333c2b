import { describe, expect, it } from "vitest";
import "../structures/all";
import { findings } from "../checks";
import {
  chosenVariant,
  designOf,
  emptyJob,
  newStructure,
  readJobText,
  writeJobFile,
  readJobFile,
  type EraDoc,
  type JobDoc,
} from "../job";
import { readFileSync } from "node:fs";
import { feet } from "../units";
import { gone, isThere, offered, sizeOf, spanWords, sticksOfEra, yearNotes, yearOf, yearsSpan } from ".";

const opening = (wall: string, at: number, width = 3) => ({ wall, kind: "window", at: feet(at), width: feet(width), height: feet(4), sill: feet(3), part: 0, mount: "inside", lap: 0 }); // prettier-ignore
const era = (more: Partial<EraDoc> = {}): EraDoc => ({ id: "e", name: "East window", kind: "row", structure: "s", what: "openings.0", ...more }); // prettier-ignore
const job = (years: EraDoc[], when = "Summer 1909"): JobDoc => ({ ...emptyJob("Years"), brief: { ...emptyJob("Years").brief, era: when }, structures: [newStructure("building", "s", "Shed", { length: feet(20), width: feet(14), openings: [opening("front", 5), opening("front", 14), opening("back", 7, 4)] })], years }); // prettier-ignore
const notes = (...years: EraDoc[]) => yearNotes(designOf(job(years)));

describe("a year", () => {
  it.each([
    ["Summer 1909", 1909],
    ["1926", 1926],
    ["about 2010, rebuilt", 2010],
    ["the steam era", undefined],
    ["No 19091", undefined],
  ])("is read from the era: %s", (words, year) => expect(yearOf({ era: words })).toBe(year));
  it.each([
    [{ from: 1899, to: 1915 }, 1898, false],
    [{ from: 1899, to: 1915 }, 1899, true],
    [{ from: 1899, to: 1915 }, 1915, true],
    [{ from: 1899, to: 1915 }, 1916, false],
    [{ to: 1915 }, 1700, true],
    [{ from: 1899 }, 2000, true],
    [{}, 1909, true],
  ])("%j has something in %i: %s", (span, year, there) => expect(isThere(span, year)).toBe(there));
  it("of a job spans what is given, and the job's own", () => {
    expect(yearsSpan(designOf(job([era({ from: 1899, to: 1950 })])))).toEqual([1894, 1955]);
    expect(yearsSpan(designOf(job([], "")))).toEqual([1880, 1960]);
    expect([spanWords({}), spanWords({ from: 1899 }), spanWords({ to: 1915 }), spanWords({ from: 1, to: 2 })]).toEqual(["always", "from 1899 on", "until 1915", "from 1 to 2"]); // prettier-ignore
  });
});

describe("what has years", () => {
  it("is every row, role, paper, thing and body of the job, and of a row its own sticks alone", () => {
    const doc = readJobText(readFileSync("examples/depot.json", "utf8")).doc;
    const d = designOf({ ...doc, inside: doc.inside! });
    const all = offered(d);
    expect(all.filter((o) => o.kind === "role").map((o) => o.what).sort()).toEqual([...new Set(d.structures[0]!.resolved.sticks.map((k) => k.member.role))].sort()); // prettier-ignore
    expect(all.filter((o) => o.kind === "body")).toHaveLength(doc.inside![0]!.things.length);
    expect(all.find((o) => o.kind === "thing")!.label).toBe("on the spot, Water column");
    const shed = designOf(job([])).structures[0]!;
    const first = sticksOfEra(shed, era());
    const second = sticksOfEra(shed, era({ what: "openings.1" }));
    expect(first.length).toBeGreaterThan(4);
    expect(first.length).toBe(second.length);
    expect(first.filter((id) => second.includes(id))).toEqual([]);
    expect(sticksOfEra(shed, era({ structure: "other" }))).toEqual([]);
  });
  it("is away in the years it was not there", () => {
    const d = designOf(job([era({ from: 1915 })]));
    const [s] = d.structures;
    expect(gone(d, s!, 1909).sort()).toEqual(sticksOfEra(s!, era()).sort());
    expect(gone(d, s!, 1915)).toEqual([]);
  });
  it("is kept in the job's file, and another word than those it may be is refused", () => {
    const doc = job([era({ from: 1899, to: 1915 })]);
    const bytes = writeJobFile({ doc, issues: [], files: {} });
    expect(readJobFile(bytes).doc.years).toEqual(doc.years);
    expect(() => readJobText(JSON.stringify({ ...(JSON.parse(bytes) as object), years: [{ ...era(), kind: "colour" }] }))).toThrow(/kind/); // prettier-ignore
  });
});

describe("what is too early or too late", () => {
  it("is told with its years and the one that is modelled, and one press leaves its sticks out", () => {
    const [late] = notes(era({ from: 1915 }));
    expect(late!.text).toBe(
      "East window was there from 1915 on, too late for 1909: leave it out, or make it to be taken off.",
    );
    const [early] = notes(era({ to: 1900 }));
    expect(early!.text).toMatch(/until 1900, too early for 1909/);
    expect(notes(era({ from: 1909, to: 1909 }))).toEqual([]);
    expect(yearNotes(designOf(job([era({ from: 1915 })], "")))).toEqual([]);
    const doc = job([era({ from: 1915 })]);
    const f = findings(designOf(doc)).find((x) => x.key === "years:e:year")!;
    expect(f.remedy).toMatchObject({ do: "omit", label: "Leave it out" });
    const paths = f.remedy!.do === "omit" ? f.remedy!.paths : [];
    const out = structuredClone(doc);
    for (const p of paths) chosenVariant(out.structures[0]!).overrides[p] = { omit: true };
    const [before, after] = [doc, out].map((x) => designOf(x).structures[0]!);
    const was = sticksOfEra(before!, era());
    const ids = new Set(after!.resolved.sticks.map((k) => k.id));
    expect(was.some((id) => ids.has(id))).toBe(false);
    expect(after!.resolved.sticks.length).toBe(before!.resolved.sticks.length - was.length);
  });
  it("is told where there is nothing of it, or its years are the wrong way round", () => {
    expect(notes(era({ what: "openings.7" }))[0]!.text).toBe(
      "East window has years, but nothing of that is in the job any more.",
    );
    expect(notes(era({ from: 1920, to: 1910 }))[0]).toMatchObject({ level: "warning", text: expect.stringContaining("the wrong way round") as string }); // prettier-ignore
  });
});

describe("what is exchanged", () => {
  const other = (more: Partial<EraDoc>): EraDoc => era({ id: "f", name: "New window", what: "openings.1", ...more });
  it("is of one size, one after the other, and is not told as late: it is put in when it is time", () => {
    expect(notes(era({ to: 1914, instead: "f" }), other({ from: 1915 }))).toEqual([]);
    expect(sizeOf(designOf(job([])), era())!.length).toBe(3);
  });
  it("does not fit where it is wider, is there twice, or leaves the place empty", () => {
    const wide = notes(era({ to: 1914, instead: "f" }), other({ from: 1915, what: "openings.2" }));
    expect(wide.map((n) => n.key)).toEqual(["e:size"]);
    expect(wide[0]!.text).toMatch(/^East window and New window are to be exchanged, but are \d+\.\d mm × .* and \d+\.\d mm × .*: one does not fit the place of the other\.$/); // prettier-ignore
    expect(notes(era({ to: 1920, instead: "f" }), other({ from: 1915 }))[0]!.text).toMatch(/both were there in 1915/);
    expect(notes(era({ to: 1909, instead: "f" }), other({ from: 1915 }))[0]!.text).toBe("Between East window and New window the place was empty: from 1910 to 1914."); // prettier-ignore
  });
});
