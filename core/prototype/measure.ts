import { polygonArea, type Vec2 } from "../geometry";
import { toDegrees } from "../units";
import { fromPixel, type SheetScale } from "./sheetScale";

/** What can be measured on a sheet. */
export const MEASURES = {
  length: { name: "Length", points: 2, unit: "length", say: "Press on both ends." },
  across: { name: "Across", points: 2, unit: "length", say: "Press on two points; only the level distance counts." },
  up: { name: "Up", points: 2, unit: "length", say: "Press on two points; only the plumb distance counts." },
  angle: { name: "Angle", points: 3, unit: "angle", say: "Press on one arm, the corner, and the other arm." },
  lean: { name: "Lean from plumb", points: 2, unit: "angle", say: "Press on two points of the leaning line." },
  slope: { name: "Slope from level", points: 2, unit: "angle", say: "Press on two points of the sloping line." },
  batter: { name: "Batter", points: 2, unit: "batter", say: "Press on two points of the battered line." },
  pitch: { name: "Pitch", points: 2, unit: "pitch", say: "Press on two points of the roof line." },
  radius: { name: "Radius", points: 3, unit: "length", say: "Press on three points of the arc." },
  count: { name: "Spacing", points: 2, unit: "spacing", say: "Press on the first and the last of the row." },
  area: { name: "Area", points: 0, unit: "area", say: "Press on the corners in turn, and on the first again." },
} as const satisfies Record<string, { name: string; points: number; unit: MeasureUnit; say: string }>;
export type MeasureKind = keyof typeof MEASURES;
/** What a value is: mm, degrees, inches of run per foot of height, inches of rise in 12 of run, mm from one to the next, mm². */
export type MeasureUnit = "length" | "angle" | "batter" | "pitch" | "spacing" | "area";

/** Least that two points are apart, prototype mm, for a direction to be told. */
const NO_LENGTH = 1e-9;

/** Angle at `corner` between the directions to a and b, degrees, 0 to 180. */
export function angleAt(a: Vec2, corner: Vec2, b: Vec2): number {
  const [u, v] = [
    [a[0] - corner[0], a[1] - corner[1]],
    [b[0] - corner[0], b[1] - corner[1]],
  ] as const;
  return toDegrees(Math.abs(Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1])));
}

/** The circle through three points: its radius and centre. Errors: points in one line. */
export function circleThrough(a: Vec2, b: Vec2, c: Vec2): { readonly radius: number; readonly centre: Vec2 } {
  const d = 2 * (a[0] * (b[1] - c[1]) + b[0] * (c[1] - a[1]) + c[0] * (a[1] - b[1]));
  const [A, B, C] = [a, b, c].map((p) => p[0] * p[0] + p[1] * p[1]) as [number, number, number];
  const spread = Math.max(Math.hypot(b[0] - a[0], b[1] - a[1]), Math.hypot(c[0] - a[0], c[1] - a[1]));
  if (Math.abs(d) < 1e-9 * spread * spread)
    throw new Error("The three points lie in one line, so no arc passes through them.");
  const centre: Vec2 = [
    (A * (b[1] - c[1]) + B * (c[1] - a[1]) + C * (a[1] - b[1])) / d,
    (A * (c[0] - b[0]) + B * (a[0] - c[0]) + C * (b[0] - a[0])) / d,
  ];
  return { radius: Math.hypot(a[0] - centre[0], a[1] - centre[1]), centre };
}

/**
 * The value of a measure in the unit of its kind, from its pixels. `count` is how many there are from the first to the
 * last, both told, for a spacing. Errors: too few points; points that give no direction, arc or spacing.
 */
export function measureValue(kind: MeasureKind, pixels: readonly Vec2[], s: SheetScale, count = 2): number {
  const p = pixels.map((q) => fromPixel(s, [0, 0], q));
  const need = MEASURES[kind].points || 3;
  if (p.length < need) throw new Error(`${MEASURES[kind].name} needs ${need} points; ${p.length} are there.`);
  const [a, b, c] = p as [Vec2, Vec2, Vec2];
  const [dx, dy] = [Math.abs(b[0] - a[0]), Math.abs(b[1] - a[1])];
  const rate = (run: number, per: number, what: string): number => {
    if (per < NO_LENGTH) throw new Error(`The two points have no ${what} between them.`);
    return (12 * run) / per;
  };
  switch (kind) {
    case "length":
      return Math.hypot(dx, dy);
    case "across":
      return dx;
    case "up":
      return dy;
    case "angle":
      return angleAt(a, b, c);
    case "lean":
      return toDegrees(Math.atan2(dx, dy));
    case "slope":
      return toDegrees(Math.atan2(dy, dx));
    case "batter":
      return rate(dx, dy, "height");
    case "pitch":
      return rate(dy, dx, "run");
    case "radius":
      return circleThrough(a, b, c).radius;
    case "count":
      if (!(count >= 2)) throw new Error("A spacing needs at least two to count.");
      return Math.hypot(dx, dy) / (count - 1);
    case "area":
      return Math.abs(polygonArea(p));
  }
}
