import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { volumeOf, type Vec3 } from "../geometry";
import type { Resolved } from "../frame";
import { designOf, emptyJob, newStructure } from "../job";
import { feet, inches } from "../units";
import { stlOf, surfaceOf } from "./stl";

const window = { wall: "front", kind: "window", at: feet(12), width: feet(3), height: feet(5), sill: feet(2.5), mount: "layers", lap: inches(4), style: "hung", across: 3, up: 2, shutters: "none" }; // prettier-ignore
const sticksOf = (kind: string, values: Readonly<Record<string, unknown>>): readonly Resolved[] => designOf({ ...emptyJob("J"), structures: [newStructure(kind, "s", "S", values)] }).structures[0]!.resolved.sticks; // prettier-ignore
const sheet = sticksOf("sheet", { openings: [window, { ...window, wall: "right", at: feet(8), kind: "door", sill: 0, height: feet(7) }] }); // prettier-ignore
const all = [
  ...sheet,
  ...sticksOf("canopy", { fall: 3, lights: 4 }),
  ...sticksOf("tubes", { tubes: 2, infill: "both" }),
];
const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vec3, b: Vec3): Vec3 => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]; // prettier-ignore

describe("STL", () => {
  it("has every piece's volume, by its triangles alone, and every edge twice, once each way", () => {
    let checked = 0;
    for (const s of all) {
      const triangles = surfaceOf(s);
      if (!triangles) continue;
      checked++;
      const volume = triangles.reduce((v, [a, b, c]) => v + dot(a, cross(b, c)) / 6, 0);
      expect(volume, s.id).toBeCloseTo(
        s.parts.reduce((v, p) => v + volumeOf(p), 0),
        3,
      );
      const key = (p: Vec3): string => p.map((x) => Math.round(x * 1e4)).join(",");
      const open = new Map<string, number>();
      for (const t of triangles)
        for (let i = 0; i < 3; i++) {
          const [a, b] = [key(t[i]!), key(t[(i + 1) % 3]!)];
          if (a === b) continue;
          open.set(`${a}>${b}`, (open.get(`${a}>${b}`) ?? 0) + 1);
        }
      for (const [edge, n] of open) expect(open.get(edge.split(">").reverse().join(">")), `${s.id} ${edge}`).toBe(n);
    }
    expect(checked).toBe(all.length);
  });
  it.runIf(existsSync("/usr/bin/admesh"))(
    "is closed for admesh: a sash with its panes, a bevelled board with lamps' holes",
    () => {
      const folder = mkdtempSync(join(tmpdir(), "stl-"));
      for (const id of ["s/opening1/upper-sash", "s/front/face", "s/board"]) {
        const file = join(folder, "x.stl");
        writeFileSync(
          file,
          stlOf(
            all.find((s) => s.id === id)!,
            id,
          )!,
        );
        const said = execFileSync("/usr/bin/admesh", [file], { encoding: "utf8" });
        expect(said, id).toMatch(/Total disconnected facets\s*:\s*0\s+0/);
        expect(said, id).toMatch(/Number of parts\s*:\s*1\s/);
      }
    },
  );
  it("says nothing for what is bent: it is not one closed surface", () => {
    const hoop = sticksOf("tubes", { tubes: 1, hoops: 2 }).find((s) => s.member.role === "hoop")!;
    expect(surfaceOf(hoop)).toBeUndefined();
    expect(stlOf(hoop, "hoop")).toBeUndefined();
  });
});
