import { addScaled, cross, dot, normalize, planeAt, scale, sub, type Vec3 } from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { FLUSH, type Support } from "../lay";
import { placeAt } from "./alignment";
import { bayLine, topOnRun, type BayLine, type Pack, type TrestleLayout } from "./layout";
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
  return Array.from({ length: Math.max(0, Math.floor((to - from) / pitch + 1e-9) + 1) }, (_, i) => from + i * pitch);
}

/** The bay, counted from 0, that a station lies in; the first and last bays go on beyond the ends. */
const bayAt = (l: TrestleLayout, station: number): number => {
  const i = l.bents.findIndex((x) => x.station > station + 1e-9);
  return Math.min(
    l.bents.length - 2,
    (i < 0 ? l.bents.length - 1 : i) - 1 < 0 ? 0 : (i < 0 ? l.bents.length - 1 : i) - 1,
  );
};
/** Where a pack carries a tie at a station: the corners of its top under the tie, and over a bent those at which its stringers meet. */
function seatPoints(l: TrestleLayout, p: Pack, station: number, half: number): Vec3[] {
  const place = placeAt(l.alignment, station);
  const edges = [-l.packWidth / 2, l.packWidth / 2];
  if (l.laminated) return [-half, half].flatMap((x) => edges.map((e) => topOnRun(l, station + x, p.y + e)));
  const at = (bay: number, e: number): BayLine => edgeLine(l, bay, p, e);
  const corners = [-half, half].flatMap((x) =>
    edges.map((e) => {
      const line = at(bayAt(l, station + x), e);
      const t = (dot(sub(place.at, line.a), place.along) + x) / dot(line.d, place.along);
      return addScaled(line.a, line.d, t);
    }),
  );
  const [k, next] = [bayAt(l, station - half), bayAt(l, station + half)];
  if (k === next) return corners;
  // over a bent: the ends of both bays, and what of each lies under the tie
  const beside = [k, next].flatMap((bay) =>
    edges.flatMap((e) => {
      const line = at(bay, e);
      const whole = dot(sub(line.b, line.a), line.d);
      return [-half, half].map((x) => {
        const t = (dot(sub(place.at, line.a), place.along) + x) / dot(line.d, place.along);
        return addScaled(line.a, line.d, Math.min(whole, Math.max(0, t)));
      });
    }),
  );
  return [...corners, ...beside];
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
  right: readonly Vec3[],
  left: readonly Vec3[],
  lifted: number,
): { readonly a: Vec3; readonly d: Vec3; readonly out: Vec3; readonly gaps: readonly [number, number] } {
  const mean = (q: readonly Vec3[]): Vec3 =>
    scale(
      q.reduce<Vec3>((t, r) => [t[0] + r[0], t[1] + r[1], t[2] + r[2]], [0, 0, 0]),
      1 / q.length,
    );
  let [a, b] = [mean(right), mean(left)];
  // corners come in pairs, back and fore, so their difference is the way the stringers run
  const way = (q: readonly Vec3[]): Vec3 => normalize(sub(mean(q.slice(2, 4)), mean(q.slice(0, 2))));
  const run = normalize([0, 1, 2].map((k) => way(right)[k]! + way(left)[k]!) as unknown as Vec3);
  let d: Vec3 = [0, 0, 0];
  let out: Vec3 = [0, 0, 1];
  let gaps: readonly [number, number] = [0, 0];
  for (let i = 0; i < 6; i++) {
    d = normalize(sub(b, a));
    out = normalize(cross(run, d));
    const over = (q: readonly Vec3[]): readonly [number, number] => {
      const h = q.map((r) => dot(sub(r, a), out));
      return [Math.max(...h), Math.max(...h) - Math.min(...h)];
    };
    const [r, q] = [over(right), over(left)];
    gaps = [r[1], q[1]];
    a = addScaled(a, out, r[0]);
    b = addScaled(b, out, q[0]);
    if (Math.abs(r[0]) + Math.abs(q[0]) < 1e-9) break;
  }
  // a hair over chords that stand for an arc
  return { a: lifted === 0 ? a : addScaled(a, out, lifted), d, out, gaps };
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
  const [right, left] = own.map((p) => seatPoints(l, p, s.station, tie.w / 2)) as [Vec3[], Vec3[]];
  const { a: origin, d, out: up, gaps } = restOn(right, left, l.alignment.curvature === 0 ? 0 : HAIR);
  // along the tie from the deck's centre line
  const middle = dot(sub(place.at, origin), place.left) / dot(d, place.left);
  const at = (y: number): Vec3 => addScaled(origin, d, middle + y);
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
      Math.abs(dot(normalize(x.across), placeAt(l.alignment, x.station).along)) > 1e-6,
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
  const plies = plyIndex(b, ctx, l, p);
  const order = [...plies.keys()].sort(
    (x, y) => Math.abs(x - (plies.length - 1) / 2) - Math.abs(y - (plies.length - 1) / 2),
  );
  const under = (g: Stretch): boolean => station + half > g.from + 1e-9 && station - half < g.to - 1e-9;
  if (all) return plies.flatMap((own) => own.filter(under).map((g) => g.id));
  for (const k of order)
    for (const seg of plies[k]!)
      if (station - half >= seg.from - 1e-6 && station + half <= seg.to + 1e-6) return [seg.id];
  return plies[order[0]!]!.filter((g) => station + half > g.from + 1e-9 && station - half < g.to - 1e-9).map(
    (g) => g.id,
  );
}
interface Stretch {
  readonly id: string;
  readonly from: number;
  readonly to: number;
}
const indexes = new WeakMap<Builder, Map<string, Stretch[][]>>();
/** The stretches of every strip of a pack, by its place in the pack. */
function plyIndex(b: Builder, ctx: Context, l: TrestleLayout, p: Pack): Stretch[][] {
  let known = indexes.get(b);
  if (!known) indexes.set(b, (known = new Map()));
  const before = known.get(p.name);
  if (before) return before;
  const past = l.timbers.cap.w / 2;
  const last = l.bents.length - 1;
  const out = Array.from({ length: l.strips }, (_, k) => {
    const prefix = `${ctx.structure}/stringer/${p.name}/ply${k + 1}/from`;
    const starts = b.members.filter((m) => m.id.startsWith(prefix)).map((m) => Number(m.id.slice(prefix.length)) - 1);
    return starts.map((i, n): Stretch => {
      const to = starts[n + 1] ?? last;
      return {
        id: `${prefix}${i + 1}`,
        from: l.bents[i]!.station - (i === 0 ? past : 0),
        to: l.bents[to]!.station + (to === last ? past : 0),
      };
    });
  });
  known.set(p.name, out);
  return out;
}
