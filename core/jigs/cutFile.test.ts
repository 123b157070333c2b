import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import "../structures/all";
import type { Entity } from "../drawing";
import { polygonArea, type Vec2 } from "../geometry";
import { designOf, emptyJob, newStructure } from "../job";
import { feet, inches } from "../units";
import { cutFileAs, cutFileName, cutFiles, cutFileSize, type CutFile } from "./cutFile";

const window = { wall: "front", kind: "window", at: feet(8), width: feet(3), height: feet(5), sill: feet(2.5), mount: "layers", lap: inches(4), style: "hung", across: 2, up: 2, shutters: "none" }; // prettier-ignore
const house = (values: Readonly<Record<string, unknown>> = {}) => designOf({ ...emptyJob("Cut"), structures: [newStructure("sheet", "s", "House", values)] }); // prettier-ignore
const rings = (f: CutFile, layer: string): (readonly Vec2[])[] =>
  (f.drawing.layers.find((l) => l.name === layer)?.entities ?? []).flatMap((e: Entity) =>
    e.kind === "path" && e.closed ? [e.points] : [],
  );
const bounds = (r: readonly Vec2[]) => [0, 1].map((k) => Math.max(...r.map((p) => p[k]!)) - Math.min(...r.map((p) => p[k]!))); // prettier-ignore
const file = (all: readonly CutFile[], stock: string): CutFile => all.find((f) => f.stock === stock)!;

