import { addScaled, cross, dot, normalize, sub, type Vec3, ALIKE } from "../../geometry";
import { model, prototype, toModel, toPrototype, feet, inches } from "../../units";
import type { Context } from "../kind";
import { timberOf, type Timber } from "../timber";
import { bentLayout, postAt } from "../trestle/layout";
import type { BentValues } from "../trestle/parameters";
import { parseNominal } from "../../lumber";
import { placeAt, radiusOfDegree, type Alignment, type Place } from "./alignment";
import type { TrestleValues } from "./parameters";

/** Where a bent stands. Model mm unless said. */
export interface BentPlace {
  /** Counted from 1 at the first bent. */
  readonly number: number;
  readonly station: number;
  /** Centre line and directions, turned by the bent's skew. */
  readonly place: Place;
  /** Unit vectors of the canted deck there, in the bent's plane: to the left, and up. */
  readonly across: Vec3;
  readonly up: Vec3;
  /** Base of rail on the deck's centre line. */
  readonly deck: Vec3;
  /** Middle of the cap's top. */
  readonly cap: Vec3;
  /** Tilt of the cap, radians, positive lifting its left end: the deck's as a skew bent shows it, or none where shims make it. */
  readonly capTilt: number;
  /** What each pack sits on there, in the packs' order. */
  readonly seats: readonly Seating[];
  /** Its parameters as a bent: height and stories are its own. Prototype mm. */
  readonly values: BentValues;
  /** Foot of its sill (or of a pile on the centre line). */
  readonly footZ: number;
  /** Ground on the centre line. */
  readonly groundZ: number;
}
/** The plane that a cap, corbel or shim gives the stringers: its height over the deck's centre, along up, and whether they lie flat on it; else they are dapped. */
export interface Seating {
  readonly height: number;
  readonly flush: boolean;
  /** How deep the dap is at its deepest, on the side of the bay before and of the bay after. */
  readonly dap: readonly [number, number];
}
/** One bundle of stringers: under one rail of one track. */
export interface Pack {
  /** "track1/right": the track counted from the right. */
  readonly name: string;
  readonly track: number;
  readonly side: -1 | 1;
  /** To the left of the deck's centre line, mm, along the canted deck. */
  readonly y: number;
}
/** The timbers whose real sizes the layout follows. */
export interface Timbers {
  readonly tie: Timber;
  readonly ply: Timber;
  readonly cap: Timber;
  readonly corbel: Timber;
  readonly guard: Timber;
}
/** Where everything is: what generators, dimensions and jigs of a trestle share. Model mm. */
export interface TrestleLayout {
  readonly alignment: Alignment;
  readonly bents: readonly BentPlace[];
  readonly packs: readonly Pack[];
  /** Offsets of the tracks' centre lines, to the left. */
  readonly tracks: readonly number[];
  readonly packWidth: number;
  /** Tilt of the deck about its centre line, radians; positive lifts the left side. */
  readonly cant: number;
  readonly timbers: Timbers;
  /** Sections of the strips a chord is made of: width across and the nominal name. */
  readonly strip: Timber;
  readonly strips: number;
  readonly laminated: boolean;
  mm(p: number): number;
}
const HEAD = inches(2.5);
/** The least a shim is, and the least of post between cap and sill that a bent needs. Common practice. */
export const LEAST_SHIM = inches(1);
export const LEAST_POST = feet(1);

