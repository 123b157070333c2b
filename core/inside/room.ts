import { addScaled, dot, type Vec3 } from "../geometry";
import { buildingLayout, type BuildingValues } from "../structures";
import { sheetLayout } from "../structures/sheet/layout";
import type { SheetValues } from "../structures/sheet/parameters";
import type { StructureDesign } from "../job";

export type RoomSide = "front" | "right" | "back" | "left";
/** A door or window, seen from inside: from where to where it reaches along its wall, counted from the left front corner or, on the back and front, from the left; over the floor. */
export interface RoomOpening {
  readonly door: boolean;
  readonly from: number;
  readonly to: number;
  readonly sill: number;
  readonly head: number;
}
/** The space between the walls of a structure, model mm. */
export interface Room {
  readonly structure: string;
  readonly name: string;
  /** Along the front, and from the front to the back. */
  readonly wide: number;
  readonly deep: number;
  /** From the floor to the top of the walls. */
  readonly high: number;
  readonly openings: Readonly<Record<RoomSide, readonly RoomOpening[]>>;
}
interface AnyWall {
  readonly name: string;
  readonly origin: Vec3;
  readonly e: Vec3;
  readonly n: Vec3;
  readonly length: number;
  readonly gaps: readonly { readonly door: boolean; readonly from: number; readonly to: number; readonly sill: number; readonly head: number }[]; // prettier-ignore
}
export const ROOM_SIDES = ["front", "right", "back", "left"] as const;
/** The room of a structure that is walled all round: the main part of a building; undefined where it has none. */
export function roomOf(s: StructureDesign): Room | undefined {
  if (s.fault) return undefined;
  if (s.kind.id === "building") {
    const l = buildingLayout(s.variant.params as unknown as BuildingValues, s.context);
    const walls = l.main.walls;
    const front = walls.find((w) => w.name === "front");
    return front && between(s, walls, (w) => (w as (typeof walls)[number]).thick, front.top - Math.max(0, front.foot));
  }
  if (s.kind.id === "sheet") {
    const l = sheetLayout(s.variant.params as unknown as SheetValues, s.context);
    return between(s, l.walls, () => l.stack, l.high);
  }
  return undefined;
}
function between(
  s: StructureDesign,
  all: readonly AnyWall[],
  thick: (w: AnyWall) => number,
  high: number,
): Room | undefined {
  const [front, right, back, left] = ROOM_SIDES.map((n) => all.find((w) => w.name === n));
  if (!front || !right || !back || !left) return undefined;
  const [ex, ey] = [front.e, [-front.n[0], -front.n[1], -front.n[2]] as Vec3];
  const face = (w: AnyWall): Vec3 => addScaled(w.origin, w.n, -thick(w));
  const x0 = dot(face(left), ex);
  const y0 = dot(face(front), ey);
  const [wide, deep] = [dot(face(right), ex) - x0, dot(face(back), ey) - y0];
  if (!(wide > 1 && deep > 1)) return undefined;
  const openings = (w: AnyWall, axis: Vec3, zero: number): RoomOpening[] =>
    w.gaps.map((g) => {
      const ends = [g.from, g.to].map((at) => dot(addScaled(w.origin, w.e, at), axis) - zero).sort((a, b) => a - b);
      return { door: g.door, from: ends[0]!, to: ends[1]!, sill: Math.max(0, g.sill), head: g.head };
    });
  return {
    structure: s.structure.id,
    name: s.structure.name,
    wide,
    deep,
    high,
    openings: {
      front: openings(front, ex, x0),
      back: openings(back, ex, x0),
      left: openings(left, ey, y0),
      right: openings(right, ey, y0),
    },
  };
}
/** A place on a wall of a room: so far along it, in plan. */
export const onSide = (r: Pick<Room, "wide" | "deep">, side: RoomSide, along: number): readonly [number, number] =>
  side === "front" ? [along, 0] : side === "back" ? [along, r.deep] : side === "left" ? [0, along] : [r.wide, along];
