import { expect } from "vitest";
import type { Resolved, ResolvedFrame } from "../../frame";
import { feet, inches } from "../../units";
import { cornersOf, ctx, FOOT, INCH, reach, sum, volumeOf } from "../golden.fixture";
import { faultsOf } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { buildingCheck } from "./judgement/check";
import { buildingFrame } from "./frame";
import { buildingLayout, type BuildingLayout } from "./plan/layout";
import { buildingSpec, type BuildingValues } from "./parameters";

export { cornersOf, ctx, FOOT, INCH, reach as span, sum, volumeOf };

/** A building without openings that differs from the usual one in these values. */
export const values = (over: Partial<BuildingValues>): BuildingValues => ({
  ...defaultsOf(buildingSpec),
  openings: [],
  ...over,
});
/** A building that is accepted and sound, framed. */
export function framed(over: Partial<BuildingValues>): {
  readonly v: BuildingValues;
  readonly l: BuildingLayout;
  readonly r: ResolvedFrame;
  /** A stick by what follows the structure's name. */
  readonly at: (id: string) => Resolved;
  /** All sticks of a role. */
  readonly of: (role: string, within?: RegExp) => Resolved[];
} {
  const v = values(over);
  expect(buildingCheck(v)).toEqual([]);
  const { faults, resolved } = faultsOf(buildingFrame(v, ctx));
  expect(faults).toEqual([]);
  return {
    v,
    l: buildingLayout(v, ctx),
    r: resolved,
    at: (id) => resolved.byMember.get(`t/${id}`)![0]!,
    of: (role, within) => resolved.sticks.filter((k) => k.member.role === role && (!within || within.test(k.id))),
  };
}
/** A dormer in the middle of the house's front slope, and that house. */
export const dormer = {
  side: "front",
  at: feet(15),
  width: feet(6),
  inward: feet(2),
  height: feet(4),
  rise: 8,
  overhang: inches(8),
  roof: "gable",
  windowWidth: feet(2.5),
  windowHeight: feet(1.5),
};
export const house: Partial<BuildingValues> = {
  length: feet(30),
  width: feet(26),
  rise: 9,
  rafter: "2×6",
  topPlates: 2,
  gableOverhang: 0,
};

export const sizeOf = (sticks: readonly Resolved[], axis: 0 | 1 | 2): number => {
  const [a, b] = reach(sticks, axis);
  return b - a;
};
