import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { scaleOf } from "../units";
import { lookOf, matches, ownShapeId, shapeMatches, shapeOf, SHAPES, stockItem, type ShapeForm } from ".";

const HO = scaleOf("HO");

describe("shapes", () => {
  it("are sold with room between their flanges, the deep way as their width", () => {
    expect(new Set(SHAPES.map((s) => s.id)).size).toBe(SHAPES.length);
    for (const s of SHAPES) {
      expect(s.thickness).toBeLessThanOrEqual(s.width);
      expect(2 * s.profile.flange).toBeLessThan(s.width * 0.55);
      expect(s.profile.web).toBeLessThan(s.thickness);
      expect(stockItem(HO, s.id)).toBe(s);
      expect(lookOf(s.id)).toBe("styrene");
    }
    // an eighth of an inch: 3.175 mm deep, half of it wide
    const eighth = shapeOf("shape/I/125")!;
    expect([eighth.name, eighth.width, eighth.thickness]).toEqual(["Styrene I shape .125 × .063 in, .016 thick", expect.closeTo(3.175, 9), expect.closeTo(1.6002, 9)]); // prettier-ignore
  });
  it.each<[ShapeForm, number, number, number, number, RegExp]>([
    ["I", 2, 3, 0.4, 0.4, /flanges reach 3 mm and the shape is 2 mm deep: give the longer side as its depth/],
    ["I", 4, 2, 0.4, 2, /leave nothing open: take a strip/],
    ["channel", 4, 2, 2, 0.5, /leave nothing open/],
    ["angle", 4, 2, 0.5, 4, /leave nothing open/],
    ["H", 300, 2, 0.5, 0.5, /300 mm × 2 mm is not taken; it may be from 0\.5 mm to 150 mm/],
    ["H", 4, 4, 0, 0.5, /from 0\.1 mm thick; read 0 mm and 0\.5 mm/],
    ["H", NaN, 4, 0.4, 0.5, /is not taken/],
  ])("%s of %f × %f, %f and %f is refused", (form, d, r, web, flange, words) => {
    expect(() => ownShapeId("wood", form, d, r, web, flange)).toThrow(words);
  });
  it("of one's own are read back from their ids, and what is none is none", () => {
    fc.assert(
      fc.property(fc.constantFrom<ShapeForm>("I", "H", "channel", "angle"), fc.integer({ min: 50, max: 15000 }), fc.integer({ min: 1, max: 99 }), fc.integer({ min: 1, max: 99 }), fc.integer({ min: 1, max: 49 }), (form, d, r, w, f) => {
        const depth = d / 100;
        const reach = Math.round(depth * r) / 100;
        const [web, flange] = [Math.round(reach * w) / 100, Math.round(depth * f) / 100];
        let id: string;
        try {
          id = ownShapeId("wood", form, depth, reach, web, flange);
        } catch {
          return;
        }
        const s = shapeOf(id)!;
        expect([s.width, s.thickness, s.profile.web, s.profile.flange, s.profile.form]).toEqual([depth, reach, web, flange, form]); // prettier-ignore
        expect(lookOf(id)).toBe("timber");
      }),
    ); // prettier-ignore
    for (const id of ["shape/I/126", "shape/own/wood/I/2x3/0.4/0.4", "shape/own/brass/I/4x2/0.4/0.4", "own/wood/1x2", ""]) expect(shapeOf(id)).toBeUndefined(); // prettier-ignore
  });
  it("are proposed by their outsides, and never taken for a timber unasked", () => {
    const wanted = { thickness: 1.6, width: 3.2 } as never;
    expect(shapeMatches(wanted, [], HO)[0]!.item.id).toBe("shape/I/125");
    const own = shapeOf(ownShapeId("wood", "I", 3.2, 1.6, 0.4, 0.4))!;
    expect(shapeMatches(wanted, [own], HO)[0]!.item).toBe(own);
    expect(shapeMatches({ thickness: 2, width: 2, round: true } as never, [], HO)).toEqual([]);
    expect(matches(wanted, ["shape", "scale", "styrene"], HO).some((m) => m.item.profile)).toBe(false);
  });
});
