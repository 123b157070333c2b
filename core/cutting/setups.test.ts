import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { designOf, readJobFile, setUpWords } from "../job";
import { lying } from "../frame";
import { gang, setUps } from ".";

const design = (name: string) => designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc);
const gulch = design("gulch-trestle");
const M = (mm: number): string => `${mm.toFixed(2)} mm`;

describe("settings of the stop", () => {
  it("carry every stick that is still to be cut once, longest first", () => {
    for (const name of ["gulch-trestle", "howe-truss", "depot", "summit-snowshed", "agents-cottage"]) {
      const d = design(name);
      const all = setUps(d.pieces, 0);
      const off = d.pieces.filter((p) => !["panel", "block"].includes(p.shape.kind)).flatMap((p) => p.sticks);
      expect(all.flatMap((s) => s.pieces.flatMap((p) => p.sticks)).sort(), name).toEqual([...off].sort());
      all.forEach((s, i) => expect(s.length, name).toBeLessThanOrEqual((all[i - 1]?.length ?? Infinity) + 1e-9));
      for (const s of all) for (const p of s.pieces) expect(Math.abs(p.piece.shape.overall - s.length), name).toBeLessThan(0.02); // prettier-ignore
      expect(all.length).toBeLessThanOrEqual(d.pieces.length);
    }
  });
  it("of the gulch trestle's bent are nine for its fifteen pieces: no two rows of it are as long as one another", () => {
    const all = setUps(gulch.pieces, 0);
    expect(all.map((s) => s.pieces.map((p) => `${p.sticks.length} ${p.piece.mark}`).join(" + "))).toEqual(["1 S1", "2 B2", "1 M1", "2 B1", "1 C1", "2 P3", "2 P4", "2 P1", "2 P2"]); // prettier-ignore
  });
  it("serve all that is as long and cut alike, of whatever stock, and no piece with another cut", () => {
    const [a, b] = [gulch.pieces.find((p) => p.mark === "C1")!, gulch.pieces.find((p) => p.mark === "P3")!];
    const other = { ...a, mark: "X1", stock: "scale/6x6", sticks: ["x"] };
    const longer = {
      ...a,
      mark: "X2",
      sticks: ["y"],
      shape: { ...a.shape, overall: (a.shape.overall + 0.03) as never },
    };
    const angled = { ...a, mark: "X3", sticks: ["z"], shape: { ...a.shape, ends: b.shape.ends } };
    const marks = setUps([a, other, longer, angled], 0).map((s) => s.pieces.map((p) => p.piece.mark));
    expect(marks).toEqual([["X2"], ["C1", "X1"], ["X3"]]);
  });
  it("take a mirror image laid the other way round, and a piece turned end for end", () => {
    const d = design("howe-truss");
    const hand = d.pieces.find((p) => p.handOf)!;
    const s = setUps(d.pieces, 0).find((x) => x.pieces.some((p) => p.piece === hand))!;
    expect(s.pieces.map((p) => p.piece.mark)).toContain(hand.handOf);
    expect(s.turned).toBe(true);
    const p = gulch.pieces.find((x) => x.mark === "P3")!;
    const end = { ...p, mark: "X", sticks: ["x"], shape: { ...p.shape, ends: [p.shape.ends[1], p.shape.ends[0]] as typeof p.shape.ends } }; // prettier-ignore
    expect(setUps([p, end], 0)).toHaveLength(1);
  });
  it("stand by the allowance further, and leave out what is cut", () => {
    const all = setUps(gulch.pieces, 0.5, new Set(gulch.pieces.find((p) => p.mark === "S1")!.sticks));
    expect(all).toHaveLength(8);
    expect(all[0]!.length).toBeCloseTo(setUps(gulch.pieces, 0)[1]!.length + 0.5, 9);
  });
  it("are told in words, and gangs of what is cut in numbers", () => {
    const all = setUps(gulch.pieces, 0);
    const posts = all.find((s) => s.pieces[0]!.piece.mark === "P3")!;
    expect(setUpWords(gulch, posts, M)).toEqual({ cuts: "both ends 11.8° mitre, parallel", pieces: ["2 × P3, batter post, Scale lumber, HO 12×12"], how: "2 side by side" }); // prettier-ignore
    expect(gang({ ...posts, pieces: [{ ...posts.pieces[0]!, sticks: ["1", "2", "3", "4", "5", "6", "7", "8"] }] })).toBe(4); // prettier-ignore
    expect(gang({ ...posts, pieces: [{ ...posts.pieces[0]!, sticks: ["1", "2", "3", "4", "5", "6", "7", "8", "9"] }] })).toBe(3); // prettier-ignore
    expect(gang({ ...posts, pieces: [{ ...posts.pieces[0]!, sticks: ["1"] }] })).toBe(1);
  });
  it("lie as they are cut: a cap of 49 mm from its start to the right, about its middle", () => {
    const flat = lying(gulch.pieces.find((p) => p.mark === "C1")!.shape);
    expect(Math.min(...flat.map((p) => p[0]))).toBeCloseTo(0, 9);
    expect(Math.max(...flat.map((p) => p[0]))).toBeCloseTo(49, 9);
    expect(Math.max(...flat.map((p) => p[1]))).toBeCloseTo(-Math.min(...flat.map((p) => p[1])), 9);
  });
});
