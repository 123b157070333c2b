import { cornersFlat, hull, type Vec2 } from "../geometry";
import type { Design, ThingDoc, TrackDoc } from "../job";
import { spotOf } from "../job";
import { directionIn, standing } from "../site";
import { carOf } from "./cars";
import { bodyOf, carPlaces, modelCar, type CarPlace, type ModelCar } from "./envelope";
import { centreLine, type CentreLine } from "./track";

/** How near the longest car comes to something: the least room, negative where it goes into it by so much, and where that is. Model mm. */
export interface Room {
  readonly track: TrackDoc;
  readonly what: { readonly id: string; readonly name: string; readonly kind: "structure" | "thing" };
  readonly room: number;
  /** What of it is nearest. */
  readonly part: string;
  /** Where the car's rear truck stands then, from the track's first end, and its middle in the plan. */
  readonly station: number;
  readonly at: Vec2;
  /** The move, square to the track there and away from it, after which no car touches it, where one does. */
  readonly move?: Vec2;
}
/** How far apart the places of a car are that are looked at, model mm. */
const STEP = 1.5;
/** What is further from a car than this is not told, model mm. */
const FAR = 60;

/** Something in the plan with a height: a convex outline, and from where to where it reaches. */
interface Block {
  readonly name: string;
  readonly ring: readonly Vec2[];
  readonly low: number;
  readonly high: number;
}
/** Room between two convex outlines; negative where they overlap, the least that parts them. By the separating axes of both. */
export function roomBetween(a: readonly Vec2[], b: readonly Vec2[]): number {
  let most = -Infinity;
  for (const ring of [a, b])
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length]!;
      const l = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (l < 1e-9) return;
      const n: Vec2 = [(q[1] - p[1]) / l, -(q[0] - p[0]) / l];
      const on = (r: readonly Vec2[], pick: (...x: number[]) => number): number => pick(...r.map((c) => c[0] * n[0] + c[1] * n[1])); // prettier-ignore
      const own = ring === a ? on(b, Math.min) - on(a, Math.max) : on(a, Math.min) - on(b, Math.max);
      most = Math.max(most, own);
    });
  if (most <= 0) return most;
  // apart: the nearest points may be two corners, or a corner and a side
  let near = Infinity;
  for (const [r, o] of [
    [a, b],
    [b, a],
  ] as const)
    // prettier-ignore
    for (const p of r) o.forEach((q, i) => void (near = Math.min(near, toSide(p, q, o[(i + 1) % o.length]!))));
  return near;
}
function toSide([x, y]: Vec2, [ax, ay]: Vec2, [bx, by]: Vec2): number {
  const [dx, dy] = [bx - ax, by - ay];
  const l = dx * dx + dy * dy;
  const t = l < 1e-12 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / l));
  return Math.hypot(x - ax - t * dx, y - ay - t * dy);
}
/** Where b, moved along a direction by t, is in a: from one t to another; undefined where it never is. Axis by axis, so exact for convex outlines. */
function inside(a: readonly Vec2[], b: readonly Vec2[], d: Vec2): readonly [number, number] | undefined {
  let [lo, hi] = [-Infinity, Infinity];
  const span = (r: readonly Vec2[], n: Vec2): readonly [number, number] => {
    let [least, most] = [Infinity, -Infinity];
    for (const c of r) {
      const v = c[0] * n[0] + c[1] * n[1];
      [least, most] = [Math.min(least, v), Math.max(most, v)];
    }
    return [least, most];
  };
  for (const ring of [a, b])
    for (let i = 0; i < ring.length; i++) {
      const [p, q] = [ring[i]!, ring[(i + 1) % ring.length]!];
      const n: Vec2 = [q[1] - p[1], -(q[0] - p[0])];
      const [[a0, a1], [b0, b1]] = [span(a, n), span(b, n)];
      const v = d[0] * n[0] + d[1] * n[1];
      if (Math.abs(v) < 1e-9) {
        if (b0 >= a1 - 1e-9 || a0 >= b1 - 1e-9) return undefined;
        continue;
      }
      const [t, u] = [(a0 - b1) / v, (a1 - b0) / v];
      [lo, hi] = [Math.max(lo, Math.min(t, u)), Math.min(hi, Math.max(t, u))];
      if (hi <= lo + 1e-9) return undefined;
    }
  return [lo, hi];
}

/** What stands on the spot, by structure or thing. */
function blocksOf(d: Design): { readonly what: Room["what"]; readonly blocks: readonly Block[] }[] {
  const own = standing(d).map((s) => ({
    what: { id: s.design.structure.id, name: s.design.structure.name, kind: "structure" as const },
    blocks: s.sticks.flatMap((k) =>
      k.parts.map((p): Block => {
        const corners = cornersFlat(p);
        const zs = corners.map((c) => c[2]);
        return { name: k.role, ring: hull(corners.map((c): Vec2 => [c[0], c[1]])), low: Math.min(...zs), high: Math.max(...zs) }; // prettier-ignore
      }),
    ),
  }));
  const things = spotOf(d.doc).things.map((t) => ({ what: { id: t.id, name: t.name, kind: "thing" as const }, blocks: [thingBlock(t)] })); // prettier-ignore
  return [...own, ...things];
}
/** A thing on the spot from above. */
export function thingOutline(t: ThingDoc): Vec2[] {
  const place = { x: t.x, y: t.y, z: 0, turn: t.turn };
  return ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as const).map(([i, k]): Vec2 => { const p = directionIn(place, [(i * t.length) / 2, (k * t.depth) / 2, 0]); return [p[0] + t.x, p[1] + t.y]; }); // prettier-ignore
}
const thingBlock = (t: ThingDoc): Block => ({ name: t.kind, ring: thingOutline(t), low: t.low, high: t.high });

