import type { Vec2 } from "../geometry";
import { openCv, type OpenCv } from "./opencv";
import { dashedStrokes, sortBlobs } from "./blobs";
import { alongLine, directionOf, offLine, strokeLength, type Stroke } from "./stroke";

/** A picture in grey, one byte to the pixel, 255 white. */
export interface GrayImage {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}
/** Told the share that is done; when it answers false, the work stops. */
export type Progress = (done: number, what: string) => boolean;
export class Stopped extends Error {
  constructor() {
    super("Stopped.");
  }
}

/** How dark each pixel is against the paper round it, 0 to 1. */
interface Ink {
  readonly width: number;
  readonly height: number;
  readonly dark: Float32Array;
}

/** Shortest stroke that is looked for, pixels. */
const SHORTEST = 14;
/** A stretch without ink up to this is no gap, pixels. */
const BRIDGE = 3;
/** A walk along a line ends when it has seen no ink for so long, pixels. */
const AWAY = 24;
/** What counts as ink when one walks along a line: share of full black. */
const INK = 0.3;

/** Takes paper tint, shading and noise out: darkness against the brightest paper near by, over the darkest ink of the sheet. */
function inkOf(cv: OpenCv, image: GrayImage): { readonly ink: Ink; readonly binary: InstanceType<OpenCv["Mat"]> } {
  const { width, height } = image;
  const src = cv.matFromArray(height, width, cv.CV_8UC1, image.data as unknown as number[]);
  const smooth = new cv.Mat();
  cv.GaussianBlur(src, smooth, new cv.Size(3, 3), 0.7);
  const paper = new cv.Mat();
  const small = new cv.Mat();
  cv.resize(smooth, small, new cv.Size(Math.max(1, width >> 2), Math.max(1, height >> 2)), 0, 0, cv.INTER_AREA);
  cv.medianBlur(small, small, 31);
  cv.resize(small, paper, new cv.Size(width, height), 0, 0, cv.INTER_LINEAR);
  const difference = new cv.Mat();
  cv.subtract(paper, smooth, difference);
  const d = difference.data as Uint8Array;
  // the ink is what the darkest few pixels are
  const counts = new Array<number>(256).fill(0);
  for (const x of d) counts[x]!++;
  let full = 255;
  let left = width * height * 0.004;
  while (full > 40 && (left -= counts[full]!) > 0) full--;
  const dark = new Float32Array(width * height);
  for (let i = 0; i < dark.length; i++) dark[i] = Math.min(1, d[i]! / full);
  const binary = new cv.Mat();
  cv.threshold(difference, binary, Math.round(full * 0.42), 255, cv.THRESH_BINARY);
  for (const m of [src, smooth, paper, small, difference]) m.delete();
  return { ink: { width, height, dark }, binary };
}

/** Darkness between pixels. Pixel (0, 0) has its middle at (0.5, 0.5). */
function darkAt(ink: Ink, x: number, y: number): number {
  const [fx, fy] = [x - 0.5, y - 0.5];
  const [x0, y0] = [Math.floor(fx), Math.floor(fy)];
  if (x0 < 0 || y0 < 0 || x0 >= ink.width - 1 || y0 >= ink.height - 1) return 0;
  const [tx, ty] = [fx - x0, fy - y0];
  const i = y0 * ink.width + x0;
  const d = ink.dark;
  const up = d[i]! * (1 - tx) + d[i + 1]! * tx;
  const down = d[i + ink.width]! * (1 - tx) + d[i + ink.width + 1]! * tx;
  return up * (1 - ty) + down * ty;
}

interface Line {
  readonly a: Vec2;
  readonly b: Vec2;
}
/** How far to the sides the ink of a stroke is looked for, pixels. */
const REACH = 2.5;

/** Moves a line onto the middle of the ink under it: a weighted least-squares line through the ink across it, twice, far points left out. */
function settle(ink: Ink, line: Line): Line | undefined {
  let now = line;
  for (let round = 0; round < 3; round++) {
    const u = directionOf(now);
    const n: Vec2 = [-u[1], u[0]];
    const l = strokeLength(now);
    const reach = round === 0 ? REACH + 1 : REACH;
    const samples: [number, number, number][] = [];
    for (let t = 0; t <= l; t += 1) {
      const [cx, cy] = [now.a[0] + t * u[0], now.a[1] + t * u[1]];
      let [s, m] = [0, 0];
      for (let o = -reach; o <= reach; o += 0.5) {
        const w = darkAt(ink, cx + o * n[0], cy + o * n[1]);
        if (w < 0.15) continue;
        [s, m] = [s + w, m + w * o];
      }
      if (s > 0.8 && s < 9) samples.push([t, m / s, 1]);
    }
    if (samples.length < 6) return undefined;
    let fit = leastSquares(samples);
    for (let i = 0; i < 2; i++) {
      const kept = samples.filter(([t, o]) => Math.abs(o - fit[0] - fit[1] * t) < 0.8);
      if (kept.length < 6) break;
      fit = leastSquares(kept);
    }
    const point = (t: number): Vec2 => {
      const o = fit[0] + fit[1] * t;
      return [now.a[0] + t * u[0] + o * n[0], now.a[1] + t * u[1] + o * n[1]];
    };
    now = { a: point(0), b: point(l) };
  }
  return now;
}
/** Offset and slope of o = c + s·t by weights. */
function leastSquares(p: readonly (readonly [number, number, number])[]): readonly [number, number] {
  let [w, t, o, tt, to] = [0, 0, 0, 0, 0];
  for (const [x, y, k] of p) [w, t, o, tt, to] = [w + k, t + k * x, o + k * y, tt + k * x * x, to + k * x * y];
  const det = w * tt - t * t;
  const slope = Math.abs(det) < 1e-9 ? 0 : (w * to - t * o) / det;
  return [(o - slope * t) / w, slope];
}

