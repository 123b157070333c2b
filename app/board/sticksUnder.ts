import type { Shown } from "core/drawing";
import type { Vec2 } from "core/geometry";

const covers = (s: Shown, p: Vec2): boolean =>
  p[0] >= s.min[0] && p[0] <= s.max[0] && p[1] >= s.min[1] && p[1] <= s.max[1] && windings(s, p) > 0;
/** How often a stick's outlines run round a point: parts counter-clockwise, holes clockwise. */
function windings(s: Shown, [x, y]: Vec2): number {
  let n = 0;
  for (const o of s.outlines)
    o.forEach((a, i) => {
      const b = o[(i + 1) % o.length]!;
      if (a[1] > y === b[1] > y) return;
      const side = (b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0]);
      if (b[1] > a[1] ? side > 0 : side < 0) n += b[1] > a[1] ? 1 : -1;
    });
  return n;
}
/** The painted sticks under a point of the drawing, the nearest to the eye first. */
export function sticksUnder(shown: readonly Shown[], p: Vec2): string[] {
  const out: string[] = [];
  for (let i = shown.length - 1; i >= 0; i--) if (covers(shown[i]!, p)) out.push(shown[i]!.id);
  return out;
}
/** Whether a stick is what one sees at a point: nothing nearer to the eye lies over it there. `at` is its place among those shown, the farthest first. */
export function seenAt(shown: readonly Shown[], at: number, p: Vec2): boolean {
  for (let i = shown.length - 1; i > at; i--) if (covers(shown[i]!, p)) return false;
  return true;
}
