import type { Vec2 } from "../geometry";
import type { OpenCv } from "./opencv";
import { alongLine, offLine, strokeLength, type Stroke } from "./stroke";

/** A dash of a dashed line: its ends, pixels, and how thick it is. */
export interface Dash {
  readonly a: Vec2;
  readonly b: Vec2;
  readonly pen: number;
}
/** Blobs larger than this belong to the drawing, smaller than this in area to the noise, pixels. */
const LETTER = 64;
const SPECK = 5;
/** Letters that touch fill this much of their box; the outline of a timber fills less. */
const WORD = 0.24;
/** How thick to how long a blob may be to be a dash, as standard deviations. */
const SLENDER = 0.2;
const DASH = [5, 40] as const;

/**
 * Takes small ink that touches nothing out of a binary picture: letters and specks are dropped, slender ones are
 * answered as dashes. Second moments give a blob's direction and its lengths along and across.
 */
export function sortBlobs(cv: OpenCv, binary: InstanceType<OpenCv["Mat"]>): Dash[] {
  const labels = new cv.Mat();
  const [stats, middles] = [new cv.Mat(), new cv.Mat()];
  const n = cv.connectedComponentsWithStats(binary, labels, stats, middles, 8, cv.CV_32S);
  const box = stats.data32S as Int32Array;
  const centre = middles.data64F as Float64Array;
  const small = new Uint8Array(n);
  for (let i = 1; i < n; i++) {
    const [w, h, area] = [box[5 * i + 2]!, box[5 * i + 3]!, box[5 * i + 4]!];
    const word = Math.min(w, h) < 0.6 * LETTER && Math.max(w, h) < 5 * LETTER && area > WORD * w * h;
    if ((w < LETTER && h < LETTER) || word) small[i] = 1;
  }
  const moments = new Float64Array(3 * n);
  const label = labels.data32S as Int32Array;
  const bits = binary.data as Uint8Array;
  const width = binary.cols;
  for (let i = 0; i < label.length; i++) {
    const k = label[i]!;
    if (!small[k]) continue;
    const [dx, dy] = [(i % width) - centre[2 * k]!, Math.floor(i / width) - centre[2 * k + 1]!];
    moments[3 * k]! += dx * dx;
    moments[3 * k + 1]! += dx * dy;
    moments[3 * k + 2]! += dy * dy;
    bits[i] = 0;
  }
  const dashes: Dash[] = [];
  for (let k = 1; k < n; k++) {
    const area = box[5 * k + 4]!;
    if (!small[k] || area < SPECK) continue;
    const [xx, xy, yy] = [moments[3 * k]! / area, moments[3 * k + 1]! / area, moments[3 * k + 2]! / area];
    const mean = (xx + yy) / 2;
    const spread = Math.hypot((xx - yy) / 2, xy);
    // a bar of length l has variance l² / 12
    const [l, t] = [Math.sqrt(12 * (mean + spread)), Math.sqrt(12 * Math.max(0.08, mean - spread))];
    if (l < DASH[0] || l > DASH[1] || t > Math.max(SLENDER * l, 1.9)) continue;
    const turn = Math.atan2(2 * xy, xx - yy) / 2;
    const [cx, cy] = [centre[2 * k]! + 0.5, centre[2 * k + 1]! + 0.5];
    const [ux, uy] = [(Math.cos(turn) * l) / 2, (Math.sin(turn) * l) / 2];
    dashes.push({ a: [cx - ux, cy - uy], b: [cx + ux, cy + uy], pen: area / l });
  }
  for (const m of [labels, stats, middles]) m.delete();
  return dashes;
}

const middleOf = (d: Dash): Vec2 => [(d.a[0] + d.b[0]) / 2, (d.a[1] + d.b[1]) / 2];
/** How far a dash may stand off the row, pixels; how far the next may be, in lengths of a dash. */
const OFF = 1.3;
const NEXT = 3.4;
const FAR = 14;
/** Fewest dashes that make a row. */
const ROW = 3;

