import { addScaled, dot, type Vec3 } from "../geometry";
import type { OuterWall } from "../structures";
import type { StructureDesign } from "../job";
import { ROOM_SIDES, type Room, type RoomOpening } from "./room";

/** The axes of a room in its structure's own: its left front corner inside at the level of z = 0, along the front, and to the back; with its walls. Undefined where it is not walled all round. */
export function roomFrame(s: StructureDesign) {
  if (s.fault) return undefined;
  const all = s.kind.outerWalls?.(s.variant.params, s.context) ?? [];
  const [front, right, back, left] = ROOM_SIDES.map((side) => all.find((w) => w.inside?.side === side));
  if (!front || !right || !back || !left) return undefined;
  const [ex, ey] = [front.along, [-front.out[0], -front.out[1], -front.out[2]] as Vec3];
  const face = (w: OuterWall): Vec3 => addScaled(w.from, w.out, -w.inside!.behind);
  const [x0, y0] = [dot(face(left), ex), dot(face(front), ey)];
  const [wide, deep] = [dot(face(right), ex) - x0, dot(face(back), ey) - y0];
  if (!(wide > 1 && deep > 1)) return undefined;
  const zero: Vec3 = [ex[0] * x0 + ey[0] * y0, ex[1] * x0 + ey[1] * y0, 0];
  return { zero, ex, ey, x0, y0, wide, deep, front, right, back, left };
}
/** The room of a structure that is walled all round, as its kind tells its walls; undefined where it has none. */
export function roomOf(s: StructureDesign): Room | undefined {
  const frame = roomFrame(s);
  if (!frame) return undefined;
  const { ex, ey, x0, y0, wide, deep, front, right, back, left } = frame;
  const openings = (w: OuterWall, axis: Vec3, zero: number): RoomOpening[] =>
    w.openings.map((g) => {
      const [from, to] = [g.from, g.to].map((at) => dot(addScaled(w.from, w.along, at), axis) - zero).sort((a, b) => a - b); // prettier-ignore
      return { door: g.door, from: from!, to: to!, sill: Math.max(0, w.from[2] + g.sill), head: w.from[2] + g.head };
    });
  return {
    structure: s.structure.id,
    name: s.structure.name,
    wide,
    deep,
    high: Math.min(...[front, back].map((w) => w.from[2] + w.height)),
    openings: {
      front: openings(front, ex, x0),
      back: openings(back, ex, x0),
      left: openings(left, ey, y0),
      right: openings(right, ey, y0),
    },
  };
}
