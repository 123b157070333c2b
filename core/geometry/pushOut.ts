import type { Vec2 } from "./vec";

/** The shortest way to move a convex outline clear of another one, both counter-clockwise; undefined where they do not overlap. By the axis on which they overlap least (separating axes of convex figures). */
export function pushOut(a: readonly Vec2[], b: readonly Vec2[]): Vec2 | undefined {
  let best: { readonly by: number; readonly axis: Vec2 } | undefined;
  for (const ring of [a, b])
    for (let i = 0; i < ring.length; i++) {
      const [p, q] = [ring[i]!, ring[(i + 1) % ring.length]!];
      const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (long === 0) continue;
      const axis: Vec2 = [(q[1] - p[1]) / long, (p[0] - q[0]) / long];
      const span = (r: readonly Vec2[]): readonly [number, number] => {
        const at = r.map((c) => c[0] * axis[0] + c[1] * axis[1]);
        return [Math.min(...at), Math.max(...at)];
      };
      const [[a0, a1], [b0, b1]] = [span(a), span(b)];
      // out on the side that is nearer
      for (const by of [b0 - a1, b1 - a0]) if (!best || Math.abs(by) < Math.abs(best.by)) best = { by, axis };
      if (a1 <= b0 || b1 <= a0) return undefined;
    }
  return best && [best.axis[0] * best.by, best.axis[1] * best.by];
}
