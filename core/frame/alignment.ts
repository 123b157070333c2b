import { addScaled, cross, dot, normalize, scale, TOLERANCE, type Vec3 } from "../geometry";
import type { Ring } from "./member";

/** The longest chord, model mm, that stays within the chord tolerance of an arc of that radius (mm): √(8·R·s). */
export const longestChord = (radius: number): number => Math.sqrt(8 * radius * TOLERANCE.chordSagitta);

/**
 * Break points of an arc, radians from `from` to `to` (to > from): every angle in `at` (bents, joints) and as many
 * more as keep all chords within `longestChord` at the radius given, which should be the outermost in use.
 */
export function arcBreaks(from: number, to: number, radius: number, at: readonly number[] = []): number[] {
  const fixed = [from, ...at.filter((t) => t > from + 1e-12 && t < to - 1e-12).sort((p, q) => p - q), to];
  const step = 2 * Math.asin(Math.min(1, longestChord(radius) / (2 * radius)));
  const out = [from];
  fixed.slice(1).forEach((t, i) => {
    const start = fixed[i]!;
    const n = Math.max(1, Math.ceil((t - start) / step - 1e-9));
    for (let k = 1; k <= n; k++) out.push(start + ((t - start) * k) / n);
  });
  return out;
}

/** Rings of a circular run: at each angle (radians, counter-clockwise about `normal` from `zero`), v pointing away from the centre. Lengths mm. */
export function arcRings(centre: Vec3, normal: Vec3, zero: Vec3, radius: number, breaks: readonly number[]): Ring[] {
  const n = normalize(normal);
  const x = normalize(addScaled(zero, n, -dot(zero, n)));
  const y = cross(n, x);
  return breaks.map((turn) => {
    const v = addScaled(scale(x, Math.cos(turn)), y, Math.sin(turn));
    return { at: addScaled(centre, v, radius), v, w: scale(n, -1), turn };
  });
}
