import type { EndCut, Piece, PieceShape } from "../frame";
import { otherStock } from "../lumber";

/** Pieces that come off one setting of the stop and the blade, from whatever stock. */
export interface SetUp {
  /** From the blade to the stop: tip to tip, with the allowance. Model mm. */
  readonly length: number;
  readonly pieces: readonly SetUpPiece[];
  /** One of them is another's mirror image: it is laid down the other way round. */
  readonly turned: boolean;
}
export interface SetUpPiece {
  readonly piece: Piece;
  /** Those still to be cut. */
  readonly sticks: readonly string[];
}
/** Lengths that one stop serves differ by less, model mm; angles that one blade serves, degrees. */
const [SAME_LENGTH, SAME_ANGLE] = [0.02, 0.05];

/** How a blade stands for an end, whichever way the piece is laid down. */
const blade = (c: EndCut): readonly [number, number] => [Math.abs(c.mitre), Math.abs(c.bevel)];
/** The settings of both ends, in an order that turning a piece end for end leaves as it is. */
function settings(s: PieceShape): readonly (readonly [number, number])[] {
  const ends = s.ends.map((e) => e.map(blade).sort((a, b) => a[0] - b[0] || a[1] - b[1]));
  const [a, b] = ends as [(readonly [number, number])[], (readonly [number, number])[]];
  const sum = (e: readonly (readonly [number, number])[]): number => e.reduce((t, c) => t + c[0] * 1000 + c[1], 0);
  return sum(a) <= sum(b) ? [...a, [-1, -1], ...b] : [...b, [-1, -1], ...a];
}
const alike = (a: PieceShape, b: PieceShape): boolean => {
  const [x, y] = [settings(a), settings(b)];
  return x.length === y.length && x.every((c, i) => Math.abs(c[0] - y[i]![0]) < SAME_ANGLE && Math.abs(c[1] - y[i]![1]) < SAME_ANGLE); // prettier-ignore
};

/**
 * The settings of the stop over a whole job, from the longest to the shortest: a piece cut too short from a long one can
 * still become a shorter one. What has the same length and the same cuts comes off one setting, whatever it is cut from;
 * mirror images too, laid down the other way round. A cap of 49 mm from 12×14 and a sill of 49 mm from 12×12, both square,
 * are one setting; a post of 49 mm with mitred ends is another.
 */
export function setUps(pieces: readonly Piece[], allowance: number, done: ReadonlySet<string> = new Set()): SetUp[] {
  const out: { length: number; pieces: SetUpPiece[] }[] = [];
  const left = pieces
    .map((piece) => ({ piece, sticks: piece.sticks.filter((s) => !done.has(s)) }))
    .filter((p) => !otherStock(p.piece.stock) && p.sticks.length > 0)
    .sort((a, b) => b.piece.shape.overall - a.piece.shape.overall);
  for (const p of left) {
    const { shape } = p.piece;
    const known = out.find((s) => Math.abs(s.length - allowance - shape.overall) < SAME_LENGTH && alike(s.pieces[0]!.piece.shape, shape)); // prettier-ignore
    if (known) known.pieces.push(p);
    else out.push({ length: shape.overall + allowance, pieces: [p] });
  }
  return out.map((s) => ({ ...s, turned: s.pieces.some((p) => s.pieces.some((q) => p.piece.handOf === q.piece.mark)) })); // prettier-ignore
}

/** How many are cut with one stroke: of what is cut in numbers, as many side by side as are held well. Common practice. */
const MOST_AT_ONCE = 4;
/** How many of a set-up's pieces lie side by side under the blade: pairs and more of one stock and thickness; 1 where each is cut alone. */
export function gang(s: SetUp): number {
  const byStock = new Map<string, number>();
  for (const p of s.pieces) byStock.set(p.piece.stock, (byStock.get(p.piece.stock) ?? 0) + p.sticks.length);
  const most = Math.max(...byStock.values());
  for (let n = MOST_AT_ONCE; n > 1; n--) if (most >= n && most % n === 0) return n;
  return most > 2 ? 2 : 1;
}
