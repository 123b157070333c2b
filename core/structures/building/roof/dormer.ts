import type { Vec3 } from "../../../geometry";
import { onFacet } from "./facets";
import { rootOf, type BuildingLayout, type Gap, type Part, type Side, type Slope, type Wall } from "../plan/layout";
import { sideFrame, sideName } from "../plan/sides";
import { slopeOf } from "../plan/parts";
import { move, quartersOf, turn } from "../plan/place";
import type { RoofHole } from "./roofHoles";
import { inwardOf, planeZ } from "./slopes";

/** A gabled dormer on a slope of the main part: its walls stand on that slope's rafters. Model mm. */
export interface Dormer {
  readonly part: Part;
  readonly side: Side;
  readonly slope: Slope;
  /** Along the eave to the right as seen from outside, over the outside of its cheeks. */
  readonly x: readonly [number, number];
  /** Level, in from the main wall's outside: its front, and where its eaves' planes meet the slope. */
  readonly inward: readonly [number, number];
}
/** How far, plumb, what covers the slopes stands over their rafters. */
const coverLift = (l: BuildingLayout, s: Slope): number => coverThick(l) * Math.hypot(1, s.k);
export const coverThick = (l: BuildingLayout): number =>
  !l.v.seenRoof || l.v.covering === "sheet" ? l.v.roofSheet : l.v.covering === "none" ? 0 : l.t.roofBoard.w;

/** The dormers of the main roof; none on a roof whose slopes carry none. Errors: one with no room between its front and the slope behind it. */
export function dormersOf(l: BuildingLayout): Dormer[] {
  const { v, main, mm, t } = l;
  if (!["gable", "saltbox", "shed"].includes(v.roof)) return [];
  return v.dormers.flatMap((d, i): Dormer[] => {
    const side = (["S", "N"] as const).find((s) => sideName(main.place, s) === d.side);
    const slope = side && main.slopes[side];
    if (!side || !slope) return [];
    const half = mm(d.width) / 2;
    const x = mm(d.at) - (main.p[1] - main.p[0]) / 2;
    const front = mm(d.inward);
    const top = planeZ(slope, front) + mm(d.height);
    const s = slopeOf(l, "S", d.rise, top);
    const eave = planeZ(s, 0);
    const back = (eave - slope.plate - slope.above) / slope.k;
    const deep = back - front;
    const name = `dormer${i + 1}`;
    const n: Vec3 = turn(main.place, [-inwardOf(side)[0], -inwardOf(side)[1], 0]);
    const [ax, ay] = move(main.place, onFacet(main, slope, x, back));
    const place = { quarters: quartersOf(n), at: [ax, ay] as const };
    const q = [-half, half] as const;
    const lift = coverLift(l, slope);
    const datum = `${rootOf(l, name)}/slope`;
    const head = top - l.plate * plates(l) - stock(l).w;
    const glass = { w: mm(d.windowWidth) / 2 + v.fit, h: mm(d.windowHeight) + v.fit };
    const gaps: Gap[] =
      d.windowWidth > 0
        ? [{ name: "window", door: false, from: half - glass.w, to: half + glass.w, sill: head - glass.h, head }]
        : [];
    const wall = (at: Side): Wall => {
      const f = sideFrame([0, deep], q, at);
      const through = at !== "E";
      return {
        name: `${name}-${at === "E" ? "front" : at === "S" ? "left" : "right"}`,
        side: at,
        through,
        origin: move(place, f.origin),
        e: turn(place, f.e),
        n: turn(place, f.n),
        length: f.length,
        from: through ? 0 : l.wall,
        to: f.length - (through ? 0 : l.wall),
        thick: l.wall,
        top,
        foot: 0,
        gaps: at === "E" ? gaps : [],
        seen: true,
      };
    };
    const part: Part = {
      name,
      place,
      // its rafters stand where the cheeks' plates lie clear of the slope
      p: [(s.above + plates(l) * l.plate) / slope.k + t.rafter.w, deep],
      q,
      open: "W",
      roof: "gable",
      valley: true,
      out: mm(d.overhang),
      gableOut: 0,
      walls: (["S", "E", "N"] as const).map(wall),
      slopes: { S: s, N: { ...s, side: "N" } },
      peak: [0, eave + half * s.k],
      onRoof: {
        reach: (half * s.k) / slope.k,
        x: lift / slope.k,
        m: s.k / slope.k,
        k: slope.k,
        datum,
      },
    };
    if (deep - part.p[0] < l.wall + 2 * t.rafter.w)
      throw new Error(
        `Dormer ${i + 1} has no room between its front and the roof behind it: raise its front wall, or set a flatter slope.`,
      );
    return [{ part, side, slope, x: [x - half, x + half], inward: [front, back] }];
  });
}
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
    inward: [d.inward[0] + stock(l).v, d.inward[1]],
  }));
/** Where the main covering stops at a dormer's walls. */
export const dormerHoles = (l: BuildingLayout): RoofHole[] =>
  dormersOf(l).map((d) => ({ name: d.part.name, side: d.side, x: d.x, inward: d.inward }));
