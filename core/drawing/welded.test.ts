import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, describe, expect, it } from "vitest";
import "../structures/all";
import { bodiesOf, gluedUpWith, type Resolved, type ResolvedFrame } from "../frame";
import { cross, dot, sub, volumeOf, type Vec3 } from "../geometry";
import { designOf, emptyJob, newStructure } from "../job";
import { feet } from "../units";
import { loadWelder, weldedStl, type Welder } from "./welded";

const volume = (t: readonly (readonly [Vec3, Vec3, Vec3])[]): number => t.reduce((v, [a, b, c]) => v + dot(a, cross(b, c)) / 6, 0); // prettier-ignore
const woodIn = (sticks: readonly Resolved[]): number => sticks.reduce((v, s) => v + s.parts.reduce((n, p) => n + volumeOf(p), 0), 0); // prettier-ignore
const frameOf = (kind: string, values: Readonly<Record<string, unknown>>): ResolvedFrame => designOf({ ...emptyJob("J"), structures: [newStructure(kind, "s", "S", values)] }).structures[0]!.resolved; // prettier-ignore
/** A box from a corner to the opposite one. */
const box = (a: Vec3, b: Vec3) => [0, 1, 2, 3, 4, 5, 6, 7].map((n) => [n & 1 ? b[0] : a[0], n & 2 ? b[1] : a[1], n & 4 ? b[2] : a[2]] as Vec3); // prettier-ignore

let welder: Welder;
beforeAll(async () => void (welder = await loadWelder()));

describe("bodies welded", () => {
  it("are one where they share a part of a face, with the face gone: an L of two boxes", () => {
    const one = welder.weld([box([0, 0, 0], [3, 1, 1]), box([0, 1, 0], [1, 3, 1])]);
    expect(one.pieces).toBe(1);
    expect(volume(one.triangles)).toBeCloseTo(3 + 2, 9);
    // two L faces of 5 each, and a rim 12 long and 1 high: nothing of the square millimetre between them is left
    const area = one.triangles.reduce((s, [a, b, c]) => s + Math.hypot(...cross(sub(b, a), sub(c, a))) / 2, 0); // prettier-ignore
    expect(area).toBeCloseTo(2 * 5 + 12, 9);
  });
  it("are two where a hair lies between them", () => {
    expect(welder.weld([box([0, 0, 0], [1, 1, 1]), box([1.01, 0, 0], [2, 1, 1])]).pieces).toBe(2);
  });
});

describe("what is glued up", () => {
  const chimneys = [{ at: feet(8), in: feet(8), width: feet(2), depth: feet(2), high: feet(5), corbels: 2 }];
  const house = frameOf("sheet", { chimneys });
  const names = (sticks: readonly Resolved[]): string[] => sticks.map((s) => s.id.replace("s/chimney1/", "")).sort();
  it("of a chimney are its four sides, its corbels and its cap, and not the flashing on the roof", () => {
    for (const from of ["front", "corbel2", "cap"])
      expect(names(gluedUpWith(house, `s/chimney1/${from}`))).toEqual(["back", "cap", "corbel1", "corbel2", "front", "left", "right"]); // prettier-ignore
    expect(names(gluedUpWith(house, "s/chimney1/flashing-front"))).toEqual(["flashing-front"]);
  });
  it("is one solid of just its pieces' volume, a hollow shaft mitred at its corners, where it stands", () => {
    const sticks = gluedUpWith(house, "s/chimney1/left");
    const one = welder.weld(bodiesOf(sticks));
    expect(one.pieces).toBe(1);
    expect(volume(one.triangles)).toBeCloseTo(woodIn(sticks), 2);
    const highest = Math.max(...one.triangles.flat().map((p) => p[2]));
    expect(highest).toBeCloseTo(Math.max(...house.byMember.get("s/chimney1/cap")![0]!.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => c[2])))), 4); // prettier-ignore
  });
  it("of a bent is all of it: caps, posts, braces", () => {
    const bent = frameOf("trestle-bent", {});
    const sticks = gluedUpWith(bent, bent.sticks[0]!.id);
    expect(sticks.length).toBe(bent.sticks.length);
    expect(sticks[0]).toBe(bent.sticks[0]);
    const one = welder.weld(bodiesOf(sticks));
    expect(one.pieces).toBe(1);
    expect(volume(one.triangles) / woodIn(sticks)).toBeCloseTo(1, 4);
  });
  it.runIf(existsSync("/usr/bin/admesh"))("is closed, and one part, for admesh", () => {
    const file = join(mkdtempSync(join(tmpdir(), "welded-")), "x.stl");
    const bytes = weldedStl(welder, bodiesOf(gluedUpWith(house, "s/chimney1/left")), "chimney1");
    writeFileSync(file, bytes as Uint8Array);
    const said = execFileSync("/usr/bin/admesh", [file], { encoding: "utf8" });
    expect(said).toMatch(/Total disconnected facets\s*:\s*0\s+0/);
    expect(said).toMatch(/Number of parts\s*:\s*1\s/);
    for (const what of ["Degenerate facets", "Edges fixed", "Facets reversed", "Backwards edges"]) expect(said, what).toMatch(new RegExp(`${what}\\s*:\\s*0`)); // prettier-ignore
  });
  it("in how many bodies it falls is told where it is not one", () => {
    const apart = [gluedUpWith(house, "s/chimney1/left"), gluedUpWith(house, "s/chimney1/flashing-front")].flat();
    expect(weldedStl(welder, bodiesOf(apart), "x")).toBe(2);
  });
});
