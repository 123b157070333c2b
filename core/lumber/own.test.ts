import { describe, expect, it } from "vitest";
import "../structures/all";
import { isOfItem, itemOfLot, materialOf, readLot } from "../drawer";
import { designOf, emptyJob, newStructure, readJobFile, writeJobFile } from "../job";
import { scaleOf } from "../units";
import { lookOf, ownId, ownItem, stockItem, stockName } from ".";

describe("stock of one's own", () => {
  it("says in its id all there is to know of it", () => {
    expect(ownId("wood", 4.7, 1.5)).toBe("own/wood/1.5x4.7");
    expect(ownItem("own/wood/1.5x4.7")).toMatchObject({ shape: "strip", thickness: 1.5, width: 4.7, name: "Own wood strip, 1.5 × 4.7 mm" }); // prettier-ignore
    expect(ownItem(ownId("styrene", 2.4, 2.4, true))).toMatchObject({ shape: "round", thickness: 2.4, width: 2.4, name: "Own round styrene, 2.4 mm" }); // prettier-ignore
    expect(stockName(scaleOf("N"), "own/styrene/1x2")).toBe("Own styrene strip, 1 × 2 mm");
    expect([lookOf("own/wood/1x2"), lookOf("own/styrene/1x2")]).toEqual(["timber", "styrene"]);
    expect(stockItem(scaleOf("O"), "own/wood/1x2")?.thickness).toBe(1);
  });
  it.each(["own/tin/1x2", "own/wood/2x1", "own/wood/x2", "own/wood/0x2", "own/wood/1x200", "own/wood/r", "owned/wood/1x2"])("is not %s", (id) => expect(ownItem(id)).toBeUndefined()); // prettier-ignore
  it("refuses a size that is none", () => {
    expect(() => ownId("wood", 0, 2)).toThrow("A stick of 0 mm is not taken; it may be from 0.1 to 100 mm.");
    expect(() => ownId("wood", 1, NaN)).toThrow("is not taken");
  });
  it("is framed like any other: a bent of stirring sticks stands at their size, and its job file reads again", () => {
    const doc = { ...emptyJob("Own"), structures: [newStructure("trestle-bent", "b", "Bent")] };
    const choices = { "12×12": { item: "own/wood/3.6x3.7", plies: 1 as const, along: "thickness" as const } };
    const own = { ...doc, stock: { ...doc.stock, choices } };
    const d = designOf(readJobFile(writeJobFile({ doc: own, issues: [], files: {} })).doc);
    const post = d.pieces.find((p) => p.role.includes("post"))!;
    expect([post.stock, ...post.shape.section].sort()).toEqual([3.6, 3.7, "own/wood/3.6x3.7"].sort());
    expect(d.structures[0]!.fault).toBeUndefined();
    const usual = designOf(doc);
    // the bent stands as high as before: what the thicker cap and sill take, the posts give
    const high = (x: typeof d) => Math.max(...x.structures[0]!.resolved.sticks.flatMap((k) => k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => c[2]))))); // prettier-ignore
    expect(high(d)).toBeCloseTo(high(usual), 6);
  });
  it("of the drawer is an item too, and is known again there", () => {
    const lot = readLot({ form: "strip", material: "wood", name: "Stirring stick", thickness: 1.5, width: 4.7, length: 178 }); // prettier-ignore
    const item = itemOfLot(lot)!;
    expect([item.id, materialOf(item), isOfItem(lot, item)]).toEqual(["own/wood/1.5x4.7", "wood", true]);
    expect(isOfItem({ ...lot, material: "styrene" }, item)).toBe(false);
    expect(itemOfLot({ ...lot, form: "sheet" })).toBeUndefined();
    expect(itemOfLot({ ...lot, material: "card" })).toBeUndefined();
  });
});
