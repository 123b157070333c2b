import { clipPolygon, hull, polygonArea, NEAR, type Vec2 } from "../../../geometry";

export interface Rectangle {
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
}
/** A sheet that covers one connected part of a face: its convex outline, and of it what is cut out. */
export interface FacePart {
  readonly outline: readonly Vec2[];
  /** Rectangles; those of other parts that reach into its outline have no name. */
  readonly out: readonly (Rectangle & { readonly id?: string })[];
}

/** Keeps the part of a convex polygon on which a·s + c·z ≤ d. */
export function halfOf(polygon: readonly Vec2[], a: number, c: number, d: number): Vec2[] {
  const long = Math.hypot(a, c);
  const far = 1e4;
  const [n, along]: [Vec2, Vec2] = [
    [a / long, c / long],
    [-c / long, a / long],
  ];
  const at = (t: number, out: number): Vec2 => [
    (n[0] * d) / long + along[0] * t + n[0] * out,
    (n[1] * d) / long + along[1] * t + n[1] * out,
  ];
  return clipPolygon(polygon, [at(-far, 0), at(-far, -far), at(far, -far), at(far, 0)].reverse());
}

/**
 * The connected parts of a rectangle without its holes, each in the convex hull of what it is. A wall that a wing parts from
 * ground to eave is two sheets; one that a door reaches into is one. Parts of less than `least` mm² are left out.
 */
export function faceParts(
  face: Rectangle,
  holes: readonly (Rectangle & { readonly id: string })[],
  keep: (polygon: readonly Vec2[]) => readonly Vec2[] = (p) => p,
  least = 0.5,
): FacePart[] {
  const within = holes.map((h) => ({
    id: h.id,
    from: Math.max(h.from, face.from - 1),
    to: Math.min(h.to, face.to + 1),
    low: Math.max(h.low, face.low - 1),
    high: Math.min(h.high, face.high + 1),
  }));
  const own = within.filter((h) => h.to - h.from > NEAR && h.high - h.low > NEAR);
  const marks = (lo: number, hi: number, of: readonly number[]): number[] => {
    const all = [lo, hi, ...of.filter((x) => x > lo + NEAR && x < hi - NEAR)].sort((a, b) => a - b);
    return all.filter((x, i) => i === 0 || x - all[i - 1]! > NEAR);
  };
  const ss = marks(face.from, face.to, own.flatMap((h) => [h.from, h.to])); // prettier-ignore
  const zs = marks(face.low, face.high, own.flatMap((h) => [h.low, h.high])); // prettier-ignore
  const [columns, rows] = [ss.length - 1, zs.length - 1];
  const box = (i: number, j: number): Rectangle => ({ from: ss[i]!, to: ss[i + 1]!, low: zs[j]!, high: zs[j + 1]! });
  const corners = (r: Rectangle): Vec2[] => [
    [r.from, r.low],
    [r.to, r.low],
    [r.to, r.high],
    [r.from, r.high],
  ];
  const free = (i: number, j: number): boolean => {
    const r = box(i, j);
    const [s, z] = [(r.from + r.to) / 2, (r.low + r.high) / 2];
    if (own.some((h) => s > h.from && s < h.to && z > h.low && z < h.high)) return false;
    return polygonArea(keep(corners(r))) > 1e-6;
  };
  // which part each cell belongs to, from 1; 0 is none
  const part = new Int32Array(columns * rows);
  let count = 0;
  for (let start = 0; start < part.length; start++) {
    if (part[start] !== 0 || !free(start % columns, Math.floor(start / columns))) continue;
    count++;
    const stack = [start];
    part[start] = count;
    while (stack.length > 0) {
      const at = stack.pop()!;
      const [i, j] = [at % columns, Math.floor(at / columns)];
      for (const [x, y] of [
        [i - 1, j],
        [i + 1, j],
        [i, j - 1],
        [i, j + 1],
      ] as const)
        // prettier-ignore
        if (x >= 0 && x < columns && y >= 0 && y < rows && part[y * columns + x] === 0 && free(x, y)) {
          part[y * columns + x] = count;
          stack.push(y * columns + x);
        }
    }
  }
  const cells = (n: number): Rectangle[] => [...part].flatMap((p, at) => (p === n ? [box(at % columns, Math.floor(at / columns))] : [])); // prettier-ignore
  return Array.from({ length: count }, (_, k) => cells(k + 1)).flatMap((mine, k): FacePart[] => {
    const outline = hull(keep(hull(mine.flatMap(corners))), 1e-7);
    if (outline.length < 3 || mine.reduce((s, r) => s + polygonArea(keep(corners(r))), 0) < least) return [];
    const others = Array.from({ length: count }, (_, n) => (n === k ? [] : cells(n + 1))).flat();
    const meets = (r: Rectangle): boolean => polygonArea(clipPolygon(outline, corners(r))) > 1e-6;
    return [{ outline, out: [...own, ...others].filter(meets) }];
  });
}
