import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { prism, type Solid, type Vec3 } from "../geometry";
import { designOf, emptyJob, newStructure, readJobFile, type StructureDesign } from "../job";
import { assemblyOf, countOf, isFree, JOININGS, usualJoining, type Assembly, type Body, type Path } from ".";
import { replay } from "./replay.fixture";

const block = (x: number, y: number, z: number, w: number, d: number, h: number): Solid => prism([[x, y, z], [x + w, y, z], [x + w, y + d, z], [x, y + d, z]], [0, 0, h], ["a", "b", "c", "d"]); // prettier-ignore
const body = (id: string, ...solids: Solid[]): Body => {
  const of = (s: Solid) => ({ solid: s, min: low(s), max: high(s) });
  const all = solids.map(of);
  const least = (i: number) => Math.min(...all.map((p) => p.min[i]!));
  const most = (i: number) => Math.max(...all.map((p) => p.max[i]!));
  return { id, sticks: [], parts: all, min: [least(0), least(1), least(2)], max: [most(0), most(1), most(2)] };
};
const corners = (s: Solid): readonly Vec3[] => s.faces.flatMap((f) => f.corners);
const low = (s: Solid): Vec3 => [0, 1, 2].map((i) => Math.min(...corners(s).map((c) => c[i]!))) as unknown as Vec3;
const high = (s: Solid): Vec3 => [0, 1, 2].map((i) => Math.max(...corners(s).map((c) => c[i]!))) as unknown as Vec3;
const go = (x: number, y: number, z: number): Path => ({ along: [x, y, z] });
const of = (name: string, n = 0): StructureDesign => designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc).structures[n]!; // prettier-ignore
const index = (a: Assembly, title: RegExp): number => {
  const i = a.steps.findIndex((s) => title.test(s.title));
  if (i < 0) throw new Error(`no step ${title}`);
  return i;
};

describe("a way out", () => {
  const post = body("post", block(0, 0, 0, 2, 2, 20));
  it("is not through what stands there, and along what touches it", () => {
    const beam = body("beam", block(2, 0, 5, 30, 2, 2));
    expect(isFree(beam, post, go(1, 0, 0))).toBe(true);
    expect(isFree(beam, post, go(-1, 0, 0))).toBe(false);
    for (const way of [go(0, 1, 0), go(0, -1, 0), go(0, 0, 1)]) expect(isFree(beam, post, way)).toBe(true);
  });
  it("of a peg in its hole is along the peg alone", () => {
    const ring = body("plate", block(-5, -5, 0, 10, 4, 2), block(-5, 1, 0, 10, 4, 2), block(-5, -1, 0, 4, 2, 2), block(1, -1, 0, 4, 2, 2)); // prettier-ignore
    const peg = body("peg", block(-1, -1, -5, 2, 2, 12));
    expect([go(0, 0, 1), go(0, 0, -1)].map((w) => isFree(peg, ring, w))).toEqual([true, true]);
    for (const w of [go(1, 0, 0), go(-1, 0, 0), go(0, 1, 0), go(0, 0.1, 1)]) expect(isFree(peg, ring, w)).toBe(false);
  });
  it("between two walls is up, and not aslant; far ahead counts as well", () => {
    const walls = body("walls", block(-12, 0, 0, 2, 20, 20), block(10, 0, 0, 2, 20, 20));
    const between = body("between", block(-10, 5, 0, 20, 2, 2));
    expect(isFree(between, walls, go(0, 0, 1))).toBe(true);
    expect(isFree(between, walls, go(0.3, 0, 1))).toBe(false);
    expect(isFree(between, body("far", block(0, 500, 0, 2, 2, 2)), go(0, 1, 0))).toBe(false);
    expect(isFree(between, body("over", block(0, 500, 3, 2, 2, 2)), go(0, 1, 0))).toBe(true);
  });
  it("can begin beside its place: a brace behind a post under a cap", () => {
    const cap = body("cap", block(-5, -1, 20, 20, 3, 2));
    const brace = body("brace", block(-3, 2, 15, 8, 1, 8));
    // straight up it meets nothing of the cap, which ends at 2; with a cap as wide as the brace stands out it does
    const wide = body("wide", block(-5, -1, 20.5, 20, 6, 2), block(-5, -1, 23.1, 20, 6, 1));
    expect(isFree(brace, cap, go(0, 0, 1))).toBe(true);
    expect(isFree(body("brace", block(-3, 2, 10, 8, 1, 8)), wide, go(0, 0, 1))).toBe(false);
    const beside: Path = { along: [0, 0, 1], first: { along: [0, 1, 0], by: 4 } };
    expect(isFree(body("brace", block(-3, 2, 10, 8, 1, 8)), wide, beside)).toBe(true);
    expect(isFree(body("brace", block(-3, 2, 10, 8, 1, 8)), wide, { ...beside, first: { along: [0, 1, 0], by: 2 } })).toBe(false); // prettier-ignore
    // and the first leg may not go through anything either
    expect(isFree(brace, body("near", block(-3, 4, 15, 8, 1, 8)), beside)).toBe(false);
  });
});

