import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cornersOf, dot, normalize, volumeOf, type Vec3 } from "../geometry";
import { model } from "../units";
import {
  bearings,
  emptyFrame,
  interferences,
  mirrored,
  pieceShape,
  piecesOf,
  resolve,
  samePiece,
  setting,
  single,
  type Face,
  type Member,
} from ".";
import { planeOfCut, rebuild } from "./rebuild.fixture";

const SEED = 77;
const unit = fc
  .tuple(
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
  )
  .filter((v) => Math.hypot(...v) > 0.2)
  .map((v): Vec3 => normalize(v));
const face = fc.constantFrom<Face>("+v", "-v", "+w", "-w");
const square = { kind: "square", beyond: 0 } as const;

function member(id: string, a: Vec3, b: Vec3, up: Vec3, v: number, w: number, ends: Member["ends"]): Member {
  return {
    id,
    structure: "t",
    assembly: "t",
    role: "stick",
    letter: "P",
    kind: "strip",
    nominal: [1, 1],
    ends,
    body: {
      shape: "straight",
      a,
      b,
      up,
      seat: ["centre", "centre"],
      components: single(model(v), model(w), "x"),
    },
  };
}
/** A stick whose two ends are butted to two beams that stand anyhow in space. */
const butted = fc.record({
  lean: fc.tuple(fc.double({ min: -0.5, max: 0.5, noNaN: true }), fc.double({ min: -0.5, max: 0.5, noNaN: true })),
  turn: fc.double({ min: 0, max: Math.PI, noNaN: true }),
  upper: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
  v: fc.double({ min: 1, max: 5, noNaN: true }),
  w: fc.double({ min: 1, max: 5, noNaN: true }),
});

