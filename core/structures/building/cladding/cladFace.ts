import { planeAt } from "../../../geometry";
import type { Builder } from "../../builder";
import { bayPeak, baysOf } from "../bay/bayPlan";
import { cheekOf } from "../roof/dormer";
import { breakOf, upperSlope } from "../roof/facets";
import { LEAST } from "./layBoard";
import { onWall } from "../plan/sides";
import { hungFoot, rootOf, type BuildingLayout, type Part, type Side, type Slope, type Wall } from "../plan/layout";
import { move, movePlane } from "../../place";
import { alongWall, planeZ, slopePlane } from "../roof/slopes";
import { interruptionsOf } from "../roof/valley";

/** A rectangle that no cladding covers: an opening, a wing that stands against the wall, a ridge that comes through. Model mm of its wall. */
export interface Hole {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  /** Datums of slopes it lies under: no rectangle, so that rows are notched for it and not parted. */
  readonly under?: readonly string[];
}
/** The face of a wall that is clad: where it begins and ends, its foot, and the planes that bound it above. */
export interface CladFace {
  readonly wall: Wall;
  readonly part: Part;
  readonly from: number;
  readonly to: number;
  readonly foot: number;
  /** The level it ends at, under an eave; else the highest point under a gable. */
  readonly head: number;
  /** Datums of the slopes over a gable. */
  readonly slopes: readonly string[];
  readonly holes: readonly Hole[];
  /** Whether its left and right edges are mitred with the next wall's: they begin at the framing's corner and reach the outside. */
  readonly mitred?: readonly [boolean, boolean];
  /** Of a dormer's cheek: the covering that it ends on below, a datum and its height along the wall. */
  readonly base?: { readonly datum: string; readonly at: (s: number) => number };
}
/** Whether a wing stands against the long wall beside a corner, so that the end wall's cladding has no edge to cover there. */
export function wingAtCorner(l: BuildingLayout, part: Part, w: Wall, side: "left" | "right"): boolean {
  if (part !== l.main) return false;
  const at = onWall(w, side === "left" ? 0 : w.length, 0, 0);
  const near = l.mm(l.v.overhang) + l.clad + l.wall;
  return l.parts.some((wing) => {
    if (!wing.against || wing.against === w.name) return false;
    const ends =
      wing.roof === "lean"
        ? [
            [wing.p[0], 0],
            [wing.p[1], 0],
          ]
        : [
            [0, wing.q[0]],
            [0, wing.q[1]],
          ];
    return ends.some(([p, q]) => Math.hypot(...[0, 1].map((k) => move(wing.place, [p!, q!, 0])[k]! - at[k]!)) < near);
  });
}
/** How far under a gable's slopes its cladding ends, square to them: under the lookouts, or under a barge board on the end rafter itself. */
export function gableDrop(l: BuildingLayout, part: Part): number {
  if (part.gableOut > 0) return l.t.lookout.w;
  return l.v.barge ? l.t.fascia.v : 0;
}
/** Whether a wall's left and right end run on in one plane with another part's: a wing flush with the gable, their plates level. */
export function flushEnds(l: BuildingLayout, part: Part, w: Wall): readonly [boolean, boolean] {
  const cuts = interruptionsOf(l).filter((i) => i.flush !== undefined);
  if (part === l.main) {
    const met = (side: Side): boolean => cuts.some((i) => i.flush === w.side && i.side === side);
    // E has S at its left, W has N
    return w.side === "E" ? [met("S"), met("N")] : w.side === "W" ? [met("N"), met("S")] : [false, false];
  }
  const own = cuts.find((i) => i.wing === part);
  if (!own || !w.through || w.side !== own.longEave) return [false, false];
  return [w.side === "S", w.side === "N"];
}
/** Whether a wall's left and right end stand against another part's wall. */
export const openEnds = (part: Part, w: Wall): readonly [boolean, boolean] =>
  w.through
    ? [w.side === "S" && part.open === "W", w.side === "N" && part.open === "W"]
    : [w.side === "W" && part.open === "N", w.side === "E" && part.open === "N"];
