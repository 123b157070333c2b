import { dormersOf } from "./dormer";
import type { Builder } from "../builder";
import { baysOf } from "./bay";
import { behindOf } from "./behind";
import { casings } from "./casings";
import { cladFace, type CladFace } from "./cladFace";
import { cornerBoards } from "./cornerBoards";
import { courses } from "./courses";
import type { BuildingLayout } from "./layout";
import { uprightBoards } from "./uprightBoards";

/** Boards, battens, corner boards and casings on the outside of every wall. */
export function cladding(b: Builder, l: BuildingLayout): void {
  const { v } = l;
  for (const part of [...l.parts, ...dormersOf(l).map((d) => d.part)])
    // long walls first: the end walls' corner boards cover the edges of theirs
    for (const w of [...part.walls].sort((m, n) => Number(n.through) - Number(m.through))) {
      if (v.casings) casings(b, l, w);
      if (v.siding === "none") continue;
      const f = cladFace(b, l, part, w);
      const behind = behindOf(b, l, part, w);
      if (v.cornerBoards) cornerBoards(b, l, f, behind);
      if (v.siding === "vertical" || v.siding === "batten") uprightBoards(b, l, f, behind);
      else courses(b, l, f, behind);
    }
  cladBays(b, l);
}
/** Cladding of a bay's three walls. */
function cladBays(b: Builder, l: BuildingLayout): void {
  const { v, t } = l;
  for (const bay of baysOf(l))
    for (const wall of bay.walls) {
      if (v.casings) casings(b, l, wall);
      if (v.siding === "none") continue;
      const c = v.casings ? t.casing.v : 0;
      const part = { ...l.main, name: bay.name, walls: [], slopes: {}, roof: "none" } as const;
      const f: CladFace = {
        wall,
        part,
        from: 0,
        to: wall.length,
        foot: 0,
        head:
          bay.top +
          bay.slope.above -
          bay.slope.k * l.clad * 2 -
          Math.max(t.rafter.v * Math.hypot(1, bay.slope.k), t.hip.v * Math.hypot(1, bay.slope.k)),
        slopes: [],
        holes: wall.gaps.map((g) => ({
          id: g.name,
          from: g.from - c,
          to: g.to + c,
          low: g.sill - c,
          high: g.head + c,
        })),
      };
      const behind = behindOf(b, l, part, wall);
      if (v.siding === "vertical" || v.siding === "batten") uprightBoards(b, l, f, behind);
      else courses(b, l, f, behind);
    }
}
