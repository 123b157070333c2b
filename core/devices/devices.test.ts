import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { outline, toDxf, toSvg, type Entity } from "../drawing";
import type { Vec2 } from "../geometry";
import { cutFileAs, cutFiles } from "../jigs/cutFile";
import { designOf, readJobFile } from "../job";
import { makeJig, platesFile, usualValues, WORKSHOP, workshopKind } from "../workshop";
import { leftByCut, simulatedCutter, USUAL_BED } from ".";

const box = (x: number, y: number, w: number, h: number): Vec2[] => [[x, y], [x + w, y], [x + w, y + h], [x, y + h]]; // prettier-ignore
const file = (
  holes: readonly (readonly Vec2[])[],
  outers: readonly (readonly Vec2[])[],
  open: readonly (readonly Vec2[])[] = [],
): string => {
  const of = (r: readonly Vec2[]): Entity => outline(r, "outline");
  return toDxf({ layers: [{ name: "cut-holes", entities: holes.map(of) }, { name: "cut-outlines", entities: [...outers.map(of), ...open.map((points): Entity => ({ kind: "path", points, closed: false, line: "outline" }) as Entity)] }] }); // prettier-ignore
};
const take = (text: string, material = "styrene") => simulatedCutter().take(text, material);

describe("the cutter that is none", () => {
  it("takes a part with a hole, and goes round both in its time", async () => {
    const r = await take(file([box(10, 10, 20, 10)], [box(0, 0, 40, 30)]));
    expect(r.faults).toEqual([]);
    expect(r.size.map((x) => Number(x.toFixed(6)))).toEqual([40, 30]);
    expect(r.steps.map((s) => s.does)).toEqual(["move", "cut", "move", "cut"]);
    // 60 and 140 mm at 8 mm/s, and the ways between
    const cutting = r.steps.filter((s) => s.does === "cut").reduce((t, s) => t + s.to - s.from, 0);
    expect(cutting).toBeCloseTo(200 / 8, 6);
    expect(r.seconds).toBeGreaterThan(25);
    r.steps.forEach((s, i) => expect(s.from).toBeCloseTo(r.steps[i - 1]?.to ?? 0, 9));
  });
  it.each([
    ["an open contour", file([], [box(0, 0, 10, 10)], [[[20, 0], [30, 0], [30, 10]]]), "1 contour is open: what is round them does not come free."], // prettier-ignore
    [
      "a hole that comes last",
      file([box(0, 0, 40, 30)], [box(10, 10, 20, 10)]),
      "1 inner contour is cut after what is round it: the part may have shifted by then.",
    ],
    ["a line cut twice", file([], [box(0, 0, 10, 10), box(10, 0, 10, 10)]), "1 line is cut twice, and burn."],
    ["parts in one another", file([], [box(0, 0, 10, 10), box(5, 5, 10, 10)]), "1 contour overlaps another."],
    [
      "a part larger than the bed",
      file([], [box(0, 0, 401, 20)]),
      "It takes 401.0 × 20.0 mm; the bed has 400 × 300 mm.",
    ],
    ["nothing to cut", toDxf({ layers: [{ name: "engrave", entities: [outline(box(0, 0, 5, 5), "thin")] }] }), "Nothing in it is cut: no line is on a layer whose name begins with “cut”."], // prettier-ignore
  ])("finds %s", async (_, text, said) => expect((await take(text)).faults).toEqual([said]));
  it.each(["PVC 1 mm", "clear vinyl", "leatherette", "chlorinated rubber"])("refuses %s", async (material) => {
    await expect(take(file([], [box(0, 0, 10, 10)]), material)).rejects.toThrow(/holds chlorine and is not cut/);
  });
  it("refuses what is no file, in a sentence", async () => {
    await expect(take("no file at all")).rejects.toThrow(/\.$/);
    await expect(take('<svg xmlns="http://www.w3.org/2000/svg" width="10mm" height="10mm" viewBox="0 0 10 10"></svg>')).rejects.toThrow(/\.$/); // prettier-ignore
  });
  it("takes every jig, as SVG and as DXF, and every sheet of the demo's buildings of sheet", async () => {
    for (const k of WORKSHOP)
      for (const as of ["svg", "dxf"] as const) {
        const r = await simulatedCutter({ ...USUAL_BED, wide: 1200, high: 600 }).take(
          platesFile(makeJig(k, usualValues(k)), 0.15, as, k.name),
          "card",
        );
        expect(r.faults, `${k.id} ${as}`).toEqual([]);
      }
    for (const name of ["agents-cottage", "silos"])
      for (const f of cutFiles(designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc), 0.15)) {
        const r = await simulatedCutter({ ...USUAL_BED, wide: 700, high: 700 }).take(cutFileAs(f, "dxf"), f.name);
        expect(r.faults, f.name).toEqual([]);
      }
  });
  it("leaves slots that take the sheet with the fit that was asked, whatever the kerf", async () => {
    const k = workshopKind("cradle")!;
    const m = makeJig(k, { ...usualValues(k), plate: 3, fit: 0.1 });
    for (const kerf of [0, 0.08, 0.2]) {
      const r = await simulatedCutter({ ...USUAL_BED, wide: 900 }).take(
        platesFile(m, kerf, "dxf", "Cradle"),
        "plywood",
      );
      const { holes, outer } = leftByCut(r, kerf);
      // four slots for tabs 10 × 3 mm
      expect(holes).toHaveLength(4);
      for (const h of holes) {
        const side = (i: 0 | 1): number => Math.max(...h.map((p) => p[i])) - Math.min(...h.map((p) => p[i]));
        expect(
          [side(0), side(1)].map((x) => x.toFixed(3)),
          String(kerf),
        ).toEqual(["10.100", "3.100"]);
      }
      expect(outer).toHaveLength(3);
    }
  });
  it("reads SVG at its true size", async () => {
    const r = await take(toSvg({ layers: [{ name: "cut-outlines", entities: [outline(box(0, 0, 40, 30), "outline")] }] }, { title: "x", margin: 2 })); // prettier-ignore
    expect(r.size.map((x) => x.toFixed(3))).toEqual(["40.000", "30.000"]);
  });
});
