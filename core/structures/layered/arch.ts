import { clipPolygon, type Vec2 } from "../../geometry";
import type { PanelBody } from "../../frame";

/** The arched head of an opening as it is seen: an arc over both sides. x from the opening's middle; model mm. */
export interface Arch {
  /** Half of the opening's width. */
  readonly half: number;
  /** From where the arc springs to its crown: half of the width at a half round. */
  readonly rise: number;
  /** Height of the crown. */
  readonly crown: number;
}
/** The most that a side of a polygon may lie off its arc, model mm: no more than a knife or cutter keeps. */
const OFF = 0.02;
/** Points of a cut that are nearer than this are one, model mm. */
const ONE = 1e-4;

/** Radius of an arc over a chord, by its half and its rise: r = (half² + rise²) / (2 rise), 10 and 4 give 14.5. */
export const archRadius = ({ half, rise }: Arch): number => (half * half + rise * rise) / (2 * rise);
/** Half the angle that the arc takes, radians: a quarter turn at a half round. */
const archAngle = (a: Arch): number => Math.asin(Math.min(1, a.half / archRadius(a)));
/** Into how many sides an arc of so much is divided: an even number, so that the crown is a corner. */
const sidesOf = (radius: number, angle: number): number => Math.max(2, 2 * Math.ceil(angle / (2 * Math.acos(1 - Math.min(1, OFF / radius))) / 2)); // prettier-ignore
/** Height at which the arc, `grow` further out on every side, meets its sides. */
export function springing(a: Arch, grow = 0): number {
  const [r, h] = [archRadius(a) + grow, a.half + grow];
  return a.crown - archRadius(a) + Math.sqrt(Math.max(0, r * r - h * h));
}

/**
 * What of an outline lies within an arched opening, `grow` further out on every side (below 0 further in), so that all
 * parts of a window run parallel round its head: their arcs have one middle. An outline that lies within as it is stays.
 */
export function underArch(outline: readonly Vec2[], a: Arch, grow: number): readonly Vec2[] {
  const r0 = archRadius(a);
  const [r, h, y] = [r0 + grow, a.half + grow, a.crown - r0];
  if (r <= 0 || h <= 0) return [];
  const t = Math.asin(Math.min(1, h / r));
  const n = sidesOf(r0, 2 * archAngle(a));
  const low = Math.min(springing(a, grow), ...outline.map((p) => p[1])) - 1;
  const arc = Array.from({ length: n + 1 }, (_, i): Vec2 => {
    const at = t - (2 * t * i) / n;
    return [r * Math.sin(at), y + r * Math.cos(at)];
  });
  const region: readonly Vec2[] = [[-h, low], [h, low], ...arc]; // prettier-ignore
  const cut = clipPolygon(outline, region);
  const far = (p: Vec2, q: Vec2): boolean => Math.hypot(p[0] - q[0], p[1] - q[1]) > ONE;
  const out = cut.filter((p, i) => far(p, cut[(i + 1) % cut.length]!));
  const same = out.length === outline.length && out.every((p) => outline.some((q) => !far(p, q)));
  return same ? outline : out;
}
type Hole = PanelBody["holes"][number];
/** An opening in a panel under an arch. */
export function holeUnder(hole: Hole, a: Arch | undefined, grow: number): Hole {
  if (!a) return hole;
  const outline = underArch(hole.outline, a, grow);
  return outline === hole.outline ? hole : { ...hole, outline, bevel: outline.map(() => 0) };
}

/** A stone of an arch: an outline with a straight underside, and what the arc takes off that. */
export interface Voussoir {
  readonly outline: readonly Vec2[];
  readonly hollow: readonly Vec2[];
}
/**
 * The stones of an arch: a ring of a depth over the opening in so many equal parts, their joints towards the arc's middle,
 * the first at the right; one is the whole ring.
 */
export function voussoirs(a: Arch, depth: number, count: number): readonly Voussoir[] {
  const [r, t] = [archRadius(a), archAngle(a)];
  const y = a.crown - r;
  const each = sidesOf(r + depth, (2 * t) / count);
  const at = (radius: number, k: number): Vec2 => {
    const angle = t - (2 * t * k) / (count * each);
    return [radius * Math.sin(angle), y + radius * Math.cos(angle)];
  };
  return Array.from({ length: count }, (_, i) => {
    const steps = Array.from({ length: each + 1 }, (_, k) => i * each + k);
    const under = steps.map((k) => at(r, k));
    const [right, left] = [under[0]!, under.at(-1)!];
    // out along the right joint, over, and back along the left one; the ends of half a ring are one line with its foot
    const joints = Math.abs(right[1] - at(r + depth, steps[0]!)[1]) < ONE && Math.abs(left[1] - right[1]) < ONE ? [] : [left, right]; // prettier-ignore
    const over = steps.map((k) => at(r + depth, k));
    const [mx, my] = at(1, i * each + each / 2);
    const below = ([px, py]: Vec2): Vec2 => [px - mx, py - (my - y)];
    return { outline: [...joints, ...over], hollow: [...under, below(left), below(right)] };
  });
}
/** How far such a ring reaches past the sides of the opening at its ends. */
export const ringPast = (a: Arch, depth: number): number => depth * Math.sin(archAngle(a));
