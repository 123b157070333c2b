import { hull, type Vec2 } from "../geometry";
import { roomBetween } from "../geometry/convexRoom";
import type { Design } from "../job";
import { solidIn, type Place } from "../site";
import { blocksOfSticks, within, type Block } from "../trains";
import { model, printMm } from "../units";
import { obstaclesTo, placeOr, sidesOf, type Obstacle } from "./obstacles";

/** Where a structure goes on its spot, or why it goes nowhere; a sentence for either. */
export interface Fitted {
  readonly place?: Place;
  readonly said: string;
}
/** Room beside cars that is aimed at first, prototype mm: a foot. Common practice. */
const FOOT = 304.8;
/** Places that are tried along each side of what the spot leaves, and how often a good one is drawn nearer to where it stands. */
const [TRIES, HALVINGS] = [30, 14];
const mm = (x: number): string => printMm(model(x), 1);

interface Box {
  readonly min: Vec2;
  readonly max: Vec2;
}
const boxOf = (ring: readonly Vec2[]): Box => ({
  min: [Math.min(...ring.map((p) => p[0])), Math.min(...ring.map((p) => p[1]))],
  max: [Math.max(...ring.map((p) => p[0])), Math.max(...ring.map((p) => p[1]))],
});
/** A structure turned so far, about its own origin: its wood, and where its origin may be. */
interface Turned {
  readonly turn: number;
  readonly blocks: readonly Block[];
  readonly may: Box;
}

/**
 * Finds the place nearest to where a structure stands at which it is inside the spot and clear of everything on it: things,
 * other structures, what the longest cars sweep, from which it stays a foot where it can. Its height stays; it is turned by
 * quarters, or along a track, where it goes no other way. Wood is compared as it is at each height, so that a roof may reach
 * over a platform.
 */
export function fitOnSpot(d: Design, structure: string): Fitted {
  const s = d.structures.find((x) => x.structure.id === structure);
  if (!s || s.fault || s.resolved.sticks.length === 0) return { said: `${s?.structure.name ?? "It"} is not framed, so it goes nowhere yet.` }; // prettier-ignore
  const own = blocksOfSticks(s.resolved.sticks.map((k) => ({ role: k.member.role, parts: k.parts }))).filter((b) => b.ring.length >= 3); // prettier-ignore
  const from = placeOr(s.structure.place, Math.min(...own.map((b) => b.low)));
  const name = s.structure.name;
  const sides = sidesOf(d);
  const turns = [0, 90, 180, 270].map((t) => from.turn + t);
  for (const t of [0, 90, 180, 270, ...(d.doc.spot?.tracks ?? []).map((x) => x.turn)]) if (!turns.some((u) => Math.abs(((u - t + 540) % 360) - 180) < 1e-6)) turns.push(t); // prettier-ignore
  const all = turns.flatMap((turn) => turned(own, from, turn, sides) ?? []);
  if (all.length === 0) {
    const { min, max } = boxOf(hull(own.flatMap((b) => b.ring)));
    return { said: `${name} takes ${mm(max[0] - min[0])} × ${mm(max[1] - min[1])} with all that overhangs, and the spot is smaller: take out bays or boards (Framing, Fit to the spot), or give it more room.` }; // prettier-ignore
  }
  const start: Vec2 = [from.x, from.y];
  for (const apart of [FOOT / d.scale.ratio, 0]) {
    const obstacles = obstaclesTo(d, structure, apart);
    const found = all.flatMap((t) => nearest(t, obstacles, start) ?? []);
    // a turn is worth the way it saves only where it does not go as it stands
    const best = found.find((f) => f.turn === from.turn) ?? found.sort((a, b) => a.way - b.way)[0];
    if (!best) continue;
    const place: Place = { x: best.at[0], y: best.at[1], z: from.z, turn: best.turn };
    const beside = (d.doc.spot?.tracks.length ?? 0) === 0 ? "" : apart > 0 ? ", a foot or more beside every car" : ", though nearer than a foot to a car"; // prettier-ignore
    const how = [best.way > 0.05 ? `${mm(best.way)} from where it stood` : "", best.turn === from.turn ? "" : "turned"].filter(Boolean).join(", "); // prettier-ignore
    return { place, said: how || !s.structure.place ? `${name} is inside the spot and clear of everything${beside}${how && s.structure.place ? `: ${how}` : ""}.` : `${name} stands well: inside the spot and clear of everything${beside}.` }; // prettier-ignore
  }
  return { said: whyNot(name, all, obstaclesTo(d, structure, 0), start) };
}

