import { createHash } from "node:crypto";
import sharp from "sharp";
import { cross, dot, normalize, sub, type Vec2, type Vec3 } from "../core/geometry";
import type { DrawingDoc, SpotPhotoDoc } from "../core/job";
import { PAPERS } from "../core/spot/papers";

const [WIDE, HIGH, FOCAL] = [1200, 800, 1350] as const;
/** Where the picture was taken from, and what it looks at, model mm. */
const [EYE, TARGET]: readonly [Vec3, Vec3] = [[-150, -420, 210], [0, 0, 8]]; // prettier-ignore

function see(p: Vec3): Vec2 {
  const ahead = normalize(sub(TARGET, EYE));
  const right = normalize(cross(ahead, [0, 0, 1]));
  const down = cross(ahead, right);
  const v = sub(p, EYE);
  const z = dot(v, ahead);
  return [WIDE / 2 + (FOCAL * dot(v, right)) / z, HIGH / 2 + (FOCAL * dot(v, down)) / z];
}
/** A picture of an empty spot on the layout, drawn as a camera sees it: its board, the path, the backdrop; with its corners as the job marks them. */
export async function placePicture(
  length: number,
  depth: number,
): Promise<{
  readonly drawing: DrawingDoc;
  readonly photo: SpotPhotoDoc;
  readonly files: Readonly<Record<string, Buffer>>;
}> {
  // prettier-ignore
  const [l, d] = [length / 2, depth / 2];
  const ring = (x0: number, y0: number, x1: number, y1: number, z = 0): string => ([[x0, y0], [x1, y0], [x1, y1], [x0, y1]] as const).map(([x, y]) => see([x, y, z]).map((n) => n.toFixed(1)).join(",")).join(" "); // prettier-ignore
  let seed = 7;
  const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const tufts = Array.from({ length: 900 }, () => { const [x, y] = see([(random() - 0.5) * 900, -260 + random() * 760, 0]); return `<circle cx="${x.toFixed(0)}" cy="${y.toFixed(0)}" r="${(1 + 2 * random()).toFixed(1)}" fill="${["#6f7d3d", "#7d8a48", "#5f6b33", "#8d8a52"][Math.floor(random() * 4)]}"/>`; }).join(""); // prettier-ignore
  const back = [[-900, 420, 0], [900, 420, 0], [900, 420, 700], [-900, 420, 700]].map((p) => see(p as unknown as Vec3).map((n) => n.toFixed(1)).join(",")).join(" "); // prettier-ignore
  const hills = [[-900, 420, 60], [-500, 420, 130], [-260, 420, 85], [-40, 420, 150], [260, 420, 80], [520, 420, 120], [900, 420, 70], [900, 420, 0], [-900, 420, 0]].map((p) => see(p as unknown as Vec3).map((n) => n.toFixed(1)).join(",")).join(" "); // prettier-ignore
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}"><rect width="${WIDE}" height="${HIGH}" fill="#79853f"/><polygon points="${back}" fill="#b9cbd6"/><polygon points="${hills}" fill="#8ea08c"/>${tufts}<polygon points="${ring(-600, -d - 34, 600, -d - 12)}" fill="#b5a079"/><polygon points="${ring(-l, -d, l, d, 0)}" fill="#a9a27f" stroke="#5c5a44" stroke-width="2"/></svg>`; // prettier-ignore
  const bytes = await sharp(Buffer.from(svg)).jpeg({ quality: 70 }).toBuffer();
  const hash = createHash("sha256").update(bytes).digest("hex");
  const corners = ([[-l, -d], [l, -d], [l, d], [-l, d]] as const).map(([x, y]) => see([x, y, 0]).map((n) => Math.round(n * 10) / 10)) as [number, number][]; // prettier-ignore
  return {
    drawing: { id: "place", name: "Photograph of the place", picture: { hash, type: "image/jpeg", width: WIDE, height: HIGH }, measures: [], openings: [], under: [] }, // prettier-ignore
    photo: { drawing: "place", corners, length, depth, colours: { ...PAPERS } },
    files: { [hash]: bytes },
  };
}