/** The curve's radius, prototype mm; undefined for straight track, and for a radius in model mm where no ratio says what it is. */
export function radiusOf(
  v: Pick<TrestleValues, "curve" | "modelRadius" | "radius" | "degree">,
  ratio: number | undefined,
): number | undefined {
  if (v.curve === "none") return undefined;
  if (v.curve === "model") return ratio === undefined ? undefined : v.modelRadius * ratio;
  return v.curve === "radius" ? v.radius : feet(radiusOfDegree(v.degree));
}
/** Stations of the bents, prototype mm: at the spacing with the last bay taking between a half and one and a half of it, or bay by bay. */
export function stationsOf(v: TrestleValues): number[] {
  if (v.bentSet === "each") return v.bays.reduce<number[]>((s, b) => [...s, s[s.length - 1]! + b], [0]);
  const bays = Math.max(1, Math.ceil(v.length / v.spacing - 0.5 - ALIKE));
  return Array.from({ length: bays + 1 }, (_, i) => (i === bays ? v.length : i * v.spacing));
}
/** Height of the ground at a station over the base of rail at the first bent, prototype mm: straight between the points, level beyond them. */
export function groundAt(profile: TrestleValues["profile"], station: number): number {
  if (profile.length === 0) return 0;
  const i = profile.findIndex((p) => p[0] >= station);
  if (i === 0) return profile[0]![1];
  if (i < 0) return profile[profile.length - 1]![1];
  const [p, q] = [profile[i - 1]!, profile[i]!];
  return p[1] + ((q[1] - p[1]) * (station - p[0])) / (q[0] - p[0]);
}
/** Height from the top of the cap of each story line that a bent of that height has, from the top; prototype mm. */
export function storyLines(v: TrestleValues, height: number): number[] {
  const out: number[] = [];
  for (let line: number = v.topStory; height - line >= v.leastStory - ALIKE; line += v.story) out.push(line);
  return out;
}
/** A bent's own parameters at a height, prototype mm. */
export function bentValues(v: TrestleValues, height: number): BentValues {
  const lines = storyLines(v, height);
  const post = v.bentKind === "pile" ? pileStrip(v.pileSize) : v.post;
  return {
    ...v,
    post,
    height: prototype(height),
    stories: lines.length + 1,
    storyHeights: lines.map((l, i) => l - (lines[i - 1] ?? 0)),
    ...(v.bentKind === "pile" && v.between !== "sash" ? { between: "sash" } : {}),
  };
}
/** A pile's size as a square of its side: bent layouts reckon with one. */
export function pileStrip(name: string): string {
  const n = parseNominal(name);
  return n?.round ? `${n.thickness}×${n.thickness}` : name;
}

/** Places the trestle. Errors: a name that is no nominal size. */
export function trestleLayout(v: TrestleValues, ctx: Context): TrestleLayout {
  const before = known.get(v);
  if (before?.ctx === ctx) return before.layout;
  const layout = makeLayout(v, ctx);
  known.set(v, { ctx, layout });
  return layout;
}
/** Frame, dimensions and jigs of one design ask for the same layout. */
const known = new WeakMap<TrestleValues, { readonly ctx: Context; readonly layout: TrestleLayout }>();

