import { normalize, type Plane, type Vec2, type Vec3, NEAR } from "../../../geometry";
import type { Part, Slope } from "../plan/layout";
import { hipRunOf } from "./hipRun";
import { alongOf, over, planeZ } from "./slopes";
import type { BuildingLayout } from "../plan/layout";
import type { Interruption } from "./valley";

/** A line that bounds a facet from above: along the eave at the wall's outside, and how much further for each mm inward. */
export interface Bound {
  readonly x: number;
  readonly m: number;
}
/**
 * A flat part of a roof: of one slope, between two levels inward of the wall's outside and bounds at both ends. x runs
 * along the eave to the right as seen from outside (+p of S, −p of N, +q of E, −q of W). Model mm.
 */
export interface Facet {
  readonly name: string;
  readonly slope: Slope;
  readonly from: number;
  readonly to: number;
  readonly left: readonly Bound[];
  readonly right: readonly Bound[];
}
const sign = (s: Slope): 1 | -1 => (s.side === "S" || s.side === "E" ? 1 : -1);
/** A place of a facet in its part's axes. */
export const onFacet = (part: Part, s: Slope, x: number, inward: number): Vec3 =>
  over(part, s.side, sign(s) * x, inward, planeZ(s, inward));
/** The plumb plane through a bound, keeping what lies to its right (left bounds) or left. */
export function boundPlane(part: Part, s: Slope, b: Bound, left: boolean): Plane {
  const p = onFacet(part, s, b.x, 0);
  const q = onFacet(part, s, b.x + b.m, 1);
  const e = alongOf(s.side);
  const d: Vec3 = [q[0] - p[0], q[1] - p[1], 0];
  const raw = normalize([d[1], -d[0], 0]);
  const out = raw[0] * e[0] + raw[1] * e[1] > 0 === left ? ([-raw[0], -raw[1], 0] as const) : raw;
  return { n: out, d: out[0] * p[0] + out[1] * p[1] };
}
const at = (b: Bound, inward: number): number => b.x + b.m * inward;
export const leftAt = (f: Facet, inward: number): number => Math.max(...f.left.map((b) => at(b, inward)));
export const rightAt = (f: Facet, inward: number): number => Math.min(...f.right.map((b) => at(b, inward)));

/** The slope over another one that begins `inward` of the wall: a gambrel's upper one. */
export const upperSlope = (s: Slope, k: number, inward: number): Slope => ({
  ...s,
  k,
  above: s.above + (s.k - k) * inward,
});

/** How far inward of the walls a gambrel's slopes break. */
export const breakOf = (l: BuildingLayout, part: Part): number => ((part.q[1] - part.q[0]) / 2) * (l.v.breakAt / 100);

