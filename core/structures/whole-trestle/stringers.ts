import { arcBreaks, type Face, type Member } from "../../frame";
import { addScaled, cross, dot, flip, normalize, planeAt, sub, type Vec3, ALIKE, NEAR } from "../../geometry";
import { single } from "../../frame";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { FLUSH } from "../lay";
import { timberOf, type Timber } from "../timber";
import { placeAt } from "./alignment";
import { jointsAlong } from "./bays";
import { bentPoint, bentRoot } from "./bentPlace";
import { bayLine, corbelsUnder, topOnRun, type BentPlace, type Pack, type Seating, type TrestleLayout } from "./layout";
import type { TrestleValues } from "./parameters";

/** What a strip of a pack (at `y`) lies on at a bent: the nearest corbel, the shim, else the cap. */
function bearerOf(structure: string, v: TrestleValues, l: TrestleLayout, at: BentPlace, p: Pack, y: number): string {
  const root = bentRoot(structure, at);
  if (!v.corbels) return v.superBy === "shims" && l.cant !== 0 ? `${root}/shim/${p.name}` : `${root}/cap`;
  const n = corbelsUnder(l);
  const k = Math.round((y - p.y) / l.timbers.corbel.v + (n - 1) / 2);
  return `${root}/corbel/${p.name}/${Math.min(n - 1, Math.max(0, k)) + 1}`;
}

/** Stringers in plies under each rail, jointed over the caps, and the corbels or shims they lie on. */
export function stringers(b: Builder, v: TrestleValues, ctx: Context, l: TrestleLayout): void {
  const [first, last] = [l.bents[0]!, l.bents[l.bents.length - 1]!];
  const past = l.timbers.cap.w / 2;
  b.datums["start"] = planeAt(addScaled(first.deck, first.place.along, -past), first.place.along);
  b.datums["finish"] = planeAt(addScaled(last.deck, last.place.along, past), last.place.along);
  for (const at of l.bents) l.packs.forEach((p, i) => bearers(b, v, ctx, l, at, p, at.seats[i]!));
  for (const pack of l.packs)
    for (let k = 0; k < l.strips; k++) {
      const y = pack.y + (k - (l.strips - 1) / 2) * l.strip.v;
      const shift = Math.floor((k * v.plyBays) / l.strips);
      const joints = jointsAlong(l, pack.y, v.plyBays, shift, !l.laminated);
      joints.slice(1).forEach((to, n) => {
        const from = joints[n]!;
        const id = `${ctx.structure}/stringer/${pack.name}/ply${k + 1}/from${from + 1}`;
        const [start, end] = [l.bents[from]!, l.bents[to]!];
        const bent = l.laminated && curved(l, start.station, end.station);
        const common = { id, structure: ctx.structure, assembly: `${ctx.structure}/stringers` };
        if (bent) b.add(bentPly(l, { ...common, y, pack, from, to }));
        else straightPly(b, l, { ...common, y, pack, from, to });
        const last = l.bents.length - 1;
        for (let i = from; i <= to; i++) {
          const on = bearerOf(ctx.structure, v, l, l.bents[i]!, pack, y);
          const own = { id: `${id}>${i + 1}`, a: id, b: on };
          const half = (i === from && i > 0) || (i === to && i < last);
          const at = l.bents[i]!;
          const seat = at.seats[l.packs.indexOf(pack)]!;
          const shim = v.superBy === "shims" && l.cant !== 0;
          const skew = (i === 0 && v.skewStart !== 0) || (i === last && v.skewEnd !== 0);
          const sides = [...(i > from ? [0] : []), ...(i < to ? [1] : [])];
          if (seat.flush && (!shim || v.corbels))
            b.join({
              ...own,
              kind: "lap",
              aFace: "-w",
              bFace: v.corbels ? "+w" : "+v",
              contact: half || bent || v.corbels || skew ? "line" : "face",
            });
          else
            b.join({
              ...own,
              kind: "notch",
              faces: v.corbels
                ? [{ datum: `${on}:back` }, { datum: `${on}:fore` }, { of: on, face: "+w" }]
                : shim
                  ? [{ of: on, face: "-v" }, { of: on, face: "+v" }, { datum: `${on}:top` }]
                  : (["-w", "+w", "+v"] as const).map((face) => ({ of: on, face })),
              // an outer ply may hang over a corbel narrower than the pack; a skew seat is dapped askew
              contact: bent || v.corbels || skew || sides.some((k) => seat.dap[k]! < FLUSH) ? "line" : "face",
              remedy: "Dap the stringer over what it lies on.",
            });
        }
      });
    }
}

const curved = (l: TrestleLayout, from: number, to: number): boolean =>
  l.alignment.curvature !== 0 && from < l.alignment.curve[1] - ALIKE && to > l.alignment.curve[0] + ALIKE;

