import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bearings, connectedGroups, interferences, pieceShape, resolve } from "../../frame";
import { volumeOf } from "../../geometry";
import { chooseSheet, chooseStock, parseNominal, type SeriesId } from "../../lumber";
import { feet, inches, printFeetInches, scaleOf } from "../../units";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf, withValue } from "../spec";
import type { Context } from "../kind";
import { bentSpec, type BentValues } from "./parameters";
import { randomBent } from "./randomBent.fixture";
import { trestleBent } from ".";
import { rebuild } from "../../frame/rebuild.fixture";

export const contextOf = (scaleId = "HO", series: readonly SeriesId[] = ["scale"]): Context => {
  const scale = scaleOf(scaleId);
  return {
    structure: "b",
    scale,
    stock: (n) => chooseStock(parseNominal(n)!, n, { milling: "full-sawn", series, choices: {} }, scale),
    sheet: (w) => chooseSheet(w, {}, scale),
  };
};
const bent = (over: Partial<BentValues>): BentValues => ({ ...defaultsOf(bentSpec), ...over });
const cut = (v: BentValues, ctx = contextOf()) => {
  expect(trestleBent.check(v)).toEqual([]);
  const r = resolve(trestleBent.frame(v, ctx));
  return { r, of: (path: string) => pieceShape(r.byMember.get(`b/bent/${path}`)![0]!) };
};

