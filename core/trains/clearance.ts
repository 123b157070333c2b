import { clearAlong, roomBetween } from "../geometry/convexRoom";
import { clipAll, cornersFlat, hull, planeAt, type Solid, type Vec2 } from "../geometry";
import type { Design, ThingDoc, TrackDoc } from "../job";
import { spotOf } from "../job";
import { directionIn, standing, type Standing } from "../site";
import { carOf } from "./cars";
import { bodyOf, carPlaces, envelopePieces, heightsAt, modelCar, type CarPlace, type ModelCar } from "./envelope";
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
  /** Where all that a car goes into is over it: how much lower the car or the rail would have to be, model mm, and what of the structure that is. */
  readonly lower?: { readonly by: number; readonly part: string };
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
  /** What it is round, where it is not as wide at every height. */
  readonly solid?: Solid;
}
/** What of a block is between two heights, as wide as it is there: a knee brace leans away from what passes below it. */
export function within(b: Block, low: number, high: number): Block | undefined {
  if (b.high <= low + 1e-6 || b.low >= high - 1e-6) return undefined;
  if (!b.solid || (b.low >= low && b.high <= high)) return b;
  const part = clipAll(b.solid, [{ ...planeAt([0, 0, low], [0, 0, -1]), tag: "low" }, { ...planeAt([0, 0, high], [0, 0, 1]), tag: "high" }]); // prettier-ignore
  return part && blockOf(b.name, part);
}
const blockOf = (name: string, solid: Solid): Block => {
  const corners = cornersFlat(solid);
  const zs = corners.map((c) => c[2]);
  return { name, solid, ring: hull(corners.map((c): Vec2 => [c[0], c[1]])), low: Math.min(...zs), high: Math.max(...zs) }; // prettier-ignore
};
/** The wood of sticks from above: a block for each of their parts. */
export const blocksOfSticks = (sticks: readonly { readonly role: string; readonly parts: readonly Solid[] }[]): Block[] => sticks.flatMap((k) => k.parts.map((p) => blockOf(k.role, p))); // prettier-ignore
/** The wood of a structure where it stands, from above: convex outlines with their heights, one for each part of a stick. */
export const blocksOfStanding = (s: Standing): Block[] => blocksOfSticks(s.sticks);
/** What stands on the spot, by structure or thing. */
function blocksOf(d: Design): { readonly what: Room["what"]; readonly blocks: readonly Block[] }[] {
  const own = standing(d).map((s) => ({
    what: { id: s.design.structure.id, name: s.design.structure.name, kind: "structure" as const },
    blocks: blocksOfStanding(s),
  }));
  const things = spotOf(d.doc).things.map((t) => ({ what: { id: t.id, name: t.name, kind: "thing" as const }, blocks: thingBlocks(t) })); // prettier-ignore
  return [...own, ...things];
}
/** A thing on the spot from above: its box, or what is round its parts. */
export const thingOutline = (t: ThingDoc): Vec2[] => (t.parts ? hull(thingBlocks(t).flatMap((b) => b.ring)) : onSpot(t, boxRing(t.length, t.depth))); // prettier-ignore
/** What a thing is made of where it stands, with its heights. */
export const thingBlocks = (t: ThingDoc): Block[] => (t.parts ?? [{ ring: boxRing(t.length, t.depth), low: t.low, high: t.high }]).map((p) => ({ name: t.kind, ring: onSpot(t, p.ring), low: p.low, high: p.high })); // prettier-ignore
const boxRing = (long: number, deep: number): Vec2[] => ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as const).map(([i, k]): Vec2 => [(i * long) / 2, (k * deep) / 2]); // prettier-ignore
const onSpot = (t: Pick<ThingDoc, "x" | "y" | "turn">, ring: readonly Vec2[]): Vec2[] =>
  ring.map(([x, y]): Vec2 => {
    const p = directionIn({ x: t.x, y: t.y, z: 0, turn: t.turn }, [x, y, 0]);
    return [p[0] + t.x, p[1] + t.y];
  });