interface Ply {
  readonly id: string;
  readonly structure: string;
  readonly assembly: string;
  /** Its centre, to the left of the deck's. */
  readonly y: number;
  readonly pack: Pack;
  /** Bents between which it lies, counted from 0. */
  readonly from: number;
  readonly to: number;
}
const base = (l: TrestleLayout, p: Ply): Omit<Member, "kind" | "ends" | "body"> => ({
  id: p.id,
  structure: p.structure,
  assembly: p.assembly,
  role: "stringer",
  letter: "T",
  nominal: l.strip.nominal,
});

/** A ply that is straight between bents; its ends lie in the bents' planes, the outermost at the far side of the caps. */
function straightPly(b: Builder, l: TrestleLayout, p: Ply): void {
  const last = l.bents.length - 1;
  const line = bayLine(l, l.bents[p.from]!, l.bents[p.from + 1]!, p.pack.y);
  const far = bayLine(l, l.bents[p.to - 1]!, l.bents[p.to]!, p.pack.y);
  // the plies of a pack lie side by side, also where a bent is skew
  const aside = (q: Vec3): Vec3 => addScaled(q, line.left, p.y - p.pack.y);
  b.add({
    ...base(l, p),
    kind: "strip",
    ends: [undefined, undefined],
    spliceOver: l.bents.slice(p.from + 1, p.to).map((at) => at.station - l.bents[p.from]!.station),
    body: {
      shape: "straight",
      a: aside(line.a),
      b: aside(far.b),
      up: line.left,
      seat: ["centre", "+"],
      components: l.strip.components,
    },
  });
  const trim = (end: 0 | 1, name: string, back: boolean): void => {
    if (back) b.datums[`${name}:back`] = flip(b.datums[name]!);
    b.join({
      kind: "trim",
      id: `${p.id}>end${end}`,
      a: p.id,
      datum: back ? `${name}:back` : name,
      as: end === 0 ? "end0" : "end1",
      contact: "gap",
    });
  };
  trim(0, p.from === 0 ? "start" : `bent${p.from + 1}`, true);
  trim(1, p.to === last ? "finish" : `bent${p.to + 1}`, false);
}

/** A ply bent round the curve, its rings at the bents and close enough between them; it runs past the end bents like a straight one. */
function bentPly(l: TrestleLayout, p: Ply): Member {
  const last = l.bents.length - 1;
  const past = l.timbers.cap.w / 2;
  const from = l.bents[p.from]!.station - (p.from === 0 ? past : 0);
  const to = l.bents[p.to]!.station + (p.to === last ? past : 0);
  return {
    ...base(l, p),
    kind: "bent",
    ends: [undefined, undefined],
    body: {
      shape: "run",
      axis: [0, 0, 1],
      rings: ringsOf(l, from, to, p.y),
      seat: ["centre", "+"],
      components: single(l.strip.v, l.strip.w, l.strip.components[0]!.stock),
    },
  };
}

/** Rings of what is bent round the alignment `y` to the left, its work line `above` the stringers' top. All share the break points, so that what lies side by side meets. */
export function ringsOf(l: TrestleLayout, from: number, to: number, y: number, above = 0) {
  const a = l.alignment;
  const [c0, c1] = a.curve;
  const all = [from, ...breaksOf(l).filter((s) => s > from + NEAR && s < to - NEAR), to];
  return all.map((s) => {
    const place = placeAt(a, s);
    const at = topOnRun(l, s, y, above);
    const v = normalize(sub(topOnRun(l, s, y + 1, above), at));
    const up = normalize(cross(place.along, v));
    const steep = a.grade / (1 - y * (s >= c0 && s <= c1 ? a.curvature : 0));
    return { at, v, w: scaleBy(up, Math.hypot(1, steep)), turn: place.heading };
  });
}
/** Stations of all rings between the end bents: the bents, and on the curve as many more as keep the outermost chord true. */
function breaksOf(l: TrestleLayout): readonly number[] {
  const known = breaks.get(l);
  if (known) return known;
  const k = Math.abs(l.alignment.curvature);
  const [c0, c1] = l.alignment.curve;
  const bents = l.bents.map((x) => x.station);
  const widest = 1 / k + Math.max(...l.packs.map((q) => Math.abs(q.y))) + l.packWidth;
  const on = arcBreaks(
    c0 * k,
    c1 * k,
    widest,
    bents.map((s) => s * k),
  ).map((t) => t / k);
  const all = [...bents, ...on].sort((p, q) => p - q);
  const made = all.filter((t, i) => i === 0 || t - all[i - 1]! > NEAR);
  breaks.set(l, made);
  return made;
}
const breaks = new WeakMap<TrestleLayout, readonly number[]>();

const scaleBy = (p: Vec3, k: number): Vec3 => [p[0] * k, p[1] * k, p[2] * k];

