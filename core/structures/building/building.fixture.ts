import { expect } from "vitest";
import type { Resolved, ResolvedFrame } from "../../frame";
import { areaOf, type Vec3 } from "../../geometry";
import { feet, inches, toModel } from "../../units";
import { faultsOf, fullSawn } from "../sound.fixture";
import { defaultsOf } from "../spec";
import { buildingCheck } from "./judgement/check";
import { buildingFrame } from "./frame";
import { buildingLayout, type BuildingLayout } from "./plan/layout";
import { buildingSpec, type BuildingValues } from "./parameters";

export const ctx = fullSawn();
/** A foot and an inch of the prototype, model mm. */
export const FOOT = toModel(ctx.scale, feet(1));
export const INCH = toModel(ctx.scale, inches(1));

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

export const cornersOf = (k: Resolved): Vec3[] => k.parts.flatMap((p) => p.faces.flatMap((f) => [...f.corners]));
/** From where to where sticks reach along an axis. */
export function span(sticks: readonly Resolved[], axis: 0 | 1 | 2): readonly [number, number] {
  const all = sticks.flatMap(cornersOf).map((c) => c[axis]);
  return [Math.min(...all), Math.max(...all)];
}
export const sizeOf = (sticks: readonly Resolved[], axis: 0 | 1 | 2): number => {
  const [a, b] = span(sticks, axis);
  return b - a;
};
/** Volume of a stick as it is cut, by the divergence theorem over its faces, mm³. */
export const volumeOf = (k: Resolved): number =>
  k.parts.reduce((n, p) => n + p.faces.reduce((m, f) => m + (f.plane.d * areaOf(f.corners)) / 3, 0), 0);
export const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
