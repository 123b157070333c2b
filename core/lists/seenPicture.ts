import { boundsOfShown, outline, type Entity, type Fill, type Seen } from "../drawing";
import type { Vec2 } from "../geometry";

/** What is seen of a structure, as a picture in a box of the page: fitted into it, in its middle, from the furthest to the nearest; the lines of a texture, which would run together at this size, are left out. `fillOf` says how each stick is filled; it answers nothing for one that is left out. */
export function seenPicture(
  seen: readonly Seen[],
  at: Vec2,
  size: Vec2,
  fillOf: (s: Seen) => Fill | undefined = () => "timber",
): Entity[] {
  const shown = seen.filter((s) => fillOf(s) !== undefined);
  const box = boundsOfShown(shown);
  if (!box) return [];
  const [w, h] = [Math.max(box.max[0] - box.min[0], 1e-6), Math.max(box.max[1] - box.min[1], 1e-6)];
  const k = Math.min(size[0] / w, size[1] / h);
  const [dx, dy] = [at[0] + (size[0] - w * k) / 2, at[1] + (size[1] - h * k) / 2];
  const to = ([x, y]: Vec2): Vec2 => [dx + (x - box.min[0]) * k, dy + (y - box.min[1]) * k];
  return shown.flatMap((s) => s.outlines.filter((o) => o.length > 2).map((o) => outline(o.map(to), "thin", fillOf(s))));
}