function turned(own: readonly Block[], from: Place, turn: number, sides: Vec2): Turned | undefined {
  const at = { x: 0, y: 0, z: from.z, turn };
  const blocks = blocksOfSticks(own.map((b) => ({ role: b.name, parts: b.solid ? [solidIn(at, b.solid)] : [] })));
  const outline = hull(blocks.flatMap((b) => b.ring));
  const { min, max } = boxOf(outline);
  const may: Box = { min: [-sides[0] - min[0], -sides[1] - min[1]], max: [sides[0] - max[0], sides[1] - max[1]] };
  return may.max[0] < may.min[0] - 1e-6 || may.max[1] < may.min[1] - 1e-6 ? undefined : { turn, blocks, may };
}
/** The wood of a structure between two heights: its parts, and what is round all of them. */
interface Band {
  readonly blocks: readonly (Block & { readonly box: Box })[];
  readonly outline: readonly Vec2[];
  readonly box: Box;
}
const bands = new WeakMap<Turned, Map<string, Band>>();
function bandOf(t: Turned, low: number, high: number): Band {
  const own = bands.get(t) ?? new Map<string, Band>();
  bands.set(t, own);
  const key = `${low} ${high}`;
  const before = own.get(key);
  if (before) return before;
  const blocks = t.blocks.flatMap((b) => { const part = within(b, low, high); return part && part.ring.length >= 3 ? [{ ...part, box: boxOf(part.ring) }] : []; }); // prettier-ignore
  const outline = hull(blocks.flatMap((b) => b.ring));
  const band = { blocks, outline, box: boxOf(outline) };
  own.set(key, band);
  return band;
}
const boxes = new WeakMap<Block, Box>();
const boxOfPart = (p: Block): Box => boxes.get(p) ?? (boxes.set(p, boxOf(p.ring)), boxes.get(p)!);
/** Whether two boxes, the second moved by so much, are nearer than so far. */
const near = (a: Box, b: Box, x: number, y: number, far: number): boolean =>
  a.min[0] < b.max[0] - x + far && a.max[0] > b.min[0] - x - far && a.min[1] < b.max[1] - y + far && a.max[1] > b.min[1] - y - far; // prettier-ignore