/** Rows of dashes in a line, the longest first. */
export function dashedStrokes(dashes: readonly Dash[]): Stroke[] {
  const free = new Set(dashes);
  const rows: Dash[][] = [];
  const starts = [...dashes].sort((p, q) => strokeLength(q) - strokeLength(p));
  for (;;) {
    let best: Dash[] = [];
    for (const d of starts) {
      if (!free.has(d)) continue;
      for (const e of neighbours(d, free)) {
        const row = grow([d, e], free);
        if (row.length > best.length) best = row;
      }
    }
    if (best.length < ROW) break;
    best.forEach((d) => free.delete(d));
    rows.push(best);
  }
  return rows.map(strokeOfRow);
}
function neighbours(d: Dash, free: ReadonlySet<Dash>): Dash[] {
  const l = strokeLength(d);
  const c = middleOf(d);
  return [...free].filter((e) => {
    if (e === d) return false;
    const m = middleOf(e);
    const away = Math.hypot(m[0] - c[0], m[1] - c[1]);
    const alike = strokeLength(e) > 0.5 * l && strokeLength(e) < 2 * l;
    return (
      alike &&
      away < 2.2 * l &&
      Math.abs(offLine(d, m)) < 0.12 * away + 0.6 &&
      Math.abs(offLine(e, c)) < 0.12 * away + 0.6
    );
  });
}
/** Adds dashes at either end as long as they lie on the line through the row. */
function grow(seed: readonly Dash[], free: ReadonlySet<Dash>): Dash[] {
  const row = [...seed];
  for (;;) {
    const line = lineThrough(row);
    const typical = strokeLength(row[0]!);
    const at = row.map((d) => alongLine(line, middleOf(d)));
    const [lo, hi] = [Math.min(...at), Math.max(...at)];
    let next: Dash | undefined;
    // a long row knows its line, and finds on it what stands beyond something in front
    let nearest =
      row.length > ROW ? Math.max(NEXT * typical, Math.min(FAR * typical, 1.2 * (hi - lo))) : NEXT * typical;
    for (const d of free) {
      if (row.includes(d)) continue;
      const m = middleOf(d);
      const t = alongLine(line, m);
      const away = t < lo ? lo - t : t - hi;
      if (t > lo && t < hi) continue;
      if (away > nearest || Math.abs(offLine(line, m)) > OFF) continue;
      if (Math.max(Math.abs(offLine(line, d.a)), Math.abs(offLine(line, d.b))) > 2 * OFF) continue;
      if (strokeLength(d) > 1.8 * typical) continue;
      [next, nearest] = [d, away];
    }
    if (!next) return row;
    row.push(next);
  }
}
/** The line through the middles of dashes, by its principal axis. */
function lineThrough(row: readonly Dash[]): { a: Vec2; b: Vec2 } {
  const p = row.flatMap((d) => [d.a, d.b]);
  const c: Vec2 = [p.reduce((s, q) => s + q[0], 0) / p.length, p.reduce((s, q) => s + q[1], 0) / p.length];
  let [xx, xy, yy] = [0, 0, 0];
  for (const q of p) {
    const [dx, dy] = [q[0] - c[0], q[1] - c[1]];
    [xx, xy, yy] = [xx + dx * dx, xy + dx * dy, yy + dy * dy];
  }
  const t = Math.atan2(2 * xy, xx - yy) / 2;
  return { a: c, b: [c[0] + Math.cos(t), c[1] + Math.sin(t)] };
}
function strokeOfRow(row: readonly Dash[]): Stroke {
  const line = lineThrough(row);
  const at = row.flatMap((d) => [alongLine(line, d.a), alongLine(line, d.b)]);
  const [lo, hi] = [Math.min(...at), Math.max(...at)];
  const point = (t: number): Vec2 => [line.a[0] + t * (line.b[0] - line.a[0]), line.a[1] + t * (line.b[1] - line.a[1])];
  return { a: point(lo), b: point(hi), pen: row.reduce((s, d) => s + d.pen, 0) / row.length, dashed: true, gaps: [] };
}
