import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bearings, connectedGroups, interferences, type Piece } from "../../frame";
import { membersAmong, vectorStrokes } from "../../found";
import { designOf, emptyJob, newStructure, paramProblems, readJobFile, type Design } from "../../job";
import { readDxf } from "../../sources";
import { findings } from "../../checks";
import { inches } from "../../units";
import {
  addTrace,
  chooseJoint,
  copyTrace,
  emptyTrace,
  freeId,
  proposeSection,
  removeTrace,
  usualOrder,
  type Trace,
  type TraceCross,
  type TracedParams,
  type TraceJoint,
} from ".";

type P = readonly [number, number];
const inch2 = (p: P): [number, number] => [inches(p[0]), inches(p[1])];
/** A member from points in prototype inches. */
function trace(id: string, role: string, section: string, from: P, to: P, more: Partial<Trace> = {}): Trace {
  const square = { kind: "square", beyond: 0 } as const;
  const ends = { from: inch2(from), to: inch2(to) };
  return {
    id,
    role,
    section,
    ...ends,
    seat: "centre",
    flat: false,
    layer: "middle",
    order: usualOrder(ends),
    ends: [square, square],
    ...more,
  };
}
const across = (id: string, on: string, at: number, run: TraceCross["run"]): TraceCross => ({
  id,
  role: run === "through" ? "purlin" : "girt",
  section: "4×6",
  flat: false,
  on,
  at: inches(at),
  run,
  side: "left",
  overhang: run === "through" ? inches(12) : 0,
});
function design(p: Partial<TracedParams>): Design {
  const job = emptyJob("Traced");
  const s = newStructure("traced", "t", "Traced");
  s.variants[0]!.params = { ...emptyTrace(), ...p };
  expect(paramProblems("traced", s.variants[0]!.params)).toEqual([]);
  return designOf({ ...job, structures: [s] });
}
/** What every sound frame shows. */
function expectSound(d: Design): void {
  const s = d.structures[0]!;
  expect(s.fault).toBeUndefined();
  expect(interferences(s.resolved)).toEqual([]);
  expect(bearings(s.resolved).filter((b) => !b.ok)).toEqual([]);
  expect(connectedGroups(s.resolved).length).toBe(1);
  expect(findings(d).filter((f) => f.level === "fault")).toEqual([]);
}
const HO = 304.8 / 3.5;
const onModel = (inch: number): number => inches(inch) / HO;
const piece = (d: Design, id: string): Piece => d.pieces.find((p) => p.sticks.includes(`t/${id}`))!;
const cuts = (p: Piece): number[] => p.shape.ends.map((e) => Math.abs(e[0]!.mitre)).sort((a, b) => a - b);
function expectPiece(p: Piece, overall: number, angles: readonly number[]): void {
  expect(Math.abs(p.shape.overall - onModel(overall))).toBeLessThan(0.01);
  cuts(p).forEach((a, i) => expect(Math.abs(a - angles[i]!)).toBeLessThan(0.01));
}

/** Tie 8×10 on edge, its middle at z = 0; king post 8×8; rafters 9 in 12; struts square to the rafters. */
const KING: readonly Trace[] = [
  trace("tie", "tie beam", "8×10", [-144, 0], [144, 0]),
  trace("king", "king post", "8×8", [0, 5], [0, 104]),
  trace("rafter", "principal rafter", "8×8", [-120, 5], [0, 95]),
  trace("strut", "strut", "6×6", [-4, 24], [-52, 56]),
];
const RAFTER_2 = trace("rafter2", "principal rafter", "8×8", [120, 5], [0, 95]);
const STRUT_2 = trace("strut2", "strut", "6×6", [4, 24], [52, 56]);

