import { Hexahedron } from "./hexahedron";
import { flip, heightOver, type Plane } from "./plane";
import { TOLERANCE } from "./tolerance";
import { add, cross, distance, dot, length, scale, sub, type Vec3 } from "./vec";

/** One flat side: its corners in order (counter-clockwise seen from outside), its plane, and where it came from. */
export interface SolidFace {
  readonly corners: readonly Vec3[];
  readonly plane: Plane;
  /** The stock face ("+v") or the cut (a joint's id) that made it. */
  readonly tag: string;
}
/** A convex solid: its faces. An empty list is no solid. */
export interface Solid {
  readonly faces: readonly SolidFace[];
  /** Its distinct corners, where whoever made it knew them. */
  readonly corners?: readonly Vec3[];
  /** The same as numbers one after another: a whole trestle has tens of thousands of corners. */
  readonly flat?: readonly number[];
}
export interface TaggedPlane extends Plane {
  readonly tag: string;
}

/** A prism from the polygon `base` (counter-clockwise seen against `along`), swept by `along`. Tags name its sides in the polygon's order, then "a" (base) and "b". */
export function prism(base: readonly Vec3[], along: Vec3, sideTags: readonly string[]): Solid {
  const top = base.map((p) => add(p, along));
  const n = base.length;
  const face = (corners: readonly Vec3[], tag: string): SolidFace => ({ corners, plane: planeOf(corners), tag });
  const sides = base.map((p, i) => face([p, base[(i + 1) % n]!, top[(i + 1) % n]!, top[i]!], sideTags[i]!));
  return { faces: [...sides, face([...base].reverse(), "a"), face(top, "b")] };
}

/** Newell's method: robust for any simple flat polygon. */
function planeOf(corners: readonly Vec3[]): Plane {
  let n: Vec3 = [0, 0, 0];
  let c: Vec3 = [0, 0, 0];
  corners.forEach((p, i) => {
    const q = corners[(i + 1) % corners.length]!;
    n = add(n, cross(p, q));
    c = add(c, p);
  });
  // cross products about the origin sum to twice the area vector for closed polygons
  const l = length(n);
  const unit = scale(n, 1 / l);
  return { n: unit, d: dot(unit, scale(c, 1 / corners.length)) };
}

/** The part of a solid inside a plane; the new face carries the plane's tag. Undefined when nothing is left. */
export function clip(solid: Solid, plane: TaggedPlane, eps = TOLERANCE.samePoint): Solid | undefined {
  const { n, d } = plane;
  const [least, most] = reachOf(solid, plane);
  if (least >= -eps) return undefined;
  if (most <= eps) return solid;
  const whole = solid instanceof Hexahedron ? solid.cut(plane, eps) : undefined;
  if (whole) return whole;
  const faces: SolidFace[] = [];
  const rim: Vec3[] = [];
  for (const f of solid.faces) {
    const { corners } = f;
    const heights: number[] = [];
    let [above, below] = [false, false];
    for (const p of corners) {
      const h = n[0] * p[0] + n[1] * p[1] + n[2] * p[2] - d;
      heights.push(h);
      if (h > eps) above = true;
      else if (h < -eps) below = true;
    }
    // a side that the plane does not cross stays as it is, or goes
    if (!above) {
      for (let i = 0; i < corners.length; i++) if (heights[i]! >= -eps) rim.push(corners[i]!);
      faces.push(f);
      continue;
    }
    if (!below) {
      for (let i = 0; i < corners.length; i++) if (heights[i]! <= eps) rim.push(corners[i]!);
      continue;
    }
    const kept: Vec3[] = [];
    for (let i = 0; i < corners.length; i++) {
      const p = corners[i]!;
      const q = corners[(i + 1) % corners.length]!;
      const hp = heights[i]!;
      const hq = heights[(i + 1) % corners.length]!;
      if (hp <= eps) {
        kept.push(p);
        if (hp >= -eps) rim.push(p);
      }
      if ((hp < -eps && hq > eps) || (hp > eps && hq < -eps)) {
        const k = hp / (hp - hq);
        const cut: Vec3 = [p[0] + (q[0] - p[0]) * k, p[1] + (q[1] - p[1]) * k, p[2] + (q[2] - p[2]) * k];
        kept.push(cut);
        rim.push(cut);
      }
    }
    const clean = withoutRepeats(kept);
    if (clean.length >= 3) faces.push({ ...f, corners: clean });
  }
  const cap = orderAround(rim, plane.n);
  if (cap.length >= 3) faces.push({ corners: cap, plane, tag: plane.tag });
  return faces.length >= 4 ? { faces } : undefined;
}

