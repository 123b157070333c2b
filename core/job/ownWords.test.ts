import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { FOREIGN, misread, mutated } from "../../bench/fuzz/jobFiles";
import { seeded } from "../../bench/fuzz/random";
import { readJobFile } from "./file";
import { JobError } from "./error";
import { checkPlain, ownWords } from "./ownWords";

const GULCH = JSON.parse(readFileSync("examples/gulch-trestle.json", "utf8")) as Record<string, unknown>;
const refusal = (change: Record<string, unknown>): string => {
  try {
    readJobFile(JSON.stringify({ ...GULCH, files: {}, ...change }));
    return "";
  } catch (e) {
    return e instanceof JobError ? e.message : `${(e as Error).name}!`;
  }
};

describe("a job file that is broken", () => {
  it.each([
    [{ name: 7 }, "At name: name should be text."],
    [{ brief: undefined }, "At brief: this part of the job is missing, or no group of values."],
    [{ brief: [] }, "At brief: this part of the job is missing, or no group of values."],
    [{ stock: 5 }, /^At stock: /],
    [{ extra: 1 }, "At extra: Cardo knows nothing called “extra” here."],
    [{ constructor: 1 }, "The job has something called “constructor”, which nothing of a job is."],
    [{ structures: [null] }, /^The job file is not laid out|^At structures/],
    [{ version: undefined }, /^The job file does not say of which version it is/],
    [{ version: 1, drawings: 3 }, /^The job file is not laid out as one of version 1 is/],
    [{ issues: [[]] }, "At issues[0]: an issue is an object."],
    [{ issues: {} }, "At issues: they should be a list."],
    [{ files: { x: "y" } }, /^At files: each picture should stand/],
    [{ cutting: { kerf: "wide", allowance: 0 } }, /^At cutting\.kerf: .*kerf/],
  ])("is refused in Cardo's words: %j", (change, words) => {
    const said = refusal(change);
    expect(said).toMatch(words);
    expect(said).not.toMatch(FOREIGN);
  });
  it("is refused however deep it is, without a fault of its own", () => {
    let deep: unknown = 1;
    for (let i = 0; i < 20_000; i++) deep = [deep];
    expect(() => checkPlain(deep)).toThrow("The job is nested more than 40 levels deep, which none is.");
    const text = JSON.stringify({ ...GULCH, files: {}, aside: "DEEP" }).replace('"DEEP"', `${"[".repeat(500)}${"]".repeat(500)}`); // prettier-ignore
    expect(() => readJobFile(text)).toThrow(/40 levels/);
    expect(() => checkPlain(JSON.parse('{"a":{"__proto__":{"x":1}}}'))).toThrow(/called “__proto__”/);
  });
  it("by chance keeps every key or is refused in words (150 of the 10,000 of npm run fuzz)", () => {
    for (let i = 0; i < 150; i++) expect([i, misread(mutated(seeded(5_000_000 + i)))]).toEqual([i, undefined]);
  });
});

describe("the validator's messages", () => {
  it.each([
    ["era must be a string", "era should be text"],
    ["each value in series must be one of the following values: a, b", "each of series should be one of a, b"],
    ["nested property scale must be either object or array", "scale should be a group of values"],
    ["kerf must not be greater than 10", "kerf should be at most 10"],
    ["id is no id; use letters", "id is no id; use letters"],
  ])("%j reads %j", (theirs, ours) => expect(ownWords(theirs)).toBe(ours));
});
