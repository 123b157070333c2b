import { describe, expect, it } from "vitest";
import { model } from "../units";
import { piecesOf, pieceShape, samePiece, textureLines, type PanelBody } from ".";
import { sheetFixture } from "./sheet.fixture";

const sheet = (texture: PanelBody["texture"], over: Partial<PanelBody> = {}) => sheetFixture({ ...(texture ? { texture } : {}), ...over }); // prettier-ignore
const lines = (across: "u" | "v", pitch: number, first = 0, turns = true): PanelBody["texture"] => ({ across, pitch: model(pitch), first: model(first), turns }); // prettier-ignore
const hole = (u0: number, v0: number, u1: number, v1: number): PanelBody["holes"] => [{ name: "w", outline: [[u0, v0], [u1, v0], [u1, v1], [u0, v1]], bevel: [0, 0, 0, 0] }]; // prettier-ignore

describe("lines of a sheet's face", () => {
  it("lie on its outside, from edge to edge, the first where it is told", () => {
    const all = textureLines(sheet(lines("v", 4, 1)));
    expect(all).toEqual([
      [[5, -1, 3], [25, -1, 3]],
      [[5, -1, 7], [25, -1, 7]],
      [[5, -1, 11], [25, -1, 11]],
    ].map((l) => l.map((p) => p.map((x) => expect.closeTo(x, 9))))); // prettier-ignore
  });
  it("upright run from foot to head, none on the edges themselves", () => {
    const all = textureLines(sheet(lines("u", 5)));
    expect(all.map(([a]) => a[0])).toEqual([10, 15, 20].map((x) => expect.closeTo(x, 9)));
    for (const [a, b] of all) expect(Math.abs(a[2] - b[2])).toBeCloseTo(10, 9);
  });
  it("stop at a window and go on over it, in one piece where parts meet", () => {
    const all = textureLines(sheet(lines("v", 2, 1), { holes: hole(8, 4, 12, 8) }));
    // at 1, 3, 5, 7, 9: those at 5 and 7 in two parts
    expect(all).toHaveLength(7);
    const total = all.reduce((s, [a, b]) => s + Math.abs(a[0] - b[0]), 0);
    expect(total).toBeCloseTo(5 * 20 - 2 * 4, 9);
  });
  it("stop at the slope of a gable", () => {
    const all = textureLines(sheet(lines("v", 5), { outline: [[0, 0], [20, 0], [10, 10]], bevel: [0, 0, 0] })); // prettier-ignore
    expect(all).toHaveLength(1);
    expect(Math.abs(all[0]![0][0] - all[0]![1][0])).toBeCloseTo(10, 9);
  });
  it("are none on a plain sheet", () => expect(textureLines(sheet(undefined))).toEqual([]));
});

describe("two sheets", () => {
  const shape = (t: PanelBody["texture"], over: Partial<PanelBody> = {}) => pieceShape(sheet(t, over));
  it("tell their lines from the start and from the near edge", () => {
    expect(shape(lines("u", 3, 1)).lines).toEqual({ across: "u", pitch: 3, first: expect.closeTo(1, 9) });
    expect(shape(lines("v", 3, -2)).lines).toEqual({ across: "v", pitch: 3, first: expect.closeTo(1, 9) });
    // moved along its own axes, the same sheet
    const moved = shape(lines("u", 3, 8), { outline: [[7, 0], [27, 0], [27, 10], [7, 10]] }); // prettier-ignore
    expect(moved.lines!.first).toBeCloseTo(1, 9);
  });
  it("are one piece where their lines fall on each other, and two where they do not", () => {
    const a = shape(lines("u", 3, 1));
    expect(samePiece(a, shape(lines("u", 3, 1)), "face")).toBe(true);
    expect(samePiece(a, shape(lines("u", 3, 4)), "face")).toBe(true);
    // turned by half a turn the first is (20 − 1) mod 3 = 1 from the other end: the same again
    expect(samePiece(a, shape(lines("u", 3, 19)), "face")).toBe(true);
    expect(samePiece(a, shape(lines("u", 3, 2)), "face")).toBe(false);
    expect(samePiece(a, shape(lines("v", 3, 1)), "face")).toBe(false);
    expect(samePiece(a, shape(lines("u", 2.5, 1)), "face")).toBe(false);
    expect(samePiece(a, shape(undefined), "face")).toBe(false);
  });
  it("stand under marks of their own where their lines lie otherwise, under one where another line of them is named", () => {
    const cut = (id: string, first: number, across: "u" | "v" = "u") => ({
      ...sheet(lines(across, 3, first, false)),
      id,
    });
    const marks = piecesOf([
      cut("a", 1),
      cut("b", 2.5),
      cut("c", 4),
      cut("d", -0.5),
      cut("e", 1, "v"),
      cut("f", 7, "v"),
    ]);
    expect(marks.map((p) => p.sticks)).toEqual([["a", "c"], ["b", "d"], ["e", "f"]]); // prettier-ignore
  });
  it("turned by half a turn are one only where the texture may be turned", () => {
    const [left, right] = [hole(2, 4, 6, 8), hole(14, 2, 18, 6)].map((holes) => (t: boolean) => shape(lines("v", 5, 0, t), { holes })); // prettier-ignore
    expect(samePiece(left!(true), right!(true), "face")).toBe(true);
    expect(samePiece(left!(false), right!(false), "none")).toBe(false);
    expect(samePiece(left!(false), left!(false), "none")).toBe(true);
  });
});
