import { line, outline, rectangle, text, type Drawing, type Entity } from "../drawing";
import type { Vec2 } from "../geometry";
import type { InsideDoc, LampDoc } from "../job";
import { model, printMm } from "../units";
import { fittingOutline } from "./fittings";
import { floorBefore, swingOf } from "./judged";
import { onSide, ROOM_SIDES, type Room } from "./room";
import { lampAt, wiresOf } from "./wiring";

/** How large a lamp is drawn, mm. */
const LAMP = 1.4;
/** Over the list of wires. */
const TITLE = "Wires, in the order they are laid (low voltage only)";
/** Between the plan and the section over it, mm. */
const APART = 14;
/** A room at full size: its plan with doors and windows and what stands in it, and over it the section seen from the front. Model mm. */
export function insideDrawing(
  r: Room,
  inside: Pick<InsideDoc, "things" | "lamps" | "wires">,
  ratio: number,
  groups: readonly LampDoc[] = [],
): Drawing {
  // prettier-ignore
  const { things, lamps = [] } = inside;
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
  const lit: Entity[] = [];
  for (const l of lamps) {
    const [x, y, z] = lampAt(l, ratio);
    // a lamp is a circle with a cross, in plan and in section
    for (const at of [[x, y], [x, z0 + z]] as const) lit.push({ kind: "circle", centre: at, radius: LAMP, line: "outline" }, line([at[0] - LAMP, at[1]], [at[0] + LAMP, at[1]], "thin"), line([at[0], at[1] - LAMP], [at[0], at[1] + LAMP], "thin")); // prettier-ignore
    words.push(text([x, y + LAMP + 0.6], l.name, 1.6, "middle"));
  }
  const wires = wiresOf(r, inside, groups, ratio);
  const ways: Entity[] = wires.map((w) => ({ kind: "path" as const, points: w.points.map((p): Vec2 => [p[0], p[1]]), closed: false, line: "hidden" as const })); // prettier-ignore
  const list = wires.map((w, i) => `${i + 1}. ${w.of}, string ${w.string}: ${w.from} to ${w.to}, cut ${mm(w.cut)}`);
  if (list.length > 0) {
    // in a frame, so that a page has room for the words
    const wide = Math.max(...list.map((t) => t.length), TITLE.length) * 2 * 0.85 + 4;
    walls.push(outline(rectangle(0, -14 - 4 * list.length, wide, 4 * list.length + 7), "thin"));
    words.push(text([2, -11], TITLE, 2, "start", "label"));
    list.forEach((t, i) => words.push(text([2, -15 - 4 * i], t, 2)));
  }
  return { layers: [{ name: "walls", entities: walls }, { name: "inside", entities: bodies }, { name: "wires", entities: ways }, { name: "lamps", entities: lit }, { name: "words", entities: words }].filter((l) => l.entities.length > 0 || l.name === "inside") }; // prettier-ignore
}
