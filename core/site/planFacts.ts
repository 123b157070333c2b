import { cornersFlat, hull, type Vec2 } from "../geometry";
import { unionOf } from "../geometry/union";
import type { Design } from "../job";
import type { OuterWall } from "../structures";

/** What the plan of a job shows of a structure, in the structure's own axes, model mm: the same wherever it stands. */
export interface PlanFacts {
  readonly structure: string;
  /** All that it covers seen from above: outer outlines counter-clockwise, holes clockwise. */
  readonly silhouette: readonly (readonly Vec2[])[];
  readonly walls: readonly OuterWall[];
  /** Its lowest and highest wood over its own level. */
  readonly low: number;
  readonly high: number;
}

/** How a job's structures look from above, those that could be framed. */
export const planFacts = (d: Design): PlanFacts[] =>
  d.structures.flatMap((s): PlanFacts[] => {
    if (s.fault || s.resolved.sticks.length === 0) return [];
    let [low, high] = [Infinity, -Infinity];
    const shapes = s.resolved.sticks.flatMap((k) =>
      k.parts.map((p) => {
        const corners = cornersFlat(p);
        for (const c of corners) [low, high] = [Math.min(low, c[2]), Math.max(high, c[2])];
        return hull(corners.map((c): Vec2 => [c[0], c[1]]));
      }),
    );
    return [
      {
        structure: s.structure.id,
        silhouette: unionOf(shapes),
        walls: s.kind.outerWalls?.(s.variant.params, s.context) ?? [],
        low,
        high,
      },
    ];
  });