/** The corbel or shim of a pack at a bent, and how it lies on the cap. */
function bearers(
  b: Builder,
  v: TrestleValues,
  ctx: Context,
  l: TrestleLayout,
  at: BentPlace,
  p: Pack,
  on: Seating,
): void {
  const root = bentRoot(ctx.structure, at);
  const seat = addScaled(addScaled(at.deck, at.across, p.y), at.up, on.height);
  const along: Vec3 = normalize(
    addScaled((v.corbels ? placeAt(l.alignment, at.station) : at.place).along, [0, 0, 1], l.alignment.grade),
  );
  const shimmed = v.superBy === "shims" && l.cant !== 0;
  const n = v.corbels ? corbelsUnder(l) : 0;
  // they lie along the track side by side, also on a skew cap
  const aside = normalize(addScaled(at.across, along, -dot(at.across, along)));
  const skew = Math.abs(dot(normalize(at.across), along)) > ALIKE;
  for (let k = 0; k < n; k++) {
    const id = `${root}/corbel/${p.name}/${k + 1}`;
    const middle = addScaled(seat, aside, (k - (n - 1) / 2) * l.timbers.corbel.v);
    const half = l.mm(v.corbelLength) / 2;
    const [starts, ends] = [at.number === 1, at.number === l.bents.length];
    b.stick({
      id,
      assembly: root,
      role: "corbel",
      letter: "L",
      timber: l.timbers.corbel,
      a: addScaled(middle, along, -half),
      b: addScaled(middle, along, half),
      up: aside,
      seat: ["centre", "+"],
    });
    // behind an end bent a corbel ends with the cap
    const trim = (end: 0 | 1, datum: string): void =>
      b.join({ kind: "trim", id: `${id}>end${end}`, a: id, datum, as: `end${end}`, contact: "gap" });
    if (starts) b.datums["start:back"] ??= flip(b.datums["start"]!);
    trim(0, starts ? "start:back" : `${id}:back`);
    trim(1, ends ? "finish" : `${id}:fore`);
    b.datums[`${id}:back`] = planeAt(addScaled(seat, along, -half), [-along[0], -along[1], -along[2]]);
    b.datums[`${id}:fore`] = planeAt(addScaled(seat, along, half), along);
    const own = { id: `${id}>cap`, a: id, b: `${root}/cap` };
    const shim = `${root}/shim/${p.name}`;
    if (shimmed)
      b.join({
        ...own,
        b: shim,
        kind: "notch",
        faces: [{ of: shim, face: "-v" }, { of: shim, face: "+v" }, { datum: `${shim}:top` }],
        contact: "line",
        remedy: "Dap the corbel over the shim.",
      });
    else if (l.alignment.grade === 0 && !(skew && l.cant !== 0))
      b.join({ ...own, kind: "lap", aFace: "-w", bFace: "+v", contact: "face" });
    else
      b.join({
        ...own,
        kind: "notch",
        faces: (["-w", "+w", "+v"] as const).map((face: Face) => ({ of: own.b, face })),
        contact: skew ? "line" : "face",
        remedy: "Dap the corbel over the cap.",
      });
  }
  if (!shimmed) return;
  // a wedge as wide as the cap: flat on it, its top cut to the plane of the stringers, or of the corbels under them
  const id = `${root}/shim/${p.name}`;
  // the canted stringers lean out by their depth
  const deep = n > 0 ? l.timbers.corbel.w : 0;
  const wide = Math.max(l.packWidth, n * l.timbers.corbel.v);
  const half = wide / 2 + l.timbers.cap.w / 8 + (l.strip.w + l.timbers.tie.v + deep) * Math.abs(Math.sin(l.cant));
  const up = cross(along, normalize(at.across));
  const top = addScaled(seat, up, -deep);
  b.datums[`${id}:top`] = planeAt(top, up);
  const foot = bentPoint(at);
  const [lo, hi] = [p.y - half, p.y + half].map((y) => foot([0, y, 0])) as [Vec3, Vec3];
  const rise =
    Math.max(...[lo, hi].map((q) => dot(sub(top, q), up) / up[2])) +
    (l.timbers.cap.w / 2) * Math.abs(l.alignment.grade);
  const timber = shimTimber(ctx, l.timbers.cap.nominal[0], rise);
  b.stick({
    id,
    assembly: root,
    role: "shim",
    letter: "W",
    timber,
    a: lo,
    b: hi,
    up: [-at.place.along[0], -at.place.along[1], 0],
    seat: ["centre", "-"],
    square: true,
  });
  b.join({ kind: "trim", id: `${id}>top`, a: id, datum: `${id}:top`, as: "length", contact: "face" });
  b.join({ kind: "lap", id: `${id}>cap`, a: id, b: `${root}/cap`, aFace: "-w", bFace: "+v", contact: "line" });
}

/** Stock for a shim: as wide as the cap, and at least as high as it has to be where it is highest. */
function shimTimber(ctx: Context, wide: number, rise: number): Timber {
  for (let high = Math.ceil((rise * ctx.scale.ratio) / 25.4); ; high++) {
    const name = `${Math.min(high, wide)}×${Math.max(high, wide)}`;
    const t = timberOf(name, ctx.stock(name), high > wide);
    if (t.w >= rise || high > 40) return t;
  }
}
