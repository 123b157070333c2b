import { describe, expect, it } from "vitest";
import "../structures/all";
import { feet } from "../units";
import { designOf, emptyJob, newStructure, sheetSums, sheetTaken } from ".";

const house = (values: Readonly<Record<string, unknown>> = {}) =>
  designOf({
    ...emptyJob("Sheet"),
    structures: [newStructure("sheet", "s", "House", { roof: "none", face: "none", ...values })],
  });

describe("what panels take of their sheets", () => {
  it("is the rectangle each is cut from, and what it keeps", () => {
    // walls of .060 core alone: 84 × 31.5 twice, and 56 − 2 × 1.524 twice between them
    const [sum, ...more] = sheetSums(house().pieces);
    expect(more).toEqual([]);
    expect(sum!.item.id).toBe("sheet/styrene/60");
    expect(sum!.panels).toBe(4);
    expect(sum!.net).toBeCloseTo(2 * 84 * 31.5 + 2 * 52.952 * 31.5, 2);
    expect(sum!.gross).toBeCloseTo(sum!.net, 2);
    expect(sum!.long).toBeCloseTo(84, 9);
    expect(sum!.wide).toBeCloseTo(31.5, 9);
    expect(sum!.atLeast).toBe(1);
  });
  it("keeps less by its openings and its gables, and takes the same", () => {
    const window = {
      wall: "front",
      kind: "window",
      at: feet(8),
      width: feet(3),
      height: feet(5),
      sill: feet(2),
      mount: "built",
      lap: 0,
    };
    const [plain, open] = [house(), house({ openings: [window], fit: 0 })].map((d) => sheetSums(d.pieces)[0]!);
    expect(open!.gross).toBeCloseTo(plain!.gross, 6);
    expect(plain!.net - open!.net).toBeCloseTo(10.5 * 17.5, 2);
    const gable = house({ roof: "gable" }).pieces.find((p) => p.shape.corners.length === 10)!;
    const t = sheetTaken(gable.shape)!;
    expect(t.net).toBeLessThan(t.long * t.wide - 300);
  });
  it("is told by sheet: of face, core and roof", () => {
    const sums = sheetSums(house({ face: "brick", roof: "gable", facePitch: 70 }).pieces);
    expect(sums.map((s) => [s.item.id, s.panels])).toEqual([
      ["sheet/brick/32", 4],
      ["sheet/styrene/60", 4],
      ["sheet/styrene/40", 2],
    ]);
  });
  it("is nothing for sticks, and counts sheets by area", () => {
    const bent = designOf({ ...emptyJob("Bent"), structures: [newStructure("trestle-bent", "s", "Bent")] });
    expect(sheetSums(bent.pieces)).toEqual([]);
    expect(bent.pieces.map((p) => sheetTaken(p.shape))).toEqual(bent.pieces.map(() => undefined));
    // 140 ft of wall in HO: 490 mm × 210 mm twice and more on sheets of 305 × 610
    const [big] = sheetSums(house({ length: feet(140), wallHeight: feet(60), width: feet(100) }).pieces);
    expect(big!.atLeast).toBe(Math.ceil(big!.gross / (304.8 * 609.6)));
    expect(big!.atLeast).toBeGreaterThan(1);
  });
});
