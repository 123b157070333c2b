import { describe, expect, it } from "vitest";
import "../structures/all";
import type { Vec2 } from "../geometry";
import { boundsOf } from "../geometry";
import { designOf, type JobDoc } from "../job";
import { standing } from "../site";
import { at, job } from "./randomSpots.fixture";
import { cameraOfSpot, onPhoto, PAPERS, photoTriangles } from ".";

const SIZE: Vec2 = [1200, 800];
/** A spot of 300 × 200 seen from the front and above; its far edge is shorter on the picture. */
const photo = { drawing: "p", corners: [[300, 650], [900, 650], [780, 420], [420, 420]] as [number, number][], length: 300, depth: 200, colours: PAPERS }; // prettier-ignore
const doc = (place = at(0, 0), values?: Record<string, unknown>): JobDoc => job([300, 200], place, { photo }, values);

describe("a structure on the photograph of its place", () => {
  it("covers the pixels between its corners as the camera sees them, and none outside", () => {
    const d = designOf(doc(at(0, 0), { length: 24 * 304.8, width: 16 * 304.8, roof: "none", floor: "none", siding: "vertical", openings: [], casings: false, foundation: "none" })); // prettier-ignore
    const r = onPhoto(d, SIZE, 1200);
    const [s] = standing(d);
    const { min, max } = boundsOf(s!.sticks.flatMap((k) => k.parts));
    const camera = cameraOfSpot(photo, SIZE);
    const box = [0, 1, 2, 3, 4, 5, 6, 7].map((i) => camera.project([i & 1 ? max[0] : min[0], i & 2 ? max[1] : min[1], i & 4 ? max[2] : min[2]]).at); // prettier-ignore
    const [x0, x1] = [Math.min(...box.map((p) => p[0])), Math.max(...box.map((p) => p[0]))];
    const [y0, y1] = [Math.min(...box.map((p) => p[1])), Math.max(...box.map((p) => p[1]))];
    let drawn = 0;
    for (let y = 0; y < r.height; y++)
      for (let x = 0; x < r.width; x++)
        if (r.rgba[4 * (y * r.width + x) + 3]) {
          drawn++;
          expect(x > x0 - 1 && x < x1 + 1 && y > y0 - 1 && y < y1 + 1).toBe(true);
        }
    // its front wall alone is as large as its four corners say, and boards leave no holes
    const front = [[min[0], min[2]], [max[0], min[2]], [max[0], max[2]], [min[0], max[2]]].map(([x, z]) => camera.project([x!, min[1], z!]).at); // prettier-ignore
    const area = Math.abs(front.reduce((n, p, i) => { const q = front[(i + 1) % 4]!; return n + (p[0] * q[1] - q[0] * p[1]) / 2; }, 0)); // prettier-ignore
    expect(drawn).toBeGreaterThan(area);
    expect(drawn).toBeLessThan((x1 - x0) * (y1 - y0));
  });
  it("stands further back where it is moved back, smaller and higher on the picture", () => {
    const rows = (y: number) => { const r = onPhoto(designOf(doc(at(0, y))), SIZE, 1200); let [low, n] = [0, 0]; for (let i = 3; i < r.rgba.length; i += 4) if (r.rgba[i]) { n++; low = Math.max(low, Math.floor((i - 3) / 4 / r.width)); } return { low, n }; }; // prettier-ignore
    const [front, back] = [rows(-60), rows(60)];
    expect(back.n).toBeLessThan(front.n);
    expect(back.low).toBeLessThan(front.low);
  });
  it("is drawn in its papers, lit from one side, with what looks away left out", () => {
    const d = designOf(doc());
    const camera = cameraOfSpot(photo, SIZE);
    const all = photoTriangles(d, camera, PAPERS, 1);
    const faces = d.structures[0]!.resolved.sticks.reduce((n, k) => n + k.parts.reduce((m, p) => m + p.faces.reduce((t, f) => t + f.corners.length - 2, 0), 0), 0); // prettier-ignore
    expect(all.length).toBeLessThan(faces * 0.75);
    expect(new Set(all.map((t) => t.rgb.map(Math.round).join())).size).toBeGreaterThan(2);
    const blue = photoTriangles(d, camera, { ...PAPERS, rest: "#0000ff" }, 1);
    expect(blue.every((t) => t.rgb[0] === 0 && t.rgb[1] === 0 && t.rgb[2] > 100)).toBe(true);
  });
  it("is refused where there is no photograph", () => {
    expect(() => onPhoto(designOf(job([300, 200], at(0, 0))), SIZE, 1200)).toThrow(/no photograph yet/);
  });
});
