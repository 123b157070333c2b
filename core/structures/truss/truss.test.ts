import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { piecesOf } from "../../frame";
import { feet, inches } from "../../units";
import { defaultsOf } from "../spec";
import { faultsOf, fullSawn } from "../sound.fixture";
import { trussCheck, trussRemarks } from "./check";
import { topologyOf } from "./counters";
import { trussFrame } from "./frame";
import { outlineOf, trussLayout } from "./layout";
import { trussSpec, type TrussValues } from "./parameters";
import { randomTruss } from "./randomTruss.fixture";
import { spanUnderTrain } from "./span";
import { panelsOf, polygonHeight } from "./topology";
import { whyOf } from "./explain";
import { forcesOf } from "./forces";

const ctx = fullSawn();
const values = (v: Partial<Record<keyof TrussValues, unknown>>): TrussValues =>
  ({ ...defaultsOf(trussSpec), ...v }) as TrussValues;

describe("work lines", () => {
  it("put panel points at equal panels, a Warren's top ones between them", () => {
    const t = topologyOf(outlineOf(values({ kind: "warren", span: feet(80), panels: 5, depth: feet(20) })));
    for (let i = 0; i <= 5; i++) expect(t.points[`L${i}`]).toEqual([expect.closeTo(i * feet(16), 6), 0]);
    for (let i = 1; i <= 5; i++) expect(t.points[`U${i}`]).toEqual([expect.closeTo((i - 0.5) * feet(16), 6), feet(20)]);
  });
  it("raise both chords along a parabola of camber", () => {
    const t = topologyOf(outlineOf(values({ kind: "pratt", camber: inches(6) })));
    expect(t.points["L3"]![1]).toBeCloseTo(inches(6), 9);
    // 4·c·x·(s − x)/s² at a sixth of the span
    expect(t.points["L1"]![1]).toBeCloseTo((inches(6) * 4 * 5) / 36, 9);
    expect(t.points["U3"]![1] - t.points["L3"]![1]).toBeCloseTo(feet(24), 9);
  });
  it("stand a polygonal top chord of five slopes on a parabola, as reckoned by hand", () => {
    // 150 ft in ten panels of 15: corners at 15, 60 and 90, 135 ft; the middle is level at 24 ft, the first is the hip of 16
    const v = outlineOf(values({ kind: "polygonal", slopes: "5", panels: 10, span: feet(150), depth: feet(24), hipDepth: feet(16) })); // prettier-ignore
    const h = (ft: number): number => polygonHeight(v, feet(ft), feet(15)) / 304.8;
    expect([h(15), h(60), h(75), h(90), h(135)].map((x) => x.toFixed(6))).toEqual(["16.000000", "24.000000", "24.000000", "24.000000", "16.000000"]); // prettier-ignore
    expect(h(30)).toBeCloseTo(16 + (8 * 15) / 45, 6);
  });
  it("give a polygonal top chord as many slopes as asked", () => {
    for (const slopes of [3, 5, 7] as const) {
      const v = outlineOf(
        values({ kind: "polygonal", slopes: String(slopes), panels: 10, span: feet(150), hipDepth: feet(16) }),
      );
      const p = v.span / panelsOf(v);
      const hs = Array.from({ length: 9 }, (_, i) => polygonHeight(v, (i + 1) * p, p));
      const turns = hs.slice(2).filter((h, i) => Math.abs(h - 2 * hs[i + 1]! + hs[i]!) > 1e-6).length;
      // end posts are two of the slopes; between the others the chord turns once less
      expect(turns).toBe(slopes - 3);
      // the part in the middle is as deep as asked, and no other is deeper
      expect(hs[4]).toBeCloseTo(v.depth, 6);
      expect(Math.max(...hs)).toBeCloseTo(v.depth, 6);
    }
  });
});