describe("a traced king-post truss", () => {
  const d = design({ members: [...KING, RAFTER_2, STRUT_2] });
  it("comes out as the hand calculation says", () => {
    expectSound(d);
    expectPiece(piece(d, "tie"), 288, [0, 0]);
    expectPiece(piece(d, "king"), 99, [0, 0]);
    // rafter: 9 in 12; axis from z = 5 at y = −120 to the post's side at y = −4 is 116 · 5/4 = 145 in; the level foot
    // leans 4·(4/3) out and the plumb head 4·(3/4): 145 + 16/3 + 3
    expectPiece(piece(d, "rafter"), 145 + 16 / 3 + 3, [36.8699, 53.1301]);
    // strut: 8 in 12 (33.6901°) from the post's side to the rafter's underside; cosine 12/√208, sine 8/√208.
    // the rafter's underside is 3y − 4z = −360 + ... at 4 in from its axis: −3y + 4z = 360 + 20 − 20
    const [c, s] = [12 / Math.sqrt(208), 8 / Math.sqrt(208)];
    // along the strut from (−4, 24): −3(−4 − c t) + 4(24 + s t) = 360, as the axis 3·120 + 4·5 = 380 less 4·5
    const t = (360 - 12 - 96) / (3 * c + 4 * s);
    const head = Math.PI / 2 - (Math.atan2(3, 4) + Math.atan2(8, 12));
    expectPiece(piece(d, "strut"), t + 3 * Math.tan(Math.atan2(8, 12)) + 3 * Math.tan(head), [
      (head * 180) / Math.PI,
      33.6901,
    ]);
  });
  it("has one mark for both rafters, and for both struts, which are turned over", () => {
    expect(piece(d, "rafter").sticks).toEqual(["t/rafter", "t/rafter2"]);
    expect(piece(d, "strut").sticks).toEqual(["t/strut", "t/strut2"]);
    expect(d.pieces.map((p) => p.mark)).toEqual(["T1", "K1", "R1", "U1"]);
  });
  it("is the same drawn by half and mirrored, the tie only up to the centre line", () => {
    const half = trace("tie", "tie beam", "8×10", [-144, 0], [0, 0]);
    const m = design({ members: [half, ...KING.slice(1)], mirror: 0 });
    expectSound(m);
    const table = (x: Design) => x.pieces.map((p) => [p.mark, p.sticks.length, p.shape.overall.toFixed(6)]);
    expect(table(m)).toEqual(table(d));
  });
  it("is the same traced along edges", () => {
    // the rafter's upper edge is 4 in off its axis
    const [ox, oz] = [-0.6 * 4, 0.8 * 4];
    const edge = trace("rafter", "principal rafter", "8×8", [-120 + ox, 5 + oz], [0 + ox, 95 + oz], { seat: "right" });
    const e = design({ members: [KING[0]!, KING[1]!, edge, KING[3]!, RAFTER_2, STRUT_2] });
    expect(piece(e, "rafter").sticks).toEqual(["t/rafter", "t/rafter2"]);
  });
  it("stands at several places joined across, and still hangs together", () => {
    const whole = design({
      members: [...KING],
      mirror: 0,
      places: [0, 120, 240].map(inches),
      crosses: [across("purlin", "rafter", 60, "through"), across("girt", "king", 50, "between")],
    });
    expectSound(whole);
    expect(whole.structures[0]!.resolved.sticks.length).toBe(3 * 6 + 2 + 2);
    // over three trusses 20 ft apart, half a rafter and a foot past the outer ones
    expectPiece(piece(whole, "across/purlin"), 240 + 8 + 24, [0, 0]);
    expectPiece(piece(whole, "across/girt/bay1"), 120 - 8, [0, 0]);
    expect(piece(whole, "across/purlin").sticks.length).toBe(2);
  });
});

