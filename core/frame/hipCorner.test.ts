import { describe, expect, it } from "vitest";
import { addScaled, normalize, planeAt, volumeOf, type Vec3 } from "../geometry";
import { model } from "../units";
import {
  bearings,
  connectedGroups,
  emptyFrame,
  interferences,
  pieceShape,
  piecesOf,
  resolve,
  setting,
  single,
  type Frame,
  type Joint,
  type Member,
  type Seat,
} from ".";
import { rebuild } from "./rebuild.fixture";

/**
 * A hip corner at 6 in 12, one unit to the inch: two plates, ridge, common rafter, hip and a jack on either side, with
 * bird's-mouths, tails and backing. The corner of the plates' outer top edges is the origin.
 */
const RUN = 72;
const SLOPE = 0.5;
const OVER = 4.472135955; // the roof's top plane over the plates' outer edge, measured plumb
function stick(
  id: string,
  a: Vec3,
  b: Vec3,
  depth: number,
  seat: readonly [Seat, Seat],
  ends: Member["ends"],
  role = id,
): Member {
  return {
    id,
    structure: "hip",
    assembly: "hip",
    role,
    letter: role[0]!.toUpperCase(),
    kind: "strip",
    nominal: [2, depth],
    ends,
    body: { shape: "straight", a, b, up: [0, 0, 1], seat, components: single(model(depth), model(2), "x") },
  };
}
const square = { kind: "square", beyond: 0 } as const;
const tail = { kind: "plumb", beyond: 12 * Math.hypot(1, SLOPE) } as const;
const plate = (id: string, a: Vec3, b: Vec3, seat: Seat, ends: Member["ends"]): Member => {
  const m = stick(id, a, b, 2, ["+", seat], ends, "plate");
  return { ...m, body: { ...m.body, components: single(model(3), model(6), "x") } as Member["body"] };
};
const birdsmouth = (a: string, b: string, outer: "+w" | "-w"): Joint => ({
  kind: "notch",
  id: `${a}>${b}`,
  a,
  b,
  contact: "face",
  faces: [
    { of: b, face: "+v" },
    { of: b, face: outer },
  ],
});

const frame: Frame = {
  ...emptyFrame,
  members: [
    plate("plateA", [0, 0, 0], [120, 0, 0], "+", [square, square]),
    plate("plateB", [0, 0, 0], [0, 90, 0], "-", [undefined, square]),
    stick(
      "ridge",
      [RUN - 1, RUN, RUN * SLOPE + OVER],
      [120, RUN, RUN * SLOPE + OVER],
      8,
      ["+", "centre"],
      [square, square],
    ),
    stick("common", [RUN, 0, OVER], [RUN, RUN, RUN * SLOPE + OVER], 6, ["+", "centre"], [tail, undefined], "rafter"),
    stick("jackA", [32, 0, OVER], [32, 32, 32 * SLOPE + OVER], 6, ["+", "centre"], [tail, undefined], "jack"),
    stick("jackB", [0, 32, OVER], [32, 32, 32 * SLOPE + OVER], 6, ["+", "centre"], [tail, undefined], "jack"),
    stick("hip", [0, 0, OVER], [RUN, RUN, RUN * SLOPE + OVER], 8, ["+", "centre"], [tail, undefined]),
  ],
  joints: [
    { kind: "butt", id: "corner", a: "plateB", end: 0, b: "plateA", face: "-w", contact: "face" },
    { kind: "butt", id: "common>ridge", a: "common", end: 1, b: "ridge", face: "+w", contact: "gap" },
    { kind: "butt", id: "jackA>hip", a: "jackA", end: 1, b: "hip", face: "+w", contact: "gap" },
    { kind: "butt", id: "jackB>hip", a: "jackB", end: 1, b: "hip", face: "-w", contact: "gap" },
    birdsmouth("common", "plateA", "+w"),
    birdsmouth("jackA", "plateA", "+w"),
    birdsmouth("jackB", "plateB", "-w"),
    {
      kind: "notch",
      id: "hip>corner",
      a: "hip",
      b: "plateA",
      contact: "line",
      faces: [
        { of: "plateA", face: "+v" },
        { of: "plateA", face: "+w" },
        { of: "plateB", face: "-w" },
      ],
    },
    { kind: "trim", id: "backingA", a: "hip", datum: "roofA", as: "length", contact: "face" },
    { kind: "trim", id: "backingB", a: "hip", datum: "roofB", as: "length", contact: "face" },
  ],
  nodes: [
    {
      id: "peak",
      passing: ["ridge", "common"],
      tiers: [[{ member: "hip", end: 1, faces: { ridge: ["+w"], common: ["-w"] } }]],
      gap: 0,
    },
  ],
  datums: { roofA: planeAt([0, 0, OVER], [0, -SLOPE, 1]), roofB: planeAt([0, 0, OVER], [-SLOPE, 0, 1]) },
};
const r = resolve(frame);
const of = (id: string) => pieceShape(r.byMember.get(id)![0]!);
const theoretical = (id: string): number => {
  const m = frame.members.find((x) => x.id === id)!.body as { a: Vec3; b: Vec3 };
  return Math.hypot(...addScaled(m.b, m.a, -1));
};

