import { line, outline, rectangle, text, type Drawing, type Entity } from "../drawing";
import type { Vec2 } from "../geometry";
import type { FittingDoc } from "../job";
import { model, printMm } from "../units";
import { fittingOutline } from "./fittings";
import { floorBefore, swingOf } from "./judged";
import { onSide, ROOM_SIDES, type Room } from "./room";

/** Between the plan and the section over it, mm. */
const APART = 14;
/** A room at full size: its plan with doors and windows and what stands in it, and over it the section seen from the front. Model mm. */
export function insideDrawing(r: Room, things: readonly FittingDoc[], ratio: number): Drawing {
  const [walls, bodies, words]: [Entity[], Entity[], Entity[]] = [[], [], []];
  walls.push(outline(rectangle(0, 0, r.wide, r.deep), "outline"));
  for (const side of ROOM_SIDES)
    for (const o of r.openings[side]) {
      const [a, b] = [onSide(r, side, o.from), onSide(r, side, o.to)] as [Vec2, Vec2];
      const d = side === "front" ? [0, -1.2] : side === "back" ? [0, 1.2] : side === "left" ? [-1.2, 0] : [1.2, 0];
      walls.push(line([a[0] + d[0]!, a[1] + d[1]!], [b[0] + d[0]!, b[1] + d[1]!], "thin"));
      for (const p of [a, b]) walls.push(line(p, [p[0] + d[0]!, p[1] + d[1]!], "thin"));
      if (o.door) walls.push(outline(floorBefore(r, side, o, swingOf(o, ratio)), "hidden"));
    }
  const z0 = r.deep + APART;
  walls.push(outline(rectangle(0, z0, r.wide, r.high), "outline"));
  // what is further back is drawn first
  for (const f of [...things].sort((a, b) => b.y - a.y)) {
    const ring = fittingOutline(f, ratio);
    bodies.push(outline(ring, "thin", "timber"));
    const xs = ring.map((c) => c[0]);
    const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
    bodies.push(outline(rectangle(x0, z0 + f.low / ratio, x1 - x0, (f.high - f.low) / ratio), "thin", "timber"));
    words.push(text([f.x / ratio, f.y / ratio - 0.7], f.name, 1.6, "middle"));
  }
  const mm = (x: number): string => printMm(model(x), 1);
  words.push(text([r.wide / 2, -5], `${r.name}: ${mm(r.wide)} × ${mm(r.deep)} inside`, 2.2, "middle", "label"));
  words.push(
    text([r.wide / 2, z0 - 5], `seen from the front, ${mm(r.high)} to the top of the walls`, 2.2, "middle", "label"),
  );
  return { layers: [{ name: "walls", entities: walls }, { name: "inside", entities: bodies }, { name: "words", entities: words }] }; // prettier-ignore
}
