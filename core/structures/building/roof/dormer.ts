import type { Vec3 } from "../../../geometry";
import { onFacet } from "./facets";
import { rootOf, type BuildingLayout, type Gap, type Part, type Side, type Slope, type Wall } from "../plan/layout";
import { sideFrame, sideName } from "../plan/sides";
import { slopeOf } from "../plan/parts";
import { move, quartersOf, turn } from "../../place";
import type { RoofHole } from "./roofHoles";
import { inwardOf, planeZ } from "./slopes";

/** A dormer on a slope of the main part: its walls stand on that slope's rafters. Gabled, or with one slope to its front. Model mm. */
export interface Dormer {
  readonly part: Part;
  readonly side: Side;
  readonly slope: Slope;
  /** Along the eave to the right as seen from outside, over the outside of its cheeks. */
  readonly x: readonly [number, number];
  /** Level, in from the main wall's outside: its front, and where its eaves' planes, or its one slope, meet the slope under it. */
  readonly inward: readonly [number, number];
  /** From where to where the slope under it is open inside its walls, as inward. */
  readonly opening: readonly [number, number];
}
/** How far, plumb, what covers the slopes stands over their rafters. */
const coverLift = (l: BuildingLayout, s: Slope): number => coverThick(l) * Math.hypot(1, s.k);
export const coverThick = (l: BuildingLayout): number =>
  !l.v.seenRoof || l.v.covering === "sheet" ? l.v.roofSheet : l.v.covering === "none" ? 0 : l.t.roofBoard.w;

/** The side that follows another counter-clockwise from above: the wall on the right of it, seen from outside. */
const NEXT: Readonly<Record<Side, Side>> = { S: "E", E: "N", N: "W", W: "S" };
/** Whether a dormer's wall is a cheek of it, and whether the cheek's left end, seen from outside, is at the front. */
export const cheekOf = (part: Part, w: Pick<Wall, "side">): { readonly frontLeft: boolean } | undefined =>
  part.onRoof && w.side !== part.onRoof.front ? { frontLeft: w.side === NEXT[part.onRoof.front] } : undefined;

/** The dormers of the main roof; none on a roof whose slopes carry none. Errors: one with no room between its front and the slope behind it. */
export function dormersOf(l: BuildingLayout): Dormer[] {
  const { v, main, mm } = l;
  if (!["gable", "saltbox", "shed"].includes(v.roof)) return [];
  return v.dormers.flatMap((d, i): Dormer[] => {
    const side = (["S", "N"] as const).find((s) => sideName(main.place, s) === d.side);
    const slope = side && main.slopes[side];
    if (!side || !slope) return [];
    const x = mm(d.at) - (main.p[1] - main.p[0]) / 2;
    const front = mm(d.inward);
    const top = planeZ(slope, front) + mm(d.height);
    const site: Site = { l, row: d, name: `dormer${i + 1}`, side, slope, x, half: mm(d.width) / 2, front, top };
    return [d.roof === "shed" ? shedded(site) : gabled(site)];
  });
}
/** Where a dormer is asked for: its middle along the slope, half its width, how far in its front stands, and the top of its plates. */
interface Site {
  readonly l: BuildingLayout;
  readonly row: BuildingLayout["v"]["dormers"][number];
  readonly name: string;
  readonly side: Side;
  readonly slope: Slope;
  readonly x: number;
  readonly half: number;
  readonly front: number;
  readonly top: number;
}
const noRoom = (s: Site): Error =>
  new Error(
    `Dormer ${s.name.slice(6)} has no room between its front and the roof behind it: raise its front wall, or set a flatter slope.`,
  );
/** The three walls of a dormer, and the window in its front: its casing ends under the plates' header, and under tails that hang over it. */
function wallsOf(s: Site, place: Part["place"], p: Part["p"], q: Part["q"], front: Side, tails = Infinity): Wall[] {
  const { l, row } = s;
  const head = Math.min(s.top - l.plate * plates(l) - stock(l).w, tails - (l.v.casings ? l.t.casing.v : 0) - 0.1);
  const glass = { w: l.mm(row.windowWidth) / 2 + l.v.fit, h: l.mm(row.windowHeight) + l.v.fit };
  const gaps: Gap[] =
    row.windowWidth > 0
      ? [{ name: "window", door: false, from: s.half - glass.w, to: s.half + glass.w, sill: head - glass.h, head }]
      : [];
  return (["S", "E", "N", "W"] as const)
    .filter((at) => NEXT[NEXT[front]] !== at)
    .map((at): Wall => {
      const f = sideFrame(p, q, at);
      const through = at === "S" || at === "N";
      return {
        name: `${s.name}-${at === front ? "front" : at === NEXT[front] ? "right" : "left"}`,
        side: at,
        through,
        origin: move(place, f.origin),
        e: turn(place, f.e),
        n: turn(place, f.n),
        length: f.length,
        from: through ? 0 : l.wall,
        to: f.length - (through ? 0 : l.wall),
        thick: l.wall,
        top: s.top,
        foot: 0,
        gaps: at === front ? gaps : [],
        seen: true,
      };
    });
}
const outOf = (s: Site): Vec3 => turn(s.l.main.place, [-inwardOf(s.side)[0], -inwardOf(s.side)[1], 0]);
/** A place of the main slope on the middle of a dormer, `inward` of the main wall. */
const onMain = (s: Site, inward: number): readonly [number, number] => {
  const [x, y] = move(s.l.main.place, onFacet(s.l.main, s.slope, s.x, inward));
  return [x, y];
};