describe("the order of a bent", () => {
  const bent = of("gulch-trestle");
  const a = assemblyOf(bent);
  it("is what runs through, what butts on it, the braces on the face, then turned over those on the other", () => {
    expect(a.noWay).toEqual([]);
    expect(a.steps.map((s) => s.title)).toEqual([
      "Bent: 1 cap",
      "Bent: 1 intermediate sill",
      "Bent: 1 sill",
      "Bent: 8 batter posts",
      "Bent: 2 sway braces",
      "Bent: 2 sway braces, turned over",
      "Place: Bent",
    ]);
    expect(a.steps.map((s) => s.place)).toEqual([...Array(6).fill("board"), "join"]);
    // the three that run through may be laid in any order; the posts want all of them
    const id = (t: string) => a.steps.find((s) => s.title === t)!.id;
    expect(a.steps[3]!.after).toEqual(expect.arrayContaining([id("Bent: 1 sill")]));
    expect(a.steps[5]!.way).toBe("once it is lifted and turned over");
    expect(a.steps[5]!.view.eye).toEqual(a.steps[4]!.view.eye.map((x) => -x));
    expect(a.steps[6]!.after).toContain(id("Bent: 2 sway braces, turned over"));
    expect(new Set(a.steps.map((s) => s.id)).size).toBe(a.steps.length);
  });
  it("tells what is there, how it is joined, and the template's diagonal", () => {
    expect(a.steps[4]!.there).toHaveLength(11);
    expect(a.steps.every((s) => s.joining === "white" || s.place === "join")).toBe(true);
    const [w, h, diagonal] = [...a.steps[0]!.checks[0]!.matchAll(/([\d.]+)(?= mm)/g)].map((m) => Number(m[1]));
    expect(diagonal).toBeCloseTo(Math.hypot(w!, h!), 0);
  });
});

describe("the order of a house", () => {
  const a = assemblyOf(of("depot"));
  it("is foundation, floor, walls, ceiling, rafters, boards", () => {
    const order = [/^Place: Foundation/, /^Place: Floor/, /^Place: Back wall/, /ceiling joists/, /^Place: Front slope, rafters/, /roof boards/].map((t) => index(a, t)); // prettier-ignore
    expect(order).toEqual([...order].sort((x, y) => x - y));
    expect(a.noWay).toEqual([]);
  });
  it("has a wall's frame before its boards, and the wall whole before it is placed", () => {
    const order = [/^Front wall: \d+ sole plates?/, /^Front wall: \d+ studs/, /^Front wall: \d+ clapboards/, /^Place: Front wall/].map((t) => index(a, t)); // prettier-ignore
    expect(order).toEqual([...order].sort((x, y) => x - y));
    const place = a.steps[order[3]!]!;
    expect(new Set(place.after.map((x) => a.steps.find((s) => s.id === x)!.unit))).toContain("Front wall");
  });
  it("of the other hand is the same order mirrored: as many steps of as many sticks", () => {
    const shape = (mirror: boolean) =>
      assemblyOf(designOf({ ...emptyJob("House"), structures: [{ ...newStructure("building", "s", "House"), mirror } as never] }).structures[0]!).steps.map((s) => s.sticks.length).sort(); // prettier-ignore
    expect(shape(true)).toEqual(shape(false));
  });
});

describe("every demo job", () => {
  it.each([
    "gulch-trestle",
    "howe-truss",
    "tool-house-framed",
    "ore-bin",
    "snowshed",
    "company-store",
    "silos",
    "agents-cottage",
    "summit-curve-trestle",
  ])("%s goes together as it is told, every piece on its path past what is there", (name) => {
    // prettier-ignore
    for (const s of designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc).structures) {
      const a = assemblyOf(s);
      expect(a.noWay).toEqual([]);
      expect(replay(s.resolved, a), s.structure.name).toEqual([]);
    }
  });
  it("does not when two steps change places, a path is another, or a step is left out: the replay sees it", () => {
    const s = of("tool-house-framed");
    const a = assemblyOf(s);
    const boards = index(a, /^Front wall: 20 boards/);
    const swapped = a.steps.map((st, i) => (i === boards - 3 ? a.steps[boards]! : i === boards ? a.steps[boards - 3]! : st)); // prettier-ignore
    expect(replay(s.resolved, { ...a, steps: swapped }).length).toBeGreaterThan(0);
    const wall = index(a, /^Place: Front wall/);
    const through = a.steps.map((st, i) => (i === wall ? { ...st, moves: st.moves.map((m) => ({ ...m, path: { along: [0, 1, 0] as Vec3 } })) } : st)); // prettier-ignore
    expect(replay(s.resolved, { ...a, steps: through }).join()).toMatch(/Place: Front wall: .* meets .* mm from its place/); // prettier-ignore
    expect(replay(s.resolved, { ...a, steps: a.steps.filter((_, i) => i !== wall) }).join()).toMatch(/is never placed/);
  });
  it("is built upside down as well where it is asked for: the deck first", () => {
    const s = of("summit-curve-trestle");
    const a = assemblyOf(s, "down");
    expect(replay(s.resolved, a)).toEqual([]);
    expect(index(a, /^Place: Deck/)).toBeLessThan(index(a, /^Place: Bent/));
  });
});

describe("what joins", () => {
  it("is white glue for wood, cement for styrene, nothing that fogs for what is clear", () => {
    expect(usualJoining(["scale/12x12", "inch/8x8"])).toBe("white");
    expect(usualJoining(["styrene/40x80"])).toBe("solvent");
    expect(usualJoining(["styrene/40x80", "scale/12x12"])).toBe("ca-thick");
    expect(usualJoining(["sheet/clear/10", "sheet/styrene/20"])).toBe("contact");
    for (const j of JOININGS) expect(j.full === 0 || j.full >= j.handle, j.id).toBe(true);
    for (const id of ["white", "solvent", "ca-thick", "contact", "dry"]) expect(JOININGS.some((j) => j.id === id)).toBe(true); // prettier-ignore
  });
  it("is counted in words", () => {
    expect([countOf(1, "cap"), countOf(2, "sway brace"), countOf(3, "sash"), countOf(4, "girt"), countOf(12, "blocking"), countOf(2, "top plate")]).toEqual(["1 cap", "2 sway braces", "3 sashes", "4 girts", "12 blocking", "2 top plates"]); // prettier-ignore
  });
});
