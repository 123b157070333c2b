import {
  add,
  addScaled,
  cross,
  dot,
  negate,
  normalize,
  planeAt,
  scale,
  sub,
  type Vec3,
  ALIKE,
  NEAR,
} from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { FLUSH, type Support } from "../lay";
import { placeAt, type Place } from "./alignment";
import { bayLine, firstFrom, topOnRun, type BayLine, type Pack, type TrestleLayout } from "./layout";
import type { TrestleValues } from "./parameters";

/** A tie where it lies: its station and the support it gives to what is laid on it. */
export interface TiePlace {
  readonly id: string;
  readonly station: number;
  readonly support: Support;
  readonly up: Vec3;
  /** Ends, to the right (negative) and left of the deck's centre. */
  readonly reach: readonly [number, number];
}

/** Stations of the ties, mm: at their spacing, from where every stringer has begun to where one ends. */
export function tieStations(v: TrestleValues, l: TrestleLayout): number[] {
  const half = l.timbers.tie.w / 2;
  const past = l.timbers.cap.w / 2;
  const widest = Math.max(...l.packs.map((p) => Math.abs(p.y))) + l.packWidth / 2;
  const skewed = (deg: number): number => {
    const t = Math.abs(Math.tan((deg * Math.PI) / 180));
    return past / Math.cos(Math.atan(t)) - widest * t;
  };
  const from = half - skewed(v.skewStart);
  const to = l.alignment.length - half + skewed(v.skewEnd);
  const pitch = l.mm(v.tieSpacing);
  return Array.from({ length: Math.max(0, Math.floor((to - from) / pitch + ALIKE) + 1) }, (_, i) => from + i * pitch);
}

/** The bay, counted from 0, that a station lies in; the first and last bays go on beyond the ends. */
function bayAt(l: TrestleLayout, station: number): number {
  const next = firstFrom(l.bents, station + ALIKE);
  return Math.min(l.bents.length - 1, Math.max(1, next)) - 1;
}
/** Where a pack carries a tie at a place: the corners of its top under the tie, and over a bent those at which its stringers meet. Coordinates one after another, back and fore in pairs. */
function seatPoints(l: TrestleLayout, p: Pack, place: Place, station: number, half: number): number[] {
  const out: number[] = [];
  const edges = [-l.packWidth / 2, l.packWidth / 2];
  if (l.laminated) {
    for (const x of [-half, half]) for (const e of edges) out.push(...topOnRun(l, station + x, p.y + e));
    return out;
  }
  const { at, along } = place;
  /** How far along a line it passes under the tie, x before its middle. */
  const under = ({ a, d }: BayLine, x: number): number =>
    ((at[0] - a[0]) * along[0] + (at[1] - a[1]) * along[1] + (at[2] - a[2]) * along[2] + x) / dot(d, along);
  const put = ({ a, d }: BayLine, t: number): void => void out.push(a[0] + d[0] * t, a[1] + d[1] * t, a[2] + d[2] * t);
  const k = bayAt(l, station - half);
  const next = bayAt(l, station + half);
  for (const [bay, x] of [
    [k, -half],
    [next, half],
  ] as const)
    for (const e of edges) {
      const line = edgeLine(l, bay, p, e);
      put(line, under(line, x));
    }
  if (k === next) return out;
  // over a bent: the ends of both bays, and what of each lies under the tie
  for (const bay of [k, next])
    for (const e of edges) {
      const line = edgeLine(l, bay, p, e);
      const whole = dot(sub(line.b, line.a), line.d);
      const [from, to] = [Math.max(0, under(line, -half)), Math.min(whole, under(line, half))];
      // an edge that ends before it comes under the tie carries nothing of it
      if (from > to) continue;
      put(line, from);
      put(line, to);
    }
  return out;
}

/** The line of a pack's edge in a bay, `e` to the left of its middle. Every tie of the bay asks for it. */
function edgeLine(l: TrestleLayout, bay: number, p: Pack, e: number): BayLine {
  let own = edges.get(l);
  if (!own) edges.set(l, (own = new Map()));
  const key = (bay * 64 + l.packs.indexOf(p)) * 2 + (e < 0 ? 0 : 1);
  let line = own.get(key);
  if (!line) {
    const middle = bayLine(l, l.bents[bay]!, l.bents[bay + 1]!, p.y);
    line = { ...middle, a: addScaled(middle.a, middle.left, e), b: addScaled(middle.b, middle.left, e) };
    own.set(key, line);
  }
  return line;
}
const edges = new WeakMap<TrestleLayout, Map<number, BayLine>>();

