import { profileBoxes, type Component } from "../../frame";
import type { Vec2, Vec3 } from "../../geometry";
import { model, prototype, toModel, type Model } from "../../units";
import type { Context } from "../kind";
import { timberOf, type Timber } from "../timber";
import { topologyOf } from "./counters";
import type { TrussValues } from "./parameters";
import { bearingChord, type Topology, type TopologyValues } from "./topology";

/** The values of a truss's outline with its lengths in another unit. */
export const outlineOf = (v: TrussValues, unit = 1): TopologyValues => ({
  kind: v.kind,
  position: v.position,
  panels: v.panels,
  ends: v.ends,
  counters: v.counters,
  slopes: Number(v.slopes),
  liveOverDead: v.liveOverDead,
  span: v.span * unit,
  depth: v.depth * unit,
  hipDepth: v.hipDepth * unit,
  camber: v.camber * unit,
  innerDepth: v.innerDepth * unit,
});

/** One side truss where it stands: from its own plane [along, up] with the left bearing at 0, and `y` to the left. Model mm. */
export interface SidePlace {
  readonly root: string;
  readonly span: number;
  /** To the left of the bridge's centre line. */
  readonly y: number;
  readonly at: (x: number, y: number, z: number) => Vec3;
  readonly turn: (d: Vec3) => Vec3;
}
export interface TrussLayout {
  readonly topology: Topology;
  readonly chord: ChordSection;
  /** What of a chord braces meet from inside: the whole of it, or the web between the flanges of an I, by its name in a joint, its depth and thickness. */
  readonly inner: { readonly part: "" | "#web"; readonly v: number; readonly w: number };
  readonly timbers: Readonly<Record<"endPost" | "vertical" | "diagonal" | "counter" | "plank", Timber>>;
  readonly sides: readonly SidePlace[];
  /** Where it bears: the chord, how far outward of its last panel points the blocks stand, and how far out that chord has to reach for them. */
  readonly bearing: { readonly chord: "bottom" | "top"; readonly aside: number; readonly reach: number };
  /** Where each span's left bearing is along the bridge, and the gap between two. */
  readonly starts: readonly number[];
  readonly mm: (p: number) => number;
}
/** Across the whole chord: its envelope and the sticks it is made of. */
export interface ChordSection {
  readonly v: number;
  readonly w: number;
  readonly components: readonly Component[];
  readonly nominal: readonly [number, number];
}

/** Which shapes a chord is cut from that is to be I sections, channels or boxes. */
const SHAPES_OF: Readonly<Record<string, readonly string[]>> = { I: ["I", "H"], channel: ["channel"], box: [] }; // prettier-ignore
/** Chord of plies side by side with packing between, or built up of strips. Model mm. */
export function chordSection(v: TrussValues, ctx: Context, mm: (p: number) => number): ChordSection {
  const ply = timberOf(v.chord, ctx.stock(v.chord));
  const milled = ply.components.length === 1 ? ply.components[0]!.profile : undefined;
  // a shape chosen in Stock is what the chord is, where the chord is to be such a shape
  if (milled && v.chordShape !== "plies" && SHAPES_OF[v.chordShape]?.includes(milled.form))
    return { v: ply.v, w: ply.w, components: ply.components.map((c) => ({ ...c, profile: { ...milled, turned: true } })), nominal: ply.nominal }; // prettier-ignore
  if (v.chordShape === "plies") {
    const gap = mm(v.packing);
    const w = v.chordPlies * ply.w + (v.chordPlies - 1) * gap;
    const stock = ply.components[0]!.stock;
    const components =
      v.chordPlies === 1
        ? ply.components
        : Array.from({ length: v.chordPlies }, (_, i): Component => ({
            name: String(i + 1),
            v: ply.v,
            w: ply.w,
            at: [model(0), model((i - (v.chordPlies - 1) / 2) * (ply.w + gap))],
            stock,
            // backs outward, for braces to meet
            ...(milled ? { profile: { ...milled, turned: i >= v.chordPlies / 2 } } : {}),
          }));
    return { v: ply.v, w, components, nominal: ply.nominal };
  }
  const [t, d] = [Math.min(...ply.nominal), Math.max(...ply.nominal)];
  const name = (a: number, b: number): string => {
    const [p, q] = [Math.min(a, b), Math.max(a, b)].map((x) => Number(x.toFixed(3)));
    return `${p}×${q}`;
  };
  const strip = (a: number, b: number): Timber => timberOf(name(a, b), ctx.stock(name(a, b)));
  const flange = strip(v.plate, t);
  const web = strip(v.plate, Math.max(v.plate, d - 2 * v.plate));
  const part = (id: string, sv: Model, sw: Model, av: number, aw: number, s: Timber): Component => ({
    name: id,
    v: sv,
    w: sw,
    at: [model(av), model(aw)],
    stock: s.components[0]!.stock,
  });
  // flanges lie flat over and under upright webs
  const up = (web.v + flange.w) / 2;
  const flanges = [part("upper", flange.w, flange.v, up, 0, flange), part("lower", flange.w, flange.v, -up, 0, flange)];
  // webs of stock so thick that two have no room under a flange stand side by side
  const aside = Math.max((flange.v - web.w) / 2, v.chordShape === "box" ? web.w / 2 : 0);
  const webs =
    v.chordShape === "I"
      ? [part("web", web.v, web.w, 0, 0, web)]
      : v.chordShape === "channel"
        ? // seen from the middle of a bridge its left truss shows this side
          [part("web", web.v, web.w, 0, aside, web)]
        : [part("near", web.v, web.w, 0, aside, web), part("far", web.v, web.w, 0, -aside, web)];
  return { v: web.v + 2 * flange.w, w: flange.v, components: [...flanges, ...webs], nominal: ply.nominal };
}

