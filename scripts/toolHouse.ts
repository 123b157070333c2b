/** The front of a small tool house, drawn flat and then photographed from aside: its true sizes are known. */
import sharp from "sharp";
import type { Vec2 } from "../core/geometry";
import { applyHomography, bend, planeMap, unbend, type Four, type Keystone, type Lens } from "../core/prototype";
import { stream } from "../core/cutting/stream";
import { inches } from "../core/units";

/** Prototype inches, from the upper left corner of the wall under the eaves. */
export const FRONT = {
  wall: { w: 168, h: 108 },
  door: { x: 24, y: 24, w: 36, h: 80 },
  window: { x: 98, y: 30, w: 36, h: 48 },
  boards: 8,
} as const;
export const PHOTO = { width: 1800, height: 1200 } as const;
const LENS: Lens = { k: 0.05, ...PHOTO };
/** Where the wall's four corners would stand on the photograph without the lens. */
const SEEN: Four = [
  [470, 470],
  [1430, 330],
  [1450, 935],
  [480, 965],
];
const AROUND = 70;
const PX = 8;

/** The keystone that takes the photograph back: the door's and wall's plane, by the wall's corners. */
export function photoKeystone(): Keystone {
  return {
    corners: SEEN.map((p) => bend(LENS, p)) as unknown as Four,
    width: inches(FRONT.wall.w),
    height: inches(FRONT.wall.h),
    lens: LENS,
  };
}

/** The front drawn flat, AROUND inches of what is round it on every side, PX pixels to the inch. */
export async function flatFront(): Promise<{ data: Buffer; width: number; height: number }> {
  const { wall, door, window: w, boards } = FRONT;
  const [W, H] = [wall.w + 2 * AROUND, wall.h + 2 * AROUND];
  const box = (x: number, y: number, ww: number, h: number, fill: string, more = ""): string =>
    `<rect x="${x}" y="${y}" width="${ww}" height="${h}" fill="${fill}" ${more}/>`;
  const random = stream(5);
  const plank = (y: number): string => {
    const tone = Math.round(150 + 14 * random());
    return (
      box(0, y, wall.w, boards, `rgb(${tone},${tone - 28},${tone - 52})`) +
      `<path d="M0 ${y + boards - 0.35}H${wall.w}" stroke="#4d3a2b" stroke-width="0.7"/>`
    );
  };
  const planks = Array.from({ length: Math.ceil(wall.h / boards) }, (_, i) => plank(i * boards)).join("");
  const trim = (o: { x: number; y: number; w: number; h: number }): string =>
    box(o.x - 5, o.y - 5, o.w + 10, o.h + 5, "#e4ddcc", `stroke="#4d3a2b" stroke-width="0.5"`);
  const panes = [0, 1, 2]
    .flatMap((i) => [0, 1, 2, 3].map((j) => box(w.x + 2 + i * 11.3, w.y + 2 + j * 11.6, 9.6, 9.6, "#38434a")))
    .join("");
  const roof = `<path d="M-16 2 L84 -44 L184 2 L184 -4 L84 -52 L-16 -4 Z" fill="#5b5a55"/><path d="M-12 0 L84 -44 L180 0 Z" fill="#8a735a"/>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${W * PX}" height="${H * PX}" viewBox="${-AROUND} ${-AROUND} ${W} ${H}">
    ${box(-AROUND, -AROUND, W, H, "#c9d6dc")}${box(-AROUND, wall.h, W, AROUND, "#9a917c")}
    ${roof}<clipPath id="c"><rect width="${wall.w}" height="${wall.h}"/></clipPath><g clip-path="url(#c)">${planks}</g>
    ${box(0, 0, 4, wall.h, "#d8d0bd")}${box(wall.w - 4, 0, 4, wall.h, "#d8d0bd")}
    ${trim(door)}${box(door.x, door.y, door.w, door.h, "#5c6b5a", `stroke="#2c352b" stroke-width="0.6"`)}
    ${[1, 2, 3, 4, 5].map((i) => `<path d="M${door.x + i * 6} ${door.y}v${door.h}" stroke="#3c473b" stroke-width="0.4"/>`).join("")}
    ${trim(w)}${box(w.x - 7, w.y + w.h, w.w + 14, 3, "#e4ddcc", `stroke="#4d3a2b" stroke-width="0.4"`)}${box(w.x, w.y, w.w, w.h, "#d9d2c0")}${panes}
    </svg>`;
  const { data, info } = await sharp(Buffer.from(svg))
    .flatten({ background: "#ffffff" })
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** Photographs the front: every pixel is taken from the flat drawing through the lens and the plane; softened, darker to the corners, with grain. */
export async function photograph(flat: { data: Buffer; width: number; height: number }): Promise<Buffer> {
  const { width, height } = PHOTO;
  const k = photoKeystone();
  const map = planeMap(k);
  const out = Buffer.alloc(width * height * 3);
  const random = stream(9);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [mx, my] = applyHomography(map, unbend(LENS, [x + 0.5, y + 0.5]));
      const at: Vec2 = [(mx / inches(1) + AROUND) * PX, (my / inches(1) + AROUND) * PX];
      const [sx, sy] = [
        Math.max(0, Math.min(flat.width - 2, at[0] - 0.5)),
        Math.max(0, Math.min(flat.height - 2, at[1] - 0.5)),
      ];
      const [x0, y0] = [Math.floor(sx), Math.floor(sy)];
      const shade = 1 - 0.28 * (((x - width / 2) / width) ** 2 + ((y - height / 2) / height) ** 2) * 2;
      const grain = (random() + random() + random() - 1.5) * 9;
      for (let c = 0; c < 3; c++) {
        const v = (dx: number, dy: number): number => flat.data[((y0 + dy) * flat.width + x0 + dx) * 3 + c]!;
        const [fx, fy] = [sx - x0, sy - y0];
        const value = (v(0, 0) * (1 - fx) + v(1, 0) * fx) * (1 - fy) + (v(0, 1) * (1 - fx) + v(1, 1) * fx) * fy;
        out[(y * width + x) * 3 + c] = Math.max(0, Math.min(255, value * shade + grain));
      }
    }
  return sharp(out, { raw: { width, height, channels: 3 } })
    .blur(0.6)
    .jpeg({ quality: 74, mozjpeg: true })
    .toBuffer();
}