interface Run {
  readonly from: number;
  readonly to: number;
  readonly pen: number;
}
/** Stretches of ink along a line, from its start and beyond both its ends, each with the pen's width. */
function runsAlong(ink: Ink, line: Line): Run[] {
  const u = directionOf(line);
  const n: Vec2 = [-u[1], u[0]];
  const l = strokeLength(line);
  const runs: { from: number; to: number; pens: number[] }[] = [];
  const shade = (t: number): number => {
    const [x, y] = [line.a[0] + t * u[0], line.a[1] + t * u[1]];
    return Math.max(
      darkAt(ink, x, y),
      darkAt(ink, x + 0.6 * n[0], y + 0.6 * n[1]),
      darkAt(ink, x - 0.6 * n[0], y - 0.6 * n[1]),
    );
  };
  // back from the start, and on past the end, until the ink has been away for a while
  const reach = (from: number, way: 1 | -1): number => {
    let t = from;
    for (let empty = 0; empty < AWAY; t += way) empty = shade(t) < INK ? empty + 1 : 0;
    return t;
  };
  const end = reach(l, 1);
  for (let t = reach(0, -1); t <= end; t += 1) {
    if (shade(t) < INK) continue;
    const [x, y] = [line.a[0] + t * u[0], line.a[1] + t * u[1]];
    let pen = 0;
    for (let o = -4; o <= 4; o += 0.5) pen += 0.5 * darkAt(ink, x + o * n[0], y + o * n[1]);
    const last = runs[runs.length - 1];
    if (last && t - last.to <= BRIDGE) {
      last.to = t;
      last.pens.push(pen);
    } else runs.push({ from: t, to: t, pens: [pen] });
  }
  return runs.map((r) => {
    const sorted = r.pens.sort((a, b) => a - b);
    return { from: r.from - 0.5, to: r.to + 0.5, pen: sorted[sorted.length >> 2]! };
  });
}

/** A stroke found along a line before overlaps are settled. */
interface Raw extends Line {
  readonly pen: number;
}
const pointOn = (line: Line, t: number): Vec2 => {
  const u = directionOf(line);
  return [line.a[0] + t * u[0], line.a[1] + t * u[1]];
};

/** The long runs of a line as strokes. */
const strokesOf = (line: Line, runs: readonly Run[]): Raw[] =>
  runs
    .filter((r) => r.to - r.from >= SHORTEST)
    .map((r) => ({ a: pointOn(line, r.from), b: pointOn(line, r.to), pen: r.pen }));
/** Whether a stroke lies on another: the same line, and most of it within the other's length. */
function covers(long: Line, short: Line): boolean {
  const [p, q] = [alongLine(long, short.a), alongLine(long, short.b)];
  const l = strokeLength(long);
  const shared = Math.min(l, Math.max(p, q)) - Math.max(0, Math.min(p, q));
  return (
    Math.abs(offLine(long, short.a)) < 1.8 &&
    Math.abs(offLine(long, short.b)) < 1.8 &&
    shared > 0.5 * strokeLength(short)
  );
}

/**
 * Straight strokes of a scan. OpenCV takes the noise out and proposes lines (progressive probabilistic Hough
 * transform); each is moved onto its ink to a fraction of a pixel and walked along to find where it begins and ends, is
 * dashed, and how thick its pen was. Errors: Stopped when progress answers false.
 */
export async function inkStrokes(image: GrayImage, progress: Progress = () => true): Promise<Stroke[]> {
  const step = (done: number, what: string): void => {
    if (!progress(done, what)) throw new Stopped();
  };
  step(0, "Loading the image library");
  const cv = (await openCv())();
  step(0.1, "Taking out the paper");
  const { ink, binary } = inkOf(cv, image);
  step(0.2, "Setting letters and dashes aside");
  const dashes = sortBlobs(cv, binary);
  step(0.25, "Looking for lines");
  const found = new cv.Mat();
  cv.HoughLinesP(binary, found, 1, Math.PI / 720, 28, SHORTEST, 9);
  const proposals: Line[] = [];
  for (let i = 0; i < found.rows; i++) {
    const [x1, y1, x2, y2] = [0, 1, 2, 3].map((k) => (found.data32S as Int32Array)[4 * i + k]! + 0.5) as [
      number,
      number,
      number,
      number,
    ];
    proposals.push({ a: [x1, y1], b: [x2, y2] });
  }
  binary.delete();
  found.delete();
  proposals.sort((p, q) => strokeLength(q) - strokeLength(p));
  const strokes: Raw[] = [];
  for (const [i, p] of proposals.entries()) {
    if (i % 50 === 0) step(0.3 + (0.6 * i) / proposals.length, "Following lines");
    if (strokes.some((s) => covers(s, p))) continue;
    const line = settle(ink, p);
    if (!line || strokes.some((s) => covers(s, line))) continue;
    const own = strokesOf(line, runsAlong(ink, line));
    // only what the proposal is part of is sure to lie on this line
    const [lo, hi] = [0, strokeLength(line)];
    for (const s of own) {
      const [from, to] = [alongLine(line, s.a), alongLine(line, s.b)];
      if (to < lo - 5 || from > hi + 5) continue;
      const again = settle(ink, s);
      const better = again ? { ...s, a: again.a, b: again.b } : s;
      if (!strokes.some((o) => covers(o, better))) strokes.push(better);
    }
  }
  step(0.95, "Sorting what was found");
  const solid = strokes.map((s): Stroke => ({ a: s.a, b: s.b, pen: s.pen, dashed: false, gaps: [] }));
  return [...solid, ...dashedStrokes(dashes)];
}
