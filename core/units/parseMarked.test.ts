import { describe, expect, it } from "vitest";
import { parseMarked } from ".";

const read = (t: string, bare: "ft" | "m" = "ft") => {
  const p = parseMarked(t, bare);
  return p.ok ? [Number(p.mm.toFixed(3)), p.world, p.clear] : p.error;
};
describe("lengths with words behind them", () => {
  it("are the prototype's without, and the model's where they say so", () => {
    expect(read("14'6")).toEqual([4419.6, "prototype", false]);
    expect(read("13.5 mm model")).toEqual([13.5, "model", false]);
    expect(read("13.5 model")).toEqual([13.5, "model", false]);
    expect(read('3/8" on the model')).toEqual([9.525, "model", false]);
    expect(read("12mm")).toEqual([12, "prototype", false]);
    expect(read("4,42 m prototype", "m")).toEqual([4420, "prototype", false]);
  });
  it("are gaps where they say clear; in mm those of the model, where feet are expected", () => {
    expect(read("12 mm clear")).toEqual([12, "model", true]);
    expect(read('14" clear')).toEqual([355.6, "prototype", true]);
    expect(read("350 mm clear", "m")).toEqual([350, "prototype", true]);
    expect(read("350 mm prototype clear")).toEqual([350, "prototype", true]);
  });
  it("that cannot be read are told as they were typed", () => {
    expect(read("wide model")).toMatch(/^Read “wide model”; write a length/);
  });
});
