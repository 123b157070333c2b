import { raster, type RasterPoint, type Triangle } from "../drawing/raster";
import { dot, normalize, sub, type Vec2, type Vec3 } from "../geometry";
import { spotOf, type Design, type PaperColoursDoc, type SpotPhotoDoc } from "../job";
import { cameraOf, type Camera } from "../prototype/camera";
import type { Four } from "../prototype/homography";
import { standing } from "../site";
import { isCladding } from "../structures";

/** From where the light falls. */
const LIGHT = normalize([-0.5, -0.7, 0.9]);

/** The level rectangle of a photograph on the spot, in the order of its corners. */
export const rectangleOnSpot = ({ length: l, depth: d }: Pick<SpotPhotoDoc, "length" | "depth">): Four => [[-l / 2, -d / 2], [l / 2, -d / 2], [l / 2, d / 2], [-l / 2, d / 2]]; // prettier-ignore
/** The camera of the spot's photograph. Errors: three corners in a line. */
export const cameraOfSpot = (p: SpotPhotoDoc, size: Vec2): Camera => cameraOf(p.corners as unknown as Four, rectangleOnSpot(p), size); // prettier-ignore

const rgbOf = (hex: string): [number, number, number] => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as [number, number, number]; // prettier-ignore
/** What a stick is of a mock-up: of a roof what covers it, of the walls what covers them, else the rest. */
function paperOf(
  c: PaperColoursDoc,
  k: { readonly role: string; readonly clad: boolean; readonly assembly: string },
): [number, number, number] {
  // prettier-ignore
  if (/shingle|roofing|roof (strip|panel|sheet|board)|standing seam|ridge cap|cover strip|starter strip/.test(k.role)) return rgbOf(c.roof);
  return rgbOf(k.clad ? (/roof|slope|cover/.test(k.assembly) ? c.roof : c.walls) : c.rest);
}
/** All structures on the plan as they stand on the photograph, in colours of paper, as triangles on a picture so many times smaller. */
export function photoTriangles(d: Design, camera: Camera, colours: PaperColoursDoc, scale: number): Triangle[] {
  return standing(d).flatMap((s) => {
    const member = new Map(s.design.resolved.sticks.map((k) => [k.id, k] as const));
    return s.sticks.flatMap((k) => {
      const own = member.get(k.id)!;
      const rgb = paperOf(colours, { role: k.role, clad: isCladding(own), assembly: own.member.assembly });
      return k.parts.flatMap((p) =>
        p.faces.flatMap((f): Triangle[] => {
          // what looks away is not seen
          if (dot(f.plane.n, sub(camera.at, f.corners[0]!)) <= 0) return [];
          const shade = 0.62 + 0.38 * Math.max(0, dot(f.plane.n, LIGHT));
          const lit = rgb.map((c) => c * shade) as [number, number, number];
          const on = f.corners.map((c: Vec3): RasterPoint => { const q = camera.project(c); return [q.at[0] * scale, q.at[1] * scale, q.far]; }); // prettier-ignore
          return on.slice(2).map((c, i): Triangle => ({ points: [on[0]!, on[i + 1]!, c], rgb: lit }));
        }),
      );
    });
  });
}
/** A picture laid over a photograph: pixels of red, green, blue and opacity. */
export interface PhotoOverlay {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray<ArrayBuffer>;
  /** Focal length, pixels of the photograph, and whether it follows from the corners; where the lens was, model mm. */
  readonly focal: number;
  readonly sure: boolean;
  readonly eye: Vec3;
}
/** The structures as they stand on the spot's photograph of a size, pixels, drawn no larger than `most` on its longer side. Errors: no photograph, three corners in a line. */
export function onPhoto(d: Design, size: Vec2, most: number): PhotoOverlay {
  const { photo } = spotOf(d.doc);
  if (!photo) throw new Error("The spot has no photograph yet.");
  const camera = cameraOfSpot(photo, size);
  const scale = Math.min(1, most / Math.max(...size));
  const [width, height] = size.map((x) => Math.max(1, Math.round(x * scale))) as [number, number];
  return { width, height, rgba: raster(photoTriangles(d, camera, photo.colours, scale), width, height), focal: camera.focal, sure: camera.sure, eye: camera.at }; // prettier-ignore
}
