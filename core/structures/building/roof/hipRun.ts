import type { BuildingLayout, Part } from "../plan/layout";

/** How far the eaves of a hip roof are, from above, from the line of its ridge or from its deck's edge. */
export const hipRunOf = (l: BuildingLayout, part: Part): number => {
  const half = (part.q[1] - part.q[0]) / 2;
  return part.roof === "hipdeck" ? half - l.mm(l.v.deckWidth) / 2 : half;
};
