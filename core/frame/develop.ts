import { addScaled, cross, dot, normalize, scale, sub, type Vec3 } from "../geometry";
import { onRing } from "./ring";
import type { Ring, RunBody } from "./member";

/**
 * Length of a component's own centre line from the first ring to each, mm, as its straight blank shows it. Between two
 * rings the line is a helix about the axis: √((ρ·Δ)² + rise²), with ρ·Δ from the chord 2·ρ·sin(Δ/2) (closed form).
 */
export function developedStations(body: RunBody, centre: readonly [number, number]): number[] {
  const points = body.rings.map((r) => onRing(r, centre[0], centre[1]));
  const out = [0];
  points.slice(1).forEach((p, i) => {
    const d = sub(p, points[i]!);
    const rise = dot(d, body.axis);
    const flat = addScaled(d, body.axis, -rise);
    const half = (body.rings[i + 1]!.turn - body.rings[i]!.turn) / 2;
    const bow = Math.abs(half) < 1e-9 ? 1 : half / Math.sin(half);
    out.push(out[i]! + Math.hypot(Math.hypot(...flat) * bow, rise));
  });
  return out;
}

/** Distance of a point from a ring's plane, along the run. */
function beyond(body: RunBody, i: number, p: Vec3): number {
  const r = body.rings[i]!;
  const n: Vec3 = [
    r.v[1] * r.w[2] - r.v[2] * r.w[1],
    r.v[2] * r.w[0] - r.v[0] * r.w[2],
    r.v[0] * r.w[1] - r.v[1] * r.w[0],
  ];
  return dot(sub(p, r.at), n) / Math.hypot(...n);
}

/** The stretch of a run, by its first ring, that a point lies beside, and how far along it, 0 to 1. */
export function stretchAt(body: RunBody, p: Vec3): readonly [number, number] {
  let [lo, hi] = [0, body.rings.length - 1];
  while (hi - lo > 1) {
    const mid = (lo + hi) >> 1;
    if (beyond(body, mid, p) >= -1e-9) lo = mid;
    else hi = mid;
  }
  const [a, b] = [beyond(body, lo, p), beyond(body, lo + 1, p)];
  return [lo, Math.abs(a - b) < 1e-12 ? 0 : a / (a - b)];
}

/** The direction in which a stretch of a run goes at its ring i, climb and all: a unit vector. */
function heading(body: RunBody, i: number, ring: Ring): Vec3 {
  const { rings, axis } = body;
  const d = sub(rings[i + 1]!.at, rings[i]!.at);
  const rise = dot(d, axis);
  const flat = Math.hypot(...addScaled(d, axis, -rise));
  const out = cross(ring.v, ring.w);
  const level = normalize(addScaled(out, axis, -dot(out, axis)));
  return normalize(addScaled(level, axis, rise / flat));
}

/**
 * A point of a bent strip on its flat blank: u along the component's developed centre line from the first ring, v and w
 * from its centre. Where a run climbs between plumb rings the strip leans against them: its ends come out mitred by the
 * grade. `stations` are its `developedStations`.
 */
export function developed(
  body: RunBody,
  centre: readonly [number, number],
  stations: readonly number[],
  p: Vec3,
): Vec3 {
  const [i, f] = stretchAt(body, p);
  const [r, q] = [body.rings[i]!, body.rings[i + 1]!];
  const mix = (a: Vec3, b: Vec3): Vec3 => [0, 1, 2].map((k) => a[k]! + (b[k]! - a[k]!) * f) as unknown as Vec3;
  const [at, v, w] = [mix(r.at, q.at), mix(r.v, q.v), mix(r.w, q.w)];
  // v and w may lie askew in the ring's plane: solve for both
  const d = sub(p, at);
  const [vv, vw, ww, dv, dw] = [dot(v, v), dot(v, w), dot(w, w), dot(d, v), dot(d, w)];
  const det = vv * ww - vw * vw;
  const [x, y] = [(dv * ww - dw * vw) / det - centre[0], (dw * vv - dv * vw) / det - centre[1]];
  const lean = dot(addScaled(scale(v, x), w, y), mix(heading(body, i, r), heading(body, i, q)));
  return [stations[i]! + (stations[i + 1]! - stations[i]!) * f + lean, x, y];
}
