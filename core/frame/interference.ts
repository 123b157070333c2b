import { boundsOf, penetrationDepth, TOLERANCE } from "../geometry";
import type { ResolvedFrame } from "./resolve";

/** Two sticks that stand in each other, and how deep, model mm. */
export interface Interference {
  readonly a: string;
  readonly b: string;
  readonly depth: number;
}

/** Every pair of sticks that penetrate by more than `tolerance` mm. Sweeps along x so that far sticks are never compared. */
export function interferences(frame: ResolvedFrame, tolerance: number = TOLERANCE.penetration): Interference[] {
  const boxes = frame.sticks.map((s) => ({ s, ...boundsOf(s.parts) }));
  const axis = widestAxis(boxes.map((b) => b.min));
  boxes.sort((p, q) => p.min[axis]! - q.min[axis]!);
  const found: Interference[] = [];
  boxes.forEach((p, i) => {
    for (let k = i + 1; k < boxes.length && boxes[k]!.min[axis]! < p.max[axis]! - tolerance; k++) {
      const q = boxes[k]!;
      if ([0, 1, 2].some((d) => q.min[d]! > p.max[d]! - tolerance || p.min[d]! > q.max[d]! - tolerance)) continue;
      let depth = 0;
      for (const x of p.s.parts) for (const y of q.s.parts) depth = Math.max(depth, penetrationDepth(x, y));
      const [a, b] = [p.s.id, q.s.id].sort() as [string, string];
      if (depth > tolerance) found.push({ a, b, depth });
    }
  });
  return found;
}

function widestAxis(points: readonly (readonly number[])[]): number {
  const spread = [0, 1, 2].map((k) => {
    const v = points.map((p) => p[k]!);
    return Math.max(...v) - Math.min(...v);
  });
  return spread.indexOf(Math.max(...spread));
}
