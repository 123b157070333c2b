import { TOLERANCE } from "../geometry";
import { pieceShape, type PieceShape } from "./pieceShape";
import type { Resolved } from "./resolve";
import { cutWords } from "./cutWords";
import { mirrored, samePiece } from "./samePiece";

/** Sticks that are the same piece of material: a row of the cut list. */
export interface Piece {
  readonly mark: string;
  readonly role: string;
  readonly nominal: readonly [number, number];
  readonly stock: string;
  readonly shape: PieceShape;
  /** Ids of the sticks, in the frame's order. */
  readonly sticks: readonly string[];
  /** Mark of the piece that is its mirror image, where there is one: the two are left and right. */
  readonly handOf?: string;
  /** Whether it differs from its own mirror image. */
  readonly handed: boolean;
}
/** A mark that was given out with an issue, for the shape it meant. */
export interface IssuedMark {
  readonly mark: string;
  readonly stock: string;
  readonly shape: PieceShape;
}

/** Shapes made before, by what their sticks are cut from and by: an edit leaves most sticks as they are. */
const made = new Map<string, PieceShape>();
const MOST_MADE = 20_000;
function shapeOf(s: Resolved, words: string | undefined): PieceShape {
  if (words === undefined) return pieceShape(s);
  let shape = made.get(words);
  if (!shape) {
    if (made.size >= MOST_MADE) made.clear();
    made.set(words, (shape = pieceShape(s)));
  }
  return shape;
}

/**
 * Groups cut sticks into pieces and gives them marks. A stick joins the first group whose first member it
 * equals. Marks issued before stay with their shape and are never given to another; a new shape takes the next number.
 */
export function piecesOf(sticks: readonly Resolved[], issued: readonly IssuedMark[] = []): Piece[] {
  const groups: { first: Resolved; shape: PieceShape; sticks: string[]; place: number }[] = [];
  const buckets = new Map<string, typeof groups>();
  const told = new Map<string, (typeof groups)[number]>();
  for (const s of sticks) {
    // most sticks are cut like one before them
    const words = cutWords(s);
    const like = words === undefined ? undefined : told.get(words);
    if (like) {
      like.sticks.push(s.id);
      continue;
    }
    const shape = shapeOf(s, words);
    const bucket = (k: number): string => `${s.stock}|${s.member.letter}|${k}`;
    const k = Math.round(shape.overall / (4 * TOLERANCE.samePiece));
    const near = [k, k - 1, k + 1].flatMap((n) => buckets.get(bucket(n)) ?? []);
    const home = near.sort((a, b) => a.place - b.place).find((g) => samePiece(g.shape, shape, s.member.turning));
    if (words !== undefined && home) told.set(words, home);
    if (home) home.sticks.push(s.id);
    else {
      const g = { first: s, shape, sticks: [s.id], place: groups.length };
      groups.push(g);
      if (words !== undefined) told.set(words, g);
      buckets.set(bucket(k), [...(buckets.get(bucket(k)) ?? []), g]);
    }
  }
  const taken = new Set(issued.map((i) => i.mark));
  const given = new Set<string>();
  const numbers = new Map<string, number>();
  const markOf = (g: (typeof groups)[number]): string => {
    const old = issued.find((i) => !given.has(i.mark) && i.stock === g.first.stock && samePiece(i.shape, g.shape));
    if (old) return old.mark;
    const letter = g.first.member.letter;
    for (let n = (numbers.get(letter) ?? 0) + 1; ; n++) {
      numbers.set(letter, n);
      if (!taken.has(`${letter}${n}`)) return `${letter}${n}`;
    }
  };
  const marked = groups.map((g) => {
    const mark = markOf(g);
    given.add(mark);
    return { g, mark, handed: !samePiece(g.shape, mirrored(g.shape)) };
  });
  return marked.map(({ g, mark, handed }): Piece => {
    const mirror = handed ? mirrored(g.shape) : undefined;
    const other = mirror
      ? marked.find(
          (o) =>
            o.g !== g &&
            o.handed &&
            o.g.first.stock === g.first.stock &&
            Math.abs(o.g.shape.overall - mirror.overall) <= TOLERANCE.samePiece &&
            samePiece(o.g.shape, mirror),
        )
      : undefined;
    return {
      mark,
      role: g.first.member.role,
      nominal: g.first.member.nominal,
      stock: g.first.stock,
      shape: g.shape,
      sticks: g.sticks,
      handed,
      ...(other ? { handOf: other.mark } : {}),
    };
  });
}
