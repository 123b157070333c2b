import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { designOf, emptyJob, newStructure, readJobText } from "../job";
import { feet, inches } from "../units";
import { findings } from "./findings";
import { plausible } from "./plausible";

const opening = (kind: string, width: number, height: number, more = {}) => ({ wall: "front", kind, at: feet(8), width, height, sill: kind === "door" ? 0 : feet(2.5), part: 0, mount: "inside", lap: 0, ...more }); // prettier-ignore
const told = (values: Record<string, unknown>): string[] => plausible(designOf({ ...emptyJob("P"), structures: [newStructure("building", "s", "Shed", { length: feet(20), width: feet(14), openings: [], ...values })] })).map((f) => f.key.replace("s:plausible:", "")); // prettier-ignore

describe("what was hardly ever built", () => {
  it.each([
    ["a shed of 20 by 14 ft", {}, []],
    ["one 5 ft wide", { width: feet(5), wallHeight: feet(7.5) }, ["narrow"]],
    ["one six times as long as wide", { length: feet(84), width: feet(14) }, ["long"]],
    ["one as long as it may be", { length: feet(69), width: feet(14) }, []],
    ["a tower of a shed", { length: feet(20), width: feet(7), wallHeight: feet(13) }, ["high"]],
    ["a door for children", { openings: [opening("door", inches(22), feet(7))] }, ["door:front wall:0"]],
    ["a door of 3 by 7 ft", { openings: [opening("door", feet(3), feet(7))] }, []],
    [
      "a gate of 15 ft",
      { length: feet(30), openings: [opening("door", feet(15), feet(7), { at: feet(15) })] },
      ["door:front wall:0"],
    ],
    ["a slot of a window", { openings: [opening("window", inches(14), feet(5))] }, ["window:front wall:0"]],
    ["a window of 3 by 5 ft", { openings: [opening("window", feet(3), feet(5))] }, []],
    ["a hatch", { openings: [opening("door", inches(20), feet(3))] }, []],
  ] as const)("%s", (_, values, keys) => expect(told(values)).toEqual([...keys]));
  it("is said with its figures and a way out, as a remark among the findings", () => {
    const d = designOf({ ...emptyJob("P"), structures: [newStructure("building", "s", "Shed", { length: feet(84), width: feet(14), openings: [] })] }); // prettier-ignore
    const f = findings(d).find((x) => x.key === "s:plausible:long")!;
    expect(f).toMatchObject({ level: "remark", text: "Shed is 6.0 times as long as it is wide (84′-0″ by 14′-0″); up to 5 times was built. Look for a real one, or take out bays." }); // prettier-ignore
  });
  it("takes a wall that is nearly all glass for one that hardly carries", () => {
    const row = (at: number) => opening("window", feet(9.5), feet(8.5), { at: feet(at), sill: inches(6) });
    expect(told({ length: feet(24), wallHeight: feet(10), openings: [row(6), row(18)] })).toEqual(["open:front wall"]); // prettier-ignore
  });
  it("is nothing of the demo jobs, which were", () => {
    for (const f of readdirSync("examples").filter((x) => x.endsWith(".json"))) expect(plausible(designOf(readJobText(readFileSync(`examples/${f}`, "utf8")).doc)), f).toEqual([]); // prettier-ignore
  });
});