/** A gabled dormer: its ridge runs out over the front, p from where its eaves' planes meet the slope to its front, the end E. */
function gabled(site: Site): Dormer {
  const { l, row, side, slope, name, half, front, top } = site;
  const { t } = l;
  const s = slopeOf(l, "S", row.rise, top);
  const eave = planeZ(s, 0);
  const back = (eave - slope.plate - slope.above) / slope.k;
  const deep = back - front;
  const place = { quarters: quartersOf(outOf(site)), at: onMain(site, back) };
  const q = [-half, half] as const;
  const x = coverLift(l, slope) / slope.k;
  // level along p: where a rafter's underside at the inside of its wall clears the boards, and where they end
  const lift = (coverThick(l) + t.casing.w) * Math.hypot(1, slope.k);
  const clear = (lift + t.rafter.v * Math.hypot(1, s.k) - s.k * l.wall) / slope.k + t.rafter.w / 2;
  const before = (lift - s.k * l.wall) / slope.k + t.casing.v * Math.hypot(1, s.k / slope.k) + t.rafter.w / 2;
  const part: Part = {
    name,
    place,
    // its rafters stand where the cheeks' plates lie clear of the slope, and over the valley boards or before them
    p: [Math.max((s.above + plates(l) * l.plate) / slope.k + t.rafter.w, Math.min(clear, before)), deep],
    q,
    open: "W",
    roof: "gable",
    valley: true,
    out: l.mm(row.overhang),
    gableOut: 0,
    walls: wallsOf(site, place, [0, deep], q, "E"),
    slopes: { S: s, N: { ...s, side: "N" } },
    peak: [0, eave + half * s.k],
    onRoof: {
      front: "E",
      surface: (behind) => eave + (x - deep + behind) * slope.k,
      datum: `${rootOf(l, name)}/slope`,
      ridged: { reach: (half * s.k) / slope.k, x, m: s.k / slope.k },
    },
  };
  if (deep - part.p[0] < l.wall + 2 * t.rafter.w) throw noRoom(site);
  return { part, side, slope, x: [site.x - half, site.x + half], inward: [front, back], opening: [front, back] };
}

/**
 * A shed dormer: one slope, flatter than the one under it, falls to its front, the eave S; p runs along that. Its rafters
 * end on a nailer that lies on the covering. Where they do: over a slope of 9 in 12 a front 5 ft high at 3 in 12 runs back
 * 5 ÷ (9/12 − 3/12) = 10 ft, and a little more for what both have over their plates.
 */
function shedded(site: Site): Dormer {
  const { l, row, side, slope, name, half, front, top } = site;
  const { t } = l;
  const s = slopeOf(l, "S", row.rise, top);
  const meets = (lift: number): number =>
    (planeZ(s, 0) - planeZ(slope, front) - lift * Math.hypot(1, slope.k)) / (slope.k - s.k);
  const [deep, nailed] = [meets(coverThick(l)), meets(coverThick(l) + t.casing.w)];
  const low = nailed - (t.casing.v + NAILER) / Math.hypot(1, slope.k);
  const place = { quarters: ((quartersOf(outOf(site)) + 1) % 4) as 0 | 1 | 2 | 3, at: onMain(site, front) };
  const p = [-half, half] as const;
  // where the undersides of its rafters come down on the nailer
  const sunk = (t.rafter.v * Math.hypot(1, s.k)) / (slope.k - s.k);
  if (slope.k - s.k < 1 / 24 || nailed - sunk < l.wall + 2 * t.rafter.w || low < l.wall + 4 * t.rafter.w)
    throw noRoom(site);
  const lift = coverLift(l, slope);
  const part: Part = {
    name,
    place,
    p,
    q: [0, deep],
    open: "N",
    roof: "lean",
    valley: false,
    out: l.mm(row.overhang),
    gableOut: 0,
    walls: wallsOf(site, place, p, [0, deep], "S", planeZ(s, -l.proud) - t.rafter.v * Math.hypot(1, s.k)),
    slopes: { S: s },
    peak: [deep, planeZ(s, deep)],
    onRoof: {
      front: "S",
      surface: (behind) => planeZ(slope, front + behind) + lift,
      datum: `${rootOf(l, name)}/slope`,
      nailed,
    },
  };
  const back = front + deep;
  return { part, side, slope, x: [site.x - half, site.x + half], inward: [front, back], opening: [front, front + low] };
}
/** How far the covering under a nailer reaches out from below it, model mm. */
const NAILER = 0.5;
/** How many top plates lie on a wall. */
export const plates = (l: BuildingLayout): number => (l.v.framing === "posts" ? 1 : l.v.topPlates);
/** What a dormer's walls are framed of, and their plates. */
export const stock = (l: BuildingLayout) => (l.v.framing === "posts" ? l.t.girt : l.t.stud);
export const plateStock = (l: BuildingLayout) => (l.v.framing === "posts" ? l.t.post : l.t.stud);

/** Where the main rafters stand that carry a dormer's cheeks: under their outsides, p of the main part. */
export const trimmersOf = (l: BuildingLayout): number[] =>
  dormersOf(l).flatMap((d) => {
    const sign = d.side === "S" ? 1 : -1;
    return [d.x[0] + l.t.rafter.w / 2, d.x[1] - l.t.rafter.w / 2].map((x) => sign * x);
  });
/** The openings that dormers make between their trimmers: rafters in them are headed off under the front and where the eaves run out. */
export const dormerOpenings = (l: BuildingLayout): RoofHole[] =>
  dormersOf(l).map((d) => ({
    name: d.part.name,
    side: d.side,
    x: [d.x[0] + l.t.rafter.w, d.x[1] - l.t.rafter.w],
    inward: [d.opening[0] + stock(l).v, d.opening[1]],
  }));
/** Where the main covering stops at a dormer's walls. */
export const dormerHoles = (l: BuildingLayout): RoofHole[] =>
  dormersOf(l).map((d) => ({ name: d.part.name, side: d.side, x: d.x, inward: d.opening }));
