import { clipAll, prism, type Solid, type TaggedPlane } from "./solid";
import { addScaled, cross, dot, length, scale, sub, type Vec3 } from "./vec";

/**
 * The convex solid of a few corners (some dozens), by trying every three of them for a side. Errors: corners that
 * enclose nothing.
 */
export function convexOf(corners: readonly Vec3[]): Solid {
  const planes: TaggedPlane[] = [];
  const n = corners.length;
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      for (let k = j + 1; k < n; k++) {
        const p = corners[i]!;
        const c = cross(sub(corners[j]!, p), sub(corners[k]!, p));
        const l = length(c);
        if (l < 1e-9) continue;
        const out = scale(c, 1 / l);
        const at = dot(out, p);
        let [least, most] = [0, 0];
        for (const q of corners) {
          const h = out[0] * q[0] + out[1] * q[1] + out[2] * q[2] - at;
          if (h < least) least = h;
          else if (h > most) most = h;
          if (most > FLAT && least < -FLAT) break;
        }
        if (most > FLAT && least < -FLAT) continue;
        const side = most <= FLAT ? out : scale(out, -1);
        const d = Math.max(...corners.map((q) => dot(side, q)));
        if (planes.some((x) => dot(x.n, side) > 1 - 1e-12 && Math.abs(x.d - d) < FLAT)) continue;
        planes.push({ n: side, d, tag: "side" });
      }
  const reach = 4 + 2 * Math.max(...corners.flatMap((p) => p.map(Math.abs)));
  const from: Vec3 = [-reach, -reach, -reach];
  const [x, y, z] = [scale([1, 0, 0], 2 * reach), scale([0, 1, 0], 2 * reach), scale([0, 0, 1], 2 * reach)];
  const at = (a: number, b: number): Vec3 => addScaled(addScaled(from, y, a), z, b);
  const box = prism([at(0, 0), at(1, 0), at(1, 1), at(0, 1)], x, ["", "", "", ""]);
  const solid = planes.length >= 4 ? clipAll(box, planes) : undefined;
  if (!solid) throw new Error("The corners enclose nothing.");
  return solid;
}
/** Corners this near to a plane lie in it, mm. */
const FLAT = 1e-9;