function makeLayout(v: TrestleValues, ctx: Context): TrestleLayout {
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  const timber = (name: string, flat = false): Timber => timberOf(name, ctx.stock(name), flat);
  const stations = stationsOf(v);
  const length = stations[stations.length - 1]!;
  const radius = radiusOf(v, ctx.scale.ratio);
  const curvature = radius === undefined ? 0 : (v.hand === "left" ? 1 : -1) / mm(radius);
  const alignment: Alignment = {
    length: mm(length),
    curve: radius === undefined ? [0, 0] : [mm(v.tangentStart), mm(length - v.tangentEnd)],
    curvature,
    grade: v.grade / 100,
  };
  const ply = timber(v.stringer, true);
  const laminated = curvature !== 0 && v.stringerSet === "laminated";
  const n = parseNominal(v.stringer)!;
  const strip = laminated
    ? timber(`${Number(((n.thickness * v.plies) / v.laminations).toFixed(3))}×${n.width}`, true)
    : ply;
  const strips = laminated ? v.laminations : v.plies;
  // plies stand on edge: v across the track, w upright
  const timbers: Timbers = {
    tie: timber(v.tie),
    ply,
    cap: timber(v.cap),
    corbel: timber(v.corbel, true),
    guard: timber(v.guard),
  };
  const packWidth = strips * strip.v;
  const rail = mm(v.gauge + HEAD);
  const tracks = Array.from({ length: v.tracks }, (_, t) => (t - (v.tracks - 1) / 2) * mm(v.trackCentres));
  const packs = tracks.flatMap((at, t) =>
    ([-1, 1] as const).map((side): Pack => ({
      name: `track${t + 1}/${side < 0 ? "right" : "left"}`,
      track: t,
      side,
      y: at + (side * rail) / 2,
    })),
  );
  // the outer side of a curve is raised: a curve to the left lifts the right
  const cant = curvature === 0 ? 0 : -Math.sign(curvature) * Math.asin(Math.min(0.9, mm(v.superelevation) / rail));
  const deckAt = (i: number) => {
    const station = mm(stations[i]!);
    const straight = placeAt(alignment, station);
    const skew = ((i === 0 ? v.skewStart : i === stations.length - 1 ? v.skewEnd : 0) * Math.PI) / 180;
    const place: Place = skew === 0 ? straight : turned(straight, skew);
    return { station, skew, place, ...canted(place, cant, skew, alignment.grade), deck: straight.at };
  };
  const decks = stations.map((_, i) => deckAt(i));
  const base = { alignment, packs, tracks, packWidth, cant, timbers, strip, strips, laminated, mm };
  const proto = (m: number): number => toPrototype(ctx.scale, model(m));
  // mudsills are as thick as their stock, so that the lowest wood lies on the ground
  const under = v.bentKind === "framed" && v.footing === "mudsill" ? proto(timber(v.mudsill).w) : footingHeight(v);
  const bents = decks.map((d, i): BentPlace => {
    const corbelled = v.corbels;
    const shimmed = v.superBy === "shims" && cant !== 0;
    const slope = corbelled || shimmed ? alignment.grade : 0;
    const half = corbelled ? mm(v.corbelLength) / 2 : timbers.cap.w / 2;
    // how high each pack's underside stands over the deck's centre, at every corner of its seat
    const heights = packs.map((p) =>
      undersides(base, decks, i, p, half, slope, corbelled ? placeAt(alignment, d.station).along : d.place.along),
    );
    const seatAt = (h: readonly number[], height: number): Seating => ({
      height,
      flush: height - Math.min(...h) < 1e-4,
      dap: [0, 1].map((k) => height - Math.min(...h.filter((_, n) => n % 2 === k))) as unknown as [number, number],
    });
    const seats = heights.map((h) => seatAt(h, Math.max(...h)));
    const high = Math.max(...seats.map((q) => q.height));
    const low = Math.min(...heights.flat());
    // a skew cap reaches further along the track
    const uphill =
      (timbers.cap.w / 2 / Math.cos(d.skew) + (timbers.corbel.v / 2) * Math.abs(Math.tan(d.skew))) * Math.abs(slope);
    const wide = corbelled ? Math.max(packWidth, corbelsUnder(base) * timbers.corbel.v) : packWidth;
    const edges = packs.flatMap((p) => [-1, 1].map((k) => (p.y + (k * wide) / 2) * Math.sin(cant)));
    const deep = corbelled ? timbers.corbel.w * Math.hypot(1, slope) : 0;
    const cap: Vec3 = shimmed
      ? [d.deck[0], d.deck[1], d.deck[2] + Math.min(...edges) + (low - deep) * Math.cos(cant) - uphill - mm(LEAST_SHIM)]
      : addScaled(d.deck, d.up, corbelled ? Math.max(...seats.map((q) => q.height)) - deep + uphill : high);
    const { height, groundZ, footZ } = heightAt(v, i, stations[i]!, cap[2], mm, proto, under);
    return {
      number: i + 1,
      station: d.station,
      place: d.place,
      across: d.across,
      up: d.up,
      deck: d.deck,
      cap,
      capTilt: v.superBy === "tilt" ? Math.atan(Math.tan(cant) * Math.cos(d.skew)) : 0,
      seats: corbelled || shimmed ? seats : heights.map((h) => seatAt(h, high)),
      values: bentValues(v, height),
      footZ,
      groundZ,
    };
  });
  return { ...base, bents };
}

const turned = (p: Place, by: number): Place => {
  const heading = p.heading + by;
  return {
    at: p.at,
    heading,
    along: [Math.cos(heading), Math.sin(heading), 0],
    left: [-Math.sin(heading), Math.cos(heading), 0],
  };
};
/** Directions of the canted deck in a bent's plane. A skew bent's left runs longer for the same offset from the track. */
function canted(p: Place, cant: number, skew: number, grade: number): { readonly across: Vec3; readonly up: Vec3 } {
  const k = 1 / Math.cos(skew);
  const [c, s] = [Math.cos(cant), Math.sin(cant)];
  const level = normalize([p.left[0] * c * k, p.left[1] * c * k, s]);
  // the same offset lies further on or back along the grade on a skew bent
  const across: Vec3 = [p.left[0] * c * k, p.left[1] * c * k, s - grade * c * Math.tan(skew)];
  return { across, up: normalize(cross(p.along, level)) };
}

type Deck = {
  readonly station: number;
  readonly place: Place;
  readonly across: Vec3;
  readonly up: Vec3;
  readonly deck: Vec3;
};
type Base = Omit<TrestleLayout, "bents">;
/** How many corbels lie side by side under a pack: as many as its width asks for. */
export const corbelsUnder = (l: Pick<Base, "packWidth" | "timbers">): number =>
  Math.max(1, Math.ceil(l.packWidth / l.timbers.corbel.v - 0.3));

