import { describe, expect, it } from "vitest";
import { sectionHouses } from "../../scripts/buildingJobs";
import { boundsOfDrawing, type Drawing, type Entity } from "../drawing";
import { designOf, type JobDoc } from "../job";
import { jigDxf, jigSheets, jigSvg } from ".";

const titles = (doc: JobDoc): string[] => jigSheets(designOf(doc), "2026-11-27").map((s) => s.words.title);
const sheet = jigSheets(designOf(sectionHouses()), "2026-11-27")[0]!;
const entities = (d: Drawing, layer: string): readonly Entity[] => d.layers.find((l) => l.name === layer)?.entities ?? []; // prettier-ignore
const length = (e: Entity): number =>
  e.kind === "path" ? Math.hypot(e.points[1]![0] - e.points[0]![0], e.points[1]![1] - e.points[0]![1]) : 0;

describe("the sheet of the spot", () => {
  it("comes first where structures have a place, and not at all where none has", () => {
    expect(sheet.words.title).toBe("Plan of the spot");
    const doc = sectionHouses();
    const none = { ...doc, structures: doc.structures.map((s) => ({ ...s, place: undefined })) };
    expect(titles(none)).toEqual(titles(doc).slice(1));
    expect(titles(none)).not.toContain("Plan of the spot");
  });
  it("is the spot at full size, 330 by 170 mm, with all that stands on it inside", () => {
    const { min, max } = boundsOfDrawing({ layers: sheet.drawing.layers.filter((l) => l.name === "spot") });
    expect([max[0] - min[0], max[1] - min[1]]).toEqual([330, 170]);
    for (const layer of ["outlines", "walls", "names"])
      for (const e of entities(sheet.drawing, layer))
        for (const p of e.kind === "path" ? e.points : e.kind === "text" ? [e.at] : [])
          expect(Math.abs(p[0]) < 165 && Math.abs(p[1]) < 85, `${layer} ${p.join()}`).toBe(true);
  });
  it("has every wall, less its openings: the tool house by hand", () => {
    const doc = sectionHouses();
    const tools = doc.structures.find((s) => s.id === "tools")!;
    const d = designOf({ ...doc, structures: [tools] });
    const walls = entities(jigSheets(d, "2026-11-27")[0]!.drawing, "walls");
    const drawn = walls.reduce((n, e) => n + length(e), 0);
    type Opening = { width: number; mount: string; lap: number };
    const v = tools.variants[0]!.params as { length: number; width: number; fit: number; openings: Opening[] };
    // round it once in HO, less what is left open: a casting's flange lies on the wall
    const model = (mm: number): number => (mm / 304.8) * 3.5;
    const open = v.openings.reduce((n, o) => n + model(o.width - (o.mount === "flange" ? 2 * o.lap : 0)) + 2 * v.fit, 0); // prettier-ignore
    expect(drawn).toBeCloseTo(model(2 * (v.length + v.width)) - open, 2);
    expect(walls).toHaveLength(4 + v.openings.length);
  });
  it("names each structure, and says what is clear between two, in the units of the job", () => {
    const words = (layer: string): string[] => entities(sheet.drawing, layer).flatMap((e) => (e.kind === "text" ? [e.text] : [])); // prettier-ignore
    expect(words("names")).toEqual(["Section house", "Tool house", "Coal shed"]);
    const clear = words("clear");
    expect(clear.length).toBeGreaterThan(0);
    for (const [i, line] of entities(sheet.drawing, "clear")
      .filter((e) => e.kind === "path")
      .entries())
      expect(clear[i]).toBe(`${length(line).toFixed(1)} mm`);
    const inches = { ...sectionHouses(), brief: { ...sectionHouses().brief, units: { prototype: "ft-in", model: "in" } } } as JobDoc; // prettier-ignore
    const sheets = jigSheets(designOf(inches), "2026-11-27");
    expect(entities(sheets[0]!.drawing, "clear").some((e) => e.kind === "text" && / in$/.test(e.text))).toBe(true);
  });
  it("is written as SVG and DXF like any other", () => {
    expect(jigSvg(sheet)).toContain("Coal shed");
    expect(jigDxf(sheet)).toContain("LWPOLYLINE");
  });
});
