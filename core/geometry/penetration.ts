import type { Solid } from "./solid";
import { cornersOf } from "./solid";
import { cross, dot, length, normalize, sub, type Vec3 } from "./vec";

const edges = new WeakMap<Solid, readonly Vec3[]>();
/** Distinct edge directions of a solid, found once. */
export function edgesOf(s: Solid): readonly Vec3[] {
  const known = edges.get(s);
  if (known) return known;
  const out: Vec3[] = [];
  for (const f of s.faces)
    f.corners.forEach((p, i) => {
      const e = sub(f.corners[(i + 1) % f.corners.length]!, p);
      if (length(e) < 1e-9) return;
      const u = normalize(e);
      if (!out.some((v) => Math.abs(dot(u, v)) > 1 - 1e-10)) out.push(u);
    });
  edges.set(s, out);
  return out;
}

/** From where to where corners lie along an axis. */
export function spanOn(corners: readonly Vec3[], axis: Vec3): [number, number] {
  let lo = Infinity;
  let hi = -Infinity;
  for (const p of corners) {
    const h = dot(p, axis);
    if (h < lo) lo = h;
    if (h > hi) hi = h;
  }
  return [lo, hi];
}

/** The directions of the separating axis theorem: both solids' face normals and the products of their edges. */
function* axesBetween(a: Solid, b: Solid): Generator<Vec3> {
  for (const f of a.faces) yield f.plane.n;
  for (const f of b.faces) yield f.plane.n;
  const eb = edgesOf(b);
  for (const u of edgesOf(a))
    for (const v of eb) {
      const axis = cross(u, v);
      const l = length(axis);
      if (l > 1e-6) yield [axis[0] / l, axis[1] / l, axis[2] / l];
    }
}

/**
 * How deep two convex solids stand in each other, mm: the least shift that would part them (separating axis theorem
 * over both solids' face normals and the products of their edges). 0 or less when they are apart or touch; the search
 * ends at the first axis that gives `least` or less, so that what comes back below it says no more than that.
 */
export function penetrationDepth(a: Solid, b: Solid, least = 0): number {
  const ca = cornersOf(a);
  const cb = cornersOf(b);
  let depth = Infinity;
  for (const axis of axesBetween(a, b)) {
    const [alo, ahi] = spanOn(ca, axis);
    const [blo, bhi] = spanOn(cb, axis);
    depth = Math.min(depth, ahi - blo, bhi - alo);
    if (depth <= least) return depth;
  }
  return depth;
}

/**
 * How far b has to be moved along a direction until it is out of a, mm; 0 where they are apart or touch. Two convex solids
 * are apart as soon as one of the axes of the separating axis theorem parts them, so the least over those is exact.
 */
export function exitAlong(a: Solid, b: Solid, direction: Vec3): number {
  const ca = cornersOf(a);
  const cb = cornersOf(b);
  let out = Infinity;
  for (const axis of axesBetween(a, b)) {
    const [alo, ahi] = spanOn(ca, axis);
    const [blo, bhi] = spanOn(cb, axis);
    if (ahi <= blo || bhi <= alo) return 0;
    const speed = dot(axis, direction);
    if (speed > 1e-9) out = Math.min(out, (ahi - blo) / speed);
    else if (speed < -1e-9) out = Math.min(out, (bhi - alo) / -speed);
  }
  return out;
}
