import { describe, expect, it } from "vitest";
import { rafterTable } from "../../../carpentry";
import { SQUARE } from "../../../carpentry/framingSquare.fixture";
import { pieceShape, piecesOf, setting, type ResolvedFrame } from "../../../frame";
import { dot } from "../../../geometry";
import { feet, inches, toModel } from "../../../units";
import { faultsOf } from "../../sound.fixture";
import { ctx, framed, values } from "../building.fixture";
import { facetsOf, trueShape } from "../shapes";
import { buildingCheck } from "../judgement/check";
import { buildingFrame } from "../frame";
import { buildingLayout } from "../plan/layout";

const theory = (r: ResolvedFrame, id: string): number => r.byMember.get(`t/main/roof/${id}`)![0]!.member.theoretical!;

describe("a framed hip roof", () => {
  const inch = toModel(ctx.scale, inches(1));
  it.each(SQUARE)(
    "at %d in 12 has the framing square's lengths and side cuts",
    (rise, common, hip, at16, at24, jackSide, hipSide) => {
      for (const [spacing, difference] of [
        [16, at16],
        [24, at24],
      ] as const) {
        const { r } = framed({
          roof: "hip",
          length: feet(24),
          width: feet(20),
          rise,
          rafterSpacing: inches(spacing),
          rafter: "2×6",
          hipRafter: "2×12",
          ridge: "2×12",
        });
        // run 10 ft
        expect(Math.abs(theory(r, "S/common1") / inch / 10 - common)).toBeLessThan(0.0101);
        expect(Math.abs(theory(r, "hip-SW") / inch / 10 - hip)).toBeLessThan(0.0101);
        expect(Math.abs((theory(r, "S/jack-W1") - theory(r, "S/jack-W2")) / inch - difference)).toBeLessThan(0.0101);
      }
      const { r } = framed({
        roof: "hip",
        length: feet(24),
        width: feet(20),
        rise,
        hipRafter: "2×12",
        ridge: "2×12",
        backing: "dropped",
      });
      const sideCut = (id: string, from: RegExp): number => {
        const k = r.byMember.get(`t/main/roof/${id}`)![0]!;
        const n = k.cuts.find((c) => c.as === "end1" && from.test(c.from))!.n;
        const top = setting([dot(n, k.axes.u), dot(n, k.axes.v), dot(n, k.axes.w)], 1, "-v");
        return 12 / Math.tan((Math.abs(top.mitre) * Math.PI) / 180);
      };
      expect(sideCut("S/jack-W1", /hip-SW/)).toBeCloseTo(jackSide, 1);
      expect(sideCut("hip-SW", /common/)).toBeCloseTo(hipSide, 1);
    },
  );
  it("is the worked hip roof: walls 12 × 16 ft, a foot of overhang, 6 in 12", () => {
    // by formula: ridge 4 ft, common 7.826 ft from eave edge to ridge line, hip 10.5 ft, sides 86.09 and ends 54.78 sq ft
    const v = values({ roof: "hip", length: feet(16), width: feet(12), overhang: feet(1), rise: 6 });
    const l = buildingLayout(v, ctx);
    const foot = toModel(ctx.scale, feet(1));
    const areas = facetsOf(l, l.main, []).map((f) => {
      const { outline } = trueShape(f);
      return (
        Math.abs(
          outline.reduce(
            (a, p, i) =>
              a + p[0] * outline[(i + 1) % outline.length]![1] - p[1] * outline[(i + 1) % outline.length]![0],
            0,
          ),
        ) /
        2 /
        foot ** 2
      );
    });
    expect(areas).toEqual([
      expect.closeTo(86.09, 2),
      expect.closeTo(54.78, 2),
      expect.closeTo(86.09, 2),
      expect.closeTo(54.78, 2),
    ]);
    expect(areas.reduce((a, b) => a + b)).toBeCloseTo(252 * 1.118, 1);
    const front = trueShape(facetsOf(l, l.main, [])[0]!).outline;
    const ys = front.map((p) => p[1]);
    expect((Math.max(...ys) - Math.min(...ys)) / foot).toBeCloseTo(7.826, 3);
    const top = front.filter((p) => p[1] > Math.max(...ys) - 1e-6).map((p) => p[0]);
    expect((Math.max(...top) - Math.min(...top)) / foot).toBeCloseTo(4, 6);
    expect(Math.hypot(front[0]![0] - Math.min(...top), Math.max(...ys)) / foot).toBeCloseTo(10.5, 2);
  });
  it("backs its hips by 18.43° at 6 in 12: atan(sin φ), tan φ = 6 / 16.97", () => {
    const { r } = framed({ roof: "hip", length: feet(16), width: feet(12), rise: 6 });
    const rips = pieceShape(r.byMember.get("t/main/roof/hip-SW")![0]!).rips;
    for (const p of rips)
      expect(Math.abs((Math.atan2(p.n[2], p.n[1]) * 180) / Math.PI)).toBeCloseTo(rafterTable(6).backing, 2);
    expect(rips).toHaveLength(2);
  });
  it("makes left and right jacks two marks, and commons of both slopes one", () => {
    const { r } = framed({ roof: "hip", length: feet(24), width: feet(16), rafterSpacing: feet(2) });
    const pieces = piecesOf(r.sticks);
    const of = (id: string) => pieces.find((p) => p.sticks.includes(`t/main/roof/${id}`))!;
    expect(of("S/jack-W1").mark).not.toBe(of("S/jack-E1").mark);
    expect(of("S/jack-W1").handOf).toBe(of("S/jack-E1").mark);
    expect(of("S/common2").mark).toBe(of("N/common2").mark);
  });
  it("comes to a point over a square", () => {
    const { r } = framed({ roof: "hip", length: feet(12), width: feet(12) });
    expect(r.sticks.some((s) => s.member.role === "ridge board")).toBe(false);
    const top = Math.max(
      ...["SW", "SE", "NE", "NW"].flatMap((c) =>
        r.byMember
          .get(`t/main/roof/hip-${c}`)![0]!
          .parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((q) => q[2]))),
      ),
    );
    const l = buildingLayout(values({ roof: "hip", length: feet(12), width: feet(12) }), ctx);
    expect(top).toBeLessThan(l.main.peak[1] + 1e-6);
  });
});

