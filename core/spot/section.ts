import { areaOf, cornersFlat, hull, type Solid, type Vec2, type Vec3 } from "../geometry";
import { unionOf } from "../geometry/union";
import { spotOf, type Design, type SpotCutDoc, type ThingKind, type TrackDoc } from "../job";
import { standing, wallsIn } from "../site";
import { carOf, centreLine, floorOf, modelCar, railAt, sweptBlocks, thingBlocks } from "../trains";

/** The spot in section, model mm: to the right as one looks at it, and up from its level. */
export interface SpotSection {
  readonly cut: SpotCutDoc;
  /** The edges of the spot, where they are known. */
  readonly edges?: Vec2;
  /** Structures: what of their wood is cut, and all that is seen of them this way. */
  readonly structures: readonly { readonly id: string; readonly name: string; readonly wood: readonly (readonly Vec2[])[]; readonly seen: readonly (readonly Vec2[])[]; readonly floor?: number }[]; // prettier-ignore
  readonly things: readonly { readonly id: string; readonly name: string; readonly kind: ThingKind; readonly box: Box }[]; // prettier-ignore
  /** Tracks that run along in the cut: their rails. */
  readonly rails: readonly { readonly id: string; readonly name: string; readonly points: readonly Vec2[] }[];
  /** Tracks that are cut: where, and what the longest car takes there. */
  readonly tracks: readonly { readonly id: string; readonly name: string; readonly at: number; readonly rail: number; readonly floor: number; readonly car: Box }[]; // prettier-ignore
}
export interface Box {
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
}
/** A track that goes through the cut under a smaller angle than this, radians, runs along it; it is in the cut as far as it is no further from it than a rail's foot, model mm. */
const [ALONG, IN_IT] = [0.35, 1];
/** How finely a track is looked over for where it is cut, model mm. */
const STEP = 2;

/** The axis of the plan that the cut stands across, and the one that is drawn to the right. */
const axes = (cut: SpotCutDoc): readonly [across: 0 | 1, right: 0 | 1] => (cut.along === "depth" ? [0, 1] : [1, 0]);

/** Where an upright cut goes through a convex outline; undefined where it does not. */
export function cutRing(ring: readonly Vec2[], cut: SpotCutDoc): Vec2 | undefined {
  const [a, r] = axes(cut);
  const on: number[] = [];
  ring.forEach((p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    const [d, e] = [p[a] - cut.at, q[a] - cut.at];
    if (d === 0) on.push(p[r]);
    if (d * e < 0) on.push(p[r] + ((q[r] - p[r]) * d) / (d - e));
  });
  return on.length > 1 && Math.max(...on) > Math.min(...on) ? [Math.min(...on), Math.max(...on)] : undefined;
}
/** Where an upright cut goes through a solid, as an outline to the right and up. */
function cutSolid(solid: Solid, cut: SpotCutDoc): Vec2[] | undefined {
  const [a, r] = axes(cut);
  const on: Vec2[] = [];
  for (const { corners } of solid.faces)
    corners.forEach((p, i) => {
      const q = corners[(i + 1) % corners.length]!;
      const [d, e] = [p[a] - cut.at, q[a] - cut.at];
      if (d * e > 0 || d === e) return;
      const k = d / (d - e);
      on.push([p[r] + (q[r] - p[r]) * k, p[2] + (q[2] - p[2]) * k]);
    });
  const ring = hull(on);
  return ring.length >= 3 && areaOf(ring.map(([x, y]): Vec3 => [x, y, 0])) > 1e-6 ? ring : undefined;
}
/** The stations at which a track comes through the cut. */
function crossings(t: TrackDoc, cut: SpotCutDoc): number[] {
  const line = centreLine(t);
  const [a] = axes(cut);
  const n = Math.max(1, Math.ceil(line.length / STEP));
  const side = (s: number): number => line.at(s).at[a] - cut.at;
  return Array.from({ length: n }, (_, i) => i).flatMap((i) => {
    let [lo, hi] = [(line.length * i) / n, (line.length * (i + 1)) / n];
    const first = side(lo);
    const across = line.at((lo + hi) / 2).heading;
    if (Math.abs(a === 0 ? Math.cos(across) : Math.sin(across)) < Math.sin(ALONG)) return [];
    if (first * side(hi) > 0 || first === side(hi) || (side(hi) === 0 && i < n - 1)) return [];
    for (let k = 0; k < 40; k++) {
      const mid = (lo + hi) / 2;
      if (side(mid) * first > 0) lo = mid;
      else hi = mid;
    }
    return [(lo + hi) / 2];
  });
}

