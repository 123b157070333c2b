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
export const ROOM_SIDES = ["front", "right", "back", "left"] as const;
/** A place on a wall of a room: so far along it, in plan. */
export const onSide = (r: Pick<Room, "wide" | "deep">, side: RoomSide, along: number): readonly [number, number] =>
  side === "front" ? [along, 0] : side === "back" ? [along, r.deep] : side === "left" ? [0, along] : [r.wide, along];
