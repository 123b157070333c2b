import type { Plane } from "../geometry";
import type { Axes } from "./axes";
import type { Body, Face } from "./member";

/** What follows from a body and is asked for again and again: its axes, the planes of its stock faces, and the same turned round. */
export interface Kept {
  axes?: Axes;
  faces?: Map<Face, Plane>;
  turned?: Map<Face, Plane>;
}
const KEPT = Symbol("kept");

/**
 * A place to keep what follows from a body, on the body itself: weak tables of the eight thousand bodies of a whole
 * trestle cost the collector more than the sums they save. A copy with changes does not carry it along.
 */
export function keptOf(body: Body): Kept {
  const known = (body as { [KEPT]?: Kept })[KEPT];
  if (known) return known;
  const fresh: Kept = {};
  Object.defineProperty(body, KEPT, { value: fresh });
  return fresh;
}