/** The flat parts of a part's roof; none of a flat or missing one. */
export function facetsOf(l: BuildingLayout, part: Part, interrupted: readonly Interruption[]): Facet[] {
  const { v } = l;
  const { out } = part;
  const [p0, p1] = part.p;
  const g0 = part.open === "W" ? 0 : part.gableOut;
  const g1 = part.gableOut;
  const meets = part.onRoof?.ridged ?? (part.valley ? { x: 0, m: 1 } : { x: p0 - g0, m: 0 });
  const edge = (s: Slope): readonly [Bound, Bound] =>
    s.side === "S"
      ? [
          { x: meets.x, m: -meets.m },
          { x: p1 + g1, m: 0 },
        ]
      : [
          { x: -p1 - g1, m: 0 },
          { x: -meets.x, m: meets.m },
        ];
  switch (part.roof) {
    case "none":
    case "flat":
      return [];
    case "shed":
    case "lean": {
      const s = part.slopes.S!;
      const width = part.q[1] - part.q[0];
      const [a, b] = edge(s);
      return [
        { name: "S", slope: s, from: -out, to: part.roof === "shed" ? width + out : width, left: [a], right: [b] },
      ];
    }
    case "hip":
    case "hipdeck": {
      const run = hipRunOf(l, part);
      return (["S", "E", "N", "W"] as const).map((side) => {
        const length = side === "S" || side === "N" ? p1 - p0 : part.q[1] - part.q[0];
        const slope = part.slopes[side]!;
        return {
          name: side,
          slope,
          from: -out,
          to: run,
          left: [{ x: -length / 2, m: 1 }],
          right: [{ x: length / 2, m: -1 }],
        };
      });
    }
    default:
      return (["S", "N"] as const).flatMap((side) => {
        const s = part.slopes[side]!;
        const run = side === "S" ? part.peak[0] - part.q[0] : part.q[1] - part.peak[0];
        const [a, b] = edge(s);
        if (part.roof === "gambrel") {
          const breakIn = breakOf(l, part);
          return [
            { name: side, slope: s, from: -out, to: breakIn, left: [a], right: [b] },
            {
              name: `${side}-upper`,
              slope: upperSlope(s, v.upperRise / 12, breakIn),
              from: breakIn,
              to: run,
              left: [a],
              right: [b],
            },
          ];
        }
        // each wing's valleys part the slope at the line over its ridge
        const cuts = interrupted
          .filter((i) => i.side === side)
          .map((i) => ({ x: sign(s) * i.at, half: i.half }))
          .sort((m, n) => m.x - n.x);
        const bounds: { left: Bound[]; right: Bound[] }[] = [{ left: [a], right: [] }];
        for (const c of cuts) {
          bounds[bounds.length - 1]!.right.push({ x: c.x - c.half, m: 1 }, { x: c.x, m: 0 });
          bounds.push({
            left: [
              { x: c.x + c.half, m: -1 },
              { x: c.x, m: 0 },
            ],
            right: [],
          });
        }
        bounds[bounds.length - 1]!.right.push(b);
        return bounds.map((x, i) => ({
          name: bounds.length === 1 ? side : `${side}${i + 1}`,
          slope: s,
          from: -out,
          to: run,
          ...x,
        }));
      });
  }
}

/** The true shape of a facet in its own plane: along the eave and up the slope from its lower edge, counter-clockwise seen from outside. */
export function trueShape(f: Facet): {
  readonly outline: Vec2[];
  readonly edges: ("eave" | "top" | "left" | "right")[];
} {
  const lo = leftAt(f, f.from) - 10 * (f.to - f.from) - 1;
  const hi = rightAt(f, f.from) + 10 * (f.to - f.from) + 1;
  let shape: { p: Vec2; edge: "eave" | "top" | "left" | "right" }[] = [
    { p: [lo, f.from], edge: "eave" },
    { p: [hi, f.from], edge: "right" },
    { p: [hi, f.to], edge: "top" },
    { p: [lo, f.to], edge: "left" },
  ];
  const clip = (b: Bound, edge: "left" | "right"): void => {
    const k = edge === "left" ? 1 : -1;
    const h = (p: Vec2): number => k * (p[0] - at(b, p[1]));
    shape = shape.flatMap((c, i) => {
      const d = shape[(i + 1) % shape.length]!;
      const [hc, hd] = [h(c.p), h(d.p)];
      const meet = (): Vec2 => [
        c.p[0] + ((d.p[0] - c.p[0]) * hc) / (hc - hd),
        c.p[1] + ((d.p[1] - c.p[1]) * hc) / (hc - hd),
      ];
      if (hc >= 0 && hd >= 0) return [c];
      if (hc >= 0) return [c, { p: meet(), edge }];
      return hd > 0 ? [{ p: meet(), edge: c.edge }] : [];
    });
  };
  f.left.forEach((b) => clip(b, "left"));
  f.right.forEach((b) => clip(b, "right"));
  const stretch = Math.hypot(1, f.slope.k);
  // of two corners in one place the latter begins the edge that is left
  const kept = shape.filter((c, i) => {
    const d = shape[(i + 1) % shape.length]!;
    return Math.hypot(c.p[0] - d.p[0], c.p[1] - d.p[1]) > NEAR;
  });
  return { outline: kept.map((c): Vec2 => [c.p[0], (c.p[1] - f.from) * stretch]), edges: kept.map((c) => c.edge) };
}
