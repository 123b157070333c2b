import { createHash } from "node:crypto";
import sharp from "sharp";
import type { PaperDoc } from "../core/job";
import { feet, inches } from "../core/units";

const FLOOR = `<svg xmlns="http://www.w3.org/2000/svg" width="720" height="480">${Array.from({ length: 12 }, (_, i) => `<rect x="${i * 60}" width="59" height="480" fill="${["#a98252", "#b48d5e", "#9f7a4b"][i % 3]}"/><rect x="${i * 60}" y="${(i * 137) % 460}" width="59" height="2" fill="#6e5430"/>`).join("")}</svg>`;
const SIGN = `<svg xmlns="http://www.w3.org/2000/svg" width="960" height="240"><rect width="960" height="240" fill="#16324f"/><rect x="14" y="14" width="932" height="212" fill="none" stroke="#f4efe2" stroke-width="8"/><text x="480" y="156" font-size="104" font-family="sans-serif" font-weight="700" fill="#f4efe2" text-anchor="middle">PELLAM NOTCH</text></svg>`;

/** The papers of the agent's cottage with their pictures: the sign on its yard side, and the floor of its room. */
export async function cottagePapers(): Promise<{
  readonly papers: PaperDoc[];
  readonly files: Readonly<Record<string, Buffer>>;
}> {
  const made = async (svg: string, width: number, height: number) => {
    const bytes = await sharp(Buffer.from(svg)).png({ palette: true }).toBuffer();
    return { bytes, picture: { hash: createHash("sha256").update(bytes).digest("hex"), type: "image/png", width, height } }; // prettier-ignore
  };
  const [floor, sign] = [await made(FLOOR, 720, 480), await made(SIGN, 960, 240)];
  return {
    papers: [
      { id: "sign", name: "Station sign", picture: sign.picture, motif: "sign", along: "across", units: 1, unit: feet(6), count: 2, bleed: 0 }, // prettier-ignore
      { id: "floor", name: "Floor of the room", picture: floor.picture, motif: "boards", along: "across", units: 12, unit: inches(4), cover: { length: feet(22), height: feet(12) }, count: 1, bleed: 2 }, // prettier-ignore
    ],
    files: { [floor.picture.hash]: floor.bytes, [sign.picture.hash]: sign.bytes },
  };
}
