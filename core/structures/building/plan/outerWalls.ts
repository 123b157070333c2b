import { addScaled } from "../../../geometry";
import type { OuterWall } from "../../kind";
import type { BuildingLayout } from "./layout";

/** The walls of a building that look outside, each on the face of what stands out the most of it: cladding, frieze, casings. Model mm. */
export function outerWalls(l: BuildingLayout): OuterWall[] {
  return l.parts.flatMap((part) =>
    part.walls
      .filter((w) => w.side !== part.open)
      .map((w): OuterWall => {
        const foot = addScaled(w.origin, w.n, l.proud);
        return {
          name: `${w.name.replace("-", " ")} wall`,
          from: [foot[0], foot[1], w.foot],
          along: w.e,
          out: w.n,
          length: w.length,
          height: w.top - w.foot,
          ...(part === l.main ? { inside: { side: w.name as "front", behind: l.proud + w.thick } } : {}),
          openings: w.gaps
            .filter((g) => !g.open)
            .map(({ name, door, from, to, sill, head }) => ({
              name,
              door,
              from,
              to,
              sill: sill - w.foot,
              head: head - w.foot,
            })),
        };
      }),
  );
}
