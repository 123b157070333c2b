import { cornersFlat, hull, type Vec2 } from "../geometry";
import { unionOf } from "../geometry/union";
import type { Design } from "../job";
import type { OuterWall } from "../structures";
import { planPoint, type Place } from "./place";

/** What the plan of a job shows of a structure, in the structure's own axes, model mm: the same wherever it stands. */
export interface PlanFacts {
  readonly structure: string;
  /** All that it covers seen from above: outer outlines counter-clockwise, holes clockwise. */
  readonly silhouette: readonly (readonly Vec2[])[];
  readonly walls: readonly OuterWall[];
  /** The middle of the box round what it covers. */
  readonly middle: Vec2;
  /** Its lowest and highest wood over its own level. */
  readonly low: number;
  readonly high: number;
}

/** A place that has the middle of a structure at a point of the plan, its lowest wood so high over the plan's level, model mm, and turns it so far. */
export function placeOf(
  { middle, low }: Pick<PlanFacts, "middle" | "low">,
  [x, y]: Vec2,
  over: number,
  turn: number,
): Place {
  const [mx, my] = planPoint({ x: 0, y: 0, z: 0, turn }, middle);
  return { x: x - mx, y: y - my, z: over - low, turn };
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
    const silhouette = unionOf(shapes);
    const mid = (k: 0 | 1): number => {
      const all = silhouette.flat().map((c) => c[k]);
      return (Math.min(...all) + Math.max(...all)) / 2;
    };
    return [
      {
        structure: s.structure.id,
        silhouette,
        middle: [mid(0), mid(1)],
        walls: s.kind.outerWalls?.(s.variant.params, s.context) ?? [],
        low,
        high,
      },
    ];
  });
