/** A plan sheet as an engineer's office draws it: border, title block, notes, dimension lines, and the structure's elevation. */
import { elevation, line, outline, text, VIEWS, type Drawing, type Entity, type LineStyle } from "../core/drawing";
import type { Vec2 } from "../core/geometry";
import type { Design } from "../core/job";
import { printFeetInches, prototype, toPrototype, model } from "../core/units";

export interface PlanSheetOptions {
  readonly title: readonly string[];
  readonly notes: readonly string[];
  /** Scale of the sheet: 1/48 is 1/4 in to the foot. */
  readonly scale: number;
  /** Where the structure's origin stands on the sheet, mm. */
  readonly origin: Vec2;
  readonly size?: Vec2;
  /** Where the notes' block stands along the lower border. */
  readonly block?: "right" | "left" | "strip";
  /** On which side the height is dimensioned. */
  readonly heightOn?: "left" | "right";
  /** Thin lines besides: a second tier of dimensions, leaders, the ground. */
  readonly busy?: boolean;
  /** Leaders from members to notes, where it is busy. */
  readonly leaders?: boolean;
}
/** A member as it stands on the sheet: its centre line and width there, mm, y up. */
export interface SheetMember {
  readonly id: string;
  readonly a: Vec2;
  readonly b: Vec2;
  readonly width: number;
  readonly hidden: boolean;
}
export interface PlanSheet {
  readonly drawing: Drawing;
  readonly size: Vec2;
  /** Sheet mm per model mm. */
  readonly k: number;
  readonly members: readonly SheetMember[];
  readonly onSheet: (p: Vec2) => Vec2;
}

const TICK = 1.2;
function dimension(a: Vec2, b: Vec2, words: string): Entity[] {
  const upright = Math.abs(b[0] - a[0]) < Math.abs(b[1] - a[1]);
  const tick = (p: Vec2): Entity => line([p[0] - TICK, p[1] - TICK], [p[0] + TICK, p[1] + TICK], "outline");
  const at: Vec2 = [(a[0] + b[0]) / 2 - (upright ? 1.5 : 0), (a[1] + b[1]) / 2 + (upright ? 0 : 1.2)];
  return [line(a, b, "thin"), tick(a), tick(b), text(at, words, 3, "middle", "label", upright ? 90 : 0)];
}
const box = (x: number, y: number, w: number, h: number): Entity =>
  outline(
    [
      [x, y],
      [x + w, y],
      [x + w, y + h],
      [x, y + h],
    ],
    "outline",
  );

/** Draws a structure of a design on a sheet. */
export function planSheet(d: Design, index: number, o: PlanSheetOptions): PlanSheet {
  const s = d.structures[index]!;
  const k = toPrototype(d.scale, model(1)) * o.scale;
  const [W, H] = o.size ?? [300, 250];
  const at = (p: Vec2): Vec2 => [o.origin[0] + p[0] * k, o.origin[1] + p[1] * k];
  const members: Entity[] = [];
  const truth: SheetMember[] = [];
  const pts: Vec2[] = [];
  for (const x of elevation(s.resolved.sticks, VIEWS.front)) {
    const hidden = x.role === "sway brace" && x.far < -1;
    pts.push(...x.outlines.flat().map(at));
    for (const shape of x.outlines)
      members.push(hidden ? outline(shape.map(at), "hidden") : outline(shape.map(at), "outline", "white"));
    const l = Math.hypot(...x.along);
    if (l < 0.5) continue;
    const u: Vec2 = [x.along[0] / l, x.along[1] / l];
    const points = x.outlines.flat().map(at);
    const along = points.map((p) => p[0] * u[0] + p[1] * u[1]);
    const off = points.map((p) => p[1] * u[0] - p[0] * u[1]);
    const [lo, hi] = [Math.min(...off), Math.max(...off)];
    const point = (t: number): Vec2 => [t * u[0] - ((lo + hi) / 2) * u[1], t * u[1] + ((lo + hi) / 2) * u[0]];
    truth.push({ id: x.id, a: point(Math.min(...along)), b: point(Math.max(...along)), width: hi - lo, hidden });
  }
  const dims: Entity[] = [];
  const [x0, x1] = [Math.min(...pts.map((p) => p[0])), Math.max(...pts.map((p) => p[0]))];
  const [y0, y1] = [Math.min(...pts.map((p) => p[1])), Math.max(...pts.map((p) => p[1]))];
  const real = (mm: number): string => printFeetInches(prototype(mm / o.scale));
  const side = o.heightOn ?? "left";
  const x = side === "left" ? x0 - 14 : x1 + 14;
  dims.push(...dimension([x, y1], [x, y0], real(y1 - y0)));
  for (const y of [y0, y1])
    dims.push(line([x + (side === "left" ? -3 : 3), y], [side === "left" ? x0 - 1.5 : x1 + 1.5, y], "thin"));
  dims.push(...dimension([x0, y1 + 14], [x1, y1 + 14], real(x1 - x0)));
  for (const e of [x0, x1]) dims.push(line([e, y1 + 1], [e, y1 + 17], "thin"));
  if (o.busy) {
    const mid = (x0 + x1) / 2;
    dims.push(
      ...dimension([x0, y1 + 8], [mid, y1 + 8], real(mid - x0)),
      ...dimension([mid, y1 + 8], [x1, y1 + 8], real(x1 - mid)),
    );
    if (o.leaders !== false)
      truth.slice(0, 3).forEach((t, i) => {
        const from: Vec2 = [(t.a[0] + t.b[0]) / 2, (t.a[1] + t.b[1]) / 2];
        const to: Vec2 = [x1 + 18, y1 - 10 - 9 * i];
        dims.push(
          line(from, to, "thin"),
          line(to, [to[0] + 16, to[1]], "thin"),
          text([to[0] + 1, to[1] + 1], "SEE NOTE", 2.4, "start", "label"),
        );
      });
  }
  const notes: Entity[] = o.title.map((t, i) => text([18, H - 21 - 8 * i], t, i === 0 ? 6 : 3.6, "start", "label"));
  const strip = o.block === "strip";
  const [bw, bh] = strip ? [W - 24, 22] : [72, 56];
  const bx = o.block === "left" || strip ? 12 : W - 12 - bw;
  const border: Entity[] = [box(0, 0, W, H), box(12, 12, W - 24, H - 24), box(bx, 12, bw, bh)];
  const thin = (a: Vec2, b: Vec2, style: LineStyle = "thin"): void => void border.push(line(a, b, style));
  if (strip) for (const t of [0.25, 0.5, 0.75]) thin([bx + t * bw, 12], [bx + t * bw, 12 + bh], "outline");
  else thin([bx, 38], [bx + bw, 38]);
  o.notes.forEach((n, i) => {
    const [px, py] = strip ? [bx + 4 + (i % 4) * (bw / 4), 28 - 7 * Math.floor(i / 4)] : [bx + 4, 60 - 7 * i];
    notes.push(text([px, py], n, 2.8, "start", "label"));
  });
  const ground: Entity[] = o.busy ? [line([x0 - 22, y0 - 0.8], [x1 + 22, y0 - 1.8], "thin")] : [];
  const middle = at([0, 0])[0];
  return {
    size: [W, H],
    k,
    onSheet: at,
    members: truth,
    drawing: {
      layers: [
        { name: "border", entities: border },
        { name: "ground", entities: ground },
        { name: "structure", entities: [line([middle, y1 + 5], [middle, y0 - 5], "centre"), ...members] },
        { name: "dimensions", entities: dims },
        { name: "notes", entities: notes },
      ],
    },
  };
}