describe("framed bent", () => {
  // the worked post of the check values (formula): HO, 19 ft clear, 3.5 mm square stock, 3 in 12
  const worked = bent({
    height: feet(21),
    posts: 2,
    stories: 1,
    cap: "12×12",
    batters: [3, 0, 0],
    spacings: [feet(6), 0, 0],
    sway: false,
  });
  it("cuts the worked post: edge 68.547, tip to tip 69.422 mm, both ends 14.036° and parallel", () => {
    const p = cut(worked).of("post/R1");
    expect(p.longPoint).toBeCloseTo(68.547, 3);
    expect(p.shortPoint).toBeCloseTo(68.547, 3);
    expect(p.overall).toBeCloseTo(69.422, 3);
    expect(p.ends.map((e) => Math.abs(e[0]!.mitre))).toEqual([expect.closeTo(14.036, 3), expect.closeTo(14.036, 3)]);
    expect(p.ends[0][0]!.mitre).toBeCloseTo(p.ends[1][0]!.mitre, 9);
  });
  it("keeps levels and post lines when it is made of 1/8 in stock, and lets the lengths give", () => {
    const { r, of } = cut(worked, contextOf("HO", ["inch"]));
    // by hand: 73.5 mm high as before; clear 73.5 − 2 × 3.175 = 67.15; edge 67.15 × 1.03078 = 69.217
    expect(of("post/R1").longPoint).toBeCloseTo(67.15 / Math.cos(Math.atan(0.25)), 6);
    const z = r.sticks.flatMap((s) => s.parts[0]!.faces.flatMap((f) => f.corners.map((c) => c[2])));
    expect([Math.max(...z), Math.min(...z)]).toEqual([expect.closeTo(0, 9), expect.closeTo(-73.5, 9)]);
    const foot = r.byMember.get("b/bent/post/R1")![0]!.axes;
    // the work line still passes 3 ft (10.5 mm) from the middle at the underside of a full 12 in cap
    expect(foot.origin[1] + (foot.u[1] / foot.u[2]) * (-3.5 - foot.origin[2])).toBeCloseTo(10.5, 9);
    expect(of("cap").overall).toBeCloseTo(49, 9);
  });
  it("cuts a plumb bent as a hand calculation does", () => {
    const { of, r } = cut(
      bent({
        height: feet(20),
        posts: 4,
        batters: [0, 0, 0],
        spacings: [feet(4), feet(4), 0],
        cap: "12×12",
        stories: 2,
        storyHeights: [feet(10), 0, 0].map((x) => x || feet(15)),
        capSet: "overhang",
        sway: false,
      }),
    );
    // by hand, in HO: story line 35 mm down, sills 3.5 mm; upper posts 35 − 3.5 − 1.75 = 29.75, lower 70 − 35 − 1.75 − 3.5 = 29.75
    for (const n of ["L2", "L1", "R1", "R2"]) {
      expect(of(`story1/post/${n}`).overall).toBeCloseTo(29.75, 9);
      expect(of(`story2/post/${n}`).overall).toBeCloseTo(29.75, 9);
      expect(of(`story2/post/${n}`).ends.every((e) => e[0]!.mitre === 0 && e[0]!.bevel === 0)).toBe(true);
    }
    // outer posts 6 ft out, half a post and a foot of overhang: 2 × (21 + 1.75 + 3.5)
    expect(of("cap").overall).toBeCloseTo(52.5, 9);
    expect(of("level1/sill").overall).toBeCloseTo(2 * (21 + 1.75 + 2.625), 9);
    expect(r.sticks).toHaveLength(3 + 8);
  });
  it("laps each sway brace on every post of its story, on both faces", () => {
    const f = trestleBent.frame(bent({}), contextOf());
    expect(f.joints.filter((j) => j.kind === "lap").map((j) => j.a)).toHaveLength(2 * 2 * 4);
    const sash = trestleBent.frame(bent({ between: "sash" }), contextOf());
    expect(sash.members.filter((m) => m.role.endsWith("post"))).toHaveLength(4);
    expect(sash.members.filter((m) => m.role === "sash brace")).toHaveLength(2);
  });

  it("frames posts thicker than cap and sills, which bear on what there is, and says how much that is", () => {
    const v = bent({ post: "14×14" });
    expect(trestleBent.check(v)).toEqual([]);
    expect(faultsOf(trestleBent.frame(v, fullSawn())).faults).toEqual([]);
    const said = trestleBent.remarks(v).filter((r) => /thicker/.test(r.text));
    expect(said.map((r) => r.param)).toEqual(["cap", "sill", "middleSill"]);
    expect(said[0]!.text).toMatch(/bear on 1′-0″ of their 1′-2″/);
    expect(trestleBent.remarks({ ...v, cap: said[0]!.fix!.value }).filter((r) => r.param === "cap")).toEqual([]);
  });
  it("refuses values that cannot go together, in sentences, and says what is unusual", () => {
    expect(trestleBent.check(bent({ batters: [1, 5, 0] }))[0]).toMatch(
      /^Posts L2 and L1 would cross at the sill: their centres are .* apart and the posts need .*\. Widen/,
    );
    expect(trestleBent.check(bent({ spacings: [feet(1.01), feet(0.5), 0].map((x) => x || feet(3)) }))[0]).toMatch(
      /would cross under the cap/,
    );
    expect(trestleBent.check(bent({ capLength: feet(8) }))[0]).toMatch(
      /^The outer posts reach .* past the ends of the cap\. Make the cap at least/,
    );
    expect(trestleBent.check(bent({ cap: "huge", post: "14×14" }))).toHaveLength(1);
    expect(trestleBent.check(bent({ storyHeights: [feet(19), feet(15), feet(15)] }))[0]).toMatch(/Story 2 is only/);
    expect(trestleBent.check(bent({ cap: "huge" }))[0]).toMatch(/is “huge”, which is no nominal size/);
    expect(trestleBent.remarks(bent({ batters: [3.5, 0.5, 0] }))[0]!.text).toBe(
      "Batter of the outer posts is 3.5 in 12; usual is 0 in 12 to 3 in 12.",
    );
  });
  it("has a dimension for every length in play, its handle the inverse of it", () => {
    for (const v of [
      bent({}),
      bent({ capSet: "overhang", sillSet: "length", stories: 3, height: feet(50), posts: 5 }),
    ]) {
      const ctx = contextOf();
      for (const d of trestleBent.dimensions(v, ctx))
        for (const h of d.handles) {
          const step = 0.001;
          const moved = withValue(v, h.param, d.value + h.gain * step * ctx.scale.ratio);
          const same = trestleBent.dimensions(moved, ctx).find((x) => x.id === d.id)!;
          const i = d.handles.indexOf(h);
          const along = (same.handles[i]!.at[0] - h.at[0]) * h.axis[0] + (same.handles[i]!.at[1] - h.at[1]) * h.axis[1];
          expect(along, `${d.id}, ${printFeetInches(d.value)}`).toBeCloseTo(step, 6);
        }
    }
  });

  const SEED = 20260501;
  it(`stands sound over random bents in range (seed ${SEED})`, () => {
    fc.assert(
      fc.property(randomBent, fc.constantFrom("N", "HO", "S", "O", "G"), (v, scale) => {
        fc.pre(trestleBent.check(v).length === 0);
        const { r } = cut(v, contextOf(scale));
        expect(interferences(r)).toEqual([]);
        expect(bearings(r).filter((b) => !b.ok)).toEqual([]);
        expect(connectedGroups(r)).toHaveLength(1);
        for (const s of r.sticks) {
          const again = rebuild(pieceShape(s)).reduce((t, p) => t + volumeOf(p), 0);
          const own = s.parts.reduce((t, p) => t + volumeOf(p), 0);
          expect(Math.abs(again - own)).toBeLessThan(1e-6 * own);
        }
      }),
      { seed: SEED, numRuns: 100 },
    );
  });
  it("is sound at inches that no stick has, too", () =>
    expect(cut(bent({ height: feet(21) + inches(0.37) } as Partial<BentValues>)).r.sticks).toHaveLength(15));
});
