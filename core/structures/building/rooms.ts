import type { BuildingValues, SideName } from "./parameters";

/** Whether anybody sees into a room: of a part, counted from the left end. */
export const roomSeen = (v: BuildingValues, part: number, room: number): boolean =>
  !v.unseenRooms.some((r) => r.part === part && r.room === room);
/** How many rooms a part has. */
const roomsOf = (v: BuildingValues, part: number): number => (part === 0 ? v.partitions.length + 1 : 1);
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
