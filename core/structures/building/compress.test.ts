import { describe, expect, it } from "vitest";
import { feet, inches } from "../../units";
import { values } from "./building.fixture";
import { compressBuilding, footprint } from "./compress";
import { buildingCheck } from "./judgement/check";

describe("fitting into the spot", () => {
  const v = values({
    length: feet(40),
    width: feet(20),
    framing: "posts",
    bay: feet(10),
    roof: "gable",
    overhang: feet(1),
    gableOverhang: feet(1),
    openings: [5, 15, 25, 35].map((at) => ({
      part: 0,
      wall: "front",
      kind: "door",
      at: feet(at),
      width: feet(6),
      height: feet(7),
      sill: feet(0),
      mount: "built",
      lap: inches(2),
    })),
  });
  it("drops whole bays, keeps doors and lumber, and says what was given up", () => {
    const made = compressBuilding(v, { length: feet(33), depth: feet(0) });
    expect(made.values.length).toBe(feet(30));
    expect(made.fits).toBe(true);
    expect(footprint(made.values).length).toBeLessThanOrEqual(feet(33));
    expect(made.given[0]).toBe("1 bay of the length: 40′-0″ became 30′-0″, 75 % of it.");
    expect(buildingCheck(made.values)).toEqual([]);
    for (const o of made.values.openings) expect([o.width, o.height]).toEqual([feet(6), feet(7)]);
    expect(made.values.openings.length + made.given.filter((g) => g.startsWith("The door")).length).toBe(4);
    expect(made.values.post).toBe(v.post);
  });
  it("leaves alone what fits, and owns up where nothing serves", () => {
    expect(compressBuilding(v, { length: feet(60), depth: feet(40) }).given).toEqual([]);
    expect(compressBuilding(v, { length: feet(5), depth: feet(0) }).given.at(-1)).toMatch(/^It still takes/);
  });
});
