import { dot, hull, type Vec2, type Vec3 } from "../geometry";
import type { Resolved } from "../frame";

/** From where a structure is looked at: the directions to the right and up on the drawing, and towards the eye. */
export interface View {
  readonly id: "front" | "side" | "plan";
  readonly right: Vec3;
  readonly up: Vec3;
  readonly eye: Vec3;
}
/** Bents stand across the track: the front is seen looking back along it, the side from the left of the bent. */
export const VIEWS: Readonly<Record<View["id"], View>> = {
  front: { id: "front", right: [0, 1, 0], up: [0, 0, 1], eye: [1, 0, 0] },
  side: { id: "side", right: [1, 0, 0], up: [0, 0, 1], eye: [0, -1, 0] },
  plan: { id: "plan", right: [0, 1, 0], up: [-1, 0, 0], eye: [0, 0, 1] },
};
/** One stick on an elevation: the outlines of its parts, [right, up] mm, and how near it is to the eye. */
export interface Shown {
  readonly id: string;
  readonly role: string;
  readonly outlines: readonly (readonly Vec2[])[];
  /** Nearest and farthest along the line of sight, mm; larger is nearer. */
  readonly near: number;
  readonly far: number;
  readonly centre: Vec2;
  /** Direction of its length on the drawing; nearly [0, 0] when it is seen end on. */
  readonly along: Vec2;
}

/** Sticks as an eye sees them, the farthest first, so that painting them in order hides what is hidden. */
export function elevation(sticks: readonly Resolved[], view: View): Shown[] {
  const flat = (p: Vec3): Vec2 => [dot(p, view.right), dot(p, view.up)];
  return sticks
    .map((s): Shown => {
      const corners = s.parts.map((p) => p.faces.flatMap((f) => f.corners));
      const outlines = corners.map((c) => hull(c.map(flat), 1e-7));
      const depths = corners.flat().map((p) => dot(p, view.eye));
      const all = outlines.flat();
      const mid = (k: 0 | 1): number => (Math.min(...all.map((p) => p[k])) + Math.max(...all.map((p) => p[k]))) / 2;
      return {
        id: s.id,
        role: s.member.role,
        outlines,
        near: Math.max(...depths),
        far: Math.min(...depths),
        centre: [mid(0), mid(1)],
        along: flat(s.axes.u),
      };
    })
    .sort((a, b) => a.near + a.far - (b.near + b.far));
}
