import { describe, expect, it } from "vitest";
import "../../structures/all";
import { designOf, emptyJob, newStructure } from "../../job";
import { feet, inches } from "../../units";
import { fitCoupon, ROOMS } from "./fitCoupon";
import { sheetBuildingSheets } from "./sheetBuildingSheets";

describe("the coupon that the fit is found with", () => {
  it("has a plug of 10 mm and a hole for every room, larger by twice the room, none in another", () => {
    const rings = fitCoupon().layers[0]!.entities.flatMap((e) => (e.kind === "path" ? [e.points] : []));
    const span = (r: (typeof rings)[number], k: 0 | 1): readonly [number, number] => [Math.min(...r.map((p) => p[k]!)), Math.max(...r.map((p) => p[k]!))]; // prettier-ignore
    const [strip, ...rest] = rings;
    const plug = rest.pop()!;
    expect(span(plug, 0)[1] - span(plug, 0)[0]).toBeCloseTo(10, 9);
    expect(rest.map((r) => span(r, 0)[1] - span(r, 0)[0])).toEqual(ROOMS.map((m) => expect.closeTo(10 + 2 * m, 9)));
    rest.forEach((r, i) => {
      expect(span(r, 0)[0]).toBeGreaterThan(i === 0 ? span(strip!, 0)[0] : span(rest[i - 1]!, 0)[1]);
      expect(span(r, 1)[1]).toBeLessThan(span(strip!, 1)[1]);
    });
    expect(span(plug, 1)[1]).toBeLessThan(span(strip!, 1)[0]);
  });
  it("is printed where something is pushed in, and not elsewhere", () => {
    const what = (mount: string): readonly string[] => {
      const opening = { wall: "front", kind: "window", at: feet(12), width: feet(3), height: feet(5), sill: feet(2.5), mount, lap: inches(4), style: "fixed", across: 2, up: 2, shutters: "none" }; // prettier-ignore
      const d = designOf({ ...emptyJob("J"), structures: [newStructure("sheet", "s", "S", { openings: [opening] })] });
      return sheetBuildingSheets(d.structures[0]!, d.pieces).map((x) => x.what);
    };
    expect(what("layersIn")).toContain("coupon to find the fit");
    expect(what("layers")).not.toContain("coupon to find the fit");
  });
});
