import { boundsOf, type Solid, type Vec3 } from "../geometry";
import type { Resolved } from "../frame";

/** Something that is moved into its place as one: a stick, or a sub-assembly that was put together before. */
export interface Body {
  readonly id: string;
  readonly sticks: readonly Resolved[];
  readonly parts: readonly Part[];
  readonly min: Vec3;
  readonly max: Vec3;
}
export interface Part {
  readonly solid: Solid;
  readonly min: Vec3;
  readonly max: Vec3;
}
const parts = new WeakMap<Resolved, readonly Part[]>();
/** The convex parts of a stick with the boxes round them, found once. */
export function partsOf(k: Resolved): readonly Part[] {
  let known = parts.get(k);
  if (!known) parts.set(k, (known = k.parts.map((solid) => ({ solid, ...boundsOf([solid]) }))));
  return known;
}
export function bodyOf(id: string, sticks: readonly Resolved[]): Body {
  const all = sticks.flatMap(partsOf);
  const end = (pick: (...x: number[]) => number, of: "min" | "max"): Vec3 => [0, 1, 2].map((i) => all.reduce((m, p) => pick(m, p[of][i]!), of === "min" ? Infinity : -Infinity)) as unknown as Vec3; // prettier-ignore
  return { id, sticks, parts: all, min: end(Math.min, "min"), max: end(Math.max, "max") };
}
