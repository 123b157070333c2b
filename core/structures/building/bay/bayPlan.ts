import { type Vec2, type Vec3 } from "../../../geometry";
import { gapsOf, slopeOf } from "../plan/parts";
import { onWall } from "../plan/sides";
import { type BuildingLayout, type Slope, type Wall } from "../plan/layout";
import type { SideName } from "../parameters";

/** A bay window: three walls before a wall of the main part, the outer two slanting, under a roof of three slopes. Model mm. */
export interface Bay {
  readonly name: string;
  readonly main: Wall;
  /** Left outer corner on the main wall, from its left corner. */
  readonly at: number;
  readonly length: number;
  readonly depth: number;
  /** From the main wall to a slanting one. */
  readonly angle: number;
  /** Left, front and right, seen from outside. */
  readonly walls: readonly [Wall, Wall, Wall];
  readonly slope: Slope;
  readonly out: number;
  readonly top: number;
  /** Where the hips meet the main wall, in from both corners. */
  readonly hipAt: number;
}
const AROUND: readonly SideName[] = ["front", "right", "back", "left"];
/** How the three walls of a bay are called: as walls of a wing that look about the same way. */
export function bayNames(side: SideName): readonly [SideName, SideName, SideName] {
  const i = AROUND.indexOf(side);
  return [AROUND[(i + 3) % 4]!, side, AROUND[(i + 1) % 4]!];
}
export const plies = (l: BuildingLayout): number => (l.v.framing === "posts" ? 1 : l.v.topPlates);

/** The bays of a building. */
export function baysOf(l: BuildingLayout): Bay[] {
  const { v, mm } = l;
  return v.wings.flatMap((w, i): Bay[] => {
    const main = l.main.walls.find((x) => x.name === w.side);
    if (w.kind !== "bay" || !main) return [];
    const [at, length, depth, top] = [mm(w.at), mm(w.length), mm(w.depth), mm(w.height)];
    const angle = (v.baySlant * Math.PI) / 180;
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
    const name = `wing${i + 1}`;
    const half = Math.tan(angle / 2);
    const turn = (k: number): Vec3 => [main.e[0] * cos + main.n[0] * sin * k, main.e[1] * cos + main.n[1] * sin * k, 0];
    const long = depth / sin;
    const names = bayNames(w.side as SideName);
    const wall = (k: 0 | 1 | 2, origin: Vec3, e: Vec3, size: number): Wall => {
      // a square end stands clear of the mitre, and of the main wall
      const mitre = l.wall * half + 0.02;
      const main = l.wall / Math.tan(angle) + 0.02;
      return {
        name: `${name}-${names[k]}`,
        side: "E",
        through: false,
        origin,
        e,
        n: [e[1], -e[0], 0],
        length: size,
        from: k === 0 ? main : mitre,
        to: size - (k === 2 ? main : mitre),
        runs: [0, size],
        thick: l.wall,
        top,
        foot: 0,
        gaps: gapsOf(l, i + 1, names[k]).map((g) => ({ ...g, door: false })),
        seen: true,
      };
    };
    const shift = (p: Vec3, d: Vec3, by: number): Vec3 => [p[0] + d[0] * by, p[1] + d[1] * by, 0];
    const wide = length - (2 * depth) / Math.tan(angle);
    const a = onWall(main, at, 0, 0);
    const c = shift(a, turn(1), long);
    const d = shift(c, main.e, wide);
    return [
      {
        name,
        main,
        at,
        length,
        depth,
        angle,
        walls: [wall(0, a, turn(1), long), wall(1, c, main.e, wide), wall(2, d, turn(-1), long)],
        slope: slopeOf(l, "S", v.rise, top),
        out: mm(v.bayOverhang),
        top,
        hipAt: depth / Math.tan(angle) + depth * half,
      },
    ];
  });
}
/** Height of a bay's slopes in from the outside of their walls. */
export const zOf = (b: Bay, inward: number): number => b.top + b.slope.above + b.slope.k * inward;
/** How high a bay's roof reaches on the main wall. */
export const bayPeak = (b: Bay): number => zOf(b, b.depth);

/** The true shapes of a bay's three slopes in their own planes: along their walls, and up from the eave. */
export function bayShapes(bay: Bay): Vec2[][] {
  const { depth, angle, hipAt, out } = bay;
  const half = Math.tan(angle / 2);
  const long = bay.walls[0].length;
  const wide = bay.walls[1].length;
  const side: Vec2[] = [
    [-out / Math.tan(angle), -out],
    [long + out * half, -out],
    [hipAt * Math.cos(angle), hipAt * Math.sin(angle)],
  ];
  const level: Vec2[][] = [
    side,
    [
      [-out * half, -out],
      [wide + out * half, -out],
      [wide - depth * half, depth],
      [depth * half, depth],
    ],
    side.map(([s, i]): Vec2 => [long - s, i]).reverse(),
  ];
  const stretch = Math.hypot(1, bay.slope.k);
  return level.map((shape) => shape.map(([s, inward]): Vec2 => [s, (inward + out) * stretch]));
}