describe("files for a cutter", () => {
  it("have every part as often as it is wanted, one closed contour round each and one in each hole", () => {
    const d = house({ openings: [window] });
    const all = cutFiles(d, 0);
    const panels = d.pieces.filter((p) => p.shape.kind === "panel");
    expect(all.map((f) => f.stock).sort()).toEqual([...new Set(panels.map((p) => p.stock))].sort());
    for (const f of all) {
      const n = panels.filter((p) => p.stock === f.stock).reduce((s, p) => s + p.sticks.length, 0);
      expect(f.parts).toBe(n);
      expect(rings(f, "cut-outlines"), f.name).toHaveLength(n);
      expect(f.lost).toEqual([]);
    }
    // four cores, of which the front has the window: one hole
    expect(rings(file(all, "sheet/styrene/60"), "cut-holes")).toHaveLength(1);
    // two sashes: an upper one of six holes (four panes and the light below), a lower one of the same
    const sashes = file(all, "sheet/styrene/10");
    expect(sashes.parts).toBe(2);
    expect(rings(sashes, "cut-holes")).toHaveLength(10);
  });
  it("go round by half the kerf: outlines grow by it and holes shrink by it, to a thousandth", () => {
    const [bare, led] = [cutFiles(house({ openings: [window] }), 0), cutFiles(house({ openings: [window] }), 0.2)];
    for (const f of bare) {
      const other = file(led, f.stock);
      for (const [layer, by] of [
        ["cut-outlines", 0.2],
        ["cut-holes", -0.2],
      ] as const)
        // prettier-ignore
        rings(f, layer).forEach((r, i) => {
          const [a, b] = [bounds(r), bounds(rings(other, layer)[i]!)];
          // across a gable's slopes it grows by more, for its tip stays sharp
          const grew = [b[0]! - a[0]!, b[1]! - a[1]!].sort((x, y) => x - y);
          expect(by > 0 ? grew[0] : grew[1], `${f.name} ${layer} ${i}`).toBeCloseTo(by, 3);
        });
    }
    // what is left when the kerf is gone is the part: the front's core less its window
    const core = file(led, "sheet/styrene/60");
    const area = (layer: string): number => rings(core, layer).reduce((s, r) => s + Math.abs(polygonArea(r)), 0);
    const flat = file(bare, "sheet/styrene/60");
    const real = (layer: string): number => rings(flat, layer).reduce((s, r) => s + Math.abs(polygonArea(r)), 0);
    expect(area("cut-outlines")).toBeGreaterThan(real("cut-outlines"));
    expect(area("cut-holes")).toBeLessThan(real("cut-holes"));
  });
  it("keep parts clear of each other and on the sheet's width, holes in the parts they belong to", () => {
    for (const f of cutFiles(house({ openings: [window], cornerTrim: inches(6) }), 0.15)) {
      const boxes = rings(f, "cut-outlines").map((r) => [Math.min(...r.map((p) => p[0])), Math.min(...r.map((p) => p[1])), Math.max(...r.map((p) => p[0])), Math.max(...r.map((p) => p[1]))] as const); // prettier-ignore
      boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => expect(a[2] < b[0] + 1e-6 || b[2] < a[0] + 1e-6 || a[3] < b[1] + 1e-6 || b[3] < a[1] + 1e-6, f.name).toBe(true))); // prettier-ignore
      for (const h of rings(f, "cut-holes")) expect(boxes.some((b) => h.every((p) => p[0] > b[0] && p[0] < b[2] && p[1] > b[1] && p[1] < b[3])), f.name).toBe(true); // prettier-ignore
      const { length } = f.drawing.layers;
      expect(f.drawing.layers.findIndex((l) => l.name === "cut-outlines")).toBe(length - 1);
    }
  });
  it("carry each part's mark on it, clear of its holes", () => {
    const core = file(cutFiles(house({ openings: [window] }), 0.1), "sheet/styrene/60");
    const marks = core.drawing.layers.find((l) => l.name === "marks")!.entities.flatMap((e) => (e.kind === "text" ? [e] : [])); // prettier-ignore
    expect(marks).toHaveLength(4);
    const boxes = rings(core, "cut-outlines").map((r) => [0, 1].map((k) => [Math.min(...r.map((p) => p[k]!)), Math.max(...r.map((p) => p[k]!))] as const)); // prettier-ignore
    const on = marks.map((m) => boxes.filter(([x, y]) => m.at[0] > x![0] && m.at[0] < x![1] && m.at[1] > y![0] && m.at[1] < y![1]).length); // prettier-ignore
    expect(on).toEqual([1, 1, 1, 1]);
    const [hole] = rings(core, "cut-holes");
    const [x0, x1, y0, y1] = [0, 1].flatMap((k) => [Math.min(...hole!.map((p) => p[k]!)), Math.max(...hole!.map((p) => p[k]!))]) as [number, number, number, number]; // prettier-ignore
    for (const m of marks) expect(m.at[0] > x0 && m.at[0] < x1 && m.at[1] + m.size > y0 && m.at[1] < y1).toBe(false);
  });
  it("are several where one sheet does not carry all, each part on one of them", () => {
    const long = cutFiles(house({ length: feet(60), width: feet(40), wallHeight: feet(20) }), 0.2).filter((f) => f.stock === "sheet/clapboard/60"); // prettier-ignore
    expect(long.length).toBeGreaterThan(1);
    expect(long.map((f) => cutFileName(f))).toEqual(long.map((_, i) => `cut-clapboard-60-${i + 1}`));
    expect(long.reduce((s, f) => s + f.parts, 0)).toBe(4);
    expect(long[0]!.name).toMatch(/, sheet 1 of \d$/);
  });
  it("tell what a kerf leaves nothing of, and refuse one below 0", () => {
    const tight = cutFiles(house({ openings: [{ ...window, across: 6 }] }), 1.5);
    expect(file(tight, "sheet/styrene/10").lost.length).toBeGreaterThan(0);
    expect(() => cutFiles(house(), -0.1)).toThrow("A kerf of -0.1 mm is below 0; give what the cutter takes away.");
  });
  it("have lines to engrave where the sheet is printed, and none on plain sheet", () => {
    const all = cutFiles(house({ cover: "strips" }), 0.1);
    const names = (stock: string): string[] => file(all, stock).drawing.layers.map((l) => l.name);
    expect(names("sheet/styrene/10")).toContain("engrave");
    expect(names("sheet/styrene/60")).not.toContain("engrave");
    // what is sold with its clapboards has them already
    expect(names("sheet/clapboard/60")).not.toContain("engrave");
    expect(cutFileName(file(all, "sheet/styrene/10"))).toBe("cut-styrene-10");
    expect(cutFileSize(file(all, "sheet/styrene/60"))).toMatch(/^\d+\.\d × \d+\.\d mm$/);
  });
  const clients = existsSync("/usr/bin/rsvg-convert") && existsSync("/usr/lib/python3/dist-packages/ezdxf");
  it.skipIf(!clients)(
    "are read by ezdxf as closed polylines on their layers, without a fault, and by librsvg at their size",
    () => {
      const f = file(cutFiles(house({ openings: [window] }), 0.2), "sheet/styrene/60");
      const dir = mkdtempSync(join(tmpdir(), "cardo-cut-"));
      writeFileSync(join(dir, "a.dxf"), cutFileAs(f, "dxf"));
      writeFileSync(join(dir, "a.svg"), cutFileAs(f, "svg"));
      const script = `import ezdxf,sys
d=ezdxf.readfile(sys.argv[1]); a=d.audit(); m=d.modelspace()
print(len(a.errors), d.units, sum(1 for e in m.query('LWPOLYLINE[layer=="cut-outlines"]') if e.closed), sum(1 for e in m.query('LWPOLYLINE[layer=="cut-holes"]') if e.closed), sum(1 for e in m.query('LWPOLYLINE') if not e.closed))`;
      expect(execFileSync("/usr/bin/python3", ["-c", script, join(dir, "a.dxf")], { encoding: "utf8" }).trim()).toBe("0 4 4 1 0"); // prettier-ignore
      execFileSync("rsvg-convert", ["--dpi-x", "254", "--dpi-y", "254", "-o", join(dir, "a.png"), join(dir, "a.svg")]);
      expect(cutFileAs(f, "svg")).toMatch(/width="[\d.]+mm"/);
    },
  );
});
