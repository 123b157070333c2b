/** Corners nearer than this are one, mm: parts of a cut sheet share theirs but for rounding. */
const SAME = 1e-5;

/**
 * The contours of what convex polygons cover that lie edge to edge and do not overlap: outer ones counter-clockwise, holes
 * clockwise, without the seams between the parts. Polygons and contours are x and y by turns, the polygons counter-clockwise.
 * Undefined where the parts do not fit together: then they are to be shown one by one.
 */
export function contoursOf(parts: readonly ArrayLike<number>[]): number[][] | undefined {
  const corners: [number, number][] = [];
  const keys = new Map<string, number>();
  const cornerAt = (x: number, y: number): number => {
    const [i, j] = [Math.round(x / SAME), Math.round(y / SAME)];
    // a corner may have been rounded to the next place
    for (const [a, b] of [
      [0, 0],
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
      [1, 1],
      [-1, -1],
      [1, -1],
      [-1, 1],
    ] as const) {
      const known = keys.get(`${i + a},${j + b}`);
      if (known !== undefined) return known;
    }
    keys.set(`${i},${j}`, corners.length);
    corners.push([x, y]);
    return corners.length - 1;
  };
  const rings = parts.map((p) => Array.from({ length: p.length / 2 }, (_, i) => cornerAt(p[2 * i]!, p[2 * i + 1]!)));
  // each edge in pieces between all corners that lie on it; what runs both ways is a seam
  const open = new Set<string>();
  for (const ring of rings)
    ring.forEach((a, n) => {
      const b = ring[(n + 1) % ring.length]!;
      const [[ax, ay], [bx, by]] = [corners[a]!, corners[b]!];
      const long = Math.hypot(bx - ax, by - ay);
      if (long < SAME) return;
      const [dx, dy] = [(bx - ax) / long, (by - ay) / long];
      const on = corners.flatMap(([x, y], i): [number, number][] => {
        const t = (x - ax) * dx + (y - ay) * dy;
        const off = Math.abs((y - ay) * dx - (x - ax) * dy);
        return off < 4 * SAME && t > SAME && t < long - SAME ? [[t, i]] : [];
      });
      const stops = [a, ...on.sort((p, q) => p[0] - q[0]).map(([, i]) => i), b];
      for (let i = 0; i + 1 < stops.length; i++) {
        const [from, to] = [stops[i]!, stops[i + 1]!];
        if (!open.delete(`${to}>${from}`)) open.add(`${from}>${to}`);
      }
    });
  const next = new Map<number, number[]>();
  for (const edge of open) {
    const [from, to] = edge.split(">").map(Number) as [number, number];
    next.set(from, [...(next.get(from) ?? []), to]);
  }
  const out: number[][] = [];
  for (const start of next.keys())
    for (let to = next.get(start)!.pop(); to !== undefined; to = next.get(start)!.pop()) {
      const loop = [start];
      while (to !== start) {
        loop.push(to!);
        const on: number | undefined = next.get(to!)?.pop();
        if (on === undefined) return undefined;
        to = on;
      }
      out.push(straightened(loop.map((i) => corners[i]!)).flat());
    }
  return out;
}
/** A loop without corners at which it runs straight on. */
function straightened(loop: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  return loop.filter(([x, y], i) => {
    const [px, py] = loop[(i + loop.length - 1) % loop.length]!;
    const [nx, ny] = loop[(i + 1) % loop.length]!;
    const long = Math.hypot(nx - px, ny - py);
    return long < SAME || Math.abs((x - px) * (ny - py) - (y - py) * (nx - px)) / long > 2 * SAME;
  });
}
