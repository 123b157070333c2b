import { describe, expect, it } from "vitest";
import { designOf, emptyJob, newStructure, type JobDoc } from "../job";
import { feet, inches } from "../units";
import { findings } from "./findings";

const job = (values: Readonly<Record<string, unknown>>, choices: JobDoc["stock"]["choices"] = {}): JobDoc => {
  const doc = emptyJob("Sheet");
  return {
    ...doc,
    stock: { ...doc.stock, choices },
    structures: [
      newStructure("building", "s", "House", {
        siding: "sheet",
        cornerBoards: false,
        gableOverhang: feet(1),
        openings: [],
        ...values,
      }),
    ],
  };
};
const said = (doc: JobDoc, key: RegExp): readonly { level: string; text: string }[] =>
  findings(designOf(doc)).filter((f) => key.test(f.key));

describe("a sheet's pitch", () => {
  it("that is not to be had is told by both pitches, with the way to Stock", () => {
    const [f] = findings(designOf(job({}))).filter((x) => x.key === "stock:clapboard 6");
    expect(f).toMatchObject({
      level: "remark",
      text: "A pitch of 0′-6″ for clapboards is not to be had: Textured sheet, clapboards .060 in shows 0′-5 1/4″, 13 % too narrow.",
      remedy: { do: "stock", nominal: "clapboard 6" },
    });
    expect(f!.sticks).toHaveLength(4);
  });
  it("that is far off is a warning, and the sheet is the one chosen", () => {
    const choices = { "clapboard 6": { item: "sheet/clapboard/100", plies: 1, along: "thickness" } } as const;
    expect(said(job({}, choices), /^stock:clapboard/)).toEqual([
      expect.objectContaining({
        level: "warning",
        text: expect.stringMatching(/clapboards \.100 in shows 0′-8 11\/16″, 45 % too wide\.$/),
      }),
    ]);
  });
  it("that is near enough says nothing", () => {
    expect(said(job({ sheetPitch: inches(5.25) }), /^stock:clapboard/)).toEqual([]);
  });
});
describe("a wall longer than its sheet (mistake 8)", () => {
  it("is told with how many pieces meet on it, and not where one is enough", () => {
    const iron = { sheetTexture: "corrugated", sheetPitch: inches(3) };
    expect(said(job({ ...iron, length: feet(200) }), /:spliced:/).map((f) => f.text)).toEqual([
      "The facing of the wall “front” is longer than its sheet of 305 mm × 610 mm: 3 pieces meet on it. Back each seam with a plate, and let the lines run on over it.",
      "The facing of the wall “back” is longer than its sheet of 305 mm × 610 mm: 3 pieces meet on it. Back each seam with a plate, and let the lines run on over it.",
    ]);
    expect(said(job({ ...iron, length: feet(80) }), /:spliced:/)).toEqual([]);
  });
});
describe("sheets in use", () => {
  it("are those of the walls alone, and their choice is kept by name", () => {
    const d = designOf(job({}));
    expect([...d.sheets.keys()]).toEqual(["clapboard 6"]);
    expect(designOf(job({ siding: "none" })).sheets.size).toBe(0);
    expect(d.pieces.filter((p) => p.stock === "sheet/clapboard/60").map((p) => [p.role, p.sticks.length])).toEqual([
      ["facing", 2],
      ["facing", 2],
    ]);
  });
});
describe("a panel larger than its sheet (mistake 8)", () => {
  const house = (values: Readonly<Record<string, unknown>>): JobDoc => ({ ...emptyJob("Sheet"), structures: [newStructure("sheet", "s", "House", { sheetLong: 3000, ...values })] }); // prettier-ignore
  it("is none where walls are parted to the sheet at hand", () => {
    expect(said(house({ length: feet(200), roof: "none", sheetLong: 300 }), /^large:/)).toEqual([]);
  });
  it("is told with both sizes, those of a role together, and mended says nothing", () => {
    // 200 ft in HO are 700 mm; the face's lines are level and run along its 609.6 mm
    const texts = said(house({ length: feet(200), roof: "none" }), /^large:/).map((f) => f.text);
    expect(texts).toEqual([
      expect.stringMatching(/^FS\d (\(facing\) takes|, FS\d).*700 mm × 32 mm, and Textured sheet, clapboards \.060 in comes in 305 mm × 610 mm, its lines along the longer side: splice it on a line, with a plate behind\.$/), // prettier-ignore
      expect.stringMatching(/^WC\d.*\(core sheet\).*698 mm × 32 mm, and Styrene sheet \.060 in comes in 305 mm × 610 mm: splice it, with a plate behind\.$/), // prettier-ignore
    ]);
    expect(said(house({ length: feet(170), roof: "none" }), /^large:/)).toEqual([]);
  });
  it("with upright lines is judged across them", () => {
    const iron = { face: "corrugated", facePitch: inches(3), core: "none", roof: "none" };
    // 305 mm of sheet across its lines are 87 ft
    expect(said(house({ ...iron, length: feet(85) }), /^large:/)).toEqual([]);
    expect(said(house({ ...iron, length: feet(90) }), /^large:/)).toHaveLength(1);
  });
  it("of a roof is told as well", () => {
    expect(
      said(house({ length: feet(172), core: "none", gableOverhang: feet(3) }), /^large:sheet\/styrene\/40\|roof sheet/),
    ).toHaveLength(1);
  });
});
