import { describe, expect, it } from "vitest";
import { benchOf, emptyJob } from "../job";
import { inches, scaleOf } from "../units";
import { KINDS } from "./all";
import { changeParam, newRow, paramAt, valueAt, withValue, type Context, type Dimension, type Params, type StructureKind } from "."; // prettier-ignore

const scale = scaleOf("HO", 304.8 / 3.5);
const context = (): Context => ({ ...benchOf(emptyJob("x"), "s"), scale });
const cases = KINDS.flatMap((k) => (k.starts ?? []).map((s) => [k, s.name, { ...k.initial(), ...s.params } as Params] as const)); // prettier-ignore
const framed = cases.map(([k, name, p]) => [`${k.id}: ${name}`, k, p] as const);
const kind = (id: string): StructureKind => KINDS.find((k) => k.id === id)!;
const start = (id: string, name: string): Params => cases.find(([k, n]) => k.id === id && n === name)![2];

describe.each(framed)("the dimensions of %s", (_, k, p) => {
  const dims = k.dimensions(p, context());
  it("name parameters that there are, and say their value", () => {
    expect(dims.length).toBeGreaterThan(0);
    for (const d of dims) {
      if (!d.param) continue;
      expect(paramAt(k.spec, d.param), d.param).toBeDefined();
      expect(Math.abs(d.value - Number(valueAt(p, d.param))), d.id).toBeLessThan(1e-6);
      expect(d.unit === "length").toBe(paramAt(k.spec, d.param)!.type === "length");
    }
    expect(new Set(dims.map((d) => d.id)).size).toBe(dims.length);
  });
  it("have handles that follow the pointer: a parameter changed by an inch moves its handle by an inch over its gain", () => {
    const by = inches(1);
    const same = (d: Dimension, param: string, all: readonly Dimension[]) =>
      all.find((x) => x.id === d.id)?.handles.filter((h) => h.param === param) ?? [];
    for (const d of dims)
      for (const h of d.handles) {
        if (paramAt(k.spec, h.param)!.type !== "length") continue;
        const changed = withValue(p, h.param, Number(valueAt(p, h.param)) + by);
        if (k.check(changed).length > 0) continue;
        const before = same(d, h.param, dims).findIndex((x) => x === h);
        const after = same(d, h.param, k.dimensions(changed, context()))[before];
        if (!after) continue;
        const along = (after.at[0] - h.at[0]) * h.axis[0] + (after.at[1] - h.at[1]) * h.axis[1];
        // on a curve the handle moves on the arc's chord, a little less
        expect(Math.abs(along * h.gain * scale.ratio - by), `${d.id} ${h.param}`).toBeLessThan(0.02 * by);
      }
  });
});

describe("a building's dimensions", () => {
  const depot = start("building", "Freight house");
  const b = kind("building");
  it("stand on every view: length and openings on the front, width and pitch on the end, all openings on the plan", () => {
    const dims = b.dimensions(depot, context());
    const on = (view: string) => dims.filter((d) => (d.view ?? "side") === view).map((d) => d.param);
    expect(on("side")).toContain("length");
    expect(on("front")).toEqual(expect.arrayContaining(["width", "wallHeight", "rise", "overhang"]));
    const openings = depot.openings as readonly { wall: string; part: number }[];
    expect(on("plan").filter((x) => x?.startsWith("openings."))).toHaveLength(openings.length);
    const front = openings.filter((o) => o.wall === "front" && o.part === 0).length;
    expect(on("side").filter((x) => x?.startsWith("openings."))).toHaveLength(front);
    const right = openings.filter((o) => o.wall === "right" && o.part === 0).length;
    expect(on("front").filter((x) => x?.startsWith("openings."))).toHaveLength(right);
  });
  it("place an opening of the back wall from its left corner, as it is seen from outside: at the right of the plan", () => {
    const at = inches(60);
    const o = { ...(depot.openings as object[])[0]!, part: 0, wall: "back", at } as object;
    const p = withValue(depot, "openings", [o]);
    const d = b.dimensions(p, context()).find((x) => x.id === "opening0-plan")!;
    const half = Number(p.length) / 2 / scale.ratio;
    expect(d.from[0]).toBeCloseTo(half - at / scale.ratio, 6);
    expect(d.side).toBe("top");
  });
});

describe("a change that needs another", () => {
  const b = kind("building");
  const house = start("building", "Tool house");
  const row = (p: Params, i: number) => valueAt(p, `openings.${i}`) as { kind: string; sill: number; height: number };
  it("takes it along: a door made a window gets a sill and keeps its head, and is not refused", () => {
    const before = row(house, 0);
    expect(before).toMatchObject({ kind: "door", sill: 0 });
    const { params, along } = changeParam(b, house, "openings.0.kind", "window");
    expect(b.check(params)).toEqual([]);
    const after = row(params, 0);
    expect(after.sill).toBe(inches(30));
    expect(after.sill + after.height).toBeCloseTo(before.sill + before.height, 6);
    expect(along).toBe("height of casting 4′-2″, bottom over the floor 2′-6″");
  });
  it("goes back the same way, and leaves alone what needs nothing", () => {
    const there = changeParam(b, house, "openings.0.kind", "window").params;
    const back = changeParam(b, there, "openings.0.kind", "door").params;
    expect(row(back, 0)).toEqual(row(house, 0));
    expect(changeParam(b, house, "wallHeight", inches(110))).toEqual({
      params: withValue(house, "wallHeight", inches(110)),
      along: "",
    });
    expect(changeParam(kind("trestle-bent"), kind("trestle-bent").initial(), "posts", 4).along).toBe("");
  });
});

describe("a row that is added", () => {
  it.each(["openings", "wings", "partitions"])("fits where there is room, made smaller if need be: %s", (path) => {
    const b = kind("building");
    for (const name of ["Tool house", "Depot", "Freight house"]) {
      const p = cases.find(([k, n]) => k.id === "building" && n === name)?.[2];
      if (!p || !b.shown(p, path)) continue;
      const rows = valueAt(p, path) as readonly object[];
      const next = withValue(p, path, [...rows, newRow(b, p, path)]);
      expect(b.check(next), `${name}: ${path}`).toEqual([]);
    }
  });
});

describe("what a pressed stick belongs to", () => {
  it("is its own row first, then its groups", () => {
    const about = kind("building").about!;
    expect(about({ id: "s/front/opening2/header/1", role: "header", assembly: "s/front" })[0]).toBe("openings.1");
    expect(about({ id: "s/main/roof/S/12", role: "common rafter", assembly: "s/main/roof/slope-S" })).toContain("Roof");
    expect(about({ id: "s/front/stud/16", role: "stud", assembly: "s/front" })[0]).toBe("Walls");
    expect(about({ id: "s/main/floor/joist/1", role: "joist", assembly: "s/main/floor" })).toContain("Floor");
  });
  it("names only groups that there are, for every stick of every start", () => {
    for (const [, k, p] of framed) {
      if (!k.about) continue;
      const groups = new Set(Object.values(k.spec).map((x) => x.group));
      for (const m of k.frame(p, context()).members)
        for (const a of k.about(m)) {
          const [table, n] = a.split(".");
          if (n !== undefined) expect((valueAt(p, table!) as object[])[Number(n)], `${m.id}: ${a}`).toBeDefined();
          else expect(groups, `${m.id}: ${a}`).toContain(a);
        }
    }
  });
});
