import { distance, dot } from "../geometry";
import type { Resolved } from "./resolve";
import { onRing } from "./ring";

/** How a stick is bent: the tightest radius, inside of the bend, how far round it goes in all, degrees, and how thick it is across the bend; model mm. */
export interface Bend {
  readonly radius: number;
  readonly angle: number;
  readonly thick: number;
}
/** A turn less than this from ring to ring is straight, radians. */
const STRAIGHT = 1e-4;

/** How a bent strip is bent; undefined for one that is straight all along. */
export function bendOf(k: Resolved): Bend | undefined {
  const { body } = k.member;
  if (body.shape !== "run") return undefined;
  const middles = body.rings.map((r) => onRing(r, k.centre[0], k.centre[1]));
  let [radius, angle] = [Infinity, 0];
  body.rings.forEach((r, i) => {
    const before = body.rings[i - 1];
    const turn = before ? Math.abs(r.turn - before.turn) : 0;
    if (turn < STRAIGHT) return;
    angle += turn;
    // the chord between two rings of an arc
    radius = Math.min(radius, distance(middles[i - 1]!, middles[i]!) / (2 * Math.sin(turn / 2)));
  });
  if (!Number.isFinite(radius)) return undefined;
  const upright = Math.abs(dot(body.rings[0]!.w, body.axis)) > 0.7;
  const thick = k.size[upright ? 0 : 1]!;
  return { radius: radius - thick / 2, angle: (angle * 180) / Math.PI, thick };
}
