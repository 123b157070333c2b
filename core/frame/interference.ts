import { boundsOf, penetrationDepth, TOLERANCE, type Solid, type Vec3 } from "../geometry";
import type { Resolved, ResolvedFrame } from "./resolve";

/** Two sticks that stand in each other, and how deep, model mm. */
export interface Interference {
  readonly a: string;
  readonly b: string;
  readonly depth: number;
}

/** Every pair of sticks that penetrate by more than `tolerance` mm. Sweeps along x so that far sticks are never compared. */
export function interferences(frame: ResolvedFrame, tolerance: number = TOLERANCE.penetration): Interference[] {
  const sticks: Boxed[] = frame.sticks.map((s) => ({ s, ...boundsOf(s.parts) }));
  const axis = widestAxis(sticks.map((b) => b.min));
  sticks.sort((p, q) => p.min[axis]! - q.min[axis]!);
  const found: Interference[] = [];
  sticks.forEach((p, i) => {
    for (let k = i + 1; k < sticks.length && sticks[k]!.min[axis]! < p.max[axis]! - tolerance; k++) {
      const q = sticks[k]!;
      if ([0, 1, 2].some((d) => q.min[d]! > p.max[d]! - tolerance || p.min[d]! > q.max[d]! - tolerance)) continue;
      let depth = tolerance;
      // of bent and hollow sticks most parts are nowhere near each other
      for (const x of partsIn(p, q, tolerance))
        for (const y of partsIn(q, { ...q, ...x.box }, tolerance)) depth = Math.max(depth, penetrationDepth(x.part, y.part, depth)); // prettier-ignore
      const [a, b] = [p.s.id, q.s.id].sort() as [string, string];
      if (depth > tolerance) found.push({ a, b, depth });
    }
  });
  return found;
}

interface Boxed {
  readonly s: Resolved;
  readonly min: Vec3;
  readonly max: Vec3;
}
const boxes = new WeakMap<Resolved, readonly { readonly part: Solid; readonly box: { readonly min: Vec3; readonly max: Vec3 } }[]>(); // prettier-ignore
/** The parts of a stick whose box reaches into another by more than `tolerance`. */
function partsIn({ s }: Boxed, other: Pick<Boxed, "min" | "max">, tolerance: number) {
  let all = boxes.get(s);
  if (!all) boxes.set(s, (all = s.parts.map((part) => ({ part, box: boundsOf([part]) }))));
  if (all.length === 1) return all;
  return all.filter(({ box }) => [0, 1, 2].every((d) => box.min[d]! < other.max[d]! - tolerance && other.min[d]! < box.max[d]! - tolerance)); // prettier-ignore
}

function widestAxis(points: readonly (readonly number[])[]): number {
  const spread = [0, 1, 2].map((k) => {
    const v = points.map((p) => p[k]!);
    return Math.max(...v) - Math.min(...v);
  });
  return spread.indexOf(Math.max(...spread));
}
