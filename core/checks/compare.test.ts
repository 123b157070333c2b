import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { volumeOf } from "../geometry";
import { designVariant, readJobFile } from "../job";
import { compareVariants } from ".";

const { doc } = readJobFile(readFileSync("examples/howe-truss.json", "utf8"));

describe("variants in figures", () => {
  it("count what each one's own design has, and weigh its wood", async () => {
    const both = await compareVariants(doc, "bridge");
    expect(both.map((c) => c.variant)).toEqual(doc.structures[0]!.variants.map((v) => v.id));
    for (const c of both) {
      const s = doc.structures[0]!;
      const d = designVariant(
        doc,
        s,
        s.variants.find((v) => v.id === c.variant)!,
      );
      expect(c.pieces).toBe(d.structures[0]!.resolved.sticks.length);
      expect(c.marks).toBe(d.pieces.length);
      // 0.42 g/cm³ of wood, from memory
      const mm3 = d.structures[0]!.resolved.sticks.flatMap((k) => k.parts).reduce((t, p) => t + volumeOf(p), 0);
      expect(c.weight).toBeCloseTo((mm3 / 1000) * 0.42, 9);
      expect(c.sticks).toBeGreaterThan(10);
      expect(c.price).toBeUndefined();
      expect(c.faults).toBe(0);
    }
  });
  it("add up prices where they are given, and say why a variant cannot be framed", async () => {
    const priced = structuredClone(doc);
    const item = "scale/8x12";
    priced.stock.sticks[item] = [{ length: 355.6, count: null, price: 2.5 }];
    const bad = priced.structures[0]!.variants[1]!;
    bad.params = { ...bad.params, apart: 2000 };
    const [first, second] = await compareVariants(priced, "bridge");
    expect(first!.price! % 2.5).toBeCloseTo(0, 9);
    expect(first!.price).toBeGreaterThan(0);
    expect(second).toMatchObject({
      marks: 0,
      fault: expect.stringMatching(/^Between the trusses are .* Set the trusses .* apart\./),
    });
  });
});
