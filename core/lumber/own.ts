import { model } from "../units";
import type { StockItem } from "./series";

export type OwnMaterial = "wood" | "styrene";
/** From the finest to the thickest stick that is taken, model mm. */
const [FINEST, THICKEST] = [0.1, 100];
const told = (x: number): string => String(Number(x.toFixed(3)));

/** The id of a stick of one's own: "own/wood/1.5x4.7", or "own/styrene/r2.4" of a round one; sizes in model mm, either way round. Errors: a size that is none. */
export function ownId(material: OwnMaterial, a: number, b: number, round = false): string {
  for (const x of [a, b]) if (!(x >= FINEST && x <= THICKEST)) throw new RangeError(`A stick of ${told(x)} mm is not taken; it may be from ${FINEST} to ${THICKEST} mm.`); // prettier-ignore
  return `own/${material}/${round ? `r${told(a)}` : `${told(Math.min(a, b))}x${told(Math.max(a, b))}`}`;
}
const known = new Map<string, StockItem | undefined>();
/** A stick of one's own by its id, which says all there is to know of it; undefined for what is none. Usual lengths are those of what is cut from sheet and of household odds and ends. */
export function ownItem(id: string): StockItem | undefined {
  if (!id.startsWith("own/")) return undefined;
  if (!known.has(id)) known.set(id, readOwn(id));
  return known.get(id);
}
function readOwn(id: string): StockItem | undefined {
  const m = /^own\/(wood|styrene)\/(?:r(\d+(?:\.\d+)?)|(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?))$/.exec(id);
  if (!m) return undefined;
  const [a, b] = (m[2] ? [m[2], m[2]] : [m[3]!, m[4]!]).map(Number) as [number, number];
  if (!(a >= FINEST && b >= a && b <= THICKEST)) return undefined;
  const of = m[1] === "styrene" ? "styrene" : "wood";
  return {
    id,
    series: "own",
    name: m[2] ? `Own round ${of}, ${told(a)} mm` : `Own ${of} strip, ${told(a)} × ${told(b)} mm`,
    shape: m[2] ? "round" : "strip",
    thickness: model(a),
    width: model(b),
    lengths: [model(300)],
  };
}
