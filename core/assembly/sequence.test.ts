import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { prism, type Solid, type Vec3 } from "../geometry";
import { designOf, emptyJob, newStructure, readJobFile, type StructureDesign } from "../job";
import { assemblyOf, sequence, unitsOf, wayWords, type Body, type Path } from ".";
import { lateness } from "./late";

const block = (x: number, y: number, z: number, w: number, d: number, h: number): Solid => prism([[x, y, z], [x + w, y, z], [x + w, y + d, z], [x, y + d, z]], [0, 0, h], ["a", "b", "c", "d"]); // prettier-ignore
const box = (s: readonly Solid[], pick: (...x: number[]) => number): Vec3 => [0, 1, 2].map((i) => pick(...s.flatMap((x) => x.faces.flatMap((f) => f.corners.map((c) => c[i]!))))) as unknown as Vec3; // prettier-ignore
const body = (id: string, ...solids: Solid[]): Body => ({ id, sticks: [], parts: solids.map((s) => ({ solid: s, min: box([s], Math.min), max: box([s], Math.max) })), min: box(solids, Math.min), max: box(solids, Math.max) }); // prettier-ignore
const ways: readonly Path[] = [[0, 0, 1], [0, 0, -1], [1, 0, 0], [-1, 0, 0], [0, 1, 0], [0, -1, 0]].map((along) => ({ along: along as unknown as Vec3 })); // prettier-ignore
const of = (name: string, n = 0): StructureDesign => designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc).structures[n]!; // prettier-ignore

describe("taking apart", () => {
  const stack = [0, 1, 2, 3].map((i) => body(`b${i}`, block(0, 0, i * 2, 10, 10, 2)));
  it("takes the top of a stack first, so that it is built from the ground, and tells what would stand in the way", () => {
    const up = sequence(stack, () => [ways[0]!], (b) => b.min[2]); // prettier-ignore
    expect(up.order.map((p) => p.body.id)).toEqual(["b0", "b1", "b2", "b3"]);
    expect(up.before.get("b1")).toEqual(["b2", "b3"]);
    expect(up.before.get("b3")).toEqual([]);
    expect(up.stuck).toEqual([]);
  });
  it("follows what is said to come late as far as there is a way", () => {
    // the lowest is to come last, and can only do so sideways
    const late = sequence(stack, () => ways, (b) => -b.min[2]); // prettier-ignore
    expect(late.order.map((p) => p.body.id)).toEqual(["b3", "b2", "b1", "b0"]);
    const upOnly = sequence(stack, () => [ways[0]!], (b) => -b.min[2]); // prettier-ignore
    expect(upOnly.order.map((p) => p.body.id)).toEqual(["b0", "b1", "b2", "b3"]);
  });
  it("tells of two hooks that hold each other in every straight way, and of nothing else", () => {
    // each has a hole that the other's bar goes through: two links of a chain
    const link = (id: string, at: (x: number, y: number, z: number, w: number, d: number, h: number) => Solid): Body => body(id, at(0, 0, 0, 20, 2, 2), at(0, 10, 0, 20, 2, 2), at(0, 2, 0, 2, 8, 2), at(18, 2, 0, 2, 8, 2)); // prettier-ignore
    const flat = link("flat", (x, y, z, w, d, h) => block(x, y, z, w, d, h));
    const upright = link("upright", (x, y, z, w, d, h) => block(x + 10, z + 5, y - 5, w, h, d));
    const free = body("free", block(100, 0, 0, 5, 5, 5));
    const s = sequence([flat, upright, free], () => ways, () => 0); // prettier-ignore
    expect(s.stuck.map((b) => b.id).sort()).toEqual(["flat", "upright"]);
    expect(s.order.map((p) => p.body.id)).toEqual(["free"]);
  });
  it("leaves nothing standing on nothing where it can: the beam goes before the posts that carry it", () => {
    const [a, b] = [body("a", block(0, 0, 0, 2, 2, 10)), body("b", block(20, 0, 0, 2, 2, 10))];
    const beam = body("beam", block(0, 0, 10, 22, 2, 2));
    const holds = (left: ReadonlySet<Body>, off: Body): boolean => off === beam || !left.has(beam) || left.size < 3;
    const s = sequence([a, b, beam], () => ways, (x) => (x === beam ? 0 : 5), [], holds); // prettier-ignore
    expect(s.order.map((p) => p.body.id).indexOf("beam")).toBe(2);
  });
  it("counts what is fixed", () => {
    const roof = body("roof", block(-5, -5, 8, 30, 30, 2));
    const s = sequence([stack[0]!], () => [ways[0]!], () => 0, [roof]); // prettier-ignore
    expect(s.stuck.map((b) => b.id)).toEqual(["b0"]);
    expect(sequence([stack[0]!], () => ways, () => 0, [roof]).stuck).toEqual([]); // prettier-ignore
  });
});