/** How much room the longest car of each track leaves to what stands on the spot, tightest first: what is nearer than 60 mm. A platform or a pier below its body is in nobody's way. */
export function rooms(d: Design): Room[] {
  const spot = spotOf(d.doc);
  const stands = spot.tracks.length > 0 ? blocksOf(d) : [];
  const ratio = d.doc.brief.scale.ratio;
  return spot.tracks
    .flatMap((track): Room[] => {
      const line = centreLine(track);
      const car = modelCar(carOf(track.car, spot.cars), ratio);
      const places = [...carPlaces(line, car, STEP)].map(([s, place]) => ({ s, place, body: bodyOf(place, car) }));
      return stands.flatMap(({ what, blocks }) => roomTo(track, line, car, places, what, blocks) ?? []);
    })
    .sort((a, b) => a.room - b.room);
}
interface Seen {
  readonly s: number;
  readonly place: CarPlace;
  readonly body: readonly Vec2[];
}
function roomTo(
  track: TrackDoc,
  line: CentreLine,
  car: ModelCar,
  places: readonly Seen[],
  what: Room["what"],
  blocks: readonly Block[],
): Room | undefined {
  // prettier-ignore
  const [low, high] = [track.rail + car.bottom, track.rail + car.height];
  const inWay = blocks.filter((b) => b.high > low + 1e-6 && b.low < high - 1e-6 && b.ring.length >= 3);
  let best: { room: number; block: Block; seen: Seen } | undefined;
  const limit = (): number => Math.min(FAR, best?.room ?? FAR);
  // from a body to the circle round a block: no less than that; the nearest ones first, so that most are never looked at
  const bounds = inWay.map((block) => {
    const least = [0, 1].map((k) => Math.min(...block.ring.map((p) => p[k]!))) as [number, number];
    const most = [0, 1].map((k) => Math.max(...block.ring.map((p) => p[k]!))) as [number, number];
    const [x, y] = [(least[0] + most[0]) / 2, (least[1] + most[1]) / 2];
    const around = Math.hypot(most[0] - least[0], most[1] - least[1]) / 2;
    const from = ({ place: { middle: m, along: u } }: Seen): number => {
      const [dx, dy] = [x - m[0], y - m[1]];
      const ahead = Math.max(0, Math.abs(dx * u[0] + dy * u[1]) - car.length / 2);
      const aside = Math.max(0, Math.abs(dy * u[0] - dx * u[1]) - car.width / 2);
      return Math.hypot(ahead, aside) - around;
    };
    const each = places.map(from);
    return { block, each, nearest: Math.min(...each) };
  });
  bounds.sort((p, q) => p.nearest - q.nearest);
  for (const { block, each, nearest } of bounds) {
    if (nearest > limit()) break;
    for (const [i, seen] of places.entries()) {
      if (each[i]! > limit()) continue;
      const room = roomBetween(seen.body, block.ring);
      if (!best || room < best.room) best = { room, block, seen };
    }
  }
  if (!best || best.room > FAR) return undefined;
  const { room, block, seen } = best;
  const found = { track, what, room, part: block.name, station: seen.s, at: seen.place.middle };
  if (room >= 0) return found;
  // away from the track, square to it where it is worst
  const here = line.at(seen.s + car.trucks / 2);
  const middle = block.ring.reduce<Vec2>((m, p) => [m[0] + p[0] / block.ring.length, m[1] + p[1] / block.ring.length], [0, 0]); // prettier-ignore
  const n: Vec2 = [-Math.sin(here.heading), Math.cos(here.heading)];
  const side = (middle[0] - here.at[0]) * n[0] + (middle[1] - here.at[1]) * n[1] >= 0 ? 1 : -1;
  const out = (k: number): Vec2 => [k * n[0], k * n[1]];
  const ways = ([side, -side] as const).map((k) => ({ d: out(k), by: clearAlong(places, inWay, out(k)) }));
  const least = ways[0]!.by <= 3 * ways[1]!.by ? ways[0]! : ways[1]!;
  return { ...found, move: [least.d[0] * least.by, least.d[1] * least.by] };
}
/** How far all blocks have to go along a direction until no place of the car is in any of them. */
function clearAlong(places: readonly Seen[], blocks: readonly Block[], d: Vec2): number {
  const taken: (readonly [number, number])[] = [];
  for (const b of blocks)
    for (const seen of places) {
      const t = inside(seen.body, b.ring, d);
      if (t && t[1] > 1e-9) taken.push(t);
    }
  taken.sort((x, y) => x[0] - y[0]);
  let by = 0;
  for (const [lo, hi] of taken) if (lo < by + 1e-9 && hi > by) by = hi;
  return by;
}
