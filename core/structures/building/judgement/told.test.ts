import { describe, expect, it } from "vitest";
import { feet, inches, parseLength } from "../../../units";
import { values } from "../building.fixture";
import { buildingCheck } from "./check";
import type { BuildingValues } from "../parameters";

/** The lengths that a sentence names, prototype mm, as a person would type them. */
const told = (text: string): number[] =>
  [...text.matchAll(/\d+′-\d+(?: \d+\/\d+)?″/g)].map((m) => {
    const read = parseLength(m[0], "ft");
    return read.ok ? read.mm : NaN;
  });

const bay = { kind: "bay", side: "front", at: feet(9), length: feet(7), depth: feet(3), height: feet(8) };
const lean = { kind: "lean", side: "back", at: feet(2), length: feet(8), depth: feet(6), height: feet(6) };
/** Values that are refused, what of the sentence's lengths is to be typed, and where. */
const CASES: readonly [string, Partial<BuildingValues>, RegExp, number, (v: BuildingValues, to: number) => BuildingValues][] = [
  ["a narrow building", { width: inches(20) }, /no room inside walls/, 2, (v, to) => ({ ...v, width: to })],
  ["low walls", { wallHeight: inches(20) }, /no room between sole and plate/, 1, (v, to) => ({ ...v, wallHeight: to })],
  ["a narrow bay", { length: feet(30), wallHeight: feet(14), wings: [bay] }, /hips of its roof would meet/, 2, (v, to) => ({ ...v, wings: [{ ...v.wings[0]!, length: to }] })],
  ["two wings too near", { length: feet(30), wings: [lean, { ...lean, at: feet(10.5) }], wallHeight: feet(14) }, /feet apart|apart; their eaves need/, 1, (v, to) => ({ ...v, wings: [v.wings[0]!, { ...v.wings[1]!, at: v.wings[0]!.at + v.wings[0]!.length + to }] })],
  ["a partition at the end", { partitions: [{ at: inches(2), door: false, doorAt: feet(8), doorWidth: feet(3) }] }, /inside there is room from/, 1, (v, to) => ({ ...v, partitions: [{ ...v.partitions[0]!, at: to }] })],
  ["knees that are blocks", { framing: "posts", knees: inches(3) }, /are blocks/, 1, (v, to) => ({ ...v, knees: to })],
]; // prettier-ignore

describe("what a refusal tells is enough when it is typed as it stands", () => {
  for (const [name, over, says, nth, set] of CASES)
    it(name, () => {
      const v = values(over);
      const said = buildingCheck(v).find((x) => says.test(x));
      expect(said, buildingCheck(v).join(" ")).toBeDefined();
      expect(buildingCheck(set(v, told(said!)[nth]!)).filter((x) => says.test(x))).toEqual([]);
    });
});