/** What of a wall is clad. */
export function cladFace(b: Builder, l: BuildingLayout, part: Part, w: Wall): CladFace {
  const { v, t, mm } = l;
  const root = rootOf(l, w.name);
  const hung = hungFoot(l, w);
  // it stands on the water table
  const on = part.onRoof;
  const foot = on ? on.surface(0) : hung + (v.waterTable ? t.waterTable.v : 0);
  const cheek = cheekOf(part, w);
  const base =
    on && cheek ? { datum: on.datum, at: (s: number) => on.surface(cheek.frontLeft ? s : w.length - s) } : undefined;
  const [openLeft, openRight] = openEnds(part, w);
  // an end wall's cladding covers the edges of the long walls' (of sheet, as it is chosen); corner boards stand between
  const sheetCorner = v.siding === "sheet" && !v.cornerBoards && !on ? v.sheetCorner : "ends";
  const mitre = (side: "left" | "right"): boolean => sheetCorner === "mitre" && !wingAtCorner(l, part, w, side);
  const corner = (side: "left" | "right"): number => {
    const covers =
      (sheetCorner === "sides" ? !w.through : w.through) || mitre(side) || wingAtCorner(l, part, w, side) ? 0 : 1;
    return v.cornerBoards ? t.cornerBoard.v - covers * t.cornerBoard.w : -covers * l.clad;
  };
  const [flushLeft, flushRight] = flushEnds(l, part, w);
  const from = flushLeft ? 0 : openLeft ? (part.against ? l.clad : 0) : corner("left");
  const to = w.length - (flushRight ? 0 : openRight ? l.clad : corner("right"));
  const slope = part.slopes[w.side];
  const deep = (k: number): number => t.rafter.v * Math.hypot(1, k);
  const valleyed = (part.valley && !on) || l.parts.some((p) => p.valley && p.against === w.name);
  const hips = part.roof === "hip" || part.roof === "hipdeck" || valleyed;
  let head = w.top;
  const slopes: string[] = [];
  if (slope) {
    const hang = Math.max(deep(slope.k), hips ? t.hip.v * Math.hypot(1, slope.k / Math.SQRT2) : 0);
    // a hip or valley passes the wall askew, and is lowest by a third of its thickness further out
    head = planeZ(slope, -l.proud - (hips ? Math.max(l.proud, 0.36 * t.hip.w) : 0)) - hang;
  } else if (part.roof === "shed" && w.side === "N") {
    const s = part.slopes.S!;
    head = planeZ(s, part.q[1] - part.q[0]) - deep(s.k);
  } else if (!w.through && part.roof !== "flat" && part.roof !== "none") {
    // under the lookouts, if there are any
    const down = gableDrop(l, part);
    const planes = (["S", "N"] as const).flatMap((side) => {
      const s = part.slopes[side];
      if (!s) return [];
      const own = [slopePlane(part, s, -down)];
      if (part.roof === "gambrel") own.push(slopePlane(part, upperSlope(s, v.upperRise / 12, breakOf(l, part)), -down));
      return own;
    });
    planes.forEach((p, i) => {
      const name = `${root}/under${i + 1}`;
      b.datums[name] = movePlane(part.place, p);
      slopes.push(name);
    });
    head = part.peak[1];
  }
  if (v.frieze && !on && (slope || part.roof === "flat")) head -= t.frieze.v;
  const cased = w.gaps.filter((g) => !g.open);
  const holes: Hole[] = cased.map((g) => {
    const c = v.casings ? t.casing.v : 0;
    return { id: g.name, from: g.from - c, to: g.to + c, low: g.door ? -Infinity : g.sill - c, high: g.head + c };
  });
  // a ridge that runs out over the gable
  if (slopes.length > 0 && part.gableOut > 0 && part.slopes.N) {
    const s = w.side === "E" ? part.peak[0] - part.q[0] : part.q[1] - part.peak[0];
    holes.push({
      id: "ridge",
      from: s - t.ridge.w / 2,
      to: s + t.ridge.w / 2,
      low: part.peak[1] - t.ridge.v - 2 * t.ridge.w,
      high: Infinity,
    });
  }
  // a flush wing's valley comes down through the corner where their planes meet
  if (part === l.main)
    for (const left of [true, false]) {
      if (!(left ? flushLeft : flushRight)) continue;
      // E has S at its left, W has N
      const s = part.slopes[(w.side === "E") === left ? "S" : "N"]!;
      const low = planeZ(s, -2 * l.proud) - Math.max(deep(s.k), t.hip.v * Math.hypot(1, s.k / Math.SQRT2));
      const wide = t.hip.w * Math.SQRT1_2 + 0.05;
      const [from, to] = left ? [-wide, wide + l.clad] : [w.length - wide - l.clad, w.length + wide];
      holes.push({ id: `valley-${left ? "left" : "right"}`, from, to, low, high: Infinity });
    }
  // the ledger of a lean-to runs out over its ends
  if (part.roof === "lean" && !on && !w.through && mm(v.gableOverhang) > 0) {
    const s = part.slopes.S!;
    const low = planeZ(s, part.q[1] - part.q[0] - t.ridge.w) - t.ridge.v;
    const [from, to] = w.side === "E" ? [w.length - t.ridge.w, w.length] : [0, t.ridge.w];
    holes.push({ id: "ledger", from, to, low, high: Infinity });
  }
  for (const wing of l.parts) {
    if (wing.against !== w.name || part !== l.main) continue;
    const ends = (
      wing.roof === "lean"
        ? [
            [wing.p[0], 0],
            [wing.p[1], 0],
          ]
        : [
            [0, wing.q[0]],
            [0, wing.q[1]],
          ]
    ).map(([p, q]) => alongWall(w, move(wing.place, [p!, q!, 0])));
    const cover =
      v.covering === "none" && v.seenRoof ? 0 : Math.max(t.roofBoard.w, v.roofSheet) * Math.hypot(1, v.rise / 12) + 0.4;
    holes.push({
      id: wing.name,
      from: Math.min(...ends) - l.clad,
      to: Math.max(...ends) + l.clad,
      low: -Infinity,
      high: wing.valley ? Infinity : wing.peak[1] + cover,
    });
    if (!wing.valley) {
      // its eaves reach past its walls
      const out = mm(wing.roof === "lean" ? v.gableOverhang : v.overhang) + cover + 0.2;
      const s = wing.slopes.S!;
      const lowest = planeZ(s, wing.roof === "lean" ? 0 : -mm(v.overhang)) - deep(s.k) - t.fascia.v;
      holes.push({
        id: `${wing.name}-eave`,
        from: Math.min(...ends) - out - t.fascia.w,
        to: Math.max(...ends) + out + t.fascia.w,
        low: lowest,
        high: wing.peak[1] + cover,
      });
    }
  }
  if (part === l.main) holes.push(...bayHoles(b, l, w));
  const mitred = [mitre("left") && !openLeft && !flushLeft, mitre("right") && !openRight && !flushRight] as const;
  return { wall: w, part, from, to, foot, head, slopes, holes, mitred, ...(base ? { base } : {}) };
}
/** What bay windows cover of a wall: their bodies, and what lies under their roofs. */
function bayHoles(b: Builder, l: BuildingLayout, w: Wall): Hole[] {
  const { v } = l;
  return baysOf(l)
    .filter((x) => x.main.name === w.name)
    .flatMap((bay): Hole[] => {
      const cover = v.covering === "none" && v.seenRoof ? 0 : v.roofSheet + 0.1;
      const low = bay.top + bay.slope.above - bay.slope.k * bay.out - l.t.rafter.v * Math.hypot(1, bay.slope.k) - 0.2;
      const eave = bay.out / Math.sin(bay.angle) + l.clad * 3;
      const under = bay.walls.map((x, i) => {
        const name = `${rootOf(l, bay.name)}/over${i + 1}`;
        const stretch = Math.hypot(1, bay.slope.k);
        const p = planeAt(onWall(x, 0, 0, bay.top + bay.slope.above), [
          (x.n[0] * bay.slope.k) / stretch,
          (x.n[1] * bay.slope.k) / stretch,
          1 / stretch,
        ]);
        b.datums[name] = { n: p.n, d: p.d + cover };
        return name;
      });
      return [
        // a slanting wall's cladding stands out past its corner
        { id: bay.name, from: bay.at - l.clad, to: bay.at + bay.length + l.clad, low: -Infinity, high: low },
        {
          id: `${bay.name}-roof`,
          from: bay.at - eave,
          to: bay.at + bay.length + eave,
          low,
          high: bayPeak(bay) + cover * 2,
          under,
        },
      ];
    });
}
/** From where to where a level lies under all slopes of a gable. */
export function underSlopes(l: BuildingLayout, f: CladFace, z: number): [number, number] {
  const { part, wall: w } = f;
  const down = gableDrop(l, part);
  let [lo, hi] = [f.from, f.to];
  for (const side of ["S", "N"] as const) {
    const s = part.slopes[side];
    if (!s) continue;
    const at = (x: Slope): number => (z + down * Math.hypot(1, x.k) - planeZ(x, 0)) / x.k;
    const inward =
      part.roof === "gambrel" ? Math.max(at(s), at(upperSlope(s, l.v.upperRise / 12, breakOf(l, part)))) : at(s);
    // an E wall has S at its left
    const left = (w.side === "E") === (side === "S");
    if (left) lo = Math.max(lo, inward);
    else hi = Math.min(hi, w.length - inward);
  }
  return [lo, hi];
}
/** How high a strip between two places of a gable reaches at most. */
export function highest(l: BuildingLayout, f: CladFace, s0: number, s1: number): number {
  let [lo, hi] = [f.foot, f.head];
  // both edges, and the peak where it lies between them
  for (let i = 0; i < 40; i++) {
    const mid = (lo + hi) / 2;
    const [a, c] = underSlopes(l, f, mid);
    if (a < s1 - LEAST && c > s0 + LEAST) lo = mid;
    else hi = mid;
  }
  return lo;
}
