import { addScaled, boundsOf, dot, insideRing, sub, type Solid, type Vec3 } from "../geometry";
import type { InsideDoc, LightsDoc, StructureDesign } from "../job";
import { lookOf } from "../lumber";
import { model, printFeetInches, printMm } from "../units";
import { lampAt } from "./wiring";
import { onSide, ROOM_SIDES, type Room, type RoomSide } from "./room";
import { roomFrame } from "./roomOf";
import { fittingOutline } from "./fittings";

/** What of a wall's stuff stops light, model mm of plastic and of wood. From memory: white plastic of 2 mm still glows, a veneer of half a millimetre does. */
const STOPS = { styrene: 2, timber: 0.8, glass: Infinity } as const;
/** Places that are looked at along and up a wall. */
const [ALONG, UP] = [29, 9];
/** How far behind the inside of a wall its stuff is looked for, model mm. */
const PAST = 14;
/** A wall is told to let light out where more than this share of it does. */
const TOLD = 0.02;

/** What light of a lamp does at the walls: the share of each wall's face, its openings left out, where nothing stops it, and where it glows through. */
export interface Leak {
  readonly side: RoomSide;
  readonly open: number;
  readonly glows: number;
}
/** How much of a straight way is in a solid: from where to where, of 1; undefined where none is. */
export function wayIn(s: Solid, a: Vec3, b: Vec3): readonly [number, number] | undefined {
  const d = sub(b, a);
  let [from, to] = [0, 1];
  for (const { plane } of s.faces) {
    const over = dot(plane.n, a) - plane.d;
    const rise = dot(plane.n, d);
    if (Math.abs(rise) < 1e-12) {
      if (over > 0) return undefined;
      continue;
    }
    const t = -over / rise;
    if (rise > 0) to = Math.min(to, t);
    else from = Math.max(from, t);
    if (from >= to) return undefined;
  }
  return [from, to];
}
/** How light of lamps in a room gets out through its walls: rays from the lamp nearest to each wall to places spread over it, through the sticks and sheets in their way. Room axes, model mm. */
export function leaks(s: StructureDesign, r: Room, lamps: readonly Vec3[]): Leak[] {
  const { zero, ex, ey } = roomFrame(s)!;
  const inWorld = (p: Vec3): Vec3 => addScaled(addScaled([zero[0], zero[1], p[2]], ex, p[0]), ey, p[1]);
  const parts = s.resolved.sticks.flatMap((k) => k.parts.map((p) => ({ p, stops: STOPS[lookOf(k.stock)], ...ballOf(p) }))); // prettier-ignore
  return ROOM_SIDES.map((side): Leak => {
    const long = side === "front" || side === "back" ? r.wide : r.deep;
    const before = (p: Vec3): number => ({ front: p[1], back: r.deep - p[1], left: p[0], right: r.wide - p[0] })[side];
    const from = inWorld(lamps.reduce((a, b) => (before(b) < before(a) ? b : a)));
    const out = side === "front" || side === "back" ? ey : ex;
    const [at] = [dot(inWorld([...onSide(r, side, 0), 0]), out)];
    // what is in the wall or just before or behind it
    const near = parts.filter((x) => Math.abs(dot(x.c, out) - at) < PAST + x.r);
    let [open, glows, all] = [0, 0, 0];
    for (let i = 0; i < ALONG; i++)
      for (let k = 0; k < UP; k++) {
        const [u, z] = [(long * (i + 0.5)) / ALONG, (r.high * (k + 0.5)) / UP];
        if (r.openings[side].some((o) => u > o.from - 1 && u < o.to + 1 && z > o.sill - 1 && z < o.head + 1)) continue;
        const face = inWorld([...onSide(r, side, u), z]);
        const way = sub(face, from);
        const to = addScaled(face, way, PAST / Math.max(Math.hypot(...way), 1));
        const length = Math.hypot(...sub(to, from));
        let stopped = 0;
        for (const x of near) {
          if (!passes(x.c, x.r, from, to)) continue;
          const on = wayIn(x.p, from, to);
          if (on) stopped += ((on[1] - on[0]) * length) / x.stops;
        }
        all++;
        if (stopped < 1e-6) open++;
        else if (stopped < 1) glows++;
      }
    return { side, open: all > 0 ? open / all : 0, glows: all > 0 ? glows / all : 0 };
  });
}
const ballOf = (s: Solid): { readonly c: Vec3; readonly r: number } => {
  const { min, max } = boundsOf([s]);
  return { c: [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2], r: Math.hypot(...sub(max, min)) / 2 }; // prettier-ignore
};
/** Whether a straight way comes within so far of a point. Asked by the hundred thousand. */
function passes(c: Vec3, r: number, a: Vec3, b: Vec3): boolean {
  const [dx, dy, dz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const [x, y, z] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
  const t = Math.max(0, Math.min(1, (x * dx + y * dy + z * dz) / (dx * dx + dy * dy + dz * dz)));
  return (x - t * dx) ** 2 + (y - t * dy) ** 2 + (z - t * dz) ** 2 <= r * r;
}

/** What is wrong with the lamps of a room: outside of it, in a body, fewer or more than were reckoned, light that gets out through the walls. */
export function lampNotes(
  s: StructureDesign,
  r: Room,
  inside: InsideDoc,
  lights: LightsDoc | undefined,
  ratio: number,
): { readonly key: string; readonly level: "warning" | "remark"; readonly text: string }[] {
  // prettier-ignore
  const lamps = inside.lamps ?? [];
  const out: { key: string; level: "warning" | "remark"; text: string }[] = [];
  for (const l of lamps) {
    const p = lampAt(l, ratio);
    if (p[0] < -0.05 || p[0] > r.wide + 0.05 || p[1] < -0.05 || p[1] > r.deep + 0.05) out.push({ key: `${l.id}:lamp`, level: "warning", text: `${l.name} hangs outside the room of ${r.name}.` }); // prettier-ignore
    else if (p[2] > r.high + 0.05) out.push({ key: `${l.id}:lamp`, level: "remark", text: `${l.name} hangs ${printFeetInches(l.z - r.high * ratio)} over the tops of the walls: it is in the roof, and comes off with it.` }); // prettier-ignore
    const body = inside.things.find((t) => l.z > t.low && l.z < t.high && insideRing([p[0], p[1]], fittingOutline(t, ratio))); // prettier-ignore
    if (body) out.push({ key: `${l.id}:body`, level: "warning", text: `${l.name} hangs in ${body.name}: put it higher than ${printFeetInches(body.high)}, or beside it.` }); // prettier-ignore
  }
  for (const g of lights?.lamps ?? []) {
    const placed = lamps.filter((l) => l.of === g.id).length;
    if (placed > g.count) out.push({ key: `${g.id}:count`, level: "warning", text: `${g.name}: ${placed} hang in ${r.name}, and the resistors were reckoned for ${g.count}.` }); // prettier-ignore
  }
  const inRoom = lamps.map((l) => lampAt(l, ratio)).filter((p) => p[0] > 0 && p[0] < r.wide && p[1] > 0 && p[1] < r.deep && p[2] < r.high); // prettier-ignore
  if (inRoom.length === 0) return out;
  const all = leaks(s, r, inRoom);
  const walls = (k: "open" | "glows"): RoomSide[] => all.filter((x) => x[k] > TOLD).map((x) => x.side);
  const words = (sides: readonly RoomSide[]): string => (sides.length === 4 ? "all walls" : `the ${sides.join(" and ")} wall${sides.length > 1 ? "s" : ""}`); // prettier-ignore
  const [gaps, thin] = [walls("open"), walls("glows")];
  if (gaps.length > 0) out.push({ key: "gaps", level: "warning", text: `Light comes out of ${r.name} beside its openings, through joints and gaps of ${words(gaps)}: close them from inside with strip, foil or thick paint before the lamps go in.` }); // prettier-ignore
  if (thin.length > 0) out.push({ key: "glows", level: "warning", text: `${words(thin)[0]!.toUpperCase()}${words(thin).slice(1)} of ${r.name} glow${thin.length === 1 ? "s" : ""} where a lamp shines: less than ${printMm(model(STOPS.styrene), 1)} of plastic or ${printMm(model(STOPS.timber), 1)} of wood stands in its way. Paint the inside black, then in its colour.` }); // prettier-ignore
  return out;
}
