import { describe, expect, it } from "vitest";
import "../structures/all";
import { emptyFrame, pieceShape, resolve, single, type Joint, type Member, type PieceShape } from "../frame";
import { normalize, type Plane } from "../geometry";
import { model, printMm } from "../units";
import { bothEnds, furtherCount, furtherWork } from "./sawWords";

const mm = (n: number): string => printMm(n, 2);
/** A 2 × 6 stick 40 long in model mm, its wide side upright, less what datums trim and notches take. */
function cut(
  trims: Record<string, readonly [Plane, "end0" | "end1" | "length"]>,
  notch: readonly Plane[] = [],
): PieceShape {
  // prettier-ignore
  const square = { kind: "square", beyond: 0 } as const;
  const ended = (e: string): boolean => Object.values(trims).some(([, as]) => as === e);
  const stick: Member = {
    id: "s",
    structure: "t",
    assembly: "t",
    role: "stick",
    letter: "S",
    kind: "strip",
    nominal: [2, 6],
    ends: [ended("end0") ? undefined : square, ended("end1") ? undefined : square],
    body: { shape: "straight", a: [0, 0, 0], b: [40, 0, 0], up: [0, 0, 1], seat: ["centre", "centre"], components: single(model(6), model(2), "x") }, // prettier-ignore
  };
  const names = notch.map((_, i) => `n${i}`);
  const joints: Joint[] = [
    ...Object.entries(trims).map(([datum, [, as]]): Joint => ({ kind: "trim", id: datum, a: "s", datum, as, contact: "face" })), // prettier-ignore
    ...(notch.length > 0
      ? [{ kind: "notch", id: "notch", a: "s", b: "s", contact: "face", faces: names.map((datum) => ({ datum })) } as Joint] // prettier-ignore
      : []),
  ];
  const datums = Object.fromEntries([
    ...Object.entries(trims).map(([k, [p]]) => [k, p] as const),
    ...notch.map((p, i) => [`n${i}`, p] as const),
  ]);
  return pieceShape(resolve({ ...emptyFrame, members: [stick], joints, datums }).sticks[0]!);
}
const plane = (x: number, y: number, z: number, d: number): Plane => {
  const l = Math.hypot(x, y, z);
  return { n: normalize([x, y, z]), d: d / l };
};
const flat = (p: PieceShape): readonly [number, number] => p.section;

describe("what is cut of a piece, in words", () => {
  it("lies on its wide face: the greater side is its width, however it stands in the frame", () =>
    expect(flat(cut({}))).toEqual([6, 2]));
  it("a mitre across the wide face needs no word of how it lies, one on the edge says so", () => {
    expect(bothEnds(cut({ d: [plane(1, 0, 1, 36), "end1"] }), mm).far).toBe("45.0° mitre");
    expect(bothEnds(cut({ d: [plane(1, 1, 0, 36), "end1"] }), mm).far).toBe("45.0° mitre on edge");
  });
  it("two cuts of one end say where each crosses the middle, two alike once", () => {
    const two = cut({ d: [plane(1, 0, 1, 38), "end1"], e: [plane(1, 0, -0.5, 39), "end1"] });
    // the planes cross the middle at 38 and 39; they meet 2/3 above it, and the tip is where they do: 38.667... + 0
    const tip = two.overall;
    expect(bothEnds(two, mm).far).toBe(`45.0° mitre ${mm(tip - 38)} from the tip and 26.6° mitre ${mm(39 - tip)} beyond the tip`); // prettier-ignore
    const alike = cut({ d: [plane(1, 0, 1, 40), "end1"], e: [plane(1, 0, -1, 40), "end1"] });
    expect(bothEnds(alike, mm).far).toBe("45.0° mitre 0.00 mm from the tip from both sides");
    expect(bothEnds(alike).far).toBe("45.0° mitre from both sides");
  });
  it("a rip, and a taper, by their distance from the near edge", () => {
    expect(furtherWork(cut({ d: [plane(0, 0, 1, 1), "length"] }), mm)).toEqual(["rip 4.00 mm from the near edge, the near side stays"]); // prettier-ignore
    // from 1 above the middle at the start to 1 below it at the end: 4 and 2 from the lower edge
    const taper = cut({ d: [plane(2, 0, 40, 40), "length"] });
    expect(furtherWork(taper, mm)).toEqual(["taper 4.00 mm at the start to 2.00 mm at the far end from the near edge, the near side stays"]); // prettier-ignore
    expect(furtherCount(taper)).toBe("1 lengthwise cut");
  });
  it("a notch in an edge, right across, and a hole", () => {
    const box = (x0: number, x1: number, y0: number, y1: number, z0: number, z1: number): Plane[] => [
      plane(-1, 0, 0, -x0),
      plane(1, 0, 0, x1),
      plane(0, -1, 0, -y0),
      plane(0, 1, 0, y1),
      plane(0, 0, -1, -z0),
      plane(0, 0, 1, z1),
    ];
    const of = (...b: Parameters<typeof box>): string[] => furtherWork(cut({}, box(...b)), mm);
    expect(of(10, 13, -9, 9, -9, -1)).toEqual([
      "notch 10.00 mm to 13.00 mm from the start, 2.00 mm into the near edge",
    ]);
    expect(of(10, 13, -9, 9, 2, 9)).toEqual(["notch 10.00 mm to 13.00 mm from the start, 1.00 mm into the far edge"]);
    expect(of(10, 12, -9, 9, -1, 1)).toEqual(["hole 2.00 mm × 2.00 mm, its middle 11.00 mm from the start and 3.00 mm from the near edge"]); // prettier-ignore
    expect(of(10, 13, 0.5, 9, -9, 9)[0]).toMatch(/^notch 10\.00 mm to 13\.00 mm from the start, 0\.50 mm deep from (above|below)$/); // prettier-ignore
    expect(furtherCount(cut({}, box(10, 13, -9, 9, -9, -1)))).toBe("1 notch");
    expect(furtherCount(cut({}))).toBe("");
  });
});
