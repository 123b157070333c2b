import { cross, dot, type Vec2, type Vec3 } from "../geometry";
import { homographyOf, type Four } from "./homography";

/** Where a photograph was taken from: what takes a point of the place (mm, z up) to its pixel, and how far before the lens it is. */
export interface Camera {
  /** Where the lens is, mm. */
  readonly at: Vec3;
  /** Its focal length, pixels. */
  readonly focal: number;
  /** Whether that follows from the picture; where the rectangle is seen square from above it does not, and a usual one is taken. */
  readonly sure: boolean;
  project(p: Vec3): { readonly at: Vec2; readonly far: number };
}
/** Focal length of a telephone or a usual lens, by the longer side of its picture. From memory. */
const USUAL = 1.1;

/**
 * The camera that saw a level rectangle so: its corners on the picture, pixels, and on the place, mm at z = 0, in one order.
 * Square pixels and the lens over the middle of the picture are taken for granted, so the picture may not be a part cut out
 * of another. Zhang's two constraints on a plane's homography (A Flexible New Technique for Camera Calibration, 2000, from
 * memory), both at once by least squares. Errors: three corners in a line.
 */
export function cameraOf(corners: Four, place: Four, size: Vec2): Camera {
  const [cx, cy] = [size[0] / 2, size[1] / 2];
  for (let i = 0; i < 4; i++) {
    const [p, q, r] = [0, 1, 2].map((k) => corners[(i + k) % 4]!) as [Vec2, Vec2, Vec2];
    if (Math.abs((q[0] - p[0]) * (r[1] - p[1]) - (r[0] - p[0]) * (q[1] - p[1])) < 1e-6 * size[0] * size[1]) throw new Error("Three of the four corners lie in one line; they have to be the corners of a rectangle."); // prettier-ignore
  }
  // in sizes of the picture, so that the sums are of like size
  const unit = Math.max(...size);
  const h = homographyOf(place, corners.map(([x, y]): Vec2 => [(x - cx) / unit, (y - cy) / unit]) as unknown as Four);
  const [a, b, c] = [[h[0], h[3], h[6]], [h[1], h[4], h[7]], [h[2], h[5], h[8]]] as [Vec3, Vec3, Vec3]; // prettier-ignore
  const flat = (p: Vec3, q: Vec3): number => p[0] * q[0] + p[1] * q[1];
  const pairs = [[flat(a, b), a[2] * b[2]], [flat(a, a) - flat(b, b), a[2] ** 2 - b[2] ** 2]] as const; // prettier-ignore
  const sum = pairs.reduce((n, [p]) => n + p * p, 0);
  const inverse = sum > 0 ? -pairs.reduce((n, [p, q]) => n + p * q, 0) / sum : -1;
  const sure = inverse > 0.02 && inverse < 25;
  const f = sure ? 1 / Math.sqrt(inverse) : USUAL;
  const ray = ([x, y, z]: Vec3): Vec3 => [x / f, y / f, z];
  let [r1, r2, t] = [ray(a), ray(b), ray(c)] as [Vec3, Vec3, Vec3];
  const k = (2 / (Math.hypot(...r1) + Math.hypot(...r2))) * (t[2] < 0 ? -1 : 1);
  [r1, r2, t] = [r1, r2, t].map((v) => v.map((x) => x * k)) as unknown as [Vec3, Vec3, Vec3];
  const r3 = cross(r1, r2);
  const at: Vec3 = [-dot(r1, t), -dot(r2, t), -dot(r3, t)];
  return {
    at,
    focal: f * unit,
    sure,
    project([x, y, z]) {
      const [u, v, w] = [0, 1, 2].map((i) => r1[i]! * x + r2[i]! * y + r3[i]! * z + t[i]!) as [number, number, number];
      return { at: [cx + (f * unit * u) / w, cy + (f * unit * v) / w], far: w };
    },
  };
}