describe("a wing that meets the main roof in valleys", () => {
  const wing = { kind: "gable", side: "back", at: feet(14), length: feet(10), depth: feet(8), height: feet(9) };
  it("has valleys as long as the framing square's hips, and both slopes meet along them", () => {
    const { r } = framed({ length: feet(40), width: feet(20), rise: 8, wings: [wing], covering: "boards" });
    const foot = toModel(ctx.scale, feet(1));
    // 18.76 to the foot of run: 5 ft under the wing's ridge, 10 ft to the main one
    expect((r.byMember.get("t/wing1/roof/valley-short")![0]!.member.theoretical! / foot) * 12).toBeCloseTo(
      5 * 18.76,
      0,
    );
    expect((r.byMember.get("t/wing1/roof/valley-long")![0]!.member.theoretical! / foot) * 12).toBeCloseTo(
      10 * 18.76,
      0,
    );
    expect(r.sticks.filter((s) => s.member.role === "valley jack").length).toBeGreaterThan(8);
  });
  it("stands sound wherever its stations fall: one in the middle, one where the long valley meets the ridge", () => {
    for (const at of [13, 14, 14.5, 15])
      framed({
        length: feet(40),
        width: feet(20),
        rise: 8,
        wings: [{ ...wing, side: "front", at: feet(at), length: feet(12) }],
      });
  });
  it("at another height ends against the wall", () => {
    const low = { ...wing, height: feet(7.5), kind: "lean", depth: feet(5) };
    const v = values({ length: feet(40), width: feet(20), rise: 3, wallHeight: feet(12), wings: [low] });
    expect(buildingCheck(v)).toEqual([]);
    expect(faultsOf(buildingFrame(v, ctx)).faults).toEqual([]);
  });
});
