import { ALIKE, NEAR } from "../../geometry";
/** A line of the bent's elevation, [y, z], with a direction and the half width of the timber on it. One unit throughout. */
export interface Band {
  readonly at: readonly [number, number];
  readonly dir: readonly [number, number];
  readonly half: number;
}
export interface SwayRule {
  readonly finish: "square" | "flush";
  readonly beyond: number;
}

/** z of the corners that a brace shows at one post: the crossing with it, and the brace's end past it. */
function endHeights(brace: Band, post: Band, rule: SwayRule, outward: 1 | -1): number[] {
  const [cy, cz] = brace.dir;
  const n: readonly [number, number] = [-cz, cy];
  const heights: number[] = [];
  let reach = -Infinity;
  for (const side of [-1, 1])
    for (const edge of [-1, 1]) {
      const p = [brace.at[0] + n[0] * side * brace.half, brace.at[1] + n[1] * side * brace.half] as const;
      const q = [post.at[0] - post.dir[1] * edge * post.half, post.at[1] + post.dir[0] * edge * post.half] as const;
      const det = cy * -post.dir[1] + post.dir[0] * cz;
      const t = ((q[0] - p[0]) * -post.dir[1] + post.dir[0] * (q[1] - p[1])) / det;
      heights.push(p[1] + cz * t);
      const along = (p[0] + cy * t - brace.at[0]) * cy + (p[1] + cz * t - brace.at[1]) * cz;
      reach = Math.max(reach, along * outward);
    }
  if (rule.finish === "square")
    for (const side of [-1, 1])
      heights.push(brace.at[1] + n[1] * side * brace.half + cz * outward * (reach + rule.beyond));
  return heights;
}

/** Steps of the search for the work points, and the share of a unit to which they have to agree. */
const STEPS = 60;
const CLOSE = 1e-10;

/**
 * Work points of a sway brace from the left post (top) to the right post (foot): the ones at which its highest corner
 * comes to `top` and its lowest to `foot`, found by Newton's method. Left and right are post centre lines; the answer is
 * [y, z] on each. Undefined when there is no room for a brace that falls from left to right.
 */
export function placeSway(
  left: Band,
  right: Band,
  half: number,
  top: number,
  foot: number,
  rule: SwayRule,
): readonly [readonly [number, number], readonly [number, number]] | undefined {
  const on = (p: Band, z: number): readonly [number, number] => [p.at[0] + (p.dir[0] / p.dir[1]) * (z - p.at[1]), z];
  /** How far the brace's highest and lowest corners are past their limits. */
  const past = (zt: number, zf: number): readonly [number, number] => {
    const [a, b] = [on(left, zt), on(right, zf)];
    const l = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const brace: Band = { at: a, dir: [(b[0] - a[0]) / l, (b[1] - a[1]) / l], half };
    return [
      Math.max(...endHeights(brace, left, rule, -1)) - top,
      Math.min(...endHeights(brace, right, rule, 1)) - foot,
    ];
  };
  const size = Math.max(1, top - foot);
  let [zt, zf] = [top - half, foot + half];
  for (let i = 0; i < STEPS; i++) {
    const [t, f] = past(zt, zf);
    if (Math.abs(t) + Math.abs(f) < CLOSE * size) return zt - zf > half ? [on(left, zt), on(right, zf)] : undefined;
    const h = NEAR * size;
    const [byTop, byFoot] = [past(zt + h, zf), past(zt, zf + h)];
    const [a, b, c, d] = [(byTop[0] - t) / h, (byFoot[0] - t) / h, (byTop[1] - f) / h, (byFoot[1] - f) / h];
    const det = a * d - b * c;
    if (!(Math.abs(det) > ALIKE)) return undefined;
    const limit = (step: number): number => Math.max(-size / 4, Math.min(size / 4, step));
    zt -= limit((d * t - b * f) / det);
    zf -= limit((a * f - c * t) / det);
    if (!(zt > zf)) return undefined;
  }
  return undefined;
}
