import { boundsOf, cornersFlat, hull, type Solid, type Vec2, type Vec3 } from "../geometry";
import type { Design, StructureDesign } from "../job";
import { solidIn, type Place } from "./place";

/** A stick where it stands in the plan of the job, model mm. */
export interface StandingStick {
  readonly id: string;
  readonly role: string;
  readonly parts: readonly Solid[];
  readonly min: Vec3;
  readonly max: Vec3;
}
/** A structure that has its place in the plan of the job. */
export interface Standing {
  readonly design: StructureDesign;
  readonly place: Place;
  readonly sticks: readonly StandingStick[];
  /** What it covers seen from above, with all that overhangs: convex, model mm. */
  readonly outline: readonly Vec2[];
  readonly min: Vec3;
  readonly max: Vec3;
}

/** The structures of a job that have a place and could be framed. */
export function standing(d: Design): Standing[] {
  return d.structures.flatMap((design): Standing[] => {
    const { place } = design.structure;
    if (!place || design.fault || design.resolved.sticks.length === 0) return [];
    const sticks = design.resolved.sticks.map((s): StandingStick => {
      const parts = s.parts.map((p) => solidIn(place, p));
      return { id: s.id, role: s.member.role, parts, ...boundsOf(parts) };
    });
    const corners = sticks.flatMap((s) => s.parts.flatMap((p) => cornersFlat(p).map((c): Vec2 => [c[0], c[1]])));
    const least = (k: 0 | 1 | 2): number => sticks.reduce((n, s) => Math.min(n, s.min[k]), Infinity);
    const most = (k: 0 | 1 | 2): number => sticks.reduce((n, s) => Math.max(n, s.max[k]), -Infinity);
    return [
      {
        design,
        place,
        sticks,
        outline: hull(corners),
        min: [least(0), least(1), least(2)],
        max: [most(0), most(1), most(2)],
      },
    ];
  });
}
