import type { Remark } from "../../kind";
import type { BuildingValues, SideName } from "../parameters";

/** Whether anybody sees into a room: of a part, counted from the left end. */
export const roomSeen = (v: BuildingValues, part: number, room: number): boolean =>
  !v.unseenRooms.some((r) => r.part === part && r.room === room);
/** How many rooms a part has: wings with walls of their own have one. */
const roomsOf = (v: BuildingValues, part: number): number => {
  if (part === 0) return v.partitions.length + 1;
  const kind = v.wings[part - 1]?.kind;
  return kind === "gable" || kind === "lean" ? 1 : 0;
};
/** Rooms that are named as unseen and are not there: they leave nothing out. */
export const roomRemarks = (v: BuildingValues): Remark[] =>
  v.unseenRooms.flatMap((r, i): Remark[] => {
    const rooms = roomsOf(v, r.part);
    if (r.room <= rooms) return [];
    const where = r.part === 0 ? "the main part" : v.wings[r.part - 1] ? `wing ${r.part}` : undefined;
    const has = where ? `${where} has ${rooms === 0 ? "no rooms" : rooms}` : `there is no wing ${r.part}`;
    return [
      {
        param: "unseenRooms",
        text: `Unseen room ${i + 1} is room ${r.room}, and ${has}: nothing is left out for it. Choose a room that is there, or take the row out.`,
        fix: { label: "Take it out", value: v.unseenRooms.filter((_, n) => n !== i) },
      },
    ];
  });
/** Whether a wall bounds a room that is seen into. */
export function boundsSeen(v: BuildingValues, part: number, looks: SideName): boolean {
  const n = roomsOf(v, part);
  const rooms = looks === "left" ? [1] : looks === "right" ? [n] : Array.from({ length: n }, (_, i) => i + 1);
  return rooms.some((r) => roomSeen(v, part, r));
}
/** Whether anybody sees a part's floor. */
export const floorSeen = (v: BuildingValues, part: string): boolean => {
  const number = part === "main" ? 0 : Number(part.replace(/\D/g, ""));
  return Array.from({ length: roomsOf(v, number) }, (_, i) => i + 1).some((r) => roomSeen(v, number, r));
};