describe("a bridge's floor", () => {
  const floorOf = (v: Partial<Record<keyof TrussValues, unknown>>) => {
    const { faults, resolved } = faultsOf(trussFrame(values(v), ctx));
    expect(faults).toEqual([]);
    const of = (role: string) => resolved.sticks.filter((k) => k.member.role === role);
    const reach = (role: string): [number, number] => {
      const x = of(role).flatMap((k) => k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => c[0]))));
      return [Math.min(...x), Math.max(...x)];
    };
    return { of, reach };
  };
  // [kind, span, panels]: a floor beam at every panel point, one beside each bearing
  it.each([
    ["king", 30, 2],
    ["queen", 42, 3],
    ["howe", 90, 6],
    ["pratt", 96, 8],
    ["warren", 80, 5],
    ["polygonal", 120, 8],
  ] as const)(
    "of a %s of %i ft runs from end to end: a beam at each of its points, ties to the ends of the chords",
    (kind, span, panels) => {
      for (const position of kind === "king" || kind === "queen" ? ["pony"] : ["through", "pony"]) {
        const v = { kind, position, span: feet(span), panels, floor: "beams", stringerPlies: 2, tracks: 1, tieSpacing: inches(16), chordEnd: feet(1.5), apart: feet(17) }; // prettier-ignore
        const { of, reach } = floorOf(v);
        expect(of("floor beam")).toHaveLength(panels + 1);
        expect(of("stringer")).toHaveLength(4);
        const [from, to] = reach("stringer");
        expect((to - from) * ctx.scale.ratio).toBeCloseTo(feet(span + 3), 4);
        // as many whole spacings as go between the outer edges of the first and the last tie: 8 in wide, 16 in apart
        const ties = Math.floor(((span + 3) * 12 - 8) / 16 + 1e-9) + 1;
        expect(of("tie")).toHaveLength(ties);
        const [first, last] = reach("tie");
        expect(first - from).toBeLessThan(inches(8) / ctx.scale.ratio + 1e-6);
        expect(last - first).toBeCloseTo(((ties - 1) * inches(16) + inches(8)) / ctx.scale.ratio, 6);
        expect(first + last).toBeCloseTo(from + to, 6);
      }
    },
  );
});

describe("gusset plates", () => {
  // six panels: seven points below, five above between inclined ends; two plates at each
  it.each([
    ["as wide as the webs", "12×12", 1],
    ["narrower than the webs", "8×12", 1],
    ["wider than the webs", "12×12", 3],
  ] as const)("stand at every panel point where the chord is %s", (_, chord, chordPlies) => {
    const { faults, resolved } = faultsOf(
      trussFrame(values({ kind: "pratt", panels: 6, span: feet(90), gussets: true, trusses: false, floor: "none", vertical: "12×12", diagonal: "10×10", endPost: "12×12", chord, chordPlies, packing: 0, counters: "none", ends: "inclined", position: "pony" }), ctx), // prettier-ignore
    );
    expect(faults).toEqual([]);
    expect(resolved.sticks.filter((k) => k.member.role === "gusset plate")).toHaveLength((7 + 5) * 2);
  });
});

