import type { CoverDoc } from "../job";
import { ROOM_SIDES, type Room } from "./room";

/** What a paper can cover in a room. */
export interface RoomCover {
  readonly name: string;
  readonly cover: CoverDoc;
}
const tidy = (x: number): number => Math.round(x * 100) / 100;
/** The floor and the walls of a room, prototype mm; walls as they are seen from inside, with their doors and windows to be cut out, from the lower left corner. */
export function coversOf(r: Room, ratio: number): RoomCover[] {
  const walls = ROOM_SIDES.map((side): RoomCover => {
    const long = side === "front" || side === "back" ? r.wide : r.deep;
    // who stands inside before the front or the right wall has the room's left, or its front, at the right hand
    const turned = side === "front" || side === "right";
    const holes = r.openings[side]
      .filter((o) => o.sill < r.high)
      .map((o) => ({ x: tidy((turned ? long - o.to : o.from) * ratio), y: tidy(o.sill * ratio), wide: tidy((o.to - o.from) * ratio), high: tidy((Math.min(o.head, r.high) - o.sill) * ratio) })); // prettier-ignore
    return { name: `${r.name}: ${side} wall, from inside`, cover: { length: tidy(long * ratio), height: tidy(r.high * ratio), ...(holes.length > 0 ? { holes } : {}) } }; // prettier-ignore
  });
  return [{ name: `${r.name}: floor or ceiling`, cover: { length: tidy(r.wide * ratio), height: tidy(r.deep * ratio) } }, ...walls]; // prettier-ignore
}
