import { describe, expect, it } from "vitest";
import "../../structures/all";
import { designOf, emptyJob, newStructure } from "../../job";
import { tubeOf } from "../../lumber";
import { feet } from "../../units";
import { topCurve, tubeSheets } from "./tubeSheets";

const sheetsOf = (values: object) => {
  const d = designOf({ ...emptyJob("Tubes"), structures: [newStructure("tubes", "s", "Silos", { pipe: "own", ownDiameter: 70, ownWall: 2, ...values })] }); // prettier-ignore
  expect(d.structures[0]!.fault).toBeUndefined();
  return tubeSheets(d.structures[0]!, d.pieces);
};
describe("sheets of tubes", () => {
  it("a wrap laid flat is π times the diameter of its middle long, with hoops at their heights", () => {
    const wrap = sheetsOf({ tubes: 1, wrap: "styrene/20", hoops: 3, hoopMargin: feet(4) }).find((x) => x.what === "wrap laid flat")!; // prettier-ignore
    const [body] = wrap.drawing.layers.find((x) => x.name === "members")!.entities;
    const xs = body?.kind === "path" ? body.points.map((p) => p[0]!) : [];
    expect(Math.max(...xs)).toBeCloseTo(Math.PI * 70.508, 6);
    const said = wrap.drawing.layers.flatMap((x) => x.entities).flatMap((e) => (e.kind === "text" ? [e.text] : []));
    // 14 mm and half of a 3 in strip to the first; the middle one at half of 210
    expect(said).toContain("hoop 2: 105.00 mm");
    expect(said.join(" ")).toMatch(/Styrene sheet \.020 in: 221\.51 mm once round a tube of 70\.00 mm/);
  });
  it("the pattern of a slanting top, wrapped round the tube, lies in the plane of the cut", () => {
    const k = 0.5;
    for (const [x, y] of topCurve({ tube: tubeOf("tube/own/70x2")!, k })) {
      // from the left side by the front: x along −cos, y along −sin
      const t = x / 35;
      const front = 35 * Math.sin(t);
      expect(y).toBeCloseTo(k * (35 - front), 6);
    }
    const curve = topCurve({ tube: tubeOf("tube/own/70x2")!, k });
    expect(curve.at(-1)![0]).toBeCloseTo(Math.PI * 70, 6);
    expect(curve.at(-1)![1]).toBeCloseTo(curve[0]![1], 6);
    expect(sheetsOf({ tubes: 1, fall: 6 }).map((x) => x.what)).toContain("pattern for the tops");
  });
  it("panels, deck and headhouse have templates of their own", () => {
    const what = sheetsOf({ infill: "both", headhouse: "gable", houseOpenings: [] }).map((x) => x.what);
    expect(what).toContain("Deck over the tubes");
    expect(what.filter((w) => /^Panels between/.test(w)).length).toBeGreaterThan(0);
    expect(what.some((w) => /^Headhouse, front wall, face/.test(w))).toBe(true);
  });
});
