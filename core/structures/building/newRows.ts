import { feet, prototype } from "../../units";
import type { BuildingValues } from "./parameters";

/** The row that is added next to a table of rooms or of a floor's corners; undefined for other tables. */
export function buildingRow(v: BuildingValues, path: string): Readonly<Record<string, unknown>> | undefined {
  if (path === "unseenRooms") {
    const known = (room: number): boolean => v.unseenRooms.some((r) => r.part === 0 && r.room === room);
    const free = Array.from({ length: v.partitions.length + 1 }, (_, i) => i + 1).find((r) => !known(r));
    return { part: 0, room: free ?? 1 };
  }
  if (path !== "outline") return undefined;
  // first the four corners of the rectangle, then one more between the last and the first, a foot in
  const corners = [
    [0, 0],
    [v.length, 0],
    [v.length, v.width],
    [0, v.width],
  ] as const;
  const next = corners[v.outline.length];
  if (next) return { x: prototype(next[0]), y: prototype(next[1]) };
  const [a, b] = [v.outline[v.outline.length - 1]!, v.outline[0]!];
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const [nx, ny] = [-(b.y - a.y) / long, (b.x - a.x) / long];
  return { x: prototype((a.x + b.x) / 2 + nx * feet(1)), y: prototype((a.y + b.y) / 2 + ny * feet(1)) };
}
