import { describe, expect, it } from "vitest";
import { newStructure } from "core/job";
import { kindOf, paramAt, type Dimension } from "core/structures";
import { feet } from "core/units";
import { placeDimensions } from "./Dimensions";
import { ticks } from "./Rule";
import { readParam, setParam } from "./useParam";
import type { BoardView } from "./Board";

const spec = kindOf("trestle-bent").spec;
const at = (path: string) => paramAt(spec, path)!;

describe("what is typed for a parameter", () => {
  it.each([
    ["height", "21", feet(21)],
    ["height", "6.4 m", 6400],
    ["batters.0", "2 1/2", 2.5],
    ["batters.0", "2,5 in 12", 2.5],
    ["batters.0", "3:12", 3],
    ["batters.0", "1/4 in per ft", 0.25],
    ["posts", "5", 5],
    ["cap", "14 x 12", "12×14"],
  ])("%s: %s", (path, words, want) => {
    const read = readParam(at(path), words, "ft");
    expect(read).toEqual({ ok: true, value: typeof want === "number" ? expect.closeTo(want, 9) : want });
  });
  it.each([
    ["height", "tall", "Read “tall”; write a length such as"],
    ["batters.0", "steep", "Read “steep”; write the inches of lean in 12, such as 2.5 or 2 1/2."],
    ["posts", "many", "Read “many”; write a whole number."],
    ["cap", "12", "Read “12”; write a nominal size in inches such as 12×12."],
  ])("%s: %s is refused", (path, words, sentence) => {
    const read = readParam(at(path), words, "ft");
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.error).toContain(sentence);
  });
  it("goes into the chosen variant and no other", () => {
    const s = newStructure("trestle-bent", "g", "Bent");
    s.variants.push({ ...structuredClone(s.variants[0]!), id: "second" });
    s.chosen = "second";
    const doc = { structures: [s] } as never;
    setParam("g", "batters.1", 1)(doc);
    expect(s.variants.map((v) => (v.params.batters as number[])[1])).toEqual([0.5, 1]);
  });
});

describe("dimensions on the board", () => {
  const view = (k: number): BoardView => ({
    k,
    width: 800,
    height: 600,
    X: (x) => 400 + k * x,
    Y: (y) => 50 - k * y,
    toWorld: (px, py) => [(px - 400) / k, (50 - py) / k],
    transform: "",
  });
  const dim = (
    id: string,
    from: readonly [number, number],
    to: readonly [number, number],
    side: Dimension["side"],
    tier = 0,
  ): Dimension => ({
    id,
    label: id,
    value: 1000,
    unit: "length",
    from,
    to,
    side,
    tier,
    handles: [],
  });
  const bounds = { min: [-40, -70] as const, max: [40, 0] as const };
  const place = (dims: Dimension[], k = 5) =>
    placeDimensions({ dims, view: view(k), bounds, print: () => "3′-5 1/2″" });

  it("stand outside the drawing, each tier further out", () => {
    const [near, far, left] = place([
      dim("a", [-10, 0], [10, 0], "top"),
      dim("b", [-30, 0], [30, 0], "top", 1),
      dim("c", [-40, 0], [-40, -70], "left"),
    ]);
    expect(near!.a[1]).toBeLessThan(view(5).Y(0));
    expect(far!.a[1]).toBeLessThan(near!.a[1]);
    expect(left!.a[0]).toBeLessThan(view(5).X(-40));
    expect(left!.figure[1]).toBeCloseTo(view(5).Y(-35), 9);
  });
  it("let figures step aside where their lines are too short for them", () => {
    const placed = place(
      [dim("a", [-4, 0], [0, 0], "top"), dim("b", [-8, 0], [-4, 0], "top"), dim("c", [-12, 0], [-8, 0], "top")],
      3,
    );
    const xs = placed.map((p) => p.figure[0]).sort((p, q) => p - q);
    const width = "3′-5 1/2″".length * 8 + 18;
    for (let i = 1; i < xs.length; i++) expect(xs[i]! - xs[i - 1]!).toBeGreaterThanOrEqual(width - 8);
  });
});

describe("the two-way rule", () => {
  it("has long ticks that read well and short ones between, at any zoom", () => {
    for (const per of [0.02, 0.3, 3.5, 7.1, 40, 900]) {
      const t = ticks(900, per);
      const long = t.filter((x) => x.long);
      const step = long[1]!.n - long[0]!.n;
      expect(step * per).toBeGreaterThanOrEqual(56 - 1e-6);
      expect(String(Number((step / 10 ** Math.floor(Math.log10(step) + 1e-9)).toFixed(6)))).toMatch(/^(1|2|5)$/);
      for (const x of t) expect(x.x).toBeCloseTo(x.n * per, 6);
      expect(t.length).toBeLessThan(400);
    }
  });
});