describe(`kernel invariants over random cuts (seed ${SEED})`, () => {
  it("reads a cut as a saw is set, and the saw so set makes that cut", () => {
    fc.assert(
      fc.property(unit, face, fc.constantFrom<0 | 1>(0, 1), (n, down, end) => {
        const s = end === 1 ? 1 : -1;
        // a cut of an end leans towards that end
        const out: Vec3 = [s * Math.max(0.2, Math.abs(n[0])), n[1], n[2]];
        const want = normalize(out);
        const made = planeOfCut({ face: down, ...setting(want, end, down), at: model(10) }, end);
        expect(dot(made.n, want)).toBeCloseTo(1, 9);
        expect(made.d).toBeCloseTo(want[0] * 10, 9);
      }),
      { seed: SEED, numRuns: 300 },
    );
  });

  it("calls a mitre positive when it shortens the right-hand side, a bevel when it shortens the upper", () => {
    // lying on -w, looking along +u: up is +w, so right is -v
    expect(setting(normalize([1, -0.5, 0]), 1, "-w").mitre).toBeCloseTo(26.565, 3);
    expect(setting(normalize([1, 0, 0.5]), 1, "-w").bevel).toBeCloseTo(26.565, 3);
    // towards the other end right is +v
    expect(setting(normalize([-1, 0.5, 0]), 0, "-w").mitre).toBeCloseTo(26.565, 3);
    expect(setting([1, 0, 0], 1, "-v")).toEqual({ mitre: 0, bevel: 0 });
  });

  it("fits a stick between two beams: nothing in another, both ends bear, and the list entry makes the same solid", () => {
    fc.assert(
      fc.property(butted, ({ lean, turn, upper, v, w }) => {
        const top: Vec3 = [lean[0] * 60, lean[1] * 60, 60];
        const up: Vec3 = [Math.cos(turn), Math.sin(turn), 0];
        const beam = (id: string, z: number, slope: number): Member =>
          member(id, [-90, 0, z - 90 * slope], [90, 0, z + 90 * slope], [0, 0, 1], 8, 180, [square, square]);
        const r = resolve({
          ...emptyFrame,
          members: [
            beam("low", -4, 0),
            beam("high", 70, upper),
            member("stick", [0, 0, 0], top, up, v, w, [undefined, undefined]),
          ],
          joints: [
            { kind: "butt", id: "foot", a: "stick", end: 0, b: "low", face: "+v", contact: "face" },
            { kind: "butt", id: "head", a: "stick", end: 1, b: "high", face: "-v", contact: "face" },
          ],
        });
        expect(interferences(r)).toEqual([]);
        expect(bearings(r).every((b) => b.ok)).toBe(true);
        const stick = r.byMember.get("stick")![0]!;
        const shape = pieceShape(stick);
        const again = rebuild(shape);
        const volume = stick.parts.reduce((t, p) => t + volumeOf(p), 0);
        expect(again.reduce((t, p) => t + volumeOf(p), 0) / volume).toBeCloseTo(1, 9);
        for (const c of again.flatMap(cornersOf))
          expect(Math.min(...shape.corners.map((k) => Math.hypot(k[0] - c[0], k[1] - c[1], k[2] - c[2])))).toBeLessThan(
            1e-6,
          );
        expect(shape.longPoint).toBeLessThanOrEqual(shape.overall + 1e-9);
        expect(shape.shortPoint).toBeLessThanOrEqual(shape.longPoint + 1e-9);
      }),
      { seed: SEED, numRuns: 120 },
    );
  });

  it("knows a piece again however it lies in space, and its mirror image only where a turn makes it so", () => {
    fc.assert(
      fc.property(butted, ({ lean, v, w }) => {
        const ends: Member["ends"] = [
          { kind: "plumb", beyond: 0 },
          { kind: "square", beyond: 1 },
        ];
        const first = member("a", [0, 0, 0], [30, 0, 30 * (0.4 + Math.abs(lean[0]))], [0, 0, 1], v, w, ends);
        const turned = member("b", [0, 90, 0], [0, 120, 30 * (0.4 + Math.abs(lean[0]))], [0, 0, 1], v, w, ends);
        const r = resolve({ ...emptyFrame, members: [first, turned] });
        expect(piecesOf(r.sticks)).toHaveLength(1);
        const [a] = r.sticks.map(pieceShape);
        expect(samePiece(a!, a!)).toBe(true);
        // a cut in one plane is its own mirror image, once turned over
        expect(samePiece(a!, mirrored(a!))).toBe(true);
        // nudged by more than the tolerance it is another piece
        const longer = {
          ...a!,
          overall: model(a!.overall + 0.03),
          corners: a!.corners.map((c): Vec3 => [c[0] * (1 + 0.03 / a!.overall), c[1], c[2]]),
        };
        expect(samePiece(a!, longer)).toBe(false);
      }),
      { seed: SEED, numRuns: 40 },
    );
  });

  it("keeps left and right apart when an end is cut twice, and lets textured stock turn less", () => {
    const skew = (id: string): Member => ({
      ...member(id, [0, 0, 0], [40, 0, 0], [0, 0, 1], 6, 2, [square, undefined]),
    });
    const datum = (side: 1 | -1) => ({ n: normalize([1, side * 0.7, 0.4]), d: 30 });
    const cut = (side: 1 | -1) =>
      resolve({
        ...emptyFrame,
        members: [skew("s")],
        joints: [{ kind: "trim", id: "t", a: "s", datum: "d", as: "end1", contact: "face" }],
        datums: { d: datum(side) },
      }).sticks[0]!;
    const [left, right] = [pieceShape(cut(1)), pieceShape(cut(-1))];
    expect(samePiece(left, right)).toBe(false);
    expect(samePiece(left, mirrored(right))).toBe(true);
    const plain = resolve({
      ...emptyFrame,
      members: [member("p", [0, 0, 0], [40, 0, 0], [0, 0, 1], 6, 2, [{ kind: "square", beyond: 0 }, undefined])],
      joints: [{ kind: "trim", id: "t", a: "p", datum: "d", as: "end1", contact: "face" }],
      datums: { d: { n: normalize([1, 0, 0.4]), d: 30 } },
    }); // one mitre across the wide face
    const shape = pieceShape(plain.sticks[0]!);
    const over = {
      ...shape,
      corners: shape.corners.map((c): Vec3 => [c[0], -c[1], -c[2]]),
      cutNormals: shape.cutNormals.map((c): Vec3 => [c[0], -c[1], -c[2]]),
    };
    expect(samePiece(shape, over, "any")).toBe(true);
    expect(samePiece(shape, over, "face")).toBe(false);
  });
});
