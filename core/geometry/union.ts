import { FillRule, unionD } from "clipper2-ts";
import { polygonArea } from "./polygon";
import type { Vec2 } from "./vec";

/** Decimals that corners are taken to, mm: parts that share an edge but for rounding then share it. */
const DECIMALS = 6;

/** What polygons cover together: its outer outlines counter-clockwise, its holes clockwise, the largest first, without edges that two share. mm. */
export function unionOf(polygons: readonly (readonly Vec2[])[]): Vec2[][] {
  const paths = polygons.filter((p) => p.length >= 3).map((p) => p.map(([x, y]) => ({ x, y })));
  const rings = unionD(paths, [], FillRule.NonZero, DECIMALS).map((ring) => ring.map(({ x, y }): Vec2 => [x, y]));
  // painted in order, a hole shows
  return rings.sort((a, b) => Math.abs(polygonArea(b)) - Math.abs(polygonArea(a)));
}
