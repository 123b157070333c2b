import { single, type Member } from "../../frame";
import { addScaled, cross, dot, normalize, planeAt, scale, sub, TOLERANCE, type Vec3 } from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { FLUSH, standsOut, type Support } from "../lay";
import { timberOf, type Timber } from "../timber";
import { placeAt } from "./alignment";
import { jointsAlong } from "./bays";
import { bayLine, topAt, topOnRun, type BayLine, type Pack, type TrestleLayout } from "./layout";
import type { TrestleValues } from "./parameters";
import { ringsOf } from "./stringers";

/** A tie where it lies: its station and the support it gives to what is laid on it. */
interface TiePlace {
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

/** Ties at their true spacing on every track, and what lies on them: guard timbers, walkways, refuge bays, barrel platforms; the bulkheads at both ends. */
export function deck(b: Builder, v: TrestleValues, ctx: Context, l: TrestleLayout): void {
  const stations = tieStations(v, l);
  const plank = timberOf(v.walkPlank, ctx.stock(v.walkPlank));
  const half = l.mm(v.tieLength) / 2;
  const rights = l.tracks[0]! - half;
  const lefts = l.tracks[l.tracks.length - 1]! + half;
  const [onRight, onLeft] = [
    v.walkway === "right" || v.walkway === "both",
    v.walkway === "left" || v.walkway === "both",
  ];
  // what lies straight from bent to bent sags towards the inside of a curve: it keeps clear of its neighbours by that
  const bow =
    (Math.max(...l.bents.slice(1).map((x, i) => x.station - l.bents[i]!.station)) ** 2 / 8) *
    Math.abs(l.alignment.curvature);
  const walk = v.walkPlanks * plank.v + bow;
  const spare = 1.5 * bow + l.mm(50.8);
  const past = { refuge: l.mm(REFUGE.depth) + bow + spare, barrel: l.mm(BARREL.depth) + bow + spare };
  const bays = (every: number): number[] =>
    every === 0
      ? []
      : l.bents
          .slice(1, -1)
          .filter((x) => (x.number - 1) % every === 0)
          .map((x) => x.station);
  const [refuges, barrels] = [bays(v.refugeEvery), bays(v.barrelEvery)];
  const near = (list: readonly number[], s: number, reach: number): boolean =>
    list.some((x) => Math.abs(x - s) <= reach);
  const places = l.tracks.map((at, t) =>
    stations.map((s, i): TiePlace => {
      const long = i % v.longTieEvery === 0;
      const [outerRight, outerLeft] = [t === 0, t === l.tracks.length - 1];
      const more = (own: boolean, list: readonly number[], reach: number, extra: number): number =>
        Math.max(own && long ? walk + spare : 0, near(list, s, reach) ? (own ? walk : 0) + extra : 0);
      const right = at - half - (outerRight ? more(onRight, refuges, l.mm(REFUGE.half), past.refuge) : 0);
      const left = at + half + (outerLeft ? more(onLeft, barrels, l.mm(BARREL.half), past.barrel) : 0);
      return layTie(b, ctx, l, { track: t, at, number: i + 1, station: s, reach: [right, left] });
    }),
  );
  if (v.guards)
    l.tracks.forEach((at, t) =>
      ([-1, 1] as const).forEach((side) => {
        const y = at + side * (half - l.mm(v.guardInset) - l.timbers.guard.v / 2);
        guard(b, ctx, v, l, `track${t + 1}/${side < 0 ? "right" : "left"}`, y, places[t]!);
      }),
    );
  const rows = (from: number, side: -1 | 1, n: number): number[] =>
    Array.from({ length: n }, (_, k) => from + side * (k + 0.5) * plank.v);
  const strip = (id: string, y: number, from: number, to: number, list: readonly TiePlace[], beside: number): void =>
    along(
      b,
      ctx,
      l,
      { id, role: "walkway plank", letter: "K", timber: plank, assembly: `${ctx.structure}/deck` },
      y,
      from,
      to,
      list,
      beside,
    );
  const onLong = (list: readonly TiePlace[], y: number): TiePlace[] =>
    list.filter((p) => y > p.reach[0] - 1e-6 && y < p.reach[1] + 1e-6);
  for (const [has, side, edge, list] of [
    [onRight, -1, rights, places[0]!],
    [onLeft, 1, lefts, places[places.length - 1]!],
  ] as const)
    if (has)
      rows(edge + side * bow, side, v.walkPlanks).forEach((y, k) =>
        l.bents.slice(1).forEach((to, bay) => {
          const from = l.bents[bay]!;
          const edgeOf = (i: number, s: number): number =>
            i === 0
              ? stations[0]! - l.timbers.tie.w / 2
              : i === l.bents.length - 1
                ? stations[stations.length - 1]! + l.timbers.tie.w / 2
                : s;
          const [s0, s1] = [edgeOf(bay, from.station), edgeOf(bay + 1, to.station)];
          strip(
            `${ctx.structure}/walkway/${side < 0 ? "right" : "left"}${k + 1}/bay${from.number}`,
            y,
            s0,
            s1,
            onLong(list, y),
            edge,
          );
        }),
      );
  const platform = (
    name: string,
    list: readonly number[],
    side: -1 | 1,
    edge: number,
    reach: number,
    depth: number,
    on: readonly TiePlace[],
  ): void =>
    list.forEach((s) => {
      const under = on.filter((p) => Math.abs(p.station - s) <= reach);
      if (under.length < 2) return;
      const [s0, s1] = [
        under[0]!.station - l.timbers.tie.w / 2,
        under[under.length - 1]!.station + l.timbers.tie.w / 2,
      ];
      const n = Math.floor((depth - bow - spare) / plank.v + 1e-9);
      rows(edge + side * bow, side, n).forEach((y, k) =>
        strip(
          `${ctx.structure}/${name}/bent${l.bents.find((x) => x.station === s)!.number}/plank${k + 1}`,
          y,
          s0,
          s1,
          under,
          edge,
        ),
      );
    });
  platform("refuge", refuges, -1, rights - (onRight ? walk : 0), l.mm(REFUGE.half), past.refuge, places[0]!);
  platform(
    "barrel",
    barrels,
    1,
    lefts + (onLeft ? walk : 0),
    l.mm(BARREL.half),
    past.barrel,
    places[places.length - 1]!,
  );
  if (v.bulkheads) bulkheads(b, v, ctx, l);
}
const foot = 304.8;
/** How far a refuge bay reaches out and to either side of its bent, and a barrel's platform. Prototype mm, common practice. */
const REFUGE = { depth: 4 * foot, half: 3 * foot };
const BARREL = { depth: 3 * foot, half: 1.75 * foot };

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
const HAIR = 0.004;

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
function layTie(b: Builder, ctx: Context, l: TrestleLayout, s: TieSeed): TiePlace {
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

type Common = { id: string; role: string; letter: string; assembly: string; timber: Timber };

/** A straight strip on the ties from one station to another, parallel to the line `beside` the track, lifted until it enters none. */
function along(
  b: Builder,
  ctx: Context,
  l: TrestleLayout,
  c: Common,
  y: number,
  from: number,
  to: number,
  ties: readonly TiePlace[],
  beside = y,
): void {
  const half = l.timbers.tie.w / 2;
  const under = between(ties, from - half, to + half).filter(
    (t) => t.station + half > from + 1e-6 && t.station - half < to - 1e-6,
  );
  if (under.length < 2) return;
  const [p0, q0] = [deckPoint(l, from, beside), deckPoint(l, to, beside)];
  const d = normalize(sub(q0, p0));
  const up0 = normalize(under.reduce<Vec3>((s, t) => [s[0] + t.up[0], s[1] + t.up[1], s[2] + t.up[2]], [0, 0, 0]));
  const up = normalize(addScaled(up0, d, -dot(up0, d)));
  // planks side by side are parallel, also where their bay turns
  const left = cross(up, d);
  const [p, q] = [addScaled(p0, left, y - beside), addScaled(q0, left, y - beside)];
  const ends = ([from, to] as const).map((s, end) => {
    // its ends lie in planes across the track, so that neighbours on a curve meet
    const datum = `across:${end}:${s.toFixed(3)}`;
    const at = l.bents.find((x) => Math.abs(x.station - s) < 1e-9);
    const place = at?.place ?? placeAt(l.alignment, s);
    return {
      datum,
      plane: (b.datums[datum] ??= planeAt(at?.deck ?? place.at, end === 0 ? scale(place.along, -1) : place.along)),
    };
  });
  // towards the inside of a curve a tie reaches nearer to the end than its station says
  const bow = 1 - Math.abs(l.alignment.curvature) * (Math.abs(y) + c.timber.v);
  const skewed =
    l.alignment.length > 0
      ? Math.max(
          ...[l.bents[0]!, l.bents[l.bents.length - 1]!].map((x) =>
            Math.abs(dot(x.across, placeAt(l.alignment, x.station).along)),
          ),
        ) *
        (Math.abs(y) + c.timber.v)
      : 0;
  // a tie on a grade leans, so that its top lies further on
  const reach = half + Math.abs(l.alignment.grade) * l.timbers.tie.v - 1e-6;
  const room = (t: TiePlace): readonly [boolean, boolean] => [
    (t.station - from) * bow - (from <= l.bents[0]!.station + 1e-6 ? skewed : 0) >= reach,
    (to - t.station) * bow - (to >= l.alignment.length - 1e-6 ? skewed : 0) >= reach,
  ];
  const planes = [ends[0]!.plane, ends[1]!.plane] as const;
  const gaps = under.map((t) => standsOut(t.support, p, d, up, c.timber.v, planes));
  const lift = Math.max(...gaps.map((g) => g[1])) + (l.alignment.curvature === 0 ? 0 : HAIR);
  const [a, e] = [addScaled(p, up, lift), addScaled(q, up, lift)];
  b.stick({ ...c, a, b: e, up: cross(up, d), seat: ["centre", "-"] });
  ends.forEach(({ datum }, end) =>
    b.join({ kind: "trim", id: `${c.id}>end${end}`, a: c.id, datum, as: end === 0 ? "end0" : "end1", contact: "gap" }),
  );
  under.forEach((t, i) => {
    // nothing under it, or too far below to touch: no joint
    if (lift - gaps[i]![1] > TOLERANCE.contact + HAIR) return;
    const g = gaps[i]!;
    const inside = room(t).every(Boolean);
    const straight = l.alignment.curvature === 0;
    const contact =
      lift - g[1] > FLUSH + HAIR || (!straight && !inside)
        ? "gap"
        : straight && inside && g[1] - g[0] < FLUSH
          ? "face"
          : "line";
    b.join({
      kind: "lap",
      id: `${c.id}>${t.id.slice(ctx.structure.length + 1)}`,
      a: c.id,
      b: t.id,
      aFace: "-w",
      bFace: "+v",
      contact,
    });
  });
}
/** The ties, which lie in order, whose stations are between two. */
function between(ties: readonly TiePlace[], from: number, to: number): readonly TiePlace[] {
  const first = (s: number): number => {
    let [lo, hi] = [0, ties.length];
    while (lo < hi) {
      const mid = (lo + hi) >> 1;
      if (ties[mid]!.station < s) lo = mid + 1;
      else hi = mid;
    }
    return lo;
  };
  return ties.slice(first(from), first(to));
}
/** A point of the ties' top, `y` to the left of the deck's centre. */
function deckPoint(l: TrestleLayout, station: number, y: number): Vec3 {
  const at = l.bents.find((x) => Math.abs(x.station - station) < 1e-9);
  return at ? topAt(l, at, y, l.timbers.tie.v) : topOnRun(l, station, y, l.timbers.tie.v);
}

/** A guard timber along the ties: straight from bent to bent, or bent round with laminated stringers. */
function guard(
  b: Builder,
  ctx: Context,
  v: TrestleValues,
  l: TrestleLayout,
  name: string,
  y: number,
  ties: readonly TiePlace[],
): void {
  const joints = jointsAlong(l, y, Math.max(2, v.plyBays), 0, !l.laminated);
  const last = l.bents.length - 1;
  const tie = l.timbers.tie;
  const [first, final] = [ties[0]!.station - tie.w / 2, ties[ties.length - 1]!.station + tie.w / 2];
  joints.slice(1).forEach((to, n) => {
    const from = joints[n]!;
    const c: Common = {
      id: `${ctx.structure}/guard/${name}/from${from + 1}`,
      role: "guard timber",
      letter: "U",
      assembly: `${ctx.structure}/deck`,
      timber: l.timbers.guard,
    };
    const s0 = from === 0 ? first : l.bents[from]!.station;
    const s1 = to === last ? final : l.bents[to]!.station;
    const curve = l.alignment.curve;
    if (l.laminated && s0 < curve[1] && s1 > curve[0]) {
      const m: Member = {
        id: c.id,
        structure: ctx.structure,
        assembly: c.assembly,
        role: c.role,
        letter: c.letter,
        kind: "bent",
        nominal: c.timber.nominal,
        ends: [undefined, undefined],
        body: {
          shape: "run",
          axis: [0, 0, 1],
          rings: ringsOf(l, s0, s1, y, tie.v + 2 * HAIR),
          seat: ["centre", "-"],
          components: single(c.timber.v, c.timber.w, c.timber.components[0]!.stock),
        },
      };
      b.add(m);
      ties
        .filter((t) => t.station + tie.w / 2 > s0 + 1e-9 && t.station - tie.w / 2 < s1 - 1e-9)
        .forEach((t) =>
          b.join({
            kind: "lap",
            id: `${c.id}>${t.id.slice(ctx.structure.length + 1)}`,
            a: c.id,
            b: t.id,
            aFace: "-w",
            bFace: "+v",
            contact: t.station - tie.w > s0 && t.station + tie.w < s1 ? "line" : "gap",
          }),
        );
      return;
    }
    along(b, ctx, l, c, y, s0, s1, ties);
  });
}

/** Planks on edge behind both end bents, from the top of the stringers down to the foot of the cap. */
function bulkheads(b: Builder, v: TrestleValues, ctx: Context, l: TrestleLayout): void {
  const plank = timberOf(v.bulkhead, ctx.stock(v.bulkhead));
  const last = l.bents.length - 1;
  for (const i of [0, last]) {
    const at = l.bents[i]!;
    const root = `${ctx.structure}/bent${at.number}`;
    const cap = b.members.find((m) => m.id === `${root}/cap`);
    if (!cap || cap.body.shape !== "straight") continue;
    const side = i === 0 ? -1 : 1;
    const along = scale(at.place.along, side);
    const left = normalize(sub(cap.body.b, cap.body.a));
    const up = cross(at.place.along, left);
    const half = Math.hypot(...sub(cap.body.b, cap.body.a)) / 2;
    // the lowest corner of the stringers' top over the cap's
    const tops = [-half, half].map((y) => {
      const line = i === 0 ? bayLine(l, at, l.bents[1]!, y) : bayLine(l, l.bents[last - 1]!, at, y);
      return dot(sub(addScaled(i === 0 ? line.a : line.b, line.d, side * l.timbers.cap.w), at.cap), up);
    });
    // ties of a canted deck lie on chords, which sag inwards away from the bent
    const bay = i === 0 ? l.bents[1]!.station : at.station - l.bents[last - 1]!.station;
    const sag =
      at.place.heading === placeAt(l.alignment, at.station).heading
        ? 0
        : (bay * bay * Math.abs(l.alignment.curvature)) / 8;
    // room for ties that cross a skew end on a grade
    const top =
      Math.min(...tops) -
      2 * half * Math.abs(l.alignment.grade * Math.tan(at.place.heading - placeAt(l.alignment, at.station).heading)) -
      0.03 * l.timbers.cap.w * Math.sign(Math.abs(l.alignment.grade) + Math.abs(l.cant)) -
      2.5 * sag * Math.abs(Math.sin(l.cant));
    const n = Math.floor((top + l.timbers.cap.v) / plank.v + 1e-9);
    for (let k = 0; k < n; k++) {
      const z = top - k * plank.v;
      const mid = addScaled(addScaled(at.cap, along, l.timbers.cap.w / 2), up, z);
      const id = `${root}/bulkhead${k + 1}`;
      b.stick({
        id,
        assembly: root,
        role: "bulkhead plank",
        letter: "E",
        timber: plank,
        a: addScaled(mid, left, -half),
        b: addScaled(mid, left, half),
        up,
        seat: ["+", side < 0 ? "+" : "-"],
        square: true,
      });
      if (k > 0)
        b.join({
          kind: "bearing",
          id: `${id}>above`,
          a: `${root}/bulkhead${k}`,
          b: id,
          aFace: "-v",
          bFace: "+v",
          contact: "face",
        });
      if (z - plank.v < -1e-6)
        b.join({
          kind: "lap",
          id: `${id}>cap`,
          a: id,
          b: `${root}/cap`,
          aFace: side < 0 ? "+w" : "-w",
          bFace: side < 0 ? "-w" : "+w",
          contact: "face",
        });
    }
  }
}
