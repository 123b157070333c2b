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

/**
 * Work points of a sway brace from the left post (top) to the right post (foot): the ones at which its highest corner
 * comes to `top` and its lowest to `foot`. Left and right are post centre lines; the answer is [y, z] on each. Undefined
 * when the story is too low for a brace to fall from left to right.
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
  let [zt, zf] = [top - half, foot + half];
  for (let i = 0; i < 200; i++) {
    const [a, b] = [on(left, zt), on(right, zf)];
    const l = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const brace: Band = { at: a, dir: [(b[0] - a[0]) / l, (b[1] - a[1]) / l], half };
    const highest = Math.max(...endHeights(brace, left, rule, -1));
    const lowest = Math.min(...endHeights(brace, right, rule, 1));
    const [dt, df] = [top - highest, foot - lowest];
    zt += dt;
    zf += df;
    if (!(zt - zf > half)) return undefined;
    if (Math.abs(dt) + Math.abs(df) < 1e-11 * Math.max(1, Math.abs(foot))) break;
  }
  return [on(left, zt), on(right, zf)];
}
