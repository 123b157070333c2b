import { describe, expect, it } from "vitest";
import "../structures/all";
import { onPiece } from "../frame";
import type { Vec3 } from "../geometry";
import { designOf, emptyJob, newStructure, type FastenerDoc } from "../job";
import { demo } from "../buildOrder/built.fixture";
import { fastenerFaults, goesOnBothWays, holeDrawing, holesOf, meetings, pairName, pieceHoles } from ".";

const bent = designOf(demo("gulch-trestle"));
const s = bent.structures[0]!;
const pin = (joint: string, more: Partial<FastenerDoc> = {}): FastenerDoc => ({ id: "f1", structure: s.structure.id, joint, kind: "pin", diameter: 0.8, length: 4, count: 1, ...more }); // prettier-ignore
const brace = pairName("sway brace", "batter post");
// HO: an inch is 25.4 ÷ 87.0857 = 0.29167 mm
const HO = (inch: number): number => (inch * 25.4) / (3048 / 35);

describe("holes", () => {
  it("are where two roles meet: each sway brace on each post that it crosses, and in nothing else", () => {
    const all = meetings(s);
    expect(all.map((m) => m.joint)).toContain(brace);
    const crossings = all.find((m) => m.joint === brace)!.count;
    expect(holesOf(s, pin(brace))).toHaveLength(crossings);
    expect(holesOf(s, pin(brace, { count: 2 }))).toHaveLength(2 * crossings);
    expect(holesOf(s, pin("rafter>sill"))).toEqual([]);
  });
  it("go through what lies there: the brace's thickness, and the post's, by hand", () => {
    for (const h of holesOf(s, pin(brace))) {
      // braces of 3×8 on posts of 12×12
      const [post, sway] = h.a.member.role === "batter post" ? [h.deep[0], h.deep[1]] : [h.deep[1], h.deep[0]];
      expect(sway).toBeCloseTo(HO(h.a.member.role === "sway brace" ? h.a.member.nominal[0] : h.b.member.nominal[0]), 3);
      expect(post).toBeCloseTo(HO(12), 3);
    }
  });
  it("are at the same place in space from either part", () => {
    const holes = holesOf(s, pin(brace, { count: 2 }));
    for (const h of holes)
      for (const k of [h.a, h.b]) {
        // within the wood's face, by the piece's own corners
        const p = onPiece(k).point(h.at);
        const [v, w] = [Math.max(...k.size) / 2, Math.min(...k.size) / 2];
        expect(Math.abs(p[1])).toBeLessThan(v);
        expect(Math.min(Math.abs(Math.abs(p[1]) - v), Math.abs(Math.abs(p[2]) - w))).toBeLessThan(1e-6);
      }
    // two holes at a crossing are as far apart on the one as on the other
    const flat = pieceHoles(s, pin(brace, { count: 2 }));
    for (let i = 0; i < flat.length; i += 4) {
      const apart = (a: (typeof flat)[number], b: (typeof flat)[number]): number => Math.hypot(a.along - b.along, a.across - b.across); // prettier-ignore
      expect(apart(flat[i]!, flat[i + 2]!)).toBeCloseTo(apart(flat[i + 1]!, flat[i + 3]!), 6);
    }
  });
  it("stand on the drilling pattern of each piece once, with both parts", () => {
    const d = holeDrawing(s, pin(brace), bent.pieces)!;
    const words = d.layers
      .find((l) => l.name === "words")!
      .entities.flatMap((e) => (e.kind === "text" ? [e.text] : []));
    expect(words.some((w) => /batter post, (wide face|edge): \d+ × ⌀ 0\.8 mm for a pin$/.test(w))).toBe(true);
    expect(words.some((w) => /sway brace, wide face/.test(w))).toBe(true);
    expect(holeDrawing(s, pin("rafter>sill"), bent.pieces)).toBeUndefined();
  });
});

describe("a fastener that does not do", () => {
  const said = (f: FastenerDoc): string[] => fastenerFaults(s, [f]).map((x) => `${x.level}: ${x.text}`);
  const thick = HO(12) + HO(3);
  it("none where it fits", () => expect(said(pin(brace, { length: 3.9 }))).toEqual([]));
  it("a screw longer than its hole, by how much", () => {
    const long = said(pin(brace, { kind: "screw", length: 6 }))[0]!;
    expect(long).toBe(`fault: A screw 0.8 mm thick and 6.0 mm long goes through ${thick.toFixed(1)} mm of batter post and sway brace and stands out by ${(6 - thick).toFixed(1)} mm: take one of ${thick.toFixed(1)} mm at most.`); // prettier-ignore
  });
  it("a bolt without room for its nut, a magnet that comes through, a pin wider than its face, and roles that meet no more", () => {
    expect(said(pin(brace, { kind: "bolt", length: 4 }))[0]).toMatch(/^fault: A bolt with nut .* has no thread left for its nut: take one of 5\.0 mm at least/); // prettier-ignore
    expect(said(pin(brace, { kind: "magnet", length: 1 }))[0]).toMatch(/^fault: A magnet 1\.0 mm high comes through 0\.9 mm of .* take one of 0\.6 mm at most/); // prettier-ignore
    expect(said(pin(brace, { diameter: 4 })).some((x) => /breaks out of the face between batter post and sway brace, \d\.\d mm wide there: take one of \d\.\d mm at most/.test(x))).toBe(true); // prettier-ignore
    expect(said(pin("rafter>sill"))[0]).toMatch(/^remark: No rafter meets a sill any more/);
    // another structure's are not this one's
    expect(fastenerFaults(s, [pin(brace, { structure: "other", length: 60 })])).toEqual([]);
  });
  it("holes that lie alike half a turn round, by hand", () => {
    const at = (...points: Vec3[]) => points.map((p) => ({ at: p })) as never;
    expect(goesOnBothWays(at([0, 0, 0], [10, 0, 0]))).toBe(true);
    expect(goesOnBothWays(at([0, 0, 0], [10, 0, 0], [3, 0, 0]))).toBe(false);
    expect(goesOnBothWays(at([0, 0, 0], [10, 4, 0], [0, 4, 0], [10, 0, 0]))).toBe(true);
    expect(goesOnBothWays(at([0, 0, 0], [10, 4, 0], [0, 5, 0], [10, 0, 0]))).toBe(false);
  });
  it("is told of a house's sheets too: through a wall's thickness", () => {
    const d = designOf({ ...emptyJob("x"), structures: [newStructure("sheet", "h", "House", {})] });
    const house = d.structures[0]!;
    const [most] = meetings(house);
    const holes = holesOf(house, pin(most!.joint, { structure: "h" }));
    expect(holes.length).toBe(most!.count);
    for (const h of holes) for (const x of h.deep) expect(x).toBeGreaterThan(0.1);
  });
});
