import type { Vec2 } from "./vec";

/** Room between two convex outlines; negative where they overlap, the least that parts them. By the separating axes of both. */
export function roomBetween(a: readonly Vec2[], b: readonly Vec2[]): number {
  const most = Math.max(pastSides(a, b), pastSides(b, a));
  // apart: the nearest points may be two corners, or a corner and a side
  return most <= 0 ? most : Math.min(toSides(a, b), toSides(b, a));
}
/** How far the second outline is past a side of the first at most. Asked by the million: no arrays are made. */
function pastSides(ring: readonly Vec2[], other: readonly Vec2[]): number {
  let most = -Infinity;
  for (let i = 0; i < ring.length; i++) {
    const [p, q] = [ring[i]!, ring[i + 1 === ring.length ? 0 : i + 1]!];
    const l = Math.hypot(q[0] - p[0], q[1] - p[1]);
    if (l < 1e-9) continue;
    const nx = (q[1] - p[1]) / l;
    const ny = (p[0] - q[0]) / l;
    let own = -Infinity;
    for (const c of ring) own = Math.max(own, c[0] * nx + c[1] * ny);
    let least = Infinity;
    for (const c of other) least = Math.min(least, c[0] * nx + c[1] * ny);
    most = Math.max(most, least - own);
  }
  return most;
}
/** From the corners of one outline to the sides of another at the least. */
function toSides(corners: readonly Vec2[], ring: readonly Vec2[]): number {
  let near = Infinity;
  for (const [x, y] of corners)
    for (let i = 0; i < ring.length; i++) {
      const [a, b] = [ring[i]!, ring[i + 1 === ring.length ? 0 : i + 1]!];
      const dx = b[0] - a[0];
      const dy = b[1] - a[1];
      const l = dx * dx + dy * dy;
      const t = l < 1e-12 ? 0 : Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / l));
      near = Math.min(near, Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy));
    }
  return near;
}
/** Where a convex outline b, moved along a direction by t, is in a: from one t to another; undefined where it never is. Axis by axis, so exact for convex outlines. */
export function passage(a: readonly Vec2[], b: readonly Vec2[], d: Vec2): readonly [number, number] | undefined {
  let [lo, hi] = [-Infinity, Infinity];
  for (const ring of [a, b])
    for (let i = 0; i < ring.length; i++) {
      const [p, q] = [ring[i]!, ring[i + 1 === ring.length ? 0 : i + 1]!];
      const nx = q[1] - p[1];
      const ny = p[0] - q[0];
      let [a0, a1, b0, b1] = [Infinity, -Infinity, Infinity, -Infinity];
      for (const c of a) {
        const v = c[0] * nx + c[1] * ny;
        if (v < a0) a0 = v;
        if (v > a1) a1 = v;
      }
      for (const c of b) {
        const v = c[0] * nx + c[1] * ny;
        if (v < b0) b0 = v;
        if (v > b1) b1 = v;
      }
      const v = d[0] * nx + d[1] * ny;
      if (Math.abs(v) < 1e-9) {
        if (b0 >= a1 - 1e-9 || a0 >= b1 - 1e-9) return undefined;
        continue;
      }
      const [t, u] = [(a0 - b1) / v, (a1 - b0) / v];
      lo = Math.max(lo, Math.min(t, u));
      hi = Math.min(hi, Math.max(t, u));
      // never, or left behind already
      if (hi <= lo + 1e-9) return undefined;
    }
  return [lo, hi];
}
/** How far outlines have to go along a direction until none is in its body: pairs of a body that stays and an outline that goes; convex ones, model mm. */
export function clearAlong(
  pairs: Iterable<readonly [body: readonly Vec2[], outline: readonly Vec2[]]>,
  d: Vec2,
): number {
  const taken: (readonly [number, number])[] = [];
  for (const [body, outline] of pairs) {
    const t = passage(body, outline, d);
    if (t && t[1] > 1e-9) taken.push(t);
  }
  taken.sort((x, y) => x[0] - y[0]);
  let by = 0;
  for (const [lo, hi] of taken) if (lo < by + 1e-9 && hi > by) by = hi;
  return by;
}
