import { axesOf, fromLocal, sectionBox, type Member } from "../../frame";
import { distance, type Vec3 } from "../../geometry";
import type { Builder } from "../builder";
import { rootOf, type BuildingLayout, type Part, type Wall } from "./layout";
import { alongWall } from "./slopes";

/** A stick of the frame as the cladding meets it: a box in the wall's own measures. */
export interface Behind {
  readonly id: string;
  /** Its box says more than it fills, or it looks another way: a rafter, a rim. */
  readonly slants?: boolean;
  readonly s: readonly [number, number];
  readonly z: readonly [number, number];
}
/** The frame's sticks that lie in a wall's outer face: its own, the end rafters over it, rims and sill beams under it. */
export function behindOf(b: Builder, l: BuildingLayout, part: Part, w: Wall): Behind[] {
  const own = `${rootOf(l, w.name)}/`;
  const main = `${rootOf(l, part.name)}/`;
  // in an end wall's corners stand the long walls
  const beside = w.through ? [] : part.walls.filter((x) => x.through).map((x) => `${rootOf(l, x.name)}/`);
  return b.members.flatMap((m): Behind[] => {
    const others =
      (m.id.startsWith(main) && /rafter|jack|rim|end joist|sill beam|plank/.test(m.role)) ||
      (/^(stud|post|corner post|sill|sole plate|top plate)$/.test(m.role) && beside.some((x) => m.id.startsWith(x)));
    if (!(m.id.startsWith(own) || others) || /casing|board|corner block|coping|water table/.test(m.role)) return [];
    if (m.body.shape !== "straight" && m.body.shape !== "panel") return [];
    const box = wallBox(w, m.body);
    // flush with the outside of the framing
    if (Math.abs(box.inward[0]) > 1e-4) return [];
    // these are not as their box is, or look another way: to touch is enough
    const notched = l.v.wallBrace === "letin" && /stud|post|cripple|blocking|girt/.test(m.role);
    const slants = notched || others || part.onRoof !== undefined || /gable|brace/.test(m.role);
    return [{ id: m.id, s: box.s, z: box.z, ...(slants ? { slants } : {}) }];
  });
}
/** The box of a stick before it is cut, or of a panel, in a wall's measures. */
function wallBox(
  w: Wall,
  body: Extract<Member["body"], { shape: "straight" | "panel" }>,
): Record<"s" | "inward" | "z", readonly [number, number]> {
  const x = axesOf(body);
  const { size, centre } = sectionBox(body);
  const us = body.shape === "panel" ? body.outline.map((p) => p[0]) : [0, distance(body.a, body.b)];
  const points = [Math.min(...us), Math.max(...us)].flatMap((u) =>
    [-1, 1].flatMap((v) =>
      [-1, 1].map((k) => fromLocal(x, [u, centre[0] + (v * size[0]) / 2, centre[1] + (k * size[1]) / 2])),
    ),
  );
  const range = (f: (p: Vec3) => number): readonly [number, number] => {
    const all = points.map(f);
    return [Math.min(...all), Math.max(...all)];
  };
  return {
    s: range((p) => alongWall(w, p)),
    inward: range((p) => (w.origin[0] - p[0]) * w.n[0] + (w.origin[1] - p[1]) * w.n[1]),
    z: range((p) => p[2]),
  };
}