describe("joints of a trace", () => {
  const sill = trace("sill", "sill", "8×8", [-60, 0], [60, 0]);
  const post = trace("post", "post", "8×8", [0, 4], [0, 80]);
  const choose = (a: string, b: string, kind: TraceJoint["kind"], depth?: number): TraceJoint => ({
    a,
    b,
    kind,
    ...(depth === undefined ? {} : { depth: inches(depth) }),
  });
  it("lets a post into its sill by the depth that is said", () => {
    const d = design({ members: [sill, post], joints: [choose("post", "sill", "notch", 2)] });
    expectSound(d);
    expectPiece(piece(d, "post"), 78, [0, 0]);
    expect(piece(d, "sill").shape.notches.length).toBe(1);
  });
  it("halves equals that cross in one layer, and cuts the lower where one stands higher", () => {
    const x = [trace("a", "brace", "6×8", [-50, 10], [50, 80]), trace("b", "brace", "6×8", [-50, 80], [50, 10])];
    const halved = design({ members: x });
    expectSound(halved);
    expect(piece(halved, "a").sticks).toEqual(["t/a", "t/b"]);
    const cut = design({ members: [x[0]!, { ...x[1]!, order: 5 }] });
    expectSound(cut);
    expect(cut.structures[0]!.resolved.sticks.map((s) => s.id)).toEqual(["t/a", "t/b/1", "t/b/2"]);
    expect(piece(cut, "b/1").sticks.length).toBe(2);
  });
  it("mitres equals that meet, and lays near members on the faces of middle ones", () => {
    const rafters = [trace("l", "rafter", "6×8", [-60, 80], [0, 110]), trace("r", "rafter", "6×8", [60, 80], [0, 110])];
    const tie = trace("tie", "tie beam", "2×8", [-66, 90], [66, 90], { layer: "near" });
    const d = design({ members: [...rafters, tie] });
    expectSound(d);
    expect(cuts(piece(d, "l"))[1]).toBeCloseTo(26.565, 3);
    expect(piece(d, "l").sticks.length).toBe(2);
    expect(d.structures[0]!.resolved.frame.joints.filter((j) => j.kind === "lap").length).toBe(2);
  });
  it("leaves out what is not to be joined, and says what cannot be", () => {
    const d = design({ members: [sill, post], joints: [choose("post", "sill", "none")] });
    expect(findings(d).some((f) => f.text.includes("falls into 2 parts"))).toBe(true);
    const bad = { ...emptyTrace(), members: [sill, { ...sill, section: "99×1" }] };
    expect(paramProblems("traced", bad as never)).toEqual([
      "Two members are called “sill”.",
      "The sill's section is “99×1”, which is no nominal size; write one such as 8×10.",
    ]);
    const wild = { ...emptyTrace(), members: [{ ...sill, layer: "upstairs" }], places: [] };
    expect(paramProblems("traced", wild as never).join(" ")).toMatch(/members\[0\].layer.*places/);
  });
  it("keeps every random portal frame sound: posts, beam, knee braces, wherever they stand", () => {
    const n = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(n(60, 200), n(80, 250), n(24, 45), n(24, 45), n(-0.15, 0.15), (half, high, down, out, lean) => {
        const foot = (y: number): P => [y + Math.sign(y) * lean * high, 0];
        const at = (t: number): P => [-half - lean * t, high - t];
        const d = design({
          members: [
            trace("beam", "beam", "10×12", [-half - 20, high + 6], [0, high + 6]),
            trace("post", "post", "10×10", foot(-half), [-half, high]),
            trace("knee", "knee brace", "6×6", at(down), [-half + out, high]),
          ],
          mirror: 0,
        });
        expectSound(d);
        expect(piece(d, "knee").sticks.length).toBe(2);
        expect(piece(d, "post").sticks.length).toBe(2);
      }),
      { seed: 12, numRuns: 60 },
    );
  });
});

describe("the snowshed's cross frame of the demo, traced from its vector plan", () => {
  const file = readJobFile(readFileSync("examples/snowshed.json", "utf8"));
  /** Overall length in prototype inches and cut angles, by hand: rafters 6 in 12 from the tie's top to the ridge, knees at 45°. */
  const rafter = 100 * (Math.sqrt(5) / 2) + 5 * 2 + 5 / 2;
  const knee = 36 * Math.SQRT2 + 2 * 4;
  const BY_HAND: readonly (readonly [role: string, overall: number, angles: readonly number[], count: number])[] = [
    ["sill", 216, [0, 0], 1],
    ["post", 192, [0, 0], 2],
    ["tie beam", 228, [0, 0], 1],
    ["rafter", rafter, [26.56505, 63.43495], 2],
    ["knee brace", knee, [45, 45], 2],
  ];
  const expectByHand = (d: Design, places: number): void => {
    for (const [role, overall, angles, count] of BY_HAND) {
      const own = d.pieces.filter((p) => p.role === role);
      expect(own.length).toBe(1);
      expect(own[0]!.sticks.length).toBe(count * places);
      expectPiece(own[0]!, overall, angles);
    }
  };
  it("equals the hand calculation, stands sound, and its halves share their marks", () => {
    const d = designOf(file.doc);
    expectSound(d);
    expectByHand(d, 3);
    const purlins = d.pieces.filter((p) => p.role === "purlin");
    expect(purlins.map((p) => p.sticks.length)).toEqual([4]);
  });
  it("comes out the same from members found on the plan's DXF and accepted", () => {
    const lines = readDxf(readFileSync("examples/snowshed-plan.dxf", "utf8"));
    const search = {
      least: inches(1.5),
      most: inches(26),
      skew: 0.15,
      slack: 0.0004 * lines.width,
      perInch: inches(1),
    };
    const p = emptyTrace();
    const roles = ["tie beam", "sill", "post", "post", "rafter", "rafter", "knee brace", "knee brace"];
    const found = membersAmong(vectorStrokes(lines, new Set()), search);
    expect(found.length).toBe(8);
    // by their lengths and widths they are told apart: the longest first, as the roles stand
    for (const [i, f] of found.entries()) {
      const role = roles[i]!;
      const section =
        role === "knee brace" ? "6×8" : role === "rafter" ? "8×10" : proposeSection(f.width, role, "full-sawn");
      const up = (q: readonly [number, number]): [number, number] => [q[0], -q[1]];
      addTrace(p, { role, section, from: up(f.a), to: up(f.b), seat: "centre", flat: false, layer: "middle" });
    }
    const d = design(p);
    expectSound(d);
    expectByHand(d, 1);
  });
});

