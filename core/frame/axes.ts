import { addScaled, cross, distance, dot, normalize, sub, type Vec3 } from "../geometry";
import { developedStations } from "./develop";
import { keptOf } from "./kept";
import type { Body, Component, Member, Seat } from "./member";
import { envelope } from "./section";

/** A member's own axes in space: origin on the work line's start, u along, v, w. Right-handed unit vectors. */
export interface Axes {
  readonly origin: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
  readonly w: Vec3;
}

/** Axes at the start of a member's work line (a bent strip's at its first ring). Errors: a work line of no length, `up` along it. */
export function axesOf(body: Body): Axes {
  return (keptOf(body).axes ??= makeAxes(body));
}
function makeAxes(body: Body): Axes {
  if (body.shape === "panel") {
    const u = normalize(body.u);
    const v = normalize(addScaled(body.v, u, -dot(body.v, u)));
    return { origin: body.origin, u, v, w: cross(u, v) };
  }
  if (body.shape === "run") {
    const first = body.rings[0]!;
    const u = normalize(cross(first.v, first.w));
    const v = normalize(first.v);
    return { origin: first.at, u, v, w: cross(u, v) };
  }
  const u = normalize(sub(body.b, body.a));
  const v = normalize(addScaled(body.up, u, -dot(body.up, u)));
  return { origin: body.a, u, v, w: cross(u, v) };
}

/** Length of the work line, model mm: along the run for a bent strip, the outline's extent along u for a panel. */
export function workLength(m: Member): number {
  const b = m.body;
  if (b.shape === "run") return developedStations(b, [0, 0]).at(-1)!;
  if (b.shape === "panel") {
    const us = b.outline.map((p) => p[0]);
    return Math.max(...us) - Math.min(...us);
  }
  return distance(b.a, b.b);
}

const seatShift = (seat: Seat, size: number): number => (seat === "centre" ? 0 : seat === "+" ? -size / 2 : size / 2);

/** Size along v and w of the whole section and its centre from the work line. A panel's v is its extent. */
export function sectionBox(body: Body): SectionBox {
  if (body.shape === "round") return { size: [body.diameter, body.diameter], centre: [0, 0] };
  if (body.shape === "panel") {
    const vs = body.outline.map((p) => p[1]);
    const [lo, hi] = [Math.min(...vs), Math.max(...vs)];
    return { size: [hi - lo, body.thickness], centre: [(lo + hi) / 2, body.thickness / 2] };
  }
  // sticks of one timber share their components, so they share their box
  let own = boxes.get(body.components);
  if (!own) boxes.set(body.components, (own = []));
  const seated = SEATS.indexOf(body.seat[0]) * 3 + SEATS.indexOf(body.seat[1]);
  const known = own[seated];
  if (known) return known;
  const { size } = envelope(body.components);
  return (own[seated] = { size, centre: [seatShift(body.seat[0], size[0]), seatShift(body.seat[1], size[1])] });
}
const SEATS: readonly Seat[] = ["-", "centre", "+"];
const boxes = new WeakMap<readonly Component[], SectionBox[]>();
interface SectionBox {
  readonly size: readonly [number, number];
  readonly centre: readonly [number, number];
}

/** Centre of one component from the work line, along v and w. */
export function componentCentre(
  body: Extract<Body, { shape: "straight" | "run" }>,
  index: number,
): readonly [number, number] {
  const e = envelope(body.components);
  const box = sectionBox(body);
  const at = body.components[index]!.at;
  return [box.centre[0] + at[0] - e.centre[0], box.centre[1] + at[1] - e.centre[1]];
}

/** A point of space in a member's axes. */
export function toLocal(axes: Axes, p: Vec3): Vec3 {
  const r = sub(p, axes.origin);
  return [dot(r, axes.u), dot(r, axes.v), dot(r, axes.w)];
}
/** A direction of space in a member's axes. */
export const turnLocal = (axes: Axes, d: Vec3): Vec3 => [dot(d, axes.u), dot(d, axes.v), dot(d, axes.w)];
/** A point given in a member's axes, in space. */
export const fromLocal = (axes: Axes, p: Vec3): Vec3 =>
  addScaled(addScaled(addScaled(axes.origin, axes.u, p[0]), axes.v, p[1]), axes.w, p[2]);
