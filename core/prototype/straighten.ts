import type { Vec2 } from "../geometry";
import { applyHomography, homographyOf, invertHomography, type Four, type Homography } from "./homography";
import { bend, unbend, type Lens } from "./lens";

/**
 * What takes the keystone out of a photograph: four pixels that are the corners of a rectangle on the prototype (upper
 * left, upper right, lower right, lower left), its width and height in prototype mm, and the lens.
 */
export interface Keystone {
  readonly corners: Four;
  readonly width: number;
  readonly height: number;
  readonly lens: Lens;
}
/** The straightened picture: its size in pixels, pixels per prototype mm, and where the rectangle's upper left corner comes to lie. */
export interface Straightened {
  readonly width: number;
  readonly height: number;
  readonly perMm: number;
  readonly origin: Vec2;
}
/** Largest straightened picture, megapixels. */
const MOST = 24;
/** How much of the plane is shown round the rectangle at most, in its longer sides, and how much coarser than the finest it may be there. */
const AROUND = 8;
const COARSEST = 0.3;

/** The corners sorted to go round: upper left, upper right, lower right, lower left as they stand on the picture. Errors: a shape that is no rectangle's picture. */
export function sortCorners(points: readonly Vec2[]): Four {
  if (points.length !== 4) throw new Error(`A rectangle has four corners; ${points.length} were pressed.`);
  const c: Vec2 = [points.reduce((s, p) => s + p[0], 0) / 4, points.reduce((s, p) => s + p[1], 0) / 4];
  const round = [...points].sort((p, q) => Math.atan2(p[1] - c[1], p[0] - c[0]) - Math.atan2(q[1] - c[1], q[0] - c[0]));
  const turns = round.map((p, i) => {
    const [q, r] = [round[(i + 1) % 4]!, round[(i + 2) % 4]!];
    return (q[0] - p[0]) * (r[1] - q[1]) - (q[1] - p[1]) * (r[0] - q[0]);
  });
  const span = Math.max(...round.map((p) => Math.hypot(p[0] - c[0], p[1] - c[1])));
  if (turns.some((t) => t <= 1e-4 * span * span))
    throw new Error("The four points do not make the corners of a rectangle: press on each corner once.");
  // begin with the corner nearest the upper left
  const first = round.reduce((b, p, i) => (p[0] + p[1] < round[b]![0] + round[b]![1] ? i : b), 0);
  return [0, 1, 2, 3].map((i) => round[(first + i) % 4]!) as unknown as Four;
}

/** The map from unbent pixels to prototype mm in the rectangle's plane, x right and y down from its upper left corner. */
export function planeMap(k: Keystone): Homography {
  const { width: w, height: h } = k;
  return homographyOf(k.corners.map((p) => unbend(k.lens, p)) as unknown as Four, [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ]);
}
/** A pixel of the photograph in the rectangle's plane, prototype mm. */
export const onPlane = (k: Keystone, p: Vec2): Vec2 => applyHomography(planeMap(k), unbend(k.lens, p));

/** Pixels of the photograph to the prototype mm at a place of the plane: the mean of both directions. */
export function pixelsPerMm(k: Keystone, at: Vec2): number {
  const back = invertHomography(planeMap(k));
  const step = 1e-3 * Math.max(k.width, k.height);
  const p = (q: Vec2): Vec2 => bend(k.lens, applyHomography(back, q));
  const [o, x, y] = [p(at), p([at[0] + step, at[1]]), p([at[0], at[1] + step])];
  return Math.sqrt(Math.abs((x[0] - o[0]) * (y[1] - o[1]) - (x[1] - o[1]) * (y[0] - o[0]))) / step;
}

/** Lays out the straightened picture: as fine as the photograph is where the rectangle shows it finest, with what is round it. */
export function layStraightened(k: Keystone): Straightened {
  const { width: w, height: h } = k;
  const corners: Vec2[] = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
  const back = invertHomography(planeMap(k));
  const depth = (q: Vec2): number => back[6] * q[0] + back[7] * q[1] + back[8];
  const finest = Math.max(...corners.map((c) => pixelsPerMm(k, c)));
  const seen = (q: Vec2): boolean => {
    // beyond the horizon of the plane the map turns over
    if (depth(q) * depth([w / 2, h / 2]) <= 0) return false;
    const p = bend(k.lens, applyHomography(back, q));
    const inside = p[0] >= 0 && p[1] >= 0 && p[0] <= k.lens.width && p[1] <= k.lens.height;
    return inside && pixelsPerMm(k, q) > COARSEST * finest;
  };
  const longest = Math.max(w, h);
  // out from the rectangle, side by side, while the photograph still shows the middle of that side
  const reach = (at: (d: number) => Vec2): number => {
    const step = 0.05 * longest;
    let d = 0;
    while (d < AROUND * longest && seen(at(d + step))) d += step;
    return d;
  };
  const [l, r] = [reach((d) => [-d, h / 2]), reach((d) => [w + d, h / 2])];
  const [t, b] = [reach((d) => [w / 2, -d]), reach((d) => [w / 2, h + d])];
  const [mmW, mmH] = [w + l + r, h + t + b];
  const perMm = Math.min(finest, Math.sqrt((MOST * 1e6) / (mmW * mmH)));
  return {
    width: Math.max(1, Math.round(mmW * perMm)),
    height: Math.max(1, Math.round(mmH * perMm)),
    perMm,
    origin: [l * perMm, t * perMm],
  };
}

/** A picture as bytes, red, green, blue and alpha of each pixel. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}
/**
 * Resamples a photograph on the rectangle's plane (inverse mapping, bilinear). Pixels that the photograph does not show
 * are white. `progress` is told the share that is done; when it answers false, the work stops and undefined is answered.
 */
export function resample(
  source: Raster,
  k: Keystone,
  to: Straightened,
  progress: (done: number) => boolean = () => true,
): Raster | undefined {
  const back = invertHomography(planeMap(k));
  const out = new Uint8ClampedArray(to.width * to.height * 4).fill(255);
  const { width: W, height: H, data } = source;
  for (let row = 0; row < to.height; row++) {
    if (row % 64 === 0 && !progress(row / to.height)) return undefined;
    for (let col = 0; col < to.width; col++) {
      // the middle of a pixel lies half a pixel in
      const q: Vec2 = [(col + 0.5 - to.origin[0]) / to.perMm, (row + 0.5 - to.origin[1]) / to.perMm];
      const p = bend(k.lens, applyHomography(back, q));
      const [x, y] = [p[0] - 0.5, p[1] - 0.5];
      const [x0, y0] = [Math.floor(x), Math.floor(y)];
      if (!(x0 >= 0 && y0 >= 0 && x0 < W - 1 && y0 < H - 1)) continue;
      const [fx, fy] = [x - x0, y - y0];
      const i = (y0 * W + x0) * 4;
      const o = (row * to.width + col) * 4;
      for (let c = 0; c < 3; c++) {
        const up = data[i + c]! * (1 - fx) + data[i + 4 + c]! * fx;
        const down = data[i + W * 4 + c]! * (1 - fx) + data[i + W * 4 + 4 + c]! * fx;
        out[o + c] = up * (1 - fy) + down * fy;
      }
    }
  }
  return { width: to.width, height: to.height, data: out };
}