/** What a tie on a curve is lifted by, mm: the chords under it stand for an arc, and a touch is a hundredth. */
export const HAIR = 0.004;

/** Lays a tie on two packs so that it rests on the highest corner of each: a point of its underside over either, the way out, and how far the other corners lie below. */
function restOn(
  right: readonly number[],
  left: readonly number[],
  lifted: number,
): { readonly a: Vec3; readonly d: Vec3; readonly out: Vec3; readonly gaps: readonly [number, number] } {
  let [a, b] = [mean(right, 0, right.length), mean(left, 0, left.length)];
  // corners come in pairs, back and fore, so their difference is the way the stringers run
  const way = (q: readonly number[]): Vec3 => normalize(sub(mean(q, 6, 12), mean(q, 0, 6)));
  const run = normalize(add(way(right), way(left)));
  let d: Vec3 = [0, 0, 0];
  let out: Vec3 = [0, 0, 1];
  let gaps: readonly [number, number] = [0, 0];
  for (let i = 0; i < 6; i++) {
    d = normalize(sub(b, a));
    out = normalize(cross(run, d));
    const level = dot(a, out);
    const [r, q] = [highest(right, out) - level, highest(left, out) - level];
    gaps = [r + highest(right, negate(out)) + level, q + highest(left, negate(out)) + level];
    a = addScaled(a, out, r);
    b = addScaled(b, out, q);
    if (Math.abs(r) + Math.abs(q) < ALIKE) break;
  }
  // a hair over chords that stand for an arc
  return { a: lifted === 0 ? a : addScaled(a, out, lifted), d, out, gaps };
}
/** The middle of points given one after another, from one place to another in their list. */
function mean(q: readonly number[], from: number, to: number): Vec3 {
  let [x, y, z] = [0, 0, 0];
  for (let i = from; i < to; i += 3) {
    x += q[i]!;
    y += q[i + 1]!;
    z += q[i + 2]!;
  }
  const n = (to - from) / 3;
  return [x / n, y / n, z / n];
}
/** How far the farthest of points reaches along a direction. */
function highest(q: readonly number[], out: Vec3): number {
  let most = -Infinity;
  for (let i = 0; i < q.length; i += 3) most = Math.max(most, q[i]! * out[0] + q[i + 1]! * out[1] + q[i + 2]! * out[2]);
  return most;
}

interface TieSeed {
  readonly track: number;
  /** The track's centre line, to the left of the deck's. */
  readonly at: number;
  readonly number: number;
  readonly station: number;
  readonly reach: readonly [number, number];
}

