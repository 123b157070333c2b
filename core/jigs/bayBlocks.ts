import { outline, text, type Drawing, type Entity } from "../drawing";
import { dot, hull, sub, type Vec2 } from "../geometry";
import type { StructureDesign } from "../job";
import { printFeetInches, printMm, toPrototype, model } from "../units";

/** Lengths closer than this share a block, mm. */
const SAME = 0.02;

/**
 * Blocks that set the frames of a snowshed apart at their posts: the girts between them as seen from above, full size,
 * their ends as the curve makes them; equal ones once, with the bays they serve. Undefined where there is no bay.
 */
export function bayBlocks(s: StructureDesign): Drawing | undefined {
  const found: { long: number; shape: Vec2[]; bays: string[]; side: string }[] = [];
  for (const k of s.resolved.sticks) {
    const place = /\/bay(\d+)\/girt\/(left|right)1$/.exec(k.member.id);
    if (!place) continue;
    const { u } = k.axes;
    const across = [-u[1], u[0], 0] as const;
    const from = k.axes.origin;
    const shape = hull(
      k.parts.flatMap((p) =>
        p.faces.flatMap((f) => f.corners.map((c): Vec2 => [dot(sub(c, from), u), dot(sub(c, from), across)])),
      ),
    );
    const xs = shape.map((p) => p[0]);
    const long = Math.max(...xs) - Math.min(...xs);
    const same = found.find((f) => f.side === place[2] && Math.abs(f.long - long) < SAME);
    if (same) same.bays.push(place[1]!);
    else found.push({ long, shape, bays: [place[1]!], side: place[2]! });
  }
  if (found.length === 0) return undefined;
  let y = 0;
  const entities = found
    .sort((a, b) => b.long - a.long)
    .flatMap((f): Entity[] => {
      const [xs, ys] = [f.shape.map((p) => p[0]), f.shape.map((p) => p[1])];
      const [x0, y0, deep] = [Math.min(...xs), Math.min(...ys), Math.max(...ys) - Math.min(...ys)];
      y -= deep + 16;
      const bays = `${f.bays.length} ${f.bays.length === 1 ? "bay" : "bays"}`;
      const long = printFeetInches(toPrototype(s.context.scale, model(f.long)));
      return [
        outline(
          f.shape.map((p): Vec2 => [p[0] - x0, p[1] - y0 + y]),
          "outline",
          "timber",
        ),
        text([0, y - 4], `${printMm(f.long, 2)}: ${bays} on the ${f.side}`, 2.4, "start", "label"),
        text([0, y - 7.4], `${long} clear between the posts; a girt is cut to it. Bays ${f.bays.join(", ")}`, 1.9),
      ];
    });
  return { layers: [{ name: "spacer-blocks", entities }] };
}