/** What the longest car of a track sweeps, in convex pieces with their heights. */
export function sweptBlocks(track: TrackDoc, car: ModelCar): Block[] {
  return envelopePieces(centreLine(track), car).map(({ ring, from, to }): Block => {
    const [a, b] = [heightsAt(track, car, from), heightsAt(track, car, to)];
    return { name: "car", ring, low: Math.min(a.low, b.low), high: Math.max(a.high, b.high) };
  });
}
/** How much room the longest car of each track leaves to what stands on the spot, tightest first: what is nearer than 60 mm. A platform or a pier below its body is in nobody's way. */
export function rooms(d: Design): Room[] {
  const spot = spotOf(d.doc);
  const stands = spot.tracks.length > 0 ? blocksOf(d) : [];
  const ratio = d.doc.brief.scale.ratio;
  return spot.tracks
    .flatMap((track): Room[] => {
      const line = centreLine(track);
      const car = modelCar(carOf(track.car, spot.cars), ratio);
      const places = [...carPlaces(line, car, STEP)].map(([s, place]): Seen => ({
        s,
        place,
        body: bodyOf(place, car),
        ...heightsAt(track, car, s),
      }));
      return stands.flatMap(({ what, blocks }) => roomTo(track, line, car, places, what, blocks) ?? []);
    })
    .sort((a, b) => a.room - b.room);
}
interface Seen {
  readonly s: number;
  readonly place: CarPlace;
  readonly body: readonly Vec2[];
  /** From where to where the car reaches over the spot. */
  readonly low: number;
  readonly high: number;
}
function roomTo(
  track: TrackDoc,
  line: CentreLine,
  car: ModelCar,
  places: readonly Seen[],
  what: Room["what"],
  blocks: readonly Block[],
): Room | undefined {
  const low = places.reduce((n, p) => Math.min(n, p.low), Infinity);
  const high = places.reduce((n, p) => Math.max(n, p.high), -Infinity);
  const meet = (p: Seen, b: Block): boolean => b.high > p.low + 1e-6 && b.low < p.high - 1e-6;
  const inWay = blocks.flatMap((b) => within(b, low, high) ?? []).filter((b) => b.ring.length >= 3);
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
      if (each[i]! > limit() || !meet(seen, block)) continue;
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
  const pairs = inWay.flatMap((b) => places.flatMap((p) => (meet(p, b) ? [[p.body, b.ring] as const] : [])));
  const ways = ([side, -side] as const).map((k) => ({ d: out(k), by: clearAlong(pairs, out(k)) }));
  const lower = block.low > (seen.low + seen.high) / 2 ? headroom(places, inWay, meet) : undefined;
  const least = ways[0]!.by <= 3 * ways[1]!.by ? ways[0]! : ways[1]!;
  return { ...found, move: [least.d[0] * least.by, least.d[1] * least.by], ...(lower ? { lower } : {}) };
}
/** How much too high a car is for what is over it, to a hundredth; undefined where anything that it goes into reaches below the middle of its height. */
function headroom(
  places: readonly Seen[],
  blocks: readonly Block[],
  meet: (p: Seen, b: Block) => boolean,
): Room["lower"] {
  // prettier-ignore
  let most: NonNullable<Room["lower"]> = { by: 0, part: "" };
  for (const b of blocks)
    for (const p of places) {
      if (!meet(p, b) || p.high - b.low <= most.by) continue;
      const hits = (by: number): boolean => {
        const part = within(b, p.low, p.high - by);
        return part !== undefined && part.ring.length >= 3 && roomBetween(p.body, part.ring) < 0;
      };
      if (!hits(most.by)) continue;
      if (hits((p.high - p.low) / 2)) return undefined;
      let [bad, good] = [most.by, (p.high - p.low) / 2];
      while (good - bad > 0.01) {
        const mid = (bad + good) / 2;
        if (hits(mid)) bad = mid;
        else good = mid;
      }
      most = { by: good, part: b.name };
    }
  return most.by > 0 ? most : undefined;
}
