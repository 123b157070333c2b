import { contoursOf, type Vec3 } from "../geometry";
import { isTube } from "../lumber/tubes";
import { fromLocal, toLocal } from "./axes";
import type { Resolved } from "./resolve";
import { textureLines } from "./textureLines";

/**
 * The edges of a finished stick as one sees them, from corner to corner in space: without the seams between the convex
 * parts that it is reckoned in where those are known, and with the lines of a sheet's face.
 */
export function shownEdges(s: Resolved): (readonly [Vec3, Vec3])[] {
  const lines = textureLines(s);
  if (s.member.body.shape === "panel" && s.parts.length > 1) {
    const own = panelEdges(s, s.member.body.thickness);
    if (own) return [...own, ...lines];
  }
  // a tube is round: its flats have no edges
  const tube = isTube(s.stock);
  const around = s.parts.flatMap((p) =>
    p.faces
      .filter((f) => f.tag !== "seam" && !(tube && f.tag === "round"))
      .flatMap((f) => f.corners.map((c, i) => [c, f.corners[(i + 1) % f.corners.length]!] as const)),
  );
  return [...around, ...lines];
}
/** The contours of a sheet's face in its own axes, outer ones counter-clockwise seen against w, holes clockwise; undefined where its parts do not fit together. */
export function faceContours(s: Resolved, tag: "-w" | "+w", thickness: number): Vec3[][] | undefined {
  const faces = s.parts.flatMap((p) => p.faces.filter((f) => f.tag === tag));
  const flat = faces.map((f) => f.corners.flatMap((c) => toLocal(s.axes, c).slice(0, 2)));
  // seen from its own outside the lower face runs the other way
  const turned = tag === "+w" ? flat : flat.map((f) => f.map((_, i) => f[f.length - 2 - i + 2 * (i % 2)]!));
  const w = tag === "+w" ? thickness : 0;
  return contoursOf(turned)?.map((c) => Array.from({ length: c.length / 2 }, (_, i): Vec3 => [c[2 * i]!, c[2 * i + 1]!, w])); // prettier-ignore
}
/** Both faces' contours, and what joins their corners. */
function panelEdges(s: Resolved, thickness: number): (readonly [Vec3, Vec3])[] | undefined {
  const loops = (tag: "-w" | "+w") => faceContours(s, tag, thickness)?.map((r) => r.map((p) => fromLocal(s.axes, p)));
  const [lower, upper] = [loops("-w"), loops("+w")];
  if (!lower || !upper) return undefined;
  const around = [...lower, ...upper].flatMap((l) => l.map((p, i) => [p, l[(i + 1) % l.length]!] as const));
  const tops = upper.flat();
  const between = lower.flat().flatMap((p): (readonly [Vec3, Vec3])[] => {
    const far = (q: Vec3): number => Math.hypot(q[0] - p[0], q[1] - p[1], q[2] - p[2]);
    const near = tops.reduce<Vec3 | undefined>((best, q) => (!best || far(q) < far(best) ? q : best), undefined);
    return near && far(near) < 3 * thickness ? [[p, near]] : [];
  });
  return [...around, ...between];
}