/** How far a solid's corners stand out of a plane, mm: least and most. */
function reachOf(solid: Solid, p: Plane): readonly [number, number] {
  if (solid instanceof Hexahedron) return solid.reach(p);
  let [least, most] = [Infinity, -Infinity];
  for (const c of cornersFlat(solid)) {
    const h = heightOver(p, c);
    if (h < least) least = h;
    if (h > most) most = h;
  }
  return [least, most];
}

function withoutRepeats(points: readonly Vec3[]): Vec3[] {
  const out = points.filter((p, i) => i === 0 || distance(p, points[i - 1]!) > TOLERANCE.samePoint);
  while (out.length > 1 && distance(out[0]!, out[out.length - 1]!) <= TOLERANCE.samePoint) out.pop();
  return out;
}

/** Distinct points of a convex polygon in counter-clockwise order about n. */
function orderAround(points: readonly Vec3[], n: Vec3): Vec3[] {
  const distinct: Vec3[] = [];
  for (const p of points) if (!distinct.some((q) => distance(p, q) <= 10 * TOLERANCE.samePoint)) distinct.push(p);
  if (distinct.length < 3) return [];
  const centre = scale(distinct.reduce(add), 1 / distinct.length);
  const e1 = sub(distinct[0]!, centre);
  const e2 = cross(n, e1);
  const angle = (p: Vec3): number => Math.atan2(dot(sub(p, centre), e2), dot(sub(p, centre), e1));
  return distinct.sort((p, q) => angle(p) - angle(q));
}

/** Intersection with several planes. */
export function clipAll(solid: Solid, planes: readonly TaggedPlane[]): Solid | undefined {
  let s: Solid | undefined = solid;
  for (const p of planes) s = s && clip(s, p);
  return s;
}

/** A solid less a convex cutter given by its planes: the convex parts that remain. Their new faces carry the tag. */
export function subtract(solid: Solid, cutter: readonly Plane[], tag: string): Solid[] {
  // most cutters of a long stick are nowhere near this part of it
  if (cutter.some((p) => reachOf(solid, p)[0] >= -TOLERANCE.samePoint)) return [solid];
  const parts: Solid[] = [];
  let rest: Solid | undefined = solid;
  for (const p of cutter) {
    if (!rest) break;
    const outside = clip(rest, { ...flip(p), tag });
    if (outside) parts.push(outside);
    rest = clip(rest, { n: p.n, d: p.d, tag });
  }
  return rest ? parts : [solid];
}

/** Every corner of a solid at least once. */
export function cornersFlat(solid: Solid): readonly Vec3[] {
  if (solid.corners) return solid.corners;
  const out: Vec3[] = [];
  for (const face of solid.faces) for (const p of face.corners) out.push(p);
  return out;
}

const distinct = new WeakMap<Solid, readonly Vec3[]>();
/** The distinct corners of a solid, found once. */
export function cornersOf(solid: Solid): readonly Vec3[] {
  if (solid.corners) return solid.corners;
  const known = distinct.get(solid);
  if (known) return known;
  const out: Vec3[] = [];
  distinct.set(solid, out);
  for (const f of solid.faces)
    for (const p of f.corners) if (!out.some((q) => distance(p, q) <= 10 * TOLERANCE.samePoint)) out.push(p);
  return out;
}

/** Area of a flat polygon in space, mm². */
export function areaOf(corners: readonly Vec3[]): number {
  let s: Vec3 = [0, 0, 0];
  for (let i = 1; i + 1 < corners.length; i++)
    s = add(s, cross(sub(corners[i]!, corners[0]!), sub(corners[i + 1]!, corners[0]!)));
  return length(s) / 2;
}

/** Volume of a convex solid, mm³ (divergence theorem). */
export const volumeOf = (s: Solid): number => s.faces.reduce((v, f) => v + (f.plane.d * areaOf(f.corners)) / 3, 0);

/** Smallest and largest corner coordinates. */
export function boundsOf(parts: readonly Solid[]): { readonly min: Vec3; readonly max: Vec3 } {
  const min: [number, number, number] = [Infinity, Infinity, Infinity];
  const max: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const s of parts)
    for (const p of cornersFlat(s))
      for (let k = 0; k < 3; k++) {
        if (p[k]! < min[k]!) min[k] = p[k]!;
        if (p[k]! > max[k]!) max[k] = p[k]!;
      }
  return { min, max };
}
