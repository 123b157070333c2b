import { describe, expect, it } from "vitest";
import type { Resolved } from "../../frame";
import { feet } from "../../units";
import { reach } from "../golden.fixture";
import { defaultsOf } from "../spec";
import { faultsOf, fullSawn } from "../sound.fixture";
import { trussCheck } from "./check";
import { trussFrame } from "./frame";
import { trussSpec, type TrussValues } from "./parameters";

const ctx = fullSawn();
const values = (v: Partial<Record<keyof TrussValues, unknown>>): TrussValues =>
  ({ ...defaultsOf(trussSpec), ...v }) as TrussValues;
const HO = (inch: number): number => (inch * 3.5) / 12;
// HO: 3.5 mm to the foot
/** From where to where a stick's wood reaches across the bridge, model mm. */
const across = (s: Resolved): readonly [number, number] => reach([s], 1);
// a through Pratt of 90 ft, trusses 20 ft apart; chords 12 in wide and 20 deep of 2 in strip: a web of 16 × 2 in
const bridge = { kind: "pratt", position: "through", span: feet(90), panels: 6, depth: feet(28), clearHeight: feet(10), apart: feet(20), chord: "12×20", plate: 2, counters: "none", diagonal: "8×8", vertical: "8×8", endPost: "12×12", strut: "8×8", lateral: "6×6", portals: true, laterals: true, gussets: false, camber: 0, floor: "beams" }; // prettier-ignore
const stand = (v: Partial<Record<keyof TrussValues, unknown>>) => {
  const p = values({ ...bridge, ...v });
  expect(trussCheck(p, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(trussFrame(p, ctx));
  expect(faults).toEqual([]);
  return resolved.sticks;
};

describe("braces between built-up chords", () => {
  it("pass between the flanges of an I to its web: 20 ft less 2 in", () => {
    const sticks = stand({ chordShape: "I" });
    const braces = sticks.filter((s) => s.member.role === "lateral brace" && /\/upper\//.test(s.id));
    // four panels of the top chord, two crossed in each
    expect(braces).toHaveLength(8);
    for (const s of braces) {
      const [right, left] = across(s);
      expect(left - right).toBeCloseTo(HO(238), 4);
      expect(left + right).toBeCloseTo(0, 6);
    }
    const struts = sticks.filter((s) => s.member.role === "overhead strut");
    expect(struts).toHaveLength(5);
    // the two at the end posts' heads reach those, 20 ft less 12 in
    expect(struts.map((s) => (across(s)[1] - across(s)[0]).toFixed(3)).sort()).toEqual(
      [228, 228, 238, 238, 238].map((n) => HO(n).toFixed(3)),
    );
  });
  it("meet the backs of channels, which look at each other: 20 ft less 12 in", () => {
    const sticks = stand({ chordShape: "channel" });
    for (const s of sticks.filter((k) => k.member.role === "lateral brace" && /\/upper\//.test(k.id)))
      expect(across(s)[1] - across(s)[0]).toBeCloseTo(HO(228), 4);
    const web = (side: string): readonly [number, number] =>
      across(sticks.find((s) => s.id.includes(`/${side}/bottom`) && s.id.endsWith("#web"))!);
    expect(web("left")).toEqual([expect.closeTo(HO(114), 4), expect.closeTo(HO(116), 4)]);
    expect(web("right")).toEqual([expect.closeTo(-HO(116), 4), expect.closeTo(-HO(114), 4)]);
  });
  it("meet flanges' edges where a strut is too deep to go between: 20 ft less 12 in, its top the chord's", () => {
    const sticks = stand({ chordShape: "I", strut: "8×18" });
    const top = sticks.find((s) => s.id.endsWith("/top2#upper"))!;
    const high = (s: Resolved): number => reach([s], 2)[1];
    for (const s of sticks.filter((k) => k.member.role === "overhead strut")) {
      expect(across(s)[1] - across(s)[0]).toBeCloseTo(HO(228), 4);
      expect(high(s)).toBeCloseTo(high(top), 6);
    }
  });
});
describe("rods through chords", () => {
  const king = { kind: "king", position: "pony", span: feet(30), depth: feet(10), vertical: "⌀2", endPost: "12×12" };
  it("stand in pairs beside the web of an I: 1 in to its side, and 0.1 mm clear", () => {
    const sticks = stand({ ...king, chordShape: "I" });
    const rods = sticks.filter((s) => s.member.role === "rod");
    expect(rods).toHaveLength(4);
    for (const side of [-1, 1])
      expect(
        rods
          .map((s) => across(s).map((y) => y - side * HO(120)))
          .filter(([a]) => Math.abs(a!) < HO(12))
          .map(([a, b]) => Math.min(Math.abs(a!), Math.abs(b!)).toFixed(3)),
      ).toEqual([(HO(1) + 0.1).toFixed(3), (HO(1) + 0.1).toFixed(3)]);
  });
  it("are not as thick as the ply that they go through", () => {
    const plies = { ...king, chord: "2×12", chordPlies: 3, packing: 0, floor: "none" };
    expect(trussCheck(values({ ...bridge, ...plies, vertical: "⌀2" }), ctx).join(" ")).toMatch(/^In the stock chosen a rod is 0\.64 mm thick and would cut a ply of the chord in two, 0\.58 mm thick\. Take thinner rods/); // prettier-ignore
    expect(trussCheck(values({ ...bridge, ...plies, vertical: "⌀1" }), ctx)).toEqual([]);
    expect(trussCheck(values({ ...bridge, ...plies, chord: "4×12" }), ctx)).toEqual([]);
  });
});
