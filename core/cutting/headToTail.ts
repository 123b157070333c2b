import { lying, type PieceShape } from "../frame";
import type { Vec2 } from "../geometry";

/** Pieces with the same key lie head to tail: the slanted end of one along the slanted end of the next saves so much of the stick, model mm. */
export interface Nest {
  readonly key: string;
  readonly saves: number;
  /** How its ends lean as it is drawn, the left and the right one: 1 where the upper corner is further to the right. */
  readonly lean: readonly [1 | -1, 1 | -1];
}
/** Cuts that differ by less are one, degrees; a slant of less saves nothing worth the care, mm. */
const [SAME, LEAST] = [0.05, 0.3];

/** How the ends of a piece lean as it lies, and what each takes of its length beyond a square one, mm. */
function slants(outline: readonly Vec2[]): readonly [number, number] {
  const [low, high] = [Math.min(...outline.map((p) => p[1])), Math.max(...outline.map((p) => p[1]))];
  const at = (y: number, pick: (...x: number[]) => number): number => pick(...outline.filter((p) => Math.abs(p[1] - y) < 1e-3).map((p) => p[0])); // prettier-ignore
  return [at(high, Math.min) - at(low, Math.min), at(high, Math.max) - at(low, Math.max)];
}
/**
 * Whether a piece can lie head to tail with others: both ends cut once, upright and to the same slant, and nothing taken
 * off along its length. Turned over along its length it may lean the other way, so that mirror images are one.
 */
export function nestOf(shape: PieceShape): Nest | undefined {
  if (shape.kind !== "strip" || shape.rips.length > 0) return undefined;
  const [a, b] = shape.ends;
  if (a.length !== 1 || b.length !== 1) return undefined;
  const [x, y] = [a[0]!, b[0]!];
  if (Math.abs(x.bevel) > SAME || Math.abs(y.bevel) > SAME || x.face[1] !== y.face[1]) return undefined;
  if (Math.abs(Math.abs(x.mitre) - Math.abs(y.mitre)) > SAME || Math.abs(x.mitre) < SAME) return undefined;
  const outline = lying(shape);
  const lean = slants(outline);
  const saves = Math.min(...lean.map(Math.abs));
  if (saves < LEAST) return undefined;
  const wide = Math.max(...outline.map((p) => p[1])) - Math.min(...outline.map((p) => p[1]));
  return { key: `${Math.abs(x.mitre).toFixed(1)}|${wide.toFixed(2)}`, saves, lean: [lean[0] > 0 ? 1 : -1, lean[1] > 0 ? 1 : -1] }; // prettier-ignore
}
