import { describe, expect, it } from "vitest";
import type { Shown } from "core/drawing";
import type { Vec2 } from "core/geometry";
import { seenAt, sticksUnder } from "./sticksUnder";

const box = (x0: number, y0: number, x1: number, y1: number): Vec2[] => [[x0, y0], [x1, y0], [x1, y1], [x0, y1]]; // prettier-ignore
const shown = (id: string, ...outlines: (readonly Vec2[])[]): Shown => {
  const [xs, ys] = [outlines.flat().map((p) => p[0]), outlines.flat().map((p) => p[1])];
  return {
    id,
    role: "",
    stock: "",
    outlines,
    near: 0,
    far: 0,
    min: [Math.min(...xs), Math.min(...ys)],
    max: [Math.max(...xs), Math.max(...ys)],
    centre: [0, 0],
    along: [1, 0],
  };
};
const stud = shown("stud", box(4, 0, 5, 10));
// a wall with a window, as its contours, and lines on it
const wall = shown("wall", box(0, 0, 10, 10), [...box(3, 3, 7, 7)].reverse(), [[0, 2], [10, 2]]); // prettier-ignore
const all = [stud, wall];

describe("sticks under a point", () => {
  it("are told the nearest to the eye first", () => {
    expect(sticksUnder(all, [4.5, 1])).toEqual(["wall", "stud"]);
    expect(sticksUnder(all, [1, 5])).toEqual(["wall"]);
    expect(sticksUnder(all, [12, 5])).toEqual([]);
  });
  it("in a window are those behind it", () => expect(sticksUnder(all, [4.5, 5])).toEqual(["stud"]));
  it("on a line of the texture are the sheet's", () => expect(sticksUnder(all, [1, 2])).toEqual(["wall"]));
  it("in either of the parts of a notched stick are that stick", () => {
    const notched = shown("n", box(0, 0, 4, 2), box(4, 0, 8, 1));
    expect(sticksUnder([notched], [6, 0.5])).toEqual(["n"]);
    expect(sticksUnder([notched], [6, 1.5])).toEqual([]);
  });
});
describe("what is seen", () => {
  it("of a stud is where no wall lies over it", () => {
    expect(seenAt(all, 0, [4.5, 1])).toBe(false);
    expect(seenAt(all, 0, [4.5, 5])).toBe(true);
    expect(seenAt(all, 1, [4.5, 1])).toBe(true);
  });
});
