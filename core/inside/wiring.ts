import { sub, type Vec3 } from "../geometry";
import type { Corner, InsideDoc, LampDoc, RoomLampDoc } from "../job";
import type { Room } from "./room";

/** Wire to spare on a run, of its length: both ends are stripped and soldered. Common practice. */
export const SPARE = 0.15;
/** A wire of the lights of a room, in the room's axes, model mm. */
export interface Wire {
  /** "Supply" or the name of a lamp. */
  readonly from: string;
  readonly to: string;
  /** The lamps it belongs to, and which of their strings, from 1. */
  readonly of: string;
  readonly string: number;
  readonly points: readonly Vec3[];
  /** As it lies, and as it is cut, with some to spare. */
  readonly length: number;
  readonly cut: number;
}
/** A lamp where it is in its room, model mm. */
export const lampAt = (l: Pick<RoomLampDoc, "x" | "y" | "z">, ratio: number): Vec3 => [l.x / ratio, l.y / ratio, l.z / ratio]; // prettier-ignore
/** A corner of a room in plan. */
export const cornerOf = (r: Pick<Room, "wide" | "deep">, c: Corner): readonly [number, number] => [c.endsWith("right") ? r.wide : 0, c.startsWith("back") ? r.deep : 0]; // prettier-ignore

/** How long a way is. */
export const wayLength = (points: readonly Vec3[]): number => points.slice(1).reduce((n, p, i) => n + Math.hypot(...sub(p, points[i]!)), 0); // prettier-ignore
/** Without points that stand on the one before. */
const tidy = (points: readonly Vec3[]): Vec3[] => points.filter((p, i) => i === 0 || Math.hypot(...sub(p, points[i - 1]!)) > 1e-9); // prettier-ignore

/** The way of a wire from a corner's floor to a lamp: up the corner, along the tops of the walls the shorter way round, straight out from the wall over the lamp, and down to it. */
export function wayFromCorner(r: Room, corner: Corner, [x, y, z]: Vec3): Vec3[] {
  const [cx, cy] = cornerOf(r, corner);
  const top = Math.max(r.high, z);
  // the wall that it comes out of: the nearest one
  const walls = [{ p: [x, 0], far: y }, { p: [r.wide, y], far: r.wide - x }, { p: [x, r.deep], far: r.deep - y }, { p: [0, y], far: x }] as const; // prettier-ignore
  const { p } = walls.reduce((a, b) => (b.far < a.far ? b : a));
  const [a, b] = [along(r, cx, cy), along(r, p[0], p[1])];
  const round = 2 * (r.wide + r.deep);
  const ahead = (b - a + round) % round;
  const corners = [0, r.wide, r.wide + r.deep, 2 * r.wide + r.deep];
  // the corners that are passed, one way or the other
  const passed = ahead <= round / 2 ? corners.map((c) => ({ c, d: (c - a + round) % round })).filter(({ d }) => d > 0 && d < ahead) : corners.map((c) => ({ c, d: (a - c + round) % round })).filter(({ d }) => d > 0 && d < round - ahead); // prettier-ignore
  const turns = passed.sort((m, n) => m.d - n.d).map(({ c }): Vec3 => [...at(r, c), top]);
  return tidy([[cx, cy, 0], [cx, cy, top], ...turns, [p[0], p[1], top], [x, y, top], [x, y, z]]);
}
/** How far round the walls a place on them is, from the front left corner, counter-clockwise from above; and the place that is so far. */
const along = (r: Room, x: number, y: number): number => (y <= 0 ? x : x >= r.wide ? r.wide + y : y >= r.deep ? 2 * r.wide + r.deep - x : 2 * (r.wide + r.deep) - y); // prettier-ignore
const at = (r: Room, s: number): [number, number] => (s <= r.wide ? [s, 0] : s <= r.wide + r.deep ? [r.wide, s - r.wide] : s <= 2 * r.wide + r.deep ? [2 * r.wide + r.deep - s, r.deep] : [0, 2 * (r.wide + r.deep) - s]); // prettier-ignore
/** From one lamp to another of its string: up to the tops of the walls, across square, down. */
const wayBetween = (r: Room, a: Vec3, b: Vec3): Vec3[] => {
  const top = Math.max(r.high, a[2], b[2]);
  return tidy([a, [a[0], a[1], top], [b[0], a[1], top], [b[0], b[1], top], b]);
};

/**
 * The wires of a room's lamps, in the order in which they are laid: the longest first, so that the others lie on it. Lamps in
 * series are one string: a wire to its first, one from each to the next, one back from its last; a lamp by itself has two.
 * The lamps of a string follow one another from the nearest to the corner on, each to the one nearest to it.
 */
export function wiresOf(
  r: Room,
  inside: Pick<InsideDoc, "lamps" | "wires">,
  groups: readonly LampDoc[],
  ratio: number,
): Wire[] {
  // prettier-ignore
  const corner = inside.wires ?? "back left";
  const out: Wire[] = [];
  for (const g of groups) {
    const mine = (inside.lamps ?? []).filter((l) => l.of === g.id).map((l) => ({ name: l.name, p: lampAt(l, ratio) }));
    const far = (l: (typeof mine)[number]): number => wayLength(wayFromCorner(r, corner, l.p));
    const rest = [...mine].sort((a, b) => far(a) - far(b));
    for (let string = 1; rest.length > 0; string++) {
      const chain = [rest.shift()!];
      while (chain.length < g.series && rest.length > 0) {
        const last = chain.at(-1)!;
        const next = rest.reduce((m, l) => (wayLength(wayBetween(r, last.p, l.p)) < wayLength(wayBetween(r, last.p, m.p)) ? l : m)); // prettier-ignore
        rest.splice(rest.indexOf(next), 1);
        chain.push(next);
      }
      const wire = (from: string, to: string, points: readonly Vec3[]): void => {
        const length = wayLength(points);
        out.push({ from, to, of: g.name, string, points, length, cut: length * (1 + SPARE) });
      };
      wire("Supply", chain[0]!.name, wayFromCorner(r, corner, chain[0]!.p));
      for (let i = 1; i < chain.length; i++) wire(chain[i - 1]!.name, chain[i]!.name, wayBetween(r, chain[i - 1]!.p, chain[i]!.p)); // prettier-ignore
      wire(chain.at(-1)!.name, "Supply", [...wayFromCorner(r, corner, chain.at(-1)!.p)].reverse());
    }
  }
  return out.sort((a, b) => b.length - a.length);
}
