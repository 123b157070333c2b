import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { inches, scaleOf } from "../units";
import {
  chooseSheet,
  parseSheetName,
  sheetMatch,
  sheetMatches,
  sheetName,
  ownSheet,
  sheetOf,
  SHEETS,
  TEXTURES,
} from ".";

const HO = scaleOf("HO");
const clapboard = { texture: "clapboard", pitch: inches(6) } as const;

describe("sheets", () => {
  it("have ids and names of their own, a thickness and a size", () => {
    expect(new Set(SHEETS.map((s) => s.id)).size).toBe(SHEETS.length);
    expect(new Set(SHEETS.map((s) => s.name)).size).toBe(SHEETS.length);
    for (const s of SHEETS) {
      expect(s.thickness).toBeGreaterThan(0.1);
      for (const [a, b] of s.sizes) expect(a).toBeLessThanOrEqual(b);
      if (s.texture) expect(s.texture.relief).toBeLessThan(s.thickness);
    }
  });
  it("of styrene come from .005 to .125 in, in mm", () => {
    const own = SHEETS.filter((s) => s.id.startsWith("sheet/styrene/"));
    expect(own[0]!.thickness).toBeCloseTo(0.127, 6);
    expect(own.at(-1)!.thickness).toBeCloseTo(3.175, 6);
    expect(sheetOf("sheet/styrene/40")!.name).toBe("Styrene sheet .040 in");
    expect(sheetOf("sheet/core/6")!.thickness).toBe(6);
    expect(sheetOf("sheet/wood/4")!.name).toBe("Basswood sheet 1/16 in");
  });
  it("has every texture in several pitches", () => {
    for (const t of TEXTURES) expect(SHEETS.filter((s) => s.texture?.id === t.id).length).toBeGreaterThanOrEqual(5);
  });
});

describe("a textured sheet", () => {
  it("for clapboards of 6 in in HO is the .060, which shows 5 1/4 in", () => {
    // 6 in at 3.5 mm to the foot is 1.75 mm; .060 in is 1.524 mm, .080 is 2.032
    const [best, next] = sheetMatches(clapboard, HO);
    expect(best!.item.id).toBe("sheet/clapboard/60");
    expect(best!.error.prototype / 25.4).toBeCloseTo(-0.7749, 3);
    expect(best!.error.percent).toBeCloseTo(-12.9, 1);
    expect(best!.error.model).toBeCloseTo(1.524 - 1.75, 9);
    expect(next!.item.id).toBe("sheet/clapboard/80");
  });
  it.each([
    ["O", "clapboard", 6, "sheet/clapboard/125"],
    ["S", "clapboard", 4, "sheet/clapboard/60"],
    ["N", "clapboard", 6, "sheet/clapboard/40"],
    ["HO", "batten", 10, "sheet/batten/125"],
    ["HO", "block", 8, "sheet/block/92"],
    ["O", "brick", 2.75, "sheet/brick/57"],
  ] as const)("in %s for %s of %f in is %s", (scale, texture, pitch, id) => {
    expect(sheetMatches({ texture, pitch: inches(pitch) }, scaleOf(scale))[0]!.item.id).toBe(id);
  });
  it("is the one picked by hand, by its name", () => {
    expect(sheetName(clapboard)).toBe("clapboard 6");
    const picked = { "clapboard 6": { item: "sheet/clapboard/80" } };
    expect(chooseSheet(clapboard, picked, HO).item.id).toBe("sheet/clapboard/80");
    expect(chooseSheet({ ...clapboard, pitch: inches(5) }, picked, HO).item.id).toBe("sheet/clapboard/60");
  });
  it("that there is not, or of another texture, is refused", () => {
    expect(() => chooseSheet(clapboard, { "clapboard 6": { item: "sheet/clapboard/61" } }, HO)).toThrow(/in no series/);
    expect(() => sheetMatch(sheetOf("sheet/brick/32")!, clapboard, HO)).toThrow(/has no clapboards on it/);
  });
  it("has a name that is read back", () => {
    fc.assert(
      fc.property(fc.constantFrom(...TEXTURES), fc.integer({ min: 10, max: 4800 }), (t, hundredths) => {
        const wanted = { texture: t.id, pitch: inches(hundredths / 100) };
        const read = parseSheetName(sheetName(wanted))!;
        expect(read.texture).toBe(t.id);
        expect(read.pitch).toBeCloseTo(wanted.pitch, 9);
      }),
    );
    expect(parseSheetName("12×12")).toBeUndefined();
    expect(parseSheetName("velvet 6")).toBeUndefined();
  });
});

describe("a plain sheet of one's own", () => {
  it.each([
    ["card", 9, "own/card-9", "Own card sheet, 9 mm"],
    ["styrene", 0.762, "own/styrene-0.762", "Own styrene sheet, 0.762 mm"],
    ["wood", 1.6, "own/wood-1.6", "Own wood sheet, 1.6 mm"],
  ] as const)("of %s %f mm is %s", (material, mm, value, name) => {
    expect(ownSheet(material, mm)).toBe(value);
    expect(sheetOf(`sheet/${value}`)).toMatchObject({ name, material, thickness: mm });
    expect(sheetOf(`sheet/${value}`)!.texture).toBeUndefined();
  });
  it("is none beyond what there is, or of another name", () => {
    for (const mm of [0, 0.04, 30.5, NaN]) expect(() => ownSheet("card", mm), String(mm)).toThrow(/it may be from 0.05 to 30 mm thick/); // prettier-ignore
    for (const id of ["own/card-0.01", "own/clear-1", "own/card-x", "own/card-31", "own/card"]) expect(sheetOf(`sheet/${id}`), id).toBeUndefined(); // prettier-ignore
  });
});
