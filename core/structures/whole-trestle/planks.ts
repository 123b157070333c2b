import { single, type Member } from "../../frame";
import {
  addScaled,
  cross,
  dot,
  normalize,
  planeAt,
  scale,
  sub,
  TOLERANCE,
  type Vec3,
  ALIKE,
  NEAR,
} from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { FLUSH, standsOut } from "../lay";
import type { Timber } from "../timber";
import { placeAt } from "./alignment";
import { jointsAlong } from "./bays";
import { firstFrom, topAt, topOnRun, type BentPlace, type TrestleLayout } from "./layout";
import type { TrestleValues } from "./parameters";
import { ringsOf } from "./stringers";
import { HAIR, type TiePlace } from "./ties";

/** What a strip of the deck is, wherever it lies. */
export type Common = { id: string; role: string; letter: string; assembly: string; timber: Timber };

/** A straight strip on the ties from one station to another, parallel to the line `beside` the track, lifted until it enters none. */
export function along(
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
  // a tie on a grade leans, so that its top lies further on
  const lean = half + Math.abs(l.alignment.grade) * l.timbers.tie.v;
  const under = between(ties, from - lean, to + lean);
  if (under.filter((t) => t.station + half > from + NEAR && t.station - half < to - NEAR).length < 2) return;
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
    const at = bentAt(l, s);
    const place = at?.place ?? placeAt(l.alignment, s);
    return {
      datum,
      plane: (b.datums[datum] ??= planeAt(at?.deck ?? place.at, end === 0 ? scale(place.along, -1) : place.along)),
    };
  });
  // towards the inside of a curve a tie reaches nearer to the end than its station says
  const bow = 1 - Math.abs(l.alignment.curvature) * (Math.abs(y) + c.timber.v);
  const skewed = skewOf(l) * (Math.abs(y) + c.timber.v);
  const reach = lean - NEAR;
  const room = (t: TiePlace): readonly [boolean, boolean] => [
    (t.station - from) * bow - (from <= l.bents[0]!.station + NEAR ? skewed : 0) >= reach,
    (to - t.station) * bow - (to >= l.alignment.length - NEAR ? skewed : 0) >= reach,
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
/** The bent at a station, if there is one. */
function bentAt(l: TrestleLayout, station: number): BentPlace | undefined {
  const found = l.bents[firstFrom(l.bents, station - ALIKE)];
  return found && found.station < station + ALIKE ? found : undefined;
}
/** How far the more skewed end is from square to the track, as the cosine of the angle between its bent and the track. */
function skewOf(l: TrestleLayout): number {
  let skew = skews.get(l);
  if (skew === undefined) {
    const ends = [l.bents[0]!, l.bents[l.bents.length - 1]!];
    skew =
      l.alignment.length > 0
        ? Math.max(...ends.map((x) => Math.abs(dot(x.across, placeAt(l.alignment, x.station).along))))
        : 0;
    skews.set(l, skew);
  }
  return skew;
}
const skews = new WeakMap<TrestleLayout, number>();
/** The ties, which lie in order, whose stations are between two. */
function between(ties: readonly TiePlace[], from: number, to: number): readonly TiePlace[] {
  return ties.slice(firstFrom(ties, from), firstFrom(ties, to));
}
/** A point of the ties' top, `y` to the left of the deck's centre. */
function deckPoint(l: TrestleLayout, station: number, y: number): Vec3 {
  const at = bentAt(l, station);
  return at ? topAt(l, at, y, l.timbers.tie.v) : topOnRun(l, station, y, l.timbers.tie.v);
}

/** A guard timber along the ties: straight from bent to bent, or bent round with laminated stringers. */
export function guard(
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
        .filter((t) => t.station + tie.w / 2 > s0 + ALIKE && t.station - tie.w / 2 < s1 - ALIKE)
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
