import { describe, expect, it } from "vitest";
import "../structures/all";
import { boundsOfDrawing, type Drawing, type Entity } from "../drawing";
import { polygonArea, type Vec2 } from "../geometry";
import { designOf, emptyJob, newStructure } from "../job";
import { feet, inches } from "../units";
import { partSheets } from "./partSheets";

const window = (at: number, over: object = {}) => ({ wall: "front", kind: "window", at: feet(at), width: feet(3), height: feet(5), sill: feet(2.5), mount: "layers", lap: inches(4), style: "hung", across: 2, up: 2, shutters: "none", ...over }); // prettier-ignore
const drawings = (openings: readonly object[]) => {
  const job = { ...emptyJob("Parts"), structures: [newStructure("sheet", "s", "House", { openings })] };
  const d = designOf(job);
  const s = d.structures[0]!;
  expect(s.fault).toBeUndefined();
  return { d, all: partSheets(s, d.pieces, (k) => k.member.assembly.startsWith("s/opening")) };
};
const rings = (d: Drawing): (readonly Vec2[])[] => d.layers.find((l) => l.name === "members")!.entities.flatMap((e: Entity) => (e.kind === "path" ? [e.points as readonly Vec2[]] : [])); // prettier-ignore
const words = (d: Drawing): string[] => d.layers.find((l) => l.name === "piece-marks")!.entities.flatMap((e) => (e.kind === "text" ? [e.text] : [])); // prettier-ignore

describe("sheets of parts", () => {
  it("are one for every sheet that parts come from, each part once with how many there are", () => {
    const { all } = drawings([window(6), window(12), window(18, { across: 3 })]);
    expect(all.map((x) => x.what)).toEqual([
      "parts of styrene sheet .020 in",
      "parts of styrene sheet .010 in",
      "parts of clear sheet .010 in",
      "parts of styrene sheet .015 in",
      "parts of styrene sheet .040 in",
    ]);
    const sashes = words(all[1]!.drawing).filter((t) => /^[UL]S/.test(t));
    expect(sashes.sort()).toEqual(["LS1", "LS2", "US1", "US2"]);
    expect(words(all[1]!.drawing).filter((t) => /×$/.test(t))).toEqual(["2 ×", "2 ×"]);
    expect(words(all[0]!.drawing).filter((t) => /^WF|×$/.test(t))).toEqual(["WF1", "3 ×"]);
  });
  it("have closed contours of the parts' true size: what is drawn is what the frame has, by its volumes", () => {
    const { d, all } = drawings([window(6), { ...window(18), kind: "door", sill: 0, style: "split", height: feet(7) }]);
    for (const { drawing, what } of all) {
      const area = rings(drawing).reduce((s, r) => s + polygonArea(r), 0);
      const on = new Set(words(drawing).map((t) => t.split(",")[0]!));
      const wanted = d.pieces
        .filter((p) => on.has(p.mark))
        .reduce((s, p) => {
          const k = d.structures[0]!.resolved.sticks.find((x) => x.id === p.sticks[0])!;
          const body = k.member.body;
          if (body.shape !== "panel") throw new Error("no panel");
          // of doors the hole runs out of the outline: what it takes is less by 1 mm of its foot
          const holes = body.holes.reduce((h, x) => h + Math.abs(polygonArea(x.outline.map((q): Vec2 => [q[0], Math.max(q[1], Math.min(...body.outline.map((o) => o[1])))]))), 0); // prettier-ignore
          return s + polygonArea(body.outline) - holes;
        }, 0);
      expect(area, what).toBeCloseTo(wanted, 3);
    }
  });
  it("fill rows no wider than a page, and parts do not lie on each other", () => {
    const { all } = drawings([4, 9, 14, 19].map((at, i) => window(at, { width: feet(2) + i * inches(2), across: 1 + i }))); // prettier-ignore
    for (const { drawing } of all) {
      const { min, max } = boundsOfDrawing(drawing);
      expect(max[0] - min[0]).toBeLessThan(185);
      const outer = rings(drawing).filter((r) => polygonArea(r) > 0).map((r) => [Math.min(...r.map((p) => p[0])), Math.max(...r.map((p) => p[0])), Math.min(...r.map((p) => p[1])), Math.max(...r.map((p) => p[1]))] as const); // prettier-ignore
      outer.forEach((a, i) => outer.slice(i + 1).forEach((b) => expect(a[1] <= b[0] || b[1] <= a[0] || a[3] <= b[2] || b[3] <= a[2]).toBe(true))); // prettier-ignore
    }
  });
});
