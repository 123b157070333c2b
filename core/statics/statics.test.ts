import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { topologyOf } from "../structures/truss/counters";
import { forcesOf, OPEN_PANEL } from "../structures/truss/forces";
import { modelOf, unitLoads } from "../structures/truss/statics";
import { TRUSS_KINDS, type TopologyValues } from "../structures/truss/topology";
import { evenSag, evenStress, inertiaOf, solveTruss, widthOnCurve } from ".";

const base: TopologyValues = {
  kind: "pratt",
  position: "through",
  span: 6,
  panels: 6,
  depth: 1,
  ends: "inclined",
  slopes: 5,
  hipDepth: 0.8,
  camber: 0,
  counters: "none",
  innerDepth: 0.4,
  liveOverDead: 2,
};
const forces = (v: Partial<TopologyValues>): ReadonlyMap<string, number> => {
  const f = forcesOf({ ...base, ...v });
  if (!f.ok) throw new Error(f.reason);
  return f.forces;
};
const root2 = Math.SQRT2;

// Method of joints and method of sections, as every statics textbook has them; panel and depth are 1 unless said.
describe("forces of trusses against worked results, panel load 1", () => {
  it("Pratt of six panels: reaction 2.5, end post 2.5/sin θ, chords M/h", () => {
    const f = forces({});
    expect(f.get("top/L0-U1")).toBeCloseTo(-2.5 * root2, 9);
    expect(f.get("top/U2-U3")).toBeCloseTo(-4.5, 9);
    expect(f.get("bottom/L2-L3")).toBeCloseTo(4, 9);
    expect(f.get("bottom/L0-L1")).toBeCloseTo(2.5, 9);
    // the hip vertical hangs one panel load; the second panel's diagonal carries a shear of 1.5
    expect(f.get("vertical/L1-U1")).toBeCloseTo(1, 9);
    expect(f.get("diagonal/U1-L2")).toBeCloseTo(1.5 * root2, 9);
    expect(f.get("vertical/L3-U3")).toBeCloseTo(0, 9);
  });
  it("Howe of six panels: diagonals in compression, verticals in tension", () => {
    const f = forces({ kind: "howe" });
    expect(f.get("diagonal/L1-U2")).toBeCloseTo(-1.5 * root2, 9);
    expect(f.get("vertical/L1-U1")).toBeCloseTo(1 + 1.5, 9);
    expect(f.get("vertical/L3-U3")).toBeCloseTo(1, 9);
    expect(f.get("bottom/L2-L3")).toBeCloseTo(4.5, 9);
    expect(f.get("top/U2-U3")).toBeCloseTo(-4, 9);
  });
  it("king post: the post hangs the load, rafters 1/(2 sin θ), tie 1/(2 tan θ)", () => {
    const f = forces({ kind: "king", span: 2 });
    expect(f.get("vertical/L1-U1")).toBeCloseTo(1, 9);
    expect(f.get("top/L0-U1")).toBeCloseTo(-0.5 * root2, 9);
    expect(f.get("bottom/L0-L1")).toBeCloseTo(0.5, 9);
  });
  it("queen post with an open middle panel carries symmetrical load, and is told so", () => {
    const f = forcesOf({ ...base, kind: "queen", span: 3 });
    if (!f.ok) throw new Error(f.reason);
    expect(f.caveat).toBe(OPEN_PANEL);
    // each post hangs one load; tie and straining beam carry 1/tan θ
    expect(f.forces.get("vertical/L1-U1")).toBeCloseTo(1, 9);
    expect(f.forces.get("bottom/L1-L2")).toBeCloseTo(1, 9);
    expect(f.forces.get("top/U1-U2")).toBeCloseTo(-1, 9);
    // crossed, it needs no such word
    const crossed = forcesOf({ ...base, kind: "queen", span: 3, counters: "needed" });
    expect(crossed.ok && crossed.caveat).toBeFalsy();
  });
  it("Warren of four panels without verticals: diagonals by the shear, chords by the moment", () => {
    const f = forces({ kind: "warren", span: 4, panels: 4, depth: 1 });
    const sin = 1 / Math.hypot(0.5, 1);
    expect(f.get("top/L0-U1")).toBeCloseTo(-1.5 / sin, 9);
    expect(f.get("diagonal/U1-L1")).toBeCloseTo(1.5 / sin, 9);
    expect(f.get("diagonal/L1-U2")).toBeCloseTo(-0.5 / sin, 9);
    // the bottom chord of the second panel is taken about U2, the top chord about L2
    expect(f.get("bottom/L1-L2")).toBeCloseTo(1.5 * 1.5 - 0.5, 9);
    expect(f.get("top/U2-U3")).toBeCloseTo(-(1.5 * 2 - 1), 9);
  });
  it("Warren with verticals: the verticals hang one load each or none", () => {
    const f = forces({ kind: "warren-verticals", span: 4, panels: 4 });
    expect(f.get("vertical/L1-U1")).toBeCloseTo(1, 9);
    expect(f.get("vertical/L2-U2")).toBeCloseTo(0, 9);
    expect(f.get("bottom/L1-L2")).toBeCloseTo(1.5, 9);
  });
  it("polygonal top chord: its level part by the moment over the depth in the middle", () => {
    const f = forces({ kind: "polygonal", slopes: 5, hipDepth: 0.8, depth: 1 });
    const t = topologyOf({ ...base, kind: "polygonal" });
    const [, h] = t.points["U3"]!;
    expect(f.get("bottom/L2-L3")).toBeCloseTo((2.5 * 2 - 1) / t.points["U2"]![1], 9);
    expect(
      f.get("top/U2-U3")! * ((t.points["U3"]![0] - t.points["U2"]![0]) / Math.hypot(1, h - t.points["U2"]![1])),
    ).toBeCloseTo(-4.5 / h, 9);
  });
  it("Fink and scissors: equilibrium of the heel by hand", () => {
    // three loads, so each heel takes 1.5; the rafter rises depth in half the span
    const f = forces({ kind: "fink", span: 8, depth: 2 });
    const sin = 2 / Math.hypot(2, 4);
    expect(f.get("top/L0-U1")).toBeCloseTo(-1.5 / sin, 9);
    expect(f.get("bottom/L0-L1")).toBeCloseTo((1.5 * 4) / 2, 9);
    const s = forces({ kind: "scissors", span: 8, depth: 4, innerDepth: 2 });
    // heel: rafter at 45°, chord at 1 in 2: R·sin45 − C·sin26.57 = 1.5, R·cos45 = C·cos26.57
    const [r, c] = [s.get("top/L0-U1")!, s.get("left/L0-C")!];
    expect(-r / root2 - c / Math.sqrt(5)).toBeCloseTo(1.5, 9);
    expect(-r / root2).toBeCloseTo((2 * c) / Math.sqrt(5), 9);
  });
});