/** The top line of a pack (or of something else `y` to the left and `above` the stringers' top) at a bent. */
export function topAt(l: Base, d: Pick<Deck, "deck" | "across" | "up">, y: number, above = 0): Vec3 {
  const drop = (l.timbers.tie.v - above) * Math.hypot(1, l.alignment.grade);
  return addScaled(addScaled(d.deck, d.across, y), d.up, -drop);
}
/** The same at any station of the alignment, for what is bent round it. */
export function topOnRun(l: Base, station: number, y: number, above = 0): Vec3 {
  const p = placeAt(l.alignment, station);
  return topAt(l, { deck: p.at, ...canted(p, l.cant, 0, l.alignment.grade) }, y, above);
}
/** A bay's straight line for a pack: both ends of its top, its direction, and its own left and up. */
export interface BayLine {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly d: Vec3;
  readonly left: Vec3;
  readonly up: Vec3;
}
export function bayLine(l: Base, from: Deck, to: Deck, y: number, above = 0): BayLine {
  const [a, b] = [topAt(l, from, y, above), topAt(l, to, y, above)];
  const d = normalize(sub(b, a));
  const mean: Vec3 = [0, 1, 2].map((k) => from.across[k]! + to.across[k]!) as unknown as Vec3;
  const left = normalize(addScaled(mean, d, -dot(mean, d)));
  return { a, b, d, left, up: cross(d, left) };
}

/** Heights of a pack's underside at bent i over a plane through the deck's centre that rises by `slope` along the track, at the corners of a seat that reaches `half` to either side along `way`. */
function undersides(
  l: Base,
  decks: readonly Deck[],
  i: number,
  pack: Pack,
  half: number,
  slope: number,
  way: Vec3,
): number[] {
  const at = decks[i]!;
  const out: number[] = [];
  const level = (p: Vec3): void => {
    const r = sub(p, at.deck);
    out.push(dot(r, at.up) - slope * dot(r, way));
  };
  const [before, after] = [i > 0, i < decks.length - 1];
  // in pairs: a corner of the bay before, and one of the bay after
  for (const dy of [-0.5, 0.5])
    for (const x of [0, half])
      for (const sign of [-1, 1]) {
        const ds = sign * x;
        if (l.laminated) {
          const y = pack.y + dy * l.packWidth;
          const steep = l.alignment.grade / (1 - y * l.alignment.curvature);
          const p = placeAt(l.alignment, at.station + ds);
          const c = canted(p, l.cant, 0, l.alignment.grade);
          level(addScaled(topAt(l, { deck: p.at, ...c }, y), c.up, -l.strip.w * Math.hypot(1, steep)));
          continue;
        }
        const k = (sign < 0 && before) || !after ? i - 1 : i;
        const line = bayLine(l, decks[k]!, decks[k + 1]!, pack.y);
        const p = addScaled(addScaled(line.a, line.left, dy * l.packWidth), line.up, -l.strip.w);
        level(addScaled(p, line.d, (ds - dot(sub(p, at.deck), way)) / dot(line.d, way)));
      }
  return out;
}

/** A bent's height, prototype mm, and where its foot and the ground are, model mm; `under` is what stands between, prototype mm. */
function heightAt(
  v: TrestleValues,
  i: number,
  station: number,
  capZ: number,
  mm: (n: number) => number,
  proto: (n: number) => number,
  under: number,
): { readonly height: number; readonly groundZ: number; readonly footZ: number } {
  if (v.groundBy === "heights") {
    const height = v.heights[Math.min(i, v.heights.length - 1)] ?? feet(21);
    const footZ = capZ - mm(height);
    return { height, footZ, groundZ: footZ - mm(under) };
  }
  const ground = groundAt(v.profile, station);
  let height = proto(capZ) - ground - under;
  if (v.bentKind === "framed" && v.crossfall !== 0)
    // the sill stands clear of the highest ground under it
    for (let k = 0; k < 6; k++) {
      const lay = bentLayout(bentValues(v, Math.max(height, feet(4))));
      const reach = Math.abs(postAt(lay.posts[lay.posts.length - 1]!, lay.sillTop, lay.capUnder));
      height = proto(capZ) - ground - (reach * Math.abs(v.crossfall)) / 100 - under;
    }
  return { height, footZ: capZ - mm(height), groundZ: mm(ground) };
}
/** What stands between the sill and the highest ground under it, prototype mm. */
export function footingHeight(v: TrestleValues): number {
  if (v.bentKind === "pile" || v.footing === "none") return 0;
  if (v.footing === "pedestal") return v.pedestalLeast;
  return inches(parseNominal(v.mudsill)?.thickness ?? 12);
}

/** The first of places that lie in order that is not before a station; their count where all are. */
export function firstFrom(places: readonly { readonly station: number }[], station: number): number {
  let [lo, hi] = [0, places.length];
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (places[mid]!.station < station) lo = mid + 1;
    else hi = mid;
  }
  return lo;
}