/** The spot with all that stands on it, cut upright: levels side by side that a plan does not show. */
export function spotSection(d: Design, cut: SpotCutDoc): SpotSection {
  const { things, tracks, cars } = spotOf(d.doc);
  const side = cut.along === "depth" ? d.doc.brief.spotDepth : d.doc.brief.spotLength;
  const [, r] = axes(cut);
  return {
    cut,
    ...(side > 0 ? { edges: [-side / 2, side / 2] as const } : {}),
    structures: standing(d).map((s) => {
      const parts = s.sticks.flatMap((k) => k.parts);
      const wood = parts.flatMap((p) => { const ring = cutSolid(p, cut); return ring ? [ring] : []; }); // prettier-ignore
      const seen = unionOf(parts.map((p) => hull(cornersFlat(p).map((c): Vec2 => [c[r], c[2]]))));
      const walls = wallsIn(s);
      return { id: s.design.structure.id, name: s.design.structure.name, wood, seen, ...(walls.length > 0 ? { floor: Math.min(...walls.map((w) => w.from[2])) } : {}) }; // prettier-ignore
    }),
    things: things.flatMap((t) =>
      thingBlocks(t).flatMap((p) => {
        const on = cutRing(p.ring, cut);
        return on ? [{ id: t.id, name: t.name, kind: t.kind, box: { from: on[0], to: on[1], low: p.low, high: p.high } }] : []; // prettier-ignore
      }),
    ),
    rails: tracks.flatMap((t) => {
      const line = centreLine(t);
      const n = Math.max(1, Math.ceil(line.length / STEP));
      const points = Array.from({ length: n + 1 }, (_, i) => (line.length * i) / n).flatMap((u): Vec2[] => {
        const p = line.at(u).at;
        return Math.abs(p[1 - r]! - cut.at) <= IN_IT ? [[p[r], railAt(t, u)]] : [];
      });
      return points.length > 1 ? [{ id: t.id, name: t.name, points }] : [];
    }),
    tracks: tracks.flatMap((t) => {
      const own = carOf(t.car, cars);
      const car = modelCar(own, d.scale.ratio);
      const line = centreLine(t);
      const swept = crossings(t, cut).length > 0 ? sweptBlocks(t, car) : [];
      return crossings(t, cut).flatMap((s) => {
        const at = line.at(s).at[r];
        // what is swept at another crossing of the same track is not this one's
        const near = swept.flatMap((b) => { const on = cutRing(b.ring, cut); return on && on[0] <= at + 1e-6 && on[1] >= at - 1e-6 ? [{ on, b }] : []; }); // prettier-ignore
        if (near.length === 0) return [];
        const end = (f: (...n: number[]) => number, g: (x: (typeof near)[number]) => number): number => f(...near.map(g)); // prettier-ignore
        const rail = railAt(t, s);
        return [{ id: t.id, name: t.name, at, rail, floor: rail + floorOf(own) / d.scale.ratio, car: { from: end(Math.min, (x) => x.on[0]), to: end(Math.max, (x) => x.on[1]), low: end(Math.min, (x) => x.b.low), high: end(Math.max, (x) => x.b.high) } }]; // prettier-ignore
      });
    }),
  };
}
/** The levels that a section shows, over the spot, those of one height as one: rails, car floors, tops of platforms, roads, walls, and how high structures stand. Model mm. */
export function levelsOf(s: SpotSection): { readonly z: number; readonly names: readonly string[] }[] {
  const all = [
    ...s.rails.map((t) => ({ z: t.points[0]![1], name: `rail, ${t.name}` })),
    ...s.tracks.flatMap((t) => [{ z: t.rail, name: `rail, ${t.name}` }, { z: t.floor, name: `car floor, ${t.name}` }]), // prettier-ignore
    ...s.things.filter((t) => ["platform", "road", "wall", "water"].includes(t.kind)).map((t) => ({ z: t.box.high, name: t.name })), // prettier-ignore
    ...s.structures.flatMap((x) => (x.seen.length > 0 ? [{ z: Math.min(...x.seen.flat().map((p) => p[1])), name: `foot of ${x.name}` }] : [])), // prettier-ignore
    ...s.structures.flatMap((x) => (x.floor === undefined ? [] : [{ z: x.floor, name: `walls of ${x.name}` }])),
  ].sort((a, b) => a.z - b.z);
  const out: { z: number; names: string[] }[] = [];
  for (const { z, name } of all) {
    const last = out.at(-1);
    if (last && Math.abs(last.z - z) < 0.05) last.names.push(name);
    else out.push({ z, names: [name] });
  }
  return out;
}
/** Where words stand beside levels, from the lowest up, no nearer to one another than so far. */
export function apartBy<T extends { readonly z: number }>(
  levels: readonly T[],
  least: number,
): (T & { readonly y: number })[] {
  // prettier-ignore
  let last = -Infinity;
  return levels.map((l) => ({ ...l, y: (last = Math.max(l.z, last + least)) }));
}
/** From where to where a section is drawn, model mm. */
export function widthOf(s: SpotSection): readonly [number, number] {
  const all = [
    ...(s.edges ?? []),
    ...s.structures.flatMap((x) => x.seen.flat().map((p) => p[0])),
    ...[...s.things.map((t) => t.box), ...s.tracks.map((t) => t.car)].flatMap((b) => [b.from, b.to]),
    ...s.rails.flatMap((t) => t.points.map((p) => p[0])),
  ];
  return all.length > 0 ? [Math.min(...all), Math.max(...all)] : [-100, 100];
}
