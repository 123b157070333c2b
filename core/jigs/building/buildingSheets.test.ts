import { describe, expect, it } from "vitest";
import { curvedSnowshed, framedToolHouse, oreBin } from "../../../scripts/buildingJobs";
import type { Drawing, Entity } from "../../drawing";
import { clipPolygon, polygonArea, type Vec2 } from "../../geometry";
import { cutRows, designOf, emptyJob, newStructure, readJobText, theoreticalOf } from "../../job";
import { feet } from "../../units";
import { jigSheets } from "..";
import { unfoldedEnd } from "./wrapRound";

const design = designOf(framedToolHouse());
const sheets = jigSheets(design, "2026-11-25");
const named = (words: RegExp): Drawing => sheets.find((s) => words.test(s.words.title))!.drawing;
const paths = (d: Drawing, layer: string): Vec2[][] =>
  d.layers
    .find((l) => l.name === layer)!
    .entities.filter((e): e is Extract<Entity, { kind: "path" }> => e.kind === "path" && e.closed)
    .map((e) => [...e.points]);

describe("the kit of one wall", () => {
  // nothing but the sheet and the list: outlines on the template, marks and lengths in the cut list
  const sheet = named(/Front wall, outside/);
  const drawn = paths(sheet, "members");
  const size = (p: readonly Vec2[]): readonly [number, number] => {
    const [xs, ys] = [p.map((q) => q[0]), p.map((q) => q[1])];
    return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  };
  it("has a stick in the cut list for every outline, as long and as wide as it is drawn", () => {
    const own = new Set(
      design.structures[0]!.resolved.sticks.filter(
        (k) => /^house\/front\//.test(k.id) && !/board|batten/.test(k.member.role),
      ).map((k) => k.id),
    );
    const listed = cutRows(design)
      .map((r, i) => ({ r, n: design.pieces[i]!.sticks.filter((s) => own.has(s)).length }))
      .flatMap(({ r, n }) =>
        Array.from({ length: n }, () => ({ long: r.overall_mm, sides: r.section_mm.split(" × ").map(Number) })),
      )
      .sort((a, b) => a.long - b.long);
    const outlines = drawn
      .map((p) => [...size(p)].sort((a, b) => b - a) as [number, number])
      .sort((a, b) => a[0] - b[0]);
    expect(outlines).toHaveLength(listed.length);
    outlines.forEach(([long, wide], i) => {
      expect(Math.abs(long - listed[i]!.long)).toBeLessThan(0.01);
      // a section side of the list: sticks of the same length may stand in any order
      const alike = listed.filter((x) => Math.abs(x.long - long) < 0.01);
      expect(
        alike.some((x) => x.sides.some((s) => Math.abs(s - wide) < 0.006)),
        `${long} × ${wide}`,
      ).toBe(true);
    });
  });
  it("fits as it is drawn: no stick lies on another, every upright's end meets one", () => {
    const ccw = (p: readonly Vec2[]): Vec2[] => (polygonArea(p) < 0 ? [...p].reverse() : [...p]);
    const all = drawn.map(ccw);
    // two headers lie behind each other, and a turned stud behind nothing
    let stacked = 0;
    all.forEach((a, i) =>
      all.slice(i + 1).forEach((b) => {
        const shared = Math.abs(polygonArea(clipPolygon(a, b)));
        if (shared > 1e-3) {
          expect(size(a)).toEqual(size(b).map((x) => expect.closeTo(x, 6) as number));
          stacked++;
        }
      }),
    );
    expect(stacked).toBe(2);
    for (const p of all) {
      const [w, h] = size(p);
      if (h < w) continue;
      const [xs, ys] = [p.map((q) => q[0]), p.map((q) => q[1])];
      const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
      for (const y of [Math.min(...ys) - 0.005, Math.max(...ys) + 0.005]) {
        const probe: Vec2[] = [
          [middle - 0.1, y - 0.003],
          [middle + 0.1, y - 0.003],
          [middle + 0.1, y + 0.003],
          [middle - 0.1, y + 0.003],
        ];
        expect(all.some((q) => q !== p && Math.abs(polygonArea(clipPolygon(probe, q))) > 1e-4)).toBe(true);
      }
    }
  });
});