describe("drawing by commands", () => {
  const drawn = {
    role: "post",
    section: "8×8",
    from: [0, 0],
    to: [0, 2000],
    seat: "centre",
    flat: false,
    layer: "middle",
  } as const;
  it("copies in a row, takes out with what hangs on it, and proposes sections by width", () => {
    const p = emptyTrace();
    const id = addTrace(p, { ...drawn, from: [0, 0], to: [0, 2000] });
    expect(id).toBe("p1");
    expect(copyTrace(p, id, [500, 100], 3)).toEqual(["p2", "p3", "p4"]);
    expect(p.members[3]!.from).toEqual([1500, 300]);
    chooseJoint(p, "p1", "p2", { kind: "notch", depth: 50 });
    chooseJoint(p, "p2", "p1", { kind: "none" });
    expect(p.joints).toEqual([{ a: "p2", b: "p1", kind: "none" }]);
    p.crosses.push({ ...across("g1", "p1", 10, "through") });
    removeTrace(p, "p1");
    expect([p.members.length, p.joints.length, p.crosses.length]).toEqual([3, 0, 0]);
    expect(freeId(p, "post")).toBe("p1");
    expect(proposeSection(inches(9.8), "post", "full-sawn")).toBe("10×10");
    expect(proposeSection(inches(10.1), "sway brace", "full-sawn")).toBe("2×10");
    // dressed 10-in timbers are 9 1/2, planks 9 1/4
    expect(proposeSection(inches(9.3), "post", "dressed")).toBe("10×10");
    expect(proposeSection(inches(9.3), "girt", "dressed")).toBe("2×10");
  });
});

describe("any traced truss", () => {
  const n = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  it("stands sound: panels, posts, diagonals, plank braces on both faces, several places, purlins and girts", () => {
    fc.assert(
      fc.property(
        fc.record({
          panels: fc.integer({ min: 2, max: 5 }),
          bay: n(70, 130),
          high: n(80, 150),
          places: fc.integer({ min: 1, max: 4 }),
          apart: n(60, 160),
          planks: fc.boolean(),
          seats: fc.boolean(),
        }),
        ({ panels, bay, high, places, apart, planks, seats }) => {
          const half = panels * bay;
          const members: Trace[] = [
            trace("bottom", "bottom chord", "10×12", [-half - 18, 0], [0, 0]),
            // along its lower edge, or its middle: the same timber
            seats
              ? trace("top", "top chord", "10×10", [-half - 10, high - 5], [0, high - 5], { seat: "left" })
              : trace("top", "top chord", "10×10", [-half - 10, high], [0, high]),
          ];
          for (let i = 0; i <= panels; i++) {
            const y = -half + i * bay;
            members.push(trace(`post${i}`, "post", "8×8", [y, 6], [y, high - 5]));
            if (i < panels) members.push(trace(`brace${i}`, "brace", "6×6", [y + 4, 6], [y + bay - 4, high - 5]));
          }
          if (planks)
            members.push(
              trace("near", "girt", "2×8", [-half - 12, high / 2], [0, high / 2], { layer: "near" }),
              trace("far", "girt", "2×8", [-half - 12, high / 2], [0, high / 2], { layer: "far" }),
            );
          const crosses =
            places > 1 ? [across("l1", "top", 30, "through"), across("g1", "post0", high / 3, "between")] : [];
          // what lies on the far and near faces is as thick as chords and posts allow: all are 8 or 10 thick
          const d = design({
            members,
            mirror: 0,
            places: Array.from({ length: places }, (_, i) => inches(i * apart)),
            crosses,
          });
          const s = d.structures[0]!;
          expect(s.fault).toBeUndefined();
          expect(interferences(s.resolved)).toEqual([]);
          expect(bearings(s.resolved).filter((b) => !b.ok && b.kind !== "lap")).toEqual([]);
          expect(connectedGroups(s.resolved).length).toBe(1);
          // the halves share their marks: every brace has its twin turned over
          for (let i = 0; i < panels; i++)
            expect(piece(d, `${places > 1 ? "place1/" : ""}brace${i}`).sticks.length % (2 * places)).toBe(0);
        },
      ),
      { seed: 31, numRuns: 25 },
    );
  });
});
