import { cornersOf, cross, dot, edgesOf, length, spanOn, type Solid, type Vec3 } from "../geometry";
import type { Body, Part } from "./body";

/** What a hand gives way to, and what touches, model mm: less is no obstacle. */
const GIVES = 0.03;
/** A direction this nearly square to another is square to it. */
const SQUARE = 1e-7;

function* axesFor(a: Solid, b: Solid, d: Vec3): Generator<Vec3> {
  for (const f of a.faces) yield f.plane.n;
  for (const f of b.faces) yield f.plane.n;
  // what is seen along the way: its outline's sides
  for (const s of [a, b])
    for (const e of edgesOf(s)) {
      const n = cross(e, d);
      const l = length(n);
      if (l > 1e-6) yield [n[0] / l, n[1] / l, n[2] / l];
    }
  for (const u of edgesOf(a))
    for (const v of edgesOf(b)) {
      const n = cross(u, v);
      const l = length(n);
      if (l > 1e-6) yield [n[0] / l, n[1] / l, n[2] / l];
    }
}
/** A way out: straight along a direction as far as one likes; or first so far beside its place, mm, and on from there. */
export interface Path {
  readonly along: Vec3;
  readonly first?: { readonly along: Vec3; readonly by: number };
}
/** From where a leg begins, and how it goes on: without end, or by so much. */
interface Leg {
  readonly from: Vec3;
  readonly along: Vec3;
  readonly by: number;
}
/**
 * Whether a convex solid that is moved along a leg never goes into another: there is a plane with the other behind it and
 * the moving one before it that the way does not lead back through. The planes that can do so are those of the sides of
 * what one gets by taking every point of the one from every point of the other, and of how that looks along the way; so
 * the answer is exact.
 */
function passes(a: Solid, b: Solid, leg: Leg): boolean {
  const [ca, cb] = [cornersOf(a), cornersOf(b)];
  const endless = leg.by === Infinity;
  for (const n of axesFor(a, b, leg.along)) {
    const at = dot(n, leg.from);
    const speed = dot(n, leg.along);
    const [alo, ahi] = spanOn(ca, n);
    const [blo, bhi] = spanOn(cb, n);
    // how far it goes back along the plane's way, at most
    const [down, up] = endless ? [speed < -SQUARE ? -Infinity : 0, speed > SQUARE ? Infinity : 0] : [Math.min(0, speed * leg.by), Math.max(0, speed * leg.by)]; // prettier-ignore
    if (alo + at + down - bhi >= -GIVES) return true;
    if (blo - (ahi + at + up) >= -GIVES) return true;
  }
  return false;
}
type Box = Pick<Part, "min" | "max">;
/** Whether the box of a, swept along a leg, meets the box of b. */
const swept = (a: Box, b: Box, { from, along, by }: Leg): boolean =>
  [0, 1, 2].every((i) => {
    const reach = Math.abs(along[i]!) < SQUARE ? 0 : along[i]! * by;
    const lo = a.min[i]! + from[i]! + Math.min(0, reach);
    const hi = a.max[i]! + from[i]! + Math.max(0, reach);
    return b.min[i]! < hi - GIVES && b.max[i]! > lo + GIVES;
  });
function freeOn(a: Body, b: Body, leg: Leg): boolean {
  if (!swept(a, b, leg)) return true;
  for (const p of a.parts) {
    if (!swept(p, b, leg)) continue;
    for (const q of b.parts) if (swept(p, q, leg) && !passes(p.solid, q.solid, leg)) return false;
  }
  return true;
}
/** Whether a body can be taken away on a path past another that stays: the other way round, whether it can come to its place on the way back when the other is there already. */
export function isFree(a: Body, b: Body, path: Path): boolean {
  const { first, along } = path;
  if (!first) return freeOn(a, b, { from: [0, 0, 0], along, by: Infinity });
  const from: Vec3 = [first.along[0] * first.by, first.along[1] * first.by, first.along[2] * first.by];
  return freeOn(a, b, { from: [0, 0, 0], along: first.along, by: first.by }) && freeOn(a, b, { from, along, by: Infinity }); // prettier-ignore
}
