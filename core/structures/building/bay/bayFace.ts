import { NEAR } from "../../../geometry";
import type { Bay } from "./bayPlan";
import type { CladFace } from "../cladding/cladFace";
import type { BuildingLayout, Wall } from "../plan/layout";

/** How near to square a bay's sides have to stand for its boards to be butted at the corners as a house's are. */
const SQUARE_BAY = NEAR;

/** What of a bay's wall is clad: down over the rim of its floor, up to under its rafters, its front over the edges of square sides. Model mm. */
export function bayFace(l: BuildingLayout, bay: Bay, wall: Wall): CladFace {
  const { v, t, mm } = l;
  const c = v.casings ? t.casing.v : 0;
  const { k, above } = bay.slope;
  const hung = -Math.min(mm(v.skirt), l.floorDepth);
  const over = wall === bay.walls[1] && Math.cos(bay.angle) < SQUARE_BAY ? l.clad : 0;
  return {
    wall,
    part: { ...l.main, name: bay.name, walls: bay.walls, slopes: {}, roof: "none" },
    from: -over,
    to: wall.length + over,
    foot: hung + (v.waterTable ? t.waterTable.v : 0),
    head:
      bay.top +
      above -
      k * (v.frieze ? l.proud : l.clad) * 2 -
      Math.max(t.rafter.v, t.hip.v) * Math.hypot(1, k) -
      (v.frieze ? t.frieze.v : 0),
    slopes: [],
    holes: wall.gaps.map((g) => ({ id: g.name, from: g.from - c, to: g.to + c, low: g.sill - c, high: g.head + c })),
  };
}
