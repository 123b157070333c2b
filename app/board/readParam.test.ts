import { describe, expect, it } from "vitest";
import { KINDS } from "core/structures/all";
import { paramAt, pathsOf, printParam, valueAt, type SingleParam } from "core/structures";
import { printPrototype, type Prototype } from "core/units";
import { readParam } from "./useParam";

const specs = KINDS.flatMap((k) => pathsOf(k.spec).map((path) => [`${k.id} ${path}`, paramAt(k.spec, path)!, valueAt(k.initial(), path)] as const)); // prettier-ignore
const of = (type: SingleParam["type"]) => specs.filter(([, p]) => p.type === type);

describe("what is typed for a parameter", () => {
  it.each(of("length"))(
    "%s: its own value, as it is printed in feet and in metres, reads back as itself",
    (_, p, v) => {
      for (const unit of ["ft-in", "m"] as const) {
        const text = printPrototype(Number(v) as Prototype, unit, 64);
        const read = readParam(p, text, unit === "m" ? "m" : "ft");
        expect(read.ok && Math.abs(Number(read.value) - Number(v))).toBeLessThan(unit === "m" ? 0.51 : 0.21);
      }
    },
  );
  it.each([...of("number"), ...of("batter")])(
    "%s: its own value, as it is printed, reads back as itself",
    (_, p, v) => {
      const read = readParam(p, printParam(p, v), "ft");
      expect(read).toEqual({ ok: true, value: expect.closeTo(Number(v), 3) });
    },
  );
  it.each(of("section"))("%s: its own section reads back, however the cross is typed", (_, p, v) => {
    for (const text of [
      String(v),
      String(v).replace("×", "x"),
      String(v).replace("×", " X "),
      String(v).replace("×", "*"),
    ])
      // prettier-ignore
      expect(readParam(p, text, "ft")).toEqual({ ok: true, value: v });
  });
  it.each([...of("length"), ...of("number"), ...of("batter"), ...of("section")])(
    "%s: nonsense is told as it was typed, with what would do",
    (_, p) => {
      for (const text of ["wide", "12 furlongs", "--", "1/0/2"]) {
        const read = readParam(p, text, "ft");
        expect(read.ok, text).toBe(false);
        if (read.ok) continue;
        expect(read.error).toContain(`Read “${text}”`);
        expect(read.error).toMatch(/write .*\.$/);
      }
    },
  );
  it("a list of lengths takes commas, semicolons and lines", () => {
    const [, bays] = specs.find(([name]) => name === "trestle bays")!;
    expect(readParam(bays, "14', 15; 16'6\n12", "ft")).toEqual({
      ok: true,
      value: [14, 15, 16.5, 12].map((n) => expect.closeTo(n * 304.8, 6)),
    });
    expect(readParam(bays, "14', wide", "ft")).toMatchObject({ ok: false });
  });
  it.each([
    ["4,42 m; 3,5 m", "ft", [4420, 3500]],
    ["4,42; 3,5", "m", [4420, 3500]],
    ["4,42, 3,5", "m", [4420, 3500]],
    ["4,42", "m", [4420]],
    ["4.42,3.5", "m", [4420, 3500]],
    ["4,42,3,5", "m", undefined],
    ["15,14,13", "ft", [4572, 4267.2, 3962.4]],
    ["15',14'6,13'", "ft", [4572, 4419.6, 3962.4]],
    ["15', 4,2 m, 13'", "ft", [4572, 4200, 3962.4]],
  ] as const)("a list %j where %s is meant", (text, bare, want) => {
    const [, bays] = specs.find(([name]) => name === "trestle bays")!;
    const read = readParam(bays, text, bare);
    if (want) expect(read).toEqual({ ok: true, value: want.map((n) => expect.closeTo(n, 6) as number) });
    else expect(read).toEqual({ ok: false, error: expect.stringMatching(/part them with semicolons|comma/) as string });
  });
  it("a number of mm takes another unit of length with its mark: 72 in are no 72 mm", () => {
    const radius = specs.map(([, p]) => p).find((p) => p.type === "number" && p.unit.trim() === "mm")!;
    for (const [text, mm] of [
      ["72 in", 1828.8],
      ['72"', 1828.8],
      ["1.8 m", 1800],
      ["1800", 1800],
      ["1800 mm", 1800],
      ["6 ft", 1828.8],
    ] as const)
      // prettier-ignore
      expect([text, readParam(radius, text, "ft")]).toEqual([text, { ok: true, value: expect.closeTo(mm, 6) as number }]);
    expect(readParam(radius, "72 furlongs", "ft")).toMatchObject({ ok: false });
  });
  it("a ground profile takes lines with a heading, and names the line that is wrong", () => {
    const [, ground] = specs.find(([name]) => name === "trestle profile")!;
    expect(readParam(ground, "station,height\n0,-10\n40,-20", "ft")).toMatchObject({ ok: true });
    expect(readParam(ground, "0,-10\n40,low", "ft")).toMatchObject({
      ok: false,
      error: expect.stringContaining("Line 2"),
    });
  });
});