const SEED = 4104;
describe("the solver", () => {
  it(`is in equilibrium at every node to 1e-9 of the largest load, for all kinds and random loads (seed ${SEED})`, () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TRUSS_KINDS.map((k) => k.value).filter((k) => k !== "queen")),
        fc.integer({ min: 4, max: 10 }),
        fc.double({ min: 0.6, max: 2, noNaN: true }),
        fc.constantFrom("none", "needed", "all"),
        fc.array(
          fc.tuple(fc.double({ min: -10, max: 10, noNaN: true }), fc.double({ min: -10, max: 10, noNaN: true })),
          { minLength: 60, maxLength: 60 },
        ),
        (kind, panels, depth, counters, random) => {
          const n = kind === "polygonal" ? Math.max(6, panels) : panels;
          const t = topologyOf({
            ...base,
            kind,
            panels: n,
            span: n,
            depth,
            hipDepth: 0.8 * depth,
            innerDepth: 0.4 * depth,
            counters,
          });
          const m = modelOf(t);
          const loads = m.names.map((_, i) => random[i % random.length]!);
          const r = solveTruss(m.truss, [loads]);
          // a lattice of few panels may be a mechanism, and is refused as one
          if ("ok" in r) return void expect(kind).toBe("plank");
          const { forces: f, reactions } = r[0]!;
          const sum = loads.map(([x, y]): [number, number] => [x, y]);
          m.truss.supports.forEach((s, i) => {
            sum[s.node]![0] += reactions[i]![0];
            sum[s.node]![1] += reactions[i]![1];
          });
          m.truss.bars.forEach((b, i) => {
            const [p, q] = [m.truss.nodes[b.a]!, m.truss.nodes[b.b]!];
            const l = Math.hypot(q[0] - p[0], q[1] - p[1]);
            for (const k of [0, 1] as const) {
              sum[b.a]![k] += (f[i]! * (q[k] - p[k])) / l;
              sum[b.b]![k] -= (f[i]! * (q[k] - p[k])) / l;
            }
          });
          const most = Math.max(...loads.flat().map(Math.abs), 1e-12);
          for (const [x, y] of sum) expect(Math.hypot(x, y)).toBeLessThan(1e-9 * most);
        },
      ),
      { seed: SEED, numRuns: 80 },
    );
  });
  it("refuses a mechanism and says what moves", () => {
    const square = {
      nodes: [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ] as const,
      bars: [
        { a: 0, b: 1 },
        { a: 1, b: 2 },
        { a: 2, b: 3 },
        { a: 3, b: 0 },
      ],
      supports: [
        { node: 0, x: true, y: true },
        { node: 1, x: false, y: true },
      ],
    };
    const r = solveTruss(square, [[]]);
    expect(r).toMatchObject({ ok: false, redundant: -1 });
    expect("ok" in r && Math.abs(r.direction[0])).toBeGreaterThan(0.5);
    expect(() => solveTruss({ ...square, bars: [{ a: 0, b: 9 }] }, [[]])).toThrow(
      "A bar joins nodes 0 and 9; there are 4.",
    );
  });
  it("puts counters where a moving load turns the shear round", () => {
    const at = (panels: number, liveOverDead: number): string[] =>
      topologyOf({ ...base, panels, span: panels, counters: "needed", liveOverDead })
        .webs.filter((w) => w.role === "counter")
        .map((w) => w.id);
    // without a train only the middle panel of an odd number, whose own shear is nothing
    expect(at(6, 0)).toEqual([]);
    expect(at(7, 0)).toHaveLength(1);
    // the heavier the train beside the bridge, the further out
    expect(at(8, 2).length).toBeGreaterThan(0);
    expect(at(8, 20).length).toBeGreaterThanOrEqual(at(8, 2).length);
  });
  it("carries a plank lattice of any number of panels, its chords by the moment over the depth", () => {
    for (let panels = 6; panels <= 24; panels++)
      for (const depth of [2, 3]) {
        const f = forcesOf({ ...base, kind: "plank", panels, span: panels, depth });
        if (!f.ok) throw new Error(`${panels}, ${depth}: ${f.reason}`);
        const chord = (id: string): number =>
          Math.max(...[...f.forces].filter(([m]) => m.startsWith(`${id}/`)).map(([, n]) => Math.abs(n)));
        // a beam under a unit load at every point between its ends: M = (n² − 1)/8 for odd, n²/8 for even n
        const moment = (panels % 2 === 0 ? panels ** 2 : panels ** 2 - 1) / 8;
        for (const id of ["bottom", "top"]) expect(chord(id) / (moment / depth), `${id} ${panels} ${depth}`).toBeGreaterThan(0.6); // prettier-ignore
        for (const id of ["bottom", "top"]) expect(chord(id) / (moment / depth), `${id} ${panels} ${depth}`).toBeLessThan(1.35); // prettier-ignore
      }
  });
  it("solves a symmetrical load symmetrically", () => {
    const t = topologyOf({ ...base, kind: "double" });
    const m = modelOf(t);
    const r = solveTruss(m.truss, [unitLoads(m, t.loaded)]);
    if ("ok" in r) throw new Error("a mechanism");
    expect(r[0]!.redundant).toBe(1);
    expect(r[0]!.forces[0]).toBeCloseTo(r[0]!.forces[5]!, 9);
  });
});

// Beam formulas of every handbook of strength of materials; clearance handbooks for the widths.
describe("beams and curves", () => {
  it("sags 5wL⁴/384EI and is stressed M·c/I", () => {
    const I = inertiaOf(6, 12);
    expect(I).toBe(864);
    expect(evenSag(0.01, 400, 10_000, I)).toBeCloseTo((5 * 0.01 * 400 ** 4) / (384 * 10_000 * 864), 12);
    expect(evenStress(0.01, 400, 12, I)).toBeCloseTo((((0.01 * 400 * 400) / 8) * 6) / 864, 12);
  });
  it("asks for the car's width, the middle ordinate and L²/8R", () => {
    const w = widthOnCurve({ radius: 762, span: 315, carWidth: 37.3, carLength: 140, truckCentres: 105 });
    expect(w.middleOrdinate).toBeCloseTo(762 - Math.sqrt(762 ** 2 - 157.5 ** 2), 9);
    expect(w.clear).toBeCloseTo(37.3 + w.middleOrdinate + 140 ** 2 / (8 * 762), 9);
    expect(w.inward).toBeCloseTo(105 ** 2 / (8 * 762), 9);
  });
});