/** Where a truss's work lines and trusses are. Model mm. */
export function trussLayout(v: TrussValues, ctx: Context): TrussLayout {
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  const timber = (name: string): Timber => timberOf(name, ctx.stock(name));
  const topology = topologyOf(outlineOf(v, 1 / ctx.scale.ratio));
  const chord = chordSection(v, ctx, mm);
  const timbers = {
    endPost: timber(v.endPost),
    vertical: timber(v.vertical),
    diagonal: timber(v.diagonal),
    counter: timber(v.counter),
    plank: timber(v.plank),
  };
  // of a cambered chord the upper corner of its end leans out
  const first = topology.chords.find((c) => c.id === bearingChord(topology))?.points.map((p) => topology.points[p]!);
  const lean = first ? chord.v * Math.abs((first[1]![1] - first[0]![1]) / (first[1]![0] - first[0]![0])) : 0;
  const block = v.blocks ? timber(v.block).w / 2 : 0;
  const bearing = bearingOf(v, topology, chord, timbers, 2 * block, mm);
  const pitch =
    mm(v.span) + 2 * Math.max(mm(v.chordEnd), topEnd(v, timbers, mm), block, bearing.reach) + mm(GAP) + lean;
  const starts = Array.from({ length: v.spans }, (_, i) => (i - (v.spans - 1) / 2) * pitch - mm(v.span) / 2);
  const slope = Math.atan(v.grade / 100);
  const [c, s] = [Math.cos(slope), Math.sin(slope)];
  const turn = (d: Vec3): Vec3 => [d[0] * c - d[2] * s, d[1], d[0] * s + d[2] * c];
  const sides = starts.flatMap((x0, i) =>
    (v.trusses && v.position !== "roof" ? ([-1, 1] as const) : ([0] as const)).map((side): SidePlace => {
      const y0 = (side * mm(v.apart)) / 2;
      return {
        root: `${ctx.structure}/span${i + 1}/${side < 0 ? "right" : side > 0 ? "left" : "truss"}`,
        span: i + 1,
        y: y0,
        at: (x, y, z) => turn([x0 + x, y0 + y, z]),
        turn,
      };
    }),
  );
  return {
    topology,
    chord,
    inner: innerOf(v, chord),
    timbers,
    sides,
    bearing,
    starts,
    mm,
  };
}
/** What of a chord braces meet from inside: the web of an I, milled or built up. */
function innerOf(v: TrussValues, chord: ChordSection): TrussLayout["inner"] {
  const [only, more] = chord.components;
  const milled = !more && only?.profile && ["I", "H"].includes(only.profile.form) ? profileBoxes(only).find((b) => b.name === "web") : undefined; // prettier-ignore
  if (milled) return { part: "#web", v: milled.size[0], w: milled.size[1] };
  const web = v.chordShape === "I" ? chord.components.find((c) => c.name === "web") : undefined;
  return web ? { part: "#web", v: web.v, w: web.w } : { part: "", v: chord.v, w: chord.w };
}
/** Of a truss that hangs below its deck the end posts go down from the panel points over the bearings: its blocks stand outward of them. */
function bearingOf(
  v: TrussValues,
  t: Topology,
  chord: ChordSection,
  timbers: TrussLayout["timbers"],
  block: number,
  mm: (p: number) => number,
): TrussLayout["bearing"] {
  const on = bearingChord(t);
  if (!v.blocks || on === "bottom") return { chord: on, aside: 0, reach: 0 };
  const [a, c] = t.chords.find((x) => x.id === "bottom")!.points.map((p) => t.points[p]!) as [Vec2, Vec2];
  const [run, drop] = [c[0] - a[0], a[1] - c[1]];
  // the outer side of the end post, or of the plate on it, where it comes to the chord's underside, and an inch
  const wide = v.gussets ? Math.max(timbers.endPost.v, chord.v) : timbers.endPost.v;
  const edge = (chord.v / 2) * (run / drop) - (wide / 2) * Math.hypot(1, run / drop);
  const aside = Math.max(0, block / 2 + mm(25.4) - edge);
  return { chord: on, aside, reach: aside + Math.max(block / 2, mm(v.chordEnd)) };
}
/** How far a top chord runs past the last panel point over a vertical end post, or a lattice's over its planks. */
export const topEnd = (v: TrussValues, t: TrussLayout["timbers"], mm: (p: number) => number): number =>
  v.ends === "vertical" || v.kind === "plank" || v.kind === "double"
    ? (v.kind === "plank" ? 2 * t.plank.v : Math.max(t.endPost.v, t.vertical.v) / 2) + mm(152.4)
    : 0;
/** Between the chord ends of two spans on a pier. */
const GAP = 50.8;
