import { axesOf, fromLocal, sectionBox, type Member } from "../../../frame";
import { distance, dot, type Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import { rootOf, type BuildingLayout, type Part, type Wall } from "../plan/layout";
import { alongWall } from "../roof/slopes";

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
      (beside.some((x) => m.id.startsWith(x)) && /^(stud|post|corner post|sill|sole plate|top plate)$/.test(m.role));
    if (!(others || m.id.startsWith(own)) || /casing|board|corner block|coping|water table/.test(m.role)) return [];
    if (m.body.shape !== "straight" && m.body.shape !== "panel") return [];
    const box = wallBox(w, m.body);
    // flush with the outside of the framing
    if (Math.abs(box.inward[0]) > 1e-4) return [];
    // these are not as their box is, or look another way: to touch is enough
    const notched = l.v.wallBrace === "letin" && /stud|post|cripple|blocking|girt/.test(m.role);
    // behind a bay the boards leave off somewhere over its opening
    const atBay = w.gaps.some((g) => g.open && m.id.startsWith(`${own}${g.name}/`));
    const slants = notched || others || atBay || part.onRoof !== undefined || /gable|brace/.test(m.role);
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
  const [low, high] = [Math.min(...us), Math.max(...us)];
  const middle = fromLocal(x, [(low + high) / 2, centre[0], centre[1]]);
  const half = [(high - low) / 2, size[0] / 2, size[1] / 2] as const;
  // half of a box along a direction: what its three half edges reach in it
  const range = (at: number, d: Vec3): readonly [number, number] => {
    const reach = half[0] * Math.abs(dot(x.u, d)) + half[1] * Math.abs(dot(x.v, d)) + half[2] * Math.abs(dot(x.w, d));
    return [at - reach, at + reach];
  };
  const inward: Vec3 = [-w.n[0], -w.n[1], 0];
  return {
    s: range(alongWall(w, middle), [w.e[0], w.e[1], 0]),
    inward: range((w.origin[0] - middle[0]) * w.n[0] + (w.origin[1] - middle[1]) * w.n[1], inward),
    z: range(middle[2], [0, 0, 1]),
  };
}