/** The least room of a structure whose origin is at a place to what is in its way, less what has to be left; stops at the first that is less than nothing where it is only asked whether it goes. */
function roomAt(
  t: Turned,
  [x, y]: Vec2,
  obstacles: readonly Obstacle[],
  whether: boolean,
): { readonly room: number; readonly to?: Obstacle } {
  // prettier-ignore
  let [room, to]: [number, Obstacle | undefined] = [Infinity, undefined];
  for (const o of obstacles)
    for (const part of o.parts) {
      if (part.ring.length < 3) continue;
      const band = bandOf(t, part.low, part.high);
      const box = boxOfPart(part);
      const far = whether ? o.apart : o.apart + Math.min(room, 1e6);
      if (band.blocks.length === 0 || !near(band.box, box, x, y, far)) continue;
      const ring = part.ring.map((p): Vec2 => [p[0] - x, p[1] - y]);
      if (roomBetween(band.outline, ring) >= far) continue;
      for (const b of band.blocks) {
        if (!near(b.box, box, x, y, o.apart + (whether ? 0 : Math.min(room, 1e6)))) continue;
        const r = roomBetween(b.ring, ring) - o.apart;
        if (r < room) [room, to] = [r, o];
        if (whether && room < -1e-6) return { room, to: o };
      }
    }
  return { room, ...(to ? { to } : {}) };
}
/** Places on a grid over where the origin may be, those near to a start first; a side without an end is tried so far about the start. */
function* grid(
  { may: { min, max } }: Turned,
  start: Vec2,
  obstacles: readonly Obstacle[],
  tries: number,
): Generator<Vec2> {
  // prettier-ignore
  const span = obstacles.flatMap((o) => o.parts.flatMap((p) => p.ring));
  const far = 600 + Math.max(0, ...span.map((p) => Math.max(Math.abs(p[0]), Math.abs(p[1]))));
  const [lo, hi] = [min.map((m, k) => Math.max(m, start[k]! - far)), max.map((m, k) => Math.min(m, start[k]! + far))];
  const places: Vec2[] = [];
  for (let i = 0; i <= tries; i++) for (let k = 0; k <= tries; k++) places.push([lo[0]! + ((hi[0]! - lo[0]!) * i) / tries, lo[1]! + ((hi[1]! - lo[1]!) * k) / tries]); // prettier-ignore
  places.sort((a, b) => Math.hypot(a[0] - start[0], a[1] - start[1]) - Math.hypot(b[0] - start[0], b[1] - start[1]));
  yield* places;
}
const clamped = ({ may: { min, max } }: Turned, [x, y]: Vec2): Vec2 => [Math.min(Math.max(x, min[0]), max[0]), Math.min(Math.max(y, min[1]), max[1])]; // prettier-ignore

function nearest(
  t: Turned,
  obstacles: readonly Obstacle[],
  start: Vec2,
): { readonly at: Vec2; readonly turn: number; readonly way: number } | undefined {
  // prettier-ignore
  const goes = (p: Vec2): boolean => roomAt(t, p, obstacles, true).room >= -1e-6;
  const way = (p: Vec2): number => Math.hypot(p[0] - start[0], p[1] - start[1]);
  const first = clamped(t, start);
  if (goes(first)) return { at: first, turn: t.turn, way: way(first) };
  for (const p of grid(t, start, obstacles, TRIES)) {
    if (!goes(p)) continue;
    // nearer to where it stands, first along the way there, then along each axis
    let at = p;
    for (const to of [first, [first[0], at[1]] as Vec2, [at[0], first[1]] as Vec2]) {
      let [bad, good] = [1, 0];
      for (let i = 0; i < HALVINGS; i++) {
        const k = (bad + good) / 2;
        if (goes([at[0] + (to[0] - at[0]) * k, at[1] + (to[1] - at[1]) * k])) good = k;
        else bad = k;
      }
      at = [at[0] + (to[0] - at[0]) * good, at[1] + (to[1] - at[1]) * good];
    }
    return { at, turn: t.turn, way: way(at) };
  }
  return undefined;
}
/** Which of what is there leaves no place: each by itself, or all together, and by how much the best place misses. */
function whyNot(name: string, all: readonly Turned[], obstacles: readonly Obstacle[], start: Vec2): string {
  const alone = obstacles.filter((o) => !all.some((t) => nearest(t, [o], start)));
  let best: { room: number; to?: Obstacle } = { room: -Infinity };
  for (const t of all)
    for (const p of grid(t, start, obstacles, 10)) {
      const at = roomAt(t, p, obstacles, false);
      if (at.room > best.room) best = at;
    }
  const list = (o: readonly Obstacle[]): string => o.map((x) => x.name).join(", ").replace(/, ([^,]*)$/, " and $1"); // prettier-ignore
  const miss = best.to ? ` The best place misses by ${mm(-best.room)}, at ${best.to.name}.` : "";
  return alone.length > 0
    ? `The spot has no place for ${name} beside ${list(alone)}.${miss}`
    : `The spot has a place for ${name} beside each of ${list(obstacles)}, but none beside all of them.${miss}`;
}
