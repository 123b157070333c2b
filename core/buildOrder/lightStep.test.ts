import { describe, expect, it } from "vitest";
import { replay } from "../assembly/replay.fixture";
import { designOf, emptyBuild, type LightsDoc } from "../job";
import { at, demo, outOfOrder } from "./built.fixture";
import { buildOrder } from "./order";

const lights = (count: number): LightsDoc => ({ supply: 12, lamps: [{ id: "a", name: "Room", count, volts: 3.1, milliamps: 5, series: 1, hole: 3, wire: 300 }] }); // prettier-ignore
const order = (name: string, l?: LightsDoc) => {
  const d = designOf({ ...demo(name), build: { ...emptyBuild(), ...(l ? { lights: l } : {}) } });
  return { s: d.structures[0]!, a: buildOrder(d).orders[0]! };
};

describe("lamps in an order", () => {
  it("are wired when the walls stand and before the roof closes them, the roof last", () => {
    const { s, a } = order("tool-house-framed", lights(3));
    const wires = at(a.steps, /^Holes and wires for 3 lamps$/);
    const boards = a.steps.flatMap((x, i) => (x.place === "join" && /roof boards?$/.test(x.title) ? [i] : []));
    const walls = a.steps.flatMap((x, i) =>
      /^Place: (Front wall|Back wall|Left end|Right end)$/.test(x.title) ? [i] : [],
    );
    expect(walls).toHaveLength(4);
    expect(wires).toBeGreaterThan(Math.max(...walls));
    expect(boards.length).toBeGreaterThan(0);
    expect(wires).toBeLessThan(Math.min(...boards));
    expect(outOfOrder(a.steps)).toEqual([]);
    expect(replay(s.resolved, a)).toEqual([]);
  });
  it("are no step where there are none, or no roof", () => {
    for (const x of [order("tool-house-framed"), order("tool-house-framed", lights(0)), order("gulch-trestle", lights(3))]) expect(at(x.a.steps, /wires/)).toBe(-1); // prettier-ignore
  });
});
