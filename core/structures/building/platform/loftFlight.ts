import { flight, type Flight } from "../../../carpentry";
import { nominalMm } from "../../../lumber";
import type { BuildingLayout } from "../plan/layout";

/** The flight that stands in a loft's opening, prototype mm. */
export const loftFlight = (v: BuildingLayout["v"]): Flight => flight(v.loftHeight, v.loftTread, v.loftRiser);
/** What is left over the treads where they pass under the near edge of the loft's opening, prototype mm. Nominal sizes. */
export function loftHeadroom(v: BuildingLayout["v"]): number {
  const f = loftFlight(v);
  // the treads that lie before the edge
  const inside = Math.min(f.treads, Math.floor(v.loftStairLength / f.tread));
  const under = v.loftHeight - nominalMm(v.joist).width - nominalMm(v.plank).thickness;
  const level = (f.treads - inside) * f.riser;
  return under - level;
}
