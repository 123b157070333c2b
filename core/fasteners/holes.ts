import { joinedPairs, patches, type Patch, type Resolved } from "../frame";
import { add, axesIn, dot, flat, polygonArea, scale, type Vec2, type Vec3 } from "../geometry";
import type { FastenerDoc, StructureDesign } from "../job";

/** One hole, the same in both parts: where its middle is on the face they share, and its axis, out of the first into the second. Model mm. */
export interface Hole {
  readonly fastener: FastenerDoc;
  readonly a: Resolved;
  readonly b: Resolved;
  readonly at: Vec3;
  readonly axis: Vec3;
  /** How much of each part lies along its axis. */
  readonly deep: readonly [number, number];
  /** From its middle to the nearest edge of the face. */
  readonly room: number;
}
/** Two roles that meet, as a fastener names them: "stringer>cap". */
export const pairName = (a: string, b: string): string => [a, b].sort().join(">");
/** Which roles of a structure meet on a face, how often, and the least of those faces, mm². Largest faces first. */
export function meetings(
  s: StructureDesign,
): { readonly joint: string; readonly count: number; readonly least: number }[] {
  const found = new Map<string, { count: number; least: number }>();
  for (const [x, y] of joinedPairs(s.resolved)) {
    const p = largest(x, y);
    if (!p || p.area < SMALL) continue;
    const name = pairName(x.member.role, y.member.role);
    const known = found.get(name) ?? { count: 0, least: Infinity };
    found.set(name, { count: known.count + 1, least: Math.min(known.least, p.area) });
  }
  return [...found].map(([joint, m]) => ({ joint, ...m })).sort((a, b) => b.least - a.least || (a.joint < b.joint ? -1 : 1)); // prettier-ignore
}
/** A face so small takes nothing that is had, mm². */
const SMALL = 0.3;
const largest = (x: Resolved, y: Resolved): Patch | undefined => {
  const faces = (k: Resolved) => k.parts.flatMap((p) => p.faces);
  return patches(faces(x), faces(y)).sort((a, b) => b.area - a.area)[0];
};

/** The holes of a fastener: on every face that its two roles share, the middle one of it or so many along its longer side. */
export function holesOf(s: StructureDesign, f: FastenerDoc): Hole[] {
  return joinedPairs(s.resolved).flatMap(([x, y]): Hole[] => {
    if (pairName(x.member.role, y.member.role) !== f.joint) return [];
    // screws and bolts go through the first of the names, whichever comes first in the frame
    const [a, b] = x.member.role === f.joint.split(">")[0] ? [x, y] : [y, x];
    const p = largest(a, b);
    if (!p || p.area < SMALL) return [];
    const n = p.plane.n;
    const axes = axesIn(n);
    const ring = p.corners.map((c) => flat(c, axes));
    const middle = centroid(ring);
    const long = longest(ring);
    const along = (q: Vec2): number => q[0] * long[0] + q[1] * long[1];
    const reach = Math.max(...ring.map(along)) - Math.min(...ring.map(along));
    return Array.from({ length: f.count }, (_, i): Hole => {
      const t = ((i + 0.5) / f.count - 0.5) * reach;
      const q: Vec2 = [middle[0] + t * long[0], middle[1] + t * long[1]];
      const at = add(add(scale(n, p.plane.d), scale(axes[0], q[0])), scale(axes[1], q[1]));
      return { fastener: f, a, b, at, axis: n, deep: [through(a, at, scale(n, -1)), through(b, at, n)], room: roomAt(ring, q) }; // prettier-ignore
    });
  });
}
function centroid(ring: readonly Vec2[]): Vec2 {
  let [x, y] = [0, 0];
  const area = polygonArea(ring);
  ring.forEach((p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    const c = p[0] * q[1] - q[0] * p[1];
    [x, y] = [x + (p[0] + q[0]) * c, y + (p[1] + q[1]) * c];
  });
  return [x / (6 * area), y / (6 * area)];
}
/** The direction of a ring's longest side. */
function longest(ring: readonly Vec2[]): Vec2 {
  const sides = ring.map((p, i): Vec2 => { const q = ring[(i + 1) % ring.length]!; return [q[0] - p[0], q[1] - p[1]]; }); // prettier-ignore
  const best = sides.reduce((a, b) => (Math.hypot(...b) > Math.hypot(...a) + 1e-9 ? b : a));
  const l = Math.hypot(...best);
  return [best[0] / l, best[1] / l];
}
const roomAt = (ring: readonly Vec2[], q: Vec2): number =>
  Math.min(
    ...ring.map((p, i) => {
      const r = ring[(i + 1) % ring.length]!;
      const l = Math.hypot(r[0] - p[0], r[1] - p[1]);
      return l < 1e-9 ? Infinity : Math.abs((r[0] - p[0]) * (q[1] - p[1]) - (r[1] - p[1]) * (q[0] - p[0])) / l;
    }),
  );
/** How far a stick reaches from a point on its face along a direction, without a gap, mm. */
export function through(k: Resolved, from: Vec3, d: Vec3): number {
  const spans = k.parts.flatMap((p): (readonly [number, number])[] => {
    let [lo, hi] = [-Infinity, Infinity];
    for (const f of p.faces) {
      const [speed, over] = [dot(f.plane.n, d), f.plane.d - dot(f.plane.n, from)];
      if (Math.abs(speed) < 1e-9) {
        if (over < -1e-4) return [];
      } else if (speed > 0) hi = Math.min(hi, over / speed);
      else lo = Math.max(lo, over / speed);
    }
    return hi > lo + 1e-6 ? [[lo, hi]] : [];
  });
  let at = 0;
  for (const [lo, hi] of spans.sort((a, b) => a[0] - b[0])) if (lo < at + 0.02) at = Math.max(at, hi);
  return at;
}
