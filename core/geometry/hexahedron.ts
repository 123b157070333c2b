import type { Plane } from "./plane";
import type { Solid, SolidFace, TaggedPlane } from "./solid";
import type { Vec3 } from "./vec";

/** The four corners of each side, counter-clockwise seen from outside: -w, +v, +w, -v, the near end and the far end. */
const SIDES = [
  [0, 1, 5, 4],
  [1, 2, 6, 5],
  [2, 3, 7, 6],
  [3, 0, 4, 7],
  [3, 2, 1, 0],
  [4, 5, 6, 7],
] as const;
/** The edges along u, v and w, from the low to the high end, and the sides that lie there. */
const EDGES = [
  { low: [0, 1, 2, 3], high: [4, 5, 6, 7], sides: [4, 5] },
  { low: [0, 3, 4, 7], high: [1, 2, 5, 6], sides: [3, 1] },
  { low: [0, 1, 4, 5], high: [3, 2, 7, 6], sides: [0, 2] },
] as const;
/** Eight corners to copy: an array that held whole numbers first would be made anew for the fractions. */
const BLANK: readonly number[] = Array.from({ length: 24 }, () => 0.5);
/** Room for the corners of a hexahedron, all to be filled in. */
export const eightCorners = (): number[] => BLANK.slice();

/**
 * A convex solid of six flat sides by its eight corners: near end 0 to 3 and far end 4 to 7, each counter-clockwise seen
 * against u, the corner of least v and w first. Most sticks are one. Its sides are made when they are asked for, which a
 * drawing never does.
 */
export class Hexahedron implements Solid {
  private points: readonly Vec3[] | undefined;
  private made: readonly SolidFace[] | undefined;
  /** `planes` gives its sides in the order -w, +v, +w, -v, near end, far end. */
  constructor(
    readonly flat: readonly number[],
    private readonly planes: () => readonly TaggedPlane[],
  ) {}
  get corners(): readonly Vec3[] {
    const f = this.flat;
    return (this.points ??= Array.from({ length: 8 }, (_, i): Vec3 => [f[3 * i]!, f[3 * i + 1]!, f[3 * i + 2]!]));
  }
  get faces(): readonly SolidFace[] {
    return (this.made ??= this.planes().map(({ n, d, tag }, i): SolidFace => ({
      corners: SIDES[i]!.map((k) => this.corners[k]!),
      plane: { n, d },
      tag,
    })));
  }

  /** How far the corners stand out of a plane, mm: least and most. */
  reach(p: Plane): readonly [number, number] {
    const { flat } = this;
    let [least, most] = [Infinity, -Infinity];
    for (let i = 0; i < 24; i += 3) {
      const h = p.n[0] * flat[i]! + p.n[1] * flat[i + 1]! + p.n[2] * flat[i + 2]! - p.d;
      if (h < least) least = h;
      if (h > most) most = h;
    }
    return [least, most];
  }

  /** What is left inside a plane that crosses four edges side by side; undefined where it takes another way through. */
  cut(p: TaggedPlane, eps: number): Hexahedron | undefined {
    const { flat } = this;
    const h = eightHeights;
    for (let i = 0; i < 8; i++)
      h[i] = p.n[0] * flat[3 * i]! + p.n[1] * flat[3 * i + 1]! + p.n[2] * flat[3 * i + 2]! - p.d;
    for (const { low, high, sides } of EDGES) {
      const kept = low.every((k) => h[k]! < -eps) && high.every((k) => h[k]! > eps) ? low : undefined;
      const keeps = kept ?? (high.every((k) => h[k]! < -eps) && low.every((k) => h[k]! > eps) ? high : undefined);
      if (!keeps) continue;
      const out = flat.slice();
      const lost = keeps === low ? high : low;
      for (let i = 0; i < 4; i++) {
        const [a, b] = [keeps[i]!, lost[i]!];
        const t = h[a]! / (h[a]! - h[b]!);
        for (let k = 0; k < 3; k++) out[3 * b + k] = flat[3 * a + k]! + (flat[3 * b + k]! - flat[3 * a + k]!) * t;
      }
      const replaced = sides[keeps === low ? 1 : 0];
      return new Hexahedron(out, () => this.planes().map((q, i) => (i === replaced ? p : q)));
    }
    return undefined;
  }
}
const eightHeights = new Float64Array(8);
