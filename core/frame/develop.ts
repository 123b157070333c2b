import { addScaled, cross, dot, normalize, sub, type Vec3 } from "../geometry";
import type { ArcBody } from "./member";
import { arcAxes } from "./axes";

/**
 * A point of a bent strip on its flat blank: u is the arc length along the component's own centre line from the first
 * break, v and w from its centre. The length is the arc's, not the chords': L = R·θ.
 */
export function arcDeveloped(body: ArcBody, centre: readonly [number, number], p: Vec3): Vec3 {
  const n = normalize(body.normal);
  const x = normalize(addScaled(body.zero, n, -dot(body.zero, n)));
  const y = cross(n, x);
  const r = sub(p, body.centre);
  const mid = (body.breaks[0]! + body.breaks[body.breaks.length - 1]!) / 2;
  const raw = Math.atan2(dot(r, y), dot(r, x));
  const angle = raw + 2 * Math.PI * Math.round((mid - raw) / (2 * Math.PI));
  const own = body.radius + centre[0];
  const radial = Math.hypot(dot(r, x), dot(r, y));
  const w = arcAxes(body, angle).w;
  return [own * (angle - body.breaks[0]!), radial - own, dot(sub(p, arcAxes(body, angle).origin), w) - centre[1]];
}
