/** A corner of a triangle on the picture: its pixel and how far away it is. */
export type RasterPoint = readonly [x: number, y: number, far: number];
export interface Triangle {
  readonly points: readonly [RasterPoint, RasterPoint, RasterPoint];
  /** 0 to 255. */
  readonly rgb: readonly [number, number, number];
}
/** Draws triangles, what is nearer over what is farther, pixel by pixel: red, green, blue and opacity of each, row by row from the top. What is behind the eye is left out. */
export function raster(triangles: Iterable<Triangle>, width: number, height: number): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(width * height * 4);
  // 1/far changes evenly over a picture; more is nearer
  const near = new Float32Array(width * height);
  for (const {
    points: [a, b, c],
    rgb,
  } of triangles) {
    if (!(a[2] > 0 && b[2] > 0 && c[2] > 0)) continue;
    const area = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
    if (!(Math.abs(area) > 1e-9)) continue;
    const [x0, x1] = [Math.max(0, Math.ceil(Math.min(a[0], b[0], c[0]) - 0.5)), Math.min(width - 1, Math.floor(Math.max(a[0], b[0], c[0]) - 0.5))]; // prettier-ignore
    const [y0, y1] = [Math.max(0, Math.ceil(Math.min(a[1], b[1], c[1]) - 0.5)), Math.min(height - 1, Math.floor(Math.max(a[1], b[1], c[1]) - 0.5))]; // prettier-ignore
    const [ka, kb, kc] = [1 / a[2], 1 / b[2], 1 / c[2]];
    for (let y = y0; y <= y1; y++)
      for (let x = x0; x <= x1; x++) {
        const [px, py] = [x + 0.5, y + 0.5];
        const u = ((b[0] - px) * (c[1] - py) - (c[0] - px) * (b[1] - py)) / area;
        const v = ((c[0] - px) * (a[1] - py) - (a[0] - px) * (c[1] - py)) / area;
        const w = 1 - u - v;
        if (u < 0 || v < 0 || w < 0) continue;
        const depth = u * ka + v * kb + w * kc;
        const i = y * width + x;
        if (depth <= near[i]!) continue;
        near[i] = depth;
        out[4 * i] = rgb[0];
        out[4 * i + 1] = rgb[1];
        out[4 * i + 2] = rgb[2];
        out[4 * i + 3] = 255;
      }
  }
  return out;
}
