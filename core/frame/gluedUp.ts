import { cornersOf, type Vec3 } from "../geometry";
import type { Resolved, ResolvedFrame } from "./resolve";

/**
 * What is glued up with a stick: the sticks of its part of the structure that joints hold to it, directly or through one
 * another, itself first. A chimney's sides, corbels and cap are such; its flashing, which lies on the roof, is not.
 */
export function gluedUpWith(r: ResolvedFrame, stick: string): readonly Resolved[] {
  const of = r.sticks.find((s) => s.id === stick)!;
  const near = new Set(r.sticks.filter((s) => s.member.assembly === of.member.assembly).map((s) => s.member.id));
  const meets = new Map<string, string[]>();
  for (const j of r.frame.joints) {
    if (!("b" in j) || !near.has(j.a) || !near.has(j.b)) continue;
    meets.set(j.a, [...(meets.get(j.a) ?? []), j.b]);
    meets.set(j.b, [...(meets.get(j.b) ?? []), j.a]);
  }
  const held = new Set([of.member.id]);
  for (const m of held) for (const n of meets.get(m) ?? []) held.add(n);
  return [of, ...r.sticks.filter((s) => s !== of && held.has(s.member.id))];
}
/** The convex parts of sticks, each by its corners, as they stand. */
export const bodiesOf = (sticks: readonly Resolved[]): readonly (readonly Vec3[])[] => sticks.flatMap((s) => s.parts.map(cornersOf)); // prettier-ignore
