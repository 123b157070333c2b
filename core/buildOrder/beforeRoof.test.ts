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
  it("are no step where there are none, and the last one where no roof closes", () => {
    for (const x of [order("tool-house-framed"), order("tool-house-framed", lights(0))]) expect(at(x.a.steps, /wires/)).toBe(-1); // prettier-ignore
    const open = order("gulch-trestle", lights(3)).a;
    expect(at(open.steps, /^Holes and wires/)).toBe(open.steps.length - 1);
    expect(outOfOrder(open.steps)).toEqual([]);
  });
});

describe("an inside in an order", () => {
  const thing = (id: string, kind: "table" | "stove") => ({ id, name: id, kind, x: 1000, y: 1000, turn: 0, length: 600, depth: 600, low: 0, high: 900 }); // prettier-ignore
  const inside = (n: number) => {
    const doc = demo("tool-house-framed");
    const structure = doc.structures[0]!.id;
    const d = designOf({ ...doc, build: { ...emptyBuild(), lights: lights(2) }, inside: [{ structure, things: [thing("a", "table"), thing("b", "stove")].slice(0, n) }] }); // prettier-ignore
    return { s: d.structures[0]!, a: buildOrder(d).orders[0]! };
  };
  it("is set when the walls stand and the wires are drawn, before the roof closes, and the order still stands", () => {
    const { s, a } = inside(2);
    const set = at(a.steps, /^The inside: 2 bodies$/);
    const boards = a.steps.flatMap((x, i) => (x.place === "join" && /roof boards?$/.test(x.title) ? [i] : []));
    expect(set).toBeGreaterThan(at(a.steps, /^Holes and wires/));
    expect(set).toBeLessThan(Math.min(...boards));
    expect(a.steps[set]!.checks[0]).toMatch(/table, stove\. Behind the roof no hand reaches them/);
    expect(outOfOrder(a.steps)).toEqual([]);
    expect(replay(s.resolved, a)).toEqual([]);
    expect(at(inside(1).a.steps, /^The inside: 1 body$/)).toBeGreaterThan(0);
    expect(at(inside(0).a.steps, /^The inside/)).toBe(-1);
  });
});
