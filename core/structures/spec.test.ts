import { plainToInstance } from "class-transformer";
import { validateSync } from "class-validator";
import { describe, expect, it } from "vitest";
import { feet, inches } from "../units";
import {
  batter,
  choice,
  count,
  defaultsOf,
  dto,
  flag,
  length,
  list,
  paramAt,
  printParam,
  section,
  table,
  valueAt,
  withValue,
} from "./spec";
import { KINDS } from "./all";
import { kindOf } from "./registry";

const about = { group: "g", help: "h" };
const span = length({
  ...about,
  label: "Span",
  def: feet(20),
  min: feet(5),
  max: feet(40),
  usual: [feet(10), feet(30)],
});
const spec = {
  span,
  lean: batter({ ...about, label: "Lean", def: 2.5, min: 0, max: 6, usual: [0, 3] }),
  posts: count({ ...about, label: "Posts", def: 4, min: 2, max: 6 }),
  kind: choice({
    ...about,
    label: "Kind",
    def: "a",
    options: [
      { value: "a", label: "The first" },
      { value: "b", label: "The second" },
    ],
  }),
  braced: flag({ ...about, label: "Braced", def: true }),
  timber: section({ ...about, label: "Timber", def: "12×12" }),
  bays: list({ ...about, label: "Bays", of: span, defs: [feet(8), feet(9)], labels: ["First bay", "Second bay"] }),
} as const;
class Params extends dto(spec) {}
const problems = (over: Record<string, unknown>): string[] =>
  validateSync(Object.assign(new Params(), defaultsOf(spec), over), {
    whitelist: true,
    forbidNonWhitelisted: true,
  }).flatMap((e) => Object.values(e.constraints ?? {}));

describe("a parameter is declared once", () => {
  it("and its usual values pass", () => expect(problems({})).toEqual([]));
  it.each([
    ["span", feet(50), "Span is 50′-0″; it may be from 5′-0″ to 40′-0″."],
    ["span", "wide", "Span is “wide”; it may be from 5′-0″ to 40′-0″."],
    ["span", NaN, "Span is “NaN”; it may be from 5′-0″ to 40′-0″."],
    ["lean", 7.25, "Lean is 7.25 in 12; it may be from 0 in 12 to 6 in 12."],
    ["posts", 3.5, "Posts is 3.5; it may be from 2 to 6."],
    ["kind", "c", "Kind is “c”; it may be a, b."],
    ["braced", "yes", "Braced is either true or false."],
    ["timber", "twelve", "Timber is “twelve”; write a nominal size in inches such as 12×12."],
    ["bays", [feet(8)], "Bays needs a list of 2 values."],
    ["bays", [feet(8), feet(1)], "Bays is 8′-0″, 1′-0″; it may be from 5′-0″ to 40′-0″."],
  ])("%s: %j is refused in words", (name, value, words) => {
    const found = problems({ [name]: value });
    expect(found).toContain(words);
  });
  it("and nothing that was not declared gets in", () =>
    expect(problems({ extra: 1 })[0]).toMatch(/extra should not exist/));

  it("is reached by a path, in a list too, and changed in a copy", () => {
    const params = defaultsOf(spec);
    expect(paramAt(spec, "bays.1")!.label).toBe("Second bay");
    expect(paramAt(spec, "bays.7")).toBeUndefined();
    expect(paramAt(spec, "nothing")).toBeUndefined();
    const next = withValue(params, "bays.1", feet(11));
    expect(valueAt(next, "bays.1")).toBe(feet(11));
    expect(valueAt(params, "bays.1")).toBe(feet(9));
    expect(withValue(params, "posts", 5).posts).toBe(5);
  });
  it("is printed as one reads it", () => {
    expect(printParam(spec.span, feet(14, 6.5))).toBe("14′-6 1/2″");
    expect(printParam(spec.lean, 2)).toBe("2 in 12");
    expect(printParam(spec.lean, 2.125)).toBe("2.125 in 12");
    expect(printParam(spec.kind, "b")).toBe("The second");
    expect(printParam(spec.posts, 4)).toBe("4");
  });
});

describe("a table of rows", () => {
  const rows = {
    doors: table({
      ...about,
      label: "Doors",
      noun: "door",
      most: 2,
      def: [{ width: feet(8), braced: true }],
      columns: { width: span, braced: flag({ ...about, label: "Braced", def: true }) },
    }),
  } as const;
  class Rows extends dto(rows) {}
  const said = (doors: unknown): string =>
    validateSync(Object.assign(new Rows(), { doors }))
      .flatMap((e) => Object.values(e.constraints ?? {}))
      .join();
  it("passes as it starts, and its cells are read and set by path", () => {
    const start = defaultsOf(rows);
    expect(said(start.doors)).toBe("");
    expect(valueAt(start, "doors.0.width")).toBe(feet(8));
    expect(withValue(start, "doors.0.width", feet(9)).doors).toEqual([{ width: feet(9), braced: true }]);
    expect(paramAt(rows, "doors.0.width")).toMatchObject({ type: "length", label: "Door 1, span" });
    expect(printParam(rows.doors, start.doors)).toBe("1 door");
  });
  it.each([
    [[{ width: feet(90), braced: true }], /^Doors, door 1: Span is 90′-0″; it may be from/],
    [[{ width: feet(8) }], /door 1: Braced is either true or false/],
    [[{ width: feet(8), braced: true, colour: 1 }], /has a column “colour”, which is not known/],
    [[3], /door 1: is no row/],
    ["none", /needs a list of at most 2 rows/],
  ])("refuses %j in a sentence", (doors, words) => expect(said(doors)).toMatch(words));
});

describe("every kind of structure", () => {
  it.each(KINDS.map((k) => [k.id, k] as const))("%s: its usual values are in order and usual", (id, kind) => {
    const params = kind.initial() as Record<string, unknown>;
    expect(validateSync(plainToInstance(kind.Params, params))).toEqual([]);
    expect(kind.check(params)).toEqual([]);
    expect(kind.remarks(params)).toEqual([]);
    expect(kindOf(id)).toBe(kind);
    for (const p of Object.values(kind.spec)) {
      expect(p.label).not.toBe("");
      expect(p.help).not.toBe("");
      const single = p.type === "list" ? p.of : p;
      if (single.type === "length" || single.type === "batter") {
        expect(single.min).toBeLessThanOrEqual(single.usual[0]);
        expect(single.usual[1]).toBeLessThanOrEqual(single.max);
      }
    }
  });
  it("and none other", () =>
    expect(() => kindOf("castle")).toThrow(
      "“castle” is no kind of structure known here; known are trestle-bent, trestle, truss, building, sheet, canopy, tubes, platform, snowshed, traced.",
    ));
  it("measures in inches where it says so", () => expect(inches(12)).toBeCloseTo(feet(1), 9));
});
