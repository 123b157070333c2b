import type { Vec3 } from "../geometry";
import type { EyeDoc, FittingDoc } from "../job";
import { ROOM_SIDES, type Room, type RoomSide } from "./room";

/** How much of a body is seen from where one stands, of 1, and through the openings of which walls. */
export interface SeenFitting {
  readonly thing: string;
  readonly share: number;
  readonly through: readonly RoomSide[];
}
/** Where one usually stands: 2 ft of the room one is in before the layout, eyes a foot over the floor of the building. From memory. */
export const USUAL_EYE: EyeDoc = { before: 600, right: 0, over: 300 };
/** Points that are looked at along each side of a body. */
const POINTS = 5;

/** The eye in the room's axes, model mm. */
export const eyeIn = (r: Pick<Room, "wide">, eye: EyeDoc): Vec3 => [r.wide / 2 + eye.right, -eye.before, eye.over];
/** The wall that the way from an eye outside to a point inside goes through, and where: along it and over the floor; undefined where it comes over the walls. */
function entry(
  r: Room,
  eye: Vec3,
  p: Vec3,
): { readonly side: RoomSide; readonly along: number; readonly over: number } | undefined {
  const planes = [
    { side: "front", k: 1, at: 0, out: eye[1] < 0 },
    { side: "back", k: 1, at: r.deep, out: eye[1] > r.deep },
    { side: "left", k: 0, at: 0, out: eye[0] < 0 },
    { side: "right", k: 0, at: r.wide, out: eye[0] > r.wide },
  ] as const;
  // of all planes that the eye is outside of, the last one crossed is the wall
  let last: { t: number; side: RoomSide; k: 0 | 1 } | undefined;
  for (const { side, k, at, out } of planes) {
    if (!out) continue;
    const t = (at - eye[k]) / (p[k] - eye[k]);
    if (!last || t > last.t) last = { t, side, k };
  }
  if (!last) return undefined;
  const { t, side, k } = last;
  const at = ([0, 1, 2] as const).map((i) => eye[i] + t * (p[i] - eye[i])) as unknown as Vec3;
  return at[2] > r.high ? undefined : { side, along: at[k === 0 ? 1 : 0], over: at[2] };
}
/** Whether a body stands in the way from an eye to a point, by its own axes. */
function hides(f: FittingDoc, ratio: number, eye: Vec3, p: Vec3): boolean {
  const t = (f.turn * Math.PI) / 180;
  const own = (q: Vec3): Vec3 => {
    const [x, y] = [q[0] - f.x / ratio, q[1] - f.y / ratio];
    return [x * Math.cos(t) + y * Math.sin(t), y * Math.cos(t) - x * Math.sin(t), q[2]];
  };
  const [a, b] = [own(eye), own(p)];
  const box = [[-f.length / 2, f.length / 2], [-f.depth / 2, f.depth / 2], [f.low, f.high]].map((s) => s.map((x) => x / ratio)); // prettier-ignore
  let [from, to] = [0, 1 - 1e-6];
  for (const k of [0, 1, 2] as const) {
    const d = b[k] - a[k];
    const [lo, hi] = box[k]! as [number, number];
    if (Math.abs(d) < 1e-12) {
      if (a[k] <= lo || a[k] >= hi) return false;
      continue;
    }
    const [s, e] = [(lo - a[k]) / d, (hi - a[k]) / d].sort((x, y) => x - y) as [number, number];
    [from, to] = [Math.max(from, s), Math.min(to, e)];
  }
  return to - from > 1e-6;
}
/** What of the bodies in a room is seen from an eye outside, through its doors and windows, past one another; the roof is on. Points spread over each body are looked at one by one. */
export function seenFittings(r: Room, things: readonly FittingDoc[], ratio: number, eye: EyeDoc): SeenFitting[] {
  const from = eyeIn(r, eye);
  return things.map((f): SeenFitting => {
    const t = (f.turn * Math.PI) / 180;
    const through = new Set<RoomSide>();
    let [seen, all] = [0, 0];
    const step = (n: number): number => n / (POINTS - 1) - 0.5;
    for (let i = 0; i < POINTS; i++)
      for (let j = 0; j < POINTS; j++)
        for (let k = 0; k < POINTS; k++) {
          // what is looked at is its skin
          if (![i, j, k].some((n) => n === 0 || n === POINTS - 1)) continue;
          const [u, v] = [step(i) * f.length, step(j) * f.depth];
          const p: Vec3 = [(f.x + u * Math.cos(t) - v * Math.sin(t)) / ratio, (f.y + u * Math.sin(t) + v * Math.cos(t)) / ratio, (f.low + (step(k) + 0.5) * (f.high - f.low)) / ratio]; // prettier-ignore
          all++;
          const at = entry(r, from, p);
          const side = at && ROOM_SIDES.find((s) => s === at.side && r.openings[s].some((o) => at.along > o.from && at.along < o.to && at.over > o.sill && at.over < o.head)); // prettier-ignore
          if (!side || things.some((o) => hides(o, ratio, from, p))) continue;
          seen++;
          through.add(side);
        }
    return { thing: f.id, share: seen / all, through: [...through] };
  });
}
