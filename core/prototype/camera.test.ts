import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cross, dot, normalize, sub, type Vec2, type Vec3 } from "../geometry";
import { cameraOf } from "./camera";
import type { Four } from "./homography";

const SIZE: Vec2 = [1600, 1200];
const PLACE: Four = [[-150, -95], [150, -95], [150, 95], [-150, 95]]; // prettier-ignore
/** A pinhole by hand, sharing nothing with what is tested: the eye, what it looks at, a focal length in pixels. */
function pinhole(eye: Vec3, target: Vec3, focal: number) {
  const ahead = normalize(sub(target, eye));
  const right = normalize(cross(ahead, [0, 0, 1]));
  const down = cross(ahead, right);
  return (p: Vec3): Vec2 => {
    const v = sub(p, eye);
    const z = dot(v, ahead);
    return [800 + (focal * dot(v, right)) / z, 600 + (focal * dot(v, down)) / z];
  };
}
const seen = (see: (p: Vec3) => Vec2): Four => PLACE.map(([x, y]) => see([x, y, 0])) as unknown as Four;

describe("the camera of a photograph", () => {
  it("is found again from a level rectangle: its place, its focal length, and where all above it is seen", () => {
    fc.assert(
      fc.property(fc.integer({ min: -500, max: 500 }), fc.integer({ min: 300, max: 900 }), fc.integer({ min: 120, max: 700 }), fc.integer({ min: 1000, max: 2600 }), (x, back, high, focal) => {
        const eye: Vec3 = [x, -back, high];
        const see = pinhole(eye, [10, 5, 20], focal);
        const camera = cameraOf(seen(see), PLACE, SIZE);
        expect(camera.sure).toBe(true);
        expect(camera.focal / focal).toBeCloseTo(1, 4);
        camera.at.forEach((v, k) => expect(v).toBeCloseTo(eye[k]!, 1));
        for (const p of [[0, 0, 60], [-150, 95, 30], [80, -40, 100]] as const) {
          const at = camera.project(p).at;
          expect(Math.hypot(at[0] - see(p)[0], at[1] - see(p)[1])).toBeLessThan(0.05);
        }
      }),
      { numRuns: 200 },
    ); // prettier-ignore
  });
  it("that looked straight down takes a usual lens, and still has the rectangle where it is", () => {
    const straight = (p: Vec3): Vec2 => [800 + (1500 * p[0]) / (600 - p[2]), 600 - (1500 * p[1]) / (600 - p[2])];
    const camera = cameraOf(seen(straight), PLACE, SIZE);
    expect(camera.sure).toBe(false);
    for (const [x, y] of PLACE) {
      const at = camera.project([x, y, 0]).at;
      expect(Math.hypot(at[0] - straight([x, y, 0])[0], at[1] - straight([x, y, 0])[1])).toBeLessThan(1e-6);
    }
  });
  it("is refused where three corners lie in a line", () => {
    expect(() => cameraOf([[0, 0], [10, 0], [20, 0], [0, 10]], PLACE, SIZE)).toThrow(/Three of the four corners lie in one line/); // prettier-ignore
  });
});
