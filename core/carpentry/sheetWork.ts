/*
 * Sums of sheet work, all in one unit of length. A stack is given from the outside in: a face of 0.015 on a backing of
 * 0.030 is [0.015, 0.030], and covers 0.045 of what it is edged on.
 */

/** How two walls of sheet meet at a corner: the first or the second runs through, or takes the other's end in a rebate behind its outermost layer, both are mitred, or both end on a post in the angle. */
export type Corner = "first" | "second" | "rebateFirst" | "rebateSecond" | "mitre" | "post";
/** How far the outer face of each layer of both walls ends from the outside of the finished corner, and the bevel of both walls' edges, degrees from square. */
export interface CornerCut {
  readonly first: readonly number[];
  readonly second: readonly number[];
  readonly bevel: readonly [first: number, second: number];
}
/** Thickness of a stack. */
export const stackOf = (layers: readonly number[]): number => layers.reduce((s, t) => s + t, 0);

/**
 * Where the layers of two walls end at a square corner. Walls that butt do so layer by layer: the outermost layers make a
 * box, and the next ones a box inside it, so each layer of the wall that runs through ends where the layer outside it of
 * the other wall lies, and each layer of the other ends on it. A mitre runs from the outer corner to the inner one, at 45°
 * where both stacks are as thick. In a rebate the outermost layer of one wall runs through and its others end at the inside
 * of the other wall, which ends behind that layer as a whole: a face of 0.5 and a core of 3 of the one, 3.5 of the other,
 * end at 0, 3.5 and 0.5. On a post both stacks end at its sides. Errors: a rebate in a wall of one layer; a stack thicker than its post, with the figure; stacks of unlike layers that butt.
 */
export function cornerCut(how: Corner, first: readonly number[], second: readonly number[], post = 0): CornerCut {
  if (how === "post") {
    const over = Math.max(stackOf(first), stackOf(second)) - post;
    if (over > 1e-9)
      throw new RangeError(`The wall is ${Number(over.toFixed(3))} thicker than its corner post of ${Number(post.toFixed(3))}.`); // prettier-ignore
    return { first: first.map(() => post), second: second.map(() => post), bevel: [0, 0] };
  }
  const rebate = (own: readonly number[], other: readonly number[]): readonly [number[], number[]] => {
    if (own.length < 2) throw new RangeError("A wall of one layer has no rebate: it takes two.");
    return [own.map((_, i) => (i === 0 ? 0 : stackOf(other))), other.map(() => own[0]!)];
  };
  if (how === "rebateFirst" || how === "rebateSecond") {
    const [a, b] = how === "rebateFirst" ? [first, second] : [second, first];
    const [through, behind] = rebate(a, b);
    return how === "rebateFirst" ? { first: through, second: behind, bevel: [0, 0] } : { first: behind, second: through, bevel: [0, 0] }; // prettier-ignore
  }
  const outside = (layers: readonly number[], i: number): number => stackOf(layers.slice(0, i));
  if (how === "mitre") {
    const k = stackOf(second) / stackOf(first);
    const bevel = (Math.atan(k) * 180) / Math.PI;
    return {
      first: first.map((_, i) => outside(first, i) * k),
      second: second.map((_, i) => outside(second, i) / k),
      bevel: [bevel, 90 - bevel],
    };
  }
  if (first.length !== second.length)
    throw new RangeError(`A wall of ${first.length} layers meets one of ${second.length}: mitre them, or end both on a post.`); // prettier-ignore
  const through = (other: readonly number[]): number[] => other.map((_, i) => outside(other, i));
  const ends = (other: readonly number[]): number[] => other.map((_, i) => outside(other, i + 1));
  return how === "first"
    ? { first: through(second), second: ends(first), bevel: [0, 0] }
    : { first: ends(second), second: through(first), bevel: [0, 0] };
}

/** What is left of a board's length and width when its edges are covered by strips: each end or side that is covered takes the strip's thickness. */
export const edged = (
  length: number,
  width: number,
  strip: number,
  covered: { readonly ends: 0 | 1 | 2; readonly sides: 0 | 1 | 2 },
): readonly [length: number, width: number] => [length - covered.ends * strip, width - covered.sides * strip];

/** The nearest lengths that are whole boards: `under` is the length itself where it is whole to within `near`. */
export interface WholeBoards {
  readonly under: { readonly boards: number; readonly length: number };
  readonly over: { readonly boards: number; readonly length: number };
  /** What the last board shows, of a pitch: 0 where it is whole. */
  readonly rest: number;
}
/** Boards of a pitch along a length. Errors: a pitch of nothing. */
export function wholeBoards(length: number, pitch: number, near = 1e-6): WholeBoards {
  if (!(pitch > 0)) throw new RangeError(`A pitch of ${pitch} has no boards.`);
  const boards = Math.floor((length + near) / pitch);
  const rest = length - boards * pitch;
  const of = (n: number) => ({ boards: n, length: n * pitch });
  return rest < near
    ? { under: of(boards), over: of(boards), rest: 0 }
    : { under: of(boards), over: of(boards + 1), rest };
}

/** Middles of `count` things of a width spread evenly on a length, a margin clear at each end (half of the clear space between where none is given). Errors: no room. */
export function evenly(
  length: number,
  count: number,
  width = 0,
  margin?: number,
): { readonly at: readonly number[]; readonly clear: number } {
  // prettier-ignore
  const own = margin ?? (length - count * width) / (2 * count);
  const room = length - 2 * own - count * width;
  if (count < 1 || own < 0 || room < -1e-9)
    throw new RangeError(`${count} of ${width} with margins of ${own} have no room on ${length}.`);
  const clear = count > 1 ? room / (count - 1) : 0;
  const first = count > 1 ? own + width / 2 : length / 2;
  return { at: Array.from({ length: count }, (_, i) => first + i * (width + clear)), clear };
}
