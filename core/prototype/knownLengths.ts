import type { Vec2 } from "../geometry";

/** A length that is known on a sheet: between two pixels, prototype mm. One that only checks does not set the scale. */
export interface KnownLength {
  readonly from: Vec2;
  readonly to: Vec2;
  readonly length: number;
  readonly use: "scale" | "check";
}
/** How far a known length is off the scale found: share of itself, measured less known, and whether it is taken for wrong. */
export interface Residual {
  readonly relative: number;
  /** Prototype mm. */
  readonly mm: number;
  readonly wrong: boolean;
}
export interface Fit {
  /** Prototype mm per pixel along the sheet's x and y. */
  readonly kx: number;
  readonly ky: number;
  readonly residuals: readonly Residual[];
  /** Lengths that disagree where too few are there to tell which is wrong. */
  readonly undecided: boolean;
}
/** How far a press lands from where it should, pixels, and the least share by which lengths have to differ to disagree. Common practice. */
const PRESS = 1;
const AGREES = 0.012;
/** Two presses closer than this tell no length, pixels. */
const CLOSEST = 5;

interface Row {
  readonly dx: number;
  readonly dy: number;
  readonly length: number;
  /** Share by which this one may be off and still agree. */
  readonly tolerance: number;
  readonly axis: "x" | "y" | "slant";
}
type Scales = readonly [kx: number, ky: number];

function rowOf(k: KnownLength): Row {
  const [dx, dy] = [Math.abs(k.to[0] - k.from[0]), Math.abs(k.to[1] - k.from[1])];
  const px = Math.hypot(dx, dy);
  if (px < CLOSEST)
    throw new Error(`The two points are only ${px.toFixed(1)} pixels apart; choose points far from each other.`);
  const axis = dy < 0.3 * dx ? "x" : dx < 0.3 * dy ? "y" : "slant";
  return { dx, dy, length: k.length, tolerance: Math.max(AGREES, (3 * Math.SQRT2 * PRESS) / px), axis };
}
const relative = ([kx, ky]: Scales, r: Row): number => Math.hypot(kx * r.dx, ky * r.dy) / r.length - 1;

/** Least squares of the relative residuals for one scale: k = Σq / Σq², q the pixels per mm of each. */
function together(rows: readonly Row[]): Scales {
  const q = rows.map((r) => Math.hypot(r.dx, r.dy) / r.length);
  const k = q.reduce((s, x) => s + x, 0) / q.reduce((s, x) => s + x * x, 0);
  return [k, k];
}
/** Least squares of 1 = X·(dx/L)² + Y·(dy/L)² with X = kx², Y = ky²; undefined where the lengths do not tell both. */
function apart(rows: readonly Row[]): Scales | undefined {
  let [aa, ab, bb, a1, b1] = [0, 0, 0, 0, 0];
  for (const r of rows) {
    const [a, b] = [(r.dx / r.length) ** 2, (r.dy / r.length) ** 2];
    [aa, ab, bb, a1, b1] = [aa + a * a, ab + a * b, bb + b * b, a1 + a, b1 + b];
  }
  const det = aa * bb - ab * ab;
  if (!(det > 1e-6 * aa * bb)) return undefined;
  const [x, y] = [(a1 * bb - b1 * ab) / det, (aa * b1 - ab * a1) / det];
  return x > 0 && y > 0 ? [Math.sqrt(x), Math.sqrt(y)] : undefined;
}

const median = (v: readonly number[]): number => {
  const s = [...v].sort((a, b) => a - b);
  return (s[(s.length - 1) >> 1]! + s[s.length >> 1]!) / 2;
};
interface Robust {
  readonly scales: Scales;
  readonly agreeing: readonly Row[];
}
/**
 * The scale on which most lengths agree: least median of residuals over scales from single lengths, or pairs, then
 * least squares over those that agree (Rousseeuw's least median of squares with reweighting, from memory).
 */
function robust(rows: readonly Row[], model: "apart" | "together"): Robust | undefined {
  const subsets =
    model === "together" ? rows.map((r) => [r]) : rows.flatMap((r, i) => rows.slice(i + 1).map((s) => [r, s]));
  const solve = model === "together" ? together : apart;
  let best: { scales: Scales; cost: number } | undefined;
  for (const s of subsets) {
    const scales = solve(s);
    if (!scales) continue;
    const off = rows.map((r) => Math.abs(relative(scales, r)));
    const cost = median(off) + 1e-3 * off.reduce((t, x) => t + Math.min(x, 0.05), 0);
    if (!best || cost < best.cost) best = { scales, cost };
  }
  if (!best) return undefined;
  const agrees = (s: Scales) => rows.filter((r) => Math.abs(relative(s, r)) <= r.tolerance);
  let scales = best.scales;
  for (let i = 0; i < 3; i++) {
    const in_ = agrees(scales);
    const next = in_.length > 0 ? solve(in_) : undefined;
    if (!next) break;
    scales = next;
  }
  return { scales, agreeing: agrees(scales) };
}

/**
 * One scale, or one across and one up, from known lengths, with the residual of each. A length that the rest contradict
 * is named as wrong and left out. "auto" takes the scales apart where at least two lengths each way agree on it and one
 * scale does not serve. With `stated`, mm per pixel, lengths only check. Errors: points too close to tell a length.
 */
export function fitLengths(
  lengths: readonly KnownLength[],
  stretch: "auto" | "apart" | "together",
  stated?: number,
): Fit {
  const all = lengths.map(rowOf);
  const rows = all.filter((_, i) => lengths[i]!.use === "scale");
  const one = stated === undefined ? robust(rows, "together") : { scales: [stated, stated] as const, agreeing: rows };
  const two = stretch === "together" || stated !== undefined ? undefined : robust(rows, "apart");
  const backed = (r: Robust): boolean =>
    (["x", "y"] as const).every((axis) => r.agreeing.filter((x) => x.axis === axis || x.axis === "slant").length >= 2);
  const chosen =
    two && (stretch === "apart" || (backed(two) && two.agreeing.length > (one?.agreeing.length ?? 0))) ? two : one;
  if (!chosen) throw new Error("No length sets the scale yet.");
  const majority = stated !== undefined || 2 * chosen.agreeing.length > rows.length;
  const residuals = all.map((r, i): Residual => {
    const off = relative(chosen.scales, r);
    const apartFromRest = Math.abs(off) > r.tolerance;
    return { relative: off, mm: off * r.length, wrong: apartFromRest && (majority || lengths[i]!.use === "check") };
  });
  return { kx: chosen.scales[0], ky: chosen.scales[1], residuals, undecided: rows.length > 1 && !majority };
}