describe("a bridge", () => {
  it("has two side trusses that are cut two at a time", () => {
    const { faults, resolved } = faultsOf(trussFrame(values({ chordPlies: 4 }), ctx));
    expect(faults).toEqual([]);
    const own = piecesOf(resolved.sticks).filter(
      (p) => p.sticks.some((s) => /\/(left|right)\//.test(s)) && !/block/.test(p.sticks[0]!),
    );
    for (const p of own) expect(p.sticks.length % 2).toBe(0);
  });
  it("remarks on rods that are pressed: a Pratt's verticals, never a Howe's", () => {
    const of = (v: Partial<Record<keyof TrussValues, unknown>>) => trussRemarks(values({ panels: 6, span: feet(90), depth: feet(20), counters: "none", ...v })).filter((r) => /pressed/.test(r.text)); // prettier-ignore
    expect(of({ kind: "howe", vertical: "⌀2" })).toEqual([]);
    const [pratt, ...rest] = of({ kind: "pratt", vertical: "⌀2", diagonal: "⌀2" });
    expect(rest).toEqual([]);
    expect(pratt!.param).toBe("vertical");
    expect(pratt!.text).toMatch(/verticals are pressed under a full load, and a rod of ⌀2 buckles there: that takes a timber\.$/); // prettier-ignore
    expect(of({ kind: "pratt", vertical: pratt!.fix!.value, diagonal: "⌀2" })).toEqual([]);
    expect(of({ kind: "howe", vertical: "⌀2", diagonal: "⌀2" }).map((r) => r.param)).toEqual(["diagonal"]);
  });
  it("explains what is a rod and what is a timber", () => {
    const v = values({ kind: "howe", counters: "none" });
    const f = forcesOf(outlineOf(v));
    if (!f.ok) throw new Error(f.reason);
    expect(whyOf("vertical/L1-U1", f)).toMatchObject({
      does: "tension",
      why: expect.stringContaining("a rod will do"),
    });
    expect(whyOf("diagonal/L1-U2", f)).toMatchObject({
      does: "compression",
      why: expect.stringContaining("a rod would buckle"),
    });
  });
  it("tells an open queen post that it carries symmetrical load only", () => {
    const v = values({ kind: "queen", span: feet(36), depth: feet(12), position: "pony", counters: "none" });
    expect(trussCheck(v)).toEqual([]);
    expect(
      trussRemarks(v)
        .map((r) => r.text)
        .join(" "),
    ).toMatch(/symmetrical load only/);
  });
  it("sags as the truss of a simple load does by hand", () => {
    // king post alone: P at the middle, u = Σ N·n·L/(E·A), virtual work (statics textbooks); one ply and equal timbers
    const v = values({
      kind: "king",
      position: "pony",
      trusses: false,
      span: feet(24),
      depth: feet(12),
      chord: "12×12",
      chordPlies: 1,
      endPost: "12×12",
      vertical: "12×12",
      trainWeight: 1000,
    });
    const l = trussLayout(v, ctx);
    const s = spanUnderTrain(v, ctx)!;
    const span = l.topology.points["L2"]![0];
    const h = l.topology.points["U1"]![1];
    const A = l.chord.v * l.chord.w;
    const P = s.load;
    const [tie, rafter] = [(P * span) / (4 * h), (P / 2) * (Math.hypot(span / 2, h) / h)];
    const sum = tie * (tie / P) * span + 2 * rafter * (rafter / P) * Math.hypot(span / 2, h) + P * 1 * h;
    expect(s.sag).toBeCloseTo(sum / (10_100 * A), 9);
    expect(s.verdict).toBeTruthy();
  });
  it("refuses what cannot be with a sentence that says what would do", () => {
    const says = (v: Partial<Record<keyof TrussValues, unknown>>): string => trussCheck(values(v)).join(" ");
    expect(says({ apart: feet(10) })).toMatch(/Set the trusses 15′-0″ apart\./);
    expect(says({ depth: feet(12) })).toMatch(/a clearance of 17′-0″ is asked/);
    expect(says({ kind: "fink" })).toMatch(/carries a roof/);
    expect(says({ chord: "6×8", chordPlies: 1, counters: "none" })).toMatch(
      /The rods stand beside the diagonals and need chords/,
    );
    expect(says({ endPost: "⌀12" })).toMatch(/only verticals, diagonals and counters may be rods/);
  });
});

const SEED = 20261104;
describe(`any truss (seed ${SEED})`, () => {
  it("stands sound, whatever its kind", { timeout: 120_000 }, () => {
    const framed = new Set<string>();
    fc.assert(
      fc.property(randomTruss, (v) => {
        if (trussCheck(v, ctx).length > 0) return;
        framed.add(v.kind);
        expect(faultsOf(trussFrame(v, ctx)).faults).toEqual([]);
      }),
      { seed: SEED, numRuns: 50 },
    );
    expect(framed.size).toBeGreaterThanOrEqual(10);
  });
});