describe("sheets of a building", () => {
  it("are one for each wall and slope, rafters, spacers, gauges, patterns and the mock-up", () => {
    const titles = sheets.map((s) => s.words.title.replace("Tool house: ", ""));
    for (const words of [
      "Front wall, outside face up",
      "Left end, outside face up",
      "Floor, joists",
      "Front slope, rafters",
      "rafters in profile",
      "true shapes of the roof",
      "spacer blocks",
      "gauge strips and squares",
      "wrap-round patterns",
      "card mock-up",
    ])
      expect(titles).toContain(words);
  });
  it("the card's walls fold round the building: as long as its outline, as high as the slopes over its walls", () => {
    const card = paths(named(/card mock-up/), "card");
    const xs = card.flatMap((p) => p.map((q) => q[0]));
    const wide = Math.max(...xs) - Math.min(...xs);
    // 12 × 16 ft in HO: 2 × (42 + 56), and a tab of 6 mm
    expect(wide).toBeCloseTo(196 + 6, 6);
  });
  it("spacer blocks are the clear gaps: studs 16 in apart, 2 in thick", () => {
    const blocks = paths(named(/spacer blocks/), "spacer-blocks");
    const gaps = blocks.map((p) => Math.max(...p.map((q) => q[0])));
    expect(gaps.some((g) => Math.abs(g - (14 / 12) * 3.5) < 0.01)).toBe(true);
  });
  it("the rafters' theoretical lengths stand in the cut list beside the shortened ones", () => {
    // 6 ft of run at 6 in 12: 13.42 in to the foot
    const theory = theoreticalOf(design);
    const inch = 3.5 / 12;
    expect(theory.get("house/main/roof/S/common1")! / inch / 6).toBeCloseTo(13.416, 2);
    const row = cutRows(design).find((r) => r.piece === "common rafter")!;
    expect(row.theoretical_mm).toBeCloseTo(13.416 * 6 * inch, 2);
  });
  it("the profile is of a pair of rafters from eave to eave, also where valleys take most of one slope", () => {
    // a wing as wide as half the house, flush with its left end: of the front slope only the rafters to its right are whole
    const wing = { kind: "gable", side: "front", at: 0, length: feet(16), depth: feet(12) };
    const house = { length: feet(30), width: feet(20), roof: "gable", rise: 8, overhang: feet(1), gableOverhang: feet(1), openings: [], wings: [wing] }; // prettier-ignore
    const job = { ...emptyJob("House"), structures: [newStructure("building", "s", "House", house)] };
    // as a file, where what is left out is as usual
    const d = designOf(readJobText(JSON.stringify(job)).doc);
    const sheet = jigSheets(d, "2026-11-25").find((x) => /rafters in profile/.test(x.words.title))!;
    const members = paths(sheet.drawing, "members").flat();
    const across = Math.max(...members.map((p) => p[0])) - Math.min(...members.map((p) => p[0]));
    // 20 ft of house with a foot of overhang at both sides
    expect(across).toBeCloseTo(22 * 3.5, 1);
  });
  it("ore bin and snowshed have theirs", () => {
    expect(
      jigSheets(designOf(oreBin()), "2026-11-25")
        .map((s) => s.words.title)
        .join(),
    ).toMatch(/Bents of the stand, 4 alike/);
    expect(
      jigSheets(designOf(curvedSnowshed()), "2026-11-25")
        .map((s) => s.words.title)
        .join(),
    ).toMatch(/Frames, 8 alike.*Plan of the posts.*left wall/);
  });
});

describe("a pattern to wrap round a jack's cheek cut", () => {
  it("rises by the stick's width along the slope from one side to the other, and closes", () => {
    const jack = design.structures[0]!.resolved.byMember.get("house/main/roof/S/jack-W1")![0]!;
    const flat = unfoldedEnd(jack, "end1")!;
    const [first, last] = [flat.line[0]!, flat.line[flat.line.length - 1]!];
    expect(first[1]).toBeCloseTo(last[1], 9);
    // at 45° in plan the cheek runs on by the width of the stick, level; along the rafter by √(1 + k²) of it
    const across = flat.line.filter((p) => p[0] <= flat.folds[0]! + 1e-9);
    expect(Math.abs(across[across.length - 1]![1] - across[0]![1])).toBeCloseTo(jack.size[1] * Math.hypot(1, 0.5), 6);
    expect(flat.folds[3]).toBeCloseTo(2 * (jack.size[0] + jack.size[1]), 9);
  });
});
