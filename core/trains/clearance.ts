import { clearAlong, roomBetween } from "../geometry/convexRoom";
import { cornersFlat, hull, type Vec2 } from "../geometry";
import type { Design, ThingDoc, TrackDoc } from "../job";
import { spotOf } from "../job";
import { directionIn, standing, type Standing } from "../site";
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
export interface Block {
  readonly name: string;
  readonly ring: readonly Vec2[];
  readonly low: number;
  readonly high: number;
}
/** The wood of a structure where it stands, from above: convex outlines with their heights, one for each part of a stick. */
export const blocksOfStanding = (s: Standing): Block[] =>
  s.sticks.flatMap((k) =>
    k.parts.map((p): Block => {
      const corners = cornersFlat(p);
      const zs = corners.map((c) => c[2]);
      return { name: k.role, ring: hull(corners.map((c): Vec2 => [c[0], c[1]])), low: Math.min(...zs), high: Math.max(...zs) }; // prettier-ignore
    }),
  );
/** What stands on the spot, by structure or thing. */
function blocksOf(d: Design): { readonly what: Room["what"]; readonly blocks: readonly Block[] }[] {
  const own = standing(d).map((s) => ({
    what: { id: s.design.structure.id, name: s.design.structure.name, kind: "structure" as const },
    blocks: blocksOfStanding(s),
  }));
  const things = spotOf(d.doc).things.map((t) => ({ what: { id: t.id, name: t.name, kind: "thing" as const }, blocks: [thingBlock(t)] })); // prettier-ignore
  return [...own, ...things];
}
/** A thing on the spot from above. */
export function thingOutline(t: ThingDoc): Vec2[] {
  const place = { x: t.x, y: t.y, z: 0, turn: t.turn };
  return ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as const).map(([i, k]): Vec2 => { const p = directionIn(place, [(i * t.length) / 2, (k * t.depth) / 2, 0]); return [p[0] + t.x, p[1] + t.y]; }); // prettier-ignore
}
/** The same with its height. */
export const thingBlock = (t: ThingDoc): Block => ({ name: t.kind, ring: thingOutline(t), low: t.low, high: t.high });

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
  const bodies = places.map((p) => p.body);
  const rings = inWay.map((b) => b.ring);
  const ways = ([side, -side] as const).map((k) => ({ d: out(k), by: clearAlong(bodies, rings, out(k)) }));
  const least = ways[0]!.by <= 3 * ways[1]!.by ? ways[0]! : ways[1]!;
  return { ...found, move: [least.d[0] * least.by, least.d[1] * least.by] };
}