describe("a hip corner built by hand", () => {
  // the rafter table of the framing square, 6 in 12: common 13.42, hip 18.00 to the foot of run; jacks 16 in apart differ by 17.89
  it("has the framing square's theoretical lengths", () => {
    expect(theoretical("common") / 6).toBeCloseTo(13.42, 2);
    expect(theoretical("hip") / 6).toBeCloseTo(18.0, 2);
    expect(theoretical("jackA") / 2).toBeCloseTo(17.89, 2);
  });
  it("cuts the jack with the framing square's side cut: 10.73 on 12 across the top, 45° over a 6 in 12 plumb cut", () => {
    const n = r.byMember.get("jackA")![0]!;
    const end = of("jackA").ends[1][0]!;
    const local = n.cuts.find((c) => c.from === "jackA>hip")!;
    const top = setting([dotOf(local.n, n.axes.u), dotOf(local.n, n.axes.v), dotOf(local.n, n.axes.w)], 1, "-v");
    expect(12 / Math.tan((Math.abs(top.mitre) * Math.PI) / 180)).toBeCloseTo(10.73, 2);
    expect(end.face).toBe("-w");
    expect(Math.abs(end.mitre)).toBeCloseTo(26.565, 3);
    expect(Math.abs(end.bevel)).toBeCloseTo(45, 6);
  });
  it("cuts the hip twice at the peak, side cut 11.31 on 12, and shortens it by half the ridge", () => {
    const cuts = of("hip").ends[1];
    expect(cuts).toHaveLength(2);
    expect(cuts.map((c) => c.bevel).sort((a, b) => a - b)).toEqual([expect.closeTo(-45, 6), expect.closeTo(45, 6)]);
    const k = r.byMember.get("hip")![0]!;
    const c = k.cuts.find((x) => x.from === "peak")!;
    const top = setting([dotOf(c.n, k.axes.u), dotOf(c.n, k.axes.v), dotOf(c.n, k.axes.w)], 1, "-v");
    expect(12 / Math.tan((Math.abs(top.mitre) * Math.PI) / 180)).toBeCloseTo(11.31, 2);
    // closed form: the centre line meets both faces where x = y = 71
    expect(cuts[0]!.at).toBeCloseTo(cuts[1]!.at, 9);
  });
  it("backs the hip by 18.43°: atan(sin φ), tan φ = 6 / 16.97", () => {
    const rips = of("hip").rips;
    expect(rips.map((p) => Math.abs((Math.atan2(p.n[2], p.n[1]) * 180) / Math.PI))).toEqual([
      expect.closeTo(18.435, 3),
      expect.closeTo(18.435, 3),
    ]);
    for (const p of rips) expect(p.n[0]).toBeCloseTo(0, 9);
  });
  it("seats the bird's-mouths level and plumb", () => {
    const [notch] = of("common").notches;
    const u = normalize([0, 1, SLOPE]);
    // in the rafter's own axes the seat is off its length by the roof's angle, 26.565°, and heel and seat are square
    const angles = notch!.map((p) => (Math.acos(Math.abs(p.n[0])) * 180) / Math.PI);
    expect(angles.sort((a, b) => a - b)).toEqual([expect.closeTo(26.565, 3), expect.closeTo(63.435, 3)]);
    expect(u[1]).toBeCloseTo(0.8944, 4);
  });
  it("has no stick in another, bears, hangs together, and comes back from its list entries", () => {
    expect(interferences(r)).toEqual([]);
    expect(bearings(r).filter((b) => !b.ok)).toEqual([]);
    expect(connectedGroups(r)).toHaveLength(1);
    for (const s of r.sticks) {
      const own = s.parts.reduce((v, p) => v + volumeOf(p), 0);
      expect(rebuild(pieceShape(s)).reduce((v, p) => v + volumeOf(p), 0)).toBeCloseTo(own, 6);
    }
  });
  it("tells the left jack from the right, each the mirror of the other", () => {
    const jacks = piecesOf(r.sticks).filter((p) => p.role === "jack");
    expect(jacks.map((p) => [p.handed, p.handOf])).toEqual([
      [true, "J2"],
      [true, "J1"],
    ]);
  });
});
const dotOf = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
