import { expect } from "vitest";
import type { Resolved } from "../frame";
import { areaOf, type Vec3 } from "../geometry";
import { feet, inches, toModel } from "../units";
import { framerOf } from "./registry";
import { faultsOf, fullSawn } from "./sound.fixture";

export const ctx = fullSawn();
/** A foot and an inch of the prototype, model mm. */
export const FOOT = toModel(ctx.scale, feet(1));
export const INCH = toModel(ctx.scale, inches(1));

/** The sticks of a structure that is accepted and sound, full-sawn, and how to ask for them. */
export function made(kind: string, over: Record<string, unknown>) {
  const k = framerOf(kind);
  const params = { ...k.initial(), ...over };
  expect(k.check(params, ctx)).toEqual([]);
  const { faults, resolved } = faultsOf(k.frame(params, ctx));
  expect(faults).toEqual([]);
  const of = (role: string, within?: RegExp): Resolved[] =>
    resolved.sticks.filter((s) => s.member.role === role && (!within || within.test(s.id)));
  const at = (id: string): Resolved => {
    const found = resolved.sticks.find((s) => s.id === `t/${id}`);
    if (!found) throw new Error(`${id} is not there`);
    return found;
  };
  /** How many sticks there are of each role. */
  const counts = (): Record<string, number> => {
    const out: Record<string, number> = {};
    for (const s of resolved.sticks) out[s.member.role] = (out[s.member.role] ?? 0) + 1;
    return out;
  };
  return { sticks: resolved.sticks, of, at, counts };
}
export const cornersOf = (k: Resolved): Vec3[] => k.parts.flatMap((p) => p.faces.flatMap((f) => [...f.corners]));
/** From where to where sticks reach along an axis, model mm. */
export function reach(sticks: readonly Resolved[], axis: 0 | 1 | 2): readonly [number, number] {
  const all = sticks.flatMap(cornersOf).map((c) => c[axis]);
  return [Math.min(...all), Math.max(...all)];
}
/** The same in inches of the prototype, to a thousandth. */
export const inInches = (sticks: readonly Resolved[], axis: 0 | 1 | 2): readonly [number, number] =>
  reach(sticks, axis).map((x) => Math.round((x / INCH) * 1000) / 1000) as [number, number];
/** Tip to tip along its own length, in inches of the prototype. */
export function longOf(k: Resolved): number {
  const along = cornersOf(k).map((c) => c[0] * k.axes.u[0] + c[1] * k.axes.u[1] + c[2] * k.axes.u[2]);
  return (Math.max(...along) - Math.min(...along)) / INCH;
}
/** Volume of a stick as it is cut, by the divergence theorem over its faces, mm³. */
export const volumeOf = (k: Resolved): number =>
  k.parts.reduce((n, p) => n + p.faces.reduce((m, f) => m + (f.plane.d * areaOf(f.corners)) / 3, 0), 0);
/** The same in cubic inches of the prototype. */
export const cubicInches = (k: Resolved): number => volumeOf(k) / INCH ** 3;
export const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
/** Role and volume of every stick, sorted: what is the same for a structure and its mirror image. */
export const bill = (sticks: readonly Resolved[]): string[] =>
  sticks.map((k) => `${k.member.role} ${cubicInches(k).toFixed(2)}`).sort();
