import { describe, expect, it } from "vitest";
import { raster, type Triangle } from "./raster";

const tri = (points: Triangle["points"], rgb: Triangle["rgb"] = [255, 0, 0]): Triangle => ({ points, rgb });
const count = (p: Uint8ClampedArray, rgb: readonly number[]): number => { let n = 0; for (let i = 0; i < p.length; i += 4) if (p[i + 3] === 255 && rgb.every((c, k) => p[i + k] === c)) n++; return n; }; // prettier-ignore

describe("triangles drawn pixel by pixel", () => {
  it("cover as many pixels as their area, whichever way they are turned, and nothing outside", () => {
    const half = raster([tri([[0, 0, 5], [40, 0, 5], [0, 40, 5]])], 50, 50); // prettier-ignore
    expect(Math.abs(count(half, [255, 0, 0]) - 800)).toBeLessThanOrEqual(21);
    const turned = raster([tri([[0, 40, 5], [40, 0, 5], [0, 0, 5]])], 50, 50); // prettier-ignore
    // a pixel whose middle lies on an edge may go either way
    expect(Math.abs(count(turned, [255, 0, 0]) - count(half, [255, 0, 0]))).toBeLessThan(10);
    expect(count(raster([tri([[-100, -100, 5], [400, -100, 5], [-100, 400, 5]])], 20, 10), [255, 0, 0])).toBe(200); // prettier-ignore
  });
  it("hide what is farther, in any order, and cross where they cross", () => {
    const near = tri([[0, 0, 2], [30, 0, 2], [0, 30, 2]], [0, 255, 0]); // prettier-ignore
    const far = tri([[0, 0, 9], [30, 0, 9], [0, 30, 9]], [0, 0, 255]); // prettier-ignore
    for (const order of [[near, far], [far, near]]) expect(count(raster(order, 30, 30), [0, 0, 255])).toBe(0); // prettier-ignore
    const leans = tri([[0, 0, 1], [40, 0, 1e9], [0, 40, 1]], [0, 255, 0]); // prettier-ignore
    const stands = tri([[0, 0, 2], [40, 0, 2], [0, 40, 2]], [0, 0, 255]); // prettier-ignore
    const both = raster([leans, stands], 40, 40);
    // 1/far is one half where the leaning one meets the other: in the middle of the way
    expect(both[4 * 5 + 1]).toBe(255);
    expect(both[4 * 30 + 2]).toBe(255);
  });
  it("leave out what is behind the eye", () => {
    expect(count(raster([tri([[0, 0, -1], [30, 0, 2], [0, 30, 2]])], 30, 30), [255, 0, 0])).toBe(0); // prettier-ignore
  });
});