/** A tie square to the track, laid on both its packs: where the stringers are straight it lies on their chords. */
export function layTie(b: Builder, ctx: Context, l: TrestleLayout, s: TieSeed): TiePlace {
  const tie = l.timbers.tie;
  const place = placeAt(l.alignment, s.station);
  const own = l.packs.filter((p) => p.track === s.track) as [Pack, Pack];
  const [right, left] = own.map((p) => seatPoints(l, p, place, s.station, tie.w / 2)) as [number[], number[]];
  const { a: seat, d, out: up, gaps } = restOn(right, left, l.alignment.curvature === 0 ? 0 : HAIR);
  // where it rests may be found beside its station: it is moved over its seat until its middle is on it
  const e = cross(up, d);
  let middle = seat;
  for (const [way, dir] of [
    [place.left, d],
    [place.along, e],
    [place.left, d],
    [place.along, e],
  ] as const)
    middle = addScaled(middle, dir, dot(sub(place.at, middle), way) / dot(dir, way));
  // along the tie from the deck's centre line
  const origin = middle;
  const at = (y: number): Vec3 => addScaled(middle, d, y);
  const id = `${ctx.structure}/tie/track${s.track + 1}/${s.number}`;
  b.stick({
    id,
    assembly: `${ctx.structure}/deck`,
    role: "tie",
    letter: "X",
    timber: tie,
    a: at(s.reach[0]),
    b: at(s.reach[1]),
    up,
    seat: ["-", "centre"],
    square: true,
  });
  // where a skew bent ends the stringers, a corner of a tie may hang over
  const widest = Math.max(...l.packs.map((p) => Math.abs(p.y))) + l.packWidth;
  const skewEnd = [l.bents[0]!, l.bents[l.bents.length - 1]!].some(
    (x) =>
      Math.abs(x.station - s.station) < 2 * widest &&
      Math.abs(dot(normalize(x.across), placeAt(l.alignment, x.station).along)) > NEAR,
  );
  own.forEach((p, i) => {
    // where the pack lies askew under the tie only one of its edges carries it
    const askew = gaps[i]! > ASKEW;
    sticksUnder(b, ctx, l, p, s.station, tie.w / 2, askew).forEach((under, n, all) =>
      b.join({
        kind: "lap",
        id: `${id}>${i}${n > 0 ? `/${n + 1}` : ""}`,
        a: id,
        b: under,
        aFace: "-v",
        bFace: "+w",
        // over a bent a tie rests on whichever bay stands higher
        contact: all.length > 1 ? "gap" : l.alignment.curvature === 0 && !skewEnd && gaps[i]! < FLUSH ? "face" : "line",
        remedy: "Shim the tie, or dap it over the stringers.",
      }),
    );
  });
  const top = addScaled(origin, up, tie.v);
  const side = cross(d, up);
  return {
    id,
    station: s.station,
    up,
    reach: s.reach,
    support: {
      face: planeAt(top, up),
      sides: [
        planeAt(addScaled(top, side, -tie.w / 2), scale(side, -1)),
        planeAt(addScaled(top, side, tie.w / 2), side),
      ],
    },
  };
}

/** Corners of a pack that lie further apart than this in height are not all near the tie, mm: inside the tolerance of contact. */
const ASKEW = 0.008;

/** The sticks of the pack under a tie, `all` of them or one: one that does not end there if there is such, else both that meet. */
function sticksUnder(
  b: Builder,
  ctx: Context,
  l: TrestleLayout,
  p: Pack,
  station: number,
  half: number,
  all: boolean,
): readonly string[] {
  const { plies, order } = plyIndex(b, ctx, l, p);
  const under = (g: Stretch): boolean => station + half > g.from + ALIKE && station - half < g.to - ALIKE;
  if (all) return plies.flatMap((own) => own.filter(under).map((g) => g.id));
  for (const k of order)
    for (const seg of plies[k]!)
      if (station - half >= seg.from - NEAR && station + half <= seg.to + NEAR) return [seg.id];
  return plies[order[0]!]!.filter((g) => station + half > g.from + ALIKE && station - half < g.to - ALIKE).map(
    (g) => g.id,
  );
}
interface Stretch {
  readonly id: string;
  readonly from: number;
  readonly to: number;
}
/** The stretches of every strip of a pack by its place in the pack, and the places from the middle outwards. */
interface PlyIndex {
  readonly plies: readonly (readonly Stretch[])[];
  readonly order: readonly number[];
}
const indexes = new WeakMap<Builder, Map<string, PlyIndex>>();
function plyIndex(b: Builder, ctx: Context, l: TrestleLayout, p: Pack): PlyIndex {
  let known = indexes.get(b);
  if (!known) indexes.set(b, (known = new Map()));
  const before = known.get(p.name);
  if (before) return before;
  const past = l.timbers.cap.w / 2;
  const last = l.bents.length - 1;
  const stringers = b.members.filter((m) => m.role === "stringer");
  const plies = Array.from({ length: l.strips }, (_, k) => {
    const prefix = `${ctx.structure}/stringer/${p.name}/ply${k + 1}/from`;
    const starts = stringers.filter((m) => m.id.startsWith(prefix)).map((m) => Number(m.id.slice(prefix.length)) - 1);
    return starts.map((i, n): Stretch => {
      const to = starts[n + 1] ?? last;
      return {
        id: `${prefix}${i + 1}`,
        from: l.bents[i]!.station - (i === 0 ? past : 0),
        to: l.bents[to]!.station + (to === last ? past : 0),
      };
    });
  });
  const middle = (plies.length - 1) / 2;
  const order = [...plies.keys()].sort((x, y) => Math.abs(x - middle) - Math.abs(y - middle));
  const made = { plies, order };
  known.set(p.name, made);
  return made;
}