describe("what is put together by itself", () => {
  it("is each bent of a trestle with its mudsills, and the deck where it hangs together; never a stick twice", () => {
    const s = of("summit-curve-trestle");
    const units = unitsOf(s);
    expect(units.filter((u) => /^Bent \d$/.test(u.name))).toHaveLength(9);
    const all = units.flatMap((u) => u.sticks.map((k) => k.id));
    expect(new Set(all).size).toBe(all.length);
    for (const u of units.filter((x) => /^Bent/.test(x.name))) {
      const roles = u.sticks.map((k) => k.member.role);
      expect(roles.filter((r) => r === "cap")).toHaveLength(1);
      expect(roles.filter((r) => r === "batter post").length).toBeGreaterThanOrEqual(4);
      expect(roles).not.toContain("longitudinal brace");
    }
    expect(new Set(units.map((u) => u.name)).size).toBe(units.length);
  });
  it("is each wall of a depot with its boards, the floor with its planks, the rafters without theirs", () => {
    const units = unitsOf(of("depot"));
    const roles = (name: string) => new Set(units.find((u) => u.name === name)!.sticks.map((k) => k.member.role));
    expect([...roles("Front wall")]).toEqual(expect.arrayContaining(["sole plate", "stud", "clapboard", "casing"]));
    expect([...roles("Floor")]).toEqual(expect.arrayContaining(["joist", "plank"]));
    expect([...roles("Front slope, rafters")]).not.toContain("roof board");
    const wall = units.find((u) => u.name === "Front wall")!;
    expect([...wall.base].every((k) => k.member.role !== "clapboard")).toBe(true);
  });
  it("is as much of one hand as of the other", () => {
    const count = (mirror: boolean) => unitsOf(designOf({ ...emptyJob("J"), structures: [{ ...newStructure("truss", "s", "T"), mirror } as never] }).structures[0]!).map((u) => `${u.name} ${u.sticks.length}`); // prettier-ignore
    expect(count(true)).toEqual(count(false));
  });
});

describe("what needs a block while it stands", () => {
  it.each(["gulch-trestle", "howe-truss", "ore-bin", "depot", "tool-house-framed", "summit-curve-trestle"])(
    "is nothing in %s: everything that is placed stands on the ground or on what is there",
    (name) => {
      // prettier-ignore
      expect(assemblyOf(of(name)).steps.filter((s) => s.fixture).map((s) => s.title)).toEqual([]); // prettier-ignore
    },
  );
  it("are no tubes, each of which stands by itself", () => {
    const { steps } = assemblyOf(of("silos"));
    const tubes = steps.filter((s) => /tubes?$/.test(s.title));
    expect(tubes.flatMap((s) => s.sticks)).toHaveLength(3);
    expect(tubes.every((s) => s.fixture === undefined)).toBe(true);
  });
  it("are no windows: they come when their wall is there", () => {
    const { steps } = assemblyOf(of("company-store"));
    expect(steps.filter((s) => s.fixture && /Opening/.test(s.title)).map((s) => s.title)).toEqual([]);
  });
});

describe("what comes late", () => {
  it.each([
    ["mudsill", "common rafter"],
    ["common rafter", "roof board"],
    ["ceiling joist", "common rafter"],
    ["casing", "glazing"],
    ["upper sash", "glazing"],
    ["roof board", "gutter"],
    ["pier", "collar tie"],
  ])("%s before %s", (early, late) => expect(lateness(early)!).toBeLessThan(lateness(late)!));
  it("is by height where no role says", () => {
    for (const role of ["cap", "stud", "stringer", "tie", "joist"]) expect(lateness(role), role).toBeUndefined();
  });
  it("has the snowshed's roof planks after its purlins, and those after its frames", () => {
    const { steps } = assemblyOf(of("summit-snowshed"));
    const last = (t: RegExp) => steps.map((s) => t.test(s.title)).lastIndexOf(true);
    const first = (t: RegExp) => steps.findIndex((s) => t.test(s.title));
    expect(last(/^Place: Frame/)).toBeLessThan(first(/purlins/));
    expect(last(/purlins/)).toBeLessThan(first(/roof planks/));
  });
});

describe("ways in words", () => {
  const u = { right: [1, 0, 0], up: [0, 0, 1], eye: [0, -1, 0] } as never;
  it.each([
    [{ along: [0, -1, 0] }, u, "from above, onto the template"],
    [{ along: [1, 0, 0] }, u, "slid in from the side, lying flat"],
    [{ along: [0, 1, 0] }, u, "slid in along its length"],
    [{ along: [0, 0, 1] }, undefined, "from above"],
    [{ along: [0, 0, -1] }, undefined, "from below"],
    [{ along: [-1, 0, 0] }, undefined, "from the left end"],
    [{ along: [0, -0.6, 0.8] }, undefined, "from above, square to its slope"],
    [{ along: [0, 0, 1], first: { along: [0, 1, 0], by: 3 } }, undefined, "from above, beside its place, then pressed on"], // prettier-ignore
  ] as const)("%j", (path, unit, words) => expect(wayWords(path as never, unit)).toBe(words));
});
