import type { Motif, PaperDoc } from "../job";
import { inches, model, printFeetInches, printMm } from "../units";
import { cutSize, dotsPerInch, pictureSize } from "./size";

export interface PaperRemark {
  readonly paper: string;
  readonly level: "warning" | "remark";
  readonly text: string;
}
/** What one of a motif is called, and from how large to how large it was made, prototype mm. Common practice of the building trades; a standard brick is 8 in long with its joint or a little more. */
export const MOTIF: Readonly<Record<Motif, { readonly label: string; readonly one: string; readonly usual?: readonly [number, number] }>> = {
  sign: { label: "Sign or poster", one: "picture" },
  bricks: { label: "Bricks", one: "brick", usual: [inches(7.5), inches(9.5)] },
  boards: { label: "Boards", one: "board", usual: [inches(2), inches(12)] },
  tiles: { label: "Tiles", one: "tile", usual: [inches(3), inches(24)] },
  shingles: { label: "Shingles", one: "course", usual: [inches(3.5), inches(12)] },
  wallpaper: { label: "Wallpaper", one: "repeat", usual: [inches(3), inches(30)] },
  curtain: { label: "Curtain", one: "picture" },
  other: { label: "Something else", one: "unit" },
}; // prettier-ignore
/** Below so many dots to the inch a print looks coarse at arm's length. Common practice of printers. */
export const COARSE = 150;
/** How far apart two sizes of one thing may be before the eye sees it. */
const LIKE = 0.05;

/** What is wrong with the sizes of papers: what they show is larger or smaller than it was made, or than the same on the walls (prototype mm, by motif), dots too coarse, less covered than one of what is shown. */
export function paperRemarks(
  papers: readonly PaperDoc[],
  ratio: number,
  walls: Readonly<Partial<Record<Motif, number>>> = {},
): PaperRemark[] {
  const words = (mm: number): string => printFeetInches(mm);
  return papers.flatMap((p): PaperRemark[] => {
    const { one, usual } = MOTIF[p.motif];
    const out: PaperRemark[] = [];
    const say = (level: PaperRemark["level"], text: string): void => void out.push({ paper: p.id, level, text });
    if (usual && (p.unit < usual[0] - 1e-6 || p.unit > usual[1] + 1e-6))
      say("warning", `A ${one} of ${p.name} is ${words(p.unit)}; they were made from ${words(usual[0])} to ${words(usual[1])}. Count again how many the picture shows ${p.along === "across" ? "across" : "up"}, or give their size.`); // prettier-ignore
    const wall = walls[p.motif];
    if (wall !== undefined && Math.abs(p.unit / wall - 1) > LIKE)
      say("remark", `A ${one} of ${p.name} is ${words(p.unit)}, those of the walls of this job are ${words(wall)}: side by side it shows.`); // prettier-ignore
    const dots = dotsPerInch(p, ratio);
    if (dots < COARSE)
      say("remark", `${p.name} prints with ${Math.round(dots)} dots to the inch: it looks coarse below ${COARSE}. Take a larger picture.`); // prettier-ignore
    const [own, cut] = [pictureSize(p, ratio), cutSize(p, ratio)];
    if (p.cover && own.wide > cut.wide + 1e-9 && own.high > cut.high + 1e-9)
      say("remark", `What ${p.name} covers is smaller than the picture (${printMm(model(own.wide), 1)} × ${printMm(model(own.high), 1)}): only its lower left part is printed.`); // prettier-ignore
    return out;
  });
}
